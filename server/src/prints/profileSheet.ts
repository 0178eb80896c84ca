import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { rangeIn } from '../language/rangeIn.ts';
import { tongueOf } from '../language/tongue.ts';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { tellsIn } from '@hurrow/core/lesson';
import { rangeInWords, type Range } from '@hurrow/core/range';
import {
  characterName,
  qualifiersInWords,
  valueInWords,
  type Audience,
  type UnitSystem,
} from '@hurrow/core/score';
import { CALENDAR_PARTS, CALENDAR_TITLES } from '@hurrow/core/season';
import { drawingToSvg, drawPlate, sampleSpecimen } from '@hurrow/core/specimen';
import { commonName, scientificName, sizePoints } from '@hurrow/core/taxon';
import { MEDIUM_VIEWS } from '@hurrow/core/view';
import { ORGANS, type ShownOrgan, type Vocabulary } from '@hurrow/core/vocabulary';

export interface PrintOptions {
  /** In which trees are called. */
  language: string | null;
  audience: Audience;
  units: UnitSystem;
  /** Line drawings without color. */
  black: boolean;
  vocabulary: Vocabulary;
  /** Day of the year on which the specimen is drawn: in leaf, with its buds set. */
  day: number;
  sources: readonly { id: string; label: string }[];
}

export interface PrintedPhoto {
  dataUrl: string;
  caption: string;
}

/** The typical specimen of a taxon as SVG, of these organs; undefined where its scores do not make a drawing. */
export function specimenSvg(
  profiled: ProfiledTaxon,
  organs: ShownOrgan[],
  options: PrintOptions,
  width: number,
  height: number,
) {
  const view = { ...MEDIUM_VIEWS.cutting, organs, day: options.day, qualifiers: { plantAge: 'mature' } };
  const traits = sampleSpecimen(profiled, options.vocabulary, view, 11, { typical: true });
  const drawing = drawPlate(traits, organs, { width, height, plain: options.black, units: options.units });
  // The fonts of the PDF are named; the drawing must not ask for another.
  return (
    drawing &&
    drawingToSvg(drawing, scientificName(profiled.taxon)).replace(
      'font-family="sans-serif"',
      'font-family="Sans"',
    )
  );
}

