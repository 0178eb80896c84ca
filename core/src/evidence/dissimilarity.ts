import { characterEvidence } from './bhattacharyya.ts';
import type { Readings } from './readings.ts';

/**
 * How unlike two taxa are, 0–1: the mean over the characters known for both of `1 − e^(−evidence)`, in the manner of Gower's general coefficient (J. C. Gower
 * 1971, Biometrics 27: 857–871). Unlike the sum of evidence it does not grow with how many characters two taxa share, so that it can order a list. 1 where
 * nothing is known for both.
 */
export function dissimilarity(readings: Readings, a: number, b: number): number {
  let [sum, known] = [0, 0];
  for (const channels of readings.channels.values()) {
    const found = characterEvidence(channels, a, b);
    if (!found) continue;
    sum += 1 - Math.exp(-found.evidence);
    known += 1;
  }
  return known ? sum / known : 1;
}
