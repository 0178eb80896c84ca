import fc from 'fast-check';
import {
  givenMore,
  momentAt,
  ownMoment,
  ownRound,
  rotationOf,
  roundOf,
  withLate,
  type Rotation,
} from './index.ts';

const names = (n: number) => Array.from({ length: n }, (_, i) => `s${i}`);

/** Everyone once at every station, and nowhere more than fit. */
function holds(rotation: Rotation, students: readonly string[], stations: number, capacity: number): void {
  const all = Array.from({ length: stations }, (_, i) => i + 1);
  for (const student of students) {
    const visited = roundOf(rotation, student)!.slots.flatMap((slot) =>
      'station' in slot ? slot.station : [],
    );
    expect([...visited].sort((x, y) => x - y)).toEqual(all);
  }
  for (const [wave] of rotation.waves.entries())
    for (let bell = 0; bell < rotation.slots.length; bell += 1) {
      const there = new Map<string, number>();
      for (const student of students) {
        const round = roundOf(rotation, student)!;
        if (round.wave !== wave) continue;
        const key = JSON.stringify(round.slots[bell]);
        there.set(key, (there.get(key) ?? 0) + 1);
      }
      expect(Math.max(0, ...there.values())).toBeLessThanOrEqual(capacity);
    }
}

test('everyone visits each station once and none holds more than it may, with rests, groups and extra time', () => {
  fc.assert(
    fc.property(
      fc.record({
        students: fc.integer({ min: 1, max: 60 }),
        stations: fc.integer({ min: 1, max: 40 }),
        rests: fc.integer({ min: 0, max: 6 }),
        capacity: fc.integer({ min: 1, max: 4 }),
        group: fc.integer({ min: 1, max: 4 }),
        extra: fc.array(fc.constantFrom(1, 1.25, 1.5, 2), { minLength: 60, maxLength: 60 }),
      }),
      ({ students, stations, rests, capacity, group, extra }) => {
        const all = names(students);
        const size = Math.min(group, capacity);
        const groups = Array.from({ length: Math.ceil(students / size) }, (_, i) =>
          all.slice(i * size, (i + 1) * size),
        );
        const factors = Object.fromEntries(all.map((student, i) => [student, extra[i]!]));
        const rotation = rotationOf({
          stations,
          groups,
          capacity,
          rests,
          seconds: 60,
          moving: 10,
          extra: factors,
        });
        expect(rotation.slots).toHaveLength(stations + rests);
        holds(rotation, all, stations, capacity);
        for (const student of all)
          expect(rotation.waves[roundOf(rotation, student)!.wave]!.seconds).toBeGreaterThanOrEqual(
            60 * factors[student]!,
          );
        rotation.waves
          .slice(1)
          .forEach(({ begins }, i) => expect(begins).toBeGreaterThan(rotation.waves[i]!.ends));
      },
    ),
    { numRuns: 150 },
  );
});

test('rests are spread, and the end is when the last has been everywhere', () => {
  const { slots, waves, takes } = rotationOf({
    stations: 6,
    groups: [['a']],
    capacity: 1,
    rests: 2,
    seconds: 60,
    moving: 10,
  });
  expect(slots.map((slot) => ('rest' in slot ? 'r' : slot.station)).join('')).toBe('123r456r');
  expect(waves).toHaveLength(1);
  expect(takes).toBe(8 * 70 - 10);
});

test('with more students than places there are waves, one after the other', () => {
  const asked = {
    stations: 4,
    groups: names(9).map((name) => [name]),
    capacity: 2,
    rests: 0,
    seconds: 30,
    moving: 5,
  };
  expect(rotationOf(asked).waves.map(({ starts }) => starts.length)).toEqual([8, 1]);
});

