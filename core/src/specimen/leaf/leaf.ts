import { randomFrom, seedOf } from '../../random/index.ts';
import {
  add,
  along,
  band,
  boundsOf,
  curve,
  direction,
  ellipse,
  place,
  scaleBy,
  type Point,
} from '../geometry.ts';
import { LEAF_GREEN, LEAF_LOWER, NATURAL, paler, tinted } from '../palette.ts';
import { anchor, emptyScene, filled, stroke, type Scene, type Shape } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';
import { bladeOf, bladeSize, edgePoint } from './blade.ts';
import { faceShapes } from './face.ts';
import { formOf } from './form.ts';

export interface PlacedLeaf {
  shapes: Shape[];
  middle: Point;
  tip: Point;
  petiole: Point;
  edge: Point;
}

/** Green of the individual, or the color of its autumn; leaves of one shoot differ a little. */
function leafColor(reader: TraitReader, stream: number): string {
  const shift = randomFrom(seedOf(reader.traits.seed, 'green', stream)).between(-0.05, 0.05);
  const individual = randomFrom(seedOf(reader.traits.seed, 'green')).between(-0.06, 0.06);
  const autumn = reader.states('leaf.autumnColor')[0];
  const base = reader.traits.autumn ? (NATURAL[autumn ?? 'yellow'] ?? LEAF_GREEN) : LEAF_GREEN;
  return tinted(base, shift + individual);
}

/** The lower face: its own color, or in autumn a paler one of the leaf where it is not white. */
function lowerColor(reader: TraitReader): string {
  const state = reader.state('leaf.lowerColor', 'pale');
  if (reader.traits.autumn && (state === 'green' || state === 'pale'))
    return paler(leafColor(reader, 0), 0.4);
  return LEAF_LOWER[state] ?? LEAF_LOWER['pale']!;
}

/** A leaf, simple or compound, whose petiole starts at `at` and leaves at `angle`; sizes times `grow`. */
export function leafAt(
  traits: Traits,
  at: Point,
  angle: number,
  grow: number,
  stream: number,
  lower = false,
): PlacedLeaf {
  const reader = new TraitReader(traits);
  const composition = reader.state('leaf.composition', 'simple');
  const simple = composition === 'simple';
  const { length, width } = simple ? bladeSize(traits) : compoundSize(reader);
  const petiole = reader.mm('leaf.petioleLength', length * (simple ? 0.25 : 0.2)) * grow;
  const random = randomFrom(seedOf(traits.seed, 'petiole', stream));
  const bend = random.between(-0.18, 0.18);
  const stalk = curve(
    at,
    add(at, scaleBy(direction(angle + bend), petiole * 0.5)),
    add(at, scaleBy(direction(angle), petiole)),
    8,
  );
  const joint = stalk[stalk.length - 1]!;
  const section = reader.state('leaf.petioleSection', 'round');
  const stalkWidth =
    Math.max(0.4, Math.min(1.2, length * (simple ? 0.011 : 0.006))) * (section === 'flattened' ? 1.7 : 1);
  const fill = lower ? lowerColor(reader) : leafColor(reader, stream);
  const shapes: Shape[] = [];
  if (section === 'winged')
    shapes.push(
      filled(
        'wing',
        band(stalk, (s) => stalkWidth * (1.5 + 1.6 * s)),
        fill,
      ),
    );
  shapes.push(
    filled(
      'petiole',
      band(stalk, (s) => stalkWidth * (1.15 - 0.35 * s)),
    ),
  );
  if (section === 'flattened' || section === 'grooved') shapes.push(stroke('midrib', stalk));
  shapes.push(...stipulesAt(reader, at, angle, stalkWidth, length));
  shapes.push(...glandsAt(reader, stalk, angle, stalkWidth));

  if (simple) {
    const blade = bladeOf(unlobed(traits, stream), length * grow, width * grow, stream);
    const move = (points: readonly Point[]) => place(points, joint, angle);
    shapes.push(...faceShapes(reader, blade, move, fill, lower));
    return {
      shapes,
      middle: move([[length * grow * 0.45, 0]])[0]!,
      tip: move([[length * grow, 0]])[0]!,
      petiole: along(stalk, 0.5).point,
      edge: move([edgePoint(blade)])[0]!,
    };
  }
  return compound(reader, { shapes, stalk, stalkWidth, angle, bend, grow, stream, fill, lower });
}

