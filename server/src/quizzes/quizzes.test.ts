import { randomUUID } from 'node:crypto';
import { vi } from 'vitest';
import { migrate } from '../db/index.ts';
import type { NewResponse } from './queries.ts';
import { bringBack } from './receive.ts';
import {
  withPlantedQuiz,
  type SitAnswer,
  hurrow,
  owner,
  planted,
  rowan,
  selma,
  open,
  stationsFor,
  marks,
  response,
  send,
} from '../testing/plantedQuiz.ts';
import { settingsOf } from '../testing/testHurrow.ts';

withPlantedQuiz();

test('students see a quiz only while it is open, and never what tree it is', async () => {
  expect((await rowan.get<SitAnswer>('/api/sit')).body.open).toEqual([]);
  await open();
  const { body } = await rowan.get<SitAnswer>('/api/sit');
  expect(body.open[0]!.stations).toHaveLength(2);
  const said =
    JSON.stringify(body) +
    JSON.stringify((await rowan.get(`/api/sit/stations/${body.open[0]!.stations[0]!.id}/drawing.svg`)).body);
  expect(said).not.toMatch(/rubrum|saccharum|red maple|seed|traits/i);
  await owner.post(`/api/quizzes/${planted.quizId}/close`);
  expect((await rowan.get(`/api/sit/stations/${body.open[0]!.stations[0]!.id}/drawing.svg`)).status).toBe(
    404,
  );
});

test('editing the library after opening changes neither the quiz nor its marks', async () => {
  await open();
  const [first] = await stationsFor(rowan);
  await send(rowan, response(first!.id, 'Acer', 'rubrum'));
  const drawing = (await rowan.get(`/api/sit/stations/${first!.id}/drawing.svg`)).body;
  const before = await marks();

  const { taxa, revision } = (
    await owner.get<{ revision: number; taxa: { taxon: Record<string, unknown> }[] }>('/api/library')
  ).body;
  const taxon = {
    ...taxa.find((entry) => entry.taxon['id'] === planted.red.id)!.taxon,
    id: undefined,
    epithet: 'mutatum',
  };
  const leaf = {
    characterId: 'leaf.length',
    sourceId: 'own',
    qualifiers: {},
    value: { kind: 'range', low: 0.2, high: 0.3 },
  };
  const shape = {
    characterId: 'leaf.shape',
    sourceId: 'own',
    qualifiers: {},
    value: { kind: 'states', states: [{ state: 'linear', frequency: 'always' }] },
  };
  expect(
    (
      await owner.put(`/api/library/taxa/${planted.red.id}`, {
        taxon,
        changes: [leaf, shape],
        baseRevision: revision,
      })
    ).status,
  ).toBe(200);
  const marking = { policy: 'common', points: { name: 9, genus: 9, epithet: 9, family: 9 }, deduction: 0 };
  const course = await settingsOf(owner, planted.courseId);
  expect((await owner.put(`/api/courses/${planted.courseId}`, { ...course, marking })).status).toBe(200);

  expect(await marks()).toEqual(before);
  expect((await rowan.get(`/api/sit/stations/${first!.id}/drawing.svg`)).body).toEqual(drawing);
  expect(before.answers[0]!.mark).toMatchObject({ points: 2, outOf: 2 });
});

test('once opened, the plan is fixed; reopening a closed quiz keeps it as it was', async () => {
  await open();
  const plan = await owner.put(`/api/quizzes/${planted.quizId}`, {
    title: 'x',
    heldOn: '2026-09-11',
    stations: [],
  });
  expect(plan).toMatchObject({
    status: 409,
    body: { message: expect.stringContaining('stations are fixed') as string },
  });
  const [{ frozen }] = (await hurrow.db.query<{ frozen: object }>(
    'select frozen from station order by position',
  )) as [{ frozen: object }];
  await owner.post(`/api/quizzes/${planted.quizId}/close`);
  await open();
  expect(
    (await hurrow.db.query<{ frozen: object }>('select frozen from station order by position'))[0]!.frozen,
  ).toEqual(frozen);
});

