import { firstInWords } from './firstLook.ts';

const names = { character: (id: string) => id.replace('.', ' ') };

test('before the report is through it is said what the names make one suspect, as a suspicion', () => {
  const first = { answers: 720, errors: 190, suspected: ['needle.bands', 'bud.tip'] };
  expect(firstInWords(first, names)).toBe(
    'By the names alone, 190 of 720 answers wrong: they may not look at needle bands or bud tip. A suspicion; what follows may say otherwise.',
  );
  expect(firstInWords({ ...first, suspected: [] }, names)).toMatch(
    /190 of 720.*no character stands out so far/,
  );
});
