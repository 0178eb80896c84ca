import { effectiveResponses, type Speaker, type StoredResponse } from './index.ts';

const response = (
  device: string,
  sequence: number,
  name: string,
  more: Partial<StoredResponse> = {},
): StoredResponse => ({
  id: `${device}${sequence}`,
  stationId: 'station',
  studentId: 'student',
  answer: { name },
  by: device === 'paper' || device === 'instructor' ? (device satisfies Speaker) : 'student',
  device,
  sequence,
  ...more,
});

test('the latest of one device counts, in whatever order they came', () => {
  const [found] = effectiveResponses([
    response('phone', 3, 'birch'),
    response('phone', 1, 'alder'),
    response('phone', 2, 'maple'),
  ]);
  expect(found).toMatchObject({ response: { answer: { name: 'birch' } }, conflicting: [] });
});

test('two devices that differ go to the instructor, whose word then counts', () => {
  const two = [response('phone', 1, 'birch'), response('paper', 1, 'alder')];
  expect(effectiveResponses(two)[0]!.conflicting).toHaveLength(1);
  const [decided] = effectiveResponses([...two, response('instructor', 1, 'alder')]);
  expect(decided).toMatchObject({ response: { answer: { name: 'alder' } }, conflicting: [] });
});

test('two people who type one paper otherwise are a conflict; one who types it again corrects it', () => {
  const typed = (device: string, sequence: number, name: string) =>
    response(device, sequence, name, { by: 'paper' });
  const two = [typed('paper-ava', 1, 'birch'), typed('paper-ben', 2, 'beech')];
  expect(effectiveResponses(two)[0]!.conflicting).toHaveLength(1);
  expect(effectiveResponses([...two, typed('paper-ben', 3, 'birch')])[0]!.conflicting).toEqual([]);
  const [again] = effectiveResponses([typed('paper-ava', 1, 'birch'), typed('paper-ava', 2, 'beech')]);
  expect(again).toMatchObject({ response: { answer: { name: 'beech' } }, conflicting: [] });
});

test('two devices that agree are no conflict', () => {
  expect(
    effectiveResponses([response('phone', 1, 'birch'), response('paper', 1, 'birch')])[0]!.conflicting,
  ).toEqual([]);
});

test('two devices that name alike but saw otherwise go to the instructor; what was left open is no answer', () => {
  const saw = (device: string, seen: Record<string, string>) =>
    response(device, 1, 'birch', { answer: { name: 'birch', seen } });
  const against = (seen: Record<string, string>) =>
    effectiveResponses([saw('phone', { 'bud.scales': 'overlapping' }), saw('paper', seen)])[0]!.conflicting;
  expect(against({ 'bud.scales': 'naked' })).toHaveLength(1);
  expect(against({ 'bud.scales': 'overlapping', 'leaf.shape': '' })).toEqual([]);
});

test('a phone that calls itself the instructor is a phone', () => {
  const lie = response('instructor', 99, 'birch', { by: 'student' });
  const [found] = effectiveResponses([response('instructor', 1, 'alder'), lie]);
  expect(found!.response.answer).toEqual({ name: 'alder' });
  expect(effectiveResponses([response('paper', 1, 'alder'), lie])[0]!.conflicting).toEqual([lie]);
});

test('of two answers with one number, as two tabs send them, the later one counts', () => {
  expect(
    effectiveResponses([response('phone', 1, 'birch'), response('phone', 1, 'elm')])[0]!.response.answer,
  ).toEqual({ name: 'elm' });
});

test('students and stations are kept apart', () => {
  expect(
    effectiveResponses([response('phone', 1, 'birch'), response('phone', 2, 'elm', { studentId: 'other' })]),
  ).toHaveLength(2);
});
