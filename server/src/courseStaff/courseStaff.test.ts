import type { Course, WholeCourse } from '@hurrow/contract/courses';
import type { CourseTeacher } from '@hurrow/contract/courseStaff';
import { ROUTES } from '../app.ts';
import { MAPLES, plantCourse, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
let planted: Awaited<ReturnType<typeof plantCourse>>;
let other: string;
/** Instructors, and an assistant. */
const people: Record<'ada' | 'bo' | 'cid', { caller: Caller; id: string }> = {} as never;

beforeAll(async () => {
  hurrow = await startHurrow();
  planted = await plantCourse(hurrow.owner);
  other = (await hurrow.owner.post<{ id: string }>('/api/courses', { ...MAPLES, name: 'Open to all' })).body
    .id;
  for (const [name, role] of [
    ['ada', 'instructor'],
    ['bo', 'instructor'],
    ['cid', 'assistant'],
  ] as const) {
    const email = `${name}@example.org`;
    const { body } = await hurrow.owner.post<{ id: string; invitation: string }>('/api/accounts', {
      name,
      email,
      role,
    });
    const password = 'a password of their own';
    await hurrow.caller().post('/api/session/invitation', { token: body.invitation, password });
    const caller = hurrow.caller();
    await caller.post('/api/session/account', { email, password });
    people[name] = { caller, id: body.id };
  }
});
afterAll(() => hurrow.close());

const at = (path = '') => `/api/courses/${planted.courseId}${path}`;
const nameThem = (named: [keyof typeof people, string][], caller = hurrow.owner) =>
  caller.put(at('/staff'), { named: named.map(([who, role]) => ({ accountId: people[who].id, role })) });
const courseOf = (who: keyof typeof people) => people[who].caller.get<WholeCourse>(at());

test('a course that names nobody is everyone’s, each as they are elsewhere', async () => {
  expect((await courseOf('bo')).body.role).toBe('instructor');
  expect((await courseOf('cid')).body.role).toBe('assistant');
  const { body } = await people.ada.caller.get<CourseTeacher[]>(at('/staff'));
  expect((body as CourseTeacher[]).map(({ name, here }) => [name, here])).toEqual([
    ['ada', null],
    ['bo', null],
    ['cid', null],
    ['Ines Falk', null],
  ]);
  expect((await people.cid.caller.get(at('/staff'))).status).toBe(403);
});

test('who leads it is named; nobody shuts the door behind themselves', async () => {
  expect((await nameThem([['bo', 'helps']])).body.message).toContain('one who leads it');
  expect((await nameThem([['bo', 'leads']], people.ada.caller)).body.message).toContain('Name yourself');
  const stranger = { accountId: '00000000-0000-4000-8000-000000000000', role: 'leads' };
  expect((await hurrow.owner.put(at('/staff'), { named: [stranger] })).status).toBe(422);
  expect((await nameThem([['ada', 'leads']], people.ada.caller)).status).toBe(200);
});

describe('a course of two', () => {
  beforeAll(() =>
    nameThem([
      ['cid', 'leads'],
      ['ada', 'helps'],
    ]),
  );
  afterAll(() => nameThem([]));

  test('is led by an assistant, helped by an instructor, and the owner’s as well', async () => {
    const [cid, ada] = [await courseOf('cid'), await courseOf('ada')];
    expect([cid.body.role, ada.body.role]).toEqual(['instructor', 'assistant']);
    const rename = (who: Caller) => who.put(at(), { ...MAPLES, name: 'Maples of Cid', units: 'imperial' });
    expect((await rename(people.cid.caller)).status).toBe(200);
    expect((await rename(people.ada.caller)).status).toBe(403);
    expect((await hurrow.owner.get<WholeCourse>(at())).body.role).toBe('owner');
    // Elsewhere they are what they were.
    expect((await people.cid.caller.put(`/api/courses/${other}`, MAPLES)).status).toBe(403);
    expect(
      (await people.ada.caller.put(`/api/courses/${other}`, { ...MAPLES, name: 'Open to all' })).status,
    ).toBe(200);
  });

  const ofCourse = ROUTES.filter(
    ({ path, allow }) =>
      /\{(courseId|quizId)\}/.test(path) && allow !== 'anyone' && allow.includes('instructor'),
  ).map(({ method, path }) => [method.toUpperCase(), path] as const);
  test.each(ofCourse)('%s %s is not there for others', async (method, path) => {
    const inIt = path
      .replace('{courseId}', planted.courseId)
      .replace('{quizId}', planted.quizId)
      .replace(/\{\w+\}/g, '00000000-0000-4000-8000-000000000000');
    expect((await people.bo.caller.call(method, inIt)).status).toBe(404);
    // Naming a course that is open beside it opens nothing.
    expect((await people.bo.caller.call(method, `${inIt}?courseId=${other}&course=${other}`)).status).toBe(
      404,
    );
  });

  test('is in no list, history, slip or comparison of others', async () => {
    const courses = async (who: Caller) =>
      ((await who.get<Course[]>('/api/courses')).body as Course[]).map(({ name }) => name);
    expect(await courses(people.bo.caller)).toEqual(['Open to all']);
    expect(await courses(people.ada.caller)).toEqual(['Maples of Cid', 'Open to all']);
    const history = async (who: Caller) => JSON.stringify((await who.get('/api/history')).body);
    expect(await history(hurrow.owner)).toContain('Maples of Cid');
    expect(await history(people.bo.caller)).not.toContain('Maples of Cid');
    expect((await people.bo.caller.get(`/api/history?courseId=${planted.courseId}`)).status).toBe(404);
    const slips = `/api/prints/slips.pdf?courseId=${planted.courseId}&at=http://localhost`;
    expect((await people.bo.caller.get(slips)).status).toBe(404);
    expect((await people.ada.caller.get(slips)).status).toBe(200);
  });

  test('is copied with those who teach it', async () => {
    const copied = await people.cid.caller.post<{ id: string }>(at('/copy'), {
      name: 'Next year',
      startsOn: '2027-08-30',
    });
    const copy = `/api/courses/${copied.body.id}`;
    expect((await people.bo.caller.get(copy)).status).toBe(404);
    expect((await people.cid.caller.get<WholeCourse>(copy)).body.role).toBe('instructor');
  });
});

test('taken back, it is everyone’s again, and the history says so', async () => {
  expect((await courseOf('bo')).status).toBe(200);
  const { body } = await hurrow.owner.get(`/api/history?courseId=${planted.courseId}`);
  expect(JSON.stringify(body)).toContain('changed who teaches the course');
});
