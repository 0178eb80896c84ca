import { boundsOf } from '../geometry.ts';
import type { Role, Scene } from '../scene.ts';
import { anIndividual } from '../testing/anIndividual.ts';
import type { Trait, Traits } from '../traits.ts';
import { BUILT_IN } from '../../vocabulary/index.ts';
import { crownOf } from './crown.ts';

const tree = (values: Record<string, Trait>, more: Partial<Traits> = {}): Traits =>
  anIndividual(values, { seed: 11, flowers: false, fruit: false, ...more });
const drawn = (values: Record<string, Trait>, more: Partial<Traits> = {}): Scene =>
  crownOf(tree(values, more))!;
const of = (scene: Scene, ...roles: Role[]) => scene.shapes.filter(({ role }) => roles.includes(role));
/** Height and width of the tree itself, without the person beside it. */
function size(scene: Scene) {
  const { left, right, top } = boundsOf(of(scene, 'crown', 'trunk', 'limb').map(({ points }) => points));
  return { height: -top, width: right - left };
}
const FORMS = BUILT_IN.get('habit.crownForm')!.states.map(({ id }) => id);

test('of a tree whose height, form and stature nobody scored, nothing is drawn', () =>
  expect(crownOf(tree({ 'leaf.shape': 'ovate' }))).toBeUndefined());

test.each(FORMS)('a %s crown is as high and wide as scored, beside a grown person', (form) => {
  const scene = drawn({ 'habit.crownForm': form, 'habit.height': 20, 'habit.crownSpread': 8 });
  const { height, width } = size(scene);
  expect(height / 20_000).toBeGreaterThan(0.9);
  expect(height / 20_000).toBeLessThan(1.1);
  expect(width / 8000).toBeGreaterThan(0.75);
  expect(width / 8000).toBeLessThan(1.3);
  const person = boundsOf(of(scene, 'person').map(({ points }) => points));
  expect(person.bottom - person.top).toBeGreaterThan(1500);
  expect(person.bottom - person.top).toBeLessThan(1900);
  expect(person.left).toBeGreaterThan(4000);
});

test('a tree of which only the stature is known is drawn as tall as such trees are', () => {
  const high = (stature: string) => size(drawn({ 'habit.stature': stature })).height;
  const heights = ['shrub', 'small', 'medium', 'large', 'veryLarge'].map(high);
  expect([...heights].sort((a, b) => a - b)).toEqual(heights);
  expect(heights[0]).toBeLessThan(5000);
  expect(heights[4]).toBeGreaterThan(40_000);
});

test('a spire is narrower than a spreading crown of the same height', () => {
  const width = (form: string) => size(drawn({ 'habit.crownForm': form, 'habit.height': 20 })).width;
  expect(width('spire')).toBeLessThan(width('excurrent'));
  expect(width('excurrent')).toBeLessThan(width('decurrent'));
  expect(width('columnar')).toBeLessThan(width('flatTopped'));
});

test('in autumn the crown takes the color of the season; bare it is only branches', () => {
  const values = { 'habit.crownForm': 'decurrent', 'habit.height': 15, 'leaf.autumnColor': ['red'] };
  const fills = (more: Partial<Traits>) => of(drawn(values, more), 'crown').map(({ fill }) => fill);
  expect(fills({ autumn: true })[0]).not.toBe(fills({})[0]);
  expect(fills({ leafy: false }).length).toBeLessThan(fills({}).length);
  expect(of(drawn(values, { leafy: false }), 'limb', 'trunk').length).toBeGreaterThan(2);
});

test('a leader that nods is drawn besides the tree', () => {
  const shapes = (leader: string) =>
    drawn({ 'habit.crownForm': 'excurrent', 'habit.height': 20, 'habit.leader': leader }).shapes.length;
  expect(shapes('nodding')).toBeGreaterThan(shapes('erect'));
});

test('several stems are several trunks', () => {
  const trunks = (stems: string) =>
    of(drawn({ 'habit.crownForm': 'decurrent', 'habit.height': 6, 'habit.stems': stems }), 'trunk', 'limb')
      .length;
  const states = BUILT_IN.get('habit.stems')!.states.map(({ id }) => id);
  expect(new Set(states.map(trunks)).size).toBeGreaterThan(1);
});

test('the same seed gives the same tree, another one another', () => {
  const values = { 'habit.crownForm': 'decurrent', 'habit.height': 15 };
  expect(drawn(values)).toEqual(drawn(values));
  expect(drawn(values, { seed: 12 })).not.toEqual(drawn(values));
});
