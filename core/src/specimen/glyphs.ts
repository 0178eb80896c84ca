import { partPresent, type Calendar } from '../season/index.ts';
import { isDeciduous, type ProfiledTaxon } from '../evidence/index.ts';
import type { View } from '../view/index.ts';
import { type CharacterId, type Part, type Vocabulary } from '../vocabulary/index.ts';
import { bladeOf, bladeSize } from './leaf/blade.ts';
import { add, band, boundsOf, curve, direction, scaleBy, type Point } from './geometry.ts';
import { NATURAL, NEEDLE_GREENS, LEAF_GREEN } from './palette.ts';
import { filled, stroke, type Shape } from './scene.ts';
import { sampleSpecimen, TraitReader, type Traits } from './traits.ts';
import { budShapes } from './twig/buds.ts';

export interface Glyph {
  organ: 'foliage' | 'bud' | 'fruit' | 'bark';
  /** Shapes in a box of 24 × 24. */
  shapes: Shape[];
  /** What must be on the tree for it to be seen. */
  part: Part;
  /** The state that it shows, in plain words; missing where none is known. */
  state?: string;
}

const BOX = 24;

/** Is what a glyph stands for on the tree on the day? */
export const glyphPresent = (
  glyph: Glyph,
  profiled: ProfiledTaxon,
  calendar: Calendar,
  day: number,
): boolean => partPresent(glyph.part, calendar, isDeciduous(profiled), day);

/**
 * The character strip of a taxon: one small drawing an organ, made from its typical states as if every part were there: the strip
 * stands for the whole year. Organs that nothing is known of are left out.
 */
export function characterStrip(profiled: ProfiledTaxon, vocabulary: Vocabulary): Glyph[] {
  const view: View = {
    organs: ['twig'],
    day: 200,
    nearness: 'hand',
    aids: ['eye'],
    qualifiers: { plantAge: 'mature' },
  };
  const always: ProfiledTaxon = { ...profiled, taxon: { ...profiled.taxon, calendar: {} } };
  const traits = sampleSpecimen(always, vocabulary, view, 1, { typical: true });
  const reader = new TraitReader(traits);
  const glyph = (organ: Glyph['organ'], shapes: Shape[], part: Part, id: CharacterId): Glyph => {
    const state = vocabulary
      .get(id)
      ?.states.find((entry) => [reader.state(id, ''), ...reader.states(id)].includes(entry.id));
    return { organ, shapes: fit(shapes), part, ...(state ? { state: state.plain } : {}) };
  };
  const strip: Glyph[] = [];
  if (reader.known('foliage.kind'))
    strip.push(glyph('foliage', foliage(traits, reader), 'leaves', 'foliage.kind'));
  if (reader.known('bud.shape') || reader.known('bud.scales'))
    strip.push(glyph('bud', upright(budShapes(reader, 12)), 'buds', 'bud.shape'));
  if (reader.known('fruit.type')) strip.push(glyph('fruit', fruit(reader), 'fruit', 'fruit.type'));
  if (reader.known('bark.surface'))
    strip.push({ ...glyph('bark', [], 'always', 'bark.surface'), shapes: bark(reader) });
  return strip;
}

/** Scales shapes to fill the box but for a margin, keeping their proportions. */
function fit(shapes: Shape[]): Shape[] {
  const bounds = boundsOf(shapes.map((shape) => shape.points));
  const size = Math.max(bounds.right - bounds.left, bounds.bottom - bounds.top) || 1;
  const by = (BOX - 3) / size;
  const middle: Point = [(bounds.left + bounds.right) / 2, (bounds.top + bounds.bottom) / 2];
  const move = ([x, y]: Point): Point => [BOX / 2 + (x - middle[0]) * by, BOX / 2 + (y - middle[1]) * by];
  return shapes.map((shape) => ({ ...shape, points: shape.points.map(move) }));
}

const upright = (shapes: Shape[]): Shape[] =>
  shapes.map((shape) => ({ ...shape, points: shape.points.map(([x, y]): Point => [y, -x]) }));

