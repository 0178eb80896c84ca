import { randomFrom, seedOf } from '../random/index.ts';
import { bladeOf, bladeShapes, bladeSize } from './blade.ts';
import { add, along, band, boundsOf, curve, direction, place, scaleBy, type Point } from './geometry.ts';
import { LEAF_GREEN, LEAF_LOWER, NATURAL, paler } from './palette.ts';
import { emptyScene, type Scene, type Shape } from './scene.ts';
import { TraitReader, type Traits } from './traits.ts';
import { budInset, leafScars, twigBuds, twigOf } from './twig.ts';

const leafColor = (reader: TraitReader): string =>
  reader.traits.autumn
    ? (NATURAL[reader.states('leaf.autumnColor')[0] ?? 'yellow'] ?? LEAF_GREEN)
    : LEAF_GREEN;

/** The lower face: its own color, or in autumn a paler one of the leaf where it is not white. */
function lowerColor(reader: TraitReader): string {
  const state = reader.state('leaf.lowerColor', 'pale');
  if (reader.traits.autumn && (state === 'green' || state === 'pale')) return paler(leafColor(reader), 0.4);
  return LEAF_LOWER[state] ?? LEAF_LOWER['pale']!;
}

interface PlacedLeaf {
  shapes: Shape[];
  middle: Point;
  tip: Point;
  petiole: Point;
  edge: Point;
}

/** A leaf, simple or compound, whose petiole starts at `at` and leaves at `angle`; sizes times `grow`. */
function leafAt(
  traits: Traits,
  at: Point,
  angle: number,
  grow: number,
  stream: number,
  lower = false,
): PlacedLeaf {
  const reader = new TraitReader(traits);
  const { length, width } = bladeSize(traits);
  const composition = reader.state('leaf.composition', 'simple');
  const petiole =
    reader.mm('leaf.petioleLength', composition === 'simple' ? length * 0.25 : length * 0.2) * grow;
  const bend = randomFrom(seedOf(traits.seed, 'petiole', stream)).between(-0.18, 0.18);
  const stalk = curve(
    at,
    add(at, scaleBy(direction(angle + bend), petiole * 0.5)),
    add(at, scaleBy(direction(angle), petiole)),
    8,
  );
  const joint = stalk[stalk.length - 1]!;
  const flattened = reader.state('leaf.petioleSection', 'round') === 'flattened';
  const stalkWidth = Math.max(0.45, Math.min(1.3, length * 0.012)) * (flattened ? 1.7 : 1);
  const fill = lower ? lowerColor(reader) : leafColor(reader);
  const shapes: Shape[] = [
    { role: 'petiole', points: band(stalk, (s) => stalkWidth * (1.15 - 0.35 * s)), closed: true },
  ];
  if (flattened) shapes.push({ role: 'midrib', points: stalk, closed: false });
  const glands = reader.state('leaf.glands', 'none');
  if (glands !== 'none')
    for (const s of [-1, 1])
      shapes.push({
        role: 'budScale',
        points: dot(
          add(
            along(stalk, glands === 'petiole' ? 0.9 : 1).point,
            scaleBy(direction(angle + Math.PI / 2), s * stalkWidth * 1.5),
          ),
          stalkWidth * 0.8,
        ),
        closed: true,
        fill: NATURAL['redBrown']!,
      });
  const put = (points: readonly Point[], base: Point, turn: number) => place(points, base, turn);

  if (composition === 'simple') {
    const blade = bladeOf(traits, length * grow, width * grow, stream);
    shapes.push(...bladeShapes(blade, (points) => put(points, joint, angle), fill, lower));
    const edge = along(blade.sides[0], 0.55).point;
    return {
      shapes,
      middle: put([[length * grow * 0.45, 0]], joint, angle)[0]!,
      tip: put([[length * grow, 0]], joint, angle)[0]!,
      petiole: along(stalk, 0.5).point,
      edge: put([edge], joint, angle)[0]!,
    };
  }
  const leaflets = Math.max(
    3,
    Math.round(reader.number('leaf.leaflets', composition === 'trifoliate' ? 3 : 7)),
  );
  const leafletTraits: Traits = {
    ...traits,
    values: { ...traits.values, 'leaf.lobing': 'none', 'leaf.shape': leafletShape(reader) },
  };
  const leaflet = (from: Point, turn: number, size: number, k: number) => {
    const blade = bladeOf(leafletTraits, length * size, width * size, stream * 31 + k);
    shapes.push(...bladeShapes(blade, (points) => put(points, from, turn), fill, lower));
  };
  const terminal = composition !== 'even';
  const pairs = Math.floor((leaflets - (terminal ? 1 : 0)) / 2);
  // The measure of a compound leaf is that of one leaflet; the rachis is as long as the leaflets need.
  const rachisLength = composition === 'palmate' ? 0 : pairs * Math.max(width * 0.95, length * 0.42) * grow;
  const rachis = curve(
    joint,
    add(joint, scaleBy(direction(angle + bend * 0.4), rachisLength * 0.5)),
    add(joint, scaleBy(direction(angle), Math.max(0.1, rachisLength))),
    10,
  );
  shapes.push({ role: 'petiole', points: band(rachis, () => stalkWidth * 0.8), closed: true });
  if (composition === 'palmate')
    for (let k = 0; k < leaflets; k += 1)
      leaflet(
        joint,
        angle + (k - (leaflets - 1) / 2) * 0.52,
        grow * (1 - 0.08 * Math.abs(k - (leaflets - 1) / 2)),
        k,
      );
  else {
    for (let k = 0; k < pairs; k += 1) {
      const { point, angle: a } = along(rachis, (k + 0.35) / (pairs + (terminal ? 0.2 : -0.3)));
      for (const sign of [-1, 1])
        leaflet(
          point,
          a + sign * 0.98,
          grow * (0.88 + 0.12 * Math.sin((Math.PI * (k + 0.6)) / (pairs + 0.2))),
          k * 2 + sign,
        );
    }
    if (terminal) leaflet(along(rachis, 1).point, angle, grow, 99);
  }
  const end = along(rachis, 1).point;
  return {
    shapes,
    middle: along(rachis, 0.5).point,
    tip: add(end, scaleBy(direction(angle), length * grow)),
    petiole: along(stalk, 0.5).point,
    edge: add(along(rachis, 0.5).point, scaleBy(direction(angle - 1), length * grow * 0.6)),
  };
}

