import { BUILT_IN } from '../vocabulary/index.ts';
import { profiled } from '../testing/taxa.ts';
import { characterLesson, lessonCharacters, rootsOf, toCall } from './index.ts';

const tree = (epithet: string, teeth: string, more: Record<string, string> = {}) =>
  profiled('Arbor', epithet, {
    'foliage.kind': 'broad',
    'leaf.lowerHair': 'none',
    'leaf.teeth': teeth,
    ...more,
  });
const list = [
  tree('una', 'single; sometimes double'),
  tree('altera', 'single'),
  tree('tertia', 'double', { 'leaf.lowerHair': 'woolly' }),
  profiled('Pinus', 'quarta', { 'foliage.kind': 'bundled' }),
  profiled('Arbor', 'quinta', { 'foliage.kind': 'broad' }),
];

test('states stand in their order, each on a tree that keeps to it; who does not is an exception', () => {
  const lesson = characterLesson(list, 'leaf.teeth', BUILT_IN);
  expect(lesson.states.map(({ id, example, trees }) => [id, example, trees])).toEqual([
    ['single', 'arbor-altera', ['arbor-altera', 'arbor-una']],
    ['double', 'arbor-tertia', ['arbor-tertia']],
  ]);
  expect(lesson.exceptions).toEqual([{ taxonId: 'arbor-una', usual: ['single'], sometimes: ['double'] }]);
  expect(lesson.unscored).toEqual(['arbor-quinta']);
});
test('a lesson is about what differs on the list', () => {
  expect(lessonCharacters(list, BUILT_IN)).toEqual(['foliage.kind', 'leaf.teeth', 'leaf.lowerHair']);
  expect(() => characterLesson(list, 'leaf.nothing', BUILT_IN)).toThrow('no character');
});
test('each state is called as often, every individual another', () => {
  const called = toCall(characterLesson(list, 'leaf.teeth', BUILT_IN), 10, 4);
  expect(called).toHaveLength(10);
  expect(called.filter(({ taxonId }) => taxonId === 'arbor-tertia')).toHaveLength(5);
  expect(new Set(called.map(({ seed }) => seed)).size).toBe(10);
});
test('words are taken apart', () => {
  expect(rootsOf('palmately compound')).toEqual([
    { word: 'palmate', from: 'Latin palma, the palm of the hand' },
  ]);
  expect(rootsOf('red')).toEqual([]);
});
