import { normalCdf } from '../random/normal.ts';
import type { RangeValue } from '../score/index.ts';
import type { View } from '../view/index.ts';

/** A number of one taxon as a reader meets it: for measures of ln x, for counts of x. */
export interface RangeModel {
  mu: number;
  /** Spread between individuals. */
  sigma: number;
  /** Error of reading, in the same units as sigma; for counts that of the mean. */
  reading: number;
  step: number;
  low: number;
  high: number;
  /** The rare numbers beyond the ends, of a count whose range names them: `(2–)3`. */
  least?: number;
  most?: number;
}

/** The values on which all taxa of a list are laid out: for measures evenly in ln x, for counts whole numbers. */
export interface Grid {
  from: number;
  step: number;
  size: number;
}

/** 5th to 95th percentile of a normal, in standard deviations. */
const CENTRAL_90 = 3.29;
/** With one end missing, the other is taken to lie this factor away. */
const OPEN_END = 2.5;
/** Spread of a single typical value: a coefficient of variation of 15 %. */
const TYPICAL_SPREAD = 0.15;

/** Coefficient of variation of a reading of a length: by eye, and with a rule. */
export const BY_EYE = 0.25;
const WITH_RULE = 0.05;
/** The ends of a source's range are themselves soft: nine in ten lie within 10 %. */
const SOFT_END = 0.06;

/**
 * Lengths are log-normal with `σ = (ln high − ln low)/3.29`, a little wider since sources differ in the ends; counts are normal with
 * `σ = (high − low)/3.29`, put on whole numbers. Reading error: CV 25 % by eye, 5 % with a rule; for counts 0.05·n with a floor of 0.15. `exact` leaves the
 * reading out: what the trees themselves show.
 */
export function rangeModel(
  range: RangeValue,
  kind: 'measure' | 'count',
  { aids }: Pick<View, 'aids'>,
  exact = false,
): RangeModel {
  const [low, high] = centralEnds(range, kind);
  if (kind === 'measure') {
    const [a, b] = [Math.log(Math.max(low, 1e-9)), Math.log(Math.max(high, 1e-9))];
    return {
      mu: (a + b) / 2,
      sigma: Math.hypot((b - a) / CENTRAL_90, SOFT_END),
      reading: exact ? 0 : aids.includes('rule') ? WITH_RULE : BY_EYE,
      step: 1,
      low,
      high,
    };
  }
  const mu = (low + high) / 2;
  return {
    mu,
    sigma: (high - low) / CENTRAL_90,
    reading: exact ? 0 : Math.max(0.05 * mu, 0.15),
    step: range.step ?? 1,
    low,
    high,
    ...(range.min !== undefined && range.min < low ? { least: range.min } : {}),
    ...(range.max !== undefined && range.max > high ? { most: range.max } : {}),
  };
}

function centralEnds(range: RangeValue, kind: 'measure' | 'count'): [number, number] {
  const { min, low, high, max, typical } = range;
  if (low !== undefined && high !== undefined) return [low, high];
  if (low === undefined && high === undefined && typical !== undefined) {
    if (kind === 'count') return [typical, typical];
    const half = Math.exp((TYPICAL_SPREAD * CENTRAL_90) / 2);
    return [typical / half, typical * half];
  }
  const lower = low ?? min;
  const upper = high ?? max;
  if (lower !== undefined && upper !== undefined) return [lower, upper];
  if (lower !== undefined) return [lower, kind === 'count' ? Math.ceil(lower * OPEN_END) : lower * OPEN_END];
  const top = upper ?? typical ?? 1;
  return [kind === 'count' ? Math.floor(top / OPEN_END) : top / OPEN_END, top];
}

