import type { Content, TableCell } from 'pdfmake/interfaces.js';
import type { Course } from '@hurrow/contract/courses';
import type { Paper } from '@hurrow/contract/prints';
import type { QuizPaper } from '@hurrow/contract/rounds';
import type { NamingPolicy } from '@hurrow/core/names';
import { roundOf } from '@hurrow/core/rotation';
import { characterName } from '@hurrow/core/score';
import { inItsWords, lettersOf, type FrozenQuestion } from '@hurrow/core/station';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { questionIn } from '../language/questionIn.ts';
import { tongueOf, type Tongue } from '../language/tongue.ts';
import { masterKey } from './masterKey.ts';
import { GREY, heading, lines, MARGIN, type QuizPrinted, type Sheet } from './quizPrinted.ts';
import { stationCards } from './stationCards.ts';

/** One of the papers for the day of a quiz, black and white legible, in the language in which its course calls its trees. */
export function quizPapers(what: QuizPaper, taken: QuizPrinted, paper: Paper): Sheet {
  const tongue = tongueOf(taken.course.namesIn);
  const stations = taken.stations.map((station) => ({
    ...station,
    asked: station.asked && questionIn(tongue, station.asked, taken.vocabulary),
  }));
  return SHEETS[what]({ ...taken, stations }, paper);
}

const SHEETS: Record<QuizPaper, (taken: QuizPrinted, paper: Paper) => Sheet> = {
  stations: stationCards,
  answers: answerSheets,
  rounds: roundCards,
  key: masterKey,
  words: nameList,
  signin: signIn,
};

/** What a name is written in, by what is asked of it. */
const partsOf = (policy: NamingPolicy, { say }: Tongue): string[] =>
  ({
    common: [say`Common name`],
    genus: [say`Genus`],
    binomial: [say`Genus`, say`Epithet`],
    binomialFamily: [say`Genus`, say`Epithet`, say`Family`],
  })[policy];

/** What is asked in place of the name, on a sheet: of specimens that are sorted, with room for each. */
const linesFor = ({ asked, items = [] }: FrozenQuestion, { audience }: Course): string =>
  [inItsWords(asked, audience), ...lettersOf(items.length).map((letter) => `${letter} ________`)].join('   ');

/** One sheet a student: a line a station, with a column for each part of the name and for what is seen where it is asked. */
function answerSheets({ course, quiz, stations, students, vocabulary, contest }: QuizPrinted): Sheet {
  const tongue = tongueOf(course.namesIn);
  const { say } = tongue;
  const parts = partsOf(course.marking.policy, tongue);
  const asks = stations.some(({ asks: asked = [] }) => asked.length > 0);
  const columns = [...parts, ...(asks ? [say`What do you see?`] : [])];
  const names = students.length > 0 ? students.map(({ name }) => name) : [''];
  return {
    info: { title: say`Answer sheets of ${quiz.title}` },
    pageMargins: [MARGIN, 34, MARGIN, 30],
    footer: () => ({
      text: [
        contest?.aids ? say`Allowed: ${contest.aids}.` : '',
        say`Spell as carefully as you look. What you see is not marked.`,
      ]
        .filter(Boolean)
        .join(' '),
      alignment: 'center',
      fontSize: 8,
      color: GREY,
    }),
    content: names.map((name, i): Content => ({
      ...(i > 0 ? { pageBreak: 'before' as const } : {}),
      stack: [
        heading(quiz, course),
        { text: say`Name: ${name || '______________________________'}`, fontSize: 13, margin: [0, 2, 0, 8] },
        {
          layout: lines,
          table: {
            headerRows: 1,
            dontBreakRows: true,
            widths: [22, ...columns.map(() => '*')],
            heights: (row: number) => (row === 0 ? 12 : Math.max(15, Math.min(26, 560 / stations.length))),
            body: [
              ['', ...columns.map((text): TableCell => ({ text, bold: true, fontSize: 9 }))],
              ...stations.map(({ position, asks: asked = [], asked: question }): TableCell[] => [
                { text: String(position), bold: true },
                ...(question
                  ? spanning(parts.length, linesFor(question, course))
                  : parts.map((): TableCell => '')),
                ...(asks
                  ? [
                      {
                        text: asked
                          .flatMap((id) => vocabulary.get(id) ?? [])
                          .map((character) => `${characterName(character, course.audience)}:`)
                          .join('\n'),
                        fontSize: 8,
                        color: GREY,
                      },
                    ]
                  : []),
              ]),
            ],
          },
        },
      ],
    })),
  };
}

