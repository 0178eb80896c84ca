import { done, type Outcome } from '../outcome/index.ts';
import {
  asTyped,
  checkScores,
  parseScore,
  qualifierKey,
  sameStatement,
  type RangeValue,
  type Score,
} from '../score/index.ts';
import { arcsAsText, CALENDAR_PARTS } from '../season/index.ts';
import { languagesOf, scientificName, type Taxon } from '../taxon/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import { normaliseName } from '../names/fold.ts';
import { cell, dateInstead, readTable, withPoint, writeTable, type RowProblem } from './table.ts';

const COLUMNS = [
  'scientific name',
  'character',
  'qualifiers',
  'source',
  'value',
  'min',
  'low',
  'high',
  'max',
  'typical',
  'step',
  'open',
  'n',
  'note',
];
const ENDS = ['min', 'low', 'high', 'max', 'typical', 'step', 'n'] as const;

/** Scores of a library, one row each: what one source says of one character of one taxon. Numbers are in stored units. */
export function writeScoreTable(
  taxa: readonly { taxon: Taxon; scores: readonly Score[] }[],
  vocabulary: Vocabulary,
): string {
  return writeTable(
    COLUMNS,
    taxa.flatMap(({ taxon, scores }) =>
      scores.flatMap((score) => {
        const character = vocabulary.get(score.characterId);
        if (!character) return [];
        const range = score.value.kind === 'range' ? score.value : undefined;
        const end = (name: (typeof ENDS)[number]) => range?.[name] ?? '';
        return [
          [
            scientificName(taxon),
            score.characterId,
            qualifierKey(score.qualifiers),
            score.sourceId,
            asTyped(score.value, character),
            end('min'),
            end('low'),
            end('high'),
            end('max'),
            end('typical'),
            end('step'),
            range?.open ? 'yes' : '',
            end('n'),
            score.note ?? '',
          ],
        ];
      }),
    ),
  );
}

export interface ReadScores {
  /** Scores by the name of the taxon as it is written. */
  taxa: { name: string; scores: Score[] }[];
  problems: RowProblem[];
  ignored: string[];
}

/**
 * Reads a table with one row a score. Where the numeric columns hold something they count, in stored units; otherwise the
 * value is read as it is typed, units and all. Rows that cannot be read are refused one by one.
 */
export function readScoreTable(
  csv: string,
  vocabulary: Vocabulary,
  defaultSource: string,
): Outcome<ReadScores> {
  const table = readTable(csv, [['scientific name', 'taxon', 'name'], ['character'], ['value', ...ENDS]]);
  if (!table.ok) return table;
  const byName = new Map<string, { name: string; scores: Score[] }>();
  const problems: RowProblem[] = [];
  for (const row of table.value.rows) {
    const refuse = (message: string) => problems.push({ line: row.line, message });
    const name = cell(row, 'scientific name', 'taxon', 'name');
    const characterId = cell(row, 'character');
    const character = vocabulary.get(characterId);
    if (!name) {
      refuse('The row names no taxon.');
      continue;
    }
    if (!character) {
      refuse(`There is no character “${characterId}”. Add it under Characters first, or correct its id.`);
      continue;
    }
    const ends = ENDS.flatMap((end): [string, number][] => {
      const text = withPoint(cell(row, end), table.value);
      return text ? [[end, Number(text)]] : [];
    });
    const numeric = character.kind === 'measure' || character.kind === 'count';
    const typed = numeric ? withPoint(cell(row, 'value'), table.value) : cell(row, 'value');
    const date = numeric && ends.length === 0 ? dateInstead(typed) : undefined;
    if (date) {
      refuse(`${name}: ${date}`);
      continue;
    }
    const value =
      ends.length > 0 && numeric
        ? done({
            kind: 'range',
            ...Object.fromEntries(ends),
            ...(cell(row, 'open') ? { open: true } : {}),
          } as RangeValue)
        : parseScore(typed, character);
    if (!value.ok) {
      refuse(`${name}: ${value.problem}`);
      continue;
    }
    const note = cell(row, 'note');
    const score: Score = {
      characterId,
      sourceId: cell(row, 'source') || defaultSource,
      qualifiers: qualifiersOf(cell(row, 'qualifiers')),
      value: value.value,
      ...(note ? { note } : {}),
    };
    const wrong = checkScores([score], vocabulary).find((problem) => problem.severity === 'error');
    if (wrong || ends.some(([, n]) => !Number.isFinite(n))) {
      refuse(`${name}: ${wrong?.message ?? `the numbers of ${character.term} could not be read.`}`);
      continue;
    }
    const key = normaliseName(name);
    const held = byName.get(key) ?? { name, scores: [] };
    const twice = held.scores.find((other) => sameStatement(other, score));
    if (twice) {
      if (JSON.stringify(twice.value) !== JSON.stringify(score.value))
        refuse(
          `${name}: ${character.term} from “${score.sourceId}” stands here a second time with another value. Keep one of the two lines.`,
        );
      continue;
    }
    held.scores.push(score);
    byName.set(key, held);
  }
  const known = new Set([...COLUMNS, 'taxon', 'name']);
  return done({
    taxa: [...byName.values()],
    problems,
    ignored: table.value.columns.filter((column) => column && !known.has(column.toLowerCase())),
  });
}

