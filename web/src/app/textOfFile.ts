/**
 * The text of a file, whatever it is encoded in: UTF-8, UTF-16 with its byte-order mark, or else Windows-1252, as older spreadsheets
 * write. A file in UTF-8 is never mistaken for another: other encodings are not valid UTF-8 as soon as they hold an accented letter.
 */
export async function textOfFile(file: Blob): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  const [first, second] = bytes;
  if (first === 0xff && second === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (first === 0xfe && second === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
