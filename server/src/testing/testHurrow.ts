import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { createApp } from '../app.ts';
import type { Config } from '../config.ts';
import { jobsOn } from '../jobs/kinds.ts';
import { strayIn } from './answersCheck.ts';
import { openInMemory, type Db } from '../db/index.ts';
import { serverStore } from './serverStore.ts';

export interface Answer<T = Record<string, unknown>> {
  status: number;
  body: T & { message?: string };
  headers: Headers;
}

/** Someone with a cookie jar of their own. */
export class Caller {
  private cookie = '';
  private readonly base: string;
  constructor(base: string) {
    this.base = base;
  }
  async call<T = Record<string, unknown>>(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = { 'x-hurrow': '1' },
  ): Promise<Answer<T>> {
    const response = await fetch(this.base + path, {
      method,
      headers: {
        ...headers,
        ...(this.cookie ? { cookie: this.cookie } : {}),
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const set = response.headers.get('set-cookie');
    if (set) this.cookie = set.split(';')[0]!;
    const text = await response.text();
    const json = response.headers.get('content-type')?.includes('json')
      ? (JSON.parse(text) as T)
      : ({ text } as T);
    const stray = response.ok ? strayIn(method, path, json) : undefined;
    if (stray) throw new Error(`${method} ${path} is not answered as the contract says: ${stray}`);
    return { status: response.status, body: json as Answer<T>['body'], headers: response.headers };
  }
  get = <T = Record<string, unknown>>(path: string) => this.call<T>('GET', path);
  post = <T = Record<string, unknown>>(path: string, body: unknown = {}) => this.call<T>('POST', path, body);
  put = <T = Record<string, unknown>>(path: string, body: unknown) => this.call<T>('PUT', path, body);
  /** Sends the bytes of a file. */
  async upload<T = Record<string, unknown>>(path: string, bytes: Buffer, type: string): Promise<Answer<T>> {
    const response = await fetch(this.base + path, {
      method: 'POST',
      headers: { 'x-hurrow': '1', 'content-type': type, cookie: this.cookie },
      body: new Uint8Array(bytes),
    });
    const body = (await response.json()) as Answer<T>['body'];
    return { status: response.status, body, headers: response.headers };
  }
  /** The bytes of an answer. */
  async download(path: string): Promise<Buffer> {
    const response = await fetch(this.base + path, { headers: { cookie: this.cookie } });
    return Buffer.from(await response.arrayBuffer());
  }
  /** The messages of a stream of events, as they come. */
  async *listen(path: string): AsyncGenerator<unknown, void, undefined> {
    const stop = new AbortController();
    try {
      const { body } = await fetch(this.base + path, {
        headers: { cookie: this.cookie },
        signal: stop.signal,
      });
      let text = '';
      for await (const part of body!.pipeThrough(
        new TextDecoderStream(),
      ) as unknown as AsyncIterable<string>) {
        text += part;
        const lines = text.split('\n\n');
        text = lines.pop()!;
        for (const line of lines) if (line.startsWith('data: ')) yield JSON.parse(line.slice(6));
      }
    } finally {
      stop.abort();
    }
  }
  /** Forgets the session, as a browser does whose cookie has run out. */
  forget() {
    this.cookie = '';
  }
}

export interface TestHurrow {
  db: Db;
  /** Its address. */
  base: string;
  caller(): Caller;
  owner: Caller;
  close(): Promise<void>;
}

/** Settings of a Hurrow under test. */
export const CONFIG: Config = {
  port: 0,
  dataFolder: '',
  databaseUrl: '',
  demo: false,
  clock: '2026-10-15T16:00:00Z',
  secure: false,
  proxies: 0,
  logLevel: 'silent',
  receiver: '',
  rangeFinder: '',
  institution: undefined,
};

export const OWNER = { name: 'Ines Falk', email: 'ines@example.org', password: 'a long enough password' };

/** Whether these tests run on a PostgreSQL server and not on the embedded store. */
export const ON_A_SERVER = process.env['HURROW_TEST_STORE'] === 'postgres';

/** Stores that tests have left: emptied, the next test takes one, which saves the seconds of opening another. */
const left: Db[] = [];

/** An empty store in its newest shape. */
async function emptyStore(): Promise<Db> {
  const db = left.pop();
  if (!db && ON_A_SERVER) return serverStore();
  if (!db) return openInMemory(new Blob([readFileSync(process.env['HURROW_PACKED_STORE']!)]));
  const tables = await db.query<{ name: string }>(
    `select tablename as name from pg_tables where schemaname = 'public' and tablename <> 'migration'`,
  );
  await db.script(`truncate ${tables.map(({ name }) => name).join(', ')} restart identity cascade`);
  return db;
}

/** A whole Hurrow on a store in memory and a free port, with its owner signed in. */
export async function startHurrow(config: Partial<Config> = {}): Promise<TestHurrow> {
  const db = await emptyStore();
  const jobs = jobsOn(db);
  const app = createApp(db, { ...CONFIG, ...config }, jobs);
  const server = app.listen(0);
  // Test and server share a thread: after seconds of work one would close an idle connection while the other sends on it.
  server.keepAliveTimeout = 0;
  await once(server, 'listening');
  const base = `http://localhost:${(server.address() as AddressInfo).port}`;
  const owner = new Caller(base);
  await owner.post('/api/setup', {
    ...OWNER,
    libraryName: 'Test library',
    latitude: 47,
    longitude: -116,
    elevation: 800,
  });
  return {
    db,
    base,
    owner,
    caller: () => new Caller(base),
    close: async () => {
      await jobs.close();
      server.closeAllConnections();
      server.close();
      left.push(db);
    },
  };
}

const maple = (genus: string, epithet: string, common: string) => ({
  rank: 'species',
  genus,
  epithet,
  family: 'Sapindaceae',
  commonNames: [common],
  synonyms: [],
  calendar: { leaves: [{ from: 121, to: 293 }] },
  cautions: [],
});
const oneOf = (characterId: string, state: string) => ({
  characterId,
  sourceId: 'own',
  qualifiers: {},
  value: { kind: 'states', states: [{ state, frequency: 'always' }] },
});
const length = (low: number, high: number) => ({
  characterId: 'leaf.length',
  sourceId: 'own',
  qualifiers: {},
  value: { kind: 'range', low, high },
});

/** Settings of a course. */
export const MAPLES = {
  name: 'Maples',
  startsOn: '2026-08-31',
  weeks: 14,
  audience: 'technical',
  units: 'metric',
  marking: { policy: 'binomial', points: { name: 2, genus: 1, epithet: 1, family: 1 }, deduction: 0.25 },
  latitude: 47,
  longitude: -116,
  elevation: 800,
};

/** A planted course with its quiz open, its two students signed in, and their ids by first name. */
export async function openedClass(hurrow: TestHurrow) {
  const planted = await plantCourse(hurrow.owner);
  const course = await hurrow.owner.get<{ students: { id: string; name: string }[] }>(
    `/api/courses/${planted.courseId}`,
  );
  const ids: Record<string, string> = {};
  for (const { id, name } of course.body.students) ids[name.split(' ')[0]!] = id;
  await hurrow.owner.post(`/api/quizzes/${planted.quizId}/open`);
  const [rowan, selma] = [hurrow.caller(), hurrow.caller()];
  await rowan.post('/api/session/student', { courseCode: planted.code, personalCode: 'ROWAN1' });
  await selma.post('/api/session/student', { courseCode: planted.code, personalCode: 'SELMA2' });
  return { planted, rowan, selma, ids };
}

const SETTINGS = 'name startsOn weeks audience units latitude longitude elevation marking'.split(' ');

/** What a course is set to, as it is sent to be changed. */
export async function settingsOf(owner: Caller, courseId: string): Promise<Record<string, unknown>> {
  const held = (await owner.get(`/api/courses/${courseId}`)).body as Record<string, unknown>;
  return Object.fromEntries(SETTINGS.map((key) => [key, held[key]]));
}

/** Two maples in a course with two students, and a planned quiz of two stations. */
export async function plantCourse(owner: Caller) {
  const add = (taxon: object, changes: object[]) =>
    owner.post<{ id: string; revision: number }>('/api/library/taxa', { taxon, changes, baseRevision: 0 });
  const scores = (shape: string, low: number) => [
    oneOf('foliage.kind', 'broad'),
    oneOf('leaf.shape', shape),
    // Enough to draw a leaf: stations of drawings are opened.
    oneOf('leaf.composition', 'simple'),
    oneOf('leaf.lobing', 'none'),
    oneOf('leaf.teeth', 'double'),
    oneOf('leaf.apex', 'acute'),
    oneOf('leaf.base', 'rounded'),
    oneOf('twig.arrangement', 'opposite'),
    length(low, low * 1.5),
  ];
  const red = (await add(maple('Acer', 'rubrum', 'red maple'), scores('ovate', 0.06))).body;
  const sugar = (await add(maple('Acer', 'saccharum', 'sugar maple'), scores('orbicular', 0.1))).body;
  const course = (await owner.post<{ id: string }>('/api/courses', MAPLES)).body;
  await owner.put(`/api/courses/${course.id}/list`, {
    sets: [{ title: 'Maples', week: 1, taxa: [red.id, sugar.id] }],
  });
  await owner.post(`/api/courses/${course.id}/students/import`, {
    csv: 'name,code\nRowan Achterberg,ROWAN1\nSelma Idowu,SELMA2',
    dryRun: false,
  });
  const view = { organs: ['leaf', 'twig'], nearness: 'hand', aids: ['eye', 'lens'], qualifiers: {} };
  const stations = [red.id, sugar.id].map((taxonId) => ({ taxonId, medium: 'drawing', view }));
  const quiz = (
    await owner.post<{ id: string }>(`/api/courses/${course.id}/quizzes`, {
      title: 'Quiz 1',
      heldOn: '2026-09-10',
      stations,
    })
  ).body;
  const { code } = (await owner.get<{ code: string }>(`/api/courses/${course.id}`)).body;
  return { red, sugar, courseId: course.id, quizId: quiz.id, code };
}
