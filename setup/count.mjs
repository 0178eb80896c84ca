import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import ts from 'typescript';

// How much of the code is tests, and which functions of the pages are long: `npm run count`. Demo and bench are left aside.
const files = execFileSync('git', ['ls-files', '*.ts', '*.tsx'], { encoding: 'utf8' })
  .trim()
  .split('\n')
  .filter((file) => !/^(demo|bench)\//.test(file));
const isTest = (file) => /\.test\.tsx?$|\/testing\/|^e2e\//.test(file);
const linesOf = (file) => readFileSync(file, 'utf8').split('\n').length;
const sum = (list) => list.reduce((all, file) => all + linesOf(file), 0);
const row = (room, list) => {
  const [tests, all] = [sum(list.filter(isTest)), sum(list)];
  console.log(
    `${room.padEnd(10)} ${String(all).padStart(7)} lines, tests ${((100 * tests) / all).toFixed(1)} %`,
  );
};
for (const room of ['core', 'contract', 'server', 'web'])
  row(
    room,
    files.filter((file) => file.startsWith(`${room}/`)),
  );
row('all', files);

const LONGEST = 80;
const long = [];
for (const file of files.filter((name) => name.startsWith('web/') && !isTest(name))) {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const look = (node) => {
    if (ts.isFunctionLike(node) && node.body) {
      const line = (at) => source.getLineAndCharacterOfPosition(at).line;
      const lines = line(node.end) - line(node.getStart(source)) + 1;
      const name = node.name?.getText(source) ?? node.parent?.name?.getText?.(source) ?? 'a function';
      if (lines > LONGEST) long.push(`${lines} ${file} ${name}`);
    }
    ts.forEachChild(node, look);
  };
  look(source);
}
console.log(`\n${long.length} functions of the pages are longer than ${LONGEST} lines`);
for (const entry of long.sort((a, b) => parseInt(b) - parseInt(a))) console.log(`  ${entry}`);
