import { parseScore, type Qualifiers, type Score } from '@hurrow/core/score';
import { parseArcs, type Calendar, type CalendarPart } from '@hurrow/core/season';
import { BUILT_IN } from '@hurrow/core/vocabulary';

/** A calendar of written arcs, part by part. Throws, with where it stands, on one that cannot be read. */
export function calendarOf(written: Record<string, string>, where: string): Calendar {
  const calendar: Calendar = {};
  for (const [part, text] of Object.entries(written)) {
    const read = parseArcs(text);
    if (!read.ok) throw new Error(`${where}: calendar ${part}: ${read.problem}`);
    calendar[part as CalendarPart] = read.value;
  }
  return calendar;
}

/**
 * Scores of one source as they are written: `bark.surface [plantAge=young]` and what the editor reads. Throws, with where it stands, on a
 * character that is not in the vocabulary and on a value that cannot be read.
 */
export const scoresOf = (
  entries: Record<string, string | number | boolean>,
  sourceId: string,
  where: string,
): Score[] =>
  Object.entries(entries).map(([key, text]): Score => {
    const [, characterId, qualifierText] = /^(\S+)(?:\s+\[(.+)\])?$/.exec(key)!;
    const character = BUILT_IN.get(characterId!);
    if (!character) throw new Error(`${where}: there is no character “${characterId}”`);
    const value = parseScore(asText(text), character);
    if (!value.ok) throw new Error(`${where}: ${characterId}: ${value.problem}`);
    return {
      characterId: characterId!,
      sourceId,
      qualifiers: qualifiersOf(qualifierText),
      value: value.value,
    };
  });

/** YAML reads a bare yes or no as it stands, a number as a number. */
const asText = (value: string | number | boolean) =>
  value === true ? 'yes' : value === false ? 'no' : String(value);

const qualifiersOf = (text: string | undefined): Qualifiers =>
  Object.fromEntries(
    (text ?? '')
      .split(',')
      .filter(Boolean)
      .map((pair) => pair.trim().split('=')),
  );
