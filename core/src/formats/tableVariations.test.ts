import { BUILT_IN } from '../vocabulary/index.ts';
import type { NamedTaxon } from '../names/index.ts';
import { readDarwinCore, readResponses, readRoster, readScoreTable, readTaxonTable } from './index.ts';

/** How a spreadsheet may have written a table. */
interface Variation {
  separator: string;
  quotes: 'all' | 'needed';
  newline: string;
  bom: boolean;
  end: '' | 'one' | 'two';
  blankLines: boolean;
  extraColumn: boolean;
  reversed: boolean;
  trailingCells: boolean;
  titleLine: boolean;
}

const choices: { [K in keyof Variation]: readonly Variation[K][] } = {
  separator: [',', ';', '\t'],
  quotes: ['all', 'needed'],
  newline: ['\n', '\r\n', '\r'],
  bom: [false, true],
  end: ['', 'one', 'two'],
  blankLines: [false, true],
  extraColumn: [false, true],
  reversed: [false, true],
  trailingCells: [false, true],
  titleLine: [false, true],
};

/** Every fifth combination of the choices: five has no part in their numbers, so that any few of them meet in every way. */
const VARIATIONS = Object.entries(choices)
  .reduce<object[]>(
    (all, [name, values]) => all.flatMap((one) => values.map((value) => ({ ...one, [name]: value }))),
    [{}],
  )
  .filter((_, i) => i % 5 === 0) as Variation[];

