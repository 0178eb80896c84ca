import { open } from 'node:fs/promises';

/**
 * Brings a file to the disk, or the names in a folder: a new file is there only when its folder is. Systems that do not open folders, or not
 * for reading alone, write them by themselves.
 */
export async function sync(path: string): Promise<void> {
  const handle = await open(path, 'r').catch(() => undefined);
  await handle?.sync().catch(() => undefined);
  await handle?.close();
}
