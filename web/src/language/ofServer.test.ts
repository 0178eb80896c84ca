import type { Said } from '@hurrow/contract/problem';
import { compileMessage } from '@lingui/message-utils/compileMessage';
import { i18n } from './i18n.ts';
import { inSpoken, saidAgain } from './ofServer.ts';

const WORDS = {
  gone: compileMessage('Nicht gefunden: {0}.'),
  quiz: 'Quiz',
  inUse: compileMessage('{0} steht in {1}.'),
};
const quiz: Said = { message: 'quiz', id: 'quiz', values: [] };

beforeAll(() => {
  i18n.load('de', WORDS);
  i18n.activate('de');
});
afterAll(() => i18n.activate('en'));

test('what the server says is said with the words of the language, and so is what stands in it', () => {
  expect(saidAgain({ message: 'There is no such quiz.', id: 'gone', values: [quiz] })).toBe(
    'Nicht gefunden: Quiz.',
  );
  expect(saidAgain({ message: 'x', id: 'inUse', values: ['Abies grandis', ['Set 1', quiz, 'Quiz 2']] })).toBe(
    'Abies grandis steht in Set 1, Quiz und Quiz 2.',
  );
});

test('words that the language has not are said in English, alone or in others', async () => {
  const bag: Said = { message: 'bag', id: 'no such word', values: [] };
  expect(saidAgain({ message: 'x', id: 'gone', values: [bag] })).toBe('Nicht gefunden: bag.');
  expect(await inSpoken({ message: 'Only in English.' })).toBe('Only in English.');
  expect(saidAgain({ message: 'New.', id: 'not there', values: [] })).toBe('New.');
});

test('English is said as the server said it', async () => {
  i18n.activate('en');
  expect(await inSpoken({ message: 'No such quiz.', said: { id: 'gone', values: [quiz] } })).toBe(
    'No such quiz.',
  );
});
