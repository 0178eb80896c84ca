import { randomUUID } from 'node:crypto';
import type { Running } from '@hurrow/contract/running';
import type { Sitting } from '@hurrow/contract/sitting';
import { openedClass, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';
import { toldByPhones } from './phones.ts';

let hurrow: TestHurrow;
let owner: Caller;
let planted: Awaited<ReturnType<typeof openedClass>>['planted'];
let rowan: Caller;
let selma: Caller;
let ids: Record<string, string>;
const at = (path: string) => `/api/quizzes/${planted.quizId}${path}`;
const running = async () => (await owner.get<Running>(at('/running'))).body;
const sit = async (who: Caller) => (await who.get<Sitting>('/api/sit')).body;
const send = (who: Caller, stationId: string, more: object = {}) =>
  who.post<{ received: string[] }>('/api/sit/responses', {
    responses: [
      {
        id: randomUUID(),
        stationId,
        answer: { genus: 'Acer', epithet: 'rubrum', sure: 'half' },
        device: 'phone',
        sequence: 1,
        writtenAt: new Date().toISOString(),
      },
    ],
    ...more,
  });

beforeAll(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  ({ planted, rowan, selma, ids } = await openedClass(hurrow));
});
afterAll(() => hurrow.close());

test('what phones tell: who lent one, who used two, whose clock is wrong', () => {
  const { of, lent } = toldByPhones([
    { studentId: 'a', phone: 'x', off: null },
    { studentId: 'b', phone: 'x', off: -7200 },
    { studentId: 'a', phone: 'y', off: null },
  ]);
  expect(lent).toEqual([['a', 'b']]);
  expect(of.get('a')).toEqual({ phones: 2, clockOff: null });
  expect(of.get('b')).toEqual({ phones: 1, clockOff: -7200 });
});

test('a lent phone, a code on two phones and a clock that is hours off are told, and nothing is lost', async () => {
  const [first, second] = (await sit(rowan)).open[0]!.stations;
  expect(Math.abs((await sit(rowan)).now - Date.now())).toBeLessThan(60_000);
  const slow = new Date(Date.now() - 3 * 3600_000).toISOString();
  const sent = [
    await send(rowan, first!.id, { phone: 'phone-a', sentAt: new Date().toISOString() }),
    await send(selma, first!.id, { phone: 'phone-a', sentAt: new Date().toISOString() }),
    await send(selma, second!.id, { phone: 'phone-b', sentAt: slow }),
  ];
  expect(sent.map(({ body }) => body.received.length)).toEqual([1, 1, 1]);
  const { students, lent } = await running();
  expect(lent.map((each) => [...each].sort())).toEqual([[ids['Rowan'], ids['Selma']].sort()]);
  const of = (name: string) => students.find(({ studentId }) => studentId === ids[name])!;
  expect(of('Rowan')).toMatchObject({ phones: 1, clockOff: null, was: 'there' });
  expect(of('Selma').phones).toBe(2);
  expect(of('Selma').clockOff! + 3 * 3600).toBeLessThan(60);
});

test('phones follow the bell by the server’s clock, each its own round', async () => {
  expect((await sit(rowan)).open[0]!.bell).toBeNull();
  // The page that rings has a clock that is an hour fast.
  const clock = Date.now() + 3600_000;
  expect((await rowan.put(at('/bell'), { state: { passed: 0 }, clock })).status).toBe(403);
  const rung = await owner.put(at('/bell'), { state: { passed: 0, since: clock - 5000 }, clock });
  expect(rung.status).toBe(200);
  await new Promise((resolve) => setTimeout(resolve, 2100));
  const { bell } = (await sit(rowan)).open[0]!;
  expect(Math.abs(bell!.state.since! - (Date.now() - 7100))).toBeLessThan(3000);
  expect([...bell!.round.stations].sort()).toEqual([1, 2]);
  const other = (await sit(selma)).open[0]!.bell!.round.stations;
  expect(other[0]).not.toBe(bell!.round.stations[0]);
});

test('a closed quiz is opened for one student alone, and closed again', async () => {
  const station = (await sit(rowan)).open[0]!.stations[1]!.id;
  await owner.post(at('/close'));
  const to = (student: string, body: object) => owner.put(at(`/students/${student}`), body);
  expect((await send(rowan, station)).status).toBe(409);
  expect((await to(ids['Rowan']!, { was: 'there', reopened: true })).status).toBe(200);
  expect((await sit(rowan)).open).toHaveLength(1);
  expect((await rowan.get(`/api/sit/stations/${station}/drawing.svg`)).status).toBe(200);
  expect((await send(rowan, station)).status).toBe(200);
  expect((await sit(selma)).open).toEqual([]);
  expect((await send(selma, station)).status).toBe(409);
  expect((await selma.get(`/api/sit/stations/${station}/drawing.svg`)).status).toBe(404);
  await to(ids['Rowan']!, { was: 'there', reopened: false });
  expect((await send(rowan, station)).status).toBe(409);
  expect((await to(randomUUID(), { was: 'absent', reopened: false })).status).toBe(404);
  await to(ids['Selma']!, { was: 'excused', reopened: false });
  expect((await running()).students.find(({ studentId }) => studentId === ids['Selma'])!.was).toBe('excused');
});

