import { channelOf, whereMet } from '../condition/index.ts';
import { misreadRate, takenFor, type Channel, type ProfiledTaxon } from '../evidence/index.ts';
import { randomFrom, type Random } from '../random/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import { trust } from './confirm.ts';
import { couplets, taxaBelow, type Couplet, type Key, type KeyNode } from './key.ts';
import { sightOf, type QuestionOptions, type Sight } from './questions.ts';

export interface Appraisal {
  taxa: number;
  couplets: number;
  /** Questions to an end, averaged over specimens by how common their taxa are, if nobody errs. */
  meanQuestions: number;
  /** The fewest that any key of two leads could do with: log₂ of the number of taxa. */
  bound: number;
  /** Share of specimens that the key brings to their taxon if nobody errs; an end with several taxa counts in part. */
  rightIfNobodyErrs: number;
  /** The same for noisy readers, with its standard error. */
  right: number;
  rightError: number;
  /** Taxa that fewer than half of their own specimens reach though nobody errs. */
  unreachable: string[];
  /** Ends at which several taxa stay together. */
  together: string[][];
  /** Confirming statements that are false of more than one in twenty specimens of some taxon that comes down their lead: none is wanted. */
  falseStatements: { path: number[]; lead: number; characterId: string; taxon: string; share: number }[];
  /** How many ends name the taxon that comes out most often. */
  mostEnds: number;
  /** The couplet at which most noisy readers are lost, with the share of all readers lost there. */
  weakest?: { path: number[]; lost: number };
}

export interface AppraisalOptions extends QuestionOptions {
  priors?: Readonly<Record<string, number>>;
  /** Simulated specimens a taxon; 150 if not given. */
  specimens?: number;
  seed?: number;
}

/** The first statement of a lead counts a little more than those that confirm it, so that two that contradict are no tie. */
const FIRST_COUNTS = 1.2;

interface Statement {
  channel: Channel;
  /** For each lead where it is met in the channel's support. */
  met: Uint8Array[];
  trust: number;
}

/** A couplet made ready for many readings. */
interface Ready {
  statements: Statement[];
  couplet: Couplet;
  path: number[];
  below: Set<string>[];
}

/**
 * Appraises a key by simulation: specimens are drawn from the scores of each taxon, and readers who misread at their rate follow the
 * key, weighing the statements of a lead against one another. The same seed gives the same figures.
 */
export function appraise(
  key: Key,
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  options: AppraisalOptions = {},
): Appraisal {
  const inKey = list.filter(({ taxon }) => key.taxa.includes(taxon.id));
  // A key may have been made with characters that this appraisal would not choose: all are read.
  const { level: _level, banned: _banned, ...reading } = options;
  const sight = sightOf(inKey, vocabulary, key.view, reading);
  const ready = readyCouplets(key, sight);
  const specimens = options.specimens ?? 150;
  const random = randomFrom(options.seed ?? 1);
  const weights = inKey.map(({ taxon }) => options.priors?.[taxon.id] ?? 1);
  const total = weights.reduce((sum, w) => sum + w, 0);
  const lost = new Map<Ready, number>();
  const seen = new SeenStatements();
  const sums = { questions: 0, exact: 0, noisy: 0 };
  const outcomes: number[] = [];
  const unreachable: string[] = [];
  inKey.forEach(({ taxon }, t) => {
    let reached = 0;
    let mean = 0;
    const weight = weights[t]! / total / specimens;
    for (let n = 0; n < specimens; n += 1) {
      const specimen = new Specimen(sight, t, random);
      const sure = walk(key.root, ready, specimen, taxon.id, false, random, (here, lead) =>
        seen.look(here, lead, t, specimen),
      );
      const noisy = walk(key.root, ready, specimen, taxon.id, true, random);
      sums.questions += weight * sure.questions;
      sums.exact += weight * sure.right;
      sums.noisy += weight * noisy.right;
      reached += sure.right > 0 ? 1 : 0;
      mean += noisy.right / specimens;
      if (noisy.lostAt) lost.set(noisy.lostAt, (lost.get(noisy.lostAt) ?? 0) + weight);
    }
    outcomes.push((weights[t]! / total) ** 2 * ((mean * (1 - mean)) / specimens));
    if (reached < specimens / 2) unreachable.push(taxon.id);
  });
  const named = endsOf(key.root).flat();
  const worst = [...lost].sort((a, b) => b[1] - a[1])[0];
  const ends = new Map<string, string[]>();
  for (const end of endsOf(key.root)) if (end.length > 1) ends.set([...end].sort().join(), end);
  return {
    taxa: inKey.length,
    couplets: ready.size,
    meanQuestions: sums.questions,
    bound: Math.log2(Math.max(1, inKey.length)),
    rightIfNobodyErrs: sums.exact,
    right: sums.noisy,
    rightError: Math.sqrt(outcomes.reduce((sum, v) => sum + v, 0)),
    unreachable,
    together: [...ends.values()],
    falseStatements: seen.falseOf(inKey),
    mostEnds: Math.max(...inKey.map(({ taxon }) => named.filter((id) => id === taxon.id).length)),
    ...(worst ? { weakest: { path: worst[0].path, lost: worst[1] } } : {}),
  };
}

