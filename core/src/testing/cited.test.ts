import { readdirSync, readFileSync } from 'node:fs';

const read = (path: string) => readFileSync(new URL(path, import.meta.url), 'utf8');

test('what comments cite of the method stands there', () => {
  const headings = [...read('../../../docs/method.md').matchAll(/^#+ (.+?)(?: \(.*\))?$/gm)].map(
    ([, heading]) => heading,
  );
  const cited = readdirSync(new URL('../', import.meta.url), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !file.endsWith('cited.test.ts'))
    .flatMap((file) =>
      [...read(`../${file}`).matchAll(/docs\/method\.md, ([A-Z][^;):]*)/g)].map(([, heading]) => heading!),
    );
  expect(cited.length).toBeGreaterThan(5);
  for (const heading of cited) expect(headings).toContain(heading.replace(/\s+\*\s+/g, ' ').trim());
});
