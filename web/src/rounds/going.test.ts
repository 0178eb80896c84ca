import {
  AT_REST,
  bellAt,
  givenMore,
  minutes,
  passedBy,
  timetable as timetableOf,
  toggled,
  type BellState,
  type Rounds,
} from '@hurrow/core/rotation';
import { USUAL_ROUNDS } from '@hurrow/contract/rounds';
import { keptBell, lateInWords, lengthInWords, rowsOf } from './going.ts';

const students = ['Ava', 'Ben', 'Cem'].map((name) => ({ id: name.toLowerCase(), name }));

const timetable = (rounds: Rounds, of: readonly { id: string }[], stations: number) =>
  timetableOf(
    rounds,
    of.map(({ id }) => id),
    stations,
  );

test('who is away goes no round, and each row is a whole round', () => {
  const rotation = timetable({ ...USUAL_ROUNDS, rests: 1, away: ['ben'] }, students, 3)!;
  const rows = rowsOf(rotation, students);
  expect(rows.map(({ name }) => name)).toEqual(['Ava', 'Cem']);
  expect([...rows[0]!.places].sort()).toEqual(['1', '2', '3', '–']);
  expect(timetable({ ...USUAL_ROUNDS, away: ['ava', 'ben', 'cem'] }, students, 3)).toBeUndefined();
  expect(timetable(USUAL_ROUNDS, students, 0)).toBeUndefined();
});

test('who comes late is told where to begin, or that there is no place', () => {
  const away = { ...USUAL_ROUNDS, away: ['cem'] };
  const rotation = timetable(away, students, 3)!;
  expect(lateInWords(rotation, 'cem', 1, away)).toMatch(
    /^begins at station \d at bell 2 and is done after 4:45$/,
  );
  const full = timetable(away, students, 2)!;
  expect(lateInWords(full, 'cem', 1, away)).toMatch(/^finds no free place: goes round alone from 2:30 on$/);
});

test('how long it takes is said', () => {
  expect(lengthInWords(timetable(USUAL_ROUNDS, students, 3)!)).toBe('3 bells, 4 minutes');
  expect(lengthInWords(timetable(USUAL_ROUNDS, students, 1)!)).toBe('3 rounds, 4 minutes in all');
});

test('a bell runs, stands still, gives more time, and is found again after a reload', () => {
  const running = toggled(AT_REST, 1_000);
  expect(passedBy(running, 31_000)).toBe(20);
  const still = toggled(running, 31_000);
  expect(passedBy(still, 99_000)).toBe(20);
  expect(keptBell(JSON.stringify(running))).toEqual(running);
  expect(keptBell('{"passed":"x"}')).toEqual(AT_REST);
  expect(keptBell(null)).toEqual(AT_REST);
  expect(minutes(75)).toBe('1:15');
});

test('more time is given at the bell that it is asked at: nobody is sent back to the station before', () => {
  const rotation = timetable(USUAL_ROUNDS, students, 3)!;
  const moment = (state: BellState, now: number) => bellAt(rotation, state, now, USUAL_ROUNDS.moving);
  // Twenty seconds into the second station.
  const running: BellState = { passed: 95, since: 0 };
  expect(moment(running, 0)).toMatchObject({ bell: 1, phase: 'look', left: 40 });
  const longer = givenMore(running, 120, 10_000);
  expect(moment(longer, 10_000)).toMatchObject({ bell: 1, phase: 'look', left: 150 });
  expect(moment(longer, 100_000)).toMatchObject({ bell: 1, phase: 'look', left: 60 });
  expect(moment(longer, 170_000)).toMatchObject({ bell: 1, phase: 'move', left: 5 });
  // Held meanwhile, and given more while it stands still.
  const held = givenMore(toggled(longer, 100_000), 60, 500_000);
  expect(moment(held, 999_000)).toMatchObject({ bell: 1, phase: 'look', left: 120 });
  const onAgain = toggled(held, 999_000);
  expect(moment(onAgain, 1_059_000)).toMatchObject({ bell: 1, phase: 'look', left: 60 });
});