describe('receiving answers', () => {
  beforeEach(open);

  test('the same answer sent twice is acknowledged twice and stored once', async () => {
    const [first] = await stationsFor(rowan);
    const said = response(first!.id, 'Acer', 'rubrum');
    expect((await send(rowan, said)).body.received).toEqual([said.id]);
    expect((await send(rowan, said)).body.received).toEqual([said.id]);
    expect(await hurrow.db.query('select id from response')).toHaveLength(1);
  });
  test('the same id with another body is refused and the first kept', async () => {
    const [first] = await stationsFor(rowan);
    const said = response(first!.id, 'Acer', 'rubrum');
    await send(rowan, said);
    expect(await send(rowan, { ...said, answer: { genus: 'Acer', epithet: 'saccharum' } })).toMatchObject({
      status: 409,
    });
    expect((await marks()).answers[0]!.written).toEqual({ genus: 'Acer', epithet: 'rubrum' });
  });
  test('one id used by two students does not mix them up', async () => {
    const [first] = await stationsFor(rowan);
    const said = response(first!.id, 'Acer', 'rubrum');
    await send(rowan, said);
    expect((await send(selma, said)).status).toBe(409);
  });
  test('later answers count, whatever the order of arrival', async () => {
    const [first] = await stationsFor(rowan);
    await send(rowan, response(first!.id, 'Acer', 'rubrum', { sequence: 5 }));
    await send(rowan, response(first!.id, 'Acer', 'saccharum', { sequence: 2 }));
    expect((await marks()).answers.map((answer) => answer.text)).toEqual(['Acer rubrum']);
  });
  test('of a batch, good answers are stored and bad ones named', async () => {
    const [first] = await stationsFor(rowan);
    const good = response(first!.id, 'Acer', 'rubrum');
    const { body } = await send(rowan, good, response(randomUUID(), 'Acer', 'rubrum'));
    expect(body).toMatchObject({
      received: [good.id],
      refused: [{ message: expect.stringContaining('station') as string }],
    });
  });
  test('a closed quiz takes no more from phones, but from paper it does', async () => {
    const [first] = await stationsFor(rowan);
    await owner.post(`/api/quizzes/${planted.quizId}/close`);
    expect((await send(rowan, response(first!.id, 'Acer', 'rubrum'))).body.message).toContain(
      'came too late',
    );
    const { students, stations } = await marks();
    expect(
      (
        await owner.post(`/api/quizzes/${planted.quizId}/paper`, {
          studentId: students[0]!.id,
          stationId: stations[0]!.id,
          answer: { genus: 'Acer', epithet: 'rubrum' },
        })
      ).status,
    ).toBe(200);
  });
  test('responses can be neither changed nor deleted, not even by a statement', async () => {
    const [first] = await stationsFor(rowan);
    await send(rowan, response(first!.id, 'Acer', 'rubrum'));
    await expect(hurrow.db.query(`update response set answer = '{}'`)).rejects.toThrow('never changed');
    await expect(hurrow.db.query('delete from response')).rejects.toThrow('never changed');
  });
  test('phone and paper that differ go to the instructor, whose choice counts', async () => {
    const [first] = await stationsFor(rowan);
    await send(rowan, response(first!.id, 'Acer', 'rubrum'));
    const student = (await marks()).students[0]!;
    const paper = {
      studentId: student.id,
      stationId: first!.id,
      answer: { genus: 'Acer', epithet: 'saccharum' },
    };
    await owner.post(`/api/quizzes/${planted.quizId}/paper`, paper);
    expect((await marks()).answers[0]!.conflicting).toHaveLength(1);
    await owner.post(`/api/quizzes/${planted.quizId}/paper`, { ...paper, decide: true });
    expect((await marks()).answers[0]).toMatchObject({ text: 'Acer saccharum', conflicting: [] });
  });
});

