import { rmSync } from 'node:fs';
import { dirname } from 'node:path';

/** After the last test of the server: the copy that all took is not needed any more. */
export default function dropStore() {
  rmSync(dirname(process.env.HURROW_PACKED_STORE), { recursive: true, force: true });
}
