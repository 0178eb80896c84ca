import { randomUUID } from 'node:crypto';
import type { EverythingOfOne } from '@hurrow/contract/keeping';
import type { ClassCounts, StudentLearning } from '@hurrow/contract/learning';
import type { SentMiniLesson } from '@hurrow/contract/miniLessons';
import type { CoursePractice, PracticePack, ReviewBody } from '@hurrow/contract/practice';
import { gather } from '../confusions/gather.ts';
import { courseOf } from '../courses/course.ts';
import { MAPLES, openedClass, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
let owner: Caller;
let rowan: Caller;
let selma: Caller;
let ids: Record<string, string>;
let planted: Awaited<ReturnType<typeof openedClass>>['planted'];

const course = (more: object) => owner.put(`/api/courses/${planted.courseId}`, { ...MAPLES, ...more });
const pack = async (caller = rowan) => (await caller.get<PracticePack>('/api/practice')).body;
let sequence = 0;
const review = (more: Partial<ReviewBody> = {}): ReviewBody => ({
  id: randomUUID(),
  cardId: `${planted.red.id} leaf`,
  way: 'name',
  rating: 3,
  named: null,
  tookMs: 9000,
  at: '2026-10-10T16:00:00.000Z',
  device: 'phone-1',
  sequence: (sequence += 1),
  ...more,
});
const send = (reviews: ReviewBody[], caller = rowan) =>
  caller.post<{ received: string[] }>('/api/practice/reviews', { reviews });

beforeAll(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  ({ planted, rowan, selma, ids } = await openedClass(hurrow));
  const { body: quiz } = await owner.get<{ stations: { id: string; taxonId: string }[] }>(
    `/api/quizzes/${planted.quizId}`,
  );
  // Both take the first maple for the other.
  for (const [caller, device] of [
    [rowan, 'a'],
    [selma, 'b'],
  ] as const)
    await caller.post('/api/sit/responses', {
      responses: quiz.stations.map(({ id }) => ({
        id: randomUUID(),
        stationId: id,
        answer: { genus: 'Acer', epithet: 'saccharum', family: 'Sapindaceae' },
        device,
        sequence: 1,
        writtenAt: '2026-09-10T16:00:00.000Z',
      })),
    });
  await owner.post(`/api/quizzes/${planted.quizId}/close`);
  await course({ opens: ['practice'] });
});
afterAll(() => hurrow.close());

