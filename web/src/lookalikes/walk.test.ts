import type { KeyNode } from '@hurrow/core/key';
import { begun, leftAt, taken, unsure } from './walk.ts';

const end = (taxon: string): KeyNode => ({ kind: 'end', taxa: [taxon], share: 0.5 });
const couplet = (...to: KeyNode[]): KeyNode => ({
  kind: 'couplet',
  share: 1,
  leads: to.map((node, i) => ({
    condition: { characterId: 'bud.resin', present: i === 0 },
    also: [],
    to: node,
  })),
});
const first = begun({ root: couplet(end('a'), couplet(end('b'), end('c'))) });

test('a lead taken leaves what lies below it', () => {
  expect(leftAt(first)).toEqual(['a', 'b', 'c']);
  expect(leftAt(taken(first, 1))).toEqual(['b', 'c']);
  expect(leftAt(taken(taken(first, 1), 0))).toEqual(['b']);
});

test('who cannot tell goes all ways, and ends with all they lead to', () => {
  const step = unsure(first);
  expect(leftAt(step).sort()).toEqual(['a', 'b', 'c']);
  expect(step.node.kind).toBe('couplet');
  const last = taken(step, 1);
  expect(last.node.kind).toBe('end');
  expect(leftAt(last).sort()).toEqual(['a', 'c']);
});

test('at an end there is nothing more to take', () => {
  const last = taken(first, 0);
  expect(taken(last, 0)).toBe(last);
  expect(unsure(last)).toBe(last);
});
