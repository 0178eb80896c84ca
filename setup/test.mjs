import { installChromium, installPackages, runTogether } from './install.mjs';

installPackages();
process.env.CHROMIUM_PATH = installChromium();
const script = (name) => ['npm', ['run', '--silent', name]];
console.log('\n— types, lint and build');
await runTogether([script('types'), script('lint'), script('build')]);
// The journeys wait for pages much of the time: the tests of core and server use what they leave.
console.log('\n— core, then server; journeys beside them');
await runTogether([script('units'), script('journeys')]);
