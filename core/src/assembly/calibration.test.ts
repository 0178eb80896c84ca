import { expectedAndCame, expectedRight, type HeldStation } from './index.ts';

const station = (quizId: string, taxonId: string, correct: number, answers = 20): HeldStation => ({
  quizId,
  taxonId,
  right: 0.98,
  beginner: 0.7,
  answers,
  correct,
});

test('a quiz is expected from what the others showed of its trees, never from itself', () => {
  const held = [
    station('one', 'a', 4),
    station('one', 'b', 20),
    station('two', 'a', 6),
    station('two', 'c', 11),
    station('two', 'd', 0, 0),
  ];
  const prior = expectedRight(held[0]!, { answered: {} });
  const [one, two] = expectedAndCame(held);
  expect(one).toMatchObject({ quizId: 'one', came: 0.6, stations: 2 });
  expect(one!.expected).toBeCloseTo(
    (expectedRight(held[0]!, { answered: { a: { answers: 20, right: 6 } } }) + prior) / 2,
  );
  expect(one!.expected).toBeLessThan(prior);
  expect(two).toMatchObject({ quizId: 'two', stations: 2 });
  expect(two!.came).toBeCloseTo((6 / 20 + 11 / 20) / 2);
});

test('nothing is said of what nobody answered', () => {
  expect(expectedAndCame([station('one', 'a', 0, 0)])).toEqual([]);
});
