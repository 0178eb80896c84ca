import { boundInWords, measureInWords, remarkInWords } from './remarks.ts';

const names = { taxon: (id: string) => id, character: (id: string) => id };

test.each([
  [
    { kind: 'bare', taxonId: 'western larch', week: 12, unseen: ['foliage'], share: 0.5 },
    true,
    'Western larch is taught when bare, in week 12: not to be seen are foliage.',
  ],
  [
    { kind: 'bare', taxonId: 'aspen', week: 9, unseen: [], share: 0.9 },
    false,
    'Aspen is taught when bare, in week 9.',
  ],
  [
    { kind: 'apart', a: 'grand fir', b: 'subalpine fir', weeks: [4, 2] },
    false,
    'Grand fir and subalpine fir fall into different weeks, 2 and 4.',
  ],
  [{ kind: 'few', week: 3, size: 1 }, true, 'Week 3 has only 1 species.'],
  [{ kind: 'nowhere', taxonId: 'elm' }, true, 'Elm stands in no week yet.'],
] as const)('%j', (remark, broken, text) =>
  expect(remarkInWords({ ...remark } as never, names)).toMatchObject({ text, broken }),
);

test('a plan is said by what it does and what it trades', () => {
  const prospects = { taxa: ['a', 'b'], lookalikes: [{ a: 0, b: 1, error: 0.2 }] } as never;
  expect(
    measureInWords(prospects, { lookalikes: 'together' }, [{ kind: 'apart', a: 'a', b: 'b', weeks: [1, 2] }]),
  ).toBe('Each tree is taught while its marks can be seen; 0 of 1 pair of lookalikes stand in one set.');
});
test('what is proved best is called so, and what is not says how far it may be off', () => {
  expect(boundInWords(0.2, 0.2)).toContain('No plan does better');
  expect(boundInWords(0.2, 0.15)).toContain('25 %');
});
