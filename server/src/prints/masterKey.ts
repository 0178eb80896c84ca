import type { Content, TableCell } from 'pdfmake/interfaces.js';
import type { Course } from '@hurrow/contract/courses';
import { contrast, type ProfiledTaxon } from '@hurrow/core/evidence';
import { saidOfCharacter } from '@hurrow/core/lesson';
import { fairnessOf, inItsWords, Reader, rightInWords, type FrozenQuestion } from '@hurrow/core/station';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { MEDIUM_TITLES, type View } from '@hurrow/core/view';
import { tongueOf, type Tongue } from '../language/tongue.ts';
import { GREY, heading, lines, MARGIN, type QuizPrinted, type Sheet } from './quizPrinted.ts';

/** For whoever marks: each station with the names that count, and what settles it in what is shown. */
export function masterKey(taken: QuizPrinted): Sheet {
  const { course, quiz, stations, list } = taken;
  const tongue = tongueOf(course.namesIn);
  const { say, word } = tongue;
  const rows = stations.map(({ position, taxonId, medium, view, asked }): TableCell[] => {
    const profiled = list.find(({ taxon }) => taxon.id === taxonId);
    if (!profiled) return [String(position), { text: say`no longer on the list`, colSpan: 3 }, '', ''];
    const { taxon } = profiled;
    const settles = settling(taken, profiled, view, tongue);
    const others = [...taxon.commonNames.slice(1), ...taxon.synonyms];
    return [
      { text: String(position), bold: true, fontSize: 12 },
      {
        stack: [
          { text: commonName(taxon), bold: true },
          { text: scientificName(taxon), font: 'Serif', italics: true },
          { text: tongue.list([taxon.family, ...(taxon.olderFamilies ?? [])]), fontSize: 9 },
        ],
      },
      { text: others.length > 0 ? say`also ${others.join(', ')}` : '', fontSize: 9 },
      {
        stack: [
          { text: `${word(MEDIUM_TITLES[medium])}: ${tongue.view(view)}`, fontSize: 8.5, color: GREY },
          asked ? keyOfQuestion(asked, profiled, course) : settles,
        ],
      },
    ];
  });
  return {
    info: { title: say`Master key of ${quiz.title}` },
    pageMargins: [MARGIN, 34, MARGIN, 34],
    footer: (page, pages) => ({
      text: say`Not for students. ${page} of ${pages}`,
      alignment: 'center',
      fontSize: 8,
    }),
    content: [
      heading(quiz, course),
      {
        layout: lines,
        table: {
          headerRows: 1,
          dontBreakRows: true,
          widths: [22, 130, 120, '*'],
          body: [
            ['', say`Tree`, say`Other names that count`, say`Shown, and what settles it`].map(
              (text): TableCell => ({
                text,
                bold: true,
                fontSize: 9,
              }),
            ),
            ...rows,
          ],
        },
      },
    ],
  };
}

/** What is asked in place of the name, and what is right. */
const keyOfQuestion = (
  question: FrozenQuestion,
  { taxon }: ProfiledTaxon,
  { audience }: Course,
): Content => ({
  text: [
    `${inItsWords(question.asked, audience)} `,
    { text: rightInWords({ question, truth: taxon }, audience), bold: true },
  ],
});

/** Readings of a beginner by which the tree is found that one is taken for. */
const READINGS = 600;
const TAKEN_FOR = 0.02;

/** What tells a tree from the one that a beginner takes it for in what is shown: “not subalpine fir: needles flat and two-ranked”. */
function settling(
  { course, list, vocabulary, reference }: QuizPrinted,
  profiled: ProfiledTaxon,
  view: View,
  { say }: Tongue,
): string {
  const { latitude, longitude, elevation, audience, units } = course;
  const options = { reference, site: { latitude, longitude, elevation } };
  const t = list.indexOf(profiled);
  const reader = new Reader(list, vocabulary, view, { ...options, reader: 'novice' });
  const { rivals } = fairnessOf(reader, t, READINGS);
  const ofId = (id: string | undefined) => list.find(({ taxon }) => taxon.id === id);
  const relative = list.find(({ taxon }) => taxon.genus === profiled.taxon.genus && taxon !== profiled.taxon);
  // A slip in one reading of a hundred makes no lookalike: then it is told from its relative.
  const rival =
    ofId(rivals.find(({ share }) => share >= TAKEN_FOR)?.taxonId) ?? relative ?? ofId(rivals[0]?.taxonId);
  if (!rival) return '';
  const { taxon } = rival;
  const { said } = contrast(list, profiled.taxon.id, taxon.id, vocabulary, view, options);
  const words = said
    .slice(0, 2)
    .flatMap((id) => saidOfCharacter(profiled, vocabulary.get(id)!, { audience, units, beside: true }) ?? []);
  return words.length > 0
    ? say`not ${commonName(taxon)}: ${words.join('; ')}`
    : say`nothing that is shown tells it from ${commonName(taxon)}`;
}
