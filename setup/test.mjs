import { findChromium, installPackages, run, runTogether } from './install.mjs';

installPackages();
const script = (name) => ['npm', ['run', '--silent', name]];
const step = (title, name) => {
  console.log(`\n— ${title}`);
  run(...script(name));
};
console.log('\n— types, lint and build');
// Chromium, which only the journeys need, comes over the network meanwhile.
await runTogether([
  script('types'),
  script('lint'),
  script('build'),
  [process.execPath, ['setup/chromium.mjs']],
]);
process.env.CHROMIUM_PATH = findChromium();
step('core', 'unit');
step('server', 'serverTests');
step('journeys', 'journeys');
