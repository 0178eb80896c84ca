import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { Contest } from '@hurrow/contract/contests';
import type { Course, Student } from '@hurrow/contract/courses';
import type { Paper } from '@hurrow/contract/prints';
import type { QuizHead } from '@hurrow/contract/quizzes';
import type { QuizPaper, Rounds } from '@hurrow/contract/rounds';
import { contrast, type ProfiledTaxon } from '@hurrow/core/evidence';
import { saidOfCharacter } from '@hurrow/core/lesson';
import { POLICY_TITLES, type NamingPolicy } from '@hurrow/core/names';
import { roundOf, type Rotation } from '@hurrow/core/rotation';
import { characterName } from '@hurrow/core/score';
import type { Place } from '@hurrow/core/season';
import {
  fairnessOf,
  inItsWords,
  Reader,
  rightInWords,
  lettersOf,
  type FrozenQuestion,
  type PlannedStation,
} from '@hurrow/core/station';
import { commonName, scientificName, type CautionKind } from '@hurrow/core/taxon';
import { listInWords, MEDIUM_TITLES, viewInWords, type View } from '@hurrow/core/view';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { PAPER_SIZE } from './paper.ts';
import { upperFirst } from '@hurrow/core/words';

/** All that the papers of a quiz are made of: plain data, which travels to a thread. */
export interface QuizPrinted {
  /** Address under which phones reach this Hurrow. */
  at: string;
  course: Course;
  quiz: QuizHead;
  /** With the ids of the taxa whose names are to choose from, or what is asked in place of the name. */
  stations: (PlannedStation & { position: number; choices: string[]; asked: FrozenQuestion | undefined })[];
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  reference: Place;
  /** Those who are there. */
  students: Student[];
  rounds: Rounds;
  rotation: Rotation | undefined;
  /** What it goes by as a contest; null where it is none. */
  contest: Contest | null;
}

type Sheet = Omit<TDocumentDefinitions, 'pageSize'>;

const GREY = '#4c5d60';
const MARGIN = 40;

/** One of the papers for the day of a quiz, black and white legible. */
export function quizPapers(what: QuizPaper, taken: QuizPrinted, paper: Paper): Sheet {
  return SHEETS[what](taken, paper);
}

const SHEETS: Record<QuizPaper, (taken: QuizPrinted, paper: Paper) => Sheet> = {
  stations: stationCards,
  answers: answerSheets,
  rounds: roundCards,
  key: masterKey,
  words: nameList,
  signin: signIn,
};

/** Care that is said on a card at a living tree: what hurts, and never whose it is. */
const CARE_AT_TREE: Partial<Record<CautionKind, string>> = {
  'drop hazard': 'Do not stand under it longer than you look.',
  roadside: 'Stay off the road.',
  "water's edge": 'Stay back from the edge.',
};
/** The same at any station. */
const CARE: Partial<Record<CautionKind, string>> = {
  thorns: 'Thorns: take it by its label.',
  'skin contact': 'Do not rub it on your skin; wash your hands after the quiz.',
  allergen: 'Do not hold it to your face.',
};

const PARTS: Record<NamingPolicy, string[]> = {
  common: ['Common name'],
  genus: ['Genus'],
  binomial: ['Genus', 'Epithet'],
  binomialFamily: ['Genus', 'Epithet', 'Family'],
};

