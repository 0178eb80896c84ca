import { randomFrom, seedOf } from '../../random/index.ts';
import { along } from '../geometry.ts';
import { bladeSize } from '../leaf/blade.ts';
import { compoundSize, leafAnchors, leafAt, type PlacedLeaf } from '../leaf/leaf.ts';
import { anchor, emptyScene, type Scene } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';
import { budInset, twigBuds } from './buds.ts';
import { leafScars, pithInset, scarInset } from './scars.ts';
import { twigOf } from './twig.ts';
import { winterCatkins } from './winterCatkins.ts';

/** A twig with its leaves at the nodes, or bare with buds and leaf scars, as the day has it. A leaf is turned over. */
export function broadTwig(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const scene = emptyScene();
  const simple = reader.state('leaf.composition', 'simple') === 'simple';
  const { width } = simple ? bladeSize(traits) : compoundSize(reader);
  const arrangement = reader.state('twig.arrangement', 'alternate');
  const paired = arrangement !== 'alternate';
  const leafy = traits.leafy;
  const budLength = reader.mm('bud.length', 5);
  const internode = leafy
    ? Math.max(14, width * (paired ? 0.95 : simple ? 0.52 : 0.6))
    : Math.max(9, budLength * 1.7, reader.mm('twig.thickness', 3) * 4);
  const nodes = leafy ? (simple ? (paired ? 2 : 5) : paired ? 1 : 2) : 6;
  const twig = twigOf(traits, nodes, internode);
  const random = randomFrom(seedOf(traits.seed, 'leaves'));
  const leaves: PlacedLeaf[] = [];
  if (leafy)
    twig.nodes.forEach((node, i) =>
      node.stands.forEach(({ side, at }, k) => {
        const last = i === twig.nodes.length - 1;
        const grow = (last && nodes > 1 ? 0.84 : 1) * random.between(0.92, 1.05) * (side === 0 ? 0.8 : 1);
        const angle =
          node.angle + (side === 0 ? random.between(-0.25, 0.25) : side * random.between(0.72, 1.0));
        leaves.push(leafAt(traits, at, angle, grow, i * 2 + k + 1, i === 0 && k === 0));
      }),
    );
  for (const leaf of leaves) scene.shapes.push(...leaf.shapes);
  scene.shapes.push(...twig.shapes);
  // Buds that nothing is known of are not invented.
  if (traits.buds && Object.keys(traits.values).some((id) => id.startsWith('bud.'))) {
    const buds = twigBuds(traits, twig);
    scene.shapes.push(...buds.shapes);
    anchor(
      scene,
      buds.anchor,
      'bud.scales',
      'bud.scaleTips',
      'bud.shape',
      'bud.length',
      'bud.resin',
      'bud.stalked',
      'bud.terminal',
      'bud.color',
      'bud.hair',
      'bud.lie',
      'bud.place',
    );
    scene.insets.push(budInset(traits));
  }
  if (!leafy) {
    scene.shapes.push(...winterCatkins(reader, twig));
    anchor(scene, twig.tip.at, 'twig.winterCatkins', 'twig.catkinLie');
    scene.shapes.push(...leafScars(traits, twig));
    if (reader.known('twig.leafScar') || reader.known('twig.bundleScars'))
      scene.insets.push(scarInset(traits));
  }
  const pith = reader.state('twig.pith', 'continuous');
  if (
    pith !== 'continuous' ||
    reader.state('twig.pithSection', 'round') !== 'round' ||
    reader.state('twig.pithSize', 'middle') !== 'middle'
  )
    scene.insets.push(pithInset(reader));
  const node = twig.nodes[Math.min(1, twig.nodes.length - 1)];
  if (node)
    anchor(
      scene,
      node.at,
      'twig.arrangement',
      'twig.ranks',
      'twig.zigzag',
      'twig.leafScar',
      'twig.scarNotched',
      'twig.bundleScars',
      'twig.stipuleScars',
      'twig.armature',
      'twig.thornLength',
      'twig.spurs',
    );
  anchor(
    scene,
    along(twig.axis, 0.12).point,
    'twig.color',
    'twig.hair',
    'twig.lenticels',
    'twig.thickness',
    'twig.coating',
    'twig.wings',
    'twig.pith',
    'twig.pithSize',
    'twig.pithSection',
    'twig.odor',
  );
  const shown = leaves[1] ?? leaves[0];
  if (shown) leafAnchors(scene, shown);
  if (leaves[0]) anchor(scene, leaves[0].middle, 'leaf.lowerColor', 'leaf.lowerHair', 'leaf.hairPlace');
  return scene;
}
