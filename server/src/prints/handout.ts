import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { bothWords, rowsOfStates, tellsIn, type LessonStop } from '@hurrow/core/lesson';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { drawnOne, drawnStop, headingOf } from '../lessons/drawn.ts';
import type { LessonToDraw } from '../lessons/toDraw.ts';
import { putIn } from '@hurrow/core/vocabulary';
import { upperFirst } from '@hurrow/core/words';

const A_PAGE = 3;
/** In points, and the larger frame it is laid out in: margins and letters of a drawing do not shrink with it. */
const DRAWN = { width: 250, height: 168 };
const LAID_OUT = { width: 400, height: 269 };
/** Points under a photo for whose it is. */
const CREDIT = 12;
/** Lines to write on, in points from one another. */
const LINES = 5;
const LINE_GAP = 20;
const GREY = '#4c5d60';

/** A lesson on paper: three points a page, the drawing to the left, the line and lines to write on to the right, black on white. */
export function handout(lesson: LessonToDraw): Omit<TDocumentDefinitions, 'pageSize'> {
  const of = (...kinds: LessonStop['kind'][]) => lesson.stops.filter(({ kind }) => kinds.includes(kind));
  const points = of('tree', 'contrast', 'rule', 'own');
  const calls = of('call');
  const { sheet } = tellsIn(lesson.setting.vocabulary);
  return {
    info: { title: lesson.title },
    pageMargins: [44, 58, 44, 44],
    header: {
      margin: [44, 26, 44, 0],
      columns: [
        { text: lesson.title, font: 'Serif', bold: true, fontSize: 13 },
        {
          text: [
            lesson.course,
            ...(lesson.week === null ? [] : [putIn(sheet.week, String(lesson.week))]),
          ].join(', '),
          alignment: 'right',
          color: GREY,
        },
      ],
    },
    footer: (page, pages) => ({
      text: putIn(sheet.page, { page: String(page), pages: String(pages) }),
      alignment: 'center',
      fontSize: 8,
      color: GREY,
    }),
    content: [
      ...points.map((stop, i) => onPaper(lesson, stop, i > 0 && i % A_PAGE === 0)),
      ...of('states', 'exceptions').map((stop) => acrossPaper(lesson, stop)),
      ...(calls.length > 0 ? [callsOnPaper(lesson, calls), answersOnPaper(calls, sheet.answers)] : []),
      ...of('recap').map((stop) => recapOnPaper(lesson, stop)),
    ],
  };
}

function onPaper(lesson: LessonToDraw, stop: LessonStop, newPage: boolean): Content {
  const heading = headingOf(lesson, stop);
  const of = lesson.profiles.filter(({ taxon }) => stop.taxa.includes(taxon.id));
  return {
    ...(newPage ? { pageBreak: 'before' as const } : {}),
    margin: [0, 0, 0, 14],
    unbreakable: true,
    columns: [
      { width: DRAWN.width + 8, stack: [shownOnPaper(lesson, stop)] },
      {
        width: '*',
        stack: [
          { text: heading, bold: true, fontSize: 11 },
          {
            text: of.map(({ taxon }) => scientificName(taxon)).join(', '),
            font: 'Serif',
            italics: true,
            color: GREY,
          },
          { text: stop.words, font: 'Serif', fontSize: 10.5, margin: [0, 4, 0, 2] },
          ...(stop.look ? [{ text: stop.look, margin: [0, 0, 0, 2] } as Content] : []),
          linesToWriteOn(),
        ],
      },
    ],
  };
}

/** The photos of a point with whose they are, or its drawing, or room for one of one's own. */
function shownOnPaper(lesson: LessonToDraw, stop: LessonStop): Content {
  const taken = lesson.pictures[stop.key];
  if (taken)
    return {
      stack: [
        { image: taken.data, fit: [DRAWN.width, DRAWN.height - CREDIT] },
        { text: taken.credit, fontSize: 7, color: GREY, margin: [0, 2, 8, 0] },
      ],
    };
  const svg = drawnStop(lesson, stop, LAID_OUT, true);
  return svg ? { svg: inSans(svg), fit: [DRAWN.width, DRAWN.height] } : emptyFrame();
}

/** Points of a picture as wide as the page, and the larger frame that it is laid out in, by rows. */
const ACROSS = { width: 520, row: 130 };
const ACROSS_LAID = { width: 780, row: 195 };

