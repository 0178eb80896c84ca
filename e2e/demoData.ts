import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Makes the demo's data once for all journeys, before the first; each takes a copy. Returns what removes it. */
export default function makeDemoData(): () => void {
  const folder = mkdtempSync(join(tmpdir(), 'hurrow-demo-'));
  const built = spawnSync(process.execPath, ['--import', 'tsx', 'demo/src/build.ts', folder], {
    cwd: fileURLToPath(new URL('../', import.meta.url)),
    encoding: 'utf8',
  });
  if (built.status !== 0) throw new Error(`The demo data could not be made: ${built.stderr}`);
  process.env['HURROW_DEMO_DATA'] = folder;
  return () => rmSync(folder, { recursive: true, force: true });
}
