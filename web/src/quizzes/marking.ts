import { plural, t } from '@lingui/core/macro';
import type { MarkedAnswer, Marks } from '@hurrow/contract/quizzes';
import { answerText, type Answer, type AnswerPart } from '@hurrow/core/names';
import { seedOf } from '@hurrow/core/random';
import { saidTo, type FrozenQuestion } from '@hurrow/core/station';
import { PART_WORDS } from '../language/remarkSaid.ts';
import { shortly } from '../language/inWords.ts';

/** Equal answers to one tree. */
export interface AnswerGroup {
  truth: string;
  text: string;
  answers: MarkedAnswer[];
}

/** What one student wrote, with what was wrong in it. */
export interface Paper {
  student: Marks['students'][number];
  points: number;
  outOf: number;
  /** Answers that lost points, in the order of the stations, each with its station. */
  wrong: { position: number; answer: MarkedAnswer }[];
  right: { position: number; answer: MarkedAnswer }[];
  /** Stations without an answer. */
  blank: number[];
}

/**
 * The marks with papers in the place of names, in an order that follows from the quiz alone: who marks does not know whose they are, and finds
 * “Paper 7” again.
 *
 * @example
 * withoutNames(marks).students; // [{ id: 'selma', name: 'Paper 1' }, { id: 'rowan', name: 'Paper 2' }]
 */
export function withoutNames(marks: Marks): Marks {
  const lot = (id: string) => seedOf('papers', marks.quiz.id, id);
  const students = [...marks.students]
    .sort((a, b) => lot(a.id) - lot(b.id))
    .map(({ id }, i) => ({ id, name: t`Paper ${i + 1}` }));
  return { ...marks, students };
}

const plain = (text: string | undefined) => (text ?? '').trim().toLowerCase().replace(/\s+/g, ' ');

/** The tree that an answer was asked for. */
export const truthOf = (answer: MarkedAnswer, marks: Marks): string =>
  marks.stations.find(({ id }) => id === answer.stationId)!.taxonId;

/** Does an answer name its tree rightly, or answer rightly what is asked in place of the name? */
export const isRight = ({ mark }: MarkedAnswer, { taxonId, asking }: Marks['stations'][number]): boolean =>
  asking ? mark.points === mark.outOf : mark.resolution.taxonId === taxonId;

/** What an answer was asked: the name, or a question about something. */
const askedOf = (answer: MarkedAnswer, marks: Marks): string => {
  const asking = marks.stations.find(({ id }) => id === answer.stationId)?.asking;
  return asking ? `${asking.kind} ${asking.about}` : '';
};

/** Answers that say the same of the same tree, this one among them: all that a ruling on equal answers reaches in this quiz. */
export const equalTo = (answer: MarkedAnswer, marks: Marks): MarkedAnswer[] => {
  const said = equalAnswers(answer, marks);
  return marks.answers.filter((other) => equalAnswers(other, marks) === said);
};

/** What equal answers have in common: the tree, what was asked, what was written. */
export const equalAnswers = (answer: MarkedAnswer, marks: Marks): string =>
  [truthOf(answer, marks), askedOf(answer, marks), plain(answer.text), plain(answer.written.family)].join(
    ' | ',
  );

/**
 * Points by hand as they were typed, for a ruling: null where none are, a problem where one is no number of the part's points.
 *
 * @param parts of the mark, in points
 * @example
 * pointsByHand({ genus: '0,5' }, [{ part: 'genus', outOf: 1 }]); // { points: { genus: 0.5 } }
 */
export function pointsByHand(
  typed: Partial<Record<AnswerPart, string>>,
  parts: readonly { part: AnswerPart; outOf: number }[],
): { points: Partial<Record<AnswerPart, number>> | null } | { problem: string } {
  const points: Partial<Record<AnswerPart, number>> = {};
  for (const { part, outOf } of parts) {
    const text = typed[part]?.trim();
    if (!text) continue;
    const value = Number(text.replace(',', '.'));
    if (!(value >= 0 && value <= outOf))
      return {
        problem: t`The points for the ${PART_WORDS[part]} are a number from 0 to ${pointsInWords(outOf)}, not “${text}”.`,
      };
    points[part] = value;
  }
  return { points: Object.keys(points).length ? points : null };
}

function grouped(answers: readonly MarkedAnswer[], marks: Marks): AnswerGroup[] {
  const groups = new Map<string, AnswerGroup>();
  for (const answer of answers) {
    const truth = truthOf(answer, marks);
    const key = `${truth} ${plain(answer.text)}`;
    const group = groups.get(key) ?? { truth, text: answer.text, answers: [] };
    group.answers.push(answer);
    groups.set(key, group);
  }
  return [...groups.values()].sort((a, b) => b.answers.length - a.answers.length);
}