/** Where lobed and unlobed leaves stand on one shoot, every third is unlobed. */
const unlobed = (traits: Traits, stream: number): Traits =>
  traits.values['leaf.mixedLobing'] === true && stream % 3 === 2
    ? { ...traits, values: { ...traits.values, 'leaf.lobing': 'none' } }
    : traits;

function glandsAt(reader: TraitReader, stalk: readonly Point[], angle: number, stalkWidth: number): Shape[] {
  const glands = reader.state('leaf.glands', 'none');
  if (glands === 'none') return [];
  const at = along(stalk, glands === 'petiole' ? 0.88 : 1).point;
  return [-1, 1].map((side) =>
    filled(
      'gland',
      ellipse(
        add(at, scaleBy(direction(angle + Math.PI / 2), side * stalkWidth * 1.6)),
        stalkWidth * 0.85,
        stalkWidth * 0.85,
        0,
        10,
      ),
    ),
  );
}

function stipulesAt(
  reader: TraitReader,
  at: Point,
  angle: number,
  stalkWidth: number,
  length: number,
): Shape[] {
  const kind = reader.state('leaf.stipules', 'none');
  if (kind !== 'leafy' && kind !== 'spines') return [];
  const size = Math.max(3, length * (kind === 'leafy' ? 0.14 : 0.1));
  const body = band(
    [
      [0, 0],
      [size * 0.5, 0],
      [size, 0],
    ],
    (s) =>
      kind === 'leafy'
        ? size * 0.24 * Math.sin(Math.PI * (0.12 + 0.88 * s))
        : stalkWidth * 0.6 * (1 - s) + 0.02,
  );
  return [-1, 1].map((side) =>
    filled(kind === 'leafy' ? 'stipule' : 'thorn', place(body, at, angle + side * 0.9)),
  );
}

interface CompoundPlace {
  shapes: Shape[];
  stalk: Point[];
  stalkWidth: number;
  angle: number;
  bend: number;
  grow: number;
  stream: number;
  fill: string;
  lower: boolean;
}

/**
 * Leaflets on a rachis, or spread from one point. The measures of a compound leaf are those of its whole blade, from the joint with
 * the petiole to the tip of the last leaflet and across the longest pair.
 */
