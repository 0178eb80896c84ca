/** What is known of a taxon in one cell. */
export const RANGE_STATUSES = ['native', 'introduced', 'planted', 'rare', 'extirpated'] as const;
export type RangeStatus = (typeof RANGE_STATUSES)[number];

/** Resolution of the H3 grid that ranges are painted on: cells of about 1,770 km², 26 km from center to corner. */
export const RANGE_RESOLUTION = 4;

/** H3 cell index → status. A cell that is not listed holds no record, which is not the same as absence. */
export type RangeCells = Record<string, RangeStatus>;

/** Where a taxon grows, as far as is recorded. */
export interface Range {
  cells: RangeCells;
  /** Where the map comes from: "generalized by hand", a file, occurrence rows. */
  note?: string;
}

export const EMPTY_RANGE: Range = { cells: {} };

/** Statuses under which one may expect to meet the taxon today. */
export const PRESENT: readonly RangeStatus[] = ['native', 'introduced', 'planted', 'rare'];

export const presentCells = (cells: RangeCells): string[] =>
  Object.keys(cells).filter((cell) => PRESENT.includes(cells[cell]!));
