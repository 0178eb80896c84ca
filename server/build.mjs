import { execFileSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { PGlite } from '@electric-sql/pglite';
import { build, context } from 'esbuild';
import { create } from 'tar';

const here = (path) => fileURLToPath(new URL(path, import.meta.url));

mkdirSync(here('dist'), { recursive: true });
const common = {
  outdir: here('dist'),
  bundle: true,
  platform: 'node',
  target: 'node20',
  alias: { '@hurrow/core': here('../core/src'), '@hurrow/contract': here('../contract/src') },
  logLevel: 'warning',
};
/** What starts, and the threads; they take their packages from where those are. */
const parts = {
  ...common,
  entryPoints: {
    main: here('src/boot.ts'),
    care: here('src/backups/care.ts'),
    printWorker: here('src/prints/worker.ts'),
    teachingWorker: here('src/lessons/worker.ts'),
    slidesWorker: here('src/lessons/slidesWorker.ts'),
    libraryWorker: here('src/exchange/worker.ts'),
    confusionWorker: here('src/confusions/worker.ts'),
    backupWorker: here('src/backups/worker.ts'),
  },
  format: 'esm',
  packages: 'external',
};
/**
 * The server in one file, with its packages: a thousand files take a second to find. Left where they are: what is made for one system, what
 * finds files of its own beside itself, and what only threads use.
 */
const program = {
  ...common,
  entryPoints: { program: here('src/main.ts') },
  format: 'cjs',
  outExtension: { '.js': '.cjs' },
  minifyWhitespace: true,
  legalComments: 'none',
  external: [
    ...['@electric-sql/pglite', '@node-rs/argon2', 'fs-native-extensions', 'pg-native', 'piscina', 'sharp'],
    ...['@fontsource/*', 'pdfmake', 'pptxgenjs', 'us-atlas', 'world-atlas'],
  ],
  define: { 'import.meta.url': 'PROGRAM_URL' },
  banner: { js: "const PROGRAM_URL = require('node:url').pathToFileURL(__filename).href;" },
};
// “watch” builds again with every change, until it is stopped.
rmSync(here('dist/program.cjs.made'), { force: true });
const watched = process.argv[2] === 'watch';
for (const options of [parts, program])
  if (watched) await (await context(options)).watch();
  else await build(options);
cpSync(here('src/db/migrations'), here('dist/migrations'), { recursive: true });
cpSync(here('../contract/answers.json'), here('dist/answers.json'));
// The words of papers in other languages than English.
cpSync(here('../web/src/language'), here('dist/language'), {
  recursive: true,
  filter: (from) => !/\.tsx?$/.test(from),
});

// Creating a store takes seconds, unpacking one does not: an empty store is packed once, at build time. It is closed before, so that
// whoever opens it finds it in order.
const folder = mkdtempSync(join(tmpdir(), 'hurrow-empty-'));
const empty = await PGlite.create(folder);
await empty.close();
await create({ gzip: true, cwd: folder, file: here('dist/empty-store.tar.gz') }, readdirSync(folder));
rmSync(folder, { recursive: true });

if (!watched) execFileSync(process.execPath, [here('dist/main.js'), 'make'], { stdio: 'inherit' });
