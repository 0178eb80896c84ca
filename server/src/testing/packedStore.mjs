import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { startPostgres } from '../../../setup/postgres.mjs';

/**
 * Before the first test of the server: an empty store in its newest shape, made once, of which every test takes a copy. With
 * HURROW_TEST_STORE=postgres it lies on a PostgreSQL server that is started for the tests; some tests need one in any case. Returns
 * what takes both away again.
 */
export default async function packStore() {
  const file = join(mkdtempSync(join(tmpdir(), 'hurrow-store-')), 'store.tar');
  // Nobody cuts the power of these.
  const server = await startPostgres(['fsync=off', 'full_page_writes=off', 'max_connections=300']);
  process.env.HURROW_TEST_DATABASE = server.url;
  const script = fileURLToPath(new URL('./packStore.ts', import.meta.url));
  const packed = spawnSync(process.execPath, ['--import', 'tsx', script, file, server.url], {
    encoding: 'utf8',
  });
  if (packed.status !== 0) throw new Error(`The empty store could not be made: ${packed.stderr}`);
  process.env.HURROW_PACKED_STORE = file;
  return () => {
    server.stop();
    rmSync(dirname(file), { recursive: true, force: true });
  };
}
