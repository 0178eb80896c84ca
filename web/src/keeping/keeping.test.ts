import { byDay, isTyped, timesWith } from './keeping.ts';

test('only the name as it stands is taken', () => {
  expect(
    [' Rowan Achterberg ', 'rowan achterberg', 'Rowan', ''].map((typed) =>
      isTyped(typed, 'Rowan Achterberg'),
    ),
  ).toEqual([true, false, false, false]);
});

test('a time that was set elsewhere can still be chosen', () => {
  expect(timesWith(12)).toHaveLength(5);
  expect(timesWith(36).at(-1)).toEqual([36, '36 months']);
});

test('changes stand under the day on which they were made', () => {
  const line = (at: string) => ({ at, by: null, course: null, what: 'closed the quiz', said: null });
  const lines = ['2026-10-15T16:00:00Z', '2026-10-15T09:00:00Z', '2026-10-14T09:00:00Z'].map(line);
  expect(byDay(lines).map(({ day, lines: held }) => [day, held.length])).toEqual([
    ['2026-10-15', 2],
    ['2026-10-14', 1],
  ]);
});
