import { bagProblem, nextTag, treesOfBag, withKnownTags } from './bag.ts';

const twig = (tag: string, taxonId = 'maple') => ({ tag, taxonId });

test('the next tag is the number after the highest', () => {
  expect(nextTag([])).toBe('1');
  expect(nextTag([twig('7'), twig('A'), twig('3b')])).toBe('8');
});
test('known tags come in once, by number, where their trees are on the list', () => {
  const tags = { 10: 'oak', 9: 'maple', 2: 'palm', 1: 'oak' };
  expect(withKnownTags([twig('1')], tags, ['maple', 'oak'])).toEqual([
    twig('1'),
    twig('9'),
    twig('10', 'oak'),
  ]);
});
test('a bag is sorted once each twig has a tag of its own, and there are two trees', () => {
  expect(bagProblem([twig('1'), twig('2', 'oak')])).toBeUndefined();
  expect(bagProblem([twig('1'), twig(' ', 'oak')])).toMatch(/^Write a tag/);
  expect(bagProblem([twig('1'), twig('1 ', 'oak')])).toMatch(/^Two twigs have the tag 1/);
  expect(bagProblem([twig('1'), twig('2')])).toMatch(/two trees/);
  expect(treesOfBag([twig('1'), twig('2', 'oak'), twig('3')])).toEqual(['maple', 'oak']);
});
