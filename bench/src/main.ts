import { cpus, totalmem } from 'node:os';
import { assembly } from './assembly.ts';
import { attention } from './attention.ts';
import { confusion } from './confusion.ts';
import { drawing } from './drawing.ts';
import { evidence } from './evidence.ts';
import { genera } from './genera.ts';
import { grounds } from './grounds.ts';
import { groundsPage } from './groundsPage.ts';
import { information } from './information.ts';
import { judgement } from './judgement.ts';
import { keys } from './keys.ts';
import { largeLibrary } from './largeLibrary.ts';
import { pages } from './pages.ts';
import { pairs } from './pairs.ts';
import { practice } from './practice.ts';
import { practicePage } from './practicePage.ts';
import { reading } from './reading.ts';
import { server } from './server.ts';
import { slowPages } from './slowPages.ts';
import { sitting } from './sitting.ts';
import { sorting } from './sorting.ts';
import { teaching } from './teaching.ts';
import { verdictRows } from './verdicts.ts';
import type { Row } from './row.ts';

const MEASURES = [
  evidence,
  keys,
  judgement,
  reading,
  pairs,
  confusion,
  attention,
  teaching,
  sorting,
  practice,
  verdictRows,
  assembly,
  information,
  grounds,
  drawing,
  largeLibrary,
  pages,
  slowPages,
  groundsPage,
  sitting,
  practicePage,
  server,
];

// `npm run bench -- teaching sorting` measures these alone.
const asked = process.argv.slice(2);
const unknown = asked.filter((name) => !MEASURES.some((measure) => measure.name === name));
if (unknown.length > 0) {
  const known = MEASURES.map(({ name }) => name).join(', ');
  console.error(`There is no measure called ${unknown.join(', ')}. Choose from: ${known}.`);
  process.exit(1);
}
const isAsked = ({ name }: { name: string }) => asked.length === 0 || asked.includes(name);

const rows: Row[] = [];
for (const measure of MEASURES.filter(isAsked)) rows.push(...(await measure()));

console.log(
  `\n${cpus()[0]?.model ?? 'unknown processor'}, ${cpus().length} cores, ${Math.round(totalmem() / 2 ** 30)} GiB, Node ${process.version}`,
);
const width = Math.max(...rows.map((row) => row.what.length));
for (const row of rows)
  console.log(
    `${row.what.padEnd(width)}  ${row.value.padStart(10)}  ${row.wanted ? `wanted ${row.wanted}` : ''}`,
  );

if (asked.length === 0) {
  console.log('\nPairs within a genus of the demo library, on a cutting');
  for (const line of genera()) console.log(line);
}
