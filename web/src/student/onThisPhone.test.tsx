import { hookOnPage } from '../testing/page.tsx';
import { cleaned, LONGEST } from './cleaned.ts';
import { lookOf, readLook, USUAL_LOOK } from './look.ts';
import { entryOf, isPage, isPart, shelved } from './shelf.ts';
import { useAgain } from './useAgain.ts';
import { useLook } from './useLook.ts';
import { useTyped } from './useTyped.ts';

beforeEach(() => localStorage.clear());

test('what is typed at a station is there after a reload, until it is written down', async () => {
  const page = hookOnPage(() => useTyped('ava.s1'));
  expect(page.now().held).toBeUndefined();
  page.now().keep({ genus: 'Ace' });
  await page.again();
  expect(page.now().held).toEqual({ genus: 'Ace' });
  expect(hookOnPage(() => useTyped('ben.s1')).now().held).toBeUndefined();
  page.now().drop();
  await page.again();
  expect(page.now().held).toBeUndefined();
});

test('what cannot be read of it counts as nothing', () => {
  localStorage.setItem('hurrow.typed.ava.s1', '{"genus":');
  expect(hookOnPage(() => useTyped('ava.s1')).now().held).toBeUndefined();
});

test('a station to come back to is marked for one student and one quiz, and the mark taken away again', async () => {
  const page = hookOnPage(() => useAgain('ava', 'quiz'));
  await page.does(({ mark }) => mark('s2'));
  await page.does(({ mark }) => mark('s5'));
  expect(page.now().again).toEqual(['s2', 's5']);
  await page.does(({ mark }) => mark('s2'));
  page.leave();
  expect(hookOnPage(() => useAgain('ava', 'quiz')).now().again).toEqual(['s5']);
  expect(hookOnPage(() => useAgain('ben', 'quiz')).now().again).toEqual([]);
  localStorage.setItem('hurrow.again.ava.other', '{"s1":true}');
  expect(hookOnPage(() => useAgain('ava', 'other')).now().again).toEqual([]);
});

test('the look of a phone is kept, put on the page, and taken off with it', async () => {
  const page = hookOnPage(useLook);
  expect(page.now()).toMatchObject({ look: USUAL_LOOK, zoom: 1 });
  expect(document.documentElement.dataset['look']).toBeUndefined();
  await page.does(({ change }) => change({ theme: 'dark', size: 2 }));
  expect(page.now().zoom).toBe(1.35);
  expect(document.documentElement.dataset['look']).toBe('dark');
  page.leave();
  expect(document.documentElement.dataset['look']).toBeUndefined();
  expect(hookOnPage(useLook).now().look).toEqual({ theme: 'dark', size: 2 });
});

test.each([
  ['{"theme":"neon","size":1}', { theme: 'system', size: 1 }],
  ['{"theme":"dark","size":9}', { theme: 'dark', size: 0 }],
  ['{', USUAL_LOOK],
  [null, USUAL_LOOK],
])('a look kept as %s is read as far as it makes sense', (text, look) =>
  expect(readLook(text)).toEqual(look),
);

test('a phone set to dark or to more contrast is followed only where it was said to', () => {
  expect(lookOf('system', true, true)).toBe('dark');
  expect(lookOf('system', false, true)).toBe('daylight');
  expect(lookOf('system', false, false)).toBeUndefined();
  expect(lookOf('paper', true, true)).toBeUndefined();
  expect(lookOf('daylight', true, false)).toBe('daylight');
});

test('an answer can be stored whatever was pasted: no zero bytes, no halves of signs, nothing too long', () => {
  expect(cleaned({ genus: 'Ac\u0000er', epithet: 'r\uD800ubrum' })).toEqual({
    genus: 'Acer',
    epithet: 'r\uFFFDubrum',
  });
  expect(cleaned({ name: 'a'.repeat(LONGEST + 50) }).name).toHaveLength(LONGEST);
  expect(cleaned({ name: '🌲 fir', seen: { 'bud.scales': 'none' } })).toEqual({
    name: '🌲 fir',
    seen: { 'bud.scales': 'none' },
  });
});

test('pages are shown without a signal, the API and files are not taken for pages', () => {
  expect(isPage('navigate', '/trees/call')).toBe(true);
  expect(isPage('navigate', '/api/sit')).toBe(false);
  expect(isPage('navigate', '/guide.pdf')).toBe(false);
  expect(isPage('cors', '/trees')).toBe(false);
  expect(isPart('/assets/a.js') && isPart('/mark.svg')).toBe(true);
  expect(isPart('/api/session')).toBe(false);
});

test('parts that were loaded are kept once, and what an older page needed goes', () => {
  const at = (path: string) => `https://trees.example${path}`;
  const { keep, drop } = shelved(
    [at('/assets/a.js'), at('/assets/b.css'), at('/assets/a.js'), at('/api/sit')],
    [at('/assets/b.css'), at('/assets/old.js'), at('/')],
  );
  expect(keep).toEqual([at('/assets/a.js')]);
  expect(drop).toEqual([at('/assets/old.js')]);
  expect(entryOf('<script type="module" crossorigin src="/assets/index-1.js"></script>')).toBe(
    '/assets/index-1.js',
  );
  expect(entryOf('')).toBe('');
});
