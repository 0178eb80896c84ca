import type { Condition } from '../condition/index.ts';
import { inOneCondition, type ProfiledTaxon } from '../evidence/index.ts';
import type { View } from '../view/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import type { Arriving } from './arriving.ts';
import { withClinchers } from './clinch.ts';
import { confirmers, jointSlip } from './confirm.ts';
import { byTheBook, hasGap, varying } from './convention.ts';
import { Sieve } from './sieve.ts';
import type { Couplet, Key, KeyNode } from './key.ts';
import {
  furtherQuestions,
  LONG_LIST,
  numberQuestions,
  questionsOf,
  sightOf,
  type Question,
  type QuestionOptions,
  type Sight,
} from './questions.ts';

export const KEY_ORDERS = ['book', 'fewest'] as const;
export type KeyOrder = (typeof KEY_ORDERS)[number];

export interface KeyOptions extends QuestionOptions {
  /** How common each taxon is, by id; equal where not given. */
  priors?: Readonly<Record<string, number>>;
  /** By the book, as manuals part trees, or with as few questions as may be; by the book if not given. */
  order?: KeyOrder;
  /** Confirming characters a lead carries at most; 2 if not given. */
  confirming?: number;
  /** Called with the share of the work done, 0–1, as each end of the key is reached. */
  progress?: (share: number) => void;
}

/** Questions that a wrong turn is worth: the way is lost and must be gone again. */
const WRONG_TURN = 28;
/** What one bit of uncertainty will cost: the questions that part it, and the wrong turns to come on that way. */
const QUESTIONS_A_BIT = 3.5;
/** Questions whose next step is looked at, and the number of taxa up to which that is done. */
const LOOKED_AT = 24;
/** In long lists confirming characters are looked for up to this many taxa: above, there hardly are any. */
const CONFIRMED_IN_LONG = 24;
const LOOK_AHEAD_UP_TO = 64;
/** A taxon of which less than this share of its individuals comes down a lead is not followed there. */
const LOST_BELOW = 0.1;
/** Nor one of which so much less came so far: a variable taxon would come out five times. */
const LOST_ON_THE_WAY = 0.2;
/** What fewer specimens show than this is not named on a lead. */
const HARDLY_SHOWN = 0.01;
/** Numbers are cut anew for this many taxa or fewer. */
const CUT_ANEW = 24;
/** What it is worth, in questions, that no taxon of those that arrive comes out twice. */
const TWICE = 5;
/** What a question is ranked by; it must win some bits to be worth asking. */
const TERMS = { worth: 0.08, aBit: QUESTIONS_A_BIT, wrongTurn: WRONG_TURN, twice: TWICE };
/** Share of the taxa that may be unscored for a question when no question is scored for all. */
const UNSCORED = 0.34;

/** What building below a node needs to know: shared by the whole key. */
export interface Ground {
  list: readonly ProfiledTaxon[];
  sight: Sight;
  questions: Question[];
  options: KeyOptions;
  priors: Float64Array;
}

/**
 * An identification key for a list in a view (docs/method.md, Keys; criteria as reviewed by R. W. Payne & D. A. Preece 1980, Journal of
 * the Royal Statistical Society A 143: 253–292). By the book the first questions are those of the convention, in its order, as far as
 * they part the taxa cleanly. Else, and after them, the question is chosen that makes the expected cost to go least: what it costs to
 * look, the wrong turns that misreading causes, taxa that come out twice, and what uncertainty it leaves, looking one question ahead. Taxa
 * that vary come out on all leads they may show. A few taxa that nothing tells apart end together.
 * The key is for one condition of leaves; where the date leaves it open, for the likelier one. Throws if the list is empty.
 */
export function buildKey(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  options: KeyOptions = {},
): Key {
  if (list.length === 0) throw new Error('A key needs at least one taxon');
  const condition = inOneCondition(list, view, options);
  const ground = groundOf(list, vocabulary, condition, options);
  const root = buildBelow(ground, everyone(ground));
  return withClinchers({ view: condition, taxa: list.map(({ taxon }) => taxon.id), root }, ground.sight);
}