/** The states of a character side by side, what each means under them; exceptions are words alone. */
function acrossPaper(lesson: LessonToDraw, stop: LessonStop): Content {
  const rows = rowsOfStates(stop.taxa.length);
  const svg = drawnStop(lesson, stop, { width: ACROSS_LAID.width, height: rows * ACROSS_LAID.row }, true);
  return {
    margin: [0, 0, 0, 12],
    unbreakable: true,
    stack: [
      { text: stop.title, font: 'Serif', bold: true, fontSize: 13 },
      ...(stop.look && stop.kind === 'states' ? [{ text: stop.look, margin: [0, 1, 0, 3] } as Content] : []),
      ...(svg ? [{ svg: inSans(svg), fit: [ACROSS.width, rows * ACROSS.row] } as Content] : []),
      { text: stop.words, font: 'Serif', fontSize: 10.5, margin: [0, 4, 0, 0] },
    ],
  };
}

/** In points, and the frame it is laid out in. */
const CALLED = { width: 240, height: 98 };
const CALLED_LAID = { width: 400, height: 163 };

/** Specimens to call, two in a row, each with a box to tick for every state that it may be. */
function callsOnPaper(lesson: LessonToDraw, calls: readonly LessonStop[]): Content {
  const cells = calls.map((stop): TableCell => {
    const svg = drawnStop(lesson, stop, CALLED_LAID, true);
    return {
      stack: [
        { text: `${stop.title}. ${stop.ask ?? ''}`, bold: true, fontSize: 9 },
        svg ? { svg: inSans(svg), fit: [CALLED.width, CALLED.height] } : emptyFrame(),
        { text: wordsToTick(lesson, stop), fontSize: 9, margin: [0, 2, 0, 0] },
      ],
    };
  });
  return {
    pageBreak: 'before',
    layout: { hLineWidth: () => 0, vLineWidth: () => 0, paddingBottom: () => 10 },
    table: {
      dontBreakRows: true,
      widths: ['*', '*'],
      body: Array.from({ length: Math.ceil(cells.length / 2) }, (_, i) => [
        cells[2 * i] ?? '',
        cells[2 * i + 1] ?? '',
      ]),
    },
  };
}

function wordsToTick({ setting, audience }: LessonToDraw, { characters, states = [] }: LessonStop): string {
  const of = setting.vocabulary.get(characters[0] ?? '')?.states ?? [];
  return states
    .map((id) => {
      const state = of.find((each) => each.id === id);
      return `[  ] ${state ? bothWords(state, audience).word : id}`;
    })
    .join('    ');
}

/** The answers, for the other side or for who holds the lesson. */
const answersOnPaper = (calls: readonly LessonStop[], title: string): Content => ({
  pageBreak: 'before',
  stack: [
    { text: title, font: 'Serif', bold: true, fontSize: 13, margin: [0, 0, 0, 6] },
    { ol: calls.map(({ words }) => ({ text: words, font: 'Serif', fontSize: 10.5 })) },
  ],
});

function recapOnPaper(lesson: LessonToDraw, stop: LessonStop): Content {
  return {
    pageBreak: 'before',
    stack: [
      { text: stop.title, font: 'Serif', bold: true, fontSize: 15, margin: [0, 0, 0, 8] },
      ...(stop.each ?? []).map(({ taxonId, words, shows }): Content => {
        const svg = drawnOne(lesson, taxonId, shows, { width: 260, height: 192 }, true);
        const found = lesson.profiles.find(({ taxon }) => taxon.id === taxonId);
        return {
          unbreakable: true,
          margin: [0, 0, 0, 8],
          columns: [
            svg ? { width: 140, svg: inSans(svg), fit: [130, 96] } : { width: 140, text: '' },
            {
              width: '*',
              stack: [
                { text: found ? upperFirst(commonName(found.taxon)) : taxonId, bold: true, fontSize: 11 },
                { text: found ? scientificName(found.taxon) : '', font: 'Serif', italics: true, color: GREY },
                { text: words, font: 'Serif', fontSize: 11, margin: [0, 4, 0, 0] },
              ],
            },
          ],
        };
      }),
    ],
  };
}

// The fonts of the PDF are named; the drawing must not ask for another.
const inSans = (svg: string): string => svg.replace('font-family="sans-serif"', 'font-family="Sans"');

/** Room for a drawing of one's own. */
const emptyFrame = (): Content => ({
  canvas: [
    {
      type: 'rect',
      x: 0,
      y: 0,
      w: DRAWN.width,
      h: DRAWN.height,
      lineWidth: 0.4,
      lineColor: '#8aa0a0',
      dash: { length: 3 },
    },
  ],
});

const linesToWriteOn = (): Content => ({
  margin: [0, 10, 0, 0],
  canvas: Array.from({ length: LINES }, (_, i) => ({
    type: 'line' as const,
    x1: 0,
    y1: i * LINE_GAP,
    x2: 240,
    y2: i * LINE_GAP,
    lineWidth: 0.4,
    lineColor: '#8aa0a0',
  })),
});
