import { parseRange } from '@hurrow/core/score';
import { dateOfDay, parseArcs } from '@hurrow/core/season';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { measureTable, type WrittenMeasure } from './measureTable.ts';
import { MEASURES_BY_HAND, type Meant } from './measuresByHand.ts';

/** All written measures: those by hand, and those made by class. */
export const writtenMeasures = (seed = 5): WrittenMeasure[] => [
  ...Object.entries(MEASURES_BY_HAND).flatMap(([kind, rows]) =>
    rows.map(([text, characterId, meant]) => ({ kind, text, characterId, meant })),
  ),
  ...measureTable(seed),
];

/** How many are read as meant; and those that are read as something else without a word. */
export function measuresAgree(rows: readonly WrittenMeasure[]): { agree: number; silent: string[] } {
  const read = rows.map((row) => ({ row, got: gotFrom(row) }));
  const isRight = ({ row, got }: (typeof read)[number]) => sameAs(got, row.meant);
  return {
    agree: read.filter(isRight).length,
    silent: read
      .filter((each) => each.got !== 'refused' && !isRight(each))
      .map(({ row, got }) => `${row.text} for ${row.characterId}: ${JSON.stringify(got)}`),
  };
}

function gotFrom({ text, characterId }: WrittenMeasure): Meant {
  const read = parseRange(text, BUILT_IN.get(characterId)!);
  if (!read.ok) return 'refused';
  const { kind: _, ...ends } = read.value;
  return ends;
}

function sameAs(got: Meant, meant: Meant): boolean {
  if (got === 'refused' || meant === 'refused') return got === meant;
  const ends = new Set([...Object.keys(got), ...Object.keys(meant)]) as Set<keyof typeof got>;
  return [...ends].every((end) => {
    const [a, b] = [got[end], meant[end]];
    return typeof a === 'number' && typeof b === 'number'
      ? Math.abs(a - b) <= 1e-6 * Math.max(1, b)
      : a === b;
  });
}

/** How many times of the year are read as meant, and which are not. */
export function monthsAgree(rows: readonly [string, string, number?][]): { agree: number; wrong: string[] } {
  const wrong = rows.flatMap(([text, meant, latitude]) => {
    const read = parseArcs(text, latitude === undefined ? {} : { latitude });
    const written = (day: number) => {
      const date = dateOfDay(day);
      return `${date.day}.${date.month}`;
    };
    const got = read.ok
      ? read.value.map((arc) => `${written(arc.from)}–${written(arc.to)}`).join(' ')
      : 'refused';
    return got === meant ? [] : [`${text}: ${got}`];
  });
  return { agree: rows.length - wrong.length, wrong };
}
