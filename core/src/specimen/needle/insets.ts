import { add, band, curve, direction, ellipse, place, scaleBy, type Point } from '../geometry.ts';
import { filled, stroke, type Inset, type Shape } from '../scene.ts';
import type { TraitReader } from '../traits.ts';
import { twigColor } from '../twig/twig.ts';
import { needleBody, stripes, type NeedleForm } from './needles.ts';

/** How many pale stripes a face of a needle shows. */
export function visibleBands(bands: string, turned: boolean): number {
  if (bands === 'both' || bands === 'all') return 2;
  if (bands === 'lower' || bands === 'inner') return turned ? 2 : 0;
  if (bands === 'upper') return turned ? 0 : 2;
  return 0;
}

/** The cut face of a needle. */
function sectionOutline(section: string, width: number): Point[] {
  switch (section) {
    case 'fourAngled':
      return [
        [0, -width * 0.62],
        [width * 0.62, 0],
        [0, width * 0.62],
        [-width * 0.62, 0],
      ];
    case 'triangular':
      return [
        [0, -width * 0.6],
        [width * 0.6, width * 0.42],
        [-width * 0.6, width * 0.42],
      ];
    case 'halfRound':
      return [...ellipse([0, 0], width * 0.62, width * 0.6, 0, 24).filter(([, y]) => y <= 0.01)].sort(
        (a, b) => a[0] - b[0],
      );
    default:
      return ellipse([0, 0], width * 0.62, width * 0.2, 0, 20);
  }
}

/** Two needles side by side, the upper face and the lower one, and the cut face. */
export function facesInset(reader: TraitReader, length: number, form: NeedleForm, color: string): Inset {
  const bands = reader.state('needle.bands', 'none');
  const { width } = form;
  const l = Math.min(length, width * 8);
  const shapes: Shape[] = [];
  for (const [row, turned] of [
    [-1, false],
    [1, true],
  ] as const) {
    const at: Point = [-l / 2, row * width * 0.8 - width * 0.8];
    shapes.push(filled(turned ? 'needleLower' : 'needle', place(needleBody(l, form, 0), at, 0), color));
    const lines = visibleBands(bands, turned);
    for (const stripe of stripes(l, width, 0, lines || 1))
      shapes.push(stroke(lines ? 'band' : 'vein', place(stripe, at, 0), width * 0.2));
  }
  if (reader.known('needle.section'))
    shapes.push(
      filled(
        'needle',
        place(sectionOutline(reader.state('needle.section', 'flat'), width * 1.5), [0, width * 1.7], 0),
        color,
      ),
    );
  return { title: 'both faces, cut', shapes, shows: 'needle.bands' };
}

/** A piece of twig with the marks that needles leave, and one needle on its base. */
export function baseInset(reader: TraitReader, form: NeedleForm, color: string): Inset {
  const r = Math.max(0.8, reader.mm('twig.thickness', 2.6) / 2);
  const scar = reader.state('needle.scar', 'flush');
  const fill = twigColor(reader, 'brown');
  const w = Math.min(form.width, r * 0.9);
  const shapes: Shape[] = [];
  const peg = (at: number, side: 1 | -1, tall: number, wide: number): Shape =>
    filled(
      'twig',
      [
        [at - wide * r, side * r * 0.96],
        [at - wide * r * 0.5, side * (1 + tall) * r],
        [at + wide * r * 1.4, side * (1 + tall) * r],
        [at + wide * r * 1.1, side * r * 0.96],
      ],
      fill,
    );
  const tall = { woodyPeg: 0.55, smallPeg: 0.26 }[scar] ?? 0;
  const wide = scar === 'woodyPeg' ? 0.24 : 0.15;
  const needle = (at: number, lean: number) => {
    const stalk = reader.flag('needle.stalk') ? r * 0.8 : 0;
    const foot: Point = [at + (tall ? wide * r * 0.5 : 0), -r * (1 + tall)];
    shapes.push(
      filled(
        'needle',
        place(needleBody(r * 3.4, { ...form, width: w, stalk, tip: 'blunt' }, 0), foot, -lean),
        color,
      ),
    );
  };
  needle(1.2 * r, 0.9);
  shapes.push(
    filled(
      'twig',
      band(
        [
          [-r * 4.2, 0],
          [r * 4.2, 0],
        ],
        () => r,
      ),
      fill,
    ),
  );
  if (tall)
    for (let i = 0; i < 6; i += 1) shapes.push(peg((-3.2 + i * 1.25) * r, i % 2 ? 1 : -1, tall, wide));
  if (tall) shapes.push(peg(1.2 * r, -1, tall, wide));
  for (let i = 0; i < 7; i += 1) {
    const at: Point = [(-3.4 + i * 1.1) * r, (i % 2 ? 0.4 : -0.4) * r];
    switch (scar) {
      case 'raisedOval':
        shapes.push(filled('scar', ellipse(at, 0.34 * r, 0.22 * r, 0, 12)));
        shapes.push(
          stroke(
            'mark',
            curve(add(at, [-0.36 * r, 0.26 * r]), add(at, [0, 0.5 * r]), add(at, [0.36 * r, 0.26 * r]), 5),
          ),
        );
        break;
      case 'smallPeg':
      case 'woodyPeg':
        shapes.push(filled('scar', ellipse(at, wide * r, wide * r, 0, 10)));
        break;
      case 'runningBase':
        shapes.push(stroke('mark', [add(at, [-1.1 * r, 0.1 * r]), at]));
        shapes.push(stroke('mark', [add(at, [-1.1 * r, -0.1 * r]), at]));
        break;
      case 'jointed':
        shapes.push(
          stroke('mark', [
            add(at, scaleBy(direction(1.2), 0.3 * r)),
            add(at, scaleBy(direction(1.2), -0.3 * r)),
          ]),
        );
        break;
      default:
        shapes.push(filled('scar', ellipse(at, 0.26 * r, 0.26 * r, 0, 12)));
    }
  }
  return { title: 'needle base', shapes, shows: 'needle.scar' };
}

/** One bundle near its base, and its cross-section: a circle cut in as many parts as there are needles. */
export function bundleInset(per: number, width: number, sheath: string, color: string): Inset {
  const w = Math.max(0.8, width);
  const shapes: Shape[] = [];
  for (let k = 0; k < per; k += 1) {
    const off = per === 1 ? 0 : k / (per - 1) - 0.5;
    shapes.push(
      filled(
        'needle',
        band(
          curve([-5 * w, 0], [-1 * w, off * w * 0.5], [4.5 * w, off * w * 4.6], 8),
          (s) => w * (0.3 + 0.2 * Math.min(1, s * 3)),
        ),
        color,
      ),
    );
  }
  if (sheath === 'kept')
    shapes.push(
      filled(
        'sheath',
        band(
          [
            [-5.4 * w, 0],
            [-2.3 * w, 0],
          ],
          () => w * (0.55 + per * 0.12),
        ),
      ),
    );
  const centre: Point = [0.4 * w, -3.9 * w];
  const r = 1.5 * w;
  for (let k = 0; k < per; k += 1) {
    const from = -Math.PI / 2 + (2 * Math.PI * k) / per;
    const to = from + (2 * Math.PI) / per;
    const cells = Math.ceil(24 / per);
    const rim = Array.from({ length: cells + 1 }, (_, i): Point =>
      add(centre, scaleBy(direction(from + ((to - from) * i) / cells), r)),
    );
    shapes.push(filled('needleLower', per === 1 ? rim : [centre, ...rim], color));
  }
  return { title: 'a bundle, cut', shapes, shows: 'needle.perBundle' };
}
