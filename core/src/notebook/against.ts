import { readingsOf, scoresInView, type ProfiledTaxon, type ReadingOptions } from '../evidence/index.ts';
import { admits, stateWeights, YES_SHARE, type RangeValue, type ScoreValue } from '../score/index.ts';
import { MEDIUM_VIEWS, type View } from '../view/index.ts';
import type { Character, Vocabulary } from '../vocabulary/index.ts';

/** One thing that an entry says of a tree: a state that was chosen, or read out of somebody's own words. */
export interface Said {
  characterId: string;
  state: string;
  /** Of a count or a length in place of a state, metres. */
  value?: number;
  denied?: boolean;
}

/** What a library says to it. */
export type Verdict =
  /** The tree shows it. */
  | 'agrees'
  /** It shows it, but seldom. */
  | 'seldom'
  /** It shows what is next to it: a step beside, or a neighboring color. */
  | 'nearly'
  | 'misread'
  /** The library does not say. */
  | 'not said'
  /** It cannot be seen on this day, or does not apply to this tree. */
  | 'not to be seen';

export interface JudgedSaying extends Said {
  verdict: Verdict;
  /** The states that the tree shows, the usual one first. */
  right: string[];
  /** What the library says, as it is scored: for what has no states. */
  scored: ScoreValue[];
  /** It holds of a young tree: nobody noted how old this one was. */
  young?: boolean;
}

/** What can be seen by who stands at a tree on a day of the year, with the rule of the notebook. */
const atTheTree = (day: number, plantAge: 'young' | 'mature'): View => ({
  ...MEDIUM_VIEWS.livingTree,
  aids: [...MEDIUM_VIEWS.livingTree.aids, 'rule'],
  day,
  qualifiers: { plantAge },
});

/** Rarer than this, a state is shown seldom: what is “sometimes” beside what is “always” has 27 %, what is “rarely” some 5 %. */
const SELDOM = 0.15;
/** A length or a count is misread where it lies further than this from the extremes, as a share of them. */
const OFF = 0.15;

/**
 * Reads an entry against the library: what agrees with it, and what was misread.
 *
 * @param view what could be seen of the tree: the day counts, the organs are those that the entry may speak of
 * @example
 * readAgainst([{ characterId: 'leaf.teeth', state: 'double' }], paperBirch, BUILT_IN, view)[0]!.verdict; // 'agrees'
 */
export function readAgainst(
  sayings: readonly Said[],
  profiled: ProfiledTaxon,
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions = {},
): JudgedSaying[] {
  const { channels } = readingsOf([profiled], vocabulary, view, options);
  return sayings.flatMap((saying) => {
    const character = vocabulary.get(saying.characterId);
    if (!character) return [];
    const all = profiled.scores.filter((score) => score.characterId === character.id);
    const scored = scoresInView(all, view).map(({ value }) => value);
    const right = rightOf(character, scored);
    const verdict =
      scored.length === 0
        ? 'not said'
        : channels.has(character.id)
          ? verdictOn(saying, character, scored)
          : 'not to be seen';
    return [{ ...saying, verdict, right, scored }];
  });
}

/**
 * The same for what was noted at a tree on a day of the year. How old the tree was nobody wrote down: what a mature one does not show, and a young
 * one does, agrees.
 */
export function readAtTree(
  sayings: readonly Said[],
  profiled: ProfiledTaxon,
  vocabulary: Vocabulary,
  day: number,
  options: ReadingOptions = {},
): JudgedSaying[] {
  const [mature, young] = (['mature', 'young'] as const).map((age) =>
    readAgainst(sayings, profiled, vocabulary, atTheTree(day, age), options),
  );
  return mature!.map((judged, i) =>
    !SHOWS.includes(judged.verdict) && SHOWS.includes(young![i]!.verdict)
      ? { ...young![i]!, young: true }
      : judged,
  );
}

const SHOWS: readonly Verdict[] = ['agrees', 'seldom'];

function rightOf(character: Character, scored: readonly ScoreValue[]): string[] {
  const states = character.kind === 'flag' ? ['yes', 'no'] : character.states.map(({ id }) => id);
  return states
    .filter((state) => scored.some((value) => value.kind !== 'range' && admits(value, state)))
    .sort((x, y) => shareOf(character, scored, y) - shareOf(character, scored, x));
}

/** How often a tree shows a state, 0–1. */
function shareOf({ anyOf }: Character, scored: readonly ScoreValue[], state: string): number {
  const shares = scored.map((value) => {
    if (value.kind === 'flag') {
      const yes = YES_SHARE[value.frequency];
      return state === 'yes' ? yes : 1 - yes;
    }
    if (value.kind !== 'states') return 0;
    const entry = value.states.find((each) => each.state === state);
    return anyOf ? (entry ? YES_SHARE[entry.frequency] : 0) : (stateWeights(value).get(state) ?? 0);
  });
  return Math.max(0, ...shares);
}

function verdictOn(saying: Said, character: Character, scored: readonly ScoreValue[]): Verdict {
  if (saying.value !== undefined) return verdictOnNumber(saying.value, scored);
  const share = shareOf(character, scored, saying.state);
  if (saying.denied) {
    if (share === 0) return 'agrees';
    return share > 1 - SELDOM ? 'misread' : 'not said';
  }
  if (share >= SELDOM) return 'agrees';
  if (share > 0) return 'seldom';
  if (states(character, scored).some((shown) => isNext(character, shown, saying.state))) return 'nearly';
  const open = character.anyOf && !scored.every((value) => value.kind === 'states' && value.exhaustive);
  return open ? 'not said' : 'misread';
}

const states = (character: Character, scored: readonly ScoreValue[]): string[] =>
  character.states.map(({ id }) => id).filter((id) => shareOf(character, scored, id) > 0);

/** One step beside in an order, or a color with a share in the other, as gray-brown has in gray. */
function isNext({ kind, states: all }: Character, a: string, b: string): boolean {
  const [x, y] = [a, b].map((state) => all.findIndex(({ id }) => id === state));
  if (kind === 'ordinal') return Math.abs(x! - y!) === 1;
  const [one, other] = [a.toLowerCase(), b.toLowerCase()];
  return COLORS.test(a) && COLORS.test(b) && (one.includes(other) || other.includes(one));
}

const COLORS = /grey|brown|red|yellow|green|black|white/i;

function verdictOnNumber(value: number, scored: readonly ScoreValue[]): Verdict {
  const ranges = scored.filter((each): each is RangeValue => each.kind === 'range');
  if (ranges.length === 0) return 'not said';
  const within = (slack: number) =>
    ranges.some(({ min, low, high, max, typical, open }) => {
      const least = min ?? low ?? typical ?? 0;
      const most = open ? Infinity : (max ?? high ?? typical ?? Infinity);
      return value >= least * (1 - slack) && value <= most * (1 + slack);
    });
  if (within(0)) return 'agrees';
  return within(OFF) ? 'nearly' : 'misread';
}
