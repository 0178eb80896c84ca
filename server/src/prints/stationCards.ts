import type { Content } from 'pdfmake/interfaces.js';
import type { Course } from '@hurrow/contract/courses';
import type { Paper } from '@hurrow/contract/prints';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { POLICY_TITLES } from '@hurrow/core/names';
import { characterName } from '@hurrow/core/score';
import { inItsWords, type FrozenQuestion } from '@hurrow/core/station';
import { commonName, scientificName, type CautionKind } from '@hurrow/core/taxon';
import { MEDIUM_TITLES } from '@hurrow/core/view';
import { upperFirst } from '@hurrow/core/words';
import { tongueOf, type Tongue } from '../language/tongue.ts';
import { PAPER_SIZE } from './paper.ts';
import { GREY, MARGIN, type QuizPrinted, type Sheet } from './quizPrinted.ts';

/** Care that is said on a card at a living tree: what hurts, and never whose it is. */
const careAtTree = ({ say }: Tongue): Partial<Record<CautionKind, string>> => ({
  'drop hazard': say`Do not stand under it longer than you look.`,
  roadside: say`Stay off the road.`,
  "water's edge": say`Stay back from the edge.`,
});
/** The same at any station. */
const careAnywhere = ({ say }: Tongue): Partial<Record<CautionKind, string>> => ({
  thorns: say`Thorns: take it by its label.`,
  'skin contact': say`Do not rub it on your skin; wash your hands after the quiz.`,
  allergen: say`Do not hold it to your face.`,
});

/** Two cards a page: the number, what is looked at and how, what is asked, what hurts; never the answer. */
export function stationCards(
  { at, course, quiz, stations, list, vocabulary }: QuizPrinted,
  paper: Paper,
): Sheet {
  const { width, height } = PAPER_SIZE[paper];
  const tongue = tongueOf(course.namesIn);
  const { say, word } = tongue;
  const [anywhere, atTree] = [careAnywhere(tongue), careAtTree(tongue)];
  const card = { width: width - 2 * MARGIN, height: height / 2 - MARGIN - 12 };
  return {
    info: { title: say`Stations of ${quiz.title}` },
    pageMargins: [MARGIN, MARGIN, MARGIN, 20],
    content: stations.map(
      ({ position, taxonId, medium, view, asks = [], choices, asked: question }, i): Content => {
        const cautions = list.find(({ taxon }) => taxon.id === taxonId)?.taxon.cautions ?? [];
        const care = [
          ...new Set(
            cautions.flatMap(
              ({ kind }) => anywhere[kind] ?? (medium === 'livingTree' ? atTree[kind] : undefined) ?? [],
            ),
          ),
        ];
        const asked = asks.flatMap((id) => vocabulary.get(id) ?? []);
        return {
          ...(i > 0 && i % 2 === 0 ? { pageBreak: 'before' as const } : {}),
          unbreakable: true,
          layout: { hLineWidth: () => 1, vLineWidth: () => 1, paddingLeft: () => 20, paddingTop: () => 16 },
          margin: [0, 0, 0, 16],
          table: {
            widths: [card.width - 44],
            heights: [card.height - 44],
            body: [
              [
                {
                  columns: [
                    {
                      width: '*',
                      stack: [
                        { text: String(position), font: 'Serif', bold: true, fontSize: 120, lineHeight: 0.9 },
                        { text: upperFirst(word(MEDIUM_TITLES[medium])), fontSize: 18, bold: true },
                        { text: say`You look at ${tongue.view(view)}.`, fontSize: 13, margin: [0, 2, 0, 8] },
                        ...(question
                          ? questionAsked(question, course)
                          : nameAsked(choices, course, list, tongue)),
                        ...asked.map((character): Content => ({
                          text: say`First say what you see: ${characterName(character, course.audience)}.`,
                          fontSize: 13,
                          margin: [0, 4, 0, 0],
                        })),
                        {
                          text: [...care, say`Do not taste anything. Leave it as you found it.`].join(' '),
                          fontSize: 12,
                          margin: [0, 10, 0, 0],
                        },
                      ],
                    },
                    {
                      width: 110,
                      stack: [
                        {
                          qr: `${at}/quiz/${quiz.id}/${position}`,
                          fit: 100,
                          eccLevel: 'M',
                        },
                        {
                          text: quiz.title,
                          alignment: 'center',
                          fontSize: 9,
                          color: GREY,
                          margin: [0, 6, 0, 0],
                        },
                      ],
                    },
                  ],
                },
              ],
            ],
          },
        };
      },
    ),
  };
}

/** What is asked in place of the name, with what there is to choose from. */
const questionAsked = ({ asked, offered }: FrozenQuestion, { audience }: Course): Content[] => [
  { text: inItsWords(asked, audience), fontSize: 16 },
  ...(offered.length > 0
    ? [
        {
          text: offered.map((each) => inItsWords(each, audience)).join('  ·  '),
          fontSize: 12,
          margin: [0, 4, 0, 0] as [number, number, number, number],
        },
      ]
    : []),
];

/** What is asked of the name: to be written, or one of those that the card shows. */
function nameAsked(
  choices: readonly string[],
  course: Course,
  list: readonly ProfiledTaxon[],
  { say, word }: Tongue,
): Content[] {
  if (choices.length === 0)
    return [{ text: say`Name it: ${word(POLICY_TITLES[course.marking.policy])}.`, fontSize: 16 }];
  const isCommon = course.marking.policy === 'common';
  const names = choices.flatMap((id) => {
    const found = list.find(({ taxon }) => taxon.id === id);
    return found ? (isCommon ? commonName(found.taxon) : scientificName(found.taxon)) : [];
  });
  return [
    { text: say`Which of these is it? Write its name.`, fontSize: 16 },
    ...names.map((text): Content => ({ text, fontSize: 14, italics: !isCommon, margin: [10, 2, 0, 0] })),
  ];
}
