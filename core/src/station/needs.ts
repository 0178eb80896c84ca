import type { ProfiledTaxon, ReadingOptions } from '../evidence/index.ts';
import type { View } from '../view/index.ts';
import { putIn, type Vocabulary } from '../vocabulary/index.ts';
import { stationFairness } from './fairness.ts';

/** What is done otherwise for a student, privately: a sense that is not used, a way that is not gone, spelling that is not counted. */
export const NEEDS = ['noSmell', 'noTouch', 'color', 'seated', 'spelling'] as const;
export type Need = (typeof NEEDS)[number];

/** As it is ticked for a student. */
export const NEED_TITLES: Record<Need, string> = {
  noSmell: 'does not smell',
  noTouch: 'does not touch',
  color: 'does not go by color',
  seated: 'goes a way without steps, and looks from a seat',
  spelling: 'spelling is not counted',
};

/** As a plan says it of nobody by name, so many of a hundred. */
const WITHOUT: Partial<Record<Need, string>> = {
  noSmell: 'Without smell # of 100 can tell it.',
  noTouch: 'Without touch # of 100 can tell it.',
  color: 'Without color # of 100 can tell it.',
};

const DRAWS = 1000;
/** A sense matters where so many of a hundred readers fail without it. */
const MATTERS = 0.03;

/** What a station is to those who do without something. */
export interface WithoutSense {
  need: Need;
  /** Share of ideal readers right, 0–1. */
  right: number;
}

/**
 * What a station is to those of a class who do without a sense, where it is less than to the others.
 *
 * @param needs of the class; those that touch no sense are passed over
 * @param right share of ideal readers with all senses, 0–1
 * @example
 * withoutSenses(['noSmell', 'spelling'], list, 'prunus-virginiana', BUILT_IN, bareTwig, 0.96); // [{ need: 'noSmell', right: 0.71 }]
 */
export function withoutSenses(
  needs: readonly Need[],
  list: readonly ProfiledTaxon[],
  taxonId: string,
  vocabulary: Vocabulary,
  view: View,
  right: number,
  options: ReadingOptions = {},
): WithoutSense[] {
  return needs.flatMap((need) => {
    if (!WITHOUT[need]) return [];
    const here = senseless(need, vocabulary, view);
    if (!here) return [];
    const found = stationFairness(list, taxonId, here.vocabulary, here.view, {
      ...options,
      draws: DRAWS,
    }).right;
    return found < right - MATTERS ? [{ need, right: found }] : [];
  });
}

/** What is perceived without a sense; undefined where nothing of it was perceived before. */
function senseless(
  need: Need,
  vocabulary: Vocabulary,
  view: View,
): { vocabulary: Vocabulary; view: View } | undefined {
  if (need === 'color') {
    const colorless = new Map([...vocabulary].filter(([id]) => !/color$/i.test(id)));
    return { vocabulary: colorless, view };
  }
  const aid = need === 'noSmell' ? 'smell' : 'touch';
  return view.aids.includes(aid)
    ? { vocabulary, view: { ...view, aids: view.aids.filter((each) => each !== aid) } }
    : undefined;
}

/**
 * What a plan says of a station to those who do without something, and names nobody.
 *
 * @param say finds its fixed sentences in another language
 * @example
 * needsInWords([{ need: 'noSmell', right: 0.71 }], ['noSmell', 'seated'], 'livingTree');
 * // ['Without smell 71 of 100 can tell it.', 'Somebody goes without steps and looks from a seat: is it reached and seen so?']
 */
export function needsInWords(
  found: readonly WithoutSense[],
  needs: readonly Need[],
  medium: string,
  say: (words: string) => string = (words) => words,
): string[] {
  return [
    ...found.map(({ need, right }) => putIn(say(WITHOUT[need]!), String(Math.round(100 * right)))),
    ...(needs.includes('seated') && medium === 'livingTree'
      ? [say('Somebody goes without steps and looks from a seat: is it reached and seen so?')]
      : []),
  ];
}
