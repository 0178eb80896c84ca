import type { Quiz } from '@hurrow/contract/quizzes';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { fireEvent, screen, shownOnPage, waitFor } from '../testing/page.tsx';
import { answer, marksOf } from '../testing/marked.ts';
import { standIn } from '../testing/server.ts';
import { USUAL } from '../testing/taught.ts';
import { ruledHere, wordsToRule } from './wordsToRule.ts';
import { WordsToRule } from './WordsToRule.tsx';

const quiz = {
  id: 'q',
  stations: [
    { id: 's1', position: 1, offered: ['leaf.shape', 'bud.shape'] },
    { id: 's2', position: 2, offered: ['bud.scales'] },
  ],
} as unknown as Quiz;
const answers = [
  answer('rowan', 's1', { genus: 'Acer', wentByUnread: ['Pointy tips'] }),
  answer('selma', 's1', { genus: 'Acer', wentByUnread: ['the pointy tip', 'feel'] }),
  answer('selma', 's2', { genus: 'Acer', wentByUnread: ['pointy tips'] }),
  answer('rowan', 's2', { genus: 'Acer', wentBy: ['bud.scales'] }),
];

test('equal words wait once, with their papers, and with what their stations offered', () => {
  const [pointy, feel, ...more] = wordsToRule(marksOf(answers), quiz, BUILT_IN);
  expect(more).toEqual([]);
  expect(pointy).toMatchObject({ words: 'Pointy tips', papers: 3, stations: [1, 2] });
  expect(pointy!.choices.map(({ id }) => id)).toEqual(
    expect.arrayContaining(['leaf.shape', 'bud.shape', 'bud.scales', 'the whole look of it', 'a guess']),
  );
  expect(pointy!.choices.find(({ id }) => id === 'bud.shape')!.word).toBe('bud shape');
  expect(feel).toMatchObject({ papers: 1, stations: [1] });
  expect(feel!.choices.map(({ id }) => id)).not.toContain('bud.scales');
});

test('a ruling is sent once for all papers; what is ruled is said, and taken back', async () => {
  const RULE = 'POST /api/quizzes/{quizId}/words';
  const BACK = 'DELETE /api/quizzes/{quizId}/words/{rulingId}';
  const server = standIn({ ...USUAL, [RULE]: {} as never, [BACK]: {} as never });
  const words = [{ id: 4, words: 'feel', countsAs: null, by: 'Ines' }];
  shownOnPage(<WordsToRule marks={{ ...marksOf(answers), words }} quiz={quiz} />);
  expect(screen.getByRole('heading').textContent).toMatch(/^1 wording/);
  fireEvent.change(screen.getByLabelText(/Pointy tips/), { target: { value: 'bud.shape' } });
  await waitFor(() => expect(server.sent(RULE)).toEqual([{ words: 'Pointy tips', countsAs: 'bud.shape' }]));
  fireEvent.change(screen.getByLabelText(/Pointy tips/), { target: { value: '-' } });
  await waitFor(() => expect(server.sent(RULE).at(-1)).toEqual({ words: 'Pointy tips', countsAs: null }));
  expect(screen.getByText(/“feel” is nothing that was offered, by ruling of Ines/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Take it back' }));
  await waitFor(() => expect(server.asked.find(({ call }) => call === BACK)!.params['rulingId']).toBe('4'));
});

test('of what the course ruled only what stands on papers of this quiz is told', () => {
  const words = [
    { id: 1, words: 'feel', countsAs: null, by: 'Ines' },
    { id: 2, words: 'of another quiz', countsAs: null, by: 'Ines' },
  ];
  expect(ruledHere({ ...marksOf(answers), words }).map(({ id }) => id)).toEqual([1]);
});

test('where nothing waits and nothing was ruled, nothing is shown', () => {
  standIn(USUAL);
  shownOnPage(<WordsToRule marks={marksOf([answers[3]!])} quiz={quiz} />);
  expect(screen.queryByRole('region')).toBeNull();
});
