import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { tongueOf } from '../language/tongue.ts';

/** A label or tag: a code to scan, a word to read from afar, and a line beneath. Never an answer. */
export interface Label {
  code: string;
  big: string;
  small: string;
}

/** A piece that was cut, with the days between which it is good to show. */
export interface CutPiece extends Omit<Label, 'small'> {
  cutOn: string;
  goodUntil: string;
}

const COLUMNS = 3;
const MARGIN = 28;
/** Points between the longest word that fits beside a code and the usual ones. */
const LONG_WORD = 7;

/** Labels to be cut apart, three in a row. */
export function labelSheet(labels: readonly Label[], title: string): Omit<TDocumentDefinitions, 'pageSize'> {
  const cells = labels.map(labelOf);
  const body = Array.from({ length: Math.ceil(cells.length / COLUMNS) }, (_, i) =>
    Array.from({ length: COLUMNS }, (_empty, column): TableCell => cells[i * COLUMNS + column] ?? ''),
  );
  const table: Content = {
    layout: {
      hLineStyle: () => ({ dash: { length: 3 } }),
      vLineStyle: () => ({ dash: { length: 3 } }),
      hLineWidth: () => 0.4,
      vLineWidth: () => 0.4,
    },
    table: { dontBreakRows: true, widths: Array.from({ length: COLUMNS }, () => '*'), body },
  };
  return { info: { title }, pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN], content: [table] };
}

/** Labels of what was cut for a course. */
export function pieceLabels(pieces: readonly CutPiece[], title: string, language: string | null) {
  const { say } = tongueOf(language);
  return labelSheet(
    pieces.map(({ code, big, cutOn, goodUntil }) => ({
      code,
      big,
      small: say`cut ${cutOn}, good until ${goodUntil}`,
    })),
    title,
  );
}

const labelOf = ({ code, big, small }: Label): TableCell => ({
  margin: [6, 8, 6, 8],
  columns: [
    { width: 62, qr: code, fit: 58, eccLevel: 'M' },
    {
      width: '*',
      stack: [
        { text: big, font: 'Serif', bold: true, fontSize: big.length > LONG_WORD ? 14 : 24 },
        { text: small, fontSize: 8, color: '#4c5d60' },
      ],
    },
  ],
});
