import { done, type Outcome } from '../outcome/index.ts';
import {
  cellAt,
  middleOf,
  RANGE_STATUSES,
  type Range,
  type RangeCells,
  type RangeStatus,
} from '../range/index.ts';
import { cell, readTable, withPoint, writeTable, type RowProblem } from './table.ts';

/** `establishmentMeans` and `occurrenceStatus` of Darwin Core for each status of a cell. */
const MEANS: Record<RangeStatus, { means: string; remarks: string }> = {
  native: { means: 'native', remarks: '' },
  introduced: { means: 'introduced', remarks: '' },
  planted: { means: 'introduced', remarks: 'planted' },
  rare: { means: 'native', remarks: 'rare' },
  extirpated: { means: 'native', remarks: 'extirpated' },
};

/**
 * Ranges as Darwin Core occurrence rows, one a cell at its middle: `coordinateUncertaintyInMeters` is the distance from the
 * middle to the farthest corner of a cell, rounded up.
 */
export function writeDarwinCore(ranges: readonly { scientificName: string; range: Range }[]): string {
  return writeTable(
    [
      'scientificName',
      'decimalLatitude',
      'decimalLongitude',
      'coordinateUncertaintyInMeters',
      'occurrenceStatus',
      'establishmentMeans',
      'occurrenceRemarks',
    ],
    ranges.flatMap(({ scientificName, range }) =>
      Object.entries(range.cells).map(([index, status]) => {
        const { latitude, longitude } = middleOf(index);
        return [
          scientificName,
          Number(latitude.toFixed(5)),
          Number(longitude.toFixed(5)),
          30000,
          status === 'extirpated' ? 'absent' : 'present',
          MEANS[status].means,
          MEANS[status].remarks,
        ];
      }),
    ),
  );
}

export interface ReadOccurrences {
  /** Cells by scientific name as written; empty where the rows name none. */
  ranges: { scientificName: string; range: Range }[];
  rows: number;
  problems: RowProblem[];
  ignored: string[];
}

const KNOWN = [
  'scientificName',
  'decimalLatitude',
  'decimalLongitude',
  'coordinateUncertaintyInMeters',
  'occurrenceStatus',
  'establishmentMeans',
  'occurrenceRemarks',
];
/** Rows less certain than this, in metres, say nothing of a cell. */
const TOO_VAGUE = 50_000;

/**
 * Reads occurrence rows into cells. Rows without a place, out of the world, too uncertain, or at 0° 0° are refused; rows that
 * say the taxon is absent mark nothing unless their remark is "extirpated". Where rows differ in a cell, native counts most.
 */
export function readDarwinCore(csv: string): Outcome<ReadOccurrences> {
  const table = readTable(csv, [['decimalLatitude'], ['decimalLongitude']]);
  if (!table.ok) return table;
  const problems: RowProblem[] = [];
  const byName = new Map<string, RangeCells>();
  let rows = 0;
  for (const row of table.value.rows) {
    const refuse = (message: string) => problems.push({ line: row.line, message });
    const number = (column: string) => withPoint(cell(row, column), table.value);
    const [latText, lonText] = [number('decimalLatitude'), number('decimalLongitude')];
    const [latitude, longitude] = [Number(latText), Number(lonText)];
    if (!latText || !lonText || !Number.isFinite(latitude) || !Number.isFinite(longitude)) {
      refuse(`“${latText}, ${lonText}” is no place. Write decimal degrees, such as 47.6 and -116.4.`);
      continue;
    }
    if (Math.abs(latitude) > 90 || Math.abs(longitude) > 180) {
      refuse(`${latText}, ${lonText} lies off the globe. Are latitude and longitude swapped?`);
      continue;
    }
    if (latitude === 0 && longitude === 0) {
      refuse('0, 0 stands for a place that was not recorded.');
      continue;
    }
    if (Number(number('coordinateUncertaintyInMeters')) > TOO_VAGUE) {
      refuse(`The place is uncertain by ${cell(row, 'coordinateUncertaintyInMeters')} m, more than a cell.`);
      continue;
    }
    const status = statusOf(
      cell(row, 'occurrenceStatus'),
      cell(row, 'establishmentMeans'),
      cell(row, 'occurrenceRemarks'),
    );
    if (!status) continue;
    rows += 1;
    const name = cell(row, 'scientificName');
    const cells = byName.get(name) ?? {};
    const index = cellAt(latitude, longitude);
    const held = cells[index];
    if (!held || RANGE_STATUSES.indexOf(status) < RANGE_STATUSES.indexOf(held)) cells[index] = status;
    byName.set(name, cells);
  }
  const known = new Set(KNOWN.map((column) => column.toLowerCase()));
  return done({
    ranges: [...byName].map(([scientificName, cells]) => ({ scientificName, range: { cells } })),
    rows,
    problems,
    ignored: table.value.columns.filter((column) => column && !known.has(column.toLowerCase())),
  });
}

function statusOf(occurrence: string, means: string, remarks: string): RangeStatus | undefined {
  const remark = remarks.toLowerCase();
  if (/extirpated/.test(remark)) return 'extirpated';
  if (/absent/i.test(occurrence)) return undefined;
  if (/planted|cultivated|managed/i.test(`${remark} ${means}`)) return 'planted';
  if (/introduced|naturali[sz]ed|invasive|adventive|nonnative|non-native/i.test(means)) return 'introduced';
  return /\brare\b/.test(remark) ? 'rare' : 'native';
}
