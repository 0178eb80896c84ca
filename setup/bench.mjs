import { installPackages, run } from './install.mjs';

installPackages();
run('npm', ['run', '--silent', 'build']);
run(process.execPath, ['--import', 'tsx', 'bench/src/main.ts', ...process.argv.slice(2)]);
