import { randomFrom, seedOf } from '../../random/index.ts';
import { add, direction, scaleBy } from '../geometry.ts';
import { filled, type Shape } from '../scene.ts';
import type { TraitReader } from '../traits.ts';
import type { TwigNode } from './node.ts';
import { taper } from './taper.ts';

/** Thorns, spines and prickles at a node, each as long as the trait says. */
export function armatureAt(reader: TraitReader, node: TwigNode, thickness: number): Shape[] {
  const kind = reader.state('twig.armature', 'none');
  if (kind === 'none' || kind === 'spineTipped') return [];
  const length = reader.mm('twig.thornLength', 15);
  const half = Math.min(thickness * 0.34, Math.max(length * 0.06, 0.35));
  const random = randomFrom(seedOf(reader.traits.seed, 'thorn', Math.round(node.at[0] * 10)));
  const side = node.stands[0]!.side === 1 ? 1 : -1;
  const on = (way: number) =>
    add(node.at, scaleBy(direction(node.angle + (way * Math.PI) / 2), thickness * 0.35));
  const thorn = (way: number, lean: number, size = 1): Shape =>
    filled('thorn', taper(on(way), node.angle + way * lean, length * size, half));
  switch (kind) {
    case 'pairedSpines':
      return [thorn(-1, 1.1), thorn(1, 1.1)];
    case 'prickles':
      // Outgrowths of the skin: they stand anywhere between the nodes, on any side.
      return Array.from({ length: 3 }, () => {
        const way = random.uniform() < 0.5 ? -1 : 1;
        const lean = way * random.between(1.5, 1.95);
        const foot = add(on(way), scaleBy(direction(node.angle), random.between(-0.6, 0.6) * length));
        return filled('thorn', taper(foot, node.angle + lean, length * random.between(0.55, 0.9), half));
      });
    case 'branchedThorns': {
      const main = thorn(-side, 1.2);
      const fork = add(on(-side), scaleBy(direction(node.angle - side * 1.2), length * 0.45));
      return [
        filled('thorn', taper(fork, node.angle - side * 0.55, length * 0.45, half * 0.7)),
        filled('thorn', taper(fork, node.angle - side * 1.8, length * 0.4, half * 0.7)),
        main,
      ];
    }
    default:
      return [thorn(-side, random.between(1.1, 1.35))];
  }
}
