import fc from 'fast-check';
import {
  DEFAULT_MARKING,
  editDistance,
  foldLatin,
  markAnswer,
  resolveName,
  slip,
  type MarkingPolicy,
  type NamedTaxon,
} from './index.ts';

const taxon = (
  id: string,
  genus: string,
  epithet: string,
  family: string,
  commonNames: string[],
  more: Partial<NamedTaxon> = {},
): NamedTaxon => ({
  id,
  rank: 'species',
  genus,
  epithet,
  family,
  commonNames,
  synonyms: [],
  ...more,
});

const LIST: NamedTaxon[] = [
  taxon('grandis', 'Abies', 'grandis', 'Pinaceae', ['grand fir', 'white fir']),
  taxon('lasiocarpa', 'Abies', 'lasiocarpa', 'Pinaceae', ['subalpine fir'], { synonyms: ['Abies bifolia'] }),
  taxon('concolor', 'Abies', 'concolor', 'Pinaceae', ['white fir']),
  taxon('trichocarpa', 'Populus', 'trichocarpa', 'Salicaceae', ['black cottonwood'], {
    synonyms: ['Populus balsamifera subsp. trichocarpa'],
  }),
  taxon('tremuloides', 'Populus', 'tremuloides', 'Salicaceae', ['quaking aspen']),
  taxon('menziesii', 'Pseudotsuga', 'menziesii', 'Pinaceae', ['Douglas-fir']),
  taxon('rhus', 'Rhus', 'glabra', 'Anacardiaceae', ['smooth sumac']),
  taxon('glabrum', 'Acer', 'glabrum', 'Sapindaceae', ['Rocky Mountain maple'], {
    olderFamilies: ['Aceraceae'],
  }),
];

test.each<[string, string, string | undefined]>([
  ['Abies grandis', 'exact', 'grandis'],
  ['  abies   GRANDIS ', 'exact', 'grandis'],
  ['A. grandis', 'exact', 'grandis'],
  ['Abies bifolia', 'synonym', 'lasiocarpa'],
  ['Populus balsamifera ssp. trichocarpa', 'synonym', 'trichocarpa'],
  ['grand fir', 'common', 'grandis'],
  ['douglas fir', 'common', 'menziesii'],
  ['Douglasfir', 'common', 'menziesii'],
  ['menziesii', 'exact', 'menziesii'],
  ['Pseudotsuga', 'genus', 'menziesii'],
  ['Abies trichocarpa', 'genus', undefined],
  ['grand fir or subalpine fir', 'ambiguous', undefined],
  ['Abies Grandis Lasiocarpa', 'ambiguous', undefined],
  ['abies grandis lasiocarpa', 'ambiguous', undefined],
  ['grand fir (Abies grandis)', 'exact', 'grandis'],
  ['grand fir Abies grandis', 'exact', 'grandis'],
  ['Thuja occidentalis', 'none', undefined],
  ['xxxx', 'none', undefined],
  ["I don't know", 'blank', undefined],
  ['not grand fir', 'none', undefined],
  ['Abies granids', 'misspelled', 'grandis'],
  ['Pseudotsuga menziesi', 'misspelled', 'menziesii'],
  ['Psuedotsuga menzeisii', 'misspelled', 'menziesii'],
  ['Populus tricocarpa', 'misspelled', 'trichocarpa'],
  ['Rus glabra', 'misspelled', 'rhus'],
  ['white fir', 'ambiguous', undefined],
  ['Abies', 'genus', undefined],
  ['Abys', 'genus', undefined],
  ['Abies procera', 'genus', undefined],
  ['Quercus alba', 'none', undefined],
  ['   ', 'blank', undefined],
])('“%s” is %s', (text, how, taxonId) => {
  expect(resolveName(text, LIST)).toMatchObject({ how, ...(taxonId ? { taxonId } : {}) });
});

test('a plant that is known and not on the list is named, and so is a family written beside', () => {
  expect(resolveName('Abies procera', LIST)).toMatchObject({ how: 'genus', other: 'Abies procera' });
  expect(resolveName('eastern white pine', LIST)).toMatchObject({ how: 'none', other: 'eastern white pine' });
  expect(resolveName('Pinaceae, Abies grandis', LIST)).toMatchObject({
    taxonId: 'grandis',
    family: 'pinaceae',
  });
});

test.each([
  ['engleman', 'engelmann', 1.2],
  ['plicata', 'pilcata', 0.8],
  ['abies', 'abiess', 0.4],
  ['rus', 'rhus', 0.6],
  ['fir', 'fit', 0.8],
  ['alba', 'alma', 1],
])('%s is %s but for %d letters', (a, b, off) => expect(slip(a, b)).toBeCloseTo(off));

test('a slip weighs no more than the plain distance, and is the same both ways', () => {
  const word = fc.stringMatching(/^[a-z]{0,9}$/);
  fc.assert(
    fc.property(word, word, (a, b) => {
      expect(slip(a, b)).toBeCloseTo(slip(b, a), 9);
      expect(slip(a, b)).toBeLessThanOrEqual(editDistance(a, b) + 1e-9);
      // Within its limit, a limit changes nothing.
      const off = slip(a, b);
      if (off <= 2) expect(slip(a, b, 2)).toBeCloseTo(off, 9);
      else expect(slip(a, b, 2)).toBeGreaterThan(2);
    }),
  );
});

