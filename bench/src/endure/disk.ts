import {
  copyFileSync,
  cpSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { dirname, join } from 'node:path';

/** Bytes that a disk writes whole or not at all. */
const SECTOR = 4096;
/** Where PostgreSQL believes its store to lie. */
const INSIDE = /^\/pglite\/data\/?/;

/**
 * What the disk itself holds of a data folder while the system still keeps back some of what was written. Each time PostgreSQL asks for a
 * file to be brought to the disk it is copied here, and when it asks for a folder the names in it are. What it has not asked for may, in a
 * power cut, be there, or not, or in part: that is drawn by lot, sector by sector.
 */
export class Disk {
  private readonly folder: string;
  private readonly mirror: string;
  /** Bytes of the journal that were acknowledged. */
  private acknowledged: number;

  /** Begins with everything on the disk. */
  constructor(folder: string, mirror: string) {
    this.folder = folder;
    this.mirror = mirror;
    cpSync(join(folder, 'store'), mirror, { recursive: true });
    this.acknowledged = this.journalLength();
  }

  synced(path: string): void {
    const name = path.replace(INSIDE, '');
    const [from, to] = [join(this.folder, 'store', name), join(this.mirror, name)];
    if (!existsSync(from)) return;
    if (!statSync(from).isDirectory()) {
      mkdirSync(dirname(to), { recursive: true });
      copyFileSync(from, to);
      return;
    }
    const names = new Set(readdirSync(from));
    if (!existsSync(to)) mkdirSync(to, { recursive: true });
    for (const gone of readdirSync(to).filter((held) => !names.has(held)))
      rmSync(join(to, gone), { recursive: true });
  }

  /** The journal is on the disk as far as it reaches now. */
  journalKept(): void {
    this.acknowledged = this.journalLength();
  }

  /** Writes what a power cut in this moment leaves into an empty folder. */
  cut(image: string, random: () => number): void {
    const store = join(this.folder, 'store');
    cpSync(this.mirror, join(image, 'store'), { recursive: true });
    for (const entry of readdirSync(store, { recursive: true, withFileTypes: true })) {
      const name = join(entry.parentPath, entry.name).slice(store.length + 1);
      const to = join(image, 'store', name);
      if (entry.isDirectory()) {
        mkdirSync(to, { recursive: true });
        continue;
      }
      const now = readFileSync(join(store, name));
      if (!existsSync(to)) {
        if (random() < 0.5) writeFileSync(to, partOf(now, Buffer.alloc(0), random));
        continue;
      }
      const kept = readFileSync(to);
      if (!now.equals(kept)) writeFileSync(to, partOf(now, kept, random));
    }
    const journal = readFileSync(join(this.folder, 'answers.journal'));
    const more = Math.floor(random() * (journal.length - this.acknowledged + 1));
    writeFileSync(join(image, 'answers.journal'), journal.subarray(0, this.acknowledged + more));
  }

  private journalLength(): number {
    const path = join(this.folder, 'answers.journal');
    return existsSync(path) ? statSync(path).size : 0;
  }
}

/** Of each sector either what is kept or what was written since; a file that has grown may have grown in part. */
function partOf(now: Buffer, kept: Buffer, random: () => number): Buffer {
  const share = random();
  const length = random() < 0.5 ? Math.max(now.length, kept.length) : kept.length;
  const part = Buffer.alloc(length);
  kept.copy(part);
  for (let at = 0; at < Math.min(length, now.length); at += SECTOR)
    if (random() < share) now.copy(part, at, at, Math.min(at + SECTOR, length));
  return part;
}