/** A table written in one of the ways; numbers get a decimal comma where the separator is a semicolon. */
function written(table: readonly (readonly string[])[], how: Variation): string {
  const width = table[0]!.length;
  const order = Array.from({ length: width }, (_, i) => (how.reversed ? width - 1 - i : i));
  const quote = (cell: string) =>
    how.quotes === 'all' || cell.includes(how.separator) || /["\n]/.test(cell)
      ? `"${cell.replaceAll('"', '""')}"`
      : cell;
  const rows = table.map((row, r) => {
    const cells = order.map((i) => row[i]!);
    if (how.separator === ';' && r > 0)
      cells.forEach((cell, i) => (cells[i] = cell.replace(/(\d)\.(\d)/g, '$1,$2')));
    if (how.extraColumn) cells.push(r === 0 ? 'remarks' : 'seen; twice, "well"');
    if (how.trailingCells) cells.push('', '');
    return cells.map(quote).join(how.separator);
  });
  const empty = how.trailingCells ? how.separator.repeat(width + 1) : '';
  const lines = how.blankLines ? [rows[0]!, empty, ...rows.slice(1), empty] : rows;
  if (how.titleLine) lines.unshift('Trees of our county');
  const end = how.end === '' ? '' : how.end === 'one' ? how.newline : how.newline.repeat(2);
  return (how.bom ? '\uFEFF' : '') + lines.join(how.newline) + end;
}

const list: NamedTaxon[] = [
  {
    id: 'birch',
    rank: 'species',
    genus: 'Betula',
    epithet: 'papyrifera',
    family: 'Betulaceae',
    commonNames: ['paper birch'],
    synonyms: [],
  },
];

/** One table of each format, how it is read, and what of it must come out whatever way it was written. */
const FORMATS: Record<string, { table: string[][]; needs: number; read(text: string): unknown }> = {
  taxa: {
    needs: 0,
    table: [
      [
        'scientific name',
        'family',
        'common names',
        'leaf.length',
        'leaf.shape',
        'bark.surface [plantAge=young]',
      ],
      [
        'Acer rubrum',
        'Sapindaceae',
        'red maple; soft maple',
        '4.5–7.5 cm',
        'ovate; sometimes elliptic',
        'smooth',
      ],
      ['Betula nigra', 'Betulaceae', 'river birch', '3.5–9 cm', 'ovate', ''],
    ],
    read: (text) => {
      const read = readTaxonTable(text, BUILT_IN, 'own');
      if (!read.ok) return read;
      // Scores come in the order of the columns, which is one of the things that vary.
      const rows = read.value.rows.map(({ taxon, scores }) => ({
        taxon,
        scores: scores.sort((a, b) => a.characterId.localeCompare(b.characterId)),
      }));
      return [rows, read.value.problems];
    },
  },
  scores: {
    needs: 0,
    table: [
      ['scientific name', 'character', 'source', 'value', 'low', 'high', 'note'],
      ['Acer rubrum', 'leaf.length', 'own', '', '0.045', '0.075', 'ten leaves, one tree'],
      ['Acer rubrum', 'leaf.width', 'own', '4.5–7 cm', '', '', ''],
      ['Betula nigra', 'leaf.shape', 'own', 'ovate; sometimes elliptic', '', '', 'he said "often"'],
    ],
    read: (text) => {
      const read = readScoreTable(text, BUILT_IN, 'own');
      return read.ok ? [read.value.taxa, read.value.problems] : read;
    },
  },
  roster: {
    needs: 0,
    table: [
      ['name', 'code'],
      ['Rowan Achterberg', 'ROWAN1'],
      ['Idowu, Selma', ''],
    ],
    read: (text) => {
      const read = readRoster(text, []);
      return read.ok ? [read.value.rows.map(({ line: _, ...row }) => row), read.value.problems] : read;
    },
  },
  responses: {
    needs: 0,
    table: [
      ['student', 'station', 'answer', 'saw'],
      ['Rowan Achterberg', '1', 'paper birch', 'teeth: double; white bands: none'],
      ['K7', '2', 'birch, I think', ''],
    ],
    read: (text) => {
      const asks = ['leaf.teeth', 'needle.bands'].map((id) => BUILT_IN.get(id)!);
      const read = readResponses(text, {
        students: [
          { id: 's1', name: 'Rowan Achterberg', code: 'A1' },
          { id: 's2', name: 'Selma Idowu', code: 'K7' },
        ],
        stations: [
          { id: 't1', position: 1, asks },
          { id: 't2', position: 2, asks },
        ],
        list,
      });
      return read.ok ? [read.value.rows.map(({ line: _, ...row }) => row), read.value.problems] : read;
    },
  },
  occurrences: {
    needs: 1,
    table: [
      ['scientificName', 'decimalLatitude', 'decimalLongitude', 'establishmentMeans'],
      ['Abies grandis', '47.61', '-116.42', 'native'],
      ['Abies grandis', '46.25', '-115.5', ''],
    ],
    read: (text) => {
      const read = readDarwinCore(text);
      return read.ok ? [read.value.ranges, read.value.problems] : read;
    },
  },
};

const plain: Variation = {
  separator: ',',
  quotes: 'needed',
  newline: '\n',
  bom: false,
  end: '',
  blankLines: false,
  extraColumn: false,
  reversed: false,
  trailingCells: false,
  titleLine: false,
};

describe(`${VARIATIONS.length} ways to write a table, ${VARIATIONS.length * Object.keys(FORMATS).length} files`, () => {
  test.each(Object.entries(FORMATS))('%s read the same in every one', (_, { table, read }) => {
    const wanted = read(written(table, plain));
    expect(wanted).toMatchObject([expect.anything(), []]);
    const failed = VARIATIONS.filter(
      (how) => JSON.stringify(read(written(table, how))) !== JSON.stringify(wanted),
    );
    expect(failed.slice(0, 3)).toEqual([]);
  });

  test.each(Object.entries(FORMATS))(
    '%s without a needed column are refused with line and columns',
    (_, { table, needs, read }) => {
      const cut = table.map((row) => row.map((cell, i) => (i === needs ? 'x' : cell)));
      for (const how of VARIATIONS.filter(({ extraColumn, titleLine }) => !extraColumn && !titleLine)) {
        const refusal = read(written(cut, how)) as { problem: string };
        expect(refusal.problem).toMatch(
          new RegExp(`^Line 1: the column “${table[0]![needs]}” is missing .*x`),
        );
      }
    },
  );
});

test('bad rows are named by the line of the file, blank lines, titles and cells of several lines counted', () => {
  const text = '\uFEFFOur list\r\n\r\nname;code\r\nRowan;"A\r\n1"\r\n;X1\r\n\r\nRowan;B2';
  expect(readRoster(text, [])).toMatchObject({ value: { problems: [{ line: 6 }, { line: 8 }] } });
});

test('a quotation mark that is never closed is named by its line', () => {
  expect(readRoster('name,code\nAva,1\n"Ben,2\nCleo,3', [])).toMatchObject({
    ok: false,
    problem: expect.stringMatching(/^Line 3: a quotation mark is opened and never closed/) as string,
  });
});

test('a range that a spreadsheet made a date of is refused with what to do', () => {
  const read = readTaxonTable(
    'scientific name,family,leaf.lobes\nAcer rubrum,Sapindaceae,9-May',
    BUILT_IN,
    'own',
  );
  expect(read).toMatchObject({
    value: { problems: [{ line: 2, message: expect.stringContaining('is a date') as string }] },
  });
});

test('columns go by the words of a character as well as by its id', () => {
  const read = readTaxonTable(
    'Species,Family,Blade length,Lobing\nAcer rubrum,Sapindaceae,6–10 cm,palmately lobed',
    BUILT_IN,
    'own',
  );
  expect(read).toMatchObject({
    value: {
      problems: [],
      ignored: [],
      rows: [{ scores: [{ characterId: 'leaf.length' }, { characterId: 'leaf.lobing' }] }],
    },
  });
});

test('the same score twice in a table counts once; with another value the second line is refused', () => {
  const rows = [
    'Acer rubrum,leaf.shape,ovate',
    'Acer rubrum,leaf.shape,ovate',
    'Acer rubrum,leaf.shape,elliptic',
  ];
  expect(readScoreTable(`taxon,character,value\n${rows.join('\n')}`, BUILT_IN, 'own')).toMatchObject({
    value: { taxa: [{ scores: [{ characterId: 'leaf.shape' }] }], problems: [{ line: 4 }] },
  });
});

test('any three choices meet in every way', () => {
  const names = Object.keys(choices) as (keyof Variation)[];
  const met = (...three: (keyof Variation)[]) =>
    new Set(VARIATIONS.map((how) => JSON.stringify(three.map((name) => how[name])))).size;
  const ways = (...three: (keyof Variation)[]) => three.reduce((n, name) => n * choices[name].length, 1);
  for (const [i, a] of names.entries())
    for (const [j, b] of names.slice(i + 1).entries())
      for (const c of names.slice(i + j + 2))
        expect([a, b, c, met(a, b, c)]).toEqual([a, b, c, ways(a, b, c)]);
});
