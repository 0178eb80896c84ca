import { boundsOf, lengthOf, type Point } from '../geometry.ts';
import { NATURAL } from '../palette.ts';
import type { Role, Scene } from '../scene.ts';
import { anIndividual } from '../testing/anIndividual.ts';
import type { Trait, Traits } from '../traits.ts';
import { BUILT_IN } from '../../vocabulary/index.ts';
import { clusterOf } from './fleshy.ts';
import { fruitOf } from './fruit.ts';
import { randomFrom } from '../../random/index.ts';

const fruit = (type: string, values: Record<string, Trait> = {}, more: Partial<Traits> = {}): Scene =>
  fruitOf(anIndividual({ 'fruit.type': type, ...values }, more))!;
const of = (scene: Scene, role: Role) => scene.shapes.filter((shape) => shape.role === role);
const span = (points: readonly Point[]) => {
  const { left, right, top, bottom } = boundsOf([points]);
  return Math.hypot(right - left, bottom - top);
};
const TYPES = BUILT_IN.get('fruit.type')!.states.map(({ id }) => id);

test.each(TYPES)('of a %s something is drawn that can be pointed at, and is the same each time', (type) => {
  const scene = fruit(type);
  expect(scene.shapes.length).toBeGreaterThan(3);
  expect(scene.anchors['fruit.type']).toBeDefined();
  expect(fruit(type)).toEqual(scene);
  const { left, right, top, bottom } = boundsOf(scene.shapes.map(({ points }) => points));
  for (const [x, y] of Object.values(scene.anchors)) {
    expect(x).toBeGreaterThanOrEqual(left - 1);
    expect(x).toBeLessThanOrEqual(right + 1);
    expect(y).toBeGreaterThanOrEqual(top - 1);
    expect(y).toBeLessThanOrEqual(bottom + 1);
  }
});
test('no two types look alike', () => {
  const drawn = TYPES.map((type) => JSON.stringify(fruit(type).shapes));
  expect(new Set(drawn).size).toBeGreaterThanOrEqual(TYPES.length - 2);
});
test('of a fruit nobody scored, nothing is drawn', () => expect(fruitOf(anIndividual({}))).toBeUndefined());

test('paired samaras come in twos with a nut each, single ones with a wing each', () => {
  const paired = fruit('pairedSamara');
  expect(of(paired, 'wing')).toHaveLength(6);
  expect(of(paired, 'nut')).toHaveLength(6);
  expect(of(paired, 'stalk')).toHaveLength(3);
  const single = fruit('singleSamara');
  expect(of(single, 'wing')).toHaveLength(5);
});
test.each([60, 110, 170])('paired samaras at %i degrees spread so far', (angle) => {
  const [one, other] = of(
    fruit('pairedSamara', { 'fruit.samaraAngle': angle, 'fruit.length': 0.03 }),
    'wing',
  ).slice(-2);
  /** Heading of a wing: from its thick end at the joint to its tip. */
  const heading = ({ points }: { points: readonly Point[] }) => {
    const [x, y] = points[12]!;
    const [fromX, fromY] = points[0]!;
    return Math.atan2(y - fromY, x - fromX);
  };
  const between = Math.abs(heading(one!) - heading(other!)) * (180 / Math.PI);
  expect(Math.min(between, 360 - between)).toBeGreaterThan(angle - 15);
  expect(Math.min(between, 360 - between)).toBeLessThan(angle + 15);
});
test('a wing all round its seed is as wide on both sides, one at the end of the seed is not', () => {
  const outline = (wing: string) =>
    of(fruit('singleSamara', { 'fruit.samaraWing': wing }), 'wing')[0]!.points;
  expect(outline('around')).not.toEqual(outline('end'));
});
test('a larger fruit is drawn larger, in proportion', () => {
  for (const type of ['pairedSamara', 'acorn', 'pod', 'drupe']) {
    const size = (length: number) => {
      const { top, bottom } = boundsOf(
        fruit(type, { 'fruit.length': length }).shapes.map(({ points }) => points),
      );
      return bottom - top;
    };
    expect(size(0.04) / size(0.02)).toBeGreaterThan(1.7);
    expect(size(0.04) / size(0.02)).toBeLessThan(2.3);
  }
});

test('the cup of an acorn hides the share of the nut that is scored, with a fringe where it has one', () => {
  const shown = (cover: number) => {
    const scene = fruit('acorn', { 'acorn.cupCover': cover, 'fruit.length': 0.03 });
    const [nut, cup] = [of(scene, 'nut')[0]!, of(scene, 'cup')[0]!].map(({ points }) => boundsOf([points]));
    return cup!.bottom / nut!.bottom;
  };
  expect(shown(20)).toBeCloseTo(0.2, 1);
  expect(shown(60)).toBeCloseTo(0.6, 1);
  expect(of(fruit('acorn', { 'acorn.fringe': true }), 'hair').length).toBeGreaterThan(10);
  expect(of(fruit('acorn', { 'acorn.fringe': false }), 'hair')).toEqual([]);
});

