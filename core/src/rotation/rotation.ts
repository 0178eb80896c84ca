/** Who goes round a quiz, and how. */
export interface RotationAsked {
  stations: number;
  /** Ids of the students in the order in which they are seated; a group is one entry of several. */
  groups: readonly (readonly string[])[];
  /** Students that stand at one station together at most. */
  capacity: number;
  /** Places to rest between stations. */
  rests: number;
  /** Seconds at a station, and to move to the next. */
  seconds: number;
  moving: number;
  /** Extra time by student, as a factor: 1.5 is half as long again. */
  extra?: Readonly<Record<string, number>>;
}

/** A place of the circle: a station by its number from 1, or a rest. */
export type Slot = { station: number } | { rest: number };

/** Those who go round together, from one first bell to the last. */
export interface Wave {
  /** Seconds at a station. */
  seconds: number;
  /** Seconds after the first bell of the quiz at which it begins, and at which it ends. */
  begins: number;
  ends: number;
  /** Where each begins, as a place of the circle. */
  starts: { student: string; slot: number }[];
}

export interface Rotation {
  slots: Slot[];
  waves: Wave[];
  /** Seconds from the first bell to the end. */
  takes: number;
}

/** Students cannot be told apart by their time where they differ by less than this factor. */
const SAME_TIME = 0.01;

/**
 * A timetable in which everyone visits each station once and no station holds more than its capacity. Stations and rests stand in a circle, all move
 * one place at each bell. Who needs more time goes round in a wave with a longer bell; who finds no place goes in a wave of its own.
 *
 * @throws where there is no station, no capacity, or a group is larger than a station holds
 * @example
 * rotationOf({ stations: 10, groups: [['ava'], ['ben']], capacity: 1, rests: 0, seconds: 60, moving: 15 }).waves.length; // 1
 */
export function rotationOf({
  stations,
  groups,
  capacity,
  rests,
  seconds,
  moving,
  extra = {},
}: RotationAsked): Rotation {
  if (stations < 1) throw new Error('A rotation needs a station. Plan one first.');
  if (capacity < 1) throw new Error('A station holds one student at least.');
  const large = groups.find((group) => group.length > capacity);
  if (large)
    throw new Error(
      `A group of ${large.length} does not fit at a station for ${capacity}. Make the group smaller, or let more stand at a station.`,
    );
  const slots = circle(stations, rests);
  const waves: Wave[] = [];
  let begins = 0;
  for (const { factor, members } of byTime(groups, extra)) {
    const length = Math.round(seconds * factor);
    for (const part of inWaves(members, slots.length, capacity)) {
      const ends = begins + slots.length * (length + moving) - moving;
      waves.push({ seconds: length, begins, ends, starts: part });
      begins = ends + moving;
    }
  }
  return { slots, waves, takes: waves.at(-1)?.ends ?? 0 };
}

/** How a quiz is gone round, as those who teach say it. */
export interface Rounds {
  /** At a station, and to move to the next. */
  seconds: number;
  moving: number;
  /** Students at one station together at most. */
  capacity: number;
  /** Students that go round together. */
  together: number;
  rests: number;
  /** Students who are not there. */
  away: string[];
  /** More time by student, as a factor. Nobody but those who teach sees it. */
  extra: Record<string, number>;
}

/**
 * The timetable of those of a class who are there, in groups in the order of the list; undefined where there are no stations or nobody is there.
 *
 * @param students ids of the class
 */
export function timetable(
  { together, away, ...asked }: Rounds,
  students: readonly string[],
  stations: number,
): Rotation | undefined {
  const there = students.filter((id) => !away.includes(id));
  if (there.length === 0 || stations === 0) return undefined;
  const groups = Array.from({ length: Math.ceil(there.length / together) }, (_, i) =>
    there.slice(i * together, (i + 1) * together),
  );
  return rotationOf({ ...asked, stations, groups });
}

/** Stations in a circle, the rests spread evenly between them. */
function circle(stations: number, rests: number): Slot[] {
  const slots: Slot[] = [];
  let rested = 0;
  for (let station = 1; station <= stations; station += 1) {
    slots.push({ station });
    while (rested < rests && (rested + 1) * stations <= station * rests) {
      rested += 1;
      slots.push({ rest: rested });
    }
  }
  return slots;
}

/** Groups by the time that they need, those with the usual time first; a group needs as much as the one of it that needs most. */
function byTime(groups: readonly (readonly string[])[], extra: Readonly<Record<string, number>>) {
  const times: { factor: number; members: (readonly string[])[] }[] = [];
  for (const group of groups) {
    if (group.length === 0) continue;
    const factor = Math.max(1, ...group.map((student) => extra[student] ?? 1));
    const held = times.find((each) => Math.abs(each.factor - factor) < SAME_TIME);
    if (held) held.members.push(group);
    else times.push({ factor, members: [group] });
  }
  return times.sort((x, y) => x.factor - y.factor);
}