test('every name of every taxon resolves to it, whatever its case and spacing', () => {
  const names = LIST.flatMap((each) =>
    [`${each.genus} ${each.epithet}`, ...each.synonyms].map((name) => [each.id, name] as const),
  );
  fc.assert(
    fc.property(fc.constantFrom(...names), fc.infiniteStream(fc.boolean()), ([id, name], upper) => {
      const typed = [...name]
        .map((char) => (upper.next().value ? char.toUpperCase() : char))
        .join('')
        .replace(/ /g, '  ');
      expect(resolveName(typed, LIST).taxonId).toBe(id);
    }),
  );
});

test('edit distance agrees with its definition on short words', () => {
  expect(editDistance('', 'abc')).toBe(3);
  expect(editDistance('abies', 'abeis')).toBe(1);
  fc.assert(
    fc.property(fc.string({ maxLength: 8 }), fc.string({ maxLength: 8 }), (a, b) => {
      expect(editDistance(a, b)).toBe(editDistance(b, a));
      expect(editDistance(a, b) === 0).toBe(a === b);
      expect(editDistance(a, b)).toBeLessThanOrEqual(Math.max(a.length, b.length));
    }),
  );
});

test.each([
  ['menziesii', 'menziesi'],
  ['rhus', 'rus'],
  ['caerulea', 'cerulea'],
  ['sylvestris', 'silvestris'],
  ['papyrifera', 'papirifera'],
])('%s folds like %s', (a, b) => expect(foldLatin(a)).toBe(foldLatin(b)));

const binomial: MarkingPolicy = { ...DEFAULT_MARKING, policy: 'binomial' };
const truth = LIST[0]!;
const points = (answer: Parameters<typeof markAnswer>[0], marking = DEFAULT_MARKING, of = truth) =>
  markAnswer(answer, of, LIST, marking).points;