describe('a phone that says what is not so', () => {
  beforeEach(open);
  const paperOf = async (epithet: string, decide: boolean) => {
    const { students, stations } = await marks();
    const rowanId = students.find(({ name }) => name === 'Rowan Achterberg')!.id;
    const answer = { genus: 'Acer', epithet };
    const body = { studentId: rowanId, stationId: stations[0]!.id, answer, decide };
    return owner.post(`/api/quizzes/${planted.quizId}/paper`, body);
  };
  const answered = async () => (await marks()).answers[0]!;

  test.each(['instructor', 'paper'])(
    'calling itself “%s” it overrules nobody and blocks nothing',
    async (device) => {
      const [first] = await stationsFor(rowan);
      await paperOf('saccharum', true);
      const lie = response(first!.id, 'Acer', 'rubrum', { device, sequence: 1_000_000 });
      expect((await send(rowan, lie)).status).toBe(200);
      expect((await answered()).text).toBe('Acer saccharum');
      expect((await paperOf('negundo', true)).status).toBe(200);
      expect((await answered()).text).toBe('Acer negundo');
    },
  );

  test('a sequence number that nothing could come after is refused', async () => {
    const [first] = await stationsFor(rowan);
    const { status, body } = await send(
      rowan,
      response(first!.id, 'Acer', 'rubrum', { sequence: 2 ** 31 - 1 }),
    );
    expect([status, body.message]).toEqual([422, expect.stringContaining('could not be read')]);
  });

  test.each([
    ['a name of a thousand letters', { answer: { genus: 'x'.repeat(1000) } }],
    ['a zero byte', { answer: { genus: 'Ac\u0000er' } }],
    ['half a sign', { answer: { genus: '\ud83c' } }],
    ['no station', { stationId: 'nowhere' }],
    ['no number', { sequence: 'first' }],
  ])('%s keeps none of the other answers back', async (_, wrong) => {
    const [first, second] = await stationsFor(rowan);
    const good = response(second!.id, 'Acer', 'saccharum');
    const bad = response(first!.id, 'Acer', 'rubrum', wrong);
    const { status, body } = await send(rowan, bad, good);
    expect(status).toBe(200);
    expect(body.received).toEqual([good.id]);
    expect(body.refused).toMatchObject([{ id: bad.id, message: expect.stringMatching(/.{20}/) as string }]);
  });

  test('a store in which phones spoke as others heals when it is opened again', async () => {
    const [first] = await stationsFor(rowan);
    await paperOf('saccharum', true);
    await send(rowan, response(first!.id, 'Acer', 'rubrum', { device: 'instructor', sequence: 1_000_000 }));
    // As it stood before the server said who speaks.
    await hurrow.db.script(
      `alter table response drop column by; delete from migration where name like '006%'`,
    );
    await migrate(hurrow.db);
    expect((await answered()).text).toBe('Acer saccharum');
    expect((await paperOf('negundo', true)).status).toBe(200);
  });
});

describe('importing answers', () => {
  beforeEach(open);
  const file = 'student,station,genus,epithet\nROWAN1,1,Acer,saccharum\nSELMA2,1,Acer,rubrum';
  interface Report {
    added: string[];
    replaced: { line: number; message: string }[];
    unchanged: number;
  }
  const take = async (options: { dryRun: boolean; replace?: boolean }) =>
    (await owner.post<Report>(`/api/quizzes/${planted.quizId}/responses/import`, { csv: file, ...options }))
      .body;
  const texts = async () => (await marks()).answers.map(({ text }) => text).sort();

  test('a stored answer is named in the preview, never counted as added, and replaced only by choice', async () => {
    const [first] = await stationsFor(rowan);
    await send(rowan, response(first!.id, 'Acer', 'rubrum'));
    expect(await take({ dryRun: true })).toMatchObject({
      added: ['1 answer'],
      replaced: [{ line: 2, message: '“Acer rubrum” is stored and would be replaced by “Acer saccharum”' }],
    });
    await take({ dryRun: false });
    expect(await texts()).toEqual(['Acer rubrum', 'Acer rubrum']);
    await take({ dryRun: false, replace: true });
    expect(await texts()).toEqual(['Acer rubrum', 'Acer saccharum']);
    expect(await take({ dryRun: true })).toMatchObject({ added: [], replaced: [], unchanged: 2 });
    // Both stay in the history.
    expect(await hurrow.db.query('select id from response')).toHaveLength(3);
  });
});

describe('files', () => {
  const send = (csv: string, dryRun: boolean) =>
    owner.post(`/api/quizzes/${planted.quizId}/responses/import`, { csv, dryRun });
  test('answers before the quiz is opened are refused', async () => {
    expect((await send('student,station,answer\nROWAN1,1,x', true)).body.message).toContain('Open the quiz');
  });
  test('an unknown taxon is pointed out and kept as written; importing stores what the preview said', async () => {
    await open();
    const csv =
      'student,station,genus,epithet\nROWAN1,1,Acer,rubrum\nSelma Idowu,1,Quercus,alba\nNobody,1,Acer,rubrum';
    const preview = await send(csv, true);
    expect(preview.body).toMatchObject({
      added: ['2 answers'],
      refused: [{ line: 4 }],
      unknown: [{ line: 3, message: expect.stringContaining('Quercus alba') as string }],
    });
    expect((await marks()).answers).toEqual([]);
    await send(csv, false);
    expect((await marks()).answers.map((answer) => answer.text)).toEqual(['Acer rubrum', 'Quercus alba']);
  });
  test('a roster without its column is refused, and the list is as before', async () => {
    const answer = await owner.post(`/api/courses/${planted.courseId}/students/import`, {
      csv: 'surname\nX',
      dryRun: false,
    });
    expect(answer).toMatchObject({
      status: 422,
      body: { message: expect.stringContaining('“name” is missing') as string },
    });
    expect((await marks()).students).toHaveLength(2);
  });
});

