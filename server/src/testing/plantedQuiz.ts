import { randomUUID } from 'node:crypto';
import type { MarkedAnswer } from '@hurrow/contract/quizzes';
import { vi } from 'vitest';
import type { Caller, TestHurrow } from './testHurrow.ts';
import { plantCourse, startHurrow } from './testHurrow.ts';

export interface MarksAnswer {
  students: { id: string; name: string }[];
  stations: { id: string; position: number; taxonId: string }[];
  answers: MarkedAnswer[];
}
export interface SitAnswer {
  open: { id: string; stations: { id: string; position: number; drawn: boolean; answer: object | null }[] }[];
  released: { id: string }[];
}

export let hurrow: TestHurrow;
export let owner: Caller;
export let planted: Awaited<ReturnType<typeof plantCourse>>;
export let rowan: Caller;
export let selma: Caller;

/** Before each test of a file a course with one planned quiz and two students who are signed in; taken away after it. */
export function withPlantedQuiz(): void {
  beforeEach(async () => {
    hurrow = await startHurrow();
    owner = hurrow.owner;
    planted = await plantCourse(owner);
    [rowan, selma] = [hurrow.caller(), hurrow.caller()];
    await rowan.post('/api/session/student', { courseCode: planted.code, personalCode: 'ROWAN1' });
    await selma.post('/api/session/student', { courseCode: planted.code, personalCode: 'SELMA2' });
  });
  afterEach(() => {
    vi.restoreAllMocks();
    return hurrow.close();
  });
}

export const open = () => owner.post(`/api/quizzes/${planted.quizId}/open`);
export const stationsFor = async (caller: Caller) =>
  (await caller.get<SitAnswer>('/api/sit')).body.open[0]!.stations;
export const marks = async () => (await owner.get<MarksAnswer>(`/api/quizzes/${planted.quizId}/marks`)).body;
export const response = (stationId: string, genus: string, epithet: string, more: object = {}) => ({
  id: randomUUID(),
  stationId,
  answer: { genus, epithet },
  device: 'phone-1',
  sequence: 1,
  writtenAt: '2026-09-10T17:00:00Z',
  ...more,
});
export const send = (caller: Caller, ...responses: object[]) =>
  caller.post<{ received: string[]; refused: { message: string }[] }>('/api/sit/responses', { responses });
