import { textOfFile } from './textOfFile.ts';

const read = (...bytes: number[]) => textOfFile(new Blob([new Uint8Array(bytes)]));

test('files come in the encodings that spreadsheets write', async () => {
  expect(await textOfFile(new Blob(['Šárka × 5–9']))).toBe('Šárka × 5–9');
  expect(await read(0xef, 0xbb, 0xbf, 0x41)).toBe('A');
  expect(await read(0xff, 0xfe, 0x41, 0, 0xe9, 0)).toBe('Aé');
  expect(await read(0xfe, 0xff, 0, 0x41, 0, 0xe9)).toBe('Aé');
  // é of Windows-1252, which is no UTF-8
  expect(await read(0x41, 0xe9, 0x2c, 0x42)).toBe('Aé,B');
});
