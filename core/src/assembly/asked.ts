import { contrast, misreadRate, type ProfiledTaxon, type ReadingOptions } from '../evidence/index.ts';
import { randomFrom, seedOf } from '../random/index.ts';
import { CHOICES, QUESTION_TITLES, questionsAbout, settlersOf, type Question } from '../station/index.ts';
import { STANDINGS, standingOf, type Vocabulary } from '../vocabulary/index.ts';
import type { Candidate } from './candidates.ts';
import type { AskedKind, ClassSoFar } from './wishes.ts';

/** What is asked, as it stands behind “ask for”. */
export const ASKED_TITLES: Record<AskedKind, string> = {
  name: 'the name',
  choose: 'one of four names',
  ...QUESTION_TITLES,
};

/** What a candidate asks. */
export const askedKindOf = ({ question, choose }: Pick<Candidate, 'question' | 'choose'>): AskedKind =>
  question?.kind ?? (choose ? 'choose' : 'name');

/** A known use of a character is as good as no reason to ask for it; of an unknown one nothing speaks for or against. */
const UNKNOWN = 0.5;

interface AskedGround extends ReadingOptions {
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
}

/**
 * The same stations with something else asked there than a written name, each where it can be: the name of four, family and genus by the rivals that share
 * them, a feature of good standing, what settles it against the tree it is taken for, a count or a measure.
 *
 * @param candidates that ask for the name
 * @param kinds that are wanted
 * @returns candidates with `question` or `choose`, their ids ending in the kind: `abies-grandis cutting state`
 * @example
 * askedCandidates(table.candidates, ['genus'], ground, so)[0]; // { id: 'abies-grandis cutting genus', question: { kind: 'genus' }, right: 0.99, … }
 */
export function askedCandidates(
  candidates: readonly Candidate[],
  kinds: readonly AskedKind[],
  ground: AskedGround,
  so: Pick<ClassSoFar, 'mixedUp' | 'doubtful'>,
): Candidate[] {
  const by = new Map(ground.list.map((profiled) => [profiled.taxon.id, profiled]));
  return candidates.flatMap((each) => {
    const profiled = by.get(each.taxonId);
    if (!profiled) return [];
    return kinds.flatMap((kind) => asked(each, kind, profiled, by, ground, so) ?? []);
  });
}

type Of = ReadonlyMap<string, ProfiledTaxon>;

function asked(
  each: Candidate,
  kind: AskedKind,
  profiled: ProfiledTaxon,
  by: Of,
  ground: AskedGround,
  so: Pick<ClassSoFar, 'mixedUp' | 'doubtful'>,
): Candidate | undefined {
  const as = (part: Partial<Candidate>): Candidate => ({ ...each, id: `${each.id} ${kind}`, ...part });
  switch (kind) {
    // What is sorted is a sheet of drawings, made by hand.
    case 'name':
    case 'sort':
      return undefined;
    case 'choose':
      // Of four the likest ones are offered: no harder than of all, and whoever knows nothing is right in one of four.
      return as({ choose: true, beginner: Math.max(each.beginner, 1 / CHOICES), tells: [] });
    case 'family':
    case 'genus': {
      const own = profiled.taxon[kind];
      const shared = (right: number, rivals: Candidate['rivals']) =>
        right + (1 - right) * shareOf(rivals, (id) => by.get(id)?.taxon[kind] === own);
      return as({
        question: { kind },
        right: shared(each.right, each.rivals),
        beginner: shared(each.beginner, each.taken),
        tells: [],
        // Asked where the name itself asks too much.
        suits: 1 - each.right,
      });
    }
    case 'settles':
      return settling(each, profiled, by, ground, so.mixedUp, as);
    default:
      return ofCharacter(each, kind, profiled, ground, so.doubtful, as);
  }
}

/** What share of these goes to such as are alike. */
function shareOf(rivals: Candidate['rivals'], is: (id: string) => boolean): number {
  const sum = (some: Candidate['rivals']) => some.reduce((all, { share }) => all + share, 0);
  const all = sum(rivals);
  return all > 0 ? sum(rivals.filter(({ taxonId }) => is(taxonId))) / all : 0;
}

