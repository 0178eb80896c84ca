import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { tongueOf } from '../language/tongue.ts';
import type { Paper } from '@hurrow/contract/prints';
import { PAPER_SIZE } from './paper.ts';
import { specimenSvg, type PrintOptions } from './profileSheet.ts';

const COLUMNS = 2;
const ROWS = 4;
const MARGIN = 30;

/**
 * Cards to learn names with, eight a page: drawings on one page, names on the next with its columns mirrored, so that printing on both
 * sides (turned over the long edge) puts each name behind its drawing.
 */
export function nameCards(
  list: readonly ProfiledTaxon[],
  paper: Paper,
  options: PrintOptions,
): Omit<TDocumentDefinitions, 'pageSize'> {
  const { width, height } = PAPER_SIZE[paper];
  const card = { width: (width - 2 * MARGIN) / COLUMNS, height: (height - 2 * MARGIN) / ROWS };
  const perPage = COLUMNS * ROWS;
  const sheets: Content[] = [];
  for (let at = 0; at < list.length; at += perPage) {
    const page = list.slice(at, at + perPage);
    const table = (mirrored: boolean, cell: (profiled: ProfiledTaxon) => TableCell): Content => ({
      ...(sheets.length > 0 ? { pageBreak: 'before' as const } : {}),
      layout: {
        hLineStyle: () => ({ dash: { length: 3 } }),
        vLineStyle: () => ({ dash: { length: 3 } }),
        hLineWidth: () => 0.4,
        vLineWidth: () => 0.4,
        paddingLeft: () => 0,
        paddingRight: () => 0,
        paddingTop: () => 0,
        paddingBottom: () => 0,
      },
      table: {
        dontBreakRows: true,
        widths: Array.from({ length: COLUMNS }, () => card.width - 1),
        heights: card.height - 1,
        body: Array.from({ length: Math.ceil(page.length / COLUMNS) }, (_, row) => {
          const cells = Array.from({ length: COLUMNS }, (_empty, column): TableCell => {
            const profiled = page[row * COLUMNS + column];
            return profiled ? cell(profiled) : '';
          });
          return mirrored ? cells.reverse() : cells;
        }),
      },
    });
    sheets.push(table(false, (profiled) => front(profiled, card, options)));
    sheets.push(table(true, (profiled) => back(profiled)));
  }
  return {
    info: { title: tongueOf(options.language).say`Name cards` },
    pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN - 8],
    content: sheets,
  };
}

function front(
  profiled: ProfiledTaxon,
  card: { width: number; height: number },
  options: PrintOptions,
): TableCell {
  const svg = specimenSvg(profiled, ['twig', 'bud', 'leaf'], options, 400, 270);
  if (!svg)
    return {
      text: tongueOf(options.language).say`No drawing yet`,
      margin: [12, 12, 12, 12],
      color: '#4c5d60',
    };
  return { svg, fit: [card.width - 20, card.height - 16], margin: [10, 8, 10, 0] };
}

function back({ taxon }: ProfiledTaxon): TableCell {
  return {
    margin: [18, 34, 18, 0],
    stack: [
      { text: commonName(taxon), font: 'Serif', bold: true, fontSize: 17 },
      { text: scientificName(taxon), font: 'Serif', italics: true, fontSize: 13, margin: [0, 2, 0, 2] },
      { text: taxon.family, color: '#4c5d60', margin: [0, 0, 0, 8] },
      ...(taxon.memoryAid ? [{ text: taxon.memoryAid }] : []),
    ],
  };
}