function foliage(traits: Traits, reader: TraitReader): Shape[] {
  const green = (NEEDLE_GREENS[reader.state('needle.color', 'green')] ?? NEEDLE_GREENS['green']!).near;
  const needle = (from: Point, to: Point): Shape =>
    filled(
      'needle',
      band([from, to], () => 0.42),
      green,
    );
  const stem = (from: Point, to: Point): Shape =>
    filled(
      'twig',
      band([from, to], () => 0.5),
      NATURAL['brown']!,
    );
  switch (reader.state('foliage.kind', 'broad')) {
    case 'broad': {
      const plain: Traits = { ...traits, values: { ...traits.values, 'leaf.teeth': 'none' } };
      const { length, width } = bladeSize(plain);
      const blade = bladeOf(plain, length, width);
      const shapes: Shape[] = [
        filled('blade', blade.outline, LEAF_GREEN),
        stroke('midrib', [
          [-length * 0.18, 0],
          [length * 0.9, 0],
        ]),
      ];
      return upright(shapes);
    }
    case 'bundled': {
      const n = Math.max(2, Math.min(5, Math.round(reader.number('needle.perBundle', 2))));
      return Array.from({ length: n }, (_, i) =>
        needle([0, 20], add([0, 20], scaleBy(direction(-Math.PI / 2 + (i - (n - 1) / 2) * 0.3), 19))),
      );
    }
    case 'tufts':
      return [
        stem([0, 22], [0, 18]),
        ...Array.from({ length: 9 }, (_, i) =>
          needle([0, 18], add([0, 18], scaleBy(direction(-Math.PI / 2 + (i - 4) * 0.27), 15))),
        ),
      ];
    case 'scales':
      return Array.from({ length: 5 }, (_, i): Shape =>
        filled(
          'needle',
          [
            [i * 4, 0],
            [i * 4 + 2.4, -2.6],
            [i * 4 + 5.4, 0],
            [i * 4 + 2.4, 2.6],
          ],
          green,
        ),
      );
    default: {
      const lie = reader.state('needle.lie', 'allRound');
      const up = lie === 'sweptUp';
      return [
        stem([0, 0], [22, 0]),
        ...Array.from({ length: 9 }, (_, i) => 1.2 + i * 2.4).flatMap((x, i) =>
          up
            ? [needle([x, 0], [x + 2.6, -9])]
            : [
                needle([x, 0], [x + (lie === 'twoRanked' ? 1 : 3.4), -7 - (i % 2)]),
                needle([x, 0], [x + (lie === 'twoRanked' ? 1 : 3.4), 7 + (i % 2)]),
              ],
        ),
      ];
    }
  }
}

const ring = (at: Point, rx: number, ry: number): Point[] =>
  Array.from({ length: 22 }, (_, i) => [
    at[0] + rx * Math.cos((2 * Math.PI * i) / 22),
    at[1] + ry * Math.sin((2 * Math.PI * i) / 22),
  ]);

function fruit(reader: TraitReader): Shape[] {
  const color = NATURAL[reader.states('fruit.color')[0] ?? 'brown'] ?? NATURAL['brown']!;
  const body = (points: Point[]): Shape => filled('fruit', points, color);
  const mark = (points: Point[]): Shape => stroke('mark', points);
  const type = reader.state('fruit.type', 'seedCone');
  switch (type) {
    case 'seedCone': {
      const cone: Shape[] = [body(ring([0, 0], 5, 9))];
      for (const y of [-5.5, -2, 1.5, 5]) cone.push(mark(curve([-4.4, y - 1], [0, y + 2.4], [4.4, y - 1])));
      if (reader.state('cone.bract', 'hidden') !== 'hidden')
        for (const y of [-4, 0, 4])
          cone.push(
            mark([
              [4, y],
              [7, y + 1.8],
            ]),
            mark([
              [-4, y],
              [-7, y + 1.8],
            ]),
          );
      const attitude = reader.state('cone.attitude', 'hanging');
      cone.push(
        stroke(
          'twig',
          attitude === 'erect'
            ? [
                [-7, 10],
                [7, 10],
              ]
            : attitude === 'hanging'
              ? [
                  [-7, -10],
                  [7, -10],
                ]
              : [
                  [-6.5, -9],
                  [-6.5, 9],
                ],
        ),
      );
      return cone;
    }
    case 'catkinCone':
      return [-5, 5].flatMap((x) => [
        body(ring([x, 2], 3.6, 5)),
        mark([
          [x, -3],
          [0, -9],
        ]),
        mark([
          [x - 3, 1],
          [x + 3, 1],
        ]),
        mark([
          [x - 3, 4],
          [x + 3, 4],
        ]),
      ]);
    case 'samaraCone':
      return [
        body(ring([0, 2], 3, 9)),
        mark([
          [0, -7],
          [0, -11],
        ]),
        ...[-3, 1, 5, 8].map((y) => mark(curve([-2.7, y], [0, y + 1.6], [2.7, y]))),
      ];
    case 'pairedSamara': {
      const half = ((reader.number('fruit.samaraAngle', 60) / 2) * Math.PI) / 180;
      return [-1, 1].map((side) => {
        const away = direction(Math.PI / 2 - side * half);
        return body(
          band(
            curve([0, 0], scaleBy(away, 6), scaleBy(away, 15)),
            (s) => 1.3 + 2.4 * Math.sin(Math.PI * Math.min(1, s * 0.85)),
          ),
        );
      });
    }
    case 'singleSamara':
      return [
        body(
          band(
            [
              [0, -9],
              [0, 9],
            ],
            (s) => 1 + 2.6 * Math.sin(Math.PI * s),
          ),
        ),
      ];
    case 'capsule':
    case 'pod':
      return [
        mark([
          [0, -10],
          [0, 10],
        ]),
        ...[-6, -1, 4].flatMap((y) => [body(ring([3, y], 2.4, 2)), body(ring([-3, y + 2.5], 2.4, 2))]),
      ];
    case 'acorn':
      return [
        body(ring([0, 2], 5, 7)),
        filled(
          'fruitScale',
          [
            [-6, -1],
            [-5, -6],
            [0, -8],
            [5, -6],
            [6, -1],
          ],
          NATURAL['greyBrown']!,
        ),
      ];
    case 'drupe':
    case 'pome':
    case 'berry':
    case 'berryCone':
    case 'arilSeed':
      return [
        mark([
          [0, -10],
          [-4, -2],
        ]),
        mark([
          [0, -10],
          [4, -1],
        ]),
        body(ring([-4, 2], 4, 4)),
        body(ring([4, 3], 4, 4)),
      ];
    default:
      return [
        body(ring([0, 0], 7, 7)),
        mark([
          [0, -7],
          [0, -11],
        ]),
      ];
  }
}

