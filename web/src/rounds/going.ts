import type { Rounds } from '@hurrow/contract/rounds';
import { momentAt, roundOf, withLate, type Moment, type Rotation, type Slot } from '@hurrow/core/rotation';

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
  const where = 'station' in first ? `station ${first.station}` : 'a rest';
  return wave === 0
    ? `begins at ${where} at bell ${bell + 1} and is done after ${minutes(late.waves[0]!.ends)}`
    : `finds no free place: goes round alone from ${minutes(late.waves[wave]!.begins)} on`;
}

/** “20 bells, 25 minutes”; with several waves “3 rounds, 75 minutes”. */
export function lengthInWords({ slots, waves, takes }: Rotation): string {
  const minutes = Math.ceil(takes / 60);
  const time = minutes === 1 ? 'one minute' : `${minutes} minutes`;
  return waves.length === 1 ? `${slots.length} bells, ${time}` : `${waves.length} rounds, ${time} in all`;
}

/** What the bell of a quiz has done so far: running since a moment, or standing still at a time. */
export interface BellState {
  /** Seconds of the timetable that had passed when it was started or stopped last. */
  passed: number;
  /** When it was started last, in milliseconds of the clock; nothing while it stands still. */
  since?: number;
  /** Seconds given on top, from then on: the timetable stands still until they are over. */
  more?: number;
}

/** Before the first bell all have so long to find their places, seconds. */
const FIND_PLACES = 10;
export const AT_REST: BellState = { passed: -FIND_PLACES };

/** The seconds of the timetable that have passed, and those of what was given on top that are left. */
function standing({ passed, since, more = 0 }: BellState, now: number): { passed: number; more: number } {
  const gone = since === undefined ? 0 : (now - since) / 1000;
  return { passed: passed + Math.max(0, gone - more), more: Math.max(0, more - gone) };
}

export const passedBy = (state: BellState, now: number): number => standing(state, now).passed;

/** Started or stopped. */
export const toggled = (state: BellState, now: number): BellState => ({
  ...standing(state, now),
  ...(state.since === undefined ? { since: now } : {}),
});

/** More time at this bell: all that comes after comes later. */
export function givenMore(state: BellState, seconds: number, now: number): BellState {
  const { passed, more } = standing(state, now);
  return { passed, more: more + seconds, ...(state.since === undefined ? {} : { since: now }) };
}

/** Where the bell stands, with what was given on top. */
export function bellAt(rotation: Rotation, state: BellState, now: number, moving: number): Moment {
  const { passed, more } = standing(state, now);
  const moment = momentAt(rotation, passed, moving);
  return { ...moment, left: moment.left + Math.ceil(more) };
}

export function keptBell(text: string | null): BellState {
  try {
    const held = JSON.parse(text ?? 'null') as BellState | null;
    return held && Number.isFinite(held.passed) ? held : AT_REST;
  } catch {
    return AT_REST;
  }
}

/** `minutes(75)` is `1:15`. */
export const minutes = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
