import { appendFileSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import type { FileHandle } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { vi } from 'vitest';
import { Journal } from './journal.ts';

let folder: string;
let path: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'hurrow-journal-'));
  path = join(folder, 'answers.journal');
});
afterEach(() => rmSync(folder, { recursive: true }));

const row = (n: number) => ({ id: `answer-${n}`, text: `Übung ${n}\nin two lines` });
const written = async (...numbers: number[]) => {
  const journal = await Journal.open(path);
  for (const n of numbers) await journal.append([row(n)]);
  await journal.close();
};
const read = async () => {
  const journal = await Journal.open(path);
  const rows = await journal.rows();
  await journal.close();
  return { rows, damaged: journal.damaged };
};
/** The journal's own hold on its file. */
const fileOf = (journal: Journal) => (journal as unknown as { file: FileHandle }).file;

test('rows come back in their order, each once', async () => {
  await written(1, 2, 1, 3);
  await written(2, 4);
  expect(await read()).toEqual({ rows: [1, 2, 3, 4].map(row), damaged: 0 });
});

test('wherever a power cut tears the last line, the rows before it stand and writing goes on', async () => {
  await written(1);
  const whole = statSync(path).size;
  await written(2);
  const bytes = readFileSync(path);
  for (let end = whole; end < bytes.length; end += 1) {
    writeFileSync(path, bytes.subarray(0, end));
    await written(3);
    expect(await read()).toEqual({ rows: [1, 3].map(row), damaged: 0 });
  }
});

test('a damaged line is skipped and counted, and stays in the file', async () => {
  await written(1, 2, 3);
  const bytes = readFileSync(path);
  bytes[bytes.indexOf('answer-2')] = 0x41;
  writeFileSync(path, bytes);
  await written(4);
  expect(await read()).toEqual({ rows: [1, 3, 4].map(row), damaged: 1 });
  expect(readFileSync(path, 'utf8')).toContain('Answer-2');
});

test('what looks like a line but has no checksum is no row', async () => {
  await written(1);
  appendFileSync(path, `00000000 ${JSON.stringify(row(2))}\nnonsense\n`);
  expect(await read()).toEqual({ rows: [row(1)], damaged: 2 });
});

test('many at once share the disk’s turns', async () => {
  const journal = await Journal.open(path);
  const syncs = vi.spyOn(fileOf(journal), 'datasync');
  await Promise.all(Array.from({ length: 300 }, (_, n) => journal.append([row(n)])));
  expect(syncs.mock.calls.length).toBeLessThan(10);
  expect(await journal.rows()).toHaveLength(300);
  await journal.close();
});

test('a disk that refuses is said to whoever waits; half a line is taken back, and the next try is whole', async () => {
  const journal = await Journal.open(path);
  await journal.append([row(1)]);
  const full = vi.spyOn(fileOf(journal), 'datasync').mockRejectedValueOnce(new Error('ENOSPC'));
  await expect(journal.append([row(2)])).rejects.toThrow('ENOSPC');
  expect(journal.has('answer-2')).toBe(false);
  expect(await journal.rows()).toEqual([row(1)]);
  full.mockRestore();
  await journal.append([row(2)]);
  await journal.close();
  expect((await read()).rows).toEqual([1, 2].map(row));
});

test('rows are struck out for good, while others go on being kept', async () => {
  const journal = await Journal.open(path);
  await journal.append([1, 2, 3].map(row));
  const striking = journal.strike(new Set(['answer-2', 'unknown']));
  await Promise.all([striking, journal.append([row(4)]), journal.append([row(5)])]);
  expect(journal.has('answer-2')).toBe(false);
  await journal.close();
  expect((await read()).rows).toEqual([1, 3, 4, 5].map(row));
  expect(readFileSync(path, 'utf8')).not.toContain('answer-2');
});
