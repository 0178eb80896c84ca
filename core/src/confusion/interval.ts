import { normalCdf } from '../random/index.ts';

/**
 * Highest-density interval of a normal distribution cut at 0, as shares of what is left of it: `{x ≥ 0 : |x − mean| ≤ r}`.
 * @param content 0–1, 0.9 by default.
 */
export function cutNormalInterval(mean: number, sd: number, content = 0.9): [number, number] {
  const bound = -mean / sd;
  if (bound > 3) return [0, sd * (tailQuantile(bound, content) - bound)];
  const below = normalCdf(bound);
  const massWithin = (r: number) => normalCdf(r / sd) - Math.max(below, normalCdf(-r / sd));
  const wanted = content * (1 - below);
  let [low, high] = [Math.max(0, -mean), Math.abs(mean) + 8 * sd];
  for (let i = 0; i < 80; i += 1) {
    const r = (low + high) / 2;
    if (massWithin(r) < wanted) low = r;
    else high = r;
  }
  return [Math.max(0, mean - high), mean + high];
}

/** Below which `content` of the normal distribution beyond a far bound lies; its tail is φ(z)/z·(1 − 1/z²) but for some thousandths. */
function tailQuantile(bound: number, content: number): number {
  const logTail = (z: number) => -(z * z) / 2 - Math.log(z) + Math.log1p(-1 / (z * z));
  const wanted = logTail(bound) + Math.log(1 - content);
  let z = bound;
  for (let i = 0; i < 20; i += 1) z += (logTail(z) - wanted) / (z + 1 / z);
  return z;
}