function readyCouplets(key: Key, sight: Sight): Map<KeyNode, Ready> {
  return new Map(
    couplets(key).map(({ path, couplet }) => {
      const first = couplet.leads[0]!;
      const rows = [
        couplet.leads.map((lead) => lead.condition),
        ...first.also.map((_, j) => couplet.leads.map((lead) => lead.also[j] ?? lead.condition)),
      ];
      const statements = rows.flatMap((conditions): Statement[] => {
        const channel = channelOf(sight.readings, conditions[0]!);
        const size = channel?.rows.find((row) => row)?.length;
        if (!channel || !size) return [];
        return [
          {
            channel,
            met: conditions.map((condition) => whereMet(channel, size, condition)),
            trust: trust(channel, sight.reader),
          },
        ];
      });
      const below = couplet.leads.map((lead) => new Set(taxaBelow(lead.to)));
      return [couplet as KeyNode, { statements, couplet, path, below }];
    }),
  );
}

const endsOf = (node: KeyNode): string[][] =>
  node.kind === 'end' ? [node.taxa] : node.leads.flatMap((lead) => endsOf(lead.to));

/** How many specimens of a taxon came down a lead, and of how many a confirming statement there was false. */
interface Seen {
  here: Ready;
  lead: number;
  statement: Statement;
  taxon: number;
  all: number;
  wrong: number;
}

/** What specimens that come down each lead show of its confirming statements. */
class SeenStatements {
  private readonly counts = new Map<string, Seen>();

  look(here: Ready, lead: number, taxon: number, specimen: Specimen): void {
    here.statements.slice(1).forEach((statement, j) => {
      const reading = specimen.read(statement.channel, false);
      if (reading === undefined) return;
      const key = `${here.path.join()} ${lead} ${j} ${taxon}`;
      const seen = this.counts.get(key) ?? { here, lead, statement, taxon, all: 0, wrong: 0 };
      seen.all += 1;
      if (!statement.met[lead]![reading]) seen.wrong += 1;
      this.counts.set(key, seen);
    });
  }

  /** Those of which more are false than one in twenty, beyond the chance of the draw: three standard errors, for a key makes hundreds of statements. */
  falseOf(list: readonly ProfiledTaxon[]): Appraisal['falseStatements'] {
    return [...this.counts.values()].flatMap(({ here, lead, statement, taxon, all, wrong }) => {
      const { id } = list[taxon]!.taxon;
      const chance = BY_CHANCE * Math.sqrt((WANTED_TRUE * (1 - WANTED_TRUE)) / all);
      // A taxon that hardly ever comes down a lead is not below it.
      if (!here.below[lead]!.has(id) || all < FEW) return [];
      if (wrong / all <= 1 - WANTED_TRUE + chance) return [];
      const { character } = statement.channel;
      return [{ path: here.path, lead, characterId: character.id, taxon: id, share: wrong / all }];
    });
  }
}

