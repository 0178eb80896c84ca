import Joi from 'joi';
import type { Content, TableCell } from 'pdfmake/interfaces.js';
import { badInput } from '../api/problem.ts';
import { route, STAFF } from '../api/route.ts';
import { courseOf } from '../courses/routes.ts';
import * as courseQueries from '../courses/queries.ts';
import { PAPER_SIZE, PAPERS, pdfOf, type Paper } from './document.ts';

interface SlipQuery {
  courseId: string;
  /** Address under which phones reach this Hurrow, such as http://192.168.1.20:4680. */
  at: string;
  paper: Paper;
  students: string;
}

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

/** Slips with what a student signs in with, to be cut apart. */
export const slipRoutes = [
  route<unknown, Record<string, string>, SlipQuery>({
    method: 'get',
    path: '/api/prints/slips.pdf',
    summary: 'A slip a student with course code, personal code and a QR code that signs in, as PDF.',
    allow: STAFF,
    answers: 'application/pdf',
    query: Joi.object({
      courseId: Joi.string().uuid().required(),
      at: Joi.string()
        .uri({ scheme: ['http', 'https'] })
        .max(200)
        .required()
        .label('Address'),
      paper: Joi.string()
        .valid(...PAPERS)
        .default('letter'),
      students: Joi.string().max(8000).allow('').default(''),
    }),
    handle: async ({ db, query }) => {
      const course = await courseOf(db, query.courseId);
      const wanted = query.students.split(',').filter(Boolean);
      const students = (await courseQueries.students(db, course.id)).filter(
        ({ id, nameless }) => !nameless && (wanted.length === 0 || wanted.includes(id)),
      );
      if (students.length === 0)
        throw badInput('The course has no students yet. Import the class list first.');
      const cells = students.map((student) => slip(course, student, query.at));
      const rows = Array.from({ length: Math.ceil(cells.length / COLUMNS) }, (_, i) =>
        Array.from({ length: COLUMNS }, (_empty, column): TableCell => cells[i * COLUMNS + column] ?? ''),
      );
      const width = (PAPER_SIZE[query.paper].width - 2 * MARGIN) / COLUMNS;
      const table: Content = {
        layout: {
          hLineStyle: () => ({ dash: { length: 3 } }),
          vLineStyle: () => ({ dash: { length: 3 } }),
          hLineWidth: () => 0.4,
          vLineWidth: () => 0.4,
        },
        table: { dontBreakRows: true, widths: Array.from({ length: COLUMNS }, () => width - 12), body: rows },
      };
      return pdfOf(query.paper, {
        info: { title: `Slips of ${course.name}` },
        pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN],
        content: [table],
      });
    },
  }),
];

function slip(course: courseQueries.CourseRow, student: courseQueries.StudentRow, at: string): TableCell {
  const code = (text: string): Content => ({ text, bold: true, fontSize: 15, characterSpacing: 1.2 });
  return {
    margin: [8, 8, 8, 8],
    columns: [
      {
        width: '*',
        stack: [
          { text: student.name, font: 'Serif', bold: true, fontSize: 14, margin: [0, 0, 0, 2] },
          { text: course.name, margin: [0, 0, 0, 6] },
          { text: 'course code', fontSize: 8, color: '#4c5d60' },
          code(course.code),
          { text: 'personal code', fontSize: 8, color: '#4c5d60', margin: [0, 4, 0, 0] },
          code(student.code),
          { text: at, fontSize: 8, color: '#4c5d60', margin: [0, 6, 0, 0] },
        ],
      },
      { width: 92, qr: slipAddress(at, course.code, student.code), fit: 92, eccLevel: 'M' },
    ],
  };
}