/** Leaflets of a leaf that is lobed when simple are egg-shaped; others have the shape that is scored. */
const leafletShape = (reader: TraitReader) =>
  reader.state('leaf.lobing', 'none') === 'none' ? reader.state('leaf.shape', 'ovate') : 'ovate';

const dot = (at: Point, r: number): Point[] =>
  Array.from({ length: 10 }, (_, i) => add(at, scaleBy(direction((2 * Math.PI * i) / 10), r)));

/** Two leaves with their stalks, the upper face and below it the lower one: what a student is handed as "a leaf". */
export function singleLeaf(traits: Traits): Scene {
  const scene = emptyScene();
  const upper = leafAt(traits, [0, 0], 0, 1, 1);
  const bounds = boundsOf(upper.shapes.map((shape) => shape.points));
  const lower = leafAt(traits, [0, (bounds.bottom - bounds.top) * 1.06], 0, 0.96, 2, true);
  scene.shapes.push(...upper.shapes, ...lower.shapes);
  leafAnchors(scene, upper);
  for (const id of ['leaf.lowerColor', 'leaf.lowerHair', 'leaf.hairPlace']) scene.anchors[id] = lower.middle;
  return scene;
}

/** The upper face of one leaf alone. */
export function upperFace(traits: Traits): Scene {
  const scene = emptyScene();
  scene.shapes.push(...leafAt(traits, [0, 0], 0, 1, 1).shapes);
  return scene;
}

function leafAnchors(scene: Scene, leaf: PlacedLeaf): void {
  for (const id of [
    'leaf.shape',
    'leaf.length',
    'leaf.width',
    'leaf.veins',
    'leaf.composition',
    'leaf.veinPairs',
    'leaf.leaflets',
    'foliage.kind',
  ])
    scene.anchors[id] = leaf.middle;
  for (const id of ['leaf.teeth', 'leaf.lobing', 'leaf.lobes', 'leaf.teethPerCm', 'leaf.toothTip'])
    scene.anchors[id] = leaf.edge;
  scene.anchors['leaf.apex'] = leaf.tip;
  for (const id of ['leaf.petioleSection', 'leaf.petioleLength', 'leaf.glands'])
    scene.anchors[id] = leaf.petiole;
}

/** A twig with its leaves at the nodes, or bare with buds and leaf scars, as the day has it. A leaf is turned over. */
export function broadTwig(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const scene = emptyScene();
  const { length, width } = bladeSize(traits);
  const simple = reader.state('leaf.composition', 'simple') === 'simple';
  const opposite = reader.state('twig.arrangement', 'alternate') === 'opposite';
  const leafy = traits.leafy;
  const budLength = reader.mm('bud.length', 5);
  const internode = leafy
    ? Math.max(14, (simple ? width : length * 1.5) * (opposite ? 0.95 : 0.5))
    : Math.max(9, budLength * 1.7);
  const nodes = leafy ? (simple ? (opposite ? 2 : 4) : 2) : 6;
  const twig = twigOf(traits, nodes, internode);
  const random = randomFrom(seedOf(traits.seed, 'leaves'));
  const leaves: PlacedLeaf[] = [];
  if (leafy)
    twig.nodes.forEach((node, i) =>
      node.sides.forEach((sign, k) => {
        const last = i === twig.nodes.length - 1;
        const grow = (last ? 0.82 : 1) * random.between(0.9, 1.05);
        const angle = node.angle + sign * random.between(0.78, 1.02);
        leaves.push(leafAt(traits, node.at, angle, grow, i * 2 + k, i === 0 && k === 0));
      }),
    );
  for (const leaf of leaves) scene.shapes.push(...leaf.shapes);
  scene.shapes.push(...twig.shapes);
  // Buds that nothing is known of are not invented.
  if (traits.buds && Object.keys(traits.values).some((id) => id.startsWith('bud.'))) {
    const buds = twigBuds(traits, twig);
    scene.shapes.push(...buds.shapes);
    for (const id of [
      'bud.scales',
      'bud.shape',
      'bud.length',
      'bud.resin',
      'bud.stalked',
      'bud.terminal',
      'bud.color',
      'bud.hair',
    ])
      scene.anchors[id] = buds.anchor;
    scene.insets.push(budInset(traits));
  }
  if (!leafy) scene.shapes.push(...leafScars(traits, twig));
  const node = twig.nodes[1] ?? twig.nodes[0];
  if (node)
    for (const id of [
      'twig.arrangement',
      'twig.zigzag',
      'twig.leafScar',
      'twig.bundleScars',
      'twig.armature',
    ])
      scene.anchors[id] = node.at;
  for (const id of ['twig.color', 'twig.hair', 'twig.lenticels', 'twig.thickness'])
    scene.anchors[id] = along(twig.axis, 0.12).point;
  const shown = leaves[1] ?? leaves[0];
  if (shown) leafAnchors(scene, shown);
  if (leaves[0]) scene.anchors['leaf.lowerColor'] = leaves[0].middle;
  return scene;
}
