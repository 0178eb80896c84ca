import { ownPlaceInWords, mayAsk, pointsInWords, seenInWords } from './resultWords.ts';

test('what was seen and overlooked is said', () => {
  const seen = (said: string | null, isRight: boolean) => [
    { question: 'white bands', said, right: ['lower face', 'both faces'], isRight },
  ];
  expect(seenInWords(seen('lower face', true))).toEqual(['White bands: you saw “lower face”, rightly.']);
  expect(seenInWords(seen('none', false))).toEqual([
    'White bands: you saw “none”; look for “lower face” or “both faces”.',
  ]);
  expect(seenInWords(seen(null, false))[0]).toMatch(/^White bands: you left it open; look for/);
  expect(seenInWords([])).toEqual([]);
});

test('a mark is asked about until the day, where something is missing, and not after it was answered', () => {
  const row = { points: 1, outOf: 3, regrade: null };
  const on = (day: string) => new Date(`${day}T12:00:00Z`);
  expect(mayAsk(row, '2026-10-20', on('2026-10-20'))).toBe(true);
  expect(mayAsk(row, '2026-10-20', on('2026-10-21'))).toBe(false);
  expect(mayAsk(row, null, on('2026-10-20'))).toBe(false);
  expect(mayAsk({ ...row, points: 3 }, '2026-10-20', on('2026-10-01'))).toBe(false);
  expect(mayAsk({ ...row, regrade: { note: 'x', answer: null } }, '2026-10-20', on('2026-10-01'))).toBe(true);
  expect(mayAsk({ ...row, regrade: { note: 'x', answer: 'y' } }, '2026-10-20', on('2026-10-01'))).toBe(false);
  expect(pointsInWords(1.5)).toBe('1.5');
});

test('one’s own place is told with what parted a tie, and the team’s beside it', () => {
  const place = {
    division: 'junior',
    place: 2,
    of: 14,
    by: 'station 7',
    team: { name: 'Alders', place: 1, of: 4 },
  };
  expect(ownPlaceInWords(place)).toBe('You: place 2 of 14 in junior, by station 7. Alders: place 1 of 4.');
  expect(ownPlaceInWords({ ...place, division: '', by: '', team: null })).toBe('You: place 2 of 14.');
});
