import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import {
  contrast,
  contrastOf,
  saidLines,
  shownInWords,
  type ProfiledTaxon,
  type Wording,
} from '@hurrow/core/evidence';
import { keyLines, type Key } from '@hurrow/core/key';
import { characterName } from '@hurrow/core/score';
import type { Place } from '@hurrow/core/season';
import { contrastPlate, drawingToSvg, statePicture, statePictureSvg } from '@hurrow/core/specimen';
import { commonName, scientificName } from '@hurrow/core/taxon';
import type { View } from '@hurrow/core/view';
import { upperFirst } from '@hurrow/core/words';
import { tongueOf, type Tongue } from '../language/tongue.ts';
import type { PrintOptions } from './profileSheet.ts';

type Sheet = Omit<TDocumentDefinitions, 'pageSize'>;

const footer =
  (title: string, { say }: Tongue) =>
  (page: number, pages: number) => ({
    text: `${title} · ${say`${page} of ${pages}`}`,
    alignment: 'center' as const,
    fontSize: 8,
    color: '#4c5d60',
  });
const heading = (text: string): Content => ({
  text,
  font: 'Serif',
  bold: true,
  fontSize: 19,
  margin: [0, 0, 0, 3],
});
const inSans = (svg: string) => svg.replace('font-family="sans-serif"', 'font-family="Sans"');
const RULED = { hLineWidth: () => 0.4, vLineWidth: () => 0, hLineColor: () => '#9aa8a6' };

/** Two to four taxa drawn alike but for what decides, with what tells them apart, strongest first. */
export function contrastSheet(
  list: readonly ProfiledTaxon[],
  chosen: readonly ProfiledTaxon[],
  view: View,
  sureWay: string | undefined,
  options: PrintOptions & { reference: Place; site?: Place },
): Sheet {
  const { vocabulary, audience, units } = options;
  const tongue = tongueOf(options.language);
  const { say } = tongue;
  const found = contrastOf(
    list,
    chosen.map(({ taxon }) => taxon.id),
    vocabulary,
    view,
    options,
  );
  const wording: Wording = { ...options, view };
  const says = (profiled: ProfiledTaxon, id: string) => shownInWords(profiled, vocabulary.get(id)!, wording);
  const name = (id: string) => characterName(vocabulary.get(id)!, audience);
  const plates = contrastPlate(chosen, vocabulary, view, {
    width: 1000,
    height: 420,
    deciding: found.deciding,
    units,
    plain: options.black,
    label: (index, id) => `${name(id)}: ${says(chosen[index]!, id)}`,
  });
  const title = chosen.map(({ taxon }) => commonName(taxon)).join(say` or `);
  const rows = found.ranked.filter(({ characterId }) => !vocabulary.get(characterId)!.derived).slice(0, 12);
  return {
    info: { title },
    pageMargins: [40, 38, 40, 42],
    footer: footer(title, tongue),
    content: [
      heading(`${title}?`),
      {
        text: chosen.flatMap(({ taxon }, i) => [
          { text: i ? '   ' : '' },
          { text: scientificName(taxon), font: 'Serif', italics: true },
        ]),
        margin: [0, 0, 0, 6],
      },
      {
        text: say`${upperFirst(tongue.word(found.verdict))} on ${tongue.day(view.day)}, ${tongue.view(view)}.`,
        margin: [0, 0, 0, 4],
      },
      ...(sureWay
        ? [
            {
              text: [{ text: `${say`The sure way:`} `, bold: true }, sureWay],
              margin: [0, 0, 0, 4],
            } as Content,
          ]
        : []),
      ...looking(list, chosen, found.deciding.map(name), wording, tongue),
      { svg: inSans(drawingToSvg(plates.drawing, title)), width: 515, margin: [0, 0, 0, 8] },
      {
        layout: RULED,
        table: {
          headerRows: 1,
          widths: ['*', ...chosen.map(() => '*')],
          body: [
            ['', ...chosen.map(({ taxon }) => ({ text: commonName(taxon), bold: true }))],
            ...rows.map(({ characterId }) => [
              { text: name(characterId), bold: found.deciding.includes(characterId) },
              ...chosen.map((profiled) => says(profiled, characterId)),
            ]),
          ],
        },
      },
      ...cautions(chosen, tongue),
    ],
  };
}

/** What to look at: of two, as the screen says it, with what either shows; of more, the characters that decide. */
function looking(
  list: readonly ProfiledTaxon[],
  chosen: readonly ProfiledTaxon[],
  deciding: readonly string[],
  wording: Wording,
  { say, word, list: listed }: Tongue,
): Content[] {
  const [a, b] = chosen as [ProfiledTaxon, ProfiledTaxon];
  if (chosen.length > 2)
    return deciding.length
      ? [{ text: [{ text: `${say`Look at:`} `, bold: true }, listed(deciding), '.'], margin: [0, 0, 0, 6] }]
      : [];
  const { view, vocabulary } = wording;
  const found = contrast(list, a.taxon.id, b.taxon.id, vocabulary, view, wording);
  return saidLines(found, a, b, wording).map(({ lead, character, shows }): Content => ({
    text: [
      `${word(lead)} `,
      { text: character, bold: true },
      `: ${say`${shows[0]} in ${commonName(a.taxon)}; ${shows[1]} in ${commonName(b.taxon)}.`}`,
    ],
    margin: [0, 0, 0, 3],
  }));
}

