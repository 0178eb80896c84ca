import { howFar, NOTHING, responseExample, told, toReplace } from './live.ts';

const students = ['rowan', 'selma', 'tove'].map((id) => ({ id }));
const quiz = { stations: [1, 2], state: 'open' };

const message = (students: object, answered: object = {}, right: object = {}) =>
  JSON.stringify({ students, answered, right });

test('all counts come first, then those that change', () => {
  const first = told(NOTHING, message({ rowan: 1, selma: 2 }, { s1: 2 }));
  expect(told(first, message({ rowan: 2 }, {}, { s1: 1 })).counts).toEqual({
    students: { rowan: 2, selma: 2 },
    answered: { s1: 2 },
    right: { s1: 1 },
  });
  expect(told(first, '{"students":')).toBe(first);
});

test('how far a class is; a lost connection is said before anything old', () => {
  const live = told(NOTHING, message({ rowan: 2, selma: 1 }));
  expect(howFar(live, students, quiz)).toBe(
    '1 of 3 students has answered every station, 1 has not begun. Changes appear as they come.',
  );
  const away = students.map((each) => ({
    ...each,
    was: each.id === 'tove' ? ('excused' as const) : ('there' as const),
  }));
  expect(howFar(live, away, quiz)).toMatch(/^1 of 2 students has answered every station, 0 have not begun/);
  expect(howFar(live, students, { ...quiz, state: 'closed' })).not.toContain('Changes');
  expect(howFar(NOTHING, students, quiz)).toMatch(/Asking/);
  expect(howFar({ ...live, line: 'lost' }, students, quiz)).toMatch(/may be old.*by itself/);
  expect(howFar({ ...live, line: 'ended' }, students, quiz)).toMatch(/may be old.*sign in again/);
});

test('the example of a response file has the parts of a name that are marked', () => {
  expect(responseExample('common').split('\n')[0]).toBe('student,station,answer');
  expect(responseExample('binomialFamily').split('\n')[0]).toBe('student,station,genus,epithet,family');
});

test('replacing one answer and several is said as such', () => {
  expect(toReplace(1)).toMatch(/^Replace this stored answer;/);
  expect(toReplace(3)).toMatch(/^Replace these 3 stored answers;/);
});