test('who comes late joins where there is room, and misses nothing', () => {
  const asked = { stations: 5, groups: [['a'], ['b']], capacity: 1, rests: 0, seconds: 60, moving: 10 };
  const joined = withLate(rotationOf(asked), 'late', { wave: 0, bell: 2, capacity: 1, moving: 10 });
  holds(joined, ['a', 'b', 'late'], 5, 1);
  expect(joined.from).toBe(2);
  expect(joined.takes).toBe(5 * 70 - 10 + 2 * 70);
  const full = rotationOf({ ...asked, groups: names(5).map((name) => [name]) });
  expect(withLate(full, 'late', { wave: 0, bell: 1, capacity: 1, moving: 10 }).waves).toHaveLength(2);
});

test('what cannot be is refused with what to do', () => {
  const asked = { stations: 0, groups: [['a', 'b']], capacity: 1, rests: 0, seconds: 60, moving: 0 };
  expect(() => rotationOf(asked)).toThrow('needs a station');
  expect(() => rotationOf({ ...asked, stations: 3 })).toThrow('Make the group smaller');
});

test('a bell is known by the seconds that have passed: looking, moving, between waves, done', () => {
  const asked = {
    stations: 2,
    groups: names(3).map((name) => [name]),
    capacity: 1,
    rests: 0,
    seconds: 60,
    moving: 10,
  };
  const rotation = rotationOf(asked);
  expect(rotation.waves.map(({ begins, ends }) => [begins, ends])).toEqual([
    [0, 130],
    [140, 270],
  ]);
  const at = (seconds: number) => {
    const { wave, bell, phase, left } = momentAt(rotation, seconds, 10);
    return `${wave} ${bell} ${phase} ${left}`;
  };
  expect([-5, 0, 59.5, 60, 69, 70, 129].map(at)).toEqual([
    '0 0 before 5',
    '0 0 look 60',
    '0 0 look 1',
    '0 0 move 10',
    '0 0 move 1',
    '0 1 look 60',
    '0 1 look 1',
  ]);
  expect([131, 140, 270].map(at)).toEqual(['1 0 before 9', '1 0 look 60', '1 1 done 0']);
});

test('one student follows the bell: their own stations, their own time, held and given more', () => {
  const rotation = rotationOf({
    stations: 3,
    groups: [['ava'], ['ben'], ['cem']],
    capacity: 1,
    rests: 0,
    seconds: 60,
    moving: 15,
    extra: { cem: 1.5 },
  });
  const ava = ownRound(rotation, 'ava', 15)!;
  expect(ava.stations).toEqual([1, 2, 3]);
  const running = { passed: 0, since: 1000 };
  const at = (seconds: number) => ownMoment(ava, running, 1000 + 1000 * seconds);
  expect(at(-5)).toMatchObject({ phase: 'look', at: 1 });
  expect(at(20)).toEqual({ phase: 'look', left: 40, at: 1, then: 2 });
  expect(at(65)).toEqual({ phase: 'move', left: 10, at: 2, then: 3 });
  expect(at(170)).toEqual({ phase: 'look', left: 40, at: 3 });
  expect(at(900)).toEqual({ phase: 'done', left: 0 });
  expect(ownMoment(ava, { passed: 20 }, 0)).toMatchObject({ phase: 'held', at: 1 });
  expect(ownMoment(ava, givenMore(running, 120, 21_000), 21_000)).toMatchObject({ left: 160, at: 1 });
  // Who has more time goes round after the others, by a longer bell.
  const cem = ownRound(rotation, 'cem', 15)!;
  expect(cem).toMatchObject({ seconds: 90, begins: 225 });
  expect(ownMoment(cem, running, 101_000)).toMatchObject({ phase: 'before', left: 125, at: cem.stations[0] });
  expect(ownRound(rotation, 'nobody', 15)).toBeUndefined();
  expect(
    ownRound(
      rotationOf({ stations: 1, groups: [['a']], capacity: 1, rests: 1, seconds: 9, moving: 1 }),
      'a',
      1,
    )!.stations,
  ).toEqual([1, null]);
});