/** A key, bracketed or indented, with a small drawing of the state on each lead that has one. */
export function keySheet(
  title: string,
  key: Key,
  list: readonly ProfiledTaxon[],
  layout: 'bracketed' | 'indented',
  options: PrintOptions,
): Sheet {
  const { vocabulary, audience, units } = options;
  const tongue = tongueOf(options.language);
  const { say } = tongue;
  const taxon = (id: string) => list.find((each) => each.taxon.id === id)?.taxon;
  const lines = keyLines(key, layout, vocabulary, audience, units);
  const end = (ids: readonly string[], clinch: string | undefined): Content => ({
    text: [
      ...ids.flatMap((id, i) => {
        const found = taxon(id);
        return [
          { text: i ? say` or ` : '' },
          { text: found ? commonName(found) : id, bold: true },
          { text: found ? ` ${scientificName(found)}` : '', font: 'Serif', italics: true, fontSize: 8.5 },
        ];
      }),
      ...(clinch ? [{ text: `\n${say`clinched by ${clinch}`}`, color: '#4c5d60', fontSize: 8 }] : []),
    ],
    alignment: 'right',
  });
  return {
    info: { title },
    pageMargins: [40, 38, 40, 42],
    footer: footer(title, tongue),
    content: [
      heading(title),
      {
        text: say`For ${key.taxa.length} taxa on ${tongue.day(key.view.day)}: ${tongue.view(key.view)}.`,
        color: '#4c5d60',
        margin: [0, 0, 0, 8],
      },
      {
        layout: {
          hLineWidth: (i: number) =>
            i > 0 && lines[i]?.couplet !== lines[i - 1]?.couplet && layout === 'bracketed' ? 0.4 : 0,
          vLineWidth: () => 0,
          hLineColor: () => '#9aa8a6',
          paddingTop: () => 1.5,
          paddingBottom: () => 1.5,
        },
        table: {
          dontBreakRows: true,
          widths: ['auto', 26, '*', 170],
          body: lines.map((line) => {
            const character = vocabulary.get(line.condition.characterId);
            const state = line.condition.states?.[0];
            const picture = character && state ? statePicture(character.id, state) : undefined;
            return [
              { text: line.label, margin: [line.depth * 7, 0, 0, 0], noWrap: true },
              picture ? { svg: statePictureSvg(picture), width: 22 } : '',
              line.words,
              'couplet' in line.to
                ? { text: layout === 'bracketed' ? `${line.to.couplet}` : '', alignment: 'right' }
                : end(line.to.taxa, line.to.clinch),
            ];
          }),
        },
      },
      ...cautions(
        list.filter(({ taxon: each }) => key.taxa.includes(each.id)),
        tongue,
      ),
    ],
  };
}

/** The marks that single each taxon out, one line a taxon: for the recap of a set. */
export function marksSheet(
  title: string,
  rows: readonly { taxonId: string; marks: readonly string[]; notSettled: readonly string[] }[],
  list: readonly ProfiledTaxon[],
  language: string | null,
): Sheet {
  const tongue = tongueOf(language);
  const { say } = tongue;
  const taxon = (id: string) => list.find((each) => each.taxon.id === id)?.taxon;
  const chosen = list.filter((each) => rows.some(({ taxonId }) => taxonId === each.taxon.id));
  return {
    info: { title },
    pageMargins: [40, 38, 40, 42],
    footer: footer(title, tongue),
    content: [
      heading(title),
      {
        layout: RULED,
        table: {
          dontBreakRows: true,
          widths: [150, '*'],
          body: rows.map(({ taxonId, marks, notSettled }) => {
            const found = taxon(taxonId);
            const rivals = notSettled.flatMap((id) => taxon(id) ?? []).map((rival) => commonName(rival));
            return [
              {
                stack: [
                  { text: found ? commonName(found) : taxonId, bold: true },
                  { text: found ? scientificName(found) : '', font: 'Serif', italics: true, fontSize: 8.5 },
                ],
              },
              {
                stack: [
                  { text: marks.length ? marks.join('; ') : say`Nothing seen in this view singles it out.` },
                  ...(rivals.length
                    ? [
                        {
                          text: say`Not told from ${tongue.list(rivals)} in this view.`,
                          italics: true,
                          fontSize: 8.5,
                        },
                      ]
                    : []),
                ],
              },
            ];
          }),
        },
      },
      ...cautions(chosen, tongue),
    ],
  };
}

/** The cautions of the taxa that a sheet makes people handle. */
function cautions(list: readonly ProfiledTaxon[], { say, word }: Tongue): Content[] {
  const held = list.filter(({ taxon }) => taxon.cautions.length > 0);
  if (held.length === 0) return [];
  return [
    { text: say`Cautions`, bold: true, margin: [0, 10, 0, 2] },
    {
      ul: held.map(({ taxon }) => ({
        text: `${commonName(taxon)}: ${taxon.cautions.map(({ kind, part, care }) => `${word(kind)} (${part}). ${care}`).join(' ')}`,
        fontSize: 8.5,
      })),
    },
  ];
}
