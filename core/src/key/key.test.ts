import fc from 'fast-check';
import { randomFrom } from '../random/index.ts';
import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import {
  appraise,
  buildKey,
  couplets,
  keyLines,
  MultiAccess,
  nodeAt,
  questionsAt,
  replaceCouplet,
  rewordLead,
  taxaBelow,
} from './index.ts';

const view = viewOf(['twig', 'bud', 'leaf']);
const list = [
  profiled('Acer', 'rubrum', {
    'foliage.kind': 'broad blade',
    'twig.arrangement': 'opposite',
    'leaf.lobing': 'palmately lobed',
    'bud.length': '3–5 mm',
  }),
  profiled('Cornus', 'sericea', {
    'foliage.kind': 'broad blade',
    'twig.arrangement': 'opposite',
    'leaf.lobing': 'unlobed',
    'bud.length': '4–7 mm',
  }),
  profiled('Quercus', 'alba', {
    'foliage.kind': 'broad blade',
    'twig.arrangement': 'alternate',
    'leaf.lobing': 'pinnately lobed',
    'bud.length': '3–5 mm',
  }),
  profiled('Populus', 'deltoides', {
    'foliage.kind': 'broad blade',
    'twig.arrangement': 'alternate',
    'leaf.lobing': 'unlobed',
    'bud.length': '12–20 mm',
  }),
  profiled('Abies', 'grandis', { 'foliage.kind': 'single needles', 'needle.length': '3–5 cm' }),
  profiled('Taxus', 'brevifolia', { 'foliage.kind': 'single needles', 'needle.length': '1–2 cm' }),
];
const ids = list.map(({ taxon }) => taxon.id);
const key = buildKey(list, BUILT_IN, view);

/** Taxa with random states of a few characters, some of them varying. */
const randomTaxa = (seed: number, n: number) => {
  const random = randomFrom(seed);
  const options: Record<string, string[]> = {
    'twig.arrangement': ['alternate', 'opposite', 'usually alternate; sometimes opposite'],
    'bud.scales': ['naked', 'one cap', 'two, valvate', 'several, overlapping'],
    'leaf.lobing': ['unlobed', 'pinnately lobed', 'usually unlobed; sometimes palmately lobed'],
    'twig.zigzag': ['yes', 'no'],
    'bud.length': ['2–4 mm', '3–6 mm', '8–12 mm'],
  };
  return Array.from({ length: n }, (_, i) =>
    profiled(
      'Ficta',
      `n${i}`,
      Object.fromEntries(Object.entries(options).map(([id, texts]) => [id, random.pick(texts)])),
    ),
  );
};

test('every taxon of a list that can be parted has an end of its own, at log₂ n questions or little more', () => {
  const appraisal = appraise(key, list, BUILT_IN);
  expect(appraisal.together).toEqual([]);
  expect(appraisal.unreachable).toEqual([]);
  expect(appraisal.rightIfNobodyErrs).toBeGreaterThan(0.97);
  expect(appraisal.meanQuestions).toBeLessThan(1.25 * Math.log2(6));
});

test('for random lists: no taxon is lost, leads part what arrives, and weights are kept', () => {
  fc.assert(
    fc.property(fc.integer(), fc.integer({ min: 1, max: 14 }), (seed, n) => {
      const taxa = randomTaxa(seed, n);
      const made = buildKey(taxa, BUILT_IN, view);
      expect(taxaBelow(made.root).sort()).toEqual(made.taxa.slice().sort());
      expect(made.root.share).toBeCloseTo(1);
      for (const { couplet } of couplets(made)) {
        expect(couplet.leads.length).toBeGreaterThan(1);
        const below = couplet.leads.reduce((sum, lead) => sum + lead.to.share, 0);
        // A byway that few individuals take may be left out, nothing else.
        expect(below).toBeGreaterThan(couplet.share * 0.92 - 0.026);
        expect(below).toBeLessThan(couplet.share + 1e-9);
      }
    }),
    { numRuns: 40 },
  );
});

test('taxa that nothing tells apart end together', () => {
  const twins = [list[0]!, { ...list[0]!, taxon: { ...list[0]!.taxon, id: 'twin' } }];
  const made = buildKey(twins, BUILT_IN, view);
  expect(made.root).toMatchObject({ kind: 'end', taxa: ['acer-rubrum', 'twin'] });
  expect(appraise(made, twins, BUILT_IN)).toMatchObject({
    rightIfNobodyErrs: expect.closeTo(0.5),
    together: [['acer-rubrum', 'twin']],
  });
});

test('banned characters, levels and the view are kept to', () => {
  const used = (options: object, day = 200) =>
    couplets(buildKey(list, BUILT_IN, { ...view, day }, options)).flatMap(({ couplet }) =>
      couplet.leads.flatMap((lead) => [lead.condition, ...lead.also].map(({ characterId }) => characterId)),
    );
  expect(used({})).toContain('twig.arrangement');
  expect(used({ banned: ['twig.arrangement'] })).not.toContain('twig.arrangement');
  expect(used({}, 20).filter((id) => id.startsWith('leaf.'))).toEqual([]);
  for (const id of used({ level: 'beginner' })) expect(BUILT_IN.get(id)!.level).toBe('beginner');
});

