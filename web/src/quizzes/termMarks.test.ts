import { percentInWords, resultInWords, schemeOf, typedScheme } from './termMarks.ts';

test('a scheme is typed and read back equal', () => {
  const scheme = { weights: { q1: 2, q2: 1 }, drop: 1, bonus: { ava: 1.5 } };
  expect(schemeOf(typedScheme(scheme, [{ id: 'q1' }, { id: 'q2' }]))).toEqual({ scheme });
  expect(typedScheme({ weights: {}, drop: 0, bonus: {} }, [{ id: 'q1' }]).weights).toEqual({ q1: '1' });
});

test.each([
  [{ weights: { q1: 'two' }, drop: '0', bonus: {} }, /weight is a number/],
  [{ weights: { q1: '-1' }, drop: '0', bonus: {} }, /weight is a number/],
  [{ weights: {}, drop: '1.5', bonus: {} }, /whole number/],
  [{ weights: {}, drop: '', bonus: {} }, /whole number/],
  [{ weights: {}, drop: '0', bonus: { ava: '200' } }, /on top/],
])('%j is not taken, and why is said', (typed, why) =>
  expect((schemeOf(typed) as { problem: string }).problem).toMatch(why),
);

test('results and percent are said', () => {
  expect(resultInWords({ quizId: 'q', points: 17.5, outOf: 20, was: 'there' })).toBe('17.5 of 20');
  expect(resultInWords({ quizId: 'q', points: 0, outOf: 20, was: 'excused' })).toBe('excused');
  expect(percentInWords(87.25)).toBe('87.3 %');
  expect(percentInWords(undefined)).toBe('–');
});
