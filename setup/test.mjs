import { spawn } from 'node:child_process';
import { findChromium, installPackages, root, run, runTogether } from './install.mjs';

// Chromium, which only the journeys need, comes over the network while all else goes on.
const chromium = spawn(process.execPath, ['setup/chromium.mjs'], { cwd: root, stdio: 'inherit' });
const fetched = new Promise((resolve) => chromium.on('close', resolve));

installPackages();
const script = (name) => ['npm', ['run', '--silent', name]];
const step = (title, name) => {
  console.log(`\n— ${title}`);
  run(...script(name));
};
console.log('\n— types, lint and build');
await runTogether([script('types'), script('lint'), script('answers'), script('build')]);
step('core', 'unit');
step('server', 'serverTests');
console.log('\n— endure, in short');
run(process.execPath, ['--import', 'tsx', 'bench/src/endure/main.ts', 'short']);
if ((await fetched) !== 0) process.exit(1);
process.env.CHROMIUM_PATH = findChromium();
step('journeys', 'journeys');
