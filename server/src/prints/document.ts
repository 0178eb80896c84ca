import { fileURLToPath } from 'node:url';
import { dirname, join } from 'node:path';
import { createRequire } from 'node:module';
import pdfmake from 'pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { inFonts } from './legible.ts';
import type { Paper } from '@hurrow/contract/prints';
import { PAPER_SIZE } from './paper.ts';

const require = createRequire(import.meta.url);
const folderOf = (font: string) =>
  join(dirname(require.resolve(`@fontsource/${font}/package.json`)), 'files');
const FOLDERS = { sans: folderOf('source-sans-3'), serif: folderOf('source-serif-4') };

const face = (folder: string, font: string, subset: 'latin' | 'latin-ext') => ({
  normal: join(folder, `${font}-${subset}-400-normal.woff`),
  bold: join(folder, `${font}-${subset}-600-normal.woff`),
  italics: join(folder, `${font}-${subset}-400-italic.woff`),
  bolditalics: join(folder, `${font}-${subset}-600-italic.woff`),
});

pdfmake.setFonts({
  Sans: face(FOLDERS.sans, 'source-sans-3', 'latin'),
  SansExtended: face(FOLDERS.sans, 'source-sans-3', 'latin-ext'),
  Serif: face(FOLDERS.serif, 'source-serif-4', 'latin'),
  SerifExtended: face(FOLDERS.serif, 'source-serif-4', 'latin-ext'),
});
// Nothing is fetched, and no file but the fonts is read.
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path: string) => {
  const file = path.startsWith('file:') ? fileURLToPath(path) : path;
  return Object.values(FOLDERS).some((folder) => file.startsWith(folder));
});

/** Sets a document in the fonts of the house and returns it as a PDF. */
export async function pdfOf(
  paper: Paper,
  definition: Omit<TDocumentDefinitions, 'pageSize'>,
): Promise<Buffer> {
  const document = pdfmake.createPdf({
    pageSize: PAPER_SIZE[paper].name,
    defaultStyle: { font: 'Sans', fontSize: 9.5, lineHeight: 1.12, color: '#17262b' },
    ...inFonts(definition),
  });
  return Buffer.from(await document.getBuffer());
}
