import {
  contestTyped,
  countedInWords,
  divisionTitle,
  namesBefore,
  placeInWords,
  scoreInWords,
  typedContest,
  withEntry,
} from './contest.ts';

const typed = { ...typedContest(null), edition: ' 2026 ', tieBreaks: '7, 2; 7' };

test('what was typed is read, and what was saved comes back as it was', () => {
  const read = contestTyped(typed, 10);
  expect(read).toMatchObject({ contest: { edition: '2026', best: 3, tieBreaks: [7, 2], entries: {} } });
  if ('contest' in read) expect(contestTyped(typedContest(read.contest), 10)).toEqual(read);
  expect(contestTyped({ ...typed, best: '' }, 10)).toMatchObject({ contest: { best: 0 } });
});

test.each([
  [{ best: 'three' }, '“three” is no number of members'],
  [{ best: '99' }, 'is no number of members'],
  [{ tieBreaks: '11' }, 'stations 1 to 10'],
  [{ tieBreaks: '3, bark' }, '“bark” is no station'],
])('%j is refused with what to write', (part, words) => {
  expect(contestTyped({ ...typed, ...part }, 10)).toMatchObject({ problem: expect.stringContaining(words) });
});

test('entries are kept as they are typed, and empty ones are left out', () => {
  const some = withEntry(withEntry(typed, 'a', { team: 'Alders ' }), 'b', { division: '' });
  expect(contestTyped(some, 10)).toMatchObject({
    contest: { entries: { a: { team: 'Alders', division: '' } } },
  });
  expect(withEntry(some, 'a', { division: 'junior' }).entries['a']).toEqual({
    team: 'Alders ',
    division: 'junior',
  });
  expect(namesBefore(some, 'team')).toEqual(['Alders']);
});

test('standings in words', () => {
  expect(divisionTitle({ division: 'junior' }, 2)).toBe('Junior');
  expect(divisionTitle({ division: '' }, 2)).toBe('No division');
  expect(divisionTitle({ division: '' }, 1)).toBe('Everyone');
  expect(placeInWords({ place: 1, by: '' })).toBe('1');
  expect(placeInWords({ place: 2, by: 'station 7' })).toBe('2, by station 7');
  expect(countedInWords(['Ava', 'Bo'], 3)).toBe('Ava, Bo (2 of 3 that count)');
  expect(countedInWords(['Ava', 'Bo'], 2)).toBe('Ava, Bo');
  expect(scoreInWords(7.5, 20)).toBe('7.5 of 20');
});
