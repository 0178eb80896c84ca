import { leavesInWords } from './leaves.ts';

test.each([
  [
    undefined,
    'About 15 Oct 12 of 42 trees may be in leaf or bare; figures are over both, a key is for the likelier.',
  ],
  ['on', 'About 15 Oct 12 of 42 trees may be in leaf or bare; here they are taken to be in leaf.'],
  ['off', 'About 15 Oct 12 of 42 trees may be in leaf or bare; here they are taken to be bare.'],
] as const)('what the date leaves open is said, and what is taken for it: %s', (leaves, said) =>
  expect(leavesInWords(12, 42, '15 Oct', leaves)).toBe(said),
);
