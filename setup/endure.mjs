import { installPackages, run } from './install.mjs';

// npm run endure: what Hurrow stands, as a table; "-- short" for the form that npm test runs, and names for some of it alone.
installPackages();
run('npm', ['run', '--silent', 'build']);
run(process.execPath, ['--import', 'tsx', 'bench/src/endure/main.ts', ...process.argv.slice(2)]);