test('a station with a species off the list, or nothing shown, is refused with its number', async () => {
  const view = { organs: ['leaf'], nearness: 'hand', aids: ['eye'], qualifiers: {} };
  const put = (stations: object[]) =>
    owner.put(`/api/quizzes/${planted.quizId}`, { title: 'Quiz', heldOn: '2026-09-10', stations });
  expect((await put([{ taxonId: 'quercus-alba', medium: 'photo', view }])).body.message).toContain(
    'Station 1',
  );
  expect(
    (await put([{ taxonId: planted.red.id, medium: 'photo', view: { ...view, organs: [] } }])).body.message,
  ).toContain('at least one part');
  expect(
    (await owner.put(`/api/quizzes/${planted.quizId}`, { title: 'Quiz', heldOn: '2026-02-30', stations: [] }))
      .body.message,
  ).toContain('is no date');
});

test('students with answers stay on the list', async () => {
  await open();
  const [first] = await stationsFor(rowan);
  await send(rowan, response(first!.id, 'Acer', 'rubrum'));
  const { students } = await marks();
  const drop = (id: string) => owner.call('DELETE', `/api/courses/${planted.courseId}/students/${id}`);
  expect((await drop(students[0]!.id)).status).toBe(409);
  expect((await drop(students[1]!.id)).status).toBe(200);
});

test('an answer whose acknowledgement was lost is acknowledged after the quiz was closed; another comes too late', async () => {
  await open();
  const [first] = await stationsFor(rowan);
  const answer = response(first!.id, 'Acer', 'rubrum');
  await send(rowan, answer);
  await owner.post(`/api/quizzes/${planted.quizId}/close`);
  expect((await send(rowan, answer)).body.received).toEqual([answer.id]);
  const refused = [
    await send(rowan, response(first!.id, 'Acer', 'saccharum')),
    await send(rowan, { ...answer, answer: { genus: 'Quercus' } }),
    await send(selma, answer),
  ];
  expect(refused.map(({ status }) => status)).toEqual([409, 409, 409]);
});

describe('kept on the disk', () => {
  /** What was kept, as the journal of a folder would hold it. */
  const listen = () => {
    const kept: NewResponse[] = [];
    vi.spyOn(hurrow.db, 'keep').mockImplementation(
      async (rows) => void kept.push(...(rows as NewResponse[])),
    );
    vi.spyOn(hurrow.db, 'kept').mockImplementation(async () => kept as never);
    return kept;
  };
  /** The store as it was before anyone answered. */
  const loseAll = () =>
    hurrow.db.script(
      'alter table response disable trigger user; delete from response; alter table response enable trigger user',
    );

  test('answers that the store lost come back with their marks, once', async () => {
    const kept = listen();
    await open();
    const [first, second] = await stationsFor(rowan);
    await send(rowan, response(first!.id, 'Acer', 'rubrum'), response(second!.id, 'Acer', 'rubrum'));
    await send(rowan, response(first!.id, 'Acer', 'saccharum', { sequence: 2 }));
    await send(selma, response(first!.id, 'Acer', 'rubrum'));
    const before = await marks();
    const rows = () => hurrow.db.query('select * from response order by id');
    const all = await rows();
    await loseAll();
    expect((await marks()).answers).not.toEqual(before.answers);
    expect(await bringBack(hurrow.db)).toEqual({ back: 4, strangers: 0 });
    expect(await marks()).toEqual(before);
    expect(await rows()).toEqual(all);
    expect(await bringBack(hurrow.db)).toEqual({ back: 0, strangers: 0 });
    kept.push({ ...kept[0]!, id: randomUUID(), stationId: randomUUID() });
    expect(await bringBack(hurrow.db)).toEqual({ back: 0, strangers: 1 });
  });

  test('while the disk refuses, nobody is told that an answer was received; sent again it is', async () => {
    const kept = listen();
    await open();
    const [first] = await stationsFor(rowan);
    const answer = response(first!.id, 'Acer', 'rubrum');
    vi.spyOn(hurrow.db, 'keep').mockRejectedValueOnce(new Error('ENOSPC'));
    expect((await send(rowan, answer)).status).toBe(500);
    expect((await send(rowan, answer)).body.received).toEqual([answer.id]);
    expect(kept.map(({ id }) => id)).toEqual([answer.id]);
  });
});
