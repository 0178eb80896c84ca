import { SURENESS, type Sureness } from '@hurrow/core/names';

/** An answer as the confusions are counted from. */
export interface ClassAnswer {
  studentId: string;
  student: string;
  stationId: string;
  quizId: string;
  written: string;
  how: string;
  named: string | null;
  /** How sure the student said to be; null where nothing was said. */
  sure: Sureness | null;
}

/** Many answers as they travel: every id and word once, and of each answer its places in these lists, since most of a class writes the same. */
export interface PackedAnswers {
  /** Id and name. */
  students: [string, string][];
  /** Ids, with the id of the quiz. */
  stations: [string, string][];
  written: string[];
  hows: string[];
  /** Ids of taxa. */
  named: string[];
  /** Of each answer the places of student, station, what was written, how it was read, and what was named, and how sure; −1 where nothing was. */
  rows: [number, number, number, number, number, number][];
}

/** A list in which each thing stands once, and where it stands. */
function placesIn<T>() {
  const places = new Map<string, number>();
  const all: T[] = [];
  return {
    all,
    place: (key: string, thing: T): number => {
      const held = places.get(key);
      if (held !== undefined) return held;
      places.set(key, all.length);
      return all.push(thing) - 1;
    },
  };
}

/**
 * Packs answers; `unpackAnswers` gives them back as they were.
 *
 * @example
 * packAnswers([{ studentId: 'a', student: 'Ava', stationId: 's', quizId: 'q', written: 'elm', how: 'none', named: null, sure: null }]).rows; // [[0, 0, 0, 0, -1, -1]]
 */
export function packAnswers(answers: readonly ClassAnswer[]): PackedAnswers {
  const [students, stations] = [placesIn<[string, string]>(), placesIn<[string, string]>()];
  const [written, hows, named] = [placesIn<string>(), placesIn<string>(), placesIn<string>()];
  const rows = answers.map((row): PackedAnswers['rows'][number] => [
    students.place(row.studentId, [row.studentId, row.student]),
    stations.place(row.stationId, [row.stationId, row.quizId]),
    written.place(row.written, row.written),
    hows.place(row.how, row.how),
    row.named === null ? -1 : named.place(row.named, row.named),
    row.sure === null ? -1 : SURENESS.indexOf(row.sure),
  ]);
  return {
    students: students.all,
    stations: stations.all,
    written: written.all,
    hows: hows.all,
    named: named.all,
    rows,
  };
}

export const unpackAnswers = ({
  students,
  stations,
  written,
  hows,
  named,
  rows,
}: PackedAnswers): ClassAnswer[] =>
  rows.map(([student, station, text, how, taxon, sure]) => {
    const [studentId, name] = students[student]!;
    const [stationId, quizId] = stations[station]!;
    return {
      studentId,
      student: name,
      stationId,
      quizId,
      written: written[text]!,
      how: hows[how]!,
      named: named[taxon] ?? null,
      sure: SURENESS[sure] ?? null,
    };
  });
