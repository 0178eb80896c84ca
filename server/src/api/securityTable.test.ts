import { existsSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../../../', import.meta.url));
const page = readFileSync(`${root}docs/security.md`, 'utf8');
const rows = page
  .split('\n')
  .filter((line) => /^\| V\d/.test(line))
  .map((line) => line.split('|').map((cell) => cell.trim()));

test.each(rows.map((cells) => [cells[1]!, cells[3]!, cells[4]!] as const))(
  'what docs/security.md says of %s can be looked up',
  (_section, state, shown) => {
    expect(['Holds', 'Reason', 'Open']).toContain(state);
    expect(shown.length).toBeGreaterThan(10);
    const named = /^`([^`]+)` › (.+)$/.exec(shown);
    expect(state === 'Holds').toBe(named !== null);
    if (!named) return;
    expect(existsSync(root + named[1]!)).toBe(true);
    expect(readFileSync(root + named[1]!, 'utf8')).toContain(named[2]!);
  },
);

test('every chapter of the standard is there', () => {
  const chapters = new Set(rows.map((cells) => Number(/^V(\d+)/.exec(cells[1]!)![1])));
  expect([...chapters].sort((a, b) => a - b)).toEqual(Array.from({ length: 14 }, (_, i) => i + 1));
});
