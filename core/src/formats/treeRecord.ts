import { girthOf } from '../field/index.ts';
import {
  CUTTINGS,
  HAZARDS,
  newTree,
  REACHED_ORGANS,
  REACHES,
  SEXES,
  STAGES,
  type TreeFacts,
} from '../grounds/index.ts';
import { columnKey } from './table.ts';

/** Columns of a table of trees, and the fields of one in GeoJSON and GPX. */
export const TREE_COLUMNS = [
  'tag',
  'taxon',
  'confirmed_by',
  'latitude',
  'longitude',
  'elevation_m',
  'stage',
  'sex',
  'girth_cm',
  'height_m',
  'spread_m',
  'reach',
  'step_free',
  'access',
  'cutting',
  'permission',
  'until',
  'hazards',
  'note',
] as const;
export type TreeColumn = (typeof TREE_COLUMNS)[number];

/** What others call these columns; of lengths with the factor that makes metres of them. */
const OTHER_NAMES: Partial<Record<TreeColumn, readonly string[]>> = {
  tag: ['id', 'tree', 'treeid', 'treetag', 'treeno', 'treenumber', 'number', 'no', 'label', 'code'],
  taxon: [
    'species',
    'scientificname',
    'botanicalname',
    'latinname',
    'commonname',
    'speciesname',
    'kind',
    'genusspecies',
  ],
  latitude: ['lat', 'decimallatitude', 'y', 'gpslat', 'ycoord'],
  longitude: ['lon', 'lng', 'long', 'decimallongitude', 'x', 'gpslon', 'xcoord'],
  elevation_m: ['elevation', 'altitude', 'ele'],
  note: ['notes', 'remark', 'remarks', 'comment', 'comments', 'desc', 'description'],
  confirmed_by: ['confirmedby', 'determinedby', 'identifiedby'],
};
const CM = 0.01;
const INCH = 0.0254;
const FOOT = 0.3048;
type Length = readonly [name: string, factor: number];
const GIRTHS: readonly Length[] = [
  ['girthcm', CM],
  ['girthm', 1],
  ['girthin', INCH],
  ['circumferencecm', CM],
  ['circumferencein', INCH],
  ['circumference', CM],
  ['gbhcm', CM],
  ['girth', CM],
];
const DIAMETERS: readonly Length[] = [
  ['dbhcm', CM],
  ['dbhin', INCH],
  ['dbhm', 1],
  ['dbhmm', 0.001],
  ['diametercm', CM],
  ['diameterin', INCH],
  ['diameter', CM],
  ['dbh', CM],
];
const HEIGHTS: readonly Length[] = [
  ['heightm', 1],
  ['heightft', FOOT],
  ['treeheightm', 1],
  ['height', 1],
];
const SPREADS: readonly Length[] = [
  ['spreadm', 1],
  ['spreadft', FOOT],
  ['crownspreadm', 1],
  ['crownspreadft', FOOT],
  ['crownwidthm', 1],
  ['crowndiameterm', 1],
  ['spread', 1],
  ['crownspread', 1],
];

/** Every name that something of a tree is read under. */
export const READ_NAMES: ReadonlySet<string> = new Set([
  ...TREE_COLUMNS.map(columnKey),
  ...Object.values(OTHER_NAMES).flat(),
  ...[...GIRTHS, ...DIAMETERS, ...HEIGHTS, ...SPREADS].map(([name]) => name),
]);

const trimmed = (value: number, digits: number): string => String(Number(value.toFixed(digits)));

/**
 * A tree as texts by column: lengths in metres, girths of its stems in centimetres, degrees to a centimetre on the ground.
 *
 * @param nameOf the scientific name of a taxon
 * @example
 * treeRecord({ ...newTree('T-7', 47.6, -116.4), girths: [0.6, 0.8] }, nameOf).girth_cm; // '60 + 80'
 */
export function treeRecord(tree: TreeFacts, nameOf: (taxonId: string) => string): Record<TreeColumn, string> {
  const length = (metres: number | null) => (metres === null ? '' : trimmed(metres, 4));
  return {
    tag: tree.tag,
    taxon: tree.taxonId === null ? '' : nameOf(tree.taxonId),
    confirmed_by: tree.confirmedBy,
    latitude: trimmed(tree.latitude, 7),
    longitude: trimmed(tree.longitude, 7),
    elevation_m: length(tree.elevation),
    stage: tree.stage,
    sex: tree.sex,
    girth_cm: tree.girths.map((girth) => trimmed(100 * girth, 2)).join(' + '),
    height_m: length(tree.height),
    spread_m: length(tree.spread),
    reach: REACHED_ORGANS.flatMap((organ) =>
      tree.reach[organ] ? `${organ}: ${tree.reach[organ]}` : [],
    ).join('; '),
    step_free: tree.stepFree ? 'yes' : 'no',
    access: tree.access,
    cutting: tree.cutting,
    permission: tree.permission,
    until: tree.until ?? '',
    hazards: tree.hazards.join('; '),
    note: tree.note,
  };
}

export interface ReadTree {
  tree: TreeFacts;
  /** What was read in another way than it stands, or not at all. */
  remarks: string[];
}

