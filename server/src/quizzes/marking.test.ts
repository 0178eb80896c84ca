import { unpackAnswers, type PackedAnswers } from '@hurrow/contract/packedAnswers';
import type { Caller } from '../testing/testHurrow.ts';
import { classReport } from '../confusions/classReport.ts';
import { gather } from '../confusions/gather.ts';
import { courseOf } from '../courses/course.ts';
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

withPlantedQuiz();

describe('marking', () => {
  beforeEach(open);

  const rule = (body: object) =>
    owner.post(`/api/quizzes/${planted.quizId}/rulings`, { truth: planted.red.id, ...body });
  const swamp = { genus: 'Swamp', epithet: 'mapel' };

  test('a ruling holds for all equal answers, is signed, and can be taken back', async () => {
    const [first] = await stationsFor(rowan);
    await send(rowan, response(first!.id, 'Swamp', 'mapel'));
    await send(selma, response(first!.id, 'swamp', 'Mapel'));
    expect((await marks()).answers.map((answer) => answer.mark.points)).toEqual([0, 0]);
    await rule({ answer: swamp, countsAs: planted.red.id });
    // Spelled otherwise than the tree is called: each part costs the deduction, as a misspelling does.
    const ruled = (await marks()).answers;
    expect(ruled.map(({ mark, ruling }) => [mark.points, ruling?.by])).toEqual([
      [1.5, 'Ines Falk'],
      [1.5, 'Ines Falk'],
    ]);
    const back = `/api/quizzes/${planted.quizId}/rulings/${ruled[0]!.ruling!.id}`;
    expect((await owner.call('DELETE', back)).status).toBe(200);
    expect((await marks()).answers[0]!.mark.points).toBe(0);
    expect((await owner.call('DELETE', back)).status).toBe(404);
  });
  test('a name that another tree bears counts for a second one only when that is said', async () => {
    const [first] = await stationsFor(rowan);
    await send(rowan, response(first!.id, 'Acer', 'saccharum'));
    const sugar = { answer: { genus: 'Acer', epithet: 'saccharum' }, countsAs: planted.red.id };
    expect(await rule(sugar)).toMatchObject({ status: 409, body: { code: 'sharedName' } });
    expect((await marks()).answers[0]!.ruling).toBeNull();
    expect((await rule({ ...sugar, both: true })).status).toBe(200);
    expect((await marks()).answers[0]!.ruling).not.toBeNull();
    // For one answer alone it is nobody's name, and needs no question.
    const only = { studentId: (await marks()).answers[0]!.studentId, stationId: first!.id };
    expect((await rule({ ...sugar, only, reason: 'said so aloud' })).status).toBe(200);
  });

  test('any mark can be overruled with a reason, for one answer or for all equal ones', async () => {
    const [first] = await stationsFor(rowan);
    await send(rowan, response(first!.id, 'Acer', 'saccharum'));
    await send(selma, response(first!.id, 'Acer', 'saccharum'));
    const ids = (await marks()).students.map(({ id }) => id);
    const points = async () => {
      const { answers } = await marks();
      return ids.map((id) => answers.find(({ studentId }) => studentId === id)!.mark.points);
    };
    expect(await points()).toEqual([1, 1]);
    const answer = { genus: 'Acer', epithet: 'saccharum' };
    const byHand = { answer, countsAs: planted.sugar.id, points: { epithet: 0.5 } };
    expect((await rule(byHand)).body.message).toContain('“Reason”');
    const only = { studentId: ids[1], stationId: first!.id };
    await rule({ ...byHand, only, reason: 'the label had slipped' });
    expect(await points()).toEqual([1, 1.5]);
    await rule({ ...byHand, points: { epithet: 1 }, reason: 'both stood at one table' });
    expect(await points()).toEqual([2, 1.5]);
    const held = (await marks()).answers.find(({ studentId }) => studentId === ids[1])!.ruling!;
    expect(held).toMatchObject({ reason: 'the label had slipped', alone: true });
    await owner.call('DELETE', `/api/quizzes/${planted.quizId}/rulings/${held.id}`);
    expect(await points()).toEqual([2, 2]);
  });
  test('a ruling on a species that is not there is refused, and says so', async () => {
    const unknown = await rule({ answer: swamp, countsAs: 'quercus-nowhere' });
    expect([unknown.status, unknown.body.message]).toEqual([422, expect.stringContaining('quercus-nowhere')]);
  });
  test('a student sees the own result only when it is released, and no one else’s', async () => {
    const [first] = await stationsFor(rowan);
    await send(rowan, response(first!.id, 'Acer', 'rubrum'));
    await send(selma, response(first!.id, 'Acer', 'saccharum'));
    const result = (caller: Caller) =>
      caller.get<{ points: number; rows: { written: string }[] }>(
        `/api/sit/quizzes/${planted.quizId}/result`,
      );
    expect((await result(rowan)).status).toBe(403);
    expect((await owner.post(`/api/quizzes/${planted.quizId}/release`, { released: true })).status).toBe(409);
    await owner.post(`/api/quizzes/${planted.quizId}/close`);
    await owner.post(`/api/quizzes/${planted.quizId}/release`, { released: true });
    expect((await result(rowan)).body.points).toBe(2);
    expect((await result(selma)).body.points).toBe(1);
    expect(JSON.stringify((await result(selma)).body)).not.toContain('Rowan');
  });
  test('a voided station leaves marks and results', async () => {
    const [first] = await stationsFor(rowan);
    await send(rowan, response(first!.id, 'Acer', 'rubrum'));
    await owner.post(`/api/quizzes/${planted.quizId}/stations/${first!.id}/void`, { voided: true });
    await owner.post(`/api/quizzes/${planted.quizId}/close`);
    await owner.post(`/api/quizzes/${planted.quizId}/release`, { released: true });
    expect((await rowan.get<{ outOf: number }>(`/api/sit/quizzes/${planted.quizId}/result`)).body.outOf).toBe(
      2,
    );
  });
  test('the confusions are counted from the marked answers', async () => {
    const [first, second] = await stationsFor(rowan);
    await send(
      rowan,
      response(first!.id, 'Acer', 'saccharum'),
      response(second!.id, 'Acer', 'sacharum', { sequence: 2 }),
    );
    const { body } = await owner.get<{
      answers: PackedAnswers;
      stations: { truth: string; revision: number }[];
    }>(`/api/courses/${planted.courseId}/confusions`);
    expect(unpackAnswers(body.answers).map(({ named, how }) => [named, how])).toEqual([
      [planted.sugar.id, 'exact'],
      [planted.sugar.id, 'misspelled'],
    ]);
    expect(body.stations[0]!.revision).toBe(planted.sugar.revision);
  });
});

