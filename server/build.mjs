import { cpSync, mkdirSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { PGlite } from '@electric-sql/pglite';
import { build } from 'esbuild';

const here = (path) => fileURLToPath(new URL(path, import.meta.url));

mkdirSync(here('dist'), { recursive: true });
await build({
  entryPoints: { main: here('src/main.ts'), confusionWorker: here('src/confusions/worker.ts') },
  outdir: here('dist'),
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  alias: { '@hurrow/core': here('../core/src') },
  logLevel: 'warning',
});
cpSync(here('src/db/migrations'), here('dist/migrations'), { recursive: true });

// Creating a store takes seconds, unpacking one does not: an empty store is packed once, at build time.
const empty = await PGlite.create();
writeFileSync(
  here('dist/empty-store.tar.gz'),
  Buffer.from(await (await empty.dumpDataDir('gzip')).arrayBuffer()),
);
await empty.close();