describe('practice', () => {
  test('cards are of what was taught so far, and own mix-ups of results that were seen', async () => {
    const before = await pack();
    expect(before.taxa.map(({ taxon }) => taxon.id).sort()).toEqual(
      [planted.red.id, planted.sugar.id].sort(),
    );
    expect(before.cards.map(({ kind }) => kind)).toContain('leaf');
    expect(before.mixUps.filter(({ own }) => own)).toEqual([]);
    await owner.post(`/api/quizzes/${planted.quizId}/release`, { released: true });
    const [own] = (await pack()).mixUps;
    expect(own).toMatchObject({ own: true });
    expect([own!.a, own!.b].sort()).toEqual([planted.red.id, planted.sugar.id].sort());
  });

  test('an answer is kept once, in the order of the phone, and for nobody else', async () => {
    const reviews = [
      review({ rating: 1, named: planted.sugar.id }),
      review({ at: '2026-10-11T16:00:00.000Z' }),
    ];
    const sent = reviews.map(({ id }) => id);
    expect((await send([...reviews].reverse())).body.received.sort()).toEqual([...sent].sort());
    expect((await send(reviews)).body.received).toHaveLength(2);
    expect((await pack()).reviews.map(({ id }) => id)).toEqual(sent);
    // Another student cannot have the same answer as their own.
    expect((await send([reviews[0]!], selma)).body.received).toEqual([]);
    expect((await pack(selma)).reviews).toEqual([]);
  });

  test('a thousand answers that were given without a signal come at once', async () => {
    const many = Array.from({ length: 1000 }, (_, i) =>
      review({ at: new Date(Date.parse('2026-10-12T08:00:00Z') + i * 9000).toISOString() }),
    );
    for (const batch of [many.slice(0, 500), many.slice(500)])
      expect((await send(batch, selma)).body.received).toHaveLength(500);
    const kept = (await pack(selma)).reviews.map(({ id }) => id);
    expect(kept).toEqual(many.map(({ id }) => id));
  });

  test('what nobody practices in a minute is asked to wait, and is not lost by it', async () => {
    const many = () => Array.from({ length: 500 }, () => review());
    const codes = [];
    for (let i = 0; i < 5; i += 1) codes.push((await send(many(), selma)).status);
    expect(codes).toContain(429);
    expect(codes[0]).toBe(200);
  });

  test('what cannot be an answer is refused with what is wrong', async () => {
    expect((await send([review({ cardId: 'no card' + ' of this' })])).status).toBe(422);
    expect((await send([review({ rating: 5 as never })])).status).toBe(422);
    expect((await send([])).status).toBe(422);
  });

  test('where the course does not open it, it says so; what was practiced is taken all the same', async () => {
    await course({ opens: [] });
    const closed = await rowan.get<{ message: string }>('/api/practice');
    expect([closed.status, closed.body.message]).toEqual([403, expect.stringContaining('has not opened')]);
    expect((await send([review()])).body.received).toHaveLength(1);
    await course({ opens: ['practice'] });
  });

  test('what was told to be gone by is kept, counts in the report, and is handed out with the rest', async () => {
    const wentBy = { offered: ['leaf.lobing', 'leaf.teeth'], told: ['leaf.lobing'] };
    const told = review({ wentBy });
    expect((await send([told])).body.received).toEqual([told.id]);
    const report = async () =>
      (await gather(hurrow.db, await courseOf(hurrow.db, planted.courseId), 'now')).input.wentBy;
    expect(await report()).toEqual([
      { ...wentBy, studentId: ids['Rowan'], stationId: `practice ${told.id}`, from: 'practice' },
    ]);
    const all = await owner.get<EverythingOfOne>(
      `/api/courses/${planted.courseId}/students/${ids['Rowan']}/everything`,
    );
    expect(all.body.practice.map((each) => each.wentBy)).toContainEqual(wentBy);
    // What was not offered is not taken for a ticked one; more than a checklist holds is refused.
    const stray = review({ wentBy: { offered: ['leaf.teeth'], told: ['bud.scales', 'a guess'] } });
    await send([stray]);
    expect((await report()).find(({ stationId }) => stationId.endsWith(stray.id))!.told).toEqual([]);
    const crowd = Array.from({ length: 41 }, (_, i) => `leaf.c${i}`);
    expect((await send([review({ wentBy: { offered: crowd, told: [] } })])).status).toBe(422);
    expect((await pack()).asksWentBy).toBe(true);
    await course({ opens: ['practice'], asksInPractice: false });
    expect((await pack()).asksWentBy).toBe(false);
    await course({ opens: ['practice'] });
  });

  test('those who teach see use and what is known, and each slip only where the course says so', async () => {
    const at = `/api/courses/${planted.courseId}/practice`;
    const { body } = await owner.get<CoursePractice>(at);
    expect(body.slips).toBeNull();
    const of = body.students.find(({ studentId }) => studentId === ids['Rowan'])!;
    expect(of).toMatchObject({ answers: 5, days: 2, lastOn: '2026-10-11' });
    expect(of.cards).toBeGreaterThan(1);
    await course({ opens: ['practice'], seesSlips: true });
    const { slips } = (await owner.get<CoursePractice>(at)).body;
    expect(slips).toEqual([
      {
        studentId: ids['Rowan'],
        cardId: `${planted.red.id} leaf`,
        named: planted.sugar.id,
        on: '2026-10-10',
      },
    ]);
    expect((await rowan.get(at)).status).toBe(403);
  });
});

