import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { endIfFailed, installPackages, run, runBeside, runTogether } from './install.mjs';

// What later steps need comes over the network while the first goes on.
const fetched = runBeside(process.execPath, ['setup/programs.mjs']);

installPackages();
const script = (name) => ['npm', ['run', '--silent', name]];
// Lint keeps one processor for minutes: the tests of the heart have the other.
console.log('\n— types, lint, build and core');
await runTogether([
  script('types'),
  script('lint'),
  script('answers'),
  script('languages'),
  script('build'),
  script('unit'),
]);
endIfFailed([await fetched]);
// The demo's data, of which whoever needs them takes a copy.
const demo = mkdtempSync(join(tmpdir(), 'hurrow-demo-'));
process.on('exit', () => rmSync(demo, { recursive: true, force: true }));
run(process.execPath, ['--import', 'tsx', 'demo/src/build.ts', demo]);
process.env.HURROW_DEMO_DATA = demo;
// Whoever is killed and started again waits more than it works: nobody waits for this.
const endured = runBeside(process.execPath, ['--import', 'tsx', 'bench/src/endure/main.ts', 'short']);
console.log('\n— server, on each kind of store, and beside it what it endures in short');
await runTogether([script('serverTests'), script('postgresTests')]);
console.log('\n— journeys');
await runTogether([script('journeys')]);
endIfFailed([await endured]);
