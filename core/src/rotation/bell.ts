import { momentAt, type Moment, type Rotation } from './rotation.ts';

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

/** Seconds of the timetable that have passed at a moment of the clock, milliseconds. */
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

/** The round of one student: what their own phone follows, and nothing of anybody else. */
export interface OwnRound {
  /** Stations from bell to bell; null is a rest. */
  stations: (number | null)[];
  /** Seconds at a station, theirs, and to move on. */
  seconds: number;
  moving: number;
  /** Seconds after the first bell of the quiz at which it begins. */
  begins: number;
}

/** The round of a student; nothing where they are away. */
export function ownRound({ slots, waves }: Rotation, student: string, moving: number): OwnRound | undefined {
  for (const { starts, seconds, begins } of waves) {
    const slot = starts.find((each) => each.student === student)?.slot;
    if (slot === undefined) continue;
    const stations = slots.map((_, bell) => {
      const place = slots[(slot + bell) % slots.length]!;
      return 'station' in place ? place.station : null;
    });
    return { stations, seconds, moving, begins };
  }
  return undefined;
}

/** Where one student is by the bell. */
export interface OwnMoment {
  phase: Moment['phase'] | 'held';
  /** Seconds until the next bell. */
  left: number;
  /** Where they are or go to now, and where after that; null is a rest, nothing where there is none. */
  at?: number | null;
  then?: number | null;
}

/**
 * Where a student is by the bell at a moment.
 *
 * @param now milliseconds of the clock that the bell goes by
 * @example
 * ownMoment({ stations: [4, 5, 1], seconds: 60, moving: 15, begins: 0 }, { passed: 0, since: 0 }, 65_000);
 * // { phase: 'move', left: 10, at: 5, then: 1 }
 */
export function ownMoment(round: OwnRound, state: BellState, now: number): OwnMoment {
  const { stations, seconds, moving, begins } = round;
  const ends = begins + stations.length * (seconds + moving) - moving;
  const alone = {
    slots: stations.map((_, i) => ({ station: i + 1 })),
    waves: [{ seconds, begins, ends, starts: [] }],
    takes: ends,
  };
  const { phase, bell, left } = bellAt(alone, state, now, moving);
  if (phase === 'done') return { phase, left };
  const at = phase === 'move' ? bell + 1 : bell;
  const held = state.since === undefined && passedBy(state, now) >= 0;
  const then = stations[at + 1];
  return { phase: held ? 'held' : phase, left, at: stations[at], ...(then === undefined ? {} : { then }) };
}

/** `minutes(75)` is `1:15`. */
export const minutes = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