test('ripe capsules split, and let cotton out where the seed is cottony', () => {
  const closed = fruit('capsule');
  const ripe = fruit('capsule', { 'fruit.seed': 'plain' });
  const cottony = fruit('capsule', { 'fruit.seed': 'cottony' });
  expect(of(ripe, 'fruit').length).toBeGreaterThan(of(closed, 'fruit').length);
  expect(of(ripe, 'cotton')).toEqual([]);
  expect(of(cottony, 'cotton').length).toBeGreaterThan(8);
});

test('fleshy fruits are in their color, and stand as the flowers stood', () => {
  const scene = fruit('drupe', { 'fruit.color': ['red'], 'fruit.length': 0.009 }, { cluster: 'raceme' });
  const balls = of(scene, 'fruit');
  expect(balls.length).toBeGreaterThan(10);
  expect(balls.some(({ fill }) => fill === NATURAL['red'])).toBe(true);
  const one = fruit('drupe', {}, { cluster: 'single' });
  expect(of(one, 'fruit').length).toBeLessThan(balls.length / 3);
});
test('a pome keeps the remains of its flower at the end, a drupe does not', () => {
  const roles = (type: string) => fruit(type, { 'fruit.length': 0.01 }).shapes.map(({ role }) => role);
  expect(roles('pome').length).toBeGreaterThan(roles('drupe').length);
});

test.each([
  ['raceme', 17],
  ['umbel', 6],
  ['tuft', 3],
  ['head', 12],
  ['flatTopped', 28],
  ['single', 1],
])('a %s has %i members', (type, n) => expect(clusterOf(type, 8, randomFrom(1)).ends).toHaveLength(n));
test('a raceme hangs, a panicle stands, the members of an umbel spring from one point', () => {
  const box = (type: string) => boundsOf(clusterOf(type, 8, randomFrom(1)).stalks);
  expect(box('raceme').bottom).toBeGreaterThan(60);
  expect(box('panicle').top).toBeLessThan(-90);
  const { stalks } = clusterOf('umbel', 8, randomFrom(1));
  expect(stalks.every(([from]) => from![0] === 0 && from![1] === 0)).toBe(true);
});
test('in a flat-topped cluster the lower stalks are longer, so that all end at nearly one height', () => {
  const { ends } = clusterOf('flatTopped', 8, randomFrom(3));
  const heights = ends.map(({ at }) => at[1]);
  expect(Math.max(...heights) - Math.min(...heights)).toBeLessThan(0.35 * Math.abs(Math.min(...heights)));
});

describe('cones', () => {
  const cone = (values: Record<string, Trait> = {}) => fruit('seedCone', { 'fruit.length': 0.08, ...values });
  test('a seed cone is as long as scored', () => {
    const scales = of(cone(), 'fruitScale');
    expect(scales.length).toBeGreaterThan(20);
    const { top, bottom, left, right } = boundsOf(scales.map(({ points }) => points));
    const long = Math.max(bottom - top, right - left);
    expect(long).toBeGreaterThan(70);
    expect(long).toBeLessThan(92);
  });
  test('standing and hanging cones are on the other side of their twig', () => {
    const middle = (attitude: string) => {
      const scene = cone({ 'cone.attitude': attitude });
      const scales = boundsOf(of(scene, 'fruitScale').map(({ points }) => points));
      const twig = boundsOf(of(scene, 'twig').map(({ points }) => points));
      return (scales.top + scales.bottom) / 2 - (twig.top + twig.bottom) / 2;
    };
    expect(middle('erect')).toBeLessThan(0);
    expect(middle('hanging')).toBeGreaterThan(0);
  });
  test('bracts that stick out are drawn, hidden ones are not', () => {
    const bracts = (state: string) => of(cone({ 'cone.bract': state }), 'bract').length;
    const states = BUILT_IN.get('cone.bract')!.states.map(({ id }) => id);
    const counts = states.map(bracts);
    expect(Math.max(...counts)).toBeGreaterThan(5);
    expect(Math.min(...counts)).toBe(0);
  });
  test('catkin-like cones are several together', () => {
    const scene = fruit('catkinCone', { 'fruit.length': 0.02 });
    expect(of(scene, 'stalk').length).toBeGreaterThan(1);
    expect(scene.shapes.length).toBeGreaterThan(40);
    expect(Math.max(...scene.shapes.map(({ points }) => lengthOf(points)))).toBeLessThan(400);
    expect(span(scene.shapes.flatMap(({ points }) => points))).toBeGreaterThan(20);
  });
});