function compound(reader: TraitReader, spot: CompoundPlace): PlacedLeaf {
  const { shapes, stalk, stalkWidth, angle, bend, grow, stream, fill, lower } = spot;
  const { traits } = reader;
  const whole = compoundSize(reader);
  const composition = reader.state('leaf.composition', 'odd');
  const leaflets = leafletCount(reader);
  const size = leafletSize(reader, whole, leaflets);
  const stalked = reader.flag('leaf.leafletStalk') ? size.length * 0.12 : size.length * 0.02;
  const leafletTraits: Traits = {
    ...traits,
    values: { ...traits.values, 'leaf.lobing': 'none', 'leaf.shape': leafletShape(reader) },
  };
  const joint = stalk[stalk.length - 1]!;
  const leaflet = (from: Point, turn: number, share: number, k: number) => {
    const base = add(from, scaleBy(direction(turn), stalked * share));
    const blade = bladeOf(
      leafletTraits,
      (size.length - stalked) * share,
      size.width * share,
      stream * 31 + k,
    );
    shapes.push(
      filled(
        'petiole',
        band([from, base], () => stalkWidth * 0.55),
      ),
    );
    shapes.push(...faceShapes(reader, blade, (points) => place(points, base, turn), fill, lower));
  };
  const terminal = composition !== 'even';
  const pairs = Math.floor((leaflets - (terminal ? 1 : 0)) / 2);
  const odd = leaflets - (terminal ? 1 : 0) - 2 * pairs;
  const placed = {
    shapes,
    petiole: along(stalk, 0.5).point,
    tip: add(joint, scaleBy(direction(angle), whole.length * grow)),
    edge: add(joint, scaleBy(direction(angle - 0.5), whole.length * grow * 0.6)),
  };
  if (composition === 'palmate') {
    for (let k = 0; k < leaflets; k += 1) {
      const off = k - (leaflets - 1) / 2;
      const last = (leaflets - 1) / 2 || 1;
      leaflet(
        joint,
        angle + (off / last) * Math.min(1.2, 0.42 * last),
        grow * (1 - 0.3 * Math.abs(off / last)),
        k,
      );
    }
    return { ...placed, middle: add(joint, scaleBy(direction(angle), whole.length * grow * 0.4)) };
  }
  const rachisLength = (whole.length - (terminal ? size.length : size.length * 0.55)) * grow;
  const rachis = curve(
    joint,
    add(joint, scaleBy(direction(angle + bend * 0.3), rachisLength * 0.5)),
    add(joint, scaleBy(direction(angle), rachisLength)),
    12,
  );
  shapes.push(
    filled(
      'petiole',
      band(rachis, (s) => stalkWidth * (0.9 - 0.3 * s)),
    ),
  );
  if (composition === 'twicePinnate') {
    const pinnae = 2 * Math.max(1, Math.min(4, Math.round(Math.sqrt(leaflets) / 1.7)));
    for (let p = 0; p < pinnae; p += 1) {
      const { point, angle: heading } = along(rachis, (Math.floor(p / 2) + 0.6) / (pinnae / 2));
      const turn = heading + (p % 2 ? 1 : -1) * LEAFLET_ANGLE * 0.92;
      const own = Math.floor(leaflets / pinnae) + (p < leaflets % pinnae ? 1 : 0);
      shapes.push(
        ...pinna(leafletTraits, {
          from: point,
          turn,
          length: (whole.width / 2) * grow,
          leaflets: own,
          stalkWidth,
          fill,
          lower,
          stream: stream * 31 + p * 97,
        }),
      );
    }
    return { ...placed, middle: along(rachis, 0.5).point };
  }
  // The longest leaflets stand in the middle.
  const swell = (k: number) => grow * (0.82 + 0.18 * Math.sin((Math.PI * (k + 0.5)) / pairs));
  for (let k = 0; k < pairs; k += 1) {
    const { point, angle: heading } = along(
      rachis,
      pairs === 1 ? (terminal ? 0.5 : 1) : 0.03 + (k / (pairs - (terminal ? 0.1 : 1))) * 0.97,
    );
    for (const sign of [-1, 1]) leaflet(point, heading + sign * LEAFLET_ANGLE, swell(k), k * 2 + sign + 1);
  }
  if (odd) leaflet(along(rachis, 0.9).point, angle - LEAFLET_ANGLE, grow * 0.85, 98);
  if (terminal) leaflet(along(rachis, 1).point, along(rachis, 1).angle, grow, 99);
  return { ...placed, middle: along(rachis, 0.5).point };
}

interface PinnaPlace {
  from: Point;
  turn: number;
  length: number;
  leaflets: number;
  stalkWidth: number;
  fill: string;
  lower: boolean;
  stream: number;
}

/** One feather of a twice pinnate leaf: leaflets by turns along a side stalk, the last at its end. */
function pinna(
  traits: Traits,
  { from, turn, length, leaflets, stalkWidth, fill, lower, stream }: PinnaPlace,
): Shape[] {
  const reader = new TraitReader(traits);
  const { ratio } = formOf(reader.state('leaf.shape', 'ovate'));
  const size = Math.min(length * 0.42, (length * 1.5) / Math.max(1, leaflets));
  const stalk: Point[] = [from, add(from, scaleBy(direction(turn), length - size))];
  const shapes: Shape[] = [
    filled(
      'petiole',
      band(stalk, () => stalkWidth * 0.5),
    ),
  ];
  for (let k = 0; k < leaflets; k += 1) {
    const last = k === leaflets - 1;
    const base = along(stalk, last ? 1 : (k + 0.8) / leaflets).point;
    const heading = last ? turn : turn + (k % 2 ? 1 : -1) * LEAFLET_ANGLE;
    const blade = bladeOf(traits, size, size / Math.max(1.6, ratio), stream + k);
    shapes.push(...faceShapes(reader, blade, (points) => place(points, base, heading), fill, lower));
  }
  return shapes;
}

/** Angle at which leaflets leave the rachis, radians. */
const LEAFLET_ANGLE = 1.08;