/** Groups on the places of the circle, spread evenly; as many waves as it takes. */
function inWaves(groups: readonly (readonly string[])[], places: number, capacity: number) {
  const waves: { student: string; slot: number }[][] = [];
  let left = [...groups];
  while (left.length > 0) {
    const room = new Map(Array.from({ length: places }, (_, slot) => [slot, capacity]));
    const wave: { student: string; slot: number }[] = [];
    const later: (readonly string[])[] = [];
    const step = Math.max(1, Math.floor(places / Math.min(left.length, places)));
    left.forEach((group, i) => {
      const wanted = (i * step) % places;
      // The next place from there with room for all of the group, those that are empty first.
      const order = Array.from({ length: places }, (_, k) => (wanted + k) % places);
      const slot =
        order.find((place) => room.get(place) === capacity) ??
        order.find((place) => room.get(place)! >= group.length);
      if (slot === undefined) {
        later.push(group);
        return;
      }
      room.set(slot, room.get(slot)! - group.length);
      wave.push(...group.map((student) => ({ student, slot })));
    });
    waves.push(wave);
    left = later;
  }
  return waves;
}

/** Where a student is from bell to bell: the place of the circle that each bell sends to. */
export function roundOf(
  { slots, waves }: Rotation,
  student: string,
): { wave: number; slots: Slot[] } | undefined {
  const wave = waves.findIndex(({ starts }) => starts.some((each) => each.student === student));
  if (wave < 0) return undefined;
  const start = waves[wave]!.starts.find((each) => each.student === student)!.slot;
  return { wave, slots: slots.map((_, bell) => slots[(start + bell) % slots.length]!) };
}

/**
 * A student who comes late, at a bell of a wave: joins at a place with room and goes round from there, the rest after the others have ended.
 *
 * @param bell bells of the wave that have rung before
 * @returns the rotation with the student in it; in a wave of its own where no place has room
 */
export function withLate(
  rotation: Rotation,
  student: string,
  { wave, bell, capacity, moving }: { wave: number; bell: number; capacity: number; moving: number },
): Rotation & { from: number } {
  const { slots, waves } = rotation;
  const joined = waves[wave];
  const places = slots.length;
  const held = (slot: number) => joined!.starts.filter((each) => each.slot === slot).length;
  const free = joined ? slots.map((_, slot) => slot).find((slot) => held(slot) < capacity) : undefined;
  if (!joined || free === undefined) {
    const seconds = joined?.seconds ?? 60;
    const begins = rotation.takes + (rotation.takes > 0 ? moving : 0);
    const ends = begins + places * (seconds + moving) - moving;
    return {
      slots,
      waves: [...waves, { seconds, begins, ends, starts: [{ student, slot: 0 }] }],
      takes: ends,
      from: 0,
    };
  }
  // Whoever joins keeps the step of the circle: a place with room now has room at every bell.
  const starts = [...joined.starts, { student, slot: free }];
  const over = bell * (joined.seconds + moving);
  const ends = joined.ends + over;
  const changed = waves.map((each, i) =>
    i === wave
      ? { ...each, starts, ends }
      : i > wave
        ? { ...each, begins: each.begins + over, ends: each.ends + over }
        : each,
  );
  return { slots, waves: changed, takes: changed.at(-1)!.ends, from: bell };
}

/** Where a rotation stands at a moment: who looks, who moves, and how long. */
export interface Moment {
  wave: number;
  /** From 0. */
  bell: number;
  phase: 'before' | 'look' | 'move' | 'done';
  /** Seconds until the next bell, whole ones begun counting. */
  left: number;
}

/**
 * Where a rotation stands so many seconds after its first bell.
 *
 * @param moving seconds to move between stations
 * @example
 * momentAt(rotationOf({ stations: 2, groups: [['a']], capacity: 1, rests: 0, seconds: 60, moving: 10 }), 65, 10); // { wave: 0, bell: 0, phase: 'move', left: 5 }
 */
export function momentAt({ slots, waves, takes }: Rotation, seconds: number, moving: number): Moment {
  if (seconds < 0) return { wave: 0, bell: 0, phase: 'before', left: Math.ceil(-seconds) };
  const wave = waves.findIndex(({ ends }) => seconds < ends);
  if (wave < 0 || seconds >= takes)
    return { wave: Math.max(0, waves.length - 1), bell: slots.length - 1, phase: 'done', left: 0 };
  const { begins, seconds: length } = waves[wave]!;
  // Between two waves all move.
  if (seconds < begins) return { wave, bell: 0, phase: 'before', left: Math.ceil(begins - seconds) };
  const step = length + moving;
  const bell = Math.floor((seconds - begins) / step);
  const into = seconds - begins - bell * step;
  return into < length
    ? { wave, bell, phase: 'look', left: Math.ceil(length - into) }
    : { wave, bell, phase: 'move', left: Math.ceil(step - into) };
}
