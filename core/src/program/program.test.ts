import fc from 'fast-check';
import { highs, ProgramDraft, type Program } from './index.ts';

const solve = await highs();

/** The least cost over all choices of yes and no. */
function bruteForce({ costs, rows }: Program): number {
  let best = Infinity;
  for (let choice = 0; choice < 2 ** costs.length; choice += 1) {
    const value = (variable: number) => (choice >> variable) & 1;
    const kept = rows.every(({ terms, from, to }) => {
      const sum = terms.reduce((held, [variable, by]) => held + by * value(variable), 0);
      return sum >= from && sum <= to;
    });
    if (kept)
      best = Math.min(
        best,
        costs.reduce((sum, cost, variable) => sum + cost * value(variable), 0),
      );
  }
  return best;
}

it('finds what trying everything finds, and proves it', () => {
  const cost = fc.integer({ min: -9, max: 9 });
  const row = fc.record({
    by: fc.array(fc.integer({ min: -3, max: 3 }), { minLength: 6, maxLength: 6 }),
    from: fc.integer({ min: -4, max: 2 }),
    room: fc.integer({ min: 0, max: 4 }),
  });
  fc.assert(
    fc.property(
      fc.array(cost, { minLength: 6, maxLength: 6 }),
      fc.array(row, { maxLength: 4 }),
      (costs, rows) => {
        const draft = new ProgramDraft();
        for (const each of costs) draft.yesOrNo(each);
        for (const { by, from, room } of rows)
          draft.row(
            by.map((each, variable) => [variable, each]),
            from,
            from + room,
          );
        const found = solve(draft.program, 10);
        const best = bruteForce(draft.program);
        if (best === Infinity) {
          expect(found).toBeUndefined();
          return;
        }
        expect(found!.cost).toBeCloseTo(best, 6);
        expect(found!.bound).toBeCloseTo(best, 3);
      },
    ),
    { numRuns: 60 },
  );
});

it('keeps a variable where it is fixed, and refuses a cost that is none', () => {
  const draft = new ProgramDraft();
  const [dear, cheap] = [draft.yesOrNo(5), draft.yesOrNo(1)];
  draft.row(
    [
      [dear, 1],
      [cheap, 1],
    ],
    1,
    2,
  );
  draft.fix(dear, 1);
  expect(solve(draft.program, 10)).toMatchObject({ cost: 5, bound: 5 });
  expect(() => draft.yesOrNo(NaN)).toThrow('finite');
});
