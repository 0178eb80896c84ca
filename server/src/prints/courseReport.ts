import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { ClassReport } from '@hurrow/contract/confusions';
import type { Course, CourseSet } from '@hurrow/contract/courses';
import type { ClassCounts } from '@hurrow/contract/learning';
import type { PracticeOf } from '@hurrow/contract/practice';
import type { ReportedPair } from '../learning/pairs.ts';
import { asText, isSure, rankedFindings, reportsInWords, say as sayFinding } from '@hurrow/core/finding';
import type { SinceTaught } from '@hurrow/core/confusion';
import { characterName } from '@hurrow/core/score';
import { stateOf, type Vocabulary } from '@hurrow/core/vocabulary';
import { weekOf } from '@hurrow/core/term';
import { upperFirst } from '@hurrow/core/words';
import { findingIn } from '../language/findingIn.ts';
import { tongueOf, type Tongue } from '../language/tongue.ts';

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
const verdictsIn = ({ say }: Tongue): Record<SinceTaught['verdict'], string> => ({
  resolved: say`resolved`,
  improving: say`improving`,
  'still mixed up': say`still mixed up, may have improved`,
  'as before': say`still mixed up as before`,
  'too few to say': say`too few answers to say`,
});

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
  const tongue = tongueOf(course.namesIn);
  const { say } = tongue;
  return {
    info: { title: say`${course.name}: report` },
    pageMargins: [46, 44, 46, 44],
    footer: (page, pages) => ({
      text: `${course.name} · ${on} · ${say`${page} of ${pages}`}`,
      alignment: 'center',
      fontSize: 8,
      color: GREY,
    }),
    content: [
      { text: course.name, font: 'Serif', bold: true, fontSize: 19 },
      {
        text: say`Report of ${on}. ${report.students} students, ${report.answers} answers, ${report.errors} of them wrong. No student is named.`,
        color: GREY,
      },
      ...taught(input, tongue),
      ...confused(input, tongue),
      ...overlooked(input, tongue),
      ...helped(input, tongue),
      ...howSure(input, tongue),
    ],
  };
}

function taught(
  { course, on, sets, names, counts, practice }: CourseReportInput,
  { say }: Tongue,
): Content[] {
  const week = weekOf(course.startsOn, on);
  const active = practice.filter(({ answers }) => answers > 0);
  const minutes = active.reduce((sum, each) => sum + each.minutes, 0);
  return [
    title(say`What was taught`),
    {
      ul: sets
        .filter((set) => (set.week ?? 1) <= week)
        .map(
          ({ title: set, week: at, taxa }) =>
            `${at === null ? '' : `${say`Week ${at}:`} `}${set}: ${taxa.map((id) => names[id] ?? id).join(', ')}`,
        ),
      fontSize: 8.5,
    },
    {
      text: [
        counts.quizzes
          .map(
            ({ title: quiz, heldOn, asked, right }) =>
              say`${quiz} (${heldOn}): ${percent(right / asked)} of ${asked} answers right`,
          )
          .join('; '),
        counts.quizzes.length ? '. ' : `${say`No quiz was held yet.`} `,
        active.length
          ? say`${active.length} students practiced on their phones, ${minutes} minutes in all.`
          : say`Nobody has practiced on the phone.`,
      ],
      margin: [0, 4, 0, 0],
    },
  ];
}

function confused({ pairs, names }: CourseReportInput, { say }: Tongue): Content[] {
  const rows = pairs.filter(({ count }) => count > 1).slice(0, MOST.pairs);
  if (rows.length === 0)
    return [title(say`What is confused`), { text: say`No pair was mixed up more than once.` }];
  const name = (id: string) => names[id] ?? id;
  return [
    title(say`What is confused`),
    {
      layout: RULED,
      table: {
        headerRows: 1,
        widths: ['*', 'auto', 'auto', 'auto'],
        body: [
          ['', say`answers`, say`rate (90 % interval)`, say`beyond chance`].map((text) => ({
            text,
            color: GREY,
          })),
          ...rows.map((pair) => [
            say`${upperFirst(name(pair.truth))} called ${name(pair.answer)}`,
            say`${pair.count} of ${pair.asked}`,
            `${percent(pair.rate)} (${range(pair.interval)})`,
            pair.standsOut ? say`yes` : say`not shown`,
          ]),
        ],
      },
    },
  ];
}

