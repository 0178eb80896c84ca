import { installChromium, installNginx } from './install.mjs';
import { installPostgres } from './postgres.mjs';

// What the tests need beside packages of npm; one after another, since Debian installs one at a time.
installPostgres();
installNginx();
installChromium();
