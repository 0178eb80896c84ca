import { dayAfter } from '../season/index.ts';
import fc from 'fast-check';
import { kindOf, STATION_KINDS } from '../assembly/index.ts';
import type { ProfiledTaxon } from '../evidence/index.ts';
import type { Caution } from '../taxon/index.ts';
import {
  careOnTheWay,
  clockAfter,
  collectingList,
  CUTTINGS,
  keepingOf,
  likelyThere,
  newTree,
  planWalk,
  REACHES,
  type CollectingAsked,
  type GroundFeatures,
  type GroundTree,
  type TreeObservation,
} from './index.ts';
import { inFull } from '../words/index.ts';

const caution = (kind: Caution['kind'], part = 'whole tree'): Caution => ({
  kind,
  part,
  effect: '',
  care: '',
});
const profiled = (
  id: string,
  more: Partial<ProfiledTaxon['taxon']> = {},
  leaves = 'deciduous',
): ProfiledTaxon => ({
  taxon: {
    id,
    rank: 'species',
    genus: id[0]!.toUpperCase() + id.slice(1),
    epithet: 'alba',
    family: 'Rosaceae',
    commonNames: [id],
    synonyms: [],
    calendar: { leaves: [{ from: 125, to: 285 }], fruitRipe: [{ from: 230, to: 300 }] },
    cautions: [],
    ...more,
  },
  scores: [
    {
      characterId: 'habit.persistence',
      qualifiers: {},
      value: { kind: 'states', states: [{ state: leaves, frequency: 'always' }] },
      from: [],
      statements: [],
      disagree: false,
    },
  ],
});
const site = { latitude: 47.6, longitude: -116.4, elevation: 780 };
const tree = (id: string, taxonId: string, more: Partial<GroundTree> = {}): GroundTree => ({
  ...newTree(id.toUpperCase(), 47.6, -116.4),
  id,
  taxonId,
  confirmedBy: 'Ada Quill',
  cutting: 'yes',
  height: 8,
  reach: { leaf: 'hand', twig: 'hand', fruit: 'hand' },
  ...more,
});
const asked = (more: Partial<CollectingAsked>): CollectingAsked => ({
  needs: [{ id: 'n', taxonId: 'prunus', kind: 'cutting', serves: 'station 1' }],
  trees: [tree('t1', 'prunus')],
  list: [profiled('prunus')],
  observations: [],
  day: '2026-09-01',
  reference: site,
  site,
  ...more,
});
const only = (more: Partial<CollectingAsked> = {}) => collectingList(asked(more))[0]!;
const seen = (
  day: string,
  part: TreeObservation['part'],
  there: boolean,
  treeId = 't1',
): TreeObservation => ({ treeId, day, part, there });

describe('how likely a part is there', () => {
  const calendar = { leaves: [{ from: 125, to: 285 }], fruitRipe: [{ from: 230, to: 300 }] };
  const likely = (
    day: string,
    own: TreeObservation[] = [],
    others: TreeObservation[] = [],
    part: TreeObservation['part'] = 'leaves',
  ) => likelyThere({ part, calendar, deciduous: true, day, own, others });

  test('in the middle of its season it is there, far from it not, at its ends a half', () => {
    expect(likely('2026-07-15').share).toBeGreaterThan(0.99);
    expect(likely('2026-01-15').share).toBeLessThan(0.01);
    expect(likely('2026-10-12').share).toBeCloseTo(0.5, 1);
    expect(likely('2026-05-05').share).toBeCloseTo(0.5, 1);
  });

  test('what was seen of the tree goes before the calendar', () => {
    expect(likely('2026-10-14', [seen('2026-10-13', 'leaves', true)])).toMatchObject({
      by: 'seen',
      ruledOut: false,
    });
    expect(likely('2026-10-14', [seen('2026-10-13', 'leaves', true)]).share).toBeGreaterThan(0.85);
    const bare = likely('2026-10-14', [seen('2026-10-08', 'leaves', false)]);
    expect(bare.ruledOut).toBe(true);
    expect(bare.share).toBeLessThan(0.05);
    // Last year's bare tree says little of this year's.
    expect(likely('2026-07-15', [seen('2025-11-20', 'leaves', false)]).share).toBeGreaterThan(0.99);
  });

  test('what is seen later does not count before', () => {
    expect(likely('2026-10-05', [seen('2026-10-20', 'leaves', false)]).by).toBe('calendar');
  });

  test('trees of its kind that were in leaf long after their calendar move it, over years', () => {
    const late = ['2024-10-24', '2025-10-26', '2025-10-27', '2024-10-22'].map((day, i) =>
      seen(day, 'leaves', true, `o${i}`),
    );
    const here = likely('2026-10-16', [], late);
    expect(here.by).toBe('corrected');
    expect(here.share).toBeGreaterThan(likely('2026-10-16').share + 0.2);
    // Spring is not moved by what was seen in autumn.
    expect(likely('2026-05-05', [], late).share).toBeCloseTo(likely('2026-05-05').share, 1);
  });

  test('a tree without fruit in its season bears none that year', () => {
    const none = likely('2026-09-25', [seen('2026-09-10', 'fruit', false)], [], 'fruit');
    expect(none.share).toBeLessThan(0.2);
    expect(likely('2026-09-25', [], [], 'fruit').share).toBeCloseTo(0.88, 1);
  });
});