describe('a mini-lesson', () => {
  const body = (more: object = {}) => ({
    id: randomUUID(),
    a: planted.sugar.id,
    b: planted.red.id,
    characterId: null,
    note: 'Look at the leaf.',
    sentOn: '2026-10-14',
    to: [ids['Rowan']],
    ...more,
  });
  const at = () => `/api/courses/${planted.courseId}/mini-lessons`;
  const all = async () => (await owner.get<{ miniLessons: SentMiniLesson[] }>(at())).body.miniLessons;

  test('reaches those whom it is sent to, is opened once, and notes that the pair was taught to them', async () => {
    const lesson = body();
    expect((await owner.post(at(), lesson)).status).toBe(200);
    expect((await owner.post(at(), lesson)).status).toBe(200);
    expect(await all()).toHaveLength(1);
    expect((await pack()).miniLessons).toMatchObject([{ id: lesson.id, note: 'Look at the leaf.' }]);
    expect((await pack(selma)).miniLessons).toEqual([]);
    expect((await selma.post(`/api/sit/mini-lessons/${lesson.id}/opened`)).status).toBe(404);
    await rowan.post(`/api/sit/mini-lessons/${lesson.id}/opened`);
    expect((await all())[0]!.students).toEqual([{ id: ids['Rowan'], opened: true }]);
    const { reteachings } = (
      await owner.get<{ reteachings: object[] }>(`/api/courses/${planted.courseId}/confusions`)
    ).body;
    expect(reteachings).toMatchObject([{ taughtOn: '2026-10-14', students: [ids['Rowan']] }]);
  });

  test('taken back it is gone, and so is the note; others of the same day stay', async () => {
    const other = body({ to: [ids['Selma']] });
    await owner.post(at(), other);
    const [first, second] = await all();
    const mine = [first!, second!].find(({ id }) => id !== other.id)!;
    expect((await owner.call('DELETE', `${at()}/${mine.id}`)).status).toBe(200);
    expect((await owner.call('DELETE', `${at()}/${mine.id}`)).status).toBe(404);
    const { reteachings } = (
      await owner.get<{ reteachings: object[] }>(`/api/courses/${planted.courseId}/confusions`)
    ).body;
    expect(reteachings).toMatchObject([{ students: [ids['Selma']] }]);
  });

  test('what was noted as taught to the class stays noted when a lesson of the day is taken back', async () => {
    const [a, b] = [planted.red.id, planted.sugar.id];
    await owner.post(`/api/courses/${planted.courseId}/reteachings`, { a, b, taughtOn: '2026-10-12' });
    const lesson = body({ sentOn: '2026-10-12' });
    await owner.post(at(), lesson);
    await owner.call('DELETE', `${at()}/${lesson.id}`);
    const { reteachings } = (
      await owner.get<{ reteachings: { taughtOn: string }[] }>(`/api/courses/${planted.courseId}/confusions`)
    ).body;
    expect(reteachings.filter(({ taughtOn }) => taughtOn === '2026-10-12')).toMatchObject([
      { students: null },
    ]);
  });

  test('needs two trees of the list and a student; it prints', async () => {
    expect((await owner.post<{ message: string }>(at(), body({ b: 'gone' }))).body.message).toContain(
      'on the course’s list',
    );
    expect((await owner.post<{ message: string }>(at(), body({ to: [] }))).body.message).toContain(
      'Choose a student',
    );
    expect((await owner.post(at(), body({ to: [randomUUID()] }))).status).toBe(422);
    const sheet = `${at()}/${planted.red.id}/${planted.sugar.id}/sheet.pdf?day=200`;
    expect((await owner.get<{ text: string }>(sheet)).body.text.slice(0, 4)).toBe('%PDF');
  });
});

describe('what is said of a student and a course', () => {
  const course = () => `/api/courses/${planted.courseId}`;
  test('one student: answers, the class beside them, practice, lessons and a note that students do not see', async () => {
    const at = `${course()}/students/${ids['Selma']}`;
    await owner.put(`${at}/note`, { note: 'Talk about the buds.' });
    const { body } = await owner.get<StudentLearning>(`${at}/learning`);
    expect(body).toMatchObject({ name: 'Selma Idowu', note: 'Talk about the buds.' });
    expect(body.answers).toHaveLength(2);
    expect(Object.values(body.classRight)).toEqual([{ asked: 4, right: 2 }]);
    expect(body.practice.answers).toBeGreaterThanOrEqual(1000);
    expect(body.miniLessons).toHaveLength(1);
    expect((await selma.get(`${at}/learning`)).status).toBe(403);
    const everything = (await owner.get<EverythingOfOne>(`${at}/everything`)).body;
    expect(everything).toMatchObject({ advisingNote: 'Talk about the buds.' });
    expect(everything.practice).toHaveLength(body.practice.answers);
    expect((await owner.get(`${course()}/students/${randomUUID()}/learning`)).status).toBe(404);
  });

  test('counts by quiz, pair and tree', async () => {
    const { classes } = (await owner.get<{ classes: ClassCounts[] }>(`${course()}/trends`)).body;
    expect(classes[0]!.quizzes[0]).toMatchObject({ title: 'Quiz 1', asked: 4, right: 2 });
    expect(classes[0]!.quizzes[0]!.pairs).toMatchObject([{ mixed: 2, asked: 4 }]);
  });

  test('a report of two pages, tables with codes instead of names, and every column in the dictionary', async () => {
    const pdf = (await owner.get<{ text: string }>(`${course()}/report.pdf`)).body.text;
    expect(pdf.slice(0, 4)).toBe('%PDF');
    const table = async (name: string, codes = '') =>
      (await owner.get<{ text: string }>(`${course()}/report/${name}.csv${codes}`)).body.text;
    expect(await table('responses')).toContain('Selma Idowu');
    const coded = await table('responses', '?codes=true');
    expect(coded).not.toMatch(/Selma|Rowan|SELMA2/);
    expect(coded).toContain('S01');
    const dictionary = await table('dictionary');
    for (const name of ['responses', 'pairs', 'findings', 'reteaching', 'practice']) {
      const [head] = (await table(name)).split('\n');
      for (const column of head!.split(',')) expect(dictionary).toContain(`${name},${column},`);
    }
    expect((await owner.get(`${course()}/report/everything.csv`)).status).toBe(422);
  });
});
