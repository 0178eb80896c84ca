import { cpus, totalmem } from 'node:os';
import { stalls } from './stalls.ts';
import type { Row } from '../row.ts';
import { demoFolder } from '../start.ts';
import { fuzz } from './fuzz.ts';
import { hall } from './hall.ts';
import { photos } from './photos.ts';
import { kills, powerCuts } from './mishaps.ts';

/** The whole takes an hour; npm test runs the short form of each. */
const short = process.argv.includes('short');
const only = process.argv.slice(2).filter((word) => word !== 'short');

const RUNS: Record<string, (folder: string) => Promise<Row[]>> = {
  hall: (folder) => (short ? hall(folder, 30, 6, 6) : hall(folder, 300, 20, 60)),
  stalls: (folder) => stalls(folder, short ? 4 : 30),
  kills: (folder) => kills(folder, short ? 4 : 200),
  photos: (folder) => photos(folder, short ? 2 : 6),
  fuzz: (folder) => fuzz(folder, short ? 15 : 600, short ? 20_261_127 : Date.now() % 2 ** 31),
  power: (folder) => powerCuts(folder, short ? 4 : 60),
};

const rows: Row[] = [];
for (const [name, run] of Object.entries(RUNS)) {
  if (only.length > 0 && !only.includes(name)) continue;
  const { folder, remove } = demoFolder();
  rows.push(...(await run(folder)));
  remove();
}
console.log(
  `\n${cpus()[0]?.model ?? 'unknown processor'}, ${cpus().length} cores, ${Math.round(totalmem() / 2 ** 30)} GiB, Node ${process.version}`,
);
const width = Math.max(...rows.map((row) => row.what.length));
for (const { what, value, wanted } of rows)
  console.log(`${what.padEnd(width)}  ${value.padStart(9)}${wanted ? `  wanted ${wanted}` : ''}`);
// Times depend on the machine; what is lost does not.
const lost = rows.filter(({ value, wanted }) => wanted && /^\d+$/.test(wanted) && value !== wanted);
if (lost.length > 0) process.exitCode = 1;
