import { entryOf, isPage, isPart, shelved } from './shelf.ts';
import { aheadBy, clockInWords } from './serverClock.ts';
import { lookOf, readLook, USUAL_LOOK } from './look.ts';

const at = (path: string) => `https://a.example${path}`;

test('pages and their parts are answered from the shelf, calls of the API never', () => {
  expect(isPage('navigate', '/quiz/4f1c/3')).toBe(true);
  expect(isPage('navigate', '/api/quizzes/4/live')).toBe(false);
  expect(isPage('cors', '/quiz/4f1c/3')).toBe(false);
  expect(isPart('/assets/index-a.js')).toBe(true);
  expect(isPart('/api/sit')).toBe(false);
});

test('what was loaded is kept once, and what no page needs can go', () => {
  const loaded = ['/assets/a.js', '/assets/b.css', '/api/sit', '/assets/a.js'].map(at);
  expect(shelved(loaded, ['/assets/b.css', '/assets/old.js', '/'].map(at))).toEqual({
    keep: [at('/assets/a.js')],
    drop: [at('/assets/old.js')],
  });
  expect(entryOf('<script type="module" crossorigin src="/assets/index-Q.js"></script>')).toBe(
    '/assets/index-Q.js',
  );
  expect(entryOf('<p>no page</p>')).toBe('');
});

test('a clock is off by what the server says against the middle of the asking', () => {
  expect(aheadBy(10_500, 4_900, 5_100)).toBe(5_500);
  expect(clockInWords(30_000)).toBe('');
  expect(clockInWords(-30 * 60_000)).toMatch(/^This phone’s clock is 30 minutes fast\./);
  expect(clockInWords(3_700_000)).toMatch(/^This phone’s clock is an hour slow\./);
  expect(clockInWords(-5 * 3_600_000)).toMatch(/^This phone’s clock is 5 hours fast\./);
});

test('a look is read as it was kept, and goes by the phone where nothing was chosen', () => {
  expect(readLook('{"theme":"daylight","size":2}')).toEqual({ theme: 'daylight', size: 2 });
  for (const text of [null, '{', '{"theme":"neon","size":9}']) expect(readLook(text)).toEqual(USUAL_LOOK);
  expect(lookOf('system', true, true)).toBe('dark');
  expect(lookOf('system', false, true)).toBe('daylight');
  expect(lookOf('system', false, false)).toBeUndefined();
  expect(lookOf('paper', true, true)).toBeUndefined();
  expect(lookOf('dark', false, false)).toBe('dark');
});
