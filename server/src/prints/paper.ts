import type { Paper } from '@hurrow/contract/prints';

/** Width and height of the paper in points. */
export const PAPER_SIZE: Record<Paper, { name: 'A4' | 'LETTER'; width: number; height: number }> = {
  a4: { name: 'A4', width: 595.28, height: 841.89 },
  letter: { name: 'LETTER', width: 612, height: 792 },
};