/** Two cards a page: the number, what is looked at and how, what is asked, what hurts; never the answer. */
function stationCards({ at, course, quiz, stations, list, vocabulary }: QuizPrinted, paper: Paper): Sheet {
  const { width, height } = PAPER_SIZE[paper];
  const card = { width: width - 2 * MARGIN, height: height / 2 - MARGIN - 12 };
  return {
    info: { title: `Stations of ${quiz.title}` },
    pageMargins: [MARGIN, MARGIN, MARGIN, 20],
    content: stations.map(
      ({ position, taxonId, medium, view, asks = [], choices, asked: question }, i): Content => {
        const cautions = list.find(({ taxon }) => taxon.id === taxonId)?.taxon.cautions ?? [];
        const care = [
          ...new Set(
            cautions.flatMap(
              ({ kind }) => CARE[kind] ?? (medium === 'livingTree' ? CARE_AT_TREE[kind] : undefined) ?? [],
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
                        { text: upperFirst(MEDIUM_TITLES[medium]), fontSize: 18, bold: true },
                        { text: `You look at ${viewInWords(view)}.`, fontSize: 13, margin: [0, 2, 0, 8] },
                        ...(question ? questionAsked(question, course) : nameAsked(choices, course, list)),
                        ...asked.map((character): Content => ({
                          text: `First say what you see: ${characterName(character, course.audience)}.`,
                          fontSize: 13,
                          margin: [0, 4, 0, 0],
                        })),
                        {
                          text: [...care, 'Do not taste anything. Leave it as you found it.'].join(' '),
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

/** What is asked in place of the name, on a sheet: of specimens that are sorted, with room for each. */
const linesFor = ({ asked, items = [] }: FrozenQuestion, { audience }: Course): string =>
  [inItsWords(asked, audience), ...lettersOf(items.length).map((letter) => `${letter} ________`)].join('   ');

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
function nameAsked(choices: readonly string[], course: Course, list: readonly ProfiledTaxon[]): Content[] {
  if (choices.length === 0)
    return [{ text: `Name it: ${POLICY_TITLES[course.marking.policy]}.`, fontSize: 16 }];
  const isCommon = course.marking.policy === 'common';
  const names = choices.flatMap((id) => {
    const found = list.find(({ taxon }) => taxon.id === id);
    return found ? (isCommon ? commonName(found.taxon) : scientificName(found.taxon)) : [];
  });
  return [
    { text: 'Which of these is it? Write its name.', fontSize: 16 },
    ...names.map((text): Content => ({ text, fontSize: 14, italics: !isCommon, margin: [10, 2, 0, 0] })),
  ];
}

/** One sheet a student: a line a station, with a column for each part of the name and for what is seen where it is asked. */
function answerSheets({ course, quiz, stations, students, vocabulary, contest }: QuizPrinted): Sheet {
  const parts = PARTS[course.marking.policy];
  const asks = stations.some(({ asks: asked = [] }) => asked.length > 0);
  const columns = [...parts, ...(asks ? ['What do you see?'] : [])];
  const names = students.length > 0 ? students.map(({ name }) => name) : [''];
  return {
    info: { title: `Answer sheets of ${quiz.title}` },
    pageMargins: [MARGIN, 34, MARGIN, 30],
    footer: () => ({
      text: `${contest?.aids ? `Allowed: ${contest.aids}. ` : ''}Spell as carefully as you look. What you see is not marked.`,
      alignment: 'center',
      fontSize: 8,
      color: GREY,
    }),
    content: names.map((name, i): Content => ({
      ...(i > 0 ? { pageBreak: 'before' as const } : {}),
      stack: [
        heading(quiz, course),
        { text: `Name: ${name || '______________________________'}`, fontSize: 13, margin: [0, 2, 0, 8] },
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
function roundCards({ quiz, students, rotation, rounds }: QuizPrinted): Sheet {
  const cards = students.map(({ id, name }): TableCell => {
    const round = rotation && roundOf(rotation, id);
    const wave = round && rotation!.waves[round.wave]!;
    const waves = rotation?.waves.length ?? 0;
    return {
      margin: [8, 8, 8, 8],
      stack: [
        { text: name, font: 'Serif', bold: true, fontSize: 14 },
        {
          text: wave
            ? `${waves > 1 ? `Round ${round.wave + 1}, first` : 'First'} bell after ${clock(wave.begins)}`
            : '',
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
                  : { text: 'rest', italics: true },
              ])
            : 'Ask where to begin.',
        },
      ],
    };
  });
  const rows = Array.from({ length: Math.ceil(cards.length / 2) }, (_, i) => [
    cards[2 * i] ?? '',
    cards[2 * i + 1] ?? '',
  ]);
  return {
    info: { title: `Rounds of ${quiz.title}` },
    pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN],
    content: [
      {
        text: `${quiz.title}: move one place on at each bell (${rounds.moving} s to move)`,
        margin: [0, 0, 0, 8],
      },
      rows.length > 0
        ? { layout: dashed, table: { dontBreakRows: true, widths: ['*', '*'], body: rows } }
        : 'Nobody is on the class list yet.',
    ],
  };
}

/** For whoever marks: each station with the names that count, and what settles it in what is shown. */
function masterKey(taken: QuizPrinted): Sheet {
  const { course, quiz, stations, list } = taken;
  const rows = stations.map(({ position, taxonId, medium, view, asked }): TableCell[] => {
    const profiled = list.find(({ taxon }) => taxon.id === taxonId);
    if (!profiled) return [String(position), { text: 'no longer on the list', colSpan: 3 }, '', ''];
    const { taxon } = profiled;
    const settles = settling(taken, profiled, view);
    const others = [...taxon.commonNames.slice(1), ...taxon.synonyms];
    return [
      { text: String(position), bold: true, fontSize: 12 },
      {
        stack: [
          { text: commonName(taxon), bold: true },
          { text: scientificName(taxon), font: 'Serif', italics: true },
          { text: listInWords([taxon.family, ...(taxon.olderFamilies ?? [])]), fontSize: 9 },
        ],
      },
      { text: others.length > 0 ? `also ${others.join(', ')}` : '', fontSize: 9 },
      {
        stack: [
          { text: `${MEDIUM_TITLES[medium]}: ${viewInWords(view)}`, fontSize: 8.5, color: GREY },
          asked ? keyOfQuestion(asked, profiled, course) : settles,
        ],
      },
    ];
  });
  return {
    info: { title: `Master key of ${quiz.title}` },
    pageMargins: [MARGIN, 34, MARGIN, 34],
    footer: (page, pages) => ({
      text: `Not for students. ${page} of ${pages}`,
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
            ['', 'Tree', 'Other names that count', 'Shown, and what settles it'].map((text): TableCell => ({
              text,
              bold: true,
              fontSize: 9,
            })),
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
    ? `not ${commonName(taxon)}: ${words.join('; ')}`
    : `nothing that is shown tells it from ${commonName(taxon)}`;
}

/** The names to choose from, as the list stands on the day. */
function nameList({ course, quiz, list, contest }: QuizPrinted): Sheet {
  const isCommon = course.marking.policy === 'common';
  const names = list
    .map(({ taxon }) => (isCommon ? commonName(taxon) : scientificName(taxon)))
    .sort((x, y) => x.localeCompare(y));
  const third = Math.ceil(names.length / 3);
  return {
    info: { title: `Names of ${course.name}` },
    pageMargins: [MARGIN, 34, MARGIN, 34],
    content: [
      heading(quiz, course),
      {
        text: `${names.length} names, ${contest?.edition || `as the list stood on ${quiz.heldOn}`}`,
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
  return {
    info: { title: `Sign-in of ${quiz.title}` },
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
            ['', 'Name', 'Signature', 'Phone or paper'].map((text): TableCell => ({
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

const heading = ({ title, heldOn }: QuizHead, { name }: Course): Content => ({
  columns: [
    { text: title, font: 'Serif', bold: true, fontSize: 15 },
    { text: `${name}, ${heldOn}`, alignment: 'right', color: GREY },
  ],
  margin: [0, 0, 0, 4],
});

/** Seconds as minutes and seconds: `clock(75)` is `1:15`. */
const clock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;

const lines = {
  hLineWidth: () => 0.5,
  vLineWidth: () => 0.5,
  hLineColor: () => '#8a9a98',
  vLineColor: () => '#8a9a98',
};
const dashed = {
  hLineStyle: () => ({ dash: { length: 3 } }),
  vLineStyle: () => ({ dash: { length: 3 } }),
  hLineWidth: () => 0.4,
  vLineWidth: () => 0.4,
};
