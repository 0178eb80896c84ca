import { drawSpecimen } from './draw.ts';
import { upperFace } from './leaf/leaf.ts';
import { layOut, type DrawnPath } from './layout.ts';
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

/** What else must hold for a state of a character to be seen. */
const WITH: Record<string, (state: string) => Traits['values']> = {
  'leaf.shape': (state) => SHAPES[state] ?? NOTHING,
  'leaf.lobing': (state) =>
    state === 'none' ? NOTHING : state === 'pinnate' ? { ...LOBES, 'leaf.veins': 'looping' } : PALMATE,
  'leaf.sinusDepth': () => PALMATE,
  'leaf.lobeTips': () => PALMATE,
  'leaf.teeth': (state) => (state === 'none' ? NOTHING : TEETH),
  'leaf.toothTip': () => TOOTHED,
  'leaf.teethReach': () => TOOTHED,
  'leaf.apex': () => NOTHING,
  'leaf.base': () => NOTHING,
  'leaf.veins': () => NOTHING,
  'leaf.composition': (state) =>
    state === 'simple' ? NOTHING : { 'leaf.leaflets': LEAFLETS[state]!, 'leaf.width': 0.045 },
  'needle.lie': () => NOTHING,
};

/** The part of the frame that a picture of a state fills: x, y, width and height in pixels. */
export const STATE_FRAME = [8, 6, 108, 80] as const;

/**
 * A small drawing of one state of a character, for the pickers of an editor, within `STATE_FRAME`.
 * @returns undefined for characters whose states are not told by an outline.
 */
export function statePicture(characterId: string, state: string): DrawnPath[] | undefined {
  const more = WITH[characterId];
  if (!more) return undefined;
  const needle = characterId.startsWith('needle.');
  const values = { ...(needle ? SHOOT : LEAF), ...more(state), [characterId]: state };
  const traits: Traits = {
    seed: 3,
    values,
    leafy: true,
    buds: false,
    autumn: false,
    flowers: false,
    fruit: false,
  };
  const scene = needle ? drawSpecimen(traits, ['twig', 'leaf']) : upperFace(traits);
  return scene && layOut(scene, { width: 124, height: 116, insets: false }).paths;
}