/** A grid that holds all models with four standard deviations on each side, no coarser than ⅔ of the sharpest. */
export function gridFor(models: readonly RangeModel[], kind: 'measure' | 'count'): Grid {
  if (kind === 'count') {
    const from = Math.max(
      0,
      Math.floor(Math.min(...models.map((m) => (m.least ?? m.low) - 3 * (m.sigma + m.reading) - 1))),
    );
    const to = Math.ceil(Math.max(...models.map((m) => (m.most ?? m.high) + 3 * (m.sigma + m.reading) + 1)));
    return { from, step: 1, size: Math.min(2000, to - from + 1) };
  }
  const spread = models.map((m) => Math.hypot(m.sigma, m.reading));
  const from = Math.min(...models.map((m, i) => m.mu - 4 * spread[i]!));
  const to = Math.max(...models.map((m, i) => m.mu + 4 * spread[i]!));
  const size = Math.min(400, Math.max(24, Math.ceil((to - from) / (Math.min(...spread) / 1.5))));
  return { from, step: (to - from) / (size - 1), size };
}

/** Log-normal readings on the grid, mixed with m·uniform so that no single number is infinitely sure. Sums to 1. */
export function measurePmf(model: RangeModel, grid: Grid, m: number): Float64Array {
  const sd = Math.hypot(model.sigma, model.reading);
  const p = new Float64Array(grid.size);
  for (let i = 0; i < grid.size; i += 1) {
    const z = (grid.from + i * grid.step - model.mu) / sd;
    p[i] = Math.exp(-0.5 * z * z);
  }
  return normalised(p, m);
}

/** Readings of a count: the taxon's own numbers on its step, each misread by a discretised normal, mixed with m·uniform. */
export function countPmf(model: RangeModel, grid: Grid, m: number): Float64Array {
  const own = ownNumbers(model);
  const p = new Float64Array(grid.size);
  for (const [n, weight] of own) {
    if (model.reading === 0) {
      p[n - grid.from]! += weight;
      continue;
    }
    const sd = Math.max(0.05 * n, 0.15);
    let total = 0;
    const spread: [number, number][] = [];
    for (let i = 0; i < grid.size; i += 1) {
      const x = grid.from + i;
      if (Math.abs(x - n) > 6 * sd + 1) continue;
      const mass = normalCdf((x + 0.5 - n) / sd) - normalCdf((x - 0.5 - n) / sd);
      spread.push([i, mass]);
      total += mass;
    }
    for (const [i, mass] of spread) p[i]! += (weight * mass) / (total || 1);
  }
  return normalised(p, m);
}

/** Share of specimens beyond an end of a count's range, where the range names them. */
const BEYOND = 0.05;

function ownNumbers(model: RangeModel): [number, number][] {
  const { step, low, high, least, most } = model;
  const beyond: [number, number][] = [];
  const rare = (from: number, to: number) => {
    const count = Math.floor((to - from) / step) + 1;
    for (let n = from; n <= to; n += step) beyond.push([n, BEYOND / count]);
  };
  if (least !== undefined) rare(least, low - step);
  if (most !== undefined) rare(high + step, most);
  const rest = 1 - beyond.reduce((sum, [, weight]) => sum + weight, 0);
  return [...withinRange(model).map(([n, weight]): [number, number] => [n, weight * rest]), ...beyond];
}

function withinRange({ mu, sigma, step, low, high }: RangeModel): [number, number][] {
  if (sigma === 0) return [[Math.round(mu), 1]];
  const from = low - step * Math.ceil((sigma * 1.5) / step);
  const numbers: [number, number][] = [];
  for (let n = Math.max(0, from); n <= high + sigma * 1.5; n += step) {
    const half = step / 2;
    numbers.push([n, normalCdf((n + half - mu) / sigma) - normalCdf((n - half - mu) / sigma)]);
  }
  const total = numbers.reduce((sum, [, weight]) => sum + weight, 0);
  return numbers.map(([n, weight]) => [n, weight / total]);
}

function normalised(p: Float64Array, m: number): Float64Array {
  const total = p.reduce((sum, x) => sum + x, 0);
  const floor = m / p.length;
  return p.map((x) => (1 - m) * (total ? x / total : 1 / p.length) + floor);
}
