import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { bothWords, glossaryOf, rootsOf, tellsIn, type StateOnList } from '@hurrow/core/lesson';
import { characterName, type Audience } from '@hurrow/core/score';
import { statePicture, statePictureSvg } from '@hurrow/core/specimen';
import { commonName } from '@hurrow/core/taxon';
import { putIn, type Character, type TeachingStart, type Vocabulary } from '@hurrow/core/vocabulary';
import { upperFirst } from '@hurrow/core/words';

const GREY = '#4c5d60';
/** In points. */
const PICTURE = 46;
/** So many trees are named beside a state. */
const MOST_TREES = 4;

interface TreesNamed {
  nameOf: ReadonlyMap<string, string>;
  /** Behind the first of many. */
  others: string;
}

/** The words of a course on paper: what each means, drawn where a line drawing tells it, and the trees of the list that show it. */
export function glossary(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  course: { name: string; audience: Audience; startsWith: TeachingStart },
): Omit<TDocumentDefinitions, 'pageSize'> {
  const nameOf = new Map(list.map(({ taxon }) => [taxon.id, commonName(taxon)]));
  const { sheet } = tellsIn(vocabulary);
  const parts = glossaryOf(list, vocabulary, course.audience, course.startsWith);
  return {
    info: { title: putIn(sheet.glossaryOf, course.name) },
    pageMargins: [44, 58, 44, 44],
    header: {
      margin: [44, 26, 44, 0],
      columns: [
        { width: 'auto', text: sheet.glossary, font: 'Serif', bold: true, fontSize: 13 },
        { width: '*', text: course.name, alignment: 'right', color: GREY },
      ],
    },
    footer: (page, pages) => ({
      text: putIn(sheet.page, { page: String(page), pages: String(pages) }),
      alignment: 'center',
      fontSize: 8,
      color: GREY,
    }),
    content: parts.flatMap(({ title, entries }): Content[] => [
      { text: title, font: 'Serif', bold: true, fontSize: 14, margin: [0, 10, 0, 2], headlineLevel: 1 },
      ...entries.map(({ character, states }) =>
        onPaper(character, states, course.audience, { nameOf, others: sheet.others }),
      ),
    ]),
    pageBreakBefore: ({ headlineLevel, pageNumbers }, nodes) =>
      headlineLevel === 1 && pageNumbers.length === 1 && nodes.getFollowingNodesOnPage().length === 0,
  };
}

function onPaper(
  character: Character,
  states: readonly StateOnList[],
  audience: Audience,
  trees: TreesNamed,
): Content {
  const heading = upperFirst(characterName(character, audience));
  return {
    margin: [0, 4, 0, 6],
    layout: { hLineWidth: () => 0, vLineWidth: () => 0, paddingTop: () => 1.5, paddingBottom: () => 1.5 },
    table: {
      // What a state is one of stands over it, on the next page again.
      headerRows: 1,
      keepWithHeaderRows: 1,
      dontBreakRows: true,
      widths: [PICTURE, 130, '*'],
      body: [
        [{ text: heading, bold: true, fontSize: 11, colSpan: 3 }, '', ''],
        ...states.map((state) => row(character, state, audience, trees)),
      ],
    },
  };
}

function row(character: Character, state: StateOnList, audience: Audience, trees: TreesNamed): TableCell[] {
  const picture = statePicture(character.id, state.id);
  const { word, other } = bothWords(state, audience);
  const roots = audience === 'technical' ? rootsOf(state.term) : [];
  const named = state.trees.flatMap((id) => trees.nameOf.get(id) ?? []);
  const first = named.slice(0, MOST_TREES).join(', ');
  return [
    picture ? { svg: statePictureSvg(picture), width: PICTURE - 6 } : '',
    { stack: [{ text: word, bold: true }, ...(other ? [{ text: other, fontSize: 8.5, color: GREY }] : [])] },
    {
      stack: [
        { text: state.definition, font: 'Serif' },
        ...roots.map(({ word: root, from }) => ({
          text: `${root}: ${from}.`,
          italics: true,
          fontSize: 8.5,
          font: 'Serif',
        })),
        {
          text: named.length > MOST_TREES ? putIn(trees.others, first) : first,
          fontSize: 8.5,
          color: GREY,
        },
      ],
    },
  ];
}