test('with many leads a character of three states asks once', () => {
  const three = [0, 2, 3].map((i) => list[i]!);
  const made = buildKey(three, BUILT_IN, view, {
    manyLeads: true,
    banned: ['twig.arrangement', 'bud.length'],
  });
  expect(made.root).toMatchObject({ kind: 'couplet' });
  expect(couplets(made)).toHaveLength(1);
  expect(couplets(made)[0]!.couplet.leads).toHaveLength(3);
});

test('readers who misread fail more often, and most at the couplet that is named', () => {
  const careful = appraise(key, list, BUILT_IN, { reader: 'careful' });
  const novice = appraise(key, list, BUILT_IN, { reader: 'novice' });
  expect(novice.right).toBeLessThan(careful.right);
  expect(nodeAt(key, novice.weakest!.path)?.kind).toBe('couplet');
  expect(appraise(key, list, BUILT_IN, { seed: 3 })).toEqual(appraise(key, list, BUILT_IN, { seed: 3 }));
});

test('a bracketed key names each couplet where another leads to it; an indented one sets it in', () => {
  const bracketed = keyLines(key, 'bracketed', BUILT_IN, 'technical', 'metric');
  const numbers = new Set(bracketed.map(({ couplet }) => couplet));
  const targets = bracketed.flatMap(({ to }) => ('couplet' in to ? [to.couplet] : []));
  expect(targets.sort()).toEqual([...numbers].filter((n) => n !== 1).sort());
  expect(bracketed.flatMap(({ to }) => ('taxa' in to ? to.taxa : [])).sort()).toEqual([...ids].sort());
  const indented = keyLines(key, 'indented', BUILT_IN, 'technical', 'metric');
  expect(indented).toHaveLength(bracketed.length);
  expect(Math.max(...indented.map(({ depth }) => depth))).toBeGreaterThan(0);
  expect(indented[1]!.couplet).toBeGreaterThan(1);
});

test('a lead is reworded and brought back; a couplet replaced builds what lies below it again', () => {
  const reworded = rewordLead(key, [], 0, '  Leaves like little hands ');
  expect(keyLines(reworded, 'bracketed', BUILT_IN, 'technical', 'metric')[0]!.words).toBe(
    'Leaves like little hands',
  );
  expect(rewordLead(reworded, [], 0, '')).toEqual(key);
  const path = couplets(key).find(
    ({ couplet }) => taxaBelow(couplet).includes('quercus-alba') && taxaBelow(couplet).length < 6,
  )!.path;
  const offered = questionsAt(key, path, list, BUILT_IN);
  for (const { leads } of offered) {
    const replaced = replaceCouplet(key, path, leads, list, BUILT_IN);
    expect(replaced.ok).toBe(true);
    if (replaced.ok) {
      expect(nodeAt(replaced.value, path)).toMatchObject({ byHand: true });
      expect(taxaBelow(replaced.value.root).sort()).toEqual([...ids].sort());
    }
  }
  expect(offered.length).toBeGreaterThan(1);
});

test('a couplet that parts nothing, or cannot be seen, is refused with what to do', () => {
  const same = replaceCouplet(
    key,
    [],
    [{ characterId: 'bark.surface', states: ['smooth'], present: true }],
    list,
    BUILT_IN,
  );
  expect(same).toMatchObject({ ok: false, problem: expect.stringMatching(/cannot be seen/) });
  const alike = replaceCouplet(
    key,
    [],
    [
      { characterId: 'foliage.kind', states: ['blade', 'single'] },
      { characterId: 'foliage.kind', states: ['awls'] },
    ],
    list,
    BUILT_IN,
  );
  expect(alike).toMatchObject({ ok: false, problem: expect.stringMatching(/show the same/) });
});

describe('answers in any order', () => {
  const access = new MultiAccess(list, BUILT_IN, view);
  const opposite = { characterId: 'twig.arrangement', states: ['opposite'] };
  const lobed = { characterId: 'leaf.lobing', states: ['palmate'] };

  test('the posterior sums to one and finds the tree, in whatever order', () => {
    const [one, other] = [access.identify([opposite, lobed]), access.identify([lobed, opposite])];
    expect(one.ranked.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1);
    expect(one.ranked[0]!.taxonId).toBe('acer-rubrum');
    for (const { taxonId, probability } of one.ranked)
      expect(other.ranked.find((entry) => entry.taxonId === taxonId)!.probability).toBeCloseTo(
        probability,
        9,
      );
  });

  test('one slip is forgiven where that is asked for', () => {
    const wrong = { characterId: 'foliage.kind', states: ['single'] };
    const maple = (tolerant: boolean) =>
      access
        .identify([opposite, lobed, wrong], tolerant)
        .ranked.find(({ taxonId }) => taxonId === 'acer-rubrum')!;
    expect(maple(true).probability).toBeGreaterThan(maple(false).probability);
    expect(maple(true).against).toBe(1);
  });

  test('the next question is one that still tells, and none is asked twice', () => {
    const { next } = access.identify([opposite]);
    expect(next.map(({ characterId }) => characterId)).not.toContain('twig.arrangement');
    expect(next.map(({ characterId }) => characterId)).toContain('leaf.lobing');
    for (const { bits } of next) expect(bits).toBeGreaterThan(0);
  });
});