const qualifiersOf = (text: string): Score['qualifiers'] =>
  Object.fromEntries(
    text
      .split(';')
      .filter((pair) => pair.includes('='))
      .map((pair) => pair.trim().split('=')),
  );

const NAMES: [string, (taxon: Taxon) => string][] = [
  ['scientific name', scientificName],
  ['authority', ({ authority }) => authority ?? ''],
  ['family', ({ family }) => family],
  ['family common', ({ familyCommon }) => familyCommon ?? ''],
  ['common names', ({ commonNames }) => commonNames.join('; ')],
  ['synonyms', ({ synonyms }) => synonyms.join('; ')],
  ['meaning', ({ meaning }) => meaning ?? ''],
  ['memory aid', ({ memoryAid }) => memoryAid ?? ''],
  ['fact', ({ fact }) => fact ?? ''],
];

/** A taxa × characters table of what one source says: a row a taxon, a column for each character and qualifier in use. */
export function writeTaxonTable(
  taxa: readonly { taxon: Taxon; scores: readonly Score[] }[],
  vocabulary: Vocabulary,
  sourceId: string,
): string {
  const said = taxa.map(({ taxon, scores }) => ({
    taxon,
    scores: scores.filter((score) => score.sourceId === sourceId && vocabulary.has(score.characterId)),
  }));
  const columnOf = (score: Score) => {
    const qualifiers = qualifierKey(score.qualifiers).replaceAll(';', ', ');
    return `${score.characterId}${qualifiers ? ` [${qualifiers}]` : ''}`;
  };
  const order = [...vocabulary.keys()];
  const columns = [...new Set(said.flatMap(({ scores }) => scores.map(columnOf)))].sort(
    (a, b) => order.indexOf(a.split(' ')[0]!) - order.indexOf(b.split(' ')[0]!) || a.localeCompare(b),
  );
  const languages = languagesOf(taxa);
  const months = CALENDAR_PARTS.filter((part) => taxa.some(({ taxon }) => taxon.calendar[part]?.length));
  return writeTable(
    [
      ...NAMES.map(([title]) => title),
      ...languages.map((tag) => `common names [${tag}]`),
      ...months.map((part) => `calendar.${part}`),
      ...columns,
    ],
    said.map(({ taxon, scores }) => {
      const cells = new Map(
        scores.map((score) => [columnOf(score), asTyped(score.value, vocabulary.get(score.characterId)!)]),
      );
      return [
        ...NAMES.map(([, of]) => of(taxon)),
        ...languages.map((tag) => (taxon.namesIn?.[tag] ?? []).join('; ')),
        ...months.map((part) => arcsAsText(taxon.calendar[part] ?? [])),
        ...columns.map((column) => cells.get(column) ?? ''),
      ];
    }),
  );
}
