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
