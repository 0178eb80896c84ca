import { installChromium, installPackages, run } from './install.mjs';

installPackages();
process.env.CHROMIUM_PATH = installChromium();
const step = (title, script) => {
  console.log(`\n— ${title}`);
  run('npm', ['run', '--silent', script]);
};
step('types', 'types');
step('lint', 'lint');
step('core', 'unit');
step('server', 'serverTests');
step('build', 'build');
step('journeys', 'journeys');
