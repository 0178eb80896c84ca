import { BUILT_IN } from '@hurrow/core/vocabulary';
import { begun, differs, keptQuestion, kindsHere, questionInShort, withinOf } from './asking.ts';

const here = {
  state: ['bud.scales'],
  number: ['leaf.lobes'],
  sort: ['bud.scales'],
  others: ['acer-rubrum'],
};
const bare = { state: [], number: [], sort: [], others: [] };

test('what cannot be asked is not offered, and the family always can', () => {
  expect(kindsHere(here)).toEqual(['family', 'genus', 'state', 'settles', 'sort', 'number']);
  expect(kindsHere({ ...here, sort: [] })).not.toContain('sort');
  expect(kindsHere(bare)).toEqual(['family', 'genus']);
});

test('a question begins with the first thing it can be about', () => {
  expect(begun('state', here)).toEqual({ kind: 'state', characterId: 'bud.scales' });
  expect(begun('number', here)).toEqual({ kind: 'number', characterId: 'leaf.lobes' });
  expect(begun('settles', here)).toEqual({ kind: 'settles', from: 'acer-rubrum' });
  expect(begun('sort', here)).toEqual({ kind: 'sort', characterId: 'bud.scales' });
  expect(begun('genus', bare)).toEqual({ kind: 'genus' });
  for (const kind of ['', 'state', 'number', 'settles', 'sort'] as const)
    expect(begun(kind, bare)).toBeNull();
});

test('where something else is shown the family is asked still, what was seen is not', () => {
  expect(keptQuestion({ kind: 'family' })).toEqual({ kind: 'family' });
  expect(keptQuestion({ kind: 'state', characterId: 'bud.scales' })).toBeNull();
  expect(keptQuestion(undefined)).toBeNull();
});

test('a plan says what is asked in place of the name', () => {
  const term = (id: string) => BUILT_IN.get(id)!.term;
  expect(questionInShort({ kind: 'state', characterId: 'bud.scales' }, term, (id) => id.toUpperCase())).toBe(
    'asks for bud scales, marked',
  );
  expect(questionInShort({ kind: 'family' }, term, (id) => id.toUpperCase())).toBe('asks for its family');
  expect(questionInShort({ kind: 'number', characterId: 'leaf.lobes' }, term, (id) => id.toUpperCase())).toBe(
    'asks how much: lobes',
  );
  expect(questionInShort({ kind: 'settles', from: 'x' }, term, (id) => id.toUpperCase())).toBe(
    'asks what tells it from X',
  );
});

test('a count is right exactly, a measure within a fifth, unless something else is said', () => {
  expect(withinOf({ kind: 'number', characterId: 'leaf.lobes' }, BUILT_IN)).toBe(0);
  expect(withinOf({ kind: 'number', characterId: 'leaf.length' }, BUILT_IN)).toBe(0.2);
  expect(withinOf({ kind: 'number', characterId: 'leaf.length', within: 0.1 }, BUILT_IN)).toBe(0.1);
});

test('specimens are sorted by what the trees of the list differ in', () => {
  const tree = (state: string, id = 'bud.scales') => ({
    scores: [
      {
        characterId: id,
        qualifiers: {},
        value: { kind: 'states' as const, states: [{ state, frequency: 'always' as const }] },
        from: [],
        statements: [],
        disagree: false,
      },
    ],
  });
  expect(differs('bud.scales', [tree('naked'), tree('twoValvate')])).toBe(true);
  expect(differs('bud.scales', [tree('naked'), tree('naked'), tree('x', 'twig.pith')])).toBe(false);
});