function bark(reader: TraitReader): Shape[] {
  const color = NATURAL[reader.states('bark.color')[0] ?? 'grey'] ?? NATURAL['grey']!;
  const shapes: Shape[] = [
    filled(
      'bark',
      [
        [2, 2],
        [22, 2],
        [22, 22],
        [2, 22],
      ],
      color,
    ),
  ];
  const mark = (points: Point[]) => shapes.push(stroke('mark', points));
  const dash = (points: Point[]) => shapes.push(stroke('lenticel', points));
  const surfaces = reader.states('bark.surface');
  const has = (...states: string[]) => states.some((state) => surfaces.includes(state));
  if (has('deepFurrows', 'jigsaw', 'fluted'))
    for (const x of [7, 12, 17]) mark(curve([x, 2], [x + 2.5, 12], [x - 1, 22]));
  else if (has('shallowFissures', 'fibrousStrips'))
    for (const [x, y] of [
      [7, 3],
      [12, 9],
      [17, 4],
    ] as const)
      mark([
        [x, y],
        [x + 0.6, y + 10],
      ]);
  if (has('jigsaw', 'squareBlocks'))
    for (const [x, y] of [
      [3, 7],
      [9, 11],
      [13, 6],
      [18, 14],
      [4, 17],
    ] as const)
      mark(curve([x, y], [x + 2, y + 1.4], [x + 4, y]));
  if (has('thinScales', 'exfoliating'))
    for (const [x, y] of [
      [5, 6],
      [12, 5],
      [17, 9],
      [7, 13],
      [14, 15],
      [6, 19],
    ] as const)
      mark(curve([x - 2, y], [x, y + 2.4], [x + 2, y]));
  if (has('banded', 'papery'))
    for (const [x, y] of [
      [4, 6],
      [13, 5],
      [8, 11],
      [15, 13],
      [5, 17],
      [12, 19],
    ] as const)
      mark([
        [x, y],
        [x + 4.5, y],
      ]);
  if (has('papery')) mark(curve([2, 9], [8, 7], [11, 10]));
  if (has('resinBlistered'))
    for (const [x, y] of [
      [7, 7],
      [15, 10],
      [9, 16],
      [17, 18],
    ] as const)
      dash(curve([x - 1.4, y], [x, y - 1.8], [x + 1.4, y]));
  if (has('wartyRidges'))
    for (const [x, y] of [
      [7, 8],
      [14, 12],
      [9, 17],
    ] as const)
      mark(ring([x, y], 1.2, 1.2));
  return shapes;
}
