import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';
import { COLORS, declarations, LOOKS, propertyOf } from './tokens.ts';

const root = new URL('../', import.meta.url).pathname;
const files = readdirSync(root, { recursive: true, encoding: 'utf8' });
const read = (file: string) => readFileSync(join(root, file), 'utf8');
const sheets = files.filter((file) => file.endsWith('.css'));
const code = files.filter((file) => /\.tsx?$/.test(file) && !file.endsWith('.test.ts'));

/** The classes that a style sheet defines; those of other houses and of the base are marked as global. */
const classesOf = (sheet: string): Set<string> => {
  const text = read(sheet)
    .replace(/\/\*[\s\S]*?\*\//g, '')
    .replace(/:global\([^)]*\)/g, '');
  const selectors = [...text.matchAll(/([^{}]+)\{/g)].map(([, selector]) => selector!);
  return new Set(
    selectors.flatMap((selector) => [...selector.matchAll(/\.([a-zA-Z][\w-]*)/g)].map(([, name]) => name!)),
  );
};

/** The classes that views take from each style sheet. */
const taken = new Map<string, Set<string>>();
for (const file of code) {
  const text = read(file);
  for (const [, variable, path] of text.matchAll(/import (\w+) from '([^']+\.module\.css)'/g)) {
    const sheet = normalize(join(dirname(file), path!));
    const names = taken.get(sheet) ?? new Set();
    taken.set(sheet, names);
    const used = text.matchAll(new RegExp(`\\b${variable}\\['([^']+)'\\]`, 'g'));
    for (const [, name] of used) names.add(name!);
  }
}

test('styles stay home: every style sheet is a module, but for the base and those of packages', () => {
  expect(sheets.filter((sheet) => !sheet.endsWith('.module.css'))).toEqual(['app/base.css']);
  expect([...classesOf('app/base.css')].sort()).toEqual([
    'ant-app',
    'ant-message',
    'gold',
    'latin',
    'quiet',
    'rust',
    'visually-hidden',
  ]);
  for (const file of code)
    for (const [, path] of read(file).matchAll(/^import '([^']+\.css)'/gm))
      expect(path === './app/base.css' || /^(@fontsource|leaflet\/)/.test(path!)).toBe(true);
});

test.each(sheets.filter((sheet) => sheet.endsWith('.module.css')))(
  '%s has no class that nobody takes, and is asked for none that it lacks',
  (sheet) => {
    expect([...classesOf(sheet)].sort()).toEqual([...(taken.get(sheet) ?? [])].sort());
  },
);

test('colours stand in one place', () => {
  const raw = [...sheets, ...code]
    .filter((file) => file !== 'app/tokens.ts')
    .flatMap((file) =>
      [...read(file).matchAll(/(['": ])(#[0-9a-fA-F]{3,8})\b/g)].map(([, , hex]) => `${file} ${hex}`),
    );
  expect(raw).toEqual([]);
  const known = new Set(Object.keys(COLORS).map(propertyOf));
  for (const file of sheets)
    for (const [, name] of read(file).matchAll(/var\((--[\w-]+)/g))
      expect(['--sans', '--serif', ...known]).toContain(name);
  expect(declarations()).toContain('--on-ink-bright: #dbe6e1;');
});

/** Contrast of two colours, 1 to 21 (WCAG 2.2, relative luminance). */
function contrast(a: string, b: string): number {
  const light = (hex: string) => {
    const [r, g, blue] = [1, 3, 5].map((i) => {
      const part = parseInt(hex.slice(i, i + 2), 16) / 255;
      return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
    });
    return 0.2126 * r! + 0.7152 * g! + 0.0722 * blue!;
  };
  const [high, low] = [light(a), light(b)].sort((x, y) => y - x);
  return (high! + 0.05) / (low! + 0.05);
}

test.each([
  ['paper', 4.5],
  ['dark', 4.5],
  ['daylight', 7],
] as const)('what a phone says is told from what it stands on, in the look “%s”', (look, least) => {
  const colors = { ...COLORS, ...(look === 'paper' ? {} : LOOKS[look]) };
  const pairs = [
    ['ink', 'sheet'],
    ['ink2', 'sheet'],
    ['ink', 'paper'],
    ['ink2', 'paper'],
    ['onDrawn', 'drawn'],
    ['ink', 'actionPale'],
    ['ink', 'goldPale'],
    ['goldInk', 'goldPale'],
    ['action', 'sheet'],
    ['sheet', 'action'],
    ['rust', 'sheet'],
    ['onBar', 'bar'],
  ] as const;
  for (const [over, under] of pairs)
    expect([over, under, contrast(colors[over], colors[under]) >= least]).toEqual([over, under, true]);
});