describe('whence it is cut', () => {
  test('the tree at hand before that by pole, the confirmed one before the other', () => {
    const pole = tree('t2', 'prunus', { reach: { leaf: 'pole', twig: 'pole' } });
    expect(only({ trees: [pole, tree('t1', 'prunus')] }).source).toMatchObject({
      treeId: 't1',
      reach: 'hand',
    });
    const unsure = tree('t3', 'prunus', { confirmedBy: '' });
    expect(only({ trees: [unsure, tree('t1', 'prunus')] })).toMatchObject({
      source: { treeId: 't1' },
      others: [{ treeId: 't3' }],
    });
  });

  test.each<[string, Partial<CollectingAsked>, RegExp, string]>([
    [
      'a protected tree',
      { list: [profiled('prunus', { cautions: [caution('protected')] })] },
      /protected/,
      'livingTree',
    ],
    [
      'a pest host',
      { list: [profiled('prunus', { cautions: [caution('regulated pest host', 'cut branches')] })] },
      /regulated pest/,
      'livingTree',
    ],
    ['no leave', { trees: [tree('t1', 'prunus', { cutting: 'no' })] }, /nothing may be cut/, 'livingTree'],
    [
      'leave that was not asked for',
      { trees: [tree('t1', 'prunus', { cutting: 'ask' })] },
      /ask first/,
      'livingTree',
    ],
    [
      'leave that is over',
      { trees: [tree('t1', 'prunus', { until: '2026-08-31' })] },
      /run out/,
      'livingTree',
    ],
    ['a seedling', { trees: [tree('t1', 'prunus', { stage: 'seedling' })] }, /too small/, 'livingTree'],
    [
      'a tree out of reach',
      { trees: [tree('t1', 'prunus', { reach: { leaf: 'glass' } })] },
      /out of reach/,
      'livingTree',
    ],
    [
      'a pole among wires',
      { trees: [tree('t1', 'prunus', { reach: { leaf: 'pole' }, hazards: ['wires'] })] },
      /out of reach/,
      'livingTree',
    ],
    ['leaves in winter', { day: '2026-12-15' }, /leaves are down/, 'otherPart'],
    [
      'a twig bare in summer',
      { needs: [{ id: 'n', taxonId: 'prunus', kind: 'bareTwig', serves: '' }] },
      /not bare/,
      'otherPart',
    ],
    [
      'bark of a living tree',
      { needs: [{ id: 'n', taxonId: 'prunus', kind: 'bark', serves: '' }] },
      /living stem/,
      'otherPart',
    ],
    ['a tree that is nowhere', { trees: [] }, /^No prunus/, 'photo'],
  ])('nothing from %s, with why and what instead', (_, more, why, instead) => {
    const line = only(more);
    expect(line.source).toBeUndefined();
    expect(inFull(line.why!)).toMatch(why);
    expect(line.instead[0]!.kind).toBe(instead);
  });

  test('leaves that have fallen are picked up; of what is protected nothing is', () => {
    const fallen = [tree('t1', 'prunus', { reach: { leaf: 'fallen' } })];
    const [day, summer] = ['2026-10-12', '2026-07-15'];
    expect(only({ trees: fallen, day }).instead[0]).toMatchObject({ kind: 'fallen', treeId: 't1' });
    const leaf = [{ id: 'n', taxonId: 'prunus', kind: 'leaf', serves: '' }];
    expect(only({ trees: fallen, needs: leaf, day }).source).toMatchObject({ reach: 'fallen' });
    // In July they hang out of reach, and none has fallen.
    expect(inFull(only({ trees: fallen, needs: leaf, day: summer }).why!)).toMatch(/have not fallen/);
    expect(only({ trees: fallen, day: summer }).instead.map(({ kind }) => kind)).not.toContain('fallen');
    const list = [profiled('prunus', { cautions: [caution('protected')] })];
    expect(only({ trees: fallen, list, day }).instead.map(({ kind }) => kind)).toEqual([
      'livingTree',
      'photo',
      'drawing',
    ]);
  });

  test('cones of a pest host may be taken where its branches may not, and branches where it was said', () => {
    const list = [
      profiled('prunus', { cautions: [caution('regulated pest host', 'cut branches and firewood')] }),
    ];
    expect(
      only({ list, needs: [{ id: 'n', taxonId: 'prunus', kind: 'fruit', serves: '' }], day: '2026-09-20' })
        .source,
    ).toBeDefined();
    expect(only({ list, pestHosts: true }).source).toBeDefined();
  });

  test('a need that nobody knows is refused', () => {
    expect(() => only({ needs: [{ id: 'n', taxonId: 'nothing', kind: 'cutting', serves: '' }] })).toThrow(
      RangeError,
    );
  });
});

