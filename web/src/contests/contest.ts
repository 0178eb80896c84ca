import { t } from '@lingui/core/macro';
import type { Contest } from '@hurrow/contract/contests';
import type { DivisionStandings, Entry } from '@hurrow/core/contest';
import { upperFirst } from '@hurrow/core/words';
import { pointsInWords } from '../quizzes/marking.ts';

/** What a contest goes by, as it is typed. */
export interface ContestTyped {
  edition: string;
  aids: string;
  best: string;
  tieBreaks: string;
  entries: Record<string, Entry>;
}

const NEW: Contest = {
  edition: '',
  aids: t`eyes and hand lens; no books`,
  best: 3,
  tieBreaks: [],
  entries: {},
};

export const typedContest = (contest: Contest | null): ContestTyped => {
  const { edition, aids, best, tieBreaks, entries } = contest ?? NEW;
  return { edition, aids, best: String(best), tieBreaks: tieBreaks.join(', '), entries };
};

const number = (text: string): number | undefined =>
  /^\s*\d{1,3}\s*$/.test(text) ? Number(text) : undefined;

/**
 * A contest as it was typed; a problem where it cannot be read.
 *
 * @param stations how many the quiz has
 * @example
 * contestTyped({ edition: '', aids: '', best: '3', tieBreaks: '7, 2', entries: {} }, 10); // { contest: { best: 3, tieBreaks: [7, 2], … } }
 */
export function contestTyped(
  typed: ContestTyped,
  stations: number,
): { contest: Contest } | { problem: string } {
  const best = number(typed.best.trim() || '0');
  if (best === undefined || best > 50)
    return {
      problem: t`“${typed.best}” is no number of members. Write how many of a team count, 0 where there are no teams.`,
    };
  const written = typed.tieBreaks.split(/[\s,;]+/).filter(Boolean);
  const tieBreaks: number[] = [];
  for (const text of written) {
    const position = number(text);
    if (position === undefined || position < 1 || position > stations)
      return {
        problem: t`“${text}” is no station. This quiz has stations 1 to ${stations}; write them like 7, 2.`,
      };
    if (!tieBreaks.includes(position)) tieBreaks.push(position);
  }
  const entries = Object.fromEntries(
    Object.entries(typed.entries)
      .map(([id, { team, division }]) => [id, { team: team.trim(), division: division.trim() }] as const)
      .filter(([, { team, division }]) => team || division),
  );
  return { contest: { edition: typed.edition.trim(), aids: typed.aids.trim(), best, tieBreaks, entries } };
}

/** The entries with what was typed of one student. */
export const withEntry = (typed: ContestTyped, id: string, part: Partial<Entry>): ContestTyped => ({
  ...typed,
  entries: { ...typed.entries, [id]: { team: '', division: '', ...typed.entries[id], ...part } },
});

/** Names that were typed before, to be taken again: a team that is spelled in two ways is two. */
export const namesBefore = (typed: ContestTyped, part: keyof Entry): string[] =>
  [...new Set(Object.values(typed.entries).map((entry) => entry[part].trim()))].filter(Boolean).sort();

/** What a division is called; the only one, of which nothing was said, is everyone. */
export const divisionTitle = ({ division }: Pick<DivisionStandings, 'division'>, all: number): string =>
  division ? upperFirst(division) : all > 1 ? t`No division` : t`Everyone`;

/**
 * A place with what parted it, in words.
 *
 * @example
 * placeInWords({ place: 2, by: 'station 7' }); // '2, by station 7'
 */
export const placeInWords = ({ place, by }: { place: number; by: string }): string =>
  by ? t`${place}, by ${by}` : String(place);

/** Whose points made a team’s score: “Ava, Bo (2 of 3 that count)”, where it has too few. */
export const countedInWords = (counted: readonly string[], best: number): string =>
  counted.length < best
    ? t`${counted.join(', ')} (${counted.length} of ${best} that count)`
    : counted.join(', ');

export const scoreInWords = (points: number, outOf: number): string =>
  t`${pointsInWords(points)} of ${pointsInWords(outOf)}`;
