import fc from 'fast-check';
import { parseRange, valueInWords, type RangeValue, type UnitSystem } from '@hurrow/core/score';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { measuresAgree, monthsAgree, writtenMeasures } from './src/reading/measuring.ts';
import { MONTHS_BY_HAND } from './src/reading/monthsByHand.ts';

test('of more than three hundred written measures and counts nearly all are read as meant, and none as something else in silence', () => {
  const rows = writtenMeasures();
  expect(rows.length).toBeGreaterThan(400);
  const { agree, silent } = measuresAgree(rows);
  expect(agree / rows.length).toBeGreaterThanOrEqual(0.97);
  expect(silent).toEqual([]);
});

test('months and seasons are read as meant', () => {
  expect(MONTHS_BY_HAND.length).toBeGreaterThan(80);
  expect(monthsAgree(MONTHS_BY_HAND)).toEqual({ agree: MONTHS_BY_HAND.length, wrong: [] });
});

const measures = [...BUILT_IN.values()].filter(
  ({ kind, derived }) => (kind === 'measure' || kind === 'count') && !derived,
);
const ascending = fc
  .array(fc.integer({ min: 2, max: 900 }), { minLength: 4, maxLength: 4 })
  .map((numbers) => [...numbers].sort((a, b) => a - b))
  .filter((numbers) => new Set(numbers).size === 4);
const SHAPES: ((ends: number[]) => Omit<RangeValue, 'kind'>)[] = [
  ([, low, high]) => ({ low: low!, high: high! }),
  ([min, low, high, max]) => ({ min: min!, low: low!, high: high!, max: max! }),
  ([, , high]) => ({ high: high! }),
  ([, low]) => ({ low: low!, high: low! }),
  ([, low]) => ({ typical: low! }),
  ([, low, typical, high]) => ({ low: low!, typical: typical!, high: high! }),
];

test.each<UnitSystem>(['metric', 'imperial'])(
  'what is written in %s words is read back as the same words',
  (units) => {
    fc.assert(
      fc.property(
        fc.constantFrom(...measures),
        ascending,
        fc.constantFrom(...SHAPES),
        (character, numbers, shape) => {
          const factor =
            character.kind === 'count'
              ? 1
              : character.unit === 'cm'
                ? 0.01
                : character.unit === 'mm'
                  ? 0.001
                  : 1;
          const ends = Object.entries(shape(numbers)).map(([end, n]) => [end, Number(n) * factor]);
          const words = valueInWords(
            { kind: 'range', ...Object.fromEntries(ends) } as RangeValue,
            character,
            'technical',
            units,
          );
          const read = parseRange(words, character);
          if (!read.ok) throw new Error(`${character.id}: ${words}: ${read.problem}`);
          expect(valueInWords(read.value, character, 'technical', units)).toBe(words);
        },
      ),
    );
  },
);
