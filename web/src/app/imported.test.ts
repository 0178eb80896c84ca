import { rowInWords, takenBy, type SaidReport } from './imported.ts';

const report = (more: Partial<SaidReport>): SaidReport => ({
  added: [],
  changed: [],
  ignored: [],
  refused: [],
  ...more,
});

test('what is replaced counts only where that is chosen', () => {
  const said = report({ added: ['a'], also: ['b'], replaced: [{ line: 2, message: 'm' }] });
  expect([takenBy(said, false), takenBy(said, true)]).toEqual([2, 3]);
  expect(takenBy(report({ ignored: ['x'] }), true)).toBe(0);
});

test.each([
  [{ line: 3, message: 'No such tree.' }, 'refused', 'line 3 refused: No such tree.'],
  [{ line: 0, message: 'No such tree.' }, 'refused', 'refused: No such tree.'],
  [{ line: 3, message: 'Stored already.' }, undefined, 'line 3: Stored already.'],
  [{ line: 0, message: 'Stored already.' }, undefined, 'Stored already.'],
])('%j with %s', (row, verb, said) => expect(rowInWords(row, verb)).toBe(said));
