import { bundleShoot } from './bundleShoot.ts';
import type { Scene } from '../scene.ts';
import { singleShoot } from './singleShoot.ts';
import { spurShoot } from './spurShoot.ts';
import { TraitReader, type Traits } from '../traits.ts';

/** A shoot of a conifer whose leaves are needles: single, in bundles, or in tufts on spurs. */
export function needleShoot(traits: Traits, kind: string): Scene {
  const reader = new TraitReader(traits);
  if (kind === 'bundled') return bundleShoot(reader);
  if (kind === 'tufts') return spurShoot(reader);
  return singleShoot(reader, kind);
}
