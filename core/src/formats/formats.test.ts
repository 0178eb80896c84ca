import { BUILT_IN } from '../vocabulary/index.ts';
import type { NamedTaxon } from '../names/index.ts';
import { readSaw } from './saw.ts';
import { readResponses, readRoster, readTable, readTaxonTable, writeTable } from './index.ts';

test('a roster without its column says which and what was found', () => {
  expect(readRoster('given,code\nAva,1', [])).toMatchObject({
    ok: false,
    problem: expect.stringContaining('“name” is missing (columns found: given, code)') as string,
  });
});

test('a roster keeps its good rows and points at the bad ones by line', () => {
  const read = readRoster('Name;Code\nRowan  Achterberg;\n;X1\nSelma Idowu;S7\nrowan achterberg;', [
    'Tomas Ek',
  ]);
  expect(read).toMatchObject({
    ok: true,
    value: {
      rows: [
        { name: 'Rowan Achterberg', code: '' },
        { name: 'Selma Idowu', code: 'S7' },
      ],
      problems: [{ line: 3 }, { line: 5 }],
    },
  });
});

test('an empty file is refused', () => {
  expect(readTable(' \n', [])).toMatchObject({
    ok: false,
    problem: expect.stringContaining('empty') as string,
  });
});

test('cells that a spreadsheet would run are made harmless', () => {
  expect(writeTable(['a'], [['=1+1']])).toContain("'=1+1");
});

describe('taxa × characters', () => {
  const csv = `scientific name,family,common names,calendar.leaves,leaf.length,leaf.shape,bark.surface [plantAge=young],mood
Acer rubrum,Sapindaceae,"red maple; soft maple",1 May – 20 Oct,4–7 in,ovate; sometimes elliptic,smooth,calm
Ulmus,Ulmaceae,elm,,,,,
Ulmus americana,Ulmaceae,elm,,9–4 cm,wobbly,,`;
  const read = readTaxonTable(csv, BUILT_IN, 'own');
  test('names, calendar, scores and qualifiers are read', () => {
    expect(read).toMatchObject({ ok: true });
    if (!read.ok) return;
    const maple = read.value.rows[0]!;
    expect(maple.taxon).toMatchObject({
      genus: 'Acer',
      epithet: 'rubrum',
      commonNames: ['red maple', 'soft maple'],
      calendar: { leaves: [{ from: 121, to: 293 }] },
    });
    expect(maple.scores.map((score) => score.characterId)).toEqual([
      'leaf.length',
      'leaf.shape',
      'bark.surface',
    ]);
    expect(maple.scores[2]!.qualifiers).toEqual({ plantAge: 'young' });
    expect(read.value.ignored).toEqual(['mood']);
  });
  test('bad cells are refused one by one, the rest of the row is kept', () => {
    if (!read.ok) return;
    expect(read.value.problems.map((problem) => problem.line)).toEqual([3, 4, 4]);
    expect(read.value.problems.map((problem) => problem.message).join(' ')).toMatch(
      /no scientific name.*wobbly.*low end 9 cm is above the high end/s,
    );
    expect(read.value.rows.map((row) => row.taxon.epithet)).toEqual(['rubrum', 'americana']);
  });
});

describe('responses', () => {
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
  const context = {
    students: [{ id: 's1', name: 'Rowan Achterberg', code: 'K7' }],
    stations: [
      { id: 't1', position: 1 },
      { id: 't2', position: 2 },
    ],
    list,
  };
  test('students go by name or code; unknown students and stations are refused', () => {
    const read = readResponses(
      'student,station,answer\nRowan Achterberg,1,paper birch\nk7,2,Betula papyrifera\nNobody,1,x\nk7,9,x\nk7,2,again',
      context,
    );
    expect(read).toMatchObject({
      ok: true,
      value: {
        rows: [{ stationId: 't1' }, { stationId: 't2' }],
        problems: [{ line: 4 }, { line: 5 }, { line: 6 }],
      },
    });
  });
  test('an answer that names no taxon is kept as written and pointed out', () => {
    const read = readResponses('student,station,genus,epithet\nk7,1,Quercus,alba', context);
    expect(read).toMatchObject({
      ok: true,
      value: {
        rows: [{ answer: { genus: 'Quercus', epithet: 'alba' } }],
        unknown: [{ line: 2, message: expect.stringContaining('names no taxon on the list') as string }],
      },
    });
  });
  describe('what was seen', () => {
    const asked = ['needle.bands', 'leaf.teeth'].map((id) => BUILT_IN.get(id)!);
    const saw = (text: string, asks = asked) =>
      readResponses(`student,station,answer,saw\nk7,1,birch,"${text}"`, {
        ...context,
        stations: [{ id: 't1', position: 1, asks }],
      });
    const seen = (text: string, asks = asked) => {
      const read = saw(text, asks);
      return read.ok ? read.value.rows[0]?.answer.seen : undefined;
    };
    const problem = (text: string, asks = asked) => {
      const read = saw(text, asks);
      return read.ok ? read.value.problems[0]?.message : undefined;
    };
    test('states go by term, plain words or id, each to its character', () => {
      expect(seen('lower face; double')).toEqual({ 'needle.bands': 'lower', 'leaf.teeth': 'double' });
      expect(seen('LOWER')).toEqual({ 'needle.bands': 'lower' });
      expect(seen('')).toBeUndefined();
    });
    test('a state that two characters have needs its character before it', () => {
      expect(problem('none')).toContain('Write the character before it: “white bands: none”');
      expect(seen('white bands: none; teeth: none')).toEqual({
        'needle.bands': 'none',
        'leaf.teeth': 'none',
      });
    });
    test('what is no state, or was not asked for, is refused with what could stand there', () => {
      expect(problem('purple')).toContain('Write one of white bands: none, lower face');
      expect(problem('lower face', [])).toContain('this station asks for no character');
    });
  });
  test('without an answer column the file is refused', () => {
    expect(readResponses('student,station\nk7,1', context)).toMatchObject({ ok: false });
  });
});

test('what a paper saw may stand on lines of its own', () => {
  const asked = [BUILT_IN.get('leaf.shape')!, BUILT_IN.get('twig.zigzag')!];
  const seen = { ok: true, value: { 'leaf.shape': 'ovate', 'twig.zigzag': 'yes' } };
  for (const line of ['\n', '\r\n', '\u2028']) expect(readSaw(`ovate${line}yes`, asked)).toEqual(seen);
  expect(readSaw('zigzag:\nno such', asked)).toMatchObject({ ok: false });
});
