import { rmSync } from 'node:fs';
import { dirname } from 'node:path';

/** After the last test of the server: what all took a copy of is not needed any more. */
export default function dropStore() {
  globalThis.postgresOfTests.stop();
  rmSync(dirname(process.env.HURROW_PACKED_STORE), { recursive: true, force: true });
}