export function groundOf(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  options: KeyOptions,
): Ground {
  const sight = sightOf(list, vocabulary, view, options);
  const raw = list.map(({ taxon }) => Math.max(1e-6, options.priors?.[taxon.id] ?? 1));
  const total = raw.reduce((sum, p) => sum + p, 0);
  return {
    list,
    sight,
    questions: questionsOf(sight, options),
    options,
    priors: Float64Array.from(raw, (p) => p / total),
  };
}

export const everyone = ({ priors }: Ground): Arriving => ({
  taxa: Int32Array.from(priors, (_, i) => i),
  weights: priors.slice(),
  asked: new Map(),
});

/** The part of a key below a node at which these taxa arrive. */
export function buildBelow(ground: Ground, arriving: Arriving, done = { share: 0 }): KeyNode {
  const share = arriving.weights.reduce((sum, w) => sum + w, 0);
  const question = arriving.taxa.length > 1 ? bestQuestion(ground, arriving) : undefined;
  if (!question) {
    done.share += share;
    ground.options.progress?.(Math.min(1, done.share));
    return { kind: 'end', taxa: [...arriving.taxa].map((t) => ground.list[t]!.taxon.id), share };
  }
  return coupletOf(ground, arriving, question, (child) => buildBelow(ground, child, done));
}

/** A couplet that asks a question of the taxa that arrive, with its confirming characters. */
export function coupletOf(
  ground: Ground,
  arriving: Arriving,
  question: Question,
  below: (arriving: Arriving, lead: number) => KeyNode,
): Couplet {
  const sides = question.leads.map((_, b) => follow(ground, arriving, question, b));
  const also = confirming(ground, arriving, question, sides);
  const parted = question.leads
    .map((condition, b) => ({
      condition,
      also: also.map((each) => each.leads[b]!),
      to: sides[b]!,
    }))
    .filter(({ to }) => to.taxa.length > 0);
  return {
    kind: 'couplet',
    share: arriving.weights.reduce((sum, w) => sum + w, 0),
    leads: parted.map(({ condition, also: confirming, to }, i) => ({
      condition: trimmed(condition, question, arriving),
      also: confirming,
      to: below(to, i),
    })),
  };
}

const confirming = (ground: Ground, arriving: Arriving, question: Question, sides: readonly Arriving[]) =>
  ground.list.length > LONG_LIST && arriving.taxa.length > CONFIRMED_IN_LONG
    ? []
    : confirmers(ground.sight, arriving, question, ground.options.confirming ?? 2, ground.options, sides);

/** The taxa that come down one lead of a question. Those that the question leaves open come down each. */
export function follow(
  { priors }: Ground,
  { taxa, weights, asked }: Arriving,
  question: Question,
  lead: number,
): Arriving {
  const shares = question.shares[lead]!;
  const [kept, w]: [number[], number[]] = [[], []];
  for (let i = 0; i < taxa.length; i += 1) {
    const t = taxa[i]!;
    const known = shares[t]!;
    const share = Number.isNaN(known) ? 1 / question.leads.length : known;
    const lost = share < LOST_BELOW || weights[i]! * share < LOST_ON_THE_WAY * priors[t]!;
    if (lost && !isLikeliest(question, t, lead)) continue;
    kept.push(t);
    w.push(weights[i]! * share);
  }
  return {
    taxa: Int32Array.from(kept),
    weights: Float64Array.from(w),
    asked: narrowed(asked, question, lead),
  };
}

/** A taxon is always followed where most of its individuals go. */
const isLikeliest = ({ shares }: Question, t: number, lead: number): boolean =>
  shares.every(
    (other, b) =>
      b === lead || !(other[t]! > shares[lead]![t]! || (b < lead && other[t]! === shares[lead]![t]!)),
  );

function narrowed(asked: Arriving['asked'], { channel, met }: Question, lead: number): Arriving['asked'] {
  const [here, before] = [met[lead]!, asked.get(channel)];
  return new Map(asked).set(channel, before ? here.map((x, s) => x & before[s]!) : here);
}

