import { installPackages, run } from './install.mjs';

// npm run growth: what grows how on a PostgreSQL server, with ten, a hundred and a thousand courses.
installPackages();
run('npm', ['run', '--silent', 'build']);
run(process.execPath, ['--import', 'tsx', 'bench/src/department/growth.ts']);
