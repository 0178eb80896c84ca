import { cpSync, mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { PGlite } from '@electric-sql/pglite';
import { build, context } from 'esbuild';
import { create } from 'tar';

const here = (path) => fileURLToPath(new URL(path, import.meta.url));

mkdirSync(here('dist'), { recursive: true });
const options = {
  entryPoints: {
    main: here('src/main.ts'),
    care: here('src/backups/care.ts'),
    printWorker: here('src/prints/worker.ts'),
    teachingWorker: here('src/lessons/worker.ts'),
    slidesWorker: here('src/lessons/slidesWorker.ts'),
    libraryWorker: here('src/exchange/worker.ts'),
    confusionWorker: here('src/confusions/worker.ts'),
    backupWorker: here('src/backups/worker.ts'),
  },
  outdir: here('dist'),
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  alias: { '@hurrow/core': here('../core/src'), '@hurrow/contract': here('../contract/src') },
  logLevel: 'warning',
};
// “watch” builds again with every change, until it is stopped.
if (process.argv[2] === 'watch') await (await context(options)).watch();
else await build(options);
cpSync(here('src/db/migrations'), here('dist/migrations'), { recursive: true });
cpSync(here('../contract/answers.json'), here('dist/answers.json'));

// Creating a store takes seconds, unpacking one does not: an empty store is packed once, at build time. It is closed before, so that
// whoever opens it finds it in order.
const folder = mkdtempSync(join(tmpdir(), 'hurrow-empty-'));
const empty = await PGlite.create(folder);
await empty.close();
await create({ gzip: true, cwd: folder, file: here('dist/empty-store.tar.gz') }, readdirSync(folder));
rmSync(folder, { recursive: true });