test('whatever is offered carries it by calendar or sight, may be cut, and is in reach; whatever is not has why and an alternative', () => {
  const anyTree = fc.record({
    cutting: fc.constantFrom(...CUTTINGS),
    until: fc.constantFrom(null, '2026-05-01', '2026-12-31'),
    stage: fc.constantFrom('seedling' as const, 'mature' as const),
    reach: fc.record({
      leaf: fc.constantFrom(...REACHES),
      twig: fc.constantFrom(...REACHES),
      fruit: fc.constantFrom(...REACHES),
    }),
    height: fc.constantFrom(null, 0.8, 12),
  });
  const anyCaution = fc.constantFrom<Caution[]>(
    [],
    [caution('protected')],
    [caution('regulated pest host', 'cut branches')],
  );
  const day = fc.integer({ min: 0, max: 364 }).map((n) => dayAfter('2026-01-01', n));
  const kinds = STATION_KINDS.filter(({ cut }) => cut).map(({ id }) => id);
  fc.assert(
    fc.property(
      fc.array(anyTree, { maxLength: 4 }),
      anyCaution,
      day,
      fc.constantFrom(...kinds),
      fc.boolean(),
      (given, cautions, when, kind, missing) => {
        const trees = given.map((facts, i) => tree(`t${i}`, 'prunus', facts));
        const observations = missing
          ? trees.flatMap(({ id }) => [
              seen(when, 'leaves', false, id),
              seen(when, 'fallenLeaves', false, id),
              seen(when, 'fruit', false, id),
              seen(when, 'fallen', false, id),
            ])
          : [];
        const needs = [{ id: 'n', taxonId: 'prunus', kind, serves: '' }];
        const line = only({
          trees,
          list: [profiled('prunus', { cautions })],
          needs,
          day: when,
          observations,
        });
        const station = kindOf(kind)!;
        for (const source of [line.source, ...line.others].filter((each) => each !== undefined)) {
          const from = trees.find(({ id }) => id === source.treeId)!;
          expect(from.cutting).toBe('yes');
          expect(from.until === null || from.until >= when).toBe(true);
          expect(cautions.some((each) => each.kind === 'protected')).toBe(false);
          expect(source.reach).not.toBe('glass');
          if (missing) expect(station.leaves === 'on' || station.organs.includes('fruit')).toBe(false);
          // On the tree in its season, under it from the fall on.
          const [first, last] =
            source.reach === 'fallen' ? ['2026-09-20', '2026-11-25'] : ['2026-04-20', '2026-10-25'];
          if (station.leaves === 'on' && !station.organs.includes('fruit'))
            expect(when >= first && when <= last).toBe(true);
          if (station.leaves === 'on' && station.organs.includes('fruit'))
            expect(when >= '2026-04-20' && when <= '2026-11-25').toBe(true);
        }
        if (line.source) return;
        expect(line.why).toBeDefined();
        expect(line.instead.length).toBeGreaterThan(0);
        if (cautions.some((each) => each.kind === 'protected'))
          expect(
            line.instead.map((each) => each.kind).filter((each) => each === 'fallen' || each === 'otherPart'),
          ).toEqual([]);
      },
    ),
    { numRuns: 300 },
  );
});

