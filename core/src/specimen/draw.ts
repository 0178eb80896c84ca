import type { ShownOrgan } from '../vocabulary/index.ts';
import { barkField } from './bark/bark.ts';
import { flowersOf } from './flower/flower.ts';
import { fruitOf } from './fruit/fruit.ts';
import { crownOf } from './habit/crown.ts';
import { singleLeaf } from './leaf/leaf.ts';
import { scaleSpray } from './needle/scaleSpray.ts';
import { needleShoot } from './needle/shoot.ts';
import type { Scene } from './scene.ts';
import { TraitReader, type Traits } from './traits.ts';
import { broadTwig } from './twig/leafyTwig.ts';
import { endGrain } from './wood/endGrain.ts';

/** What is drawn as a scene of its own: twig, buds and leaves hang together. */
export type DrawnPart = 'shoot' | 'fruit' | 'flower' | 'bark' | 'habit' | 'wood';

/** In the order of importance on a plate. */
export const DRAWN_PARTS: readonly DrawnPart[] = ['shoot', 'fruit', 'flower', 'bark', 'habit', 'wood'];

const SHOWN: Record<DrawnPart, readonly ShownOrgan[]> = {
  shoot: ['twig', 'bud', 'leaf'],
  fruit: ['fruit'],
  flower: ['flower'],
  bark: ['bark'],
  habit: ['habit'],
  wood: ['wood'],
};

/** The scenes of one individual, millimetres each, for the organs of a view; parts that are absent or unknown are left out. */
export function drawParts(
  traits: Traits,
  organs: readonly ShownOrgan[],
): { part: DrawnPart; scene: Scene }[] {
  return DRAWN_PARTS.flatMap((part) => {
    if (!SHOWN[part].some((organ) => organs.includes(organ))) return [];
    const scene = drawPart(part, traits, organs);
    return scene && scene.shapes.length > 0 ? [{ part, scene }] : [];
  });
}

function drawPart(part: DrawnPart, traits: Traits, organs: readonly ShownOrgan[]): Scene | undefined {
  switch (part) {
    case 'shoot':
      return drawShoot(traits, organs);
    case 'fruit':
      return traits.fruit ? fruitOf(traits) : undefined;
    case 'flower':
      return traits.flowers ? flowersOf(traits) : undefined;
    case 'bark':
      return barkField(traits);
    case 'habit':
      return crownOf(traits);
    case 'wood':
      return endGrain(traits);
  }
}

/** The first part of an individual that the view shows: what a station of one organ is drawn from. */
export function drawSpecimen(traits: Traits, organs: readonly ShownOrgan[]): Scene | undefined {
  return drawParts(traits, organs)[0]?.scene;
}

/**
 * A broad-leaved twig with leaves (or buds and scars when bare), a single leaf, a shoot of needles, or a spray of scales, as the
 * traits and the organs of the view say.
 */
function drawShoot(traits: Traits, organs: readonly ShownOrgan[]): Scene | undefined {
  const twig = organs.includes('twig') || organs.includes('bud');
  const reader = new TraitReader(traits);
  const kind = reader.state('foliage.kind', guessKind(reader));
  if (kind === 'broad') {
    if (twig) return broadTwig(traits);
    return traits.leafy ? singleLeaf(traits) : undefined;
  }
  if (kind === 'none') return undefined;
  if (!traits.leafy && kind !== 'tufts') return twig ? broadTwig(traits) : undefined;
  return kind === 'scales' ? scaleSpray(traits) : needleShoot(traits, kind);
}

/** A bare twig has no foliage to read: spurs with a conifer's buds are a larch's, anything else a broadleaf's. */
function guessKind(reader: TraitReader): string {
  if (Object.keys(reader.traits.values).some((id) => id.startsWith('leaf.'))) return 'broad';
  if (Object.keys(reader.traits.values).some((id) => id.startsWith('needle.'))) return 'single';
  if (!reader.traits.leafy && reader.flag('twig.spurs') && !reader.known('twig.bundleScars')) return 'tufts';
  return Object.keys(reader.traits.values).some((id) => id.startsWith('twig.') || id.startsWith('bud.'))
    ? 'broad'
    : 'none';
}