describe('marking', () => {
  test('a full answer earns every part', () =>
    expect(points({ genus: 'Abies', epithet: 'grandis', family: 'Pinaceae' })).toBe(3));
  test('each misspelled part costs the deduction once', () =>
    expect(points({ genus: 'Abeis', epithet: 'grandiss', family: 'Pinaceae' })).toBe(2.5));
  test('the right genus with a wrong epithet earns the genus', () =>
    expect(points({ genus: 'Abies', epithet: 'lasiocarpa' }, binomial)).toBe(1));
  test('an epithet without its genus earns nothing', () =>
    expect(points({ genus: 'Quercus', epithet: 'grandis' }, binomial)).toBe(0));
  test('a synonym in use is right', () =>
    expect(points({ genus: 'Abies', epithet: 'bifolia' }, binomial, LIST[1])).toBe(2));
  test('an older family is right', () =>
    expect(points({ genus: 'Acer', epithet: 'glabrum', family: 'Aceraceae' }, DEFAULT_MARKING, LIST[7])).toBe(
      3,
    ));
  test('a blank earns nothing and never less', () => expect(points({})).toBe(0));
  test('a deduction larger than the part leaves zero', () =>
    expect(points({ genus: 'Abeis', epithet: '' }, { ...binomial, deduction: 5 })).toBe(0));
  test('a larger deduction never brings more: what is misspelled is not wrong, whatever it costs', () => {
    const costs = (deduction: number) => ({ ...DEFAULT_MARKING, deduction });
    const answers = [
      { genus: 'Abeis', epithet: 'grandis', family: 'Pinacaee' },
      { genus: 'Abies', epithet: 'grandiss', family: 'Pniaceae' },
      { genus: 'Abies', epithet: 'grandis', family: 'Piaceae' },
    ];
    for (const answer of answers) {
      const marks = [0, 0.25, 0.5, 1, 2].map((deduction) => points(answer, costs(deduction)));
      expect(marks).toEqual([...marks].sort((a, b) => b - a));
      expect(marks.at(-1)).toBeLessThan(3);
    }
    // The genus is the right one though its spelling costs all of its points: the epithet counts.
    expect(points({ genus: 'Abeis', epithet: 'grandis' }, { ...binomial, deduction: 1 })).toBe(1);
    // Where the genus bears no points, it stands all the same.
    const none = { ...binomial, points: { ...binomial.points, genus: 0 } };
    expect(points({ genus: 'Abies', epithet: 'lasiocarpa' }, none, LIST[1])).toBe(1);
  });
  test('common names: right, misspelled, another tree, shared by two', () => {
    const common: MarkingPolicy = { ...DEFAULT_MARKING, policy: 'common' };
    expect(points({ name: 'Grand fir' }, common)).toBe(2);
    expect(points({ name: 'grnd fir' }, common)).toBe(1.75);
    expect(points({ name: 'subalpine fir' }, common)).toBe(0);
    expect(points({ name: 'white fir' }, common)).toBe(0);
  });
  test.each<[string, Parameters<typeof markAnswer>[0], string[]]>([
    ['two right words turned round', { name: 'grandis Abies' }, ['right', 'right', 'missing']],
    ['two names that agree', { name: 'grand fir / Abies grandis' }, ['right', 'right', 'missing']],
    ['two names side by side', { name: 'grand fir Abies grandis' }, ['right', 'right', 'missing']],
    ['a sentence', { name: "I think it's Abies grandis, Pinaceae" }, ['right', 'right', 'right']],
    [
      'authors in the epithet box',
      { genus: 'Abies', epithet: 'grandis (Douglas) Lindl.' },
      ['right', 'right', 'missing'],
    ],
    ['the genus alone', { genus: 'Abies', epithet: '' }, ['right', 'missing', 'missing']],
    [
      'the epithet misspelled',
      { genus: 'Abies', epithet: 'granids', family: 'pine family' },
      ['right', 'misspelled', 'right'],
    ],
    ['another plant of the genus', { genus: 'Abies', epithet: 'procera' }, ['right', 'wrong', 'missing']],
  ])('%s: each part by its own quality', (_, answer, qualities) =>
    expect(markAnswer(answer, truth, LIST, DEFAULT_MARKING).parts.map(({ quality }) => quality)).toEqual(
      qualities,
    ),
  );
  test('another plant is named in the reason', () =>
    expect(markAnswer({ genus: 'Abies', epithet: 'procera' }, truth, LIST, binomial).parts[1]!.remark).toBe(
      'that is Abies procera, which is not on the list',
    ));
  test('the genus alone earns half of a common name', () => {
    const common: MarkingPolicy = { ...DEFAULT_MARKING, policy: 'common' };
    expect(markAnswer({ name: 'Pseudotsuga' }, LIST[5]!, LIST, common)).toMatchObject({ points: 1 });
  });
  test('a ruling outweighs the rules, both ways', () => {
    const odd = { genus: 'Abis', epithet: 'grandifolia' };
    // Ruled right, each part costs what a misspelling costs that needs no ruling.
    expect(markAnswer(odd, truth, LIST, binomial, { taxonId: 'grandis' }).points).toBe(1.5);
    expect(
      markAnswer({ genus: 'Abies', epithet: 'grandis' }, truth, LIST, binomial, { taxonId: null }).resolution
        .how,
    ).toBe('none');
  });
  test('a spelling that is ruled right costs what one of the same quality costs that was read', () => {
    const read = markAnswer({ genus: 'Abies', epithet: 'grandiss' }, truth, LIST, binomial);
    expect(read.resolution.how).toBe('misspelled');
    const ruling = markAnswer({ genus: 'Abies', epithet: 'grandiss' }, truth, LIST, binomial, {
      taxonId: 'grandis',
    });
    expect(ruling.points).toBe(read.points);
    const common: MarkingPolicy = { ...DEFAULT_MARKING, policy: 'common' };
    expect(markAnswer({ name: 'grnd fir' }, truth, LIST, common, { taxonId: 'grandis' }).points).toBe(
      points({ name: 'grnd fir' }, common),
    );
    expect(markAnswer({ name: 'grand fir' }, truth, LIST, common, { taxonId: 'grandis' }).points).toBe(2);
  });
  test('points given by hand stand, within what a part is worth', () => {
    const ruling = { taxonId: null, points: { genus: 0.5, epithet: 9, family: -1 } };
    const { parts } = markAnswer(
      { genus: 'Pinus', epithet: 'x', family: 'Pinaceae' },
      truth,
      LIST,
      DEFAULT_MARKING,
      ruling,
    );
    expect(parts.map((part) => [part.points, part.remark])).toEqual([
      [0.5, 'given by hand'],
      [1, 'given by hand'],
      [0, 'given by hand'],
    ]);
  });
  test.each([
    ['a whole binomial in the genus box', { genus: 'Abies grandis' }, 2],
    ['in the epithet box', { epithet: 'abies grandis' }, 2],
    ['with the epithet written again', { genus: 'Abies grandis', epithet: 'grandis' }, 2],
    ['with the genus written again', { genus: 'Abies', epithet: 'Abies grandis' }, 2],
    ['a common name in the genus box', { genus: 'grand fir' }, 0],
    ['a misspelled common name', { name: 'grnd fir' }, 0],
  ])('%s is read as what it is', (_, answer, earned) => {
    const mark = markAnswer(answer, truth, LIST, binomial);
    expect(mark.resolution.taxonId).toBe('grandis');
    expect(mark.points).toBe(earned);
    expect(mark.parts[0]!.remark).toBe(earned ? 'right' : 'the common name; the genus is asked for');
  });
  test('points lie between zero and the full mark whatever is written', () => {
    fc.assert(
      fc.property(fc.string(), fc.string(), fc.string(), (genus, epithet, family) => {
        const mark = markAnswer({ genus, epithet, family }, truth, LIST, DEFAULT_MARKING);
        expect(mark.points).toBeGreaterThanOrEqual(0);
        expect(mark.points).toBeLessThanOrEqual(mark.outOf);
      }),
    );
  });
});