function overlooked({ report, names, vocabulary, course }: CourseReportInput, tongue: Tongue): Content[] {
  const { say } = tongue;
  if (report.state !== 'enough')
    return [
      title(say`Which characters`),
      { text: say`Too few answers, or too few wrong ones, to say which characters are overlooked.` },
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
    title(say`Which characters`),
    ...found.map((each): Content => {
      const said = sayFinding(each, report, findingIn(tongue));
      const sure = isSure(each) ? say`firm` : say`a suspicion`;
      return {
        text: [
          { text: `${asText(said.headline, words)}. `, bold: true },
          `${asText(said.sentences, words)} `,
          { text: `(${sure})`, color: GREY },
        ],
        margin: [0, 0, 0, 3],
      };
    }),
    ...(found.length === 0 ? [{ text: say`Nothing stands out.` }] : []),
  ];
}

function helped({ since, names }: CourseReportInput, tongue: Tongue): Content[] {
  const { say, word } = tongue;
  const verdicts = verdictsIn(tongue);
  const name = (id: string) => names[id] ?? id;
  if (since.length === 0)
    return [title(say`What helped`, SECOND_PAGE), { text: say`No pair was noted as taught again.` }];
  return [
    title(say`What helped`, SECOND_PAGE),
    {
      ul: since.slice(-MOST.since).map((row) => {
        const { before, after } = row.counted;
        const to = row.students === null ? say`the class` : say`${row.students} students`;
        const taught = say`${upperFirst(name(row.a))} and ${name(row.b)}, taught again to ${to} on ${row.taughtOn}: ${verdicts[row.verdict]}`;
        const counted = say`${before.mixed} of ${before.asked} mixed up before, ${after.mixed} of ${after.asked} after`;
        const eased = say`the later specimens were ${word(row.specimens)}, which is taken out`;
        return `${taught} (${row.specimens === 'as hard' ? counted : `${counted}; ${eased}`}).`;
      }),
    },
  ];
}

function howSure({ report }: CourseReportInput, tongue: Tongue): Content[] {
  const { say } = tongue;
  return [
    title(say`How sure this is`),
    {
      text: [
        say`Rates stand with the interval in which they lie in nine classes of ten. A pair is beyond chance where hard trees and names given readily alone would not bring it, at a false discovery rate of 5 %. Of firm findings one in ten at most is expected to be wrong; a suspicion is what to ask next, not what to conclude.`,
        report.reports.all > 0
          ? reportsIn(tongue, report.reports)
          : say`Students were not asked what they went by: names alone give suspicions only.`,
        say`What helped is judged against the other pairs of the class, so that a pair is not said to have improved because it had looked worst; differences in how hard the specimens were are taken out as far as the evidence tells them. Nothing here says why, and nothing is said of single students.`,
      ].join(' '),
    },
  ];
}

/** What the findings rest on beside the names. */
function reportsIn({ isEnglish, say, list }: Tongue, reports: ClassReport['reports']): string {
  if (isEnglish) return say`They rest beside the names on ${reportsInWords(reports)}.`;
  const { all, practice, sorting } = reports;
  const parts = [
    ...(practice > 0 ? [say`${practice} of them in practice`] : []),
    ...(sorting > 0 ? [say`${sorting} of them by what was sorted`] : []),
  ];
  const asked = say`${all} answers to “What did you go by?”`;
  return say`They rest beside the names on ${[asked, list(parts)].filter(Boolean).join(', ')}.`;
}
