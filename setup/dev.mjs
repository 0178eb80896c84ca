import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { installPackages, root, run } from './install.mjs';

// For who works on Hurrow: server and pages built again with every change, with the demo's data.
installPackages();
run('npm', ['run', '--silent', 'build', '-w', 'server']);
if (!existsSync(`${root}demo/data/complete`)) run(process.execPath, ['--import', 'tsx', 'demo/src/build.ts']);

const env = {
  ...process.env,
  HURROW_DATA: `${root}demo/data/`,
  HURROW_DEMO: '1',
  HURROW_CLOCK: process.env.HURROW_CLOCK ?? '2026-10-15T16:00:00Z',
};
const start = (command, args, cwd = root) => spawn(command, args, { cwd, env, stdio: 'inherit' });
const running = [
  start(process.execPath, ['build.mjs', 'watch'], `${root}server`),
  start(process.execPath, ['--watch', 'server/dist/main.js']),
  start('npm', ['run', '--silent', 'dev', '-w', 'web']),
];
console.log(
  'Open http://localhost:5173: it shows every change of the pages at once, and asks the server on 4680.',
);
const stop = () => running.forEach((child) => child.kill());
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
