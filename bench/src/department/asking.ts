import { milliseconds, type Row } from '../row.ts';
import type { Person } from './processes.ts';

/** Courses that are looked at, and how often each page of each. */
const LOOKED_AT = 3;
const TIMES = 10;

interface Course {
  id: string;
  quizzes: { id: string }[];
  students: { id: string }[];
  sets: { id: string; taxa: string[] }[];
}

/** What each page of the workbench asks for, by its name. */
const pagesOf = ({ id, quizzes, students, sets }: Course): Record<string, string[]> => {
  const course = `/api/courses/${id}`;
  const quiz = `/api/quizzes/${quizzes[quizzes.length - 2]!.id}`;
  return {
    'all courses': ['/api/courses'],
    course: [course],
    'a tree': [
      `/api/library/taxa/${sets[0]!.taxa[0]!}/photos`,
      `/api/library/taxa/${sets[0]!.taxa[0]!}/range`,
      `/api/library/taxa/${sets[0]!.taxa[0]!}/sheets`,
    ],
    'search for a tree': ['/api/library/search?q=opposite'],
    'a quiz': [quiz],
    'running a quiz': [`${quiz}/running`, `${quiz}/rounds`],
    'marks of a quiz': [`${quiz}/marks`],
    'marks of the term': [`${course}/marks`],
    confusions: [`${course}/confusions`],
    'a student': [`${course}/students/${students[0]!.id}/learning`],
    trends: [`${course}/trends`],
    practice: [`${course}/practice`],
    notebooks: [`${course}/notebook`],
    'history of a course': [`/api/history?courseId=${id}`],
    people: ['/api/accounts', '/api/keeping'],
  };
};

/**
 * How long each page of the workbench waits for what it asks, in a department of many courses: the slowest of its calls, over courses that
 * nobody has looked at before and then again.
 */
export async function asking(person: Person): Promise<Row[]> {
  const courses = await person.json<{ id: string; name: string }[]>('/api/courses');
  const chosen = courses.filter(({ name }) => name.startsWith('Course ')).slice(0, LOOKED_AT);
  const times = new Map<string, number[]>();
  const first = new Map<string, number>();
  const sizes = new Map<string, number>();
  for (const { id } of chosen) {
    const course = await person.json<Course>(`/api/courses/${id}`);
    // A report is computed once, which is measured by itself.
    await report(person, id);
    for (let i = 0; i < TIMES; i += 1)
      for (const [page, calls] of Object.entries(pagesOf(course))) {
        const answers = await Promise.all(calls.map((call) => person.ask('GET', call)));
        const bad = answers.find(({ status }) => status !== 200);
        if (bad) throw new Error(`${page}: ${bad.status} ${bad.text.slice(0, 200)}`);
        const took = Math.max(...answers.map((answer) => answer.took));
        times.set(page, [...(times.get(page) ?? []), took]);
        if (!first.has(page)) first.set(page, took);
        sizes.set(page, Math.max(...answers.map(({ text }) => text.length)));
      }
  }
  return [...times].map(([page, all]) => {
    const sorted = all.sort((a, b) => a - b);
    const p95 = sorted[Math.floor((sorted.length - 1) * 0.95)]!;
    return {
      what: `${page}: answered, p95 of ${sorted.length} (first ${milliseconds(first.get(page)!)}, ${Math.round(sizes.get(page)! / 1000)} kB)`,
      value: milliseconds(p95),
      wanted: '< 300 ms',
    };
  });
}

/** Asks for the report on a course until it is there. Resolves with the milliseconds. */
export async function report(person: Person, courseId: string): Promise<number> {
  const from = performance.now();
  for (;;) {
    const answer = await person.json<{ report?: unknown }>(
      `/api/courses/${courseId}/confusions/report?scores=then`,
    );
    if (answer.report) return performance.now() - from;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}
