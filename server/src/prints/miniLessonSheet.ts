import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { tongueOf } from '../language/tongue.ts';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { miniLesson } from '@hurrow/core/lesson';
import type { PracticeGround } from '@hurrow/core/practice';
import { drawingToSvg, drawPlate } from '@hurrow/core/specimen';
import { commonName, scientificName } from '@hurrow/core/taxon';
import type { View } from '@hurrow/core/view';
import { upperFirst } from '@hurrow/core/words';

const GREY = '#4c5d60';
/** Specimens in a row, and the frame of one in points. */
const IN_A_ROW = 5;
const PIECE = { width: 98, height: 96 };
/** The frame they are laid out in: margins and letters do not shrink with it. */
const LAID_OUT = { width: 220, height: 216 };
/** The same sheet every time it is printed. */
const SEED = 4;

const inSans = (svg: string) => svg.replace('font-family="sans-serif"', 'font-family="Sans"');

/** A mini-lesson on paper: the plate, the rule with its exceptions, ten specimens to call; their names on the second page. */
export function miniLessonSheet(
  {
    list,
    a,
    b,
    course,
    language,
  }: { list: readonly ProfiledTaxon[]; a: string; b: string; course: string; language: string | null },
  view: View,
  ground: PracticeGround,
): Omit<TDocumentDefinitions, 'pageSize'> {
  const { say, word } = tongueOf(language);
  const made = miniLesson(list, a, b, null, { ...ground, view }, SEED);
  const [one, other] = [a, b].map((id) => list.find(({ taxon }) => taxon.id === id)!.taxon);
  const names = [commonName(one!), commonName(other!)];
  const title = say`${upperFirst(names[0]!)} or ${names[1]!}?`;
  const pieces = made.specimens.map(({ traits, taxonId }, i) => {
    const plate = drawPlate(traits, view.organs, {
      ...LAID_OUT,
      units: ground.units,
      plain: true,
    });
    const stack: Content[] = [
      { text: `${i + 1}`, bold: true, fontSize: 9 },
      plate
        ? { svg: inSans(drawingToSvg(plate, say`Specimen ${i + 1}`)), fit: [PIECE.width, PIECE.height] }
        : { text: ' ' },
      { text: '_______________', fontSize: 8, color: GREY },
    ];
    return { content: { width: PIECE.width, stack } as Content, name: taxonId === a ? names[0]! : names[1]! };
  });
  const rows = [0, 1].map((row) => pieces.slice(row * IN_A_ROW, (row + 1) * IN_A_ROW));
  return {
    info: { title },
    pageMargins: [40, 40, 40, 40],
    footer: (page, pages) => ({
      text: `${course} · ${title} · ${say`${page} of ${pages}`}`,
      alignment: 'center',
      fontSize: 8,
      color: GREY,
    }),
    content: [
      { text: title, font: 'Serif', bold: true, fontSize: 19 },
      {
        text: `${scientificName(one!)}   ${scientificName(other!)}`,
        font: 'Serif',
        italics: true,
        color: GREY,
        margin: [0, 0, 0, 6],
      },
      { svg: inSans(drawingToSvg(made.plate, title)), width: 515 },
      {
        ol: made.lines.map(({ lead, character, shows }) => ({
          text: [
            `${word(lead)} `,
            { text: character, bold: true },
            `: ${say`${shows[0]} in ${names[0]!}; ${shows[1]} in ${names[1]!}.`}`,
          ],
        })),
        margin: [0, 8, 0, 4],
      },
      ...(made.settles ? [{ text: `${word(made.settles)}.`, margin: [0, 0, 0, 4] } as Content] : []),
      ...made.exceptions.map((text): Content => ({ text, color: GREY, margin: [0, 0, 0, 2] })),
      {
        text: say`Ten specimens, alike but for what tells them apart. Which are they?`,
        bold: true,
        margin: [0, 10, 0, 6],
      },
      ...rows.map((row): Content => ({
        columns: row.map(({ content }) => content),
        columnGap: 6,
        margin: [0, 0, 0, 8],
        unbreakable: true,
      })),
      {
        text: [
          { text: `${say`Their names:`} `, bold: true },
          pieces.map(({ name }, i) => `${i + 1} ${name}`).join('; '),
          '.',
        ],
        pageBreak: 'before',
      },
    ],
  };
}
