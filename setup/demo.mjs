import { spawn } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { installPackages, root, run } from './install.mjs';

installPackages();
run('npm', ['run', '--silent', 'build']);

const data = `${root}demo/data/`;
const fresh = process.argv.includes('--fresh');
if (fresh || !existsSync(`${data}complete`)) {
  console.log('Making the demo data…');
  run(process.execPath, ['--import', 'tsx', 'demo/src/build.ts']);
}
const port = process.env.PORT ?? '4680';
// A receiver and a range-finder that are made up, unless real ones are named.
if (!process.env.HURROW_RECEIVER && !process.env.HURROW_RANGEFINDER) {
  const [receiver, rangeFinder] = [Number(port) + 1, Number(port) + 2];
  const simulate = [
    '--import',
    'tsx',
    'server/src/instruments/simulate.ts',
    String(receiver),
    String(rangeFinder),
  ];
  const instruments = spawn(process.execPath, simulate, { cwd: root, stdio: 'ignore' });
  process.on('exit', () => instruments.kill());
  process.env.HURROW_RECEIVER = `127.0.0.1:${receiver}`;
  process.env.HURROW_RANGEFINDER = `127.0.0.1:${rangeFinder}`;
}
console.log(`
The demo: made-up people of Quillan Ridge College, on Thursday 15 October 2026.
Open http://localhost:${port} and press “Enter as the instructor” or “Enter as a student”.
${readFileSync(`${data}complete`, 'utf8').trim()}
Stop it with Ctrl-C; “npm run demo -- --fresh” begins again from the first data.
`);
process.env.HURROW_DATA = data;
process.env.HURROW_DEMO = '1';
process.env.HURROW_CLOCK ??= '2026-10-15T16:00:00Z';
await import('../server/dist/main.js');
