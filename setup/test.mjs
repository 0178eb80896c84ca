import { installChromium, installPackages, run, runTogether } from './install.mjs';

installPackages();
process.env.CHROMIUM_PATH = installChromium();
const script = (name) => ['npm', ['run', '--silent', name]];
const step = (title, name) => {
  console.log(`\n— ${title}`);
  run(...script(name));
};
console.log('\n— types, lint and build');
await runTogether([script('types'), script('lint'), script('build')]);
step('core', 'unit');
step('server', 'serverTests');
step('journeys', 'journeys');