describe('what do you see', () => {
  const VIEW = { organs: ['leaf', 'twig'], nearness: 'hand', aids: ['eye', 'lens'], qualifiers: {} };
  const plan = (asks: string[]) =>
    owner.put(`/api/quizzes/${planted.quizId}`, {
      title: 'Quiz 1',
      heldOn: '2026-09-10',
      stations: [{ taxonId: planted.red.id, medium: 'drawing', view: VIEW, asks }],
    });
  interface Asked {
    open: { stations: { id: string; asks: { characterId: string; states: { id: string }[] }[] }[] }[];
  }

  test('a station asks for characters in words, not saying which state is right, and keeps what was seen', async () => {
    expect((await plan(['leaf.shape'])).status).toBe(200);
    await open();
    const { body } = await rowan.get<Asked>('/api/sit');
    const [station] = body.open[0]!.stations;
    expect(station!.asks).toMatchObject([{ characterId: 'leaf.shape', question: 'leaf shape' }]);
    expect(station!.asks[0]!.states.length).toBeGreaterThan(5);
    expect(JSON.stringify(station)).not.toContain('right');
    const said = (shape: string, sequence: number) => ({
      ...response(station!.id, 'Acer', 'rubrum', { sequence }),
      answer: { genus: 'Acer', epithet: 'rubrum', seen: { 'leaf.shape': shape } },
    });
    await send(rowan, said('heart', 1));
    await send(rowan, said('ovate', 2));
    const [answer] = (await marks()).answers;
    expect(answer!.written).toEqual({ genus: 'Acer', epithet: 'rubrum', seen: { 'leaf.shape': 'ovate' } });
    // It bears no points.
    expect(answer!.mark).toMatchObject({ points: 2, outOf: 2 });
    const { body: held } = await rowan.get<SitAnswer>('/api/sit');
    expect(held.open[0]!.stations[0]!.answer).toMatchObject({ seen: { 'leaf.shape': 'ovate' } });
  });

  test('what was not asked for, or is no state, is refused and said so; nothing of it is stored', async () => {
    await plan(['leaf.shape']);
    await open();
    const [station] = await stationsFor(rowan);
    const saying = (seen: Record<string, string>) =>
      send(rowan, { ...response(station!.id, 'Acer', 'rubrum'), answer: { genus: 'Acer', seen } });
    expect((await saying({ 'leaf.apex': 'acute' })).body).toMatchObject({
      message: expect.stringContaining('does not ask for “leaf.apex”') as string,
    });
    expect((await saying({ 'leaf.shape': 'square' })).body).toMatchObject({
      message: expect.stringContaining('no state of leaf shape') as string,
    });
    expect((await marks()).answers).toEqual([]);
    // A question left open is no reading.
    expect((await saying({ 'leaf.shape': '' })).status).toBe(200);
  });

  test('readings reach the report, right and wrong', async () => {
    await plan(['leaf.shape']);
    await open();
    const [station] = await stationsFor(rowan);
    const answer = (shape: string) => ({
      ...response(station!.id, 'Acer', 'rubrum'),
      answer: { genus: 'Acer', epithet: 'rubrum', seen: { 'leaf.shape': shape } },
    });
    await send(rowan, answer('ovate'));
    await send(selma, answer('fan'));
    const course = await courseOf(hurrow.db, planted.courseId);
    const { input } = await gather(hurrow.db, course, 'then');
    expect(classReport(input, () => undefined).readings).toMatchObject([
      {
        characterId: 'leaf.shape',
        readings: 2,
        wrong: 1,
        mistaken: [{ right: ['ovate'], said: 'fan', count: 1 }],
      },
    ]);
  });

  test.each([
    [['leaf.glands'], 'Station 1 asks for “glands”'],
    [['bark.surface'], 'Station 1 asks for “bark surface”'],
    [['leaf.nonsense'], 'Station 1 asks for “leaf.nonsense”'],
    [['leaf.shape', 'twig.arrangement', 'foliage.kind', 'leaf.length'], '3 characters at most'],
  ])('asking for %j is refused with what to do', async (asks, message) => {
    const refused = await plan(asks);
    expect(refused.status).toBe(422);
    expect(refused.body.message).toContain(message);
  });
});
