import { qualifierKey, type AdoptedScore } from '../score/index.ts';
import type { Place } from '../season/index.ts';
import type { Taxon } from '../taxon/index.ts';
import type { View } from '../view/index.ts';

/** A taxon with its adopted scores: what every computation of the heart works on. */
export interface ProfiledTaxon {
  taxon: Taxon;
  scores: AdoptedScore[];
}

/** How often a state is misread: by an expert taking care, by a beginner, or never ("exact": what the scores themselves say). */
export type Reader = 'careful' | 'novice' | 'exact';

export interface ReadingOptions {
  reader?: Reader;
  /** Where the calendars were recorded and where the view is; without both, calendars are used as they stand. */
  reference?: Place;
  site?: Place;
  /** Flowers and fruit are compared by what their scores say, also of trees that carry none on the day. */
  lying?: boolean;
  /**
   * Specimens as they come: flowers and fruit are borne by a share of them, near their dates and since not every tree bears, and whether they are
   * is read as well. Else each taxon bears what most of it bears on the day, as what was chosen for a station or a key does.
   */
  asTheyCome?: boolean;
}

export const isDeciduous = (profiled: ProfiledTaxon): boolean =>
  profiled.scores.some(
    (score) =>
      score.characterId === 'habit.persistence' &&
      score.value.kind === 'states' &&
      score.value.states[0]?.state === 'deciduous',
  );

function hasQualifiers({ qualifiers }: AdoptedScore): boolean {
  for (const name in qualifiers) if (qualifiers[name as keyof typeof qualifiers]) return true;
  return false;
}

/**
 * The scores that hold under the qualifiers of the view: those that contradict it are out, of the rest the ones that
 * match it most closely stay. Several may stay (male and female catkins, the view silent); they are then mixed.
 */
export function scoresInView(
  scores: readonly AdoptedScore[],
  view: Pick<View, 'qualifiers'>,
): AdoptedScore[] {
  if (scores.every((score) => !hasQualifiers(score))) return [...scores];
  const fitting = scores
    .map((score) => {
      const entries = Object.entries(score.qualifiers).filter(([, value]) => value);
      const asked = entries.filter(([name]) => view.qualifiers[name as keyof typeof view.qualifiers]);
      const contradicts = asked.some(
        ([name, value]) => view.qualifiers[name as keyof typeof view.qualifiers] !== value,
      );
      return { score, matches: asked.length, contradicts };
    })
    .filter((entry) => !entry.contradicts);
  const best = Math.max(...fitting.map((entry) => entry.matches));
  return fitting
    .filter((entry) => entry.matches === best)
    .map((entry) => entry.score)
    .sort((a, b) => qualifierKey(a.qualifiers).localeCompare(qualifierKey(b.qualifiers)));
}
