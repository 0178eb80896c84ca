import { DEFAULT_MARKING } from '@hurrow/core/names';
import { changeInWords, changesInWords, policiesWithin, policyOf, typedOf } from './policyForm.ts';

test('what is typed is read back equal, and a field that is no number is named', () => {
  expect(policyOf(typedOf(DEFAULT_MARKING))).toEqual({ policy: DEFAULT_MARKING });
  const typed = typedOf(DEFAULT_MARKING);
  expect(policyOf({ ...typed, deduction: '0,5' })).toEqual({
    policy: { ...DEFAULT_MARKING, deduction: 0.5 },
  });
  expect(policyOf({ ...typed, deduction: '' })).toEqual({
    problem: 'A misspelling takes a number from 0 to 20, not “”.',
  });
  expect(policyOf({ ...typed, points: { ...typed.points, epithet: 'two' } })).toMatchObject({
    problem: expect.stringMatching(/^The epithet takes a number/) as string,
  });
});

test('only parts that were asked for can bear points', () => {
  expect(policiesWithin('binomialFamily')).toEqual(['genus', 'binomial', 'binomialFamily']);
  expect(policiesWithin('common')).toEqual(['common']);
});

test('what a change does is said for the class and for each', () => {
  const change = { studentId: 'a', before: 7.5, after: 7, outOfBefore: 10, outOfAfter: 10, answers: 2 };
  expect(changesInWords([])).toBe('No mark changes.');
  expect(changesInWords([change, { ...change, after: 8 }])).toBe('2 students change: 1 lose, 1 gain.');
  expect(changeInWords(change)).toBe('7.5 of 10 → 7 of 10');
});