/** Does an answer need a human: could the rules not read it, and does it name no plant that is known from elsewhere? */
const needsHuman = ({ ruling, mark: { resolution } }: MarkedAnswer): boolean =>
  !ruling && (resolution.how === 'ambiguous' || (resolution.how === 'none' && !resolution.other));

/** Equal answers that the rules could not read and nobody has ruled on, the most frequent first. */
export const toRule = (marks: Marks): AnswerGroup[] => grouped(marks.answers.filter(needsHuman), marks);

/**
 * What an answer may count as, the likeliest first: the tree of the station, those that it may name, the one next to it in spelling. Numbered for the
 * keys 1 to 9.
 */
export function choicesFor({ truth, answers }: AnswerGroup): string[] {
  const { taxonId, candidates = [], rival } = answers[0]!.mark.resolution;
  return [...new Set([truth, ...(taxonId ? [taxonId] : []), ...candidates, ...(rival ? [rival] : [])])].slice(
    0,
    9,
  );
}

/**
 * How much of a quiz needed a human, in a sentence.
 *
 * @example
 * needInWords({ answers: 480, waiting: 3, groups: 2 }); // '477 of 480 answers are read by the rules; 3 wait, in 2 groups.'
 */
export const needInWords = ({
  answers,
  waiting,
  groups,
}: {
  answers: number;
  waiting: number;
  groups: number;
}): string =>
  waiting === 0
    ? t`All ${answers} answers are read by the rules or ruled on.`
    : t`${answers - waiting} of ${answers} answers are read by the rules; ${waiting} ${plural(waiting, { one: 'waits', other: `wait, in ${groups} ${plural(groups, { one: 'group', other: 'groups' })}` })}.`;

/** Answers whose mark rests on a ruling, those of one ruling together. */
export const ruledOn = (marks: Marks): AnswerGroup[] => {
  const byRuling = new Map<number, AnswerGroup>();
  for (const answer of marks.answers) {
    if (!answer.ruling) continue;
    const group = byRuling.get(answer.ruling.id) ?? {
      truth: truthOf(answer, marks),
      text: answer.text,
      answers: [],
    };
    group.answers.push(answer);
    byRuling.set(answer.ruling.id, group);
  }
  return [...byRuling.values()];
};

/** The papers of a class: points, and what was written where it was wrong. Voided stations count for nobody, or for everybody. */
export function papersOf(marks: Marks): Paper[] {
  const counted = marks.stations.filter(({ voided }) => !voided);
  const byCell = new Map(marks.answers.map((answer) => [`${answer.studentId} ${answer.stationId}`, answer]));
  const credit = marks.outOf * marks.stations.filter(({ voided, credited }) => voided && credited).length;
  return marks.students.map((student) => {
    const own = counted.map((station) => ({
      position: station.position,
      answer: byCell.get(`${student.id} ${station.id}`),
    }));
    const given = own.flatMap(({ position, answer }) => (answer ? [{ position, answer }] : []));
    return {
      student,
      points: credit + given.reduce((sum, { answer }) => sum + answer.mark.points, 0),
      outOf: credit + marks.outOf * counted.length,
      wrong: given.filter(({ answer }) => answer.text && answer.mark.points < answer.mark.outOf),
      right: given.filter(({ answer }) => answer.mark.points === answer.mark.outOf),
      blank: own.filter(({ answer }) => !answer?.text).map(({ position }) => position),
    };
  });
}

export interface StationMarks {
  station: Marks['stations'][number];
  answered: number;
  /** How many named the tree, or answered rightly what else was asked. */
  named: number;
  /** How many were sure of what is wrong. */
  sureButWrong: number;
  /** Equal answers, the most frequent first. */
  groups: AnswerGroup[];
}

/** The stations that count, with what was written at each. */
export const stationsOf = (marks: Marks): StationMarks[] =>
  marks.stations
    .filter(({ voided }) => !voided)
    .map((station) => {
      const answers = marks.answers.filter(({ stationId, text }) => stationId === station.id && text);
      return {
        station,
        answered: answers.length,
        sureButWrong: answers.filter((answer) => answer.written.sure === 'sure' && !isRight(answer, station))
          .length,
        named: answers.filter((answer) => isRight(answer, station)).length,
        groups: grouped(answers, marks),
      };
    });

/** What one of several answers says, in a few words. */
export const writtenAs = (written: Answer, asking: FrozenQuestion | null): string =>
  asking ? saidTo(asking, written) : answerText(written);

/** What was written, family and all, as one line. */
export const writtenInFull = ({ written, text, mark }: MarkedAnswer): string =>
  (mark.resolution.how === 'unasked'
    ? text
    : [answerText(written), written.family].filter(Boolean).join(', ')) || 'blank';

/** Points without needless zeros: 1.5, 2. */
export const pointsInWords = (points: number): string => shortly(points, 2);
