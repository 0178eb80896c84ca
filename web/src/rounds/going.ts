import { plural, t } from '@lingui/core/macro';
import type { Rounds } from '@hurrow/contract/rounds';
import {
  AT_REST,
  minutes,
  roundOf,
  withLate,
  type BellState,
  type Rotation,
  type Slot,
} from '@hurrow/core/rotation';

/** What stands in a cell of the timetable: the station's number, or a rest. */
export const slotText = (slot: Slot): string => ('station' in slot ? String(slot.station) : '–');

/** The rows of a timetable: each student with the places of their round, wave by wave. */
export function rowsOf(
  rotation: Rotation,
  students: readonly { id: string; name: string }[],
): { wave: number; name: string; id: string; places: string[] }[] {
  return students
    .flatMap(({ id, name }) => {
      const round = roundOf(rotation, id);
      return round ? [{ wave: round.wave, name, id, places: round.slots.map(slotText) }] : [];
    })
    .sort((x, y) => x.wave - y.wave);
}

/** Where somebody begins who comes late, at a bell of the first round, and when that one is done. */
export function lateInWords(rotation: Rotation, student: string, bell: number, rounds: Rounds): string {
  const { capacity, moving } = rounds;
  const late = withLate(rotation, student, { wave: 0, bell, capacity, moving });
  const { wave, slots } = roundOf(late, student)!;
  const first = slots[late.from % slots.length]!;
  const where = 'station' in first ? t`station ${first.station}` : t`a rest`;
  return wave === 0
    ? t`begins at ${where} at bell ${bell + 1} and is done after ${minutes(late.waves[0]!.ends)}`
    : t`finds no free place: goes round alone from ${minutes(late.waves[wave]!.begins)} on`;
}

/** “20 bells, 25 minutes”; with several waves “3 rounds, 75 minutes”. */
export function lengthInWords({ slots, waves, takes }: Rotation): string {
  const minutes = Math.ceil(takes / 60);
  const time = plural(minutes, { one: 'one minute', other: '# minutes' });
  return plural(waves.length, { one: `${slots.length} bells, ${time}`, other: `# rounds, ${time} in all` });
}

export function keptBell(text: string | null): BellState {
  try {
    const held = JSON.parse(text ?? 'null') as BellState | null;
    return held && Number.isFinite(held.passed) ? held : AT_REST;
  } catch {
    return AT_REST;
  }
}
