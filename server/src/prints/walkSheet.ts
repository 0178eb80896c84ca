import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { WalkBody } from '@hurrow/contract/outings';
import type { Paper } from '@hurrow/contract/prints';
import { climbInWords, wayInWords } from '@hurrow/core/field';
import {
  drawMap,
  type careOnTheWay,
  type GroundFeatures,
  type GroundTree,
  type MapShape,
  type PlannedWalk,
  type WalkStop,
} from '@hurrow/core/grounds';
import type { UnitSystem } from '@hurrow/core/score';
import { PAPER_SIZE } from './paper.ts';

/** All that a printed walk is made of: plain data, which travels to a thread. */
export interface PrintedWalk {
  course: string;
  grounds: string;
  features: GroundFeatures;
  walk: WalkBody;
  planned: PlannedWalk;
  stops: (WalkStop & { tree: GroundTree; name: string })[];
  care: ReturnType<typeof careOnTheWay>;
  whoDecides: string;
  units: UnitSystem;
}

const MARGIN = 36;
const MAP_HEIGHT = 300;
/** Metres off the path from which on it is said. */
const FAR_OFF = 25;
const GREY = '#4c5d60';
const BOX =
  '<svg viewBox="0 0 9 9" width="9" height="9"><path d="M1 1h7v7h-7z" fill="none" stroke="#000000"/></svg>';
const TICKED = BOX.replace('</svg>', '<path d="M2 4.5l2 2.5 4-6" fill="none" stroke="#000000"/></svg>');

/** A walk on paper: its map, its stops with times and care, its checklists; black and white legible. */
export function walkSheet(printed: PrintedWalk, paper: Paper): Omit<TDocumentDefinitions, 'pageSize'> {
  const { course, grounds, walk, planned, stops, care, whoDecides, units } = printed;
  const width = PAPER_SIZE[paper].width - 2 * MARGIN;
  const climb =
    planned.up >= 1
      ? `, ${climbInWords(planned.up, units)} up and ${climbInWords(planned.down, units)} down`
      : '';
  return {
    info: { title: walk.name },
    pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN],
    footer: (page, pages) => ({
      text: `${whoDecides} ${page} of ${pages}`,
      fontSize: 8,
      alignment: 'center',
      color: GREY,
    }),
    content: [
      { text: walk.name, font: 'Serif', bold: true, fontSize: 20 },
      { text: `${course} · ${grounds} · ${walk.day}, from ${walk.begins}`, color: GREY },
      {
        text: `${stops.length} stops, ${wayInWords(planned.metres, units)}${climb}, about ${Math.round(planned.minutes)} minutes${planned.steps ? '; there are steps' : ''}.`,
        margin: [0, 4, 0, 6],
      },
      ...planned.remarks.map((text): Content => ({ text, bold: true })),
      { svg: mapSvg(printed, width), width, margin: [0, 4, 0, 8] },
      stopTable(stops, walk.begins, units),
      ...(care.length > 0 ? [heading('To be minded')] : []),
      ...care.map(({ hazard, care: words, stops: at }): Content => ({
        text: [{ text: `${hazard} (stop ${at.join(', ')}): `, bold: true }, words],
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

function stopTable(stops: PrintedWalk['stops'], begins: string, units: UnitSystem): Content {
  const head = ['', 'At', 'Tree', 'Way to it', 'Minded'].map((text): TableCell => ({ text, bold: true }));
  const rows = stops.map(({ tree, name, way, arrive, hazards }, i): TableCell[] => [
    { text: String(i + 1), bold: true },
    clock(begins, arrive),
    {
      stack: [
        { text: tree.tag, bold: true },
        { text: name, fontSize: 9 },
        ...(tree.access ? [{ text: tree.access, fontSize: 8, color: GREY }] : []),
      ],
    },
    `${wayInWords(way.metres, units)}${way.off > FAR_OFF ? `, ${wayInWords(way.off, units)} of it off the path` : ''}${way.steps ? ', steps' : ''}`,
    hazards.join(', '),
  ]);
  return {
    layout: 'lightHorizontalLines',
    table: { headerRows: 1, dontBreakRows: true, widths: [16, 34, '*', 120, 110], body: [head, ...rows] },
  };
}

/** The time of the day so many minutes after another: `clock('14:50', 25)` is “15:15”. */
export function clock(begins: string, minutes: number): string {
  const [hour = 0, minute = 0] = begins.split(':').map(Number);
  const at = (hour * 60 + minute + Math.round(minutes)) % (24 * 60);
  return `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
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
