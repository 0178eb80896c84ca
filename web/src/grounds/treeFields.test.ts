import { newTree } from '@hurrow/core/grounds';
import { factsOf, girthsInWords, girthsOf } from './treeFields.ts';

test('girths are read as they are written, and written as they are read', () => {
  expect(girthsOf('60 + 80,5')).toEqual({ ok: true, value: [0.6, 0.805] });
  expect(girthsOf(' 142 cm ')).toEqual({ ok: true, value: [1.42] });
  expect(girthsOf('')).toEqual({ ok: true, value: [] });
  expect(girthsOf('60; x')).toMatchObject({ ok: false, problem: expect.stringMatching(/“x”/) as string });
  expect(girthsOf('60 + 9000').ok).toBe(false);
  for (const girths of [[], [1.42], [0.6, 0.805]])
    expect(girthsOf(girthsInWords(girths))).toEqual({ ok: true, value: girths });
});

test('a form changes facts alone', () => {
  const facts = newTree('T-1', 47.6, -116.4);
  expect(factsOf({ ...facts, id: 'x', version: 3 })).toEqual(facts);
});
