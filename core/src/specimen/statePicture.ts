import { BUILT_IN, type CharacterId, type ShownOrgan } from '../vocabulary/index.ts';
import { drawSpecimen } from './draw.ts';
import { upperFace } from './leaf/leaf.ts';
import { layOut } from './layout.ts';
import type { DrawnPath } from './pen.ts';
import { pathsToSvg } from './svg.ts';
import type { Traits } from './traits.ts';

/** A plain leaf and a plain shoot on which one state is shown at a time. */
const LEAF: Traits['values'] = {
  'foliage.kind': 'broad',
  'leaf.composition': 'simple',
  'leaf.shape': 'ovate',
  'leaf.length': 0.06,
  'leaf.width': 0.038,
  'leaf.lobing': 'none',
  'leaf.teeth': 'none',
  'leaf.apex': 'acute',
  'leaf.base': 'rounded',
  'leaf.veins': 'looping',
  'leaf.veinPairs': 5,
  'leaf.petioleLength': 0.015,
};
const SHOOT: Traits['values'] = {
  'foliage.kind': 'single',
  'needle.length': 0.018,
  'needle.width': 0.0016,
  'needle.section': 'flat',
};
const LOBES: Traits['values'] = { 'leaf.lobes': 5, 'leaf.sinusDepth': 'middle', 'leaf.veins': 'palmate' };
const TEETH: Traits['values'] = { 'leaf.teethPerCm': 2.2, 'leaf.toothTip': 'forward' };

const NARROW: Traits['values'] = { 'leaf.width': 0.014 };
const ROUND: Traits['values'] = { 'leaf.width': 0.058 };
const SHAPES: Record<string, Traits['values']> = {
  linear: { 'leaf.width': 0.006 },
  lanceolate: NARROW,
  oblanceolate: NARROW,
  orbicular: ROUND,
};
const LEAFLETS: Record<string, number> = { trifoliate: 3, even: 6, palmate: 5, odd: 7, twicePinnate: 7 };
const PALMATE: Traits['values'] = { ...LOBES, ...ROUND, 'leaf.lobing': 'palmate' };
const TOOTHED: Traits['values'] = { ...TEETH, 'leaf.teeth': 'single' };
const NOTHING: Traits['values'] = {};

/** A bare twig with its buds, a piece of bark and a crown, for the states of theirs. */
const TWIG: Traits['values'] = {
  'foliage.kind': 'broad',
  'twig.arrangement': 'alternate',
  'twig.thickness': 0.004,
  'bud.shape': 'ovoidPointed',
  'bud.length': 0.009,
  'bud.scales': 'several',
  'bud.terminal': 'single',
};
const BARK: Traits['values'] = { 'bark.surface': ['smooth'], 'bark.color': ['grey'] };
const FURROWED: Traits['values'] = { 'bark.surface': ['deepFurrows'], 'bark.furrowDepth': 'to3' };
const CROWN: Traits['values'] = { 'habit.height': 22 };
const KINDS: Record<string, Traits['values']> = {
  broad: LEAF,
  bundled: { ...SHOOT, 'needle.perBundle': 3, 'needle.length': 0.06 },
  tufts: { ...SHOOT, 'needle.perSpur': 20, 'needle.length': 0.03 },
  single: SHOOT,
  scales: { 'foliage.kind': 'scales', 'needle.scaleSpray': 'flatDrooping' },
  awls: { ...SHOOT, 'needle.length': 0.009, 'needle.lie': 'threes' },
};

type Frame = readonly [x: number, y: number, width: number, height: number];
/** The tip of a twig. */
const TIP: Frame = [76, 32, 40, 30];

interface Model {
  /** What is drawn: a leaf, or the parts that show these organs. */
  organs: 'leaf' | readonly ShownOrgan[];
  values: Traits['values'];
  /** The part of the drawing that is shown, as STATE_FRAME is; all of it unless told otherwise. */
  frame?: Frame;
  /** What else must hold for a state to be seen. */
  with?: (state: string) => Traits['values'];
}
const leaf = (more: (state: string) => Traits['values'] = () => NOTHING): Model => ({
  organs: 'leaf',
  values: LEAF,
  with: more,
});
const twig: Model = { organs: ['twig', 'bud'], values: TWIG };
const bark: Model = { organs: ['bark'], values: BARK };