test('what happens at a station is noted, with who and when', async () => {
  const { stations } = (await owner.get<{ stations: { id: string }[] }>(at(''))).body;
  const note = { note: 'Cutting replaced: the first had lost its buds.' };
  expect((await owner.post(at(`/stations/${stations[0]!.id}/notes`), note)).status).toBe(200);
  expect((await owner.post(at(`/stations/${randomUUID()}/notes`), note)).status).toBe(404);
  expect((await running()).stations).toEqual([
    {
      stationId: stations[0]!.id,
      stands: '',
      notes: [expect.objectContaining({ ...note, by: expect.any(String) as string })],
    },
  ]);
});

test('a station that was moved says on phones where it stands, and it is noted; students cannot move it', async () => {
  await owner.post(at('/open'));
  const before = await sit(rowan);
  const [first, second] = before.open[0]!.stations;
  expect(first!.stands).toBe('');
  const to = (who: Caller, station: string, stands: string) =>
    who.put(at(`/stations/${station}/place`), { stands });
  expect((await to(rowan, first!.id, 'in my bag')).status).toBe(403);
  expect((await to(owner, randomUUID(), 'nowhere')).status).toBe(404);
  expect((await to(owner, first!.id, 'by the south window')).status).toBe(200);
  const { stations } = (await sit(rowan)).open[0]!;
  expect(stations.map(({ stands }) => stands)).toEqual(['by the south window', '']);
  const said = (await running()).stations.find(({ stationId }) => stationId === first!.id)!;
  expect(said.stands).toBe('by the south window');
  expect(said.notes.at(-1)!.note).toBe('Moved: by the south window');
  await to(owner, first!.id, '');
  expect((await sit(rowan)).open[0]!.stations[0]!.stands).toBe('');
  expect((await running()).stations.find(({ stationId }) => stationId === second!.id)).toBeUndefined();
  await owner.post(at('/close'));
});

test('one of four names is chosen: the phone is told the names and not which is right, and the choice is marked as if written', async () => {
  const view = { organs: ['leaf'], nearness: 'hand', aids: ['eye'], qualifiers: {} };
  const stations = [{ taxonId: planted.sugar.id, medium: 'drawing', view, choose: true }];
  const quiz = (
    await owner.post<{ id: string }>(`/api/courses/${planted.courseId}/quizzes`, {
      title: 'Choosing',
      heldOn: '2026-09-10',
      stations,
    })
  ).body;
  expect(
    (
      await owner.get(
        `/api/quizzes/${quiz.id}/papers/stations.pdf?at=${encodeURIComponent('http://a.example')}`,
      )
    ).status,
  ).toBe(200);
  await owner.post(`/api/quizzes/${quiz.id}/open`);
  const [station] = (await sit(rowan)).open.find(({ title }) => title === 'Choosing')!.stations;
  expect(station!.choices.map(({ name }) => name).sort()).toEqual(['Acer rubrum', 'Acer saccharum']);
  expect(JSON.stringify(station)).not.toContain(planted.sugar.id);
  const { answer } = station!.choices.find(({ name }) => name === 'Acer saccharum')!;
  await rowan.post('/api/sit/responses', {
    responses: [
      {
        id: randomUUID(),
        stationId: station!.id,
        answer,
        device: 'phone',
        sequence: 9,
        writtenAt: new Date().toISOString(),
      },
    ],
  });
  const { answers } = (
    await owner.get<{ answers: { mark: { points: number; outOf: number } }[] }>(
      `/api/quizzes/${quiz.id}/marks`,
    )
  ).body;
  expect(answers.map(({ mark }) => mark.points === mark.outOf)).toEqual([true]);
});

test('what one student wrote counts for nobody else, though another has signed in on the phone meanwhile', async () => {
  const { open } = await sit(rowan);
  const station = open.find(({ title }) => title === 'Choosing')!.stations[0]!.id;
  const answer = {
    id: randomUUID(),
    stationId: station,
    answer: { genus: 'Acer', epithet: 'rubrum' },
    device: 'phone',
    sequence: 20,
    writtenAt: new Date().toISOString(),
  };
  const as = { 'x-hurrow': '1', 'x-hurrow-student': ids['Rowan']! };
  const post = (who: Caller) => who.call('POST', '/api/sit/responses', { responses: [answer] }, as);
  expect(await post(selma)).toMatchObject({ status: 401, body: { code: 'signedOut' } });
  expect((await selma.call('GET', '/api/sit', undefined, as)).status).toBe(401);
  expect((await sit(selma)).open.find(({ title }) => title === 'Choosing')!.stations[0]!.answer).toBeNull();
  expect((await post(rowan)).status).toBe(200);
});
