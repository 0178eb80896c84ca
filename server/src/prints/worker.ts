import type { TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { pdfOf } from './document.ts';
import type { Paper } from '@hurrow/contract/prints';
import { SHEETS, type Sheets } from './sheets.ts';

export interface PrintTask {
  paper: Paper;
  sheet: keyof Sheets;
  /** What the sheet takes: plain data, which travels to a thread. */
  takes: unknown[];
}

/** Draws and sets a sheet in a thread of its own, which never opens the store. */
export default function print({ paper, sheet, takes }: PrintTask): Promise<Buffer> {
  const describe = SHEETS[sheet] as (...given: unknown[]) => Omit<TDocumentDefinitions, 'pageSize'>;
  return pdfOf(paper, describe(...takes));
}
