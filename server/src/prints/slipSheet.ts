import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { Course, Student } from '@hurrow/contract/courses';
import type { Paper } from '@hurrow/contract/prints';
import { tongueOf } from '../language/tongue.ts';
import { PAPER_SIZE } from './paper.ts';

const COLUMNS = 2;
const MARGIN = 28;

/**
 * The address that a slip's code opens: both codes stand behind the #, which browsers do not send, so that they get into no log.
 *
 * @example
 * slipAddress('http://localhost:4680/', 'MAPLE', 'ROWAN1'); // 'http://localhost:4680/#MAPLE/ROWAN1'
 */
export const slipAddress = (at: string, courseCode: string, personalCode: string): string =>
  `${at.replace(/\/+$/, '')}/#${courseCode}/${personalCode}`;

/** Slips of a class, side by side with lines to cut along. */
export function slipSheet(
  course: Course,
  students: readonly Student[],
  at: string,
  paper: Paper,
): Omit<TDocumentDefinitions, 'pageSize'> {
  const { say } = tongueOf(course.namesIn);
  const cells = students.map((student) => slip(course, student, at));
  const rows = Array.from({ length: Math.ceil(cells.length / COLUMNS) }, (_, i) =>
    Array.from({ length: COLUMNS }, (_empty, column): TableCell => cells[i * COLUMNS + column] ?? ''),
  );
  const width = (PAPER_SIZE[paper].width - 2 * MARGIN) / COLUMNS;
  const table: Content = {
    layout: {
      hLineStyle: () => ({ dash: { length: 3 } }),
      vLineStyle: () => ({ dash: { length: 3 } }),
      hLineWidth: () => 0.4,
      vLineWidth: () => 0.4,
    },
    table: { dontBreakRows: true, widths: Array.from({ length: COLUMNS }, () => width - 12), body: rows },
  };
  return {
    info: { title: say`Slips of ${course.name}` },
    pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN],
    content: [table],
  };
}

function slip(course: Course, student: Student, at: string): TableCell {
  const { say } = tongueOf(course.namesIn);
  const code = (text: string): Content => ({ text, bold: true, fontSize: 15, characterSpacing: 1.2 });
  return {
    margin: [8, 8, 8, 8],
    columns: [
      {
        width: '*',
        stack: [
          { text: student.name, font: 'Serif', bold: true, fontSize: 14, margin: [0, 0, 0, 2] },
          { text: course.name, margin: [0, 0, 0, 6] },
          { text: say`course code`, fontSize: 8, color: '#4c5d60' },
          code(course.code),
          { text: say`personal code`, fontSize: 8, color: '#4c5d60', margin: [0, 4, 0, 0] },
          code(student.code),
          { text: at, fontSize: 8, color: '#4c5d60', margin: [0, 6, 0, 0] },
        ],
      },
      { width: 92, qr: slipAddress(at, course.code, student.code), fit: 92, eccLevel: 'M' },
    ],
  };
}