/**
 * A tree of texts by column, ours or another’s. What is not known of it stays open; a name that is on no list goes into its note.
 *
 * @param record texts under names made equal by `columnKey`
 * @param taxonOf the taxon that goes by a name
 * @returns the tree, or a sentence that says what is wrong with it
 */
export function treeOf(
  record: Readonly<Record<string, string>>,
  taxonOf: (name: string) => string | undefined,
): ReadTree | string {
  const text = (column: TreeColumn): string =>
    [columnKey(column), ...(OTHER_NAMES[column] ?? [])]
      .map((name) => record[name]?.trim() ?? '')
      .find(Boolean) ?? '';
  const tag = text('tag');
  if (tag === '') return 'It has no tag. Give each tree a tag or number.';
  if (tag.length > 40) return `The tag “${tag.slice(0, 40)}…” is longer than 40 characters.`;
  const [latitude, longitude] = [degrees(text('latitude')), degrees(text('longitude'))];
  if (latitude === undefined || longitude === undefined)
    return `Tree ${tag} has no place (“${text('latitude')}, ${text('longitude')}”). Write decimal degrees, such as 47.6 and -116.4.`;
  if (Math.abs(latitude) > 90 || Math.abs(longitude) > 180)
    return `Tree ${tag} lies off the globe (${latitude}, ${longitude}). Are latitude and longitude swapped?`;
  const remarks: string[] = [];
  const written = text('taxon');
  const taxonId = written === '' ? undefined : taxonOf(written);
  if (written && !taxonId)
    remarks.push(`${tag}: “${written}” is no species of the library; it stands in the note.`);
  const choice = <T extends string>(column: TreeColumn, options: readonly T[], usual: T): T => {
    const said = text(column).toLowerCase();
    const found = options.find((option) => option === said);
    if (said && !found)
      remarks.push(
        `${tag}: ${column} “${text(column)}” is none of ${options.join(', ')}; ${usual} is taken.`,
      );
    return found ?? usual;
  };
  const length = (names: readonly Length[]) =>
    lengthOf(record, names, (why) => remarks.push(`${tag}: ${why}`));
  const girths = lengthsOf(record, GIRTHS, (why) => remarks.push(`${tag}: ${why}`));
  const diameters =
    girths.length > 0 ? [] : lengthsOf(record, DIAMETERS, (why) => remarks.push(`${tag}: ${why}`));
  const until = text('until');
  const day = /^\d{4}-\d{2}-\d{2}$/.test(until) && !Number.isNaN(Date.parse(until)) ? until : null;
  if (until && !day)
    remarks.push(`${tag}: “${until}” is no day such as 2026-10-31; no end of the leave is taken.`);
  const elevation = degrees(text('elevation_m'));
  const note = text('note');
  const usual = newTree(tag, latitude, longitude);
  return {
    tree: {
      ...usual,
      taxonId: taxonId ?? null,
      confirmedBy: text('confirmed_by'),
      elevation: elevation ?? null,
      stage: choice('stage', STAGES, usual.stage),
      sex: choice('sex', SEXES, usual.sex),
      girths: girths.length > 0 ? girths : diameters.map((diameter) => round(girthOf(diameter))),
      height: length(HEIGHTS),
      spread: length(SPREADS),
      reach: reachOf(text('reach')),
      stepFree: /^(yes|y|true|1)$/i.test(text('step_free')),
      access: text('access'),
      cutting: choice('cutting', CUTTINGS, usual.cutting),
      permission: text('permission'),
      until: day,
      hazards: HAZARDS.filter((hazard) => text('hazards').split(/;\s*/).includes(hazard)),
      note: written && !taxonId ? [`Named “${written}”.`, note].filter(Boolean).join(' ') : note,
    },
    remarks,
  };
}

const degrees = (text: string): number | undefined =>
  /^[-+]?\d+(\.\d+)?(e[-+]?\d+)?$/i.test(text) ? Number(text) : undefined;
const round = (value: number): number => Number(value.toFixed(6));

function lengthsOf(
  record: Readonly<Record<string, string>>,
  names: readonly Length[],
  tell: (why: string) => void,
): number[] {
  const found = names.find(([name]) => record[name]?.trim());
  if (!found) return [];
  const [name, factor] = found;
  const text = record[name]!.trim();
  const numbers = text.split(/\s*[+;/]\s*/).map(Number);
  if (numbers.every((value) => Number.isFinite(value) && value > 0 && value * factor < 150))
    return numbers.map((value) => round(value * factor));
  tell(`${name} “${text}” is no length, and is left out.`);
  return [];
}

const lengthOf = (...asked: Parameters<typeof lengthsOf>): number | null => lengthsOf(...asked)[0] ?? null;

const reachOf = (text: string): TreeFacts['reach'] =>
  Object.fromEntries(
    text.split(/;\s*/).flatMap((piece) => {
      const [organ, reach] = piece.split(/:\s*/);
      const isKnown = REACHED_ORGANS.some((each) => each === organ) && REACHES.some((each) => each === reach);
      return isKnown ? [[organ!, reach!]] : [];
    }),
  );
