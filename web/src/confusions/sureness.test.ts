import { surenessOf } from '@hurrow/core/confusion';
import { knowsItself, levelsInWords, surenessIn } from './sureness.ts';

const many = (sure: 'sure' | 'half' | 'guess', right: number, wrong: number) =>
  Array.from({ length: right + wrong }, (_, i) => ({
    studentId: `${sure} ${i}`,
    truth: 'a',
    named: i < right ? 'a' : 'b',
    sure,
  }));

test('how right each level is, is one sentence, and whether they know what they know another', () => {
  const { levels } = surenessOf([...many('sure', 45, 5), ...many('half', 12, 8), ...many('guess', 5, 15)]);
  expect(levelsInWords(levels)).toMatch(
    /^Of those who were sure 90 of 100 were right \(\d+–\d+\), of those half sure 60 \(\d+–\d+\), of those who guessed 25 \(\d+–\d+\)\.$/,
  );
  expect(knowsItself(levels)).toBe('They know what they know.');
  expect(knowsItself(surenessOf([...many('sure', 6, 6), ...many('guess', 5, 5)]).levels)).toMatch(
    /says little/,
  );
});

test('of few answers nothing is said', () => {
  const { levels } = surenessOf(many('sure', 4, 1));
  expect(levelsInWords(levels)).toBe('');
  expect(knowsItself(levels)).toBe('');
});

test('stations left out and blanks do not count', () => {
  const station = (id: string, more: object = {}) => ({
    id,
    truth: 'a',
    voided: false,
    leftOut: false,
    ...more,
  });
  const answer = (stationId: string, how = 'exact') => ({
    studentId: '1',
    student: 'One',
    stationId,
    quizId: 'q',
    written: '',
    how,
    named: how === 'exact' ? 'a' : null,
    sure: 'sure' as const,
  });
  const data = {
    stations: [station('s1'), station('s2', { voided: true }), station('s3', { leftOut: true })],
    answers: [answer('s1'), answer('s2'), answer('s3'), answer('s1', 'blank')],
  } as unknown as Parameters<typeof surenessIn>[0];
  expect(surenessIn(data)).toMatchObject({ said: 1, answers: 1 });
});
