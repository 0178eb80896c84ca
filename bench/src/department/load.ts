import { randomUUID } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import { milliseconds, type Row } from '../row.ts';
import { Person } from './processes.ts';

/** Students that answer, of how many courses, and the minutes in which they do, all of their stations evenly spread. */
const STUDENTS = 2000;
const COURSES = 40;
const MINUTES = 5;
/** Milliseconds within which all sign in. */
const SIGNING_IN = 60_000;

const share = (sorted: readonly number[], of: number): number =>
  sorted[Math.floor((sorted.length - 1) * of)]!;

/**
 * Two thousand students in forty courses who answer a quiz on two processes, twice as fast as asked for. A failed call is sent again as a
 * phone does, and counted.
 */
export async function submitting(bases: readonly string[], most: number): Promise<Row[]> {
  const courses = Math.min(COURSES, most);
  const perCourse = STUDENTS / COURSES;
  const people = Array.from({ length: courses * perCourse }, (_, i) => ({
    person: new Person(bases),
    course: `LOAD${1 + Math.floor(i / perCourse)}`,
    code: `S${1 + (i % perCourse)}`,
  }));
  const signIns: number[] = [];
  const took: number[] = [];
  let failed = 0;
  let stored = 0;
  const began = performance.now();
  const sit = async ({ person, course, code }: (typeof people)[number]) => {
    await wait(Math.random() * SIGNING_IN);
    const signed = await person.ask('POST', '/api/session/student', {
      courseCode: course,
      personalCode: code,
    });
    signIns.push(signed.took);
    const sitting = await person.json<{ open: { stations: { id: string }[] }[] }>('/api/sit');
    const { stations } = sitting.open[0]!;
    const pause = (MINUTES * 60_000 - SIGNING_IN) / stations.length;
    for (const [i, station] of stations.entries()) {
      await wait(Math.random() * pause * 2 * (i === 0 ? 0.5 : 1));
      const response = {
        id: randomUUID(),
        stationId: station.id,
        answer: { genus: 'Abies', epithet: 'grandis' },
        device: 'phone',
        sequence: i,
        writtenAt: '2026-10-15T16:00:00Z',
      };
      for (;;) {
        const sent = await person.ask('POST', '/api/sit/responses', { responses: [response] });
        took.push(sent.took);
        if (sent.status === 200) break;
        failed += 1;
        await wait(500);
      }
      stored += 1;
    }
  };
  await Promise.all(people.map(sit));
  const seconds = (performance.now() - began) / 1000;
  const [answers, signs] = [took, signIns].map((times) => times.sort((a, b) => a - b)) as [
    number[],
    number[],
  ];
  const of = `${people.length} students in ${courses} courses, ${stored} answers in ${Math.round(seconds)} s`;
  return [
    { what: `${of}: acknowledged, median`, value: milliseconds(share(answers, 0.5)) },
    { what: `${of}: acknowledged, p95`, value: milliseconds(share(answers, 0.95)), wanted: '< 300 ms' },
    { what: `${of}: acknowledged, p99`, value: milliseconds(share(answers, 0.99)) },
    { what: `${of}: sign-in, p95`, value: milliseconds(share(signs, 0.95)) },
    { what: `${of}: calls that failed`, value: String(failed), wanted: '0' },
  ];
}
