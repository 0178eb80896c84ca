import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const web = new URL('../', import.meta.url).pathname;
/** Modules of the contract that no schema comes with. */
const LIGHT = ['address', 'limits', 'packedAnswers'];

/** Modules of the contract that a file takes more of than types. */
const takenBy = (text: string): string[] =>
  [...text.matchAll(/import (?!type)([^;]*?) from '@hurrow\/contract\/(\w+)'/g)]
    .filter(([, names]) => !/^\{\s*(?:type \w+,?\s*)+\}$/.test(names!))
    .map(([, , module]) => module!);

test('what is taken of a contract is told from its types', () => {
  expect(
    takenBy(
      `import { MOST, type A } from '@hurrow/contract/a';\nimport type { B } from '@hurrow/contract/b';`,
    ),
  ).toEqual(['a']);
  expect(takenBy(`import { type A, type B } from '@hurrow/contract/a';`)).toEqual([]);
  expect(takenBy(`import * as c from '@hurrow/contract/c';`)).toEqual(['c']);
});

test('no page brings the schemas of the contract along', () => {
  const files = readdirSync(web, { recursive: true, encoding: 'utf8' }).filter((name) =>
    /(?<!\.test)\.tsx?$/.test(name),
  );
  expect(files.length).toBeGreaterThan(200);
  const heavy = files.flatMap((name) =>
    takenBy(readFileSync(join(web, name), 'utf8'))
      .filter((module) => !LIGHT.includes(module))
      .map((module) => `${name} takes ${module}`),
  );
  expect(heavy).toEqual([]);
});