describe('by the book', () => {
  const conditionsOf = (made: ReturnType<typeof buildKey>) =>
    couplets(made).map(({ couplet }) => couplet.leads.map(({ condition }) => condition));

  test('foliage comes first, then arrangement, then lobing; a size only where nothing else is left', () => {
    const asked = conditionsOf(buildKey(list, BUILT_IN, view)).map((leads) => leads[0]!.characterId);
    expect(asked[0]).toBe('foliage.kind');
    expect(asked.indexOf('twig.arrangement')).toBe(1);
    expect(asked).toContain('leaf.lobing');
    expect(asked).not.toContain('bud.length');
  });

  test('a number is asked for only where a gap lies between the ranges', () => {
    const sizes = (a: string, b: string) =>
      conditionsOf(
        buildKey(
          [profiled('Una', 'prima', { 'bud.length': a }), profiled('Una', 'altera', { 'bud.length': b })],
          BUILT_IN,
          view,
        ),
      );
    expect(sizes('3–5 mm', '12–20 mm')).toHaveLength(1);
    expect(sizes('3–9 mm', '6–14 mm')).toHaveLength(0);
  });

  test('a lead names the numbers that its taxa show', () => {
    const bundles = ['2', '(2–)3', '5'].map((count, i) =>
      profiled('Pinus', `n${i}`, { 'foliage.kind': 'bundled needles', 'needle.perBundle': count }),
    );
    const lines = keyLines(buildKey(bundles, BUILT_IN, view), 'bracketed', BUILT_IN, 'technical', 'metric');
    const five = lines.find(({ to }) => 'taxa' in to && to.taxa.includes('pinus-n2'));
    expect(five!.words).toBe('needles per bundle: 5');
  });

  test('what confirms a lead is true of every taxon below it, also of one that comes down both', () => {
    const made = (bud: string) =>
      buildKey(
        [
          profiled('Una', 'prima', { 'twig.arrangement': 'opposite', 'bud.scales': 'naked' }),
          profiled('Una', 'altera', { 'twig.arrangement': 'alternate', 'bud.scales': bud }),
        ],
        BUILT_IN,
        view,
      );
    const confirming = (key: ReturnType<typeof buildKey>) =>
      couplets(key)[0]!.couplet.leads.flatMap(({ also }) => also.map(({ characterId }) => characterId));
    expect(confirming(made('one cap'))).toEqual(['bud.scales', 'bud.scales']);
    // Five specimens in a hundred may be otherwise, no more.
    expect(confirming(made('one cap; rarely naked'))).toEqual(['bud.scales', 'bud.scales']);
    expect(confirming(made('one cap; sometimes naked'))).toEqual([]);
  });

  test('a confirming statement may name what both sides show, if either shows something of its own', () => {
    const made = (shape: string) => {
      const key = buildKey(
        [
          profiled('Una', 'prima', {
            'twig.arrangement': 'opposite',
            'leaf.base': 'usually wedge; sometimes rounded',
          }),
          profiled('Una', 'altera', { 'twig.arrangement': 'alternate', 'leaf.base': shape }),
        ],
        BUILT_IN,
        view,
      );
      const { leads } = couplets(key)[0]!.couplet;
      return leads.map(({ condition, also }) => [condition.states![0], also[0]?.states]).sort();
    };
    expect(made('usually heart-shaped; sometimes rounded')).toEqual([
      ['alternate', ['rounded', 'heart']],
      ['opposite', ['wedge', 'rounded']],
    ]);
    expect(made('usually wedge; sometimes rounded')).toEqual([
      ['alternate', undefined],
      ['opposite', undefined],
    ]);
  });

  test('an appraisal names a confirming statement that is false of a taxon below', () => {
    const pair = [
      profiled('Una', 'prima', { 'twig.arrangement': 'opposite', 'bud.scales': 'naked' }),
      profiled('Una', 'altera', {
        'twig.arrangement': 'alternate',
        'bud.scales': 'one cap; sometimes naked',
      }),
    ];
    const sound = buildKey(pair, BUILT_IN, view);
    expect(appraise(sound, pair, BUILT_IN)).toMatchObject({ falseStatements: [], mostEnds: 1 });
    const root = sound.root as Extract<typeof sound.root, { kind: 'couplet' }>;
    const wrong = {
      ...sound,
      root: {
        ...root,
        leads: root.leads.map((lead) => ({
          ...lead,
          also: [
            {
              characterId: 'bud.scales',
              states: [lead.condition.states![0] === 'opposite' ? 'none' : 'one'],
            },
          ],
        })),
      },
    };
    expect(appraise(wrong, pair, BUILT_IN).falseStatements).toMatchObject([
      { characterId: 'bud.scales', taxon: 'una-altera' },
    ]);
  });
});
