import { shareMeeting, type Condition } from '../condition/index.ts';
import { readingsOf, type ProfiledTaxon, type ReadingOptions, type Readings } from '../evidence/index.ts';
import type { View } from '../view/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import { EXCEPTION_FROM } from './check.ts';
import type { Conclusion, Rule } from './rule.ts';

export interface ProposedRule extends Rule {
  /** Taxa that all show the conditions. */
  covered: string[];
  /** Taxa that are known not to show them. */
  excluded: string[];
}

/** A taxon shows a condition if at least this share of its individuals does. */
const SHOWN_FROM = 0.97;
/** The least taxa that a rule must hold for. */
const LEAST = 3;
/** A conclusion that is not a genus or family names up to this many taxa. */
const NAMED = 8;
const CHARACTERS_ONLY: readonly string[] = ['categorical', 'ordinal', 'flag'];

/**
 * All rules of one or two states that hold without exception for three taxa of the list or more and exclude at least half of the
 * rest, shortest first. Of rules of one length with the same conclusion those that exclude more come first; two states are
 * proposed only where neither alone makes a rule with that conclusion. States alone are mined: a cut through a number is no rule of thumb.
 */
export function mineRules(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions & { progress?: (share: number) => void } = {},
): ProposedRule[] {
  const readings = readingsOf(list, vocabulary, view, { ...options, reader: 'exact' });
  const marks = conditionsOf(readings).map((condition) => ({
    condition,
    ...sidesOf(list.map((_, t) => shareMeeting(readings, t, condition))),
  }));
  const found = new Map<string, ProposedRule>();
  const propose = (conditions: Condition[], shown: number[], excluded: number[]) => {
    if (shown.length < LEAST || shown.length + excluded.length < list.length) return;
    if (excluded.length * 2 < list.length - shown.length || excluded.length === 0) return;
    const then = conclusionOf(shown, list);
    if (!then) return;
    const key = `${conditions.length}|${JSON.stringify(then)}|${conditions.map(({ characterId }) => characterId).join()}`;
    const shorter = [...found.values()].some(
      (rule) =>
        rule.conditions.length < conditions.length && JSON.stringify(rule.then) === JSON.stringify(then),
    );
    if (!shorter && !found.has(key))
      found.set(key, {
        conditions,
        then,
        covered: shown.map((t) => list[t]!.taxon.id),
        excluded: excluded.map((t) => list[t]!.taxon.id),
      });
  };
  for (const { condition, shown, excluded } of marks) propose([condition], shown, excluded);
  marks.forEach((one, i) => {
    options.progress?.((i + 1) / marks.length);
    for (const other of marks.slice(i + 1)) {
      if (one.condition.characterId === other.condition.characterId) continue;
      const both = one.shown.filter((t) => other.shownSet.has(t));
      if (both.length < LEAST) continue;
      const out = new Set([...one.excluded, ...other.excluded]);
      propose([one.condition, other.condition], both, [...out]);
    }
  });
  return [...found.values()].sort(
    (a, b) =>
      a.conditions.length - b.conditions.length ||
      Number(a.then.kind === 'taxa') - Number(b.then.kind === 'taxa') ||
      b.covered.length - a.covered.length,
  );
}

/** One condition for each state that the view shows; flags and states of any-of characters only where seen. */
function conditionsOf(readings: Readings): Condition[] {
  return [...readings.channels.values()].flat().flatMap(({ character, state }): Condition[] => {
    if (!CHARACTERS_ONLY.includes(character.kind) || character.derived) return [];
    const characterId = character.id;
    if (state !== undefined) return [{ characterId, states: [state], present: true }];
    if (character.kind === 'flag') return [{ characterId, present: true }];
    return character.states.map(({ id }) => ({ characterId, states: [id] }));
  });
}

function sidesOf(shares: readonly (number | undefined)[]) {
  const shown = shares.flatMap((share, t) => (share !== undefined && share >= SHOWN_FROM ? [t] : []));
  // What is not scored, or has no such part, cannot show it: a pine is no exception to a rule on leaf teeth.
  const excluded = shares.flatMap((share, t) => (share === undefined || share < EXCEPTION_FROM ? [t] : []));
  return { shown, excluded, shownSet: new Set(shown) };
}

/** The smallest name for some taxa of the list: their genus, their family, or they themselves if they are few. */
function conclusionOf(places: readonly number[], list: readonly ProfiledTaxon[]): Conclusion | undefined {
  const taxa = places.map((t) => list[t]!.taxon);
  const [first] = taxa;
  if (taxa.every(({ genus }) => genus === first!.genus)) return { kind: 'genus', name: first!.genus };
  if (taxa.every(({ family }) => family === first!.family)) return { kind: 'family', name: first!.family };
  return taxa.length <= NAMED ? { kind: 'taxa', taxa: taxa.map(({ id }) => id).sort() } : undefined;
}