/** A line as wide as the fields of a name, for what is asked in their place. */
const spanning = (columns: number, text: string): TableCell[] => [
  { text, fontSize: 8, color: GREY, colSpan: columns },
  ...Array.from({ length: columns - 1 }, (): TableCell => ''),
];

/** A card for each student with the stations in the order in which they are visited; nothing of anybody's needs. */
function roundCards({ course, quiz, students, rotation, rounds }: QuizPrinted): Sheet {
  const { say } = tongueOf(course.namesIn);
  const cards = students.map(({ id, name }): TableCell => {
    const round = rotation && roundOf(rotation, id);
    const wave = round && rotation!.waves[round.wave]!;
    const waves = rotation?.waves.length ?? 0;
    return {
      margin: [8, 8, 8, 8],
      stack: [
        { text: name, font: 'Serif', bold: true, fontSize: 14 },
        {
          text: !wave
            ? ''
            : waves > 1
              ? say`Round ${round.wave + 1}, first bell after ${clock(wave.begins)}`
              : say`First bell after ${clock(wave.begins)}`,
          fontSize: 9,
          color: GREY,
          margin: [0, 0, 0, 4],
        },
        {
          text: round
            ? round.slots.flatMap((slot, i) => [
                { text: i === 0 ? '' : '  →  ', color: GREY },
                'station' in slot
                  ? { text: String(slot.station), bold: true, fontSize: 13 }
                  : { text: say`rest`, italics: true },
              ])
            : say`Ask where to begin.`,
        },
      ],
    };
  });
  const rows = Array.from({ length: Math.ceil(cards.length / 2) }, (_, i) => [
    cards[2 * i] ?? '',
    cards[2 * i + 1] ?? '',
  ]);
  return {
    info: { title: say`Rounds of ${quiz.title}` },
    pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN],
    content: [
      {
        text: say`${quiz.title}: move one place on at each bell (${rounds.moving} s to move)`,
        margin: [0, 0, 0, 8],
      },
      rows.length > 0
        ? { layout: dashed, table: { dontBreakRows: true, widths: ['*', '*'], body: rows } }
        : say`Nobody is on the class list yet.`,
    ],
  };
}

/** The names to choose from, as the list stands on the day. */
function nameList({ course, quiz, list, contest }: QuizPrinted): Sheet {
  const { say } = tongueOf(course.namesIn);
  const isCommon = course.marking.policy === 'common';
  const names = list
    .map(({ taxon }) => (isCommon ? commonName(taxon) : scientificName(taxon)))
    .sort((x, y) => x.localeCompare(y));
  const third = Math.ceil(names.length / 3);
  return {
    info: { title: say`Names of ${course.name}` },
    pageMargins: [MARGIN, 34, MARGIN, 34],
    content: [
      heading(quiz, course),
      {
        text: contest?.edition
          ? say`${names.length} names, ${contest.edition}`
          : say`${names.length} names, as the list stood on ${quiz.heldOn}`,
        color: GREY,
        margin: [0, 0, 0, 8],
      },
      {
        columns: [0, 1, 2].map((i) => ({
          stack: names.slice(i * third, (i + 1) * third).map((text): Content => ({
            text,
            margin: [0, 0, 0, 4],
            ...(isCommon ? {} : { italics: true, font: 'Serif' }),
          })),
        })),
        columnGap: 14,
      },
    ],
  };
}

/** Who is there, in their own hand. */
function signIn({ course, quiz, students }: QuizPrinted): Sheet {
  const { say } = tongueOf(course.namesIn);
  return {
    info: { title: say`Sign-in of ${quiz.title}` },
    pageMargins: [MARGIN, 34, MARGIN, 34],
    content: [
      heading(quiz, course),
      {
        layout: lines,
        table: {
          headerRows: 1,
          dontBreakRows: true,
          widths: [20, 170, '*', 60],
          heights: (row: number) => (row === 0 ? 12 : 22),
          body: [
            ['', say`Name`, say`Signature`, say`Phone or paper`].map((text): TableCell => ({
              text,
              bold: true,
              fontSize: 9,
            })),
            ...students.map(({ name }, i): TableCell[] => [String(i + 1), name, '', '']),
          ],
        },
      },
    ],
  };
}

/** Seconds as minutes and seconds: `clock(75)` is `1:15`. */
const clock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;

const dashed = {
  hLineStyle: () => ({ dash: { length: 3 } }),
  vLineStyle: () => ({ dash: { length: 3 } }),
  hLineWidth: () => 0.4,
  vLineWidth: () => 0.4,
};
