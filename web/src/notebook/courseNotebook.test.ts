import type { WholeCourse } from '@hurrow/contract/courses';
import type { ReadEntry } from '@hurrow/contract/notebook';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import {
  wordsToTeach,
  notebookTable,
  readAll,
  sayingInWords,
  shownInWords,
  tally,
} from './courseNotebook.ts';
import { blankEntry } from './noted.ts';

const place = { latitude: 47, longitude: -116, elevation: 800 };
const words = { audience: 'plain', units: 'metric' } as const;
const birch = {
  taxon: {
    id: 'ficta-alba',
    genus: 'Ficta',
    epithet: 'alba',
    calendar: {},
    commonNames: ['white ficta'],
  } as ProfiledTaxon['taxon'],
  scores: [
    {
      characterId: 'bark.surface',
      qualifiers: {},
      value: { kind: 'states', exhaustive: true, states: [{ state: 'papery', frequency: 'always' }] },
    },
  ],
} as unknown as ProfiledTaxon;
const entry = (id: string, student: string, text: string, state = 'papery'): ReadEntry => ({
  ...blankEntry('2026-10-01'),
  id,
  tag: 'T1',
  words: text,
  chosen: [{ characterId: 'bark.surface', state }],
  pictures: [],
  studentId: student,
  student,
  onPaper: false,
});
const reading = {
  course: { ...place, ...words } as unknown as WholeCourse,
  profiles: [birch],
  vocabulary: BUILT_IN,
  reference: place,
};
const notebook = (entries: ReadEntry[], tags: Record<string, string> = { T1: 'ficta-alba' }) => ({
  entries,
  tags,
  phrases: [],
});

test('entries are read against the tree that carries their tag, where it is known', () => {
  const [read] = readAll(notebook([entry('a', 'Ava', 'peels like paper', 'smooth')]), reading);
  expect(tally(read!.read)).toEqual({ agree: 1, misread: 1 });
  const [unknown] = readAll(notebook([entry('a', 'Ava', 'peels like paper')], {}), reading);
  expect(tally(unknown!.read)).toEqual({ agree: 0, misread: 0 });
});

test('a thing and its opposite each have their own verdict', () => {
  const silent = { ...entry('a', 'Ava', 'bark peels like paper, not smooth'), chosen: [] };
  const said = { ...entry('b', 'Ben', 'smooth, not peeling like paper'), chosen: [] };
  expect(readAll(notebook([silent, said]), reading).map(({ read }) => tally(read))).toEqual([
    { agree: 2, misread: 0 },
    { agree: 0, misread: 2 },
  ]);
});

test('words that two students wrote beside the same state are offered to be taught', () => {
  const all = readAll(
    notebook([
      entry('a', 'Ava', 'an onion'),
      entry('b', 'Ben', 'like onions'),
      entry('c', 'Cem', '', 'smooth'),
    ]),
    reading,
  );
  expect(wordsToTeach(all, [])).toMatchObject([{ phrase: 'onion', state: 'papery', students: 2 }]);
  expect(wordsToTeach(all, [{ phrase: 'Onion', characterId: 'bark.surface', state: 'papery' }])).toEqual([]);
});

test('the table has a row for each thing that was said, and one for an entry that says nothing', () => {
  const silent = { ...entry('b', 'Ben', ''), chosen: [] };
  const lines = notebookTable(
    readAll(notebook([entry('a', 'Ava', 'gray'), silent]), reading),
    BUILT_IN,
    words,
  )
    .trim()
    .split('\n');
  expect(lines).toHaveLength(4);
  expect(lines[1]).toContain('white ficta,bark,gray,bark surface,peels like paper,chosen,agrees,');
  expect(lines[2]).toContain('bark color,gray,own words,the scores do not say');
});

test('a number and a denial are said as they were meant', () => {
  expect(sayingInWords({ state: '', value: 0.05 }, BUILT_IN.get('leaf.length')!, words)).toBe('about 5 cm');
  expect(sayingInWords({ state: 'opposite', denied: true }, BUILT_IN.get('twig.arrangement')!, words)).toBe(
    'not in pairs across',
  );
  expect(shownInWords(undefined, BUILT_IN.get('twig.arrangement')!, words)).toBe('');
});
