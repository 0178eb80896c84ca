import type { ShownOrgan } from '../vocabulary/index.ts';
import { scaleSpray } from './scaleSpray.ts';
import { needleShoot } from './shoot.ts';
import { broadTwig, singleLeaf } from './leafyTwig.ts';
import type { Scene } from './scene.ts';
import { TraitReader, type Traits } from './traits.ts';

/**
 * The drawing of one individual: a scene of outlines in millimetres. A broad-leaved twig with leaves (or buds and scars when
 * bare), a single leaf, a shoot of needles, or a spray of scales, as its traits and the organs of the view say.
 * @returns undefined where nothing of the twig is shown or nothing is known of the foliage.
 */
export function drawSpecimen(traits: Traits, organs: readonly ShownOrgan[]): Scene | undefined {
  const twig = organs.includes('twig') || organs.includes('bud');
  if (!twig && !organs.includes('leaf')) return undefined;
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