test('hemlock and spruce are shown within days, with more spares; thorns go into a box', () => {
  const cutting = kindOf('cutting')!;
  const taxon = (genus: string, family = 'Pinaceae', cautions: Caution[] = []) => ({
    genus,
    family,
    cautions,
  });
  expect(keepingOf(taxon('Tsuga'), cutting)).toMatchObject({ days: 2, spares: 2 });
  expect(keepingOf(taxon('Pinus'), cutting)).toMatchObject({ days: 10, spares: 1 });
  expect(keepingOf(taxon('Abies'), kindOf('fruit')!).days).toBe(3);
  expect(keepingOf(taxon('Pinus'), kindOf('fruit')!)).toMatchObject({
    days: 30,
    keep: expect.stringMatching(/cones open/) as string,
  });
  expect(keepingOf(taxon('Acer', 'Sapindaceae'), kindOf('fruit')!).keep).toBe('Dry and airy.');
  expect(keepingOf(taxon('Crataegus', 'Rosaceae', [caution('thorns', 'twigs')]), cutting).bag).toMatch(/box/);
  expect(only().goodUntil).toBe('2026-09-04');
});

describe('a walk', () => {
  const place = (metresEast: number) => ({ latitude: 47.6, longitude: -116.4 + metresEast / 75_130 });
  const features: GroundFeatures = {
    type: 'FeatureCollection',
    features: [
      {
        type: 'Feature',
        properties: { kind: 'path', name: 'Loop' },
        geometry: {
          type: 'LineString',
          coordinates: [
            [place(0).longitude, 47.6],
            [place(600).longitude, 47.6],
          ],
        },
      },
      {
        type: 'Feature',
        properties: { kind: 'water', name: 'Brook' },
        geometry: {
          type: 'LineString',
          coordinates: [
            [place(150).longitude, 47.599],
            [place(150).longitude, 47.601],
          ],
        },
      },
    ],
  };
  const trees = [
    { ...tree('a', 'acer'), ...place(100), stepFree: true },
    { ...tree('b', 'acer'), ...place(300), stepFree: true },
    { ...tree('c', 'betula'), ...place(200), hazards: ['ticks' as const] },
  ];
  const taxa = ['acer', 'betula'].map((id) => profiled(id).taxon);
  const wishes = {
    treeIds: ['b', 'c', 'a', 'gone'],
    minutes: 4,
    start: place(0),
    end: place(600),
    stepFree: false,
    unlike: false,
    asGiven: false,
    startsAt: new Date('2026-10-15T16:00:00Z'),
  };

  test('visits its trees in the shortest order, with times, and minds what is crossed', () => {
    const walk = planWalk(trees, features, taxa, wishes);
    expect(walk.stops.map(({ treeId }) => treeId)).toEqual(['a', 'c', 'b']);
    expect(walk).toMatchObject({ proved: true });
    expect(walk.metres).toBeCloseTo(600, -1);
    expect(walk.minutes).toBeCloseTo(12 + 12, 0);
    expect(walk.stops.map(({ hazards }) => hazards)).toEqual([[], ['water', 'ticks'], []]);
    expect(careOnTheWay(walk.stops).map(({ hazard, stops }) => [hazard, stops])).toEqual([
      ['water', [2]],
      ['ticks', [2]],
    ]);
    expect(walk.sunset!.getTime()).toBeGreaterThan(walk.sunrise!.getTime());
  });

  test('in a quiz like trees do not follow each other; by hand the order stays', () => {
    const near = trees.map((each) => (each.id === 'c' ? { ...each, ...place(310) } : each));
    const orderOf = (more: object) =>
      planWalk(near, features, taxa, { ...wishes, ...more }).stops.map(({ treeId }) => treeId);
    expect(orderOf({})).toEqual(['a', 'b', 'c']);
    expect(orderOf({ unlike: true })).toEqual(['a', 'c', 'b']);
    expect(orderOf({ asGiven: true })).toEqual(['b', 'c', 'a']);
  });

  test('times of stops, also beyond midnight', () => {
    expect(clockAfter('14:50', 25)).toBe('15:15');
    expect(clockAfter('23:50', 20.4)).toBe('00:10');
  });

  test('what a planner should know is said', () => {
    const late = planWalk(trees, features, taxa, { ...wishes, startsAt: new Date('2026-10-16T00:50:00Z') });
    expect(late.remarks.map((each) => inFull(each)).join(' ')).toMatch(/after sunset, \d+ minutes/);
    const seated = planWalk(trees, features, taxa, { ...wishes, stepFree: true });
    expect(seated.stops.map(({ treeId }) => treeId)).toEqual(['a', 'b']);
    expect(seated.remarks.map((each) => inFull(each)).join(' ')).toMatch(
      /1 of the trees cannot be reached without steps/,
    );
    expect(planWalk([], features, taxa, wishes)).toMatchObject({ stops: [] });
  });
});