const leafletCount = (reader: TraitReader): number =>
  Math.max(
    2,
    Math.round(
      reader.number('leaf.leaflets', reader.state('leaf.composition', 'odd') === 'trifoliate' ? 3 : 7),
    ),
  );

/** Length and width of the whole blade of a compound leaf, millimetres. */
export function compoundSize(reader: TraitReader): { length: number; width: number } {
  const palmate = reader.state('leaf.composition', 'odd') === 'palmate';
  const length = reader.mm(
    'leaf.length',
    reader.known('leaf.width') ? reader.mm('leaf.width', 120) * (palmate ? 0.75 : 1.7) : 180,
  );
  return { length, width: reader.mm('leaf.width', length / (palmate ? 0.75 : 1.7)) };
}

/** One leaflet of a whole: long enough for the width across a pair, no wider than its neighbours leave room for. */
function leafletSize(
  reader: TraitReader,
  whole: { length: number; width: number },
  leaflets: number,
): { length: number; width: number } {
  const { ratio } = formOf(leafletShape(reader));
  if (reader.state('leaf.composition', 'odd') === 'palmate') {
    const length = whole.length;
    return { length, width: Math.min(length / ratio, (whole.width * 1.5) / leaflets) };
  }
  const across = whole.width / 2 / Math.sin(LEAFLET_ANGLE);
  const pairs = Math.max(1, Math.floor((leaflets - 1) / 2));
  const length = Math.min(across, whole.length * (pairs === 1 ? 0.62 : 0.5));
  const room = pairs === 1 ? length / ratio : ((whole.length - length) / pairs) * 1.02;
  return { length, width: Math.max(length / (ratio * 1.7), Math.min(length / ratio, room)) };
}

/** Leaflets of a leaf that is lobed when simple are egg-shaped; others have the shape that is scored. */
const leafletShape = (reader: TraitReader) =>
  reader.state('leaf.lobing', 'none') === 'none' ? reader.state('leaf.shape', 'ovate') : 'ovate';

/** Two leaves with their stalks, the upper face and below it the lower one: what a student is handed as "a leaf". */
export function singleLeaf(traits: Traits): Scene {
  const scene = emptyScene();
  const upper = leafAt(traits, [0, 0], 0, 1, 1);
  const bounds = boundsOf(upper.shapes.map((shape) => shape.points));
  const lower = leafAt(traits, [0, (bounds.bottom - bounds.top) * 1.06], 0, 0.96, 2, true);
  scene.shapes.push(...upper.shapes, ...lower.shapes);
  leafAnchors(scene, upper);
  anchor(scene, lower.middle, 'leaf.lowerColor', 'leaf.lowerHair', 'leaf.hairPlace');
  return scene;
}

/** The upper face of one leaf alone. */
export function upperFace(traits: Traits): Scene {
  const scene = emptyScene();
  const leaf = leafAt(traits, [0, 0], 0, 1, 1);
  scene.shapes.push(...leaf.shapes);
  leafAnchors(scene, leaf);
  return scene;
}

export function leafAnchors(scene: Scene, leaf: PlacedLeaf): void {
  anchor(
    scene,
    leaf.middle,
    'leaf.shape',
    'leaf.length',
    'leaf.width',
    'leaf.veins',
    'leaf.composition',
    'leaf.veinPairs',
    'leaf.veinsSunken',
    'leaf.leaflets',
    'leaf.leafletStalk',
    'leaf.upperFace',
    'leaf.texture',
    'leaf.autumnColor',
    'leaf.odor',
    'leaf.base',
    'foliage.kind',
    'foliage.present',
  );
  anchor(
    scene,
    leaf.edge,
    'leaf.teeth',
    'leaf.lobing',
    'leaf.lobes',
    'leaf.lobeTips',
    'leaf.sinusDepth',
    'leaf.sinusBottom',
    'leaf.teethPerCm',
    'leaf.toothTip',
    'leaf.teethReach',
    'leaf.edge',
  );
  anchor(scene, leaf.tip, 'leaf.apex');
  anchor(scene, leaf.petiole, 'leaf.petioleSection', 'leaf.petioleLength', 'leaf.glands', 'leaf.stipules');
}
