import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { WalkBody } from '@hurrow/contract/outings';
import type { Paper } from '@hurrow/contract/prints';
import { climbInWords, wayInWords } from '@hurrow/core/field';
import {
  clockAfter,
  drawMap,
  HAZARD_CARE,
  type careOnTheWay,
  type GroundFeatures,
  type GroundTree,
  type MapShape,
  type PlannedWalk,
  type WalkStop,
} from '@hurrow/core/grounds';
import type { UnitSystem } from '@hurrow/core/score';
import type { Caution } from '@hurrow/core/taxon';
import { inFull } from '@hurrow/core/words';
import { tongueOf } from '../language/tongue.ts';
import { PAPER_SIZE } from './paper.ts';

/** All that a printed walk is made of: plain data, which travels to a thread. */
export interface PrintedWalk {
  course: string;
  /** In which its course calls its trees. */
  language: string | null;
  grounds: string;
  features: GroundFeatures;
  walk: WalkBody;
  planned: PlannedWalk;
  stops: (WalkStop & {
    tree: GroundTree;
    /** Undefined where nobody has named it yet. */
    name: string | undefined;
    family: string;
    /** What tells it from the other trees of the walk on that day. */
    toShow: string[];
    cautions: Pick<Caution, 'kind' | 'care'>[];
  })[];
  care: ReturnType<typeof careOnTheWay>;
  whoDecides: string;
  units: UnitSystem;
  /** Names of those who should be there. */
  roll: string[];
}

const MARGIN = 36;
const MAP_HEIGHT = 300;
/** Metres off the path from which on it is said. */
const FAR_OFF = 25;
const ROLL_COLUMNS = 3;
/** Lines for notes on the sheet of a stop. */
const NOTE_LINES = 4;
const SHEETS_A_PAGE = 3;
const GREY = '#4c5d60';
const BOX =
  '<svg viewBox="0 0 9 9" width="9" height="9"><path d="M1 1h7v7h-7z" fill="none" stroke="#000000"/></svg>';
const TICKED = BOX.replace('</svg>', '<path d="M2 4.5l2 2.5 4-6" fill="none" stroke="#000000"/></svg>');

/** A walk on paper: its map, its stops with times and care, its checklists; black and white legible. */
export function walkSheet(printed: PrintedWalk, paper: Paper): Omit<TDocumentDefinitions, 'pageSize'> {
  const { course, grounds, walk, planned, stops, care, whoDecides, units, roll, language } = printed;
  const { say, word } = tongueOf(language);
  const width = PAPER_SIZE[paper].width - 2 * MARGIN;
  const climb =
    planned.up >= 1
      ? say`, ${climbInWords(planned.up, units)} up and ${climbInWords(planned.down, units)} down`
      : '';
  const minutes = Math.round(planned.minutes);
  const way = wayInWords(planned.metres, units);
  return {
    info: { title: walk.name },
    pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN],
    footer: (page, pages) => ({
      text: `${word(whoDecides)} ${say`${page} of ${pages}`}`,
      fontSize: 8,
      alignment: 'center',
      color: GREY,
    }),
    content: [
      { text: walk.name, font: 'Serif', bold: true, fontSize: 20 },
      { text: `${course} · ${grounds} · ${say`${walk.day}, from ${walk.begins}`}`, color: GREY },
      {
        text: planned.steps
          ? say`${stops.length} stops, ${way}${climb}, about ${minutes} minutes; there are steps.`
          : say`${stops.length} stops, ${way}${climb}, about ${minutes} minutes.`,
        margin: [0, 4, 0, 6],
      },
      ...planned.remarks.map((remark): Content => ({ text: inFull(remark, word), bold: true })),
      { svg: mapSvg(printed, width), width, margin: [0, 4, 0, 8] },
      stopTable(printed),
      ...(care.length > 0 ? [heading(say`To be minded`)] : []),
      ...care.map(({ hazard, care: words, stops: at }): Content => ({
        text: [{ text: say`${word(hazard)} (stop ${at.join(', ')}):`, bold: true }, ` ${word(words)}`],
        margin: [0, 1, 0, 1],
      })),
      ...walk.checklists.flatMap(({ title, points }): Content[] => [
        heading(title),
        ...points.map(({ words, done }): Content => ({
          columns: [
            { width: 12, svg: done ? TICKED : BOX },
            { width: '*', text: words },
          ],
          margin: [0, 1, 0, 1],
        })),
      ]),
      ...rollOf(roll, language),
      ...stops.map(stopSheet(printed)),
    ],
  };
}

const heading = (text: string): Content => ({
  text,
  font: 'Serif',
  bold: true,
  fontSize: 13,
  margin: [0, 10, 0, 3],
});

/** The roll in three columns, twice: as you leave, and as you are back. */
function rollOf(names: readonly string[], language: string | null): Content[] {
  if (names.length === 0) return [];
  const third = Math.ceil(names.length / ROLL_COLUMNS);
  const columns = Array.from({ length: ROLL_COLUMNS }, (_, i) => names.slice(i * third, (i + 1) * third));
  const line = (name: string): Content => ({
    columns: [
      { width: 12, svg: BOX },
      { width: 12, svg: BOX },
      { width: '*', text: name },
    ],
    columnGap: 4,
    margin: [0, 1, 0, 1],
  });
  return [
    heading(tongueOf(language).say`Roll, as you leave and as you are back`),
    { columns: columns.map((part): Content => ({ stack: part.map(line) })), columnGap: 12 },
  ];
}

