import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Before the first test of the server: an empty store in its newest shape, made once, of which every test file takes a copy. */
export default function packStore() {
  const file = join(mkdtempSync(join(tmpdir(), 'hurrow-store-')), 'store.tar');
  const script = fileURLToPath(new URL('./packStore.ts', import.meta.url));
  const packed = spawnSync(process.execPath, ['--import', 'tsx', script, file], { encoding: 'utf8' });
  if (packed.status !== 0) throw new Error(`The empty store could not be made: ${packed.stderr}`);
  process.env.HURROW_PACKED_STORE = file;
}
