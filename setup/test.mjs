import { installChromium, installPackages, run, runTogether } from './install.mjs';

installPackages();
process.env.CHROMIUM_PATH = installChromium();
const step = (title, script) => {
  console.log(`\n— ${title}`);
  run('npm', ['run', '--silent', script]);
};
console.log('\n— types and lint');
await runTogether([
  ['npm', ['run', '--silent', 'types']],
  ['npm', ['run', '--silent', 'lint']],
]);
step('core', 'unit');
step('server', 'serverTests');
step('build', 'build');
step('journeys', 'journeys');
