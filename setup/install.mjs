import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { spawn, spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('../', import.meta.url));

/** Runs a command with its output shown; ends this process with its exit code if it fails. */
export function run(command, args, env = {}) {
  const result = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...env },
    shell: process.platform === 'win32',
  });
  if (result.error) {
    console.error(`${command} could not be started: ${result.error.message}`);
    process.exit(1);
  }
  if (result.status !== 0) process.exit(result.status ?? 1);
}

/** How much of what a command printed is said again where it failed, in characters: its last lines. */
const SAID_AGAIN = 4000;

/**
 * Runs a command, its output shown as it comes.
 *
 * @returns its exit code, what it is called, and the last of what it printed
 */
export const runBeside = (command, args) =>
  new Promise((resolve) => {
    const called = [command.replace(process.execPath, 'node'), ...args].join(' ');
    const child = spawn(command, args, {
      cwd: root,
      stdio: ['inherit', 'pipe', 'pipe'],
      shell: process.platform === 'win32',
    });
    let last = '';
    const show = (stream) => (chunk) => {
      stream.write(chunk);
      last = (last + chunk).slice(-SAID_AGAIN);
    };
    child.stdout.on('data', show(process.stdout));
    child.stderr.on('data', show(process.stderr));
    child.on('error', (error) => resolve({ code: 1, called, last: error.message }));
    child.on('close', (code) => resolve({ code: code ?? 1, called, last }));
  });

/** Ends this process if one of the commands failed: what failed is said last, where it is found. */
export function endIfFailed(ended) {
  const failed = ended.filter(({ code }) => code !== 0);
  for (const { called, code, last } of failed)
    console.error(`\n— failed with exit code ${code}: ${called}\n${last}`);
  if (failed.length > 0) process.exit(failed[0].code);
}

/** Runs commands side by side; when all have ended, ends this process if one of them failed. */
export const runTogether = async (commands) =>
  endIfFailed(await Promise.all(commands.map((command) => runBeside(...command))));

/** Installs the packages of package-lock.json where they are missing or older than it. */
export function installPackages() {
  const marker = `${root}node_modules/.package-lock.json`;
  const lock = `${root}package-lock.json`;
  const fresh = existsSync(marker) && statSync(marker).mtimeMs >= statSync(lock).mtimeMs - 1000;
  if (fresh) return;
  console.log('Installing packages…');
  // Not "npm ci": it refuses a lock file that lacks the binaries of other platforms, which a registry may not carry.
  run('npm', ['install', '--no-save', '--no-audit', '--no-fund']);
}

// The one without windows does the same in three quarters of the time.
const CHROMIUM = [
  '/usr/bin/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
];

/** Where a Chromium is, or undefined. CHROMIUM_PATH names another one. */
export const findChromium = () =>
  [process.env.CHROMIUM_PATH, ...CHROMIUM].find((path) => path && existsSync(path));

/**
 * Installs a package of Debian where what it brings is not found and this user may install; else says what to do and ends this process.
 *
 * @param names of packages that bring it: the first that this Debian has
 * @param find what looks for it
 * @returns what `find` found
 */
export function installDebian(names, find, otherwise) {
  const found = find();
  if (found) return found;
  const debian = existsSync('/etc/debian_version') || /debian|ubuntu/i.test(read('/etc/os-release'));
  if (debian && process.getuid?.() === 0) {
    const apt = (...args) =>
      run('apt-get', ['-o', 'Acquire::Retries=3', '-o', 'DPkg::Lock::Timeout=120', '-qq', ...args], {
        DEBIAN_FRONTEND: 'noninteractive',
      });
    apt('update');
    const name = names.find((each) => spawnSync('apt-cache', ['show', each]).status === 0) ?? names[0];
    console.log(`Installing ${name}…`);
    apt('install', '-y', '--no-install-recommends', name);
    const now = find();
    if (now) return now;
  }
  console.error(otherwise);
  process.exit(1);
}

/** Chromium for the journeys: Debian's, installed when this user may; else a line that says what to install. */
export const installChromium = () =>
  installDebian(
    ['chromium-headless-shell', 'chromium'],
    findChromium,
    'The journeys need Chromium. Install it (on Debian: sudo apt-get install chromium) or set CHROMIUM_PATH to one, then run npm test again.',
  );

const NGINX = ['/usr/sbin/nginx', '/usr/bin/nginx', '/usr/local/sbin/nginx'];

/** nginx for the test of several processes: Debian's, installed when this user may. */
export const installNginx = () =>
  installDebian(
    ['nginx-light'],
    () => NGINX.find((path) => existsSync(path)),
    'The test of several processes needs nginx. Install it (on Debian: sudo apt-get install nginx-light), then run npm test again.',
  );

const read = (file) => (existsSync(file) ? readFileSync(file, 'utf8') : '');

/** Is there a build of server and pages that is newer than every source file? */
export function builtAfterSources() {
  const outputs = ['server/dist/main.js', 'web/dist/index.html'].map((file) => root + file);
  if (!outputs.every(existsSync)) return false;
  const built = Math.min(...outputs.map((file) => statSync(file).mtimeMs));
  return ['core/src', 'contract/src', 'server/src', 'web/src'].every((folder) =>
    readdirSync(root + folder, { recursive: true, withFileTypes: true })
      .filter((entry) => entry.isFile())
      .every((entry) => statSync(`${entry.parentPath}/${entry.name}`).mtimeMs <= built),
  );
}