function ofCharacter(
  each: Candidate,
  kind: 'state' | 'number',
  profiled: ProfiledTaxon,
  { vocabulary, reference, site }: AskedGround,
  doubtful: ClassSoFar['doubtful'],
  as: (part: Partial<Candidate>) => Candidate,
): Candidate | undefined {
  const lot = randomFrom(seedOf(each.id, kind));
  const calendar = { ...(reference ? { reference } : {}), ...(site ? { site } : {}) };
  // Who has no rule can count and not measure.
  const can = (id: string) =>
    kind === 'state' || vocabulary.get(id)!.kind === 'count' || each.view.aids.includes('rule');
  const about = questionsAbout(profiled, each.view, vocabulary, calendar)[kind];
  const [best] = about
    .filter(can)
    .map((id) => ({
      id,
      // Marks before others, what may be overlooked before what is known, else by lot: not the same at every station.
      rank:
        STANDINGS.indexOf(standingOf(vocabulary.get(id)!, profiled.taxon.genus)) -
        (doubtful[id] ?? UNKNOWN) +
        0.5 * lot.uniform(),
    }))
    .sort((x, y) => x.rank - y.rank);
  if (!best) return undefined;
  const character = vocabulary.get(best.id)!;
  const question: Question = { kind, characterId: best.id };
  return as({
    question,
    right: 1 - misreadRate(character, 'careful'),
    beginner: 1 - misreadRate(character, 'novice'),
    tells: [],
    suits: doubtful[best.id] ?? 0,
  });
}

/** Against whom: a tree that the class mixes it up with, else the one that beginners take it for. */
function settling(
  each: Candidate,
  profiled: ProfiledTaxon,
  by: Of,
  { list, vocabulary, ...options }: AskedGround,
  mixedUp: ClassSoFar['mixedUp'],
  as: (part: Partial<Candidate>) => Candidate,
): Candidate | undefined {
  const own = profiled.taxon.id;
  const pair = mixedUp.find(({ a, b }) => a === own || b === own);
  const from = pair ? (pair.a === own ? pair.b : pair.a) : each.taken[0]?.taxonId;
  if (from === undefined || !by.has(from)) return undefined;
  const made = contrast(list, own, from, vocabulary, each.view, options);
  if (!settlersOf(made, vocabulary, randomFrom(1).uniform)) return undefined;
  return as({
    question: { kind: 'settles', from },
    right: 1 - made.error,
    beginner: Math.max(1 / CHOICES, each.beginner),
    // Whoever stands at the other tree reads here what this one is.
    rivals: [{ taxonId: from, share: 1 }],
    tells: [],
    suits: pair ? 1 : 0,
  });
}

/** At so many stations students are asked what they went by: a third tells nearly as much as all would; half, where learning it is the chief aim. */
const ASKED = { usual: 1 / 3, toLearn: 1 / 2 };
/** From here on it is the chief aim of a quiz. */
const CHIEF = 0.5;

/**
 * At which stations students are best asked what they went by: at a third of them, or half where the quiz is above all to learn of it, where most that is still
 * doubtful could tell the tree.
 *
 * @param toLearn as in the wishes, 0–1
 * @returns in the order of the stations
 * @example
 * askedWentBy(quiz.stations, so, 0.3); // [false, true, false, …]
 */
export function askedWentBy(
  stations: readonly Candidate[],
  { doubtful }: Pick<ClassSoFar, 'doubtful'>,
  toLearn = 0,
): boolean[] {
  const worth = stations.map(({ tells, question }) =>
    question ? 0 : tells.reduce((sum, id) => sum + (doubtful[id] ?? 1), 0),
  );
  const most = [...stations.keys()]
    .filter((i) => !stations[i]!.question)
    .sort((a, b) => worth[b]! - worth[a]!)
    .slice(0, Math.round(stations.length * (toLearn > CHIEF ? ASKED.toLearn : ASKED.usual)));
  return stations.map((_, i) => most.includes(i));
}
