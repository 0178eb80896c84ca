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

/**
 * Lengths are log-normal with `σ = (ln high − ln low)/3.29`; counts are normal with `σ = (high − low)/3.29`, put on whole
 * numbers. Reading error: CV 10 % by eye, 3 % with a rule; for counts 0.05·n with a floor of 0.15.
 */
export function rangeModel(
  range: RangeValue,
  kind: 'measure' | 'count',
  view: Pick<View, 'aids'>,
): RangeModel {
  const [low, high] = centralEnds(range, kind);
  if (kind === 'measure') {
    const [a, b] = [Math.log(Math.max(low, 1e-9)), Math.log(Math.max(high, 1e-9))];
    return {
      mu: (a + b) / 2,
      sigma: (b - a) / CENTRAL_90,
      reading: view.aids.includes('rule') ? 0.03 : 0.1,
      step: 1,
      low,
      high,
    };
  }
  const mu = (low + high) / 2;
  return {
    mu,
    sigma: (high - low) / CENTRAL_90,
    reading: Math.max(0.05 * mu, 0.15),
    step: range.step ?? 1,
    low,
    high,
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
      Math.floor(Math.min(...models.map((m) => m.low - 3 * (m.sigma + m.reading) - 1))),
    );
    const to = Math.ceil(Math.max(...models.map((m) => m.high + 3 * (m.sigma + m.reading) + 1)));
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

function ownNumbers({ mu, sigma, step, low, high }: RangeModel): [number, number][] {
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

/** Standard normal distribution function (Abramowitz & Stegun 1964, 7.1.26 on erf; absolute error under 1.5e−7). */
export function normalCdf(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const poly =
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const erf = 1 - poly * Math.exp(-x * x);
  return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}
