import { withGathered } from './gathered.ts';

const sets = [{ title: 'Firs', week: 1, taxa: ['grand', 'subalpine'] }];

test('what was gathered and stands in no set yet comes as a set of its own, behind the others', () => {
  expect(withGathered(sets, ['grand', 'oak', 'elm'])).toEqual([
    ...sets,
    { title: 'From the vasculum', week: null, taxa: ['oak', 'elm'] },
  ]);
});
test('where all of it is taught already, or nothing was gathered, the list stays', () => {
  expect(withGathered(sets, ['grand'])).toBe(sets);
  expect(withGathered(sets, [])).toBe(sets);
});