/** A sheet to hold at a stop: which tree, what to show, what to be minded, room for notes. */
const stopSheet =
  ({ walk, units, language }: PrintedWalk, { say, word } = tongueOf(language)) =>
  (
    { tree, name, family, way, arrive, hazards, toShow, cautions }: PrintedWalk['stops'][number],
    i: number,
  ): Content => ({
    ...(i % SHEETS_A_PAGE === 0 ? { pageBreak: 'before' as const } : {}),
    unbreakable: true,
    margin: [0, 0, 0, 24],
    stack: [
      {
        columns: [
          { width: 46, text: String(i + 1), font: 'Serif', bold: true, fontSize: 36 },
          {
            width: '*',
            stack: [
              { text: `${tree.tag}: ${name ?? say`not named yet`}`, font: 'Serif', bold: true, fontSize: 16 },
              { text: [family, tree.access].filter(Boolean).join(' · '), color: GREY },
            ],
          },
          { width: 'auto', text: `${clockAfter(walk.begins, arrive)}, ${walk.minutes} min` },
        ],
      },
      ...(toShow.length > 0
        ? [
            {
              text: say`Look here: ${toShow.join('; ')}.`,
              fontSize: 14,
              margin: [0, 8, 0, 4] as [number, number, number, number],
            },
          ]
        : []),
      ...[
        ...hazards.map((hazard) => `${word(hazard)}: ${word(HAZARD_CARE[hazard])}`),
        ...cautions.map(({ kind, care }) => `${word(kind)}: ${care}`),
      ].map((text): Content => ({ text, bold: true, margin: [0, 1, 0, 1] })),
      {
        text: say`${wayInWords(way.metres, units)} from the stop before.`,
        color: GREY,
        margin: [0, 4, 0, 10],
      },
      ...Array.from({ length: NOTE_LINES }, (): Content => ({
        canvas: [{ type: 'line', x1: 0, y1: 0, x2: 500, y2: 0, lineWidth: 0.4, lineColor: GREY }],
        margin: [0, 0, 0, 20],
      })),
    ],
  });

function stopTable({ stops, walk: { begins }, units, language }: PrintedWalk): Content {
  const { say, word } = tongueOf(language);
  const head = ['', say`At`, say`Tree`, say`Way to it`, say`Minded`].map((text): TableCell => ({
    text,
    bold: true,
  }));
  const rows = stops.map(({ tree, name, way, arrive, hazards }, i): TableCell[] => [
    { text: String(i + 1), bold: true },
    clockAfter(begins, arrive),
    {
      stack: [
        { text: tree.tag, bold: true },
        { text: name ?? say`not named yet`, fontSize: 9 },
        ...(tree.access ? [{ text: tree.access, fontSize: 8, color: GREY }] : []),
      ],
    },
    [
      wayInWords(way.metres, units),
      ...(way.off > FAR_OFF ? [say`${wayInWords(way.off, units)} of it off the path`] : []),
      ...(way.steps ? [say`steps`] : []),
    ].join(', '),
    hazards.map(word).join(', '),
  ]);
  return {
    layout: 'lightHorizontalLines',
    table: { headerRows: 1, dontBreakRows: true, widths: [16, 34, '*', 120, 110], body: [head, ...rows] },
  };
}

const LOOK: Record<MapShape['kind'], string> = {
  plot: 'fill="#eef1ee" stroke="#9aa7a3" stroke-width="0.5"',
  water: 'fill="none" stroke="#5f8fa8" stroke-width="2.4"',
  building: 'fill="#b9c1be" stroke="#5b6866" stroke-width="0.7"',
  road: 'fill="none" stroke="#8b8f8d" stroke-width="4"',
  path: 'fill="none" stroke="#6b746f" stroke-width="1" stroke-dasharray="3 2"',
  hazard: 'fill="none" stroke="#000000" stroke-width="1.2"',
  meeting: 'fill="#000000"',
  tree: 'fill="none" stroke="#4f6b5c" stroke-width="0.6"',
  way: 'fill="none" stroke="#000000" stroke-width="1.8"',
  stop: 'fill="#ffffff" stroke="#000000" stroke-width="1"',
};

function mapSvg({ features, stops, planned, walk }: PrintedWalk, width: number): string {
  const line = [...planned.stops.map(({ way }) => way), planned.home].flatMap((way) => way.line);
  const at = stops.map(({ tree }) => tree);
  const map = drawMap(features, at, stops.length > 0 ? line : [walk.start, walk.end], at, {
    width,
    height: MAP_HEIGHT,
  });
  const shapes = map.shapes.map(({ kind, d, x, y, radius, label }) => {
    if (d) return `<path d="${d}" ${LOOK[kind]}/>`;
    const circle = `<circle cx="${x}" cy="${y}" r="${radius}" ${LOOK[kind]}/>`;
    return label
      ? `${circle}<text x="${x}" y="${y! + 2.6}" font-size="7.5" text-anchor="middle">${label}</text>`
      : circle;
  });
  const y = MAP_HEIGHT - 8;
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${MAP_HEIGHT}">
<rect x="0.5" y="0.5" width="${width - 1}" height="${MAP_HEIGHT - 1}" fill="none" stroke="#9aa7a3"/>
${shapes.join('\n')}
<path d="M10 ${y}h${map.scale.length}" stroke="#000000" stroke-width="1.5"/>
<text x="${14 + map.scale.length}" y="${y + 3}" font-size="8">${map.scale.metres} m</text></svg>`;
}
