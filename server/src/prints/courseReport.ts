import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { ClassReport } from '@hurrow/contract/confusions';
import type { Course, CourseSet } from '@hurrow/contract/courses';
import type { ClassCounts } from '@hurrow/contract/learning';
import type { PracticeOf } from '@hurrow/contract/practice';
import type { ReportedPair } from '../learning/pairs.ts';
import { asText, isSure, rankedFindings, reportsInWords, say } from '@hurrow/core/finding';
import type { SinceTaught } from '@hurrow/core/confusion';
import { characterName } from '@hurrow/core/score';
import { stateOf, type Vocabulary } from '@hurrow/core/vocabulary';
import { weekOf } from '@hurrow/core/term';
import { upperFirst } from '@hurrow/core/words';

export interface CourseReportInput {
  course: Course;
  /** Day of the report, ISO 8601. */
  on: string;
  sets: readonly CourseSet[];
  counts: ClassCounts;
  report: ClassReport;
  pairs: readonly ReportedPair[];
  since: readonly (SinceTaught & { a: string; b: string; students: number | null })[];
  practice: readonly PracticeOf[];
  /** Common names by id. */
  names: Record<string, string>;
  vocabulary: Vocabulary;
}

const GREY = '#4c5d60';
/** What fits on two pages. */
const MOST = { pairs: 8, findings: 5, since: 6 };
const RULED = { hLineWidth: () => 0.4, vLineWidth: () => 0, hLineColor: () => '#9aa8a6' };

/** What is said of each verdict. */
const VERDICTS: Record<SinceTaught['verdict'], string> = {
  resolved: 'resolved',
  improving: 'improving',
  'still mixed up': 'still mixed up, may have improved',
  'as before': 'still mixed up as before',
  'too few to say': 'too few answers to say',
};

const percent = (share: number): string => `${Math.round(100 * share)} %`;
const range = ([low, high]: readonly [number, number]): string =>
  `${Math.round(100 * low)}–${Math.round(100 * high)} %`;
const title = (text: string, more: { pageBreak?: 'before' } = {}): Content => ({
  text,
  font: 'Serif',
  bold: true,
  fontSize: 13,
  margin: [0, 10, 0, 3],
  ...more,
});
/** What helped, and how sure it is, stand together on the second page. */
const SECOND_PAGE = { pageBreak: 'before' as const };

/** Two pages on a course for a colleague or coordinator. No student is named. */
export function courseReport(input: CourseReportInput): Omit<TDocumentDefinitions, 'pageSize'> {
  const { course, on, report } = input;
  return {
    info: { title: `${course.name}: report` },
    pageMargins: [46, 44, 46, 44],
    footer: (page, pages) => ({
      text: `${course.name} · ${on} · ${page} of ${pages}`,
      alignment: 'center',
      fontSize: 8,
      color: GREY,
    }),
    content: [
      { text: course.name, font: 'Serif', bold: true, fontSize: 19 },
      {
        text: `Report of ${on}. ${report.students} students, ${report.answers} answers, ${report.errors} of them wrong. No student is named.`,
        color: GREY,
      },
      ...taught(input),
      ...confused(input),
      ...overlooked(input),
      ...helped(input),
      ...howSure(input),
    ],
  };
}

function taught({ course, on, sets, names, counts, practice }: CourseReportInput): Content[] {
  const week = weekOf(course.startsOn, on);
  const active = practice.filter(({ answers }) => answers > 0);
  const minutes = active.reduce((sum, each) => sum + each.minutes, 0);
  return [
    title('What was taught'),
    {
      ul: sets
        .filter((set) => (set.week ?? 1) <= week)
        .map(
          ({ title: set, week: at, taxa }) =>
            `${at === null ? '' : `Week ${at}: `}${set}: ${taxa.map((id) => names[id] ?? id).join(', ')}`,
        ),
      fontSize: 8.5,
    },
    {
      text: [
        counts.quizzes
          .map(
            ({ title: quiz, heldOn, asked, right }) =>
              `${quiz} (${heldOn}): ${percent(right / asked)} of ${asked} answers right`,
          )
          .join('; '),
        counts.quizzes.length ? '. ' : 'No quiz was held yet. ',
        active.length
          ? `${active.length} students practiced on their phones, ${minutes} minutes in all.`
          : 'Nobody has practiced on the phone.',
      ],
      margin: [0, 4, 0, 0],
    },
  ];
}

