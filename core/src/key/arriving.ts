import type { Channel } from '../evidence/index.ts';

/** The taxa at a node, by place in the list, and how much of each comes there. */
export interface Arriving {
  taxa: Int32Array;
  weights: Float64Array;
  /** What is left of the support of every channel that was asked for on the way. */
  asked: ReadonlyMap<Channel, Uint8Array>;
}
