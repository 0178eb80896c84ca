import { StandInLine } from '../testing/heard.ts';
import { hookOnPage } from '../testing/page.tsx';
import { useLive } from './useLive.ts';

const live = (wanted = true, quizId = 'quiz') => {
  const lines = StandInLine.install();
  return { lines, page: hookOnPage(() => useLive(quizId, wanted)) };
};

test('who has answered is heard as it comes, on top of what was told first', async () => {
  const { lines, page } = live();
  expect(lines.map(({ address }) => address)).toEqual(['/api/quizzes/quiz/live']);
  await page.does(() => lines[0]!.say({ students: { ava: 1 }, answered: { s1: 1 }, right: { s1: 0 } }));
  await page.does(() => lines[0]!.say({ students: { ben: 2 }, answered: { s1: 2 }, right: { s1: 1 } }));
  expect(page.now()).toEqual({
    counts: { students: { ava: 1, ben: 2 }, answered: { s1: 2 }, right: { s1: 1 } },
    line: 'open',
  });
});

test('a message that cannot be read changes nothing', async () => {
  const { lines, page } = live();
  await page.does(() => lines[0]!.say({ students: { ava: 1 }, answered: {}, right: {} }));
  await page.does(() => lines[0]!.say('<html>'));
  expect(page.now().counts?.students).toEqual({ ava: 1 });
});

test('a line that is lost and one that has ended are told apart, and what was heard stays', async () => {
  const { lines, page } = live();
  await page.does(() => lines[0]!.say({ students: { ava: 1 }, answered: {}, right: {} }));
  await page.does(() => lines[0]!.onerror?.());
  expect(page.now()).toMatchObject({ line: 'lost', counts: { students: { ava: 1 } } });
  await page.does(() => lines[0]!.onopen?.());
  expect(page.now().line).toBe('open');
  lines[0]!.close();
  await page.does(() => lines[0]!.onerror?.());
  expect(page.now().line).toBe('ended');
});

test('nothing is heard where nothing is wanted, and the line is closed with the page', () => {
  expect(live(false).lines).toEqual([]);
  const { lines, page } = live();
  page.leave();
  expect(lines[0]!.readyState).toBe(StandInLine.CLOSED);
});
