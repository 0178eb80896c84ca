import type { NamedTaxon } from '@hurrow/core/names';
import {
  linesOf,
  namesFor,
  nextStudent,
  notStored,
  readsAs,
  withAnswer,
  withoutStored,
  type Papers,
} from './paper.ts';

const papers: Papers = {
  ada: { s1: { genus: 'Picea' }, s2: { genus: 'Abies' } },
  ben: { s1: { genus: 'Tsuga' } },
};

test('a stored answer leaves its paper; what was typed over it or beside it meanwhile stays', () => {
  expect(withoutStored(papers, 'ada', 's1', { genus: 'Picea' })).toEqual({
    ada: { s2: { genus: 'Abies' } },
    ben: papers.ben,
  });
  expect(withoutStored(papers, 'ada', 's1', { genus: 'Pice' })).toBe(papers);
  expect(withoutStored(papers, 'cleo', 's1', { genus: 'Picea' })).toBe(papers);
});

test('an answer is typed into one paper and leaves the others', () => {
  const typed = withAnswer(papers, 'cleo', 's1', { genus: 'Acer' });
  expect(typed).toEqual({ ...papers, cleo: { s1: { genus: 'Acer' } } });
  expect(withAnswer(typed, 'ada', 's1', { genus: 'Pinus' }).ada!.s2).toEqual({ genus: 'Abies' });
});

test('what is not stored yet is said by its stations', () => {
  const stations = [
    { id: 's1', position: 1 },
    { id: 's2', position: 2 },
  ];
  expect(notStored(papers.ada, stations)).toBe('Stations 1 and 2 are not stored yet.');
  expect(notStored({ s2: {} }, stations)).toBe('Station 2 is not stored yet.');
  expect(notStored({}, stations)).toBe('');
  expect(notStored(undefined, stations)).toBe('');
});

test('an answer is read as it is typed', () => {
  const taxon = (epithet: string): NamedTaxon => ({
    id: epithet,
    rank: 'species',
    genus: 'Acer',
    epithet,
    family: 'Sapindaceae',
    commonNames: [`${epithet} maple`],
    synonyms: [],
  });
  const list = [taxon('rubrum'), taxon('saccharum')];
  expect(readsAs({ genus: 'Acer', epithet: 'rubrum' }, list)).toBe('✓');
  expect(readsAs({ genus: 'Acer', epithet: 'rubrun' }, list)).toContain('Acer rubrum');
  expect(readsAs({ genus: 'Acer' }, list)).toBe('genus Acer only');
  expect(readsAs({ genus: 'Rosa', epithet: 'canina' }, list)).toBe('Rosa canina, not on the list');
  expect(readsAs({ genus: 'Acer', epithet: 'campestre' }, list)).toBe('Acer campestre, not on the list');
  expect(readsAs({ name: 'something tall' }, list)).toBe('names no tree of the list');
  expect(readsAs({}, list)).toBe('');
  expect(readsAs({ genus: 'Acer' }, undefined)).toBe('');
});

test('papers are typed in the order of the list, and after the last there is none', () => {
  const students = [{ id: 'a' }, { id: 'b' }];
  expect([nextStudent(students, 'a'), nextStudent(students, 'b')]).toEqual(['b', '']);
});

test('lines are stored of one student or of one station', () => {
  const papers = { ava: { s1: { name: 'elm' }, s2: { name: 'oak' } }, ben: { s1: { name: 'ash' } } };
  expect(linesOf(papers, { studentId: 'ava' }).map(({ stationId }) => stationId)).toEqual(['s1', 's2']);
  expect(linesOf(papers, { stationId: 's1' }).map(({ studentId }) => studentId)).toEqual(['ava', 'ben']);
  expect(linesOf(papers, { studentId: 'cem' })).toEqual([]);
});

test('each field offers its own part of the names', () => {
  const list = [
    { genus: 'Acer', epithet: 'rubrum', family: 'Sapindaceae', commonNames: ['red maple', 'swamp maple'] },
    { genus: 'Acer', epithet: 'negundo', family: 'Sapindaceae', commonNames: ['boxelder'] },
  ] as Parameters<typeof namesFor>[1];
  expect(namesFor('genus', list)).toEqual(['Acer']);
  expect(namesFor('epithet', list)).toEqual(['negundo', 'rubrum']);
  expect(namesFor('name', list)).toEqual(['boxelder', 'red maple', 'swamp maple']);
  expect(namesFor('family', undefined)).toEqual([]);
});
