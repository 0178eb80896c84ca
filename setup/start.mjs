import { builtAfterSources, installPackages, run } from './install.mjs';

installPackages();
if (!builtAfterSources()) run('npm', ['run', '--silent', 'build']);
await import('../server/dist/main.js');
