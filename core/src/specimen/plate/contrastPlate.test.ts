import type { ProfiledTaxon } from '../../evidence/index.ts';
import type { AdoptedScore, ScoreValue } from '../../score/index.ts';
import type { View } from '../../view/index.ts';
import { BUILT_IN } from '../../vocabulary/index.ts';
import { notShown } from '../unshown.ts';
import { alikeBut, contrastPlate } from './contrastPlate.ts';

const view: View = {
  organs: ['twig', 'bud', 'leaf'],
  day: 200,
  nearness: 'hand',
  aids: ['eye'],
  qualifiers: { plantAge: 'mature' },
};
const states = (...listed: string[]): ScoreValue => ({
  kind: 'states',
  states: listed.map((state, i) => ({ state, frequency: i === 0 ? 'usually' : 'sometimes' })),
});
const taxon = (id: string, scores: Record<string, ScoreValue>): ProfiledTaxon => ({
  taxon: {
    id,
    rank: 'species',
    genus: 'Ficta',
    epithet: id,
    family: 'Fictaceae',
    commonNames: [id],
    synonyms: [],
    calendar: {},
    cautions: [],
  },
  scores: Object.entries(scores).map(([characterId, value]): AdoptedScore => ({
    characterId,
    qualifiers: {},
    value,
    from: ['s'],
    statements: [],
    disagree: false,
  })),
});
const shared = {
  'foliage.kind': states('broad'),
  'leaf.composition': states('simple'),
  'twig.arrangement': states('alternate'),
};
const round = taxon('round', {
  ...shared,
  'leaf.shape': states('orbicular', 'ovate'),
  'leaf.length': { kind: 'range', low: 0.04, high: 0.08 },
  'leaf.teeth': states('single'),
  'leaf.petioleSection': states('flattened'),
  'bud.resin': { kind: 'flag', frequency: 'sometimes' },
});
const long = taxon('long', {
  ...shared,
  'leaf.shape': states('ovate', 'lanceolate'),
  'leaf.length': { kind: 'range', low: 0.06, high: 0.14 },
  'leaf.teeth': states('none'),
  'leaf.petioleSection': states('round', 'flattened'),
  'bud.resin': { kind: 'flag', frequency: 'usually' },
});

test('two taxa are drawn alike wherever both can be, and differ where they must', () => {
  const [a, b] = alikeBut([round, long], BUILT_IN, view, []);
  expect(a!.values['leaf.shape']).toBe('ovate');
  expect(b!.values['leaf.shape']).toBe('ovate');
  expect(a!.values['leaf.length']).toBe(b!.values['leaf.length']);
  expect(a!.values['leaf.length']).toBeGreaterThanOrEqual(0.06);
  expect(a!.values['leaf.length']).toBeLessThanOrEqual(0.08);
  expect([a!.values['leaf.petioleSection'], b!.values['leaf.petioleSection']]).toEqual([
    'flattened',
    'flattened',
  ]);
  expect(a!.values['bud.resin']).toBe(b!.values['bud.resin']);
  expect([a!.values['leaf.teeth'], b!.values['leaf.teeth']]).toEqual(['single', 'none']);
});

test('in the deciding character each keeps its own typical state', () => {
  const [a, b] = alikeBut([round, long], BUILT_IN, view, ['leaf.petioleSection', 'leaf.shape']);
  expect([a!.values['leaf.petioleSection'], b!.values['leaf.petioleSection']]).toEqual([
    'flattened',
    'round',
  ]);
  expect([a!.values['leaf.shape'], b!.values['leaf.shape']]).toEqual(['orbicular', 'ovate']);
});

describe('a contrast plate', () => {
  const frame = { width: 900, height: 300, deciding: ['leaf.petioleSection'] };
  test('points at what decides, over the taxon it speaks of; hidden, it points at nothing', () => {
    const { drawing, drawn } = contrastPlate([round, long], BUILT_IN, view, {
      ...frame,
      label: (index, id) => `${id} of ${index}`,
    });
    expect(drawn).toEqual([true, true]);
    expect(drawing.labels.map(({ text }) => text)).toEqual([
      'leaf.petioleSection of 0',
      'leaf.petioleSection of 1',
    ]);
    expect(drawing.labels[0]!.to![0]).toBeLessThan(450);
    expect(drawing.labels[1]!.to![0]).toBeGreaterThan(450);
    expect(contrastPlate([round, long], BUILT_IN, view, frame).drawing.labels).toEqual([]);
  });
  test('on a phone, what is said over a drawing lies on no circle', () => {
    const deciding = ['leaf.petioleSection', 'leaf.teeth', 'bud.resin'];
    const { drawing } = contrastPlate([round, long], BUILT_IN, view, {
      ...{ width: 358, height: 240, deciding },
      label: (_, id) => `as it is with ${id}`,
    });
    expect(drawing.insets).not.toEqual([]);
    const lowest = Math.max(...drawing.labels.map(({ y }) => y));
    for (const { cy, r } of drawing.insets) expect(cy - r).toBeGreaterThan(lowest);
  });
  test('one scale for both, so that sizes can be compared', () => {
    const { drawing } = contrastPlate([round, long], BUILT_IN, view, frame);
    expect(drawing.scaleBars).toHaveLength(2);
    expect(drawing.scaleBars[0]!.length).toBeCloseTo(drawing.scaleBars[1]!.length, 6);
  });
  test('takes up to four taxa, each in its own part of the sheet', () => {
    const four = [round, long, { ...round }, { ...long }];
    const { drawing } = contrastPlate(four, BUILT_IN, view, { ...frame, height: 500 });
    expect(new Set(drawing.scaleBars.map(({ x, y }) => `${x} ${y}`)).size).toBe(4);
  });
  test('what is not on the tree on the day is said, not drawn', () => {
    const bare = { ...round, taxon: { ...round.taxon, calendar: { leaves: [{ from: 130, to: 280 }] } } };
    const { drawn } = contrastPlate([bare, long], BUILT_IN, { ...view, day: 20, organs: ['leaf'] }, frame);
    expect(drawn).toEqual([false, true]);
  });
});

test('what the scores cannot show: what applies and nobody scored, and nothing else', () => {
  const missing = notShown(round, ['leaf', 'twig', 'bud'], BUILT_IN);
  expect(missing).toContain('leaf.apex');
  expect(missing).toContain('leaf.teethPerCm');
  expect(missing).not.toContain('leaf.shape');
  // Not compound, not a conifer, and no fruit asked for.
  expect(missing.filter((id) => /leaflets|needle|fruit/.test(id))).toEqual([]);
  expect(notShown(long, ['leaf'], BUILT_IN)).not.toContain('leaf.teethPerCm');
});