/** A statement is true of this share of the specimens of each taxon below it. */
const WANTED_TRUE = 0.95;
/** Standard errors that are no more than the chance of the draw. */
const BY_CHANCE = 3;
/** Fewer specimens than this say nothing. */
const FEW = 10;

/** One individual and its reader: its own states are drawn once and stay, and what is misread once is taken for the same again. */
class Specimen {
  private readonly own = new Map<Channel, number>();
  private readonly taken = new Map<Channel, number>();
  private readonly sight: Sight;
  private readonly taxon: number;
  private readonly random: Random;

  constructor(sight: Sight, taxon: number, random: Random) {
    this.sight = sight;
    this.taxon = taxon;
    this.random = random;
  }

  /** The place of a reading in the channel's support; undefined where the taxon is not scored for it. */
  read(channel: Channel, noisy: boolean): number | undefined {
    const row = channel.rows[this.taxon];
    if (!row) return undefined;
    let own = this.own.get(channel);
    if (own === undefined) {
      own = this.random.weighted(row as unknown as number[]);
      this.own.set(channel, own);
    }
    if (!noisy) return own;
    let taken = this.taken.get(channel);
    if (taken === undefined) {
      taken = this.takenFor(channel, own, row.length);
      this.taken.set(channel, taken);
    }
    return taken;
  }

  /** What the reader takes it for. Of a number or a yes or no that is misread, whatever the list shows besides. */
  private takenFor({ character, rows, shown }: Channel, own: number, size: number): number {
    const m = misreadRate(character, this.sight.reader);
    if (shown) return this.random.weighted([...takenFor(character, own, m, shown)]);
    if (this.random.uniform() >= m) return own;
    const others = Array.from({ length: size }, (_, s) =>
      s === own ? 0 : rows.reduce((sum, row) => sum + (row?.[s] ?? 0), 0),
    );
    return others.some((share) => share > 0) ? this.random.weighted(others) : own;
  }
}

function walk(
  root: KeyNode,
  ready: Map<KeyNode, Ready>,
  specimen: Specimen,
  truth: string,
  noisy: boolean,
  random: Random,
  passing?: (here: Ready, lead: number) => void,
): { right: number; questions: number; lostAt?: Ready } {
  let [node, questions] = [root, 0];
  let lostAt: Ready | undefined;
  while (node.kind === 'couplet') {
    const here = ready.get(node)!;
    const lead = decide(here, specimen, noisy, random);
    passing?.(here, lead);
    questions += 1;
    if (!lostAt && !here.below[lead]!.has(truth) && here.below.some((taxa) => taxa.has(truth))) lostAt = here;
    node = node.leads[lead]!.to;
  }
  const right = node.taxa.includes(truth) ? 1 / node.taxa.length : 0;
  return { right, questions, ...(right === 0 && lostAt ? { lostAt } : {}) };
}

/** The lead for which most speaks; where nothing decides, one by chance. If nobody errs the first statement alone decides. */
function decide({ statements, couplet }: Ready, specimen: Specimen, noisy: boolean, random: Random): number {
  const votes = couplet.leads.map(() => 0);
  for (const [j, { channel, met, trust: weight }] of statements.entries()) {
    const reading = specimen.read(channel, noisy);
    if (reading === undefined) continue;
    const lead = met.findIndex((where) => where[reading]);
    // What is said on both leads decides nothing.
    if (j > 0 && met.some((where, other) => other !== lead && where[reading])) continue;
    if (lead >= 0) votes[lead]! += j === 0 ? weight * FIRST_COUNTS : weight;
    if (!noisy && j === 0 && lead >= 0) break;
  }
  const most = Math.max(...votes);
  const best = votes.flatMap((vote, lead) => (vote > most - 1e-9 ? [lead] : []));
  return best.length === 1 ? best[0]! : random.pick(best);
}
