import { randomUUID } from 'node:crypto';
import type { ProblemAnswer } from '@hurrow/contract/problem';

export interface Answered<T = unknown> {
  status: number;
  body: T;
}

/** Someone who calls a Hurrow, with a cookie of their own. A call that is cut off has status 0. */
export class Visitor {
  private cookie = '';
  private readonly base: string;

  constructor(base: string) {
    this.base = base;
  }

  async call<T = unknown>(method: string, path: string, body?: unknown, raw?: string): Promise<Answered<T>> {
    const sent = raw ?? (body === undefined ? undefined : JSON.stringify(body));
    try {
      const response = await fetch(this.base + path, {
        method,
        headers: {
          'x-hurrow': '1',
          ...(this.cookie ? { cookie: this.cookie } : {}),
          ...(sent === undefined ? {} : { 'content-type': 'application/json' }),
        },
        ...(sent === undefined ? {} : { body: sent }),
        signal: AbortSignal.timeout(30_000),
      });
      const set = response.headers.get('set-cookie');
      if (set) this.cookie = set.split(';')[0]!;
      const text = await response.text();
      const json = response.headers.get('content-type')?.includes('json');
      return { status: response.status, body: (json ? JSON.parse(text) : text) as T };
    } catch {
      return { status: 0, body: {} as T };
    }
  }

  /** What a call of this visitor carries, for streams. */
  headers = (): Record<string, string> => ({ cookie: this.cookie });
  get = <T = unknown>(path: string) => this.call<T>('GET', path);
  post = <T = unknown>(path: string, body: unknown = {}) => this.call<T>('POST', path, body);
  put = <T = unknown>(path: string, body: unknown) => this.call<T>('PUT', path, body);
}

/** A class in a lecture hall: a course of the demo's trees, its students' codes, and a quiz that is open. */
export interface Hall {
  owner: Visitor;
  courseId: string;
  quizId: string;
  code: string;
  students: string[];
}

const VIEW = { organs: ['leaf', 'twig', 'bud'], nearness: 'hand', aids: ['eye', 'lens'], qualifiers: {} };

/** Fills a Hurrow that has the demo's data with a class of so many students and a quiz of so many drawn stations. */
export async function plantHall(base: string, students: number, stations: number): Promise<Hall> {
  const owner = new Visitor(base);
  await owner.post('/api/session/demo', { as: 'instructor' });
  const { taxa } = (await owner.get<{ taxa: { taxon: { id: string } }[] }>('/api/library')).body;
  const ids = taxa.map(({ taxon }) => taxon.id);
  const course = (await expected(owner.post<{ id: string }>('/api/courses', COURSE))).id;
  await expected(owner.put(`/api/courses/${course}/list`, { sets: [{ title: 'All', week: 1, taxa: ids }] }));
  const codes = Array.from({ length: students }, (_, n) => `HALL${n + 1}`);
  const csv = ['name,code', ...codes.map((code, n) => `Student Number ${n + 1},${code}`)].join('\n');
  await expected(owner.post(`/api/courses/${course}/students/import`, { csv, dryRun: false }));
  const plan = () => ({
    title: 'In the hall',
    heldOn: '2026-09-10',
    stations: ids.slice(0, stations).map((taxonId) => ({ taxonId, medium: 'drawing', view: VIEW })),
  });
  const quiz = await expected(owner.post<{ id: string }>(`/api/courses/${course}/quizzes`, plan()));
  for (;;) {
    const opened = await owner.post<Partial<ProblemAnswer>>(`/api/quizzes/${quiz.id}/open`);
    if (opened.status === 200) break;
    const { code, message, details } = opened.body;
    if (code !== 'tooLittleToDraw' || ids.length <= stations)
      throw new Error(`The quiz could not be opened: ${message}`);
    ids.splice((details as { position: number }).position - 1, 1);
    await expected(owner.put(`/api/quizzes/${quiz.id}`, plan()));
  }
  const { code } = await expected(owner.get<{ code: string }>(`/api/courses/${course}`));
  return { owner, courseId: course, quizId: quiz.id, code, students: codes };
}

/** A course as its form sends it. */
export const COURSE = {
  name: 'Lecture hall',
  startsOn: '2026-08-31',
  weeks: 14,
  audience: 'technical',
  units: 'metric',
  marking: { policy: 'binomial', points: { name: 2, genus: 1, epithet: 1, family: 1 }, deduction: 0.25 },
  latitude: 47,
  longitude: -116,
  elevation: 800,
};

async function expected<T>(call: Promise<Answered<T>>): Promise<T> {
  const { status, body } = await call;
  if (status !== 200)
    throw new Error(`A call that must go well was answered ${status}: ${JSON.stringify(body)}`);
  return body;
}

/** One answer as a phone sends it. */
export const answerTo = (stationId: string, sequence: number) => ({
  id: randomUUID(),
  stationId,
  answer: { genus: 'Acer', epithet: 'glabrum' },
  device: 'phone',
  sequence,
  writtenAt: '2026-09-10T17:00:00Z',
});

/** Signs a student in and says what stations there are. */
export async function sitDown(
  base: string,
  hall: Hall,
  code: string,
): Promise<{ visitor: Visitor; stations: string[] }> {
  const visitor = new Visitor(base);
  await visitor.post('/api/session/student', { courseCode: hall.code, personalCode: code });
  const { body } = await visitor.get<{ open?: { stations: { id: string }[] }[] }>('/api/sit');
  return { visitor, stations: body.open?.[0]?.stations.map(({ id }) => id) ?? [] };
}
