import { inFull } from './index.ts';

const nested = { words: 'From #: a #.', put: ['Q-#1', { words: 'bare twig' }] };

test('what stands in a sentence is put in as it is, and other sentences in their words', () => {
  expect(inFull({ words: 'It begins before sunrise.' })).toBe('It begins before sunrise.');
  expect(inFull(nested)).toBe('From Q-#1: a bare twig.');
  expect(inFull({ words: '# of # trees', put: [2, 3] })).toBe('2 of 3 trees');
});

test('in another language its words are found, and what has none stays', () => {
  const german: Record<string, string> = { 'From #: a #.': 'Von #: #.', 'bare twig': 'kahler Zweig' };
  expect(inFull(nested, (words) => german[words] ?? words)).toBe('Von Q-#1: kahler Zweig.');
});