function confused({ pairs, names }: CourseReportInput): Content[] {
  const rows = pairs.filter(({ count }) => count > 1).slice(0, MOST.pairs);
  if (rows.length === 0) return [title('What is confused'), { text: 'No pair was mixed up more than once.' }];
  const name = (id: string) => names[id] ?? id;
  return [
    title('What is confused'),
    {
      layout: RULED,
      table: {
        headerRows: 1,
        widths: ['*', 'auto', 'auto', 'auto'],
        body: [
          ['', 'answers', 'rate (90 % interval)', 'beyond chance'].map((text) => ({ text, color: GREY })),
          ...rows.map((pair) => [
            `${upperFirst(name(pair.truth))} called ${name(pair.answer)}`,
            `${pair.count} of ${pair.asked}`,
            `${percent(pair.rate)} (${range(pair.interval)})`,
            pair.standsOut ? 'yes' : 'not shown',
          ]),
        ],
      },
    },
  ];
}

function overlooked({ report, names, vocabulary, course }: CourseReportInput): Content[] {
  if (report.state !== 'enough')
    return [
      title('Which characters'),
      { text: 'Too few answers, or too few wrong ones, to say which characters are overlooked.' },
    ];
  const words = {
    taxon: (id: string) => names[id] ?? id,
    character: (id: string) =>
      vocabulary.has(id) ? characterName(vocabulary.get(id)!, course.audience) : id,
    state: (characterId: string, id: string) => {
      const state = vocabulary.has(characterId) && stateOf(vocabulary.get(characterId)!, id);
      return state ? (course.audience === 'plain' ? state.plain : state.term) : id;
    },
  };
  const { firm, unsure } = rankedFindings(report, vocabulary);
  const found = [...firm, ...unsure].slice(0, MOST.findings);
  return [
    title('Which characters'),
    ...found.map((each): Content => {
      const said = say(each, report);
      const sure = isSure(each) ? 'firm' : 'a suspicion';
      return {
        text: [
          { text: `${asText(said.headline, words)}. `, bold: true },
          `${asText(said.sentences, words)} `,
          { text: `(${sure})`, color: GREY },
        ],
        margin: [0, 0, 0, 3],
      };
    }),
    ...(found.length === 0 ? [{ text: 'Nothing stands out.' }] : []),
  ];
}

function helped({ since, names }: CourseReportInput): Content[] {
  const name = (id: string) => names[id] ?? id;
  if (since.length === 0)
    return [title('What helped', SECOND_PAGE), { text: 'No pair was noted as taught again.' }];
  return [
    title('What helped', SECOND_PAGE),
    {
      ul: since.slice(-MOST.since).map((row) => {
        const { before, after } = row.counted;
        const to = row.students === null ? 'the class' : `${row.students} students`;
        return `${upperFirst(name(row.a))} and ${name(row.b)}, taught again to ${to} on ${row.taughtOn}: ${VERDICTS[row.verdict]} (${before.mixed} of ${before.asked} mixed up before, ${after.mixed} of ${after.asked} after${row.specimens === 'as hard' ? '' : `; the later specimens were ${row.specimens}, which is taken out`}).`;
      }),
    },
  ];
}

function howSure({ report }: CourseReportInput): Content[] {
  return [
    title('How sure this is'),
    {
      text: [
        'Rates stand with the interval in which they lie in nine classes of ten. A pair is beyond chance where hard trees and names given readily alone would not bring it, at a false discovery rate of 5 %. Of firm findings one in ten at most is expected to be wrong; a suspicion is what to ask next, not what to conclude. ',
        report.reports.all > 0
          ? `They rest beside the names on ${reportsInWords(report.reports)}. `
          : 'Students were not asked what they went by: names alone give suspicions only. ',
        'What helped is judged against the other pairs of the class, so that a pair is not said to have improved because it had looked worst; differences in how hard the specimens were are taken out as far as the evidence tells them. Nothing here says why, and nothing is said of single students.',
      ],
    },
  ];
}
