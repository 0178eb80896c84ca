import { t } from '@lingui/core/macro';
import type { ResultRow, SeenRow } from '@hurrow/contract/sitting';
import type { OwnPlace } from '@hurrow/core/contest';
import { upperFirst } from '@hurrow/core/words';
import { seenSaid } from '../language/questionSaid.ts';
import { shortly } from '../language/inWords.ts';

/** Points without needless zeros: 1.5, 2. */
export const pointsInWords = (points: number): string => shortly(points, 2);

/**
 * What was seen and overlooked at a station, a sentence each.
 *
 * @example
 * seenInWords([{ question: 'white bands', said: 'none', right: ['lower face'], isRight: false }]);
 * // ['White bands: you saw “none”; look for “lower face”.']
 */
export const seenInWords = (seen: readonly SeenRow[]): string[] =>
  seen.map(seenSaid).map(({ question, said, right, isRight }) => {
    const asked = upperFirst(question);
    const there = right.map((word) => `“${word}”`).join(t` or `);
    if (said === null) return t`${asked}: you left it open; look for ${there}.`;
    return isRight
      ? t`${asked}: you saw “${said}”, rightly.`
      : t`${asked}: you saw “${said}”; look for ${there}.`;
  });

/**
 * Where one stands, and one's team.
 *
 * @example
 * ownPlaceInWords({ division: 'junior', place: 2, of: 14, by: 'station 7', team: { name: 'Alders', place: 1, of: 4 } });
 * // 'You: place 2 of 14 in junior, by station 7. Alders: place 1 of 4.'
 */
export const ownPlaceInWords = ({ division, place, of, by, team }: OwnPlace): string =>
  [
    t`You: place ${place} of ${of}${division ? t` in ${division}` : ''}${by ? t`, by ${by}` : ''}.`,
    ...(team ? [t`${team.name}: place ${team.place} of ${team.of}.`] : []),
  ].join(' ');

/** May a student ask about a mark? Until the day that was set, where something is missing and nothing was answered. */
export const mayAsk = (
  { points, outOf, regrade }: Pick<ResultRow, 'points' | 'outOf' | 'regrade'>,
  until: string | null,
  now: Date,
): boolean => until !== null && now.toISOString().slice(0, 10) <= until && points < outOf && !regrade?.answer;
