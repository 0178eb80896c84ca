import { newTree } from '@hurrow/core/grounds';
import { askingFor, treeAsked } from './asked.ts';

const trees = [{ ...newTree('T-1', 47.6, -116.4), id: 't1', version: 2 }];
const asked = (words: string | Record<string, string>) => treeAsked(new URLSearchParams(words), trees);

test('a tree is looked at, changed, or moved', () => {
  expect(asked('tree=t1')).toEqual({ tree: trees[0], editing: false });
  expect(asked('tree=t1&edit=').editing).toBe(true);
  expect(asked(askingFor(trees[0]!, { latitude: 47.61, longitude: -116.41 }))).toMatchObject({
    tree: { id: 't1', latitude: 47.61, longitude: -116.41 },
    editing: true,
  });
  expect(asked('tree=gone')).toEqual({ tree: undefined, editing: false });
});

test('a new tree outlives a reload, until it is kept', () => {
  const words = askingFor({ id: 'n', version: 0 }, { latitude: 47.61, longitude: -116.41 });
  expect(asked(words)).toMatchObject({
    tree: { id: 'n', version: 0, tag: '', latitude: 47.61 },
    editing: true,
  });
  const kept = treeAsked(new URLSearchParams(words), [{ ...trees[0]!, id: 'n' }]);
  expect(kept).toMatchObject({ tree: { tag: 'T-1', version: 2 }, editing: false });
  for (const wrong of ['new=n', 'new=n&at=', 'new=n&at=x,y', 'new=n&at=100,0'])
    expect(asked(wrong).tree).toBeUndefined();
});
