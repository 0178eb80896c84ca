import { installPackages, run } from './install.mjs';

// npm run load: a department on a PostgreSQL server and two processes, as a table; numbers behind -- are courses, students of each, quizzes,
// taxa beside the demo's, and rounds of calls.
installPackages();
run('npm', ['run', '--silent', 'build']);
run(process.execPath, ['--import', 'tsx', 'bench/src/department/main.ts', ...process.argv.slice(2)]);
