import type { OpenQuiz } from '@hurrow/contract/sitting';
import type { Answer } from '@hurrow/core/names';
import { leftInWords, marked, standingOf, stationOfCode, whereInWords } from './progress.ts';

const quiz = {
  id: '4f1c-9',
  stations: ['a', 'b', 'c'].map((id, i) => ({ id, position: i + 1, answer: null as Answer | null })),
} as unknown as OpenQuiz;

test('a station is open, begun or answered; what the server has counts where the phone has nothing', () => {
  const written: Record<string, Answer> = {
    a: { genus: 'Acer' },
    b: { seen: { 'bud.scales': 'naked' }, genus: ' ' },
  };
  const standings = standingOf(quiz, (id) => written[id], ['c']);
  expect(standings.map(({ state, again }) => [state, again])).toEqual([
    ['answered', false],
    ['begun', false],
    ['open', true],
  ]);
  expect(leftInWords(standings)).toBe('1 of 3 answered, 1 to come back to.');
  const sent = { ...quiz, stations: quiz.stations.map((each) => ({ ...each, answer: { name: 'elm' } })) };
  expect(leftInWords(standingOf(sent, () => undefined, []))).toBe('Every station has an answer.');
  // How sure one is says nothing without a name.
  expect(standingOf(quiz, () => ({ sure: 'guess' }), [])[0]!.state).toBe('open');
});

test.each([
  [{ written: 0, received: 0 }, ''],
  [{ written: 1, received: 1 }, '1 answer on this phone, received'],
  [{ written: 12, received: 9 }, '12 answers on this phone, 9 received'],
  [{ written: 12, received: 12 }, '12 answers on this phone, all received'],
])('where answers are: %j', (where, said) => expect(whereInWords(where)).toBe(said));

test.each([
  ['2', { position: 2 }],
  [' 3 ', { position: 3 }],
  ['https://trees.example/quiz/4f1c-9/1', { position: 1 }],
  ['http://10.0.0.5:4680/quiz/4f1c-9/2?x=1', { position: 2 }],
])('the code %j leads to a station', (text, found) => expect(stationOfCode(text, quiz)).toEqual(found));

test.each([
  ['7', /stations 1 to 3/],
  ['0', /stations 1 to 3/],
  ['https://trees.example/quiz/other/2', /another quiz/],
  ['https://trees.example/gather?item=4', /not the code of a station/],
  ['', /not the code/],
])('the code %j does not, and why is said', (text, why) =>
  expect((stationOfCode(text, quiz) as { problem: string }).problem).toMatch(why),
);

test('a station is marked to come back to, and unmarked', () => {
  expect(marked(marked([], 'a'), 'b')).toEqual(['a', 'b']);
  expect(marked(['a', 'b'], 'a')).toEqual(['b']);
});