/** A lead names only states, and numbers of a count, that a taxon which arrives here may show. */
function trimmed(condition: Condition, { channel }: Question, { taxa }: Arriving): Condition {
  const { character, state, rows, grid } = channel;
  const shown = (s: number) => [...taxa].some((t) => (rows[t]?.[s] ?? 0) > HARDLY_SHOWN);
  if (character.kind === 'count' && grid) {
    const numbers = Array.from({ length: grid.size }, (_, s) => s)
      .filter(shown)
      .map((s) => grid.from + s)
      .filter((n) => n >= (condition.from ?? 0) && n < (condition.below ?? Infinity));
    if (numbers.length === 0) return condition;
    return { ...condition, from: Math.min(...numbers), below: Math.max(...numbers) + 1 };
  }
  const { states } = condition;
  if (!states || states.length < 2 || state !== undefined) return condition;
  const seen = states.filter((id) => shown(character.states.findIndex((each) => each.id === id)));
  return seen.length ? { ...condition, states: seen } : condition;
}

/** The question that comes next; undefined where none parts the taxa any further. */
function bestQuestion(ground: Ground, arriving: Arriving): Question | undefined {
  const questions = questionsHere(ground, arriving).filter((question) => hasGap(question, arriving));
  const sieve = new Sieve(arriving);
  const ranked = (among: readonly Question[], unscored: number, keep: number) =>
    sieve
      .rank(among, { ...TERMS, unscored, keep })
      .filter(({ question }) => parts(ground, arriving, question));
  if (ground.options.order !== 'fewest')
    for (const among of byTheBook(questions, arriving)) {
      const first = ranked(among, 0, 1)[0];
      if (first) return first.question;
    }
  for (const unscored of [0, UNSCORED]) {
    const best = ranked(questions, unscored, ground.list.length > LONG_LIST ? 1 : LOOKED_AT);
    if (best.length === 0) continue;
    if (best.length === 1) return best[0]!.question;
    return best
      .map(({ question }) => ({ question, value: costToGo(ground, arriving, question, questions) }))
      .reduce((least, each) => (each.value < least.value ? each : least)).question;
  }
  return undefined;
}

/** Do specimens come down two leads at least, once byways are left out? */
const parts = (ground: Ground, arriving: Arriving, question: Question): boolean =>
  question.leads.filter((_, b) => follow(ground, arriving, question, b).taxa.length > 0).length > 1;

/** What may be asked of these taxa: what was not asked yet; in lists that are not long also what was, as far as it left anything open. */
export function questionsHere(ground: Ground, { taxa, asked }: Arriving): Question[] {
  const fresh = ground.questions.filter(({ channel }) => !asked.has(channel));
  if (ground.list.length > LONG_LIST) return fresh;
  const own = taxa.length <= CUT_ANEW ? numberQuestions(ground.sight, taxa, ground.options) : [];
  const further = [...asked].flatMap(([channel, left]) =>
    furtherQuestions(ground.sight, channel, left, taxa, ground.options),
  );
  return [...fresh, ...own.filter(({ channel }) => !asked.has(channel)), ...further];
}

/** Expected cost of the key from here on if it goes on with this question, looking one more question ahead in small groups. */
function costToGo(ground: Ground, arriving: Arriving, question: Question, questions: Question[]): number {
  const total = arriving.weights.reduce((sum, w) => sum + w, 0);
  const sides = question.leads.map((_, b) => follow(ground, arriving, question, b));
  const also = confirming(ground, arriving, question, sides);
  let value =
    question.cost +
    WRONG_TURN * jointSlip(arriving, question, also) +
    (TWICE * varying(question, arriving)) / total;
  const next = questions.filter(({ channel }) => channel !== question.channel);
  for (let b = 0; b < question.leads.length; b += 1) {
    const child = sides[b]!;
    if (child.taxa.length < 2) continue;
    const part = child.weights.reduce((sum, w) => sum + w, 0) / total;
    const sieve = new Sieve(child);
    const ahead =
      child.taxa.length <= LOOK_AHEAD_UP_TO
        ? sieve.rank(next, { ...TERMS, unscored: 0, keep: 1 })[0]?.value
        : undefined;
    value +=
      part *
      (ahead ??
        QUESTIONS_A_BIT * sieve.bits() + (child.taxa.length <= LOOK_AHEAD_UP_TO ? WRONG_TURN / 4 : 0));
  }
  return value;
}
