import type { Running } from '@hurrow/contract/running';
import { clockOffInWords, phonesInWords, stationStands, troubleAt } from './running.ts';

const student = (studentId: string, more: Partial<Running['students'][number]> = {}) => ({
  studentId,
  was: 'there' as const,
  reopened: false,
  phones: 1,
  clockOff: null,
  ...more,
});
const nameOf = (id: string) => id.toUpperCase();

test('phones that were lent, codes used twice and wrong clocks are told; a usual class says nothing', () => {
  const students = [student('ava'), student('ben', { phones: 2 }), student('cem', { clockOff: -10_800 })];
  expect(phonesInWords({ students: [student('ava')], lent: [], stations: [] }, nameOf)).toEqual([]);
  const said = phonesInWords({ students, lent: [['ava', 'cem']], stations: [] }, nameOf);
  expect(said).toEqual([
    expect.stringMatching(/^AVA and CEM answered from one phone/),
    expect.stringMatching(/^BEN answered from 2 phones/),
    expect.stringMatching(/^The phone of CEM has its clock 3 hours slow/),
  ]);
});

test.each([
  [-7200, '2 hours slow'],
  [3600, '1 hour fast'],
  [-300, '5 minutes slow'],
])('a clock that is %i seconds off is said', (off, said) => expect(clockOffInWords(off)).toBe(said));

test('a station stands as the answers so far say, and trouble is said only against what was expected', () => {
  const counts = { students: {}, answered: { s1: 12 }, right: { s1: 1 } };
  expect(stationStands(undefined, 's1')).toEqual({ answered: 0, right: 0 });
  const stands = stationStands(counts, 's1');
  expect(troubleAt(stands, 0.7)).toMatch(/^1 of 12 right so far; about 8 were expected/);
  expect(troubleAt(stands, 0.12)).toBe('');
  expect(troubleAt(stands, undefined)).toBe('');
});