/** On what the states of a character are drawn. */
const MODELS: Readonly<Partial<Record<CharacterId, Model>>> = {
  'leaf.shape': leaf((state) => SHAPES[state] ?? NOTHING),
  'leaf.lobing': leaf((state) =>
    state === 'none' ? NOTHING : state === 'pinnate' ? { ...LOBES, 'leaf.veins': 'looping' } : PALMATE,
  ),
  'leaf.sinusDepth': leaf(() => PALMATE),
  'leaf.lobeTips': leaf(() => PALMATE),
  'leaf.teeth': leaf((state) => (state === 'none' ? NOTHING : TEETH)),
  'leaf.toothTip': leaf(() => TOOTHED),
  'leaf.teethReach': leaf(() => TOOTHED),
  'leaf.apex': leaf(),
  'leaf.base': leaf(),
  'leaf.veins': leaf(),
  'leaf.composition': leaf((state) =>
    state === 'simple' ? NOTHING : { 'leaf.leaflets': LEAFLETS[state]!, 'leaf.width': 0.045 },
  ),
  'foliage.kind': { organs: ['twig', 'leaf'], values: {}, with: (state) => KINDS[state] ?? NOTHING },
  'needle.lie': { organs: ['twig', 'leaf'], values: SHOOT },
  'twig.arrangement': twig,
  'twig.winterCatkins': twig,
  'twig.catkinLie': { ...twig, with: () => ({ 'twig.winterCatkins': 'pollen' }) },
  'twig.armature': { ...twig, with: (state) => (state === 'none' ? NOTHING : { 'twig.thornLength': 0.02 }) },
  'bud.terminal': { ...twig, frame: TIP },
  'bud.shape': { ...twig, frame: TIP },
  'bud.scales': { ...twig, frame: TIP },
  'bud.lie': { ...twig, frame: TIP },
  'bark.surface': bark,
  'bark.ridges': { ...bark, with: (state) => (state === 'none' ? NOTHING : FURROWED) },
  'bark.color': bark,
  'habit.crownForm': { organs: ['habit'], values: CROWN },
};

/** The part of the frame that a picture of a state fills: x, y, width and height in pixels. */
export const STATE_FRAME: Frame = [8, 6, 108, 80];

export interface StatePicture {
  paths: DrawnPath[];
  /** What is shown of them. */
  frame: Frame;
}

/**
 * A small drawing of one state of a character, for the pickers of an editor and a notebook, with the part of it that is shown.
 * @returns undefined for characters whose states are not told by an outline.
 */
export function statePicture(characterId: string, state: string): StatePicture | undefined {
  const model = (MODELS as Readonly<Record<string, Model>>)[characterId];
  if (!model) return undefined;
  const isAnyOf = BUILT_IN.get(characterId)!.anyOf;
  const bare = model.organs.includes('bud');
  const traits: Traits = {
    seed: 3,
    values: { ...model.values, ...model.with?.(state), [characterId]: isAnyOf ? [state] : state },
    leafy: !bare,
    buds: bare,
    autumn: false,
    flowers: false,
    fruit: false,
  };
  const isBlade = model.organs === 'leaf' || (characterId === 'foliage.kind' && state === 'broad');
  const scene = isBlade ? upperFace(traits) : drawSpecimen(traits, model.organs as readonly ShownOrgan[]);
  if (!scene) return undefined;
  const { paths } = layOut(scene, { width: 124, height: 116, insets: false });
  return { paths, frame: model.frame ?? STATE_FRAME };
}

/** The same as SVG markup, its strokes as fine as those of the others. */
export const statePictureSvg = ({ paths, frame }: StatePicture): string =>
  pathsToSvg(
    paths.map((path) => ({ ...path, strokeWidth: (path.strokeWidth * frame[2]) / STATE_FRAME[2] })),
    frame,
  );
