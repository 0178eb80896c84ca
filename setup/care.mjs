import { builtAfterSources, installPackages, run } from './install.mjs';

// npm run backup, backups, restore, repair, move, unlock: what the data need, on a clean checkout too.
installPackages();
if (!builtAfterSources()) run('npm', ['run', '--silent', 'build']);
await import('../server/dist/care.js');
