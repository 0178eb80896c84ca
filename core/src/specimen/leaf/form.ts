/** The outline of an unlobed blade as half-widths along its midrib (3a-drawing). */

export interface Form {
  /** Where the blade is widest, as a share of its length. */
  widest: number;
  /** Length over width where the library gives no measure. */
  ratio: number;
  /** Roundness of the flanks: 2 is an ellipse, 1 straight sides. */
  round: number;
}

const OVATE: Form = { widest: 0.36, ratio: 1.5, round: 2 };

const FORMS: Record<string, Form> = {
  linear: { widest: 0.5, ratio: 12, round: 3.5 },
  lanceolate: { widest: 0.3, ratio: 4, round: 1.7 },
  oblanceolate: { widest: 0.7, ratio: 4, round: 1.7 },
  oblong: { widest: 0.5, ratio: 2.4, round: 3.2 },
  elliptic: { widest: 0.5, ratio: 1.8, round: 2 },
  ovate: OVATE,
  obovate: { widest: 0.64, ratio: 1.5, round: 2 },
  deltoid: { widest: 0.2, ratio: 1.2, round: 1.5 },
  rhombic: { widest: 0.45, ratio: 1.3, round: 1.25 },
  orbicular: { widest: 0.46, ratio: 1.03, round: 2.1 },
  heart: { widest: 0.3, ratio: 1.15, round: 2 },
  fan: { widest: 0.82, ratio: 0.95, round: 1.6 },
};

export const formOf = (shape: string): Form => FORMS[shape] ?? OVATE;

/** Half-width at a share u of the length, 1 at the widest point. */
export function halfWidth(u: number, form: Form, base: string, apex: string): number {
  return u < form.widest
    ? lower(u / form.widest, base, form.round)
    : upper((1 - u) / (1 - form.widest), apex, form.round);
}

/** Between base and widest point, t from 0 to 1. */
function lower(t: number, base: string, round: number): number {
  const s = 1 - t;
  switch (base) {
    case 'wedge':
      return 1 - s ** Math.min(1.45, round);
    case 'straight':
      return (1 - s ** 5) ** 0.42;
    case 'heart':
      return (1 - s ** 2.6) ** 0.5;
    default:
      return (1 - s ** Math.max(2, round)) ** 0.55;
  }
}

/** Between tip and widest point, t from 0 at the tip to 1. */
function upper(t: number, apex: string, round: number): number {
  const s = 1 - t;
  switch (apex) {
    case 'acuminate': {
      // Concave run-out: the tip is drawn in to a third of what an acute one would be, smoothly.
      const near = Math.min(1, t / 0.5);
      return (1 - s ** Math.max(1.5, round)) * (0.3 + 0.7 * near * near * (3 - 2 * near));
    }
    case 'rounded':
      return Math.sqrt(1 - s ** Math.max(2, round));
    case 'notched':
      return Math.sqrt(1 - s ** Math.max(2.4, round));
    case 'blunt':
      return (1 - s ** Math.max(1.9, round)) ** 0.7;
    default:
      // Round blades run into a short point, others taper to it.
      if (round <= 2.05) return 1 - s ** Math.max(1.35, round - 0.1);
      return t < 0.1 ? (t / 0.1) ** 0.9 * (1 - 0.9 ** 2.2) ** 0.72 : (1 - s ** 2.2) ** 0.72;
  }
}

/** How far the lobes of a heart-shaped base reach behind the joint, as a share; nothing beyond the widest point. */
export function heartDip(x: number, u: number, widest: number): number {
  if (u > widest) return 0;
  return Math.sin(Math.PI * Math.min(1, x)) ** 0.8 * (1 - u / widest);
}