/** A profile on one or two pages: names, drawing, what is said organ by organ, cautions, months and range. */
export function profileSheet(
  profiled: ProfiledTaxon,
  range: Range | undefined,
  photos: readonly PrintedPhoto[],
  options: PrintOptions,
): Omit<TDocumentDefinitions, 'pageSize'> {
  const { taxon } = profiled;
  const tongue = tongueOf(options.language);
  const { say, word } = tongue;
  const { organs } = tellsIn(options.vocabulary);
  const svg = specimenSvg(profiled, ['twig', 'bud', 'leaf', 'fruit', 'bark'], options, 520, 380);
  const drawn: Content = svg
    ? { svg, width: 290 }
    : { text: say`Its scores do not make a drawing yet.`, italics: true, color: '#4c5d60' };
  return {
    info: { title: `${commonName(taxon)}, ${scientificName(taxon)}` },
    pageMargins: [44, 40, 44, 44],
    footer: (page, pages) => ({
      text: `${scientificName(taxon)} · ${say`${page} of ${pages}`}`,
      alignment: 'center',
      fontSize: 8,
      color: '#4c5d60',
    }),
    content: [
      {
        text: [
          { text: capital(commonName(taxon)), font: 'Serif', bold: true, fontSize: 20 },
          { text: `   ${scientificName(taxon)}`, font: 'Serif', italics: true, fontSize: 14 },
          { text: `  ${taxon.authority ?? ''}`, fontSize: 9 },
        ],
      },
      {
        text: [
          taxon.family,
          taxon.familyCommon ? ` (${taxon.familyCommon})` : '',
          taxon.commonNames.length > 1 ? `. ${say`Also ${taxon.commonNames.slice(1).join(', ')}`}` : '',
          '. ',
          taxon.synonyms.length
            ? { text: `${say`Synonym ${taxon.synonyms.join(', ')}.`} `, italics: true }
            : '',
          taxon.meaning ?? '',
        ],
        margin: [0, 2, 0, 8],
      },
      {
        columns: [
          { width: 296, stack: [drawn] },
          {
            stack: [
              ...(taxon.memoryAid
                ? [{ text: taxon.memoryAid, font: 'Serif', fontSize: 12, margin: [0, 4, 0, 6] } as Content]
                : []),
              ...(taxon.fact ? [{ text: taxon.fact, margin: [0, 0, 0, 6] } as Content] : []),
              ...taxon.cautions.map((caution): Content => ({
                text: [
                  { text: `${capital(word(caution.kind))}: ${caution.part}. `, bold: true },
                  `${caution.effect} ${caution.care}`,
                ],
                margin: [0, 0, 0, 5],
              })),
              ...CALENDAR_PARTS.filter((part) => taxon.calendar[part]?.length).map((part): Content => ({
                text: [
                  { text: `${capital(word(CALENDAR_TITLES[part]))}  `, color: '#4c5d60' },
                  taxon.calendar[part]!.map(tongue.arc).join(', '),
                ],
              })),
            ],
          },
        ],
        columnGap: 14,
      },
      ...photoRow(photos),
      {
        margin: [0, 10, 0, 0],
        layout: 'lightHorizontalLines',
        table: {
          widths: [74, '*'],
          body: [
            ...ORGANS.flatMap(({ organ, title }) => {
              const said = organInWords(profiled, organ, options);
              return said ? [[{ text: organs[organ] ?? word(title), bold: true }, said]] : [];
            }),
            ...(taxon.wildlife ? [[{ text: say`Wildlife`, bold: true }, taxon.wildlife]] : []),
            ...(taxon.uses
              ? [[{ text: say`Uses`, bold: true }, say`${taxon.uses} (Told as history, not as advice.)`]]
              : []),
            ...(taxon.largest?.length
              ? [
                  [
                    { text: say`Largest`, bold: true },
                    taxon.largest
                      .map(
                        (tree) =>
                          `${tree.place}${tree.year ? `, ${tree.year}` : ''}: ${say`${sizePoints(tree)} points`}`,
                      )
                      .join('; '),
                  ],
                ]
              : []),
            [
              { text: say`Range`, bold: true },
              range ? rangeInWords(range, rangeIn(tongue)) : say`No range is recorded.`,
            ],
          ],
        },
      },
      {
        text: say`Sources: ${sourcesOf(profiled, options) || say`none yet`}.`,
        fontSize: 8,
        color: '#4c5d60',
        margin: [0, 8, 0, 0],
      },
    ],
  };
}

const photoRow = (photos: readonly PrintedPhoto[]): Content[] =>
  photos.length === 0
    ? []
    : [
        {
          columns: photos.map((photo) => ({
            width: 160,
            stack: [
              { image: photo.dataUrl, fit: [160, 110] },
              { text: photo.caption, fontSize: 7.5 },
            ],
          })),
          columnGap: 10,
          margin: [0, 8, 0, 0],
        },
      ];

function organInWords(profiled: ProfiledTaxon, organ: string, options: PrintOptions): string {
  const said = [...options.vocabulary.values()]
    .filter((character) => character.organ === organ)
    .flatMap((character) => {
      const scores = profiled.scores.filter((score) => score.characterId === character.id);
      if (scores.length === 0) return [];
      const values = scores.map((score) => {
        const where = qualifiersInWords(score.qualifiers, character);
        const value = valueInWords(score.value, character, options.audience, options.units);
        return where ? `${where}: ${value}` : value;
      });
      return [`${characterName(character, options.audience)} ${values.join(' | ')}`];
    });
  return said.join('; ');
}

function sourcesOf(profiled: ProfiledTaxon, { sources }: PrintOptions): string {
  const used = new Set(profiled.scores.flatMap((score) => score.statements.map(({ sourceId }) => sourceId)));
  const labels = sources.filter(({ id }) => used.has(id)).map(({ label }) => label);
  return labels.join(', ');
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
