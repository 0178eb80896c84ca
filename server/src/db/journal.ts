import { existsSync } from 'node:fs';
import { open, readFile, rename, truncate, type FileHandle } from 'node:fs/promises';
import { dirname } from 'node:path';
import { crc32 } from 'node:zlib';
import { sync } from './sync.ts';

/** What a journal holds a line of: anything with an id of its own. */
export interface Kept {
  id: string;
}

/**
 * A file to which rows are appended, each with a checksum, and which is on the disk when an append resolves. Appends that come
 * while the disk is at work share its next turn, so that a class does not wait in line: the store itself would have each wait for its own.
 *
 * A last line that a power cut tore is cut off, since nobody was told that it was kept. Damaged lines before the last are left where they
 * are, skipped, and counted in `damaged`.
 *
 * @example
 * const journal = await Journal.open('data/answers.journal');
 * await journal.append([{ id: 'b5…', answer: { genus: 'Abies' } }]); // on the disk from here on
 * await journal.rows(); // [{ id: 'b5…', answer: { genus: 'Abies' } }]
 */
export class Journal {
  private waiting: { bytes: Buffer; ids: string[]; done(): void; failed(error: unknown): void }[] = [];
  private writing = false;
  private file: FileHandle;
  private readonly path: string;
  private readonly ids: Set<string>;
  /** Length of what is whole, in bytes. */
  private length: number;
  /** Lines that could not be read when the file was opened. */
  readonly damaged: number;

  private constructor(path: string, file: FileHandle, read: ReadLines) {
    this.path = path;
    this.file = file;
    this.ids = new Set(read.rows.map(({ id }) => id));
    this.length = read.length;
    this.damaged = read.damaged;
  }

  /** Opens a journal, or begins one. Rejects if the file cannot be read or written. */
  static async open(path: string): Promise<Journal> {
    const begun = !existsSync(path);
    const file = await open(path, 'a');
    const bytes = await readFile(path);
    const read = linesOf(bytes);
    // By its path: a file open for appending cannot be cut on every system.
    if (read.length < bytes.length) await truncate(path, read.length);
    if (begun) await sync(dirname(path));
    return new Journal(path, file, read);
  }

  has(id: string): boolean {
    return this.ids.has(id);
  }

  /** Resolves when the rows are on the disk. Rows whose id is there already are not written again. Rejects if the disk refuses. */
  append(rows: readonly Kept[]): Promise<void> {
    const fresh = rows.filter(({ id }) => !this.ids.has(id));
    if (fresh.length === 0) return Promise.resolve();
    const bytes = Buffer.from(fresh.map(lineOf).join(''));
    return new Promise((done, failed) => {
      this.waiting.push({ bytes, ids: fresh.map(({ id }) => id), done, failed });
      if (!this.writing) void this.write();
    });
  }

  /** All rows that can be read, oldest first. */
  async rows<Row extends Kept>(): Promise<Row[]> {
    return linesOf(await readFile(this.path)).rows as Row[];
  }

  /**
   * Takes rows out for good: what people may have removed is not brought back. The journal is written anew beside itself and then put in
   * its own place, so that a power cut leaves the one or the other.
   */
  async strike(ids: ReadonlySet<string>): Promise<void> {
    if (![...ids].some((id) => this.ids.has(id))) return;
    // Nobody appends meanwhile: what comes waits for its turn.
    while (this.writing) await new Promise((resolve) => setImmediate(resolve));
    this.writing = true;
    try {
      const rows = (await this.rows()).filter(({ id }) => !ids.has(id));
      const bytes = Buffer.from(rows.map(lineOf).join(''));
      const beside = `${this.path}.new`;
      const fresh = await open(beside, 'w');
      await fresh.writeFile(bytes);
      await fresh.sync();
      await fresh.close();
      await this.file.close();
      await rename(beside, this.path);
      await sync(dirname(this.path));
      this.file = await open(this.path, 'a');
      this.length = bytes.length;
      for (const id of ids) this.ids.delete(id);
    } finally {
      this.writing = false;
    }
    if (this.waiting.length > 0) void this.write();
  }

  async close(): Promise<void> {
    await this.file.close();
  }

  private async write(): Promise<void> {
    this.writing = true;
    while (this.waiting.length > 0) {
      const group = this.waiting.splice(0);
      try {
        const bytes = Buffer.concat(group.map((entry) => entry.bytes));
        await this.file.appendFile(bytes);
        await this.file.datasync();
        this.length += bytes.length;
        for (const entry of group) {
          for (const id of entry.ids) this.ids.add(id);
          entry.done();
        }
      } catch (error) {
        // Half a line must not run into the next one.
        await truncate(this.path, this.length).catch(() => undefined);
        for (const entry of group) entry.failed(error);
      }
    }
    this.writing = false;
  }
}

interface ReadLines {
  rows: Kept[];
  damaged: number;
  /** Bytes up to the end of the last line that could be read, or all where the last is only damaged. */
  length: number;
}

function lineOf(row: Kept): string {
  const json = JSON.stringify(row);
  return `${crc32(json).toString(16).padStart(8, '0')} ${json}\n`;
}

function linesOf(bytes: Buffer): ReadLines {
  const rows: Kept[] = [];
  let damaged = 0;
  let length = 0;
  for (let from = 0; from < bytes.length;) {
    const end = bytes.indexOf(10, from);
    // What no line end follows was torn while it was written.
    if (end < 0) break;
    const row = rowOf(bytes.toString('utf8', from, end));
    if (row) rows.push(row);
    else damaged += 1;
    from = end + 1;
    length = from;
  }
  return { rows, damaged, length };
}

function rowOf(line: string): Kept | undefined {
  const json = line.slice(9);
  if (line.slice(0, 8) !== crc32(json).toString(16).padStart(8, '0')) return undefined;
  return JSON.parse(json) as Kept;
}
