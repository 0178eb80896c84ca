import { seedOf } from '../random/index.ts';

/**
 * By lot, whether a student is told at a station what to look at first: half of them are, others at each station. It follows from the two ids, so
 * that every device of a student shows the same and nothing has to be kept.
 */
export const isPrompted = (stationId: string, studentId: string): boolean =>
  // The lowest bit of the hash is but the parity of the letters.
  ((seedOf('prompt', stationId, studentId) >>> 16) & 1) === 1;
