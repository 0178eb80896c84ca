import Joi from 'joi';
import {
  MOST_QUESTIONS,
  MOST_TOLD,
  QUESTION_KINDS,
  type FrozenQuestion,
  type PlannedStation,
  type Question,
} from '@hurrow/core/station';
import { SURENESS, type Answer, type Mark, type NamedTaxon, type NamingPolicy } from '@hurrow/core/names';
import type { Speaker } from '@hurrow/core/quiz';
import { AIDS, LEAF_CONDITIONS, MEDIA, type Medium, type View } from '@hurrow/core/view';
import { isoDate } from './day.ts';
import { endpoint, INSTRUCTORS, STAFF, type Done, type Sent } from './endpoint.ts';
import type { ImportReport } from './reports.ts';

/** A quiz without its stations. */
export interface QuizHead {
  id: string;
  courseId: string;
  title: string;
  /** ISO 8601, a day. */
  heldOn: string;
  state: 'planned' | 'open' | 'closed';
  /** Its students see their own results. */
  released: boolean;
  /** Ids of students who see theirs before all do. */
  releasedTo: string[];
  /** Until when a mark may be asked to be looked at again, ISO 8601, a day. */
  regradeUntil: string | null;
}

/** A quiz as it stands in its course. */
export interface QuizSummary extends QuizHead {
  /** How many it has. */
  stations: number;
  /** How many have answered. */
  students: number;
}

export interface Quiz extends QuizHead {
  stations: {
    id: string;
    position: number;
    taxonId: string;
    medium: Medium;
    view: View;
    /** Characters that its students are asked to read. */
    asks: string[];
    /** Whether its students are asked what they went by, and the characters that are offered to them once it is open. */
    wentBy: boolean;
    /** The character that half of its students, by lot, are told to look at first. */
    prompt: string | null;
    /** Are four names to choose from instead of one to write? */
    choose: boolean;
    /** What is asked in place of the name, and as it is fixed once the quiz is open. */
    question: Question | null;
    asking: FrozenQuestion | null;
    offered: string[];
    seed: number;
    voided: boolean;
    /** It is left out, and everybody gets its points. */
    credited: boolean;
    voidReason: string | null;
    /** Of the library that it was fixed with; null until it is opened. */
    revision: number | null;
    drawn: boolean;
  }[];
}

export interface MarkedAnswer {
  responseId: string;
  studentId: string;
  stationId: string;
  /** Who gave it: the student's phone, or staff from paper or by decision. */
  by: Speaker;
  written: Answer;
  /** What is resolved and ruled on: the name as it was written, or in terms what was answered to another question. */
  text: string;
  mark: Mark;
  /** What it tells to be gone by, rulings on words counted in: ids of what was offered, the whole look or a guess. */
  told: string[];
  /** The instructor's word that the mark rests on. */
  ruling: { id: number; by: string; at: string; reason: string | null; alone: boolean } | null;
  conflicting: { responseId: string; device: string; written: Answer }[];
}

/** Every answer of a quiz with its mark. */
export interface Marks {
  quiz: QuizHead;
  students: { id: string; name: string }[];
  stations: {
    id: string;
    position: number;
    taxonId: string;
    voided: boolean;
    credited: boolean;
    /** What it asks in place of the name. */
    asking: FrozenQuestion | null;
  }[];
  /** Full points of a station. */
  outOf: number;
  list: NamedTaxon[];
  /** null until it is opened. */
  policy: NamingPolicy | null;
  answers: MarkedAnswer[];
  /** What words on paper count as by ruling, where students of the course said what they went by. */
  words: RuledWords[];
}

/** A ruling on words that a paper says a tree was named by. */
export interface RuledWords {
  id: number;
  /** As they are compared: small letters, no ends of plurals. */
  words: string;
  /** The id of a character, the whole look or a guess; null for nothing that was offered. */
  countsAs: string | null;
  by: string;
}

export interface PlanBody {
  title: string;
  heldOn: string;
  /** The day of a view is that of the quiz and is set by the server. */
  stations: PlannedStation[];
}

const organs = ['habit', 'bark', 'twig', 'bud', 'leaf', 'flower', 'fruit', 'wood', 'site'];

/** What can be perceived. */
export const viewSchema = Joi.object({
  organs: Joi.array()
    .items(Joi.string().valid(...organs))
    .min(1)
    .required()
    .label('What is shown')
    .messages({
      'array.min': '“What is shown” needs at least one part of the plant',
    }),
  day: Joi.number().integer().min(1).max(365),
  nearness: Joi.string().valid('afar', 'arm', 'hand').required(),
  aids: Joi.array()
    .items(Joi.string().valid(...AIDS))
    .min(1)
    .required(),
  qualifiers: Joi.object().pattern(Joi.string(), Joi.string()).default({}),
  leaves: Joi.string().valid(...LEAF_CONDITIONS),
});

const character = Joi.string().max(80).required();

/** What a station asks in place of the name. */
const questionSchema = Joi.alternatives()
  .conditional('.kind', {
    switch: [
      { is: 'family', then: Joi.object({ kind: Joi.string().required() }) },
      { is: 'genus', then: Joi.object({ kind: Joi.string().required() }) },
      { is: 'state', then: Joi.object({ kind: Joi.string().required(), characterId: character }) },
      { is: 'sort', then: Joi.object({ kind: Joi.string().required(), characterId: character }) },
      {
        is: 'settles',
        then: Joi.object({ kind: Joi.string().required(), from: Joi.string().max(120).required() }),
      },
      {
        is: 'number',
        then: Joi.object({
          kind: Joi.string().required(),
          characterId: character,
          within: Joi.number().min(0).max(1).label('May be off by'),
        }),
        otherwise: Joi.object({ kind: Joi.string().valid(...QUESTION_KINDS) }),
      },
    ],
  })
  .label('What is asked');

export const planSchema = Joi.object<PlanBody>({
  title: Joi.string().trim().max(120).required().label('Title'),
  heldOn: isoDate().required().label('Date'),
  stations: Joi.array()
    .max(200)
    .items(
      Joi.object({
        taxonId: Joi.string().required().label('Species'),
        medium: Joi.string()
          .valid(...MEDIA)
          .required()
          .label('Medium'),
        view: viewSchema.required(),
        seed: Joi.number()
          .integer()
          .min(1)
          .max(2 ** 31 - 1),
        asks: Joi.array()
          .items(Joi.string().max(80))
          .unique()
          .max(MOST_QUESTIONS)
          .default([])
          .label('What do you see')
          .messages({
            'array.max': `A station asks for {#limit} characters at most besides the name. Take one away.`,
          }),
        wentBy: Joi.boolean().default(false),
        prompt: Joi.string().max(80).allow(null).default(null).label('Hint by lot'),
        choose: Joi.boolean().default(false),
        question: questionSchema.allow(null).default(null),
      }),
    )
    .required(),
});

const written = Joi.string().allow('').max(200);

export const answerSchema = Joi.object<Answer>({
  name: written,
  genus: written,
  epithet: written,
  family: written,
  said: written,
  seen: Joi.object().pattern(Joi.string().max(80), Joi.string().allow('').max(80)),
  sure: Joi.string().valid(...SURENESS),
  wentBy: Joi.array()
    .items(Joi.string().max(80))
    .unique()
    .max(MOST_TOLD)
    .label('What it was named by')
    .messages({ 'array.max': 'Up to {#limit} things can be told that a tree was named by. Take one away.' }),
  wentByUnread: Joi.array().items(Joi.string().trim().min(1).max(80)).unique().max(MOST_TOLD),
});

export interface ResponseBody {
  id: string;
  stationId: string;
  answer: Answer;
  device: string;
  sequence: number;
  writtenAt: string;
}

export const responseSchema = Joi.object<ResponseBody>({
  id: Joi.string().uuid().required(),
  stationId: Joi.string().uuid().required(),
  // On a phone it is ticked.
  answer: answerSchema.keys({ wentByUnread: Joi.forbidden() }).required(),
  device: Joi.string().max(80).required(),
  // No student answers a million times; a larger number would be there to outweigh what comes after.
  sequence: Joi.number().integer().min(0).max(1_000_000).required(),
  writtenAt: Joi.string().isoDate().required(),
});
export const plan = endpoint<{ body: PlanBody; answer: { id: string } }>()({
  method: 'post',
  path: '/api/courses/{courseId}/quizzes',
  summary: 'Plans a quiz.',
  allow: INSTRUCTORS,
  body: planSchema,
});

export const one = endpoint<{ answer: Quiz }>()({
  method: 'get',
  path: '/api/quizzes/{quizId}',
  summary: 'A quiz with its stations.',
  allow: STAFF,
});

export const change = endpoint<{ body: PlanBody; answer: Done }>()({
  method: 'put',
  path: '/api/quizzes/{quizId}',
  summary: 'Changes the plan of a quiz that has not been opened.',
  allow: INSTRUCTORS,
  body: planSchema,
});

export const remove = endpoint<{ answer: Done }>()({
  method: 'delete',
  path: '/api/quizzes/{quizId}',
  summary: 'Removes a quiz that has not been opened.',
  allow: INSTRUCTORS,
});

export const open = endpoint<{ answer: Done }>()({
  method: 'post',
  path: '/api/quizzes/{quizId}/open',
  summary:
    'Opens a quiz to students. The first opening freezes every station; a closed quiz is opened again as it was.',
  allow: INSTRUCTORS,
});

export const close = endpoint<{ answer: Done }>()({
  method: 'post',
  path: '/api/quizzes/{quizId}/close',
  summary: 'Closes a quiz: students can no longer answer, paper can still be entered.',
  allow: INSTRUCTORS,
});

export interface ReleaseBody {
  released: boolean;
  /** The one student who may see it; all where none is named. */
  studentId?: string | null;
  /** Until when a mark may be asked to be looked at again, ISO 8601, a day; null where it may not. Left as it is where nothing is said. */
  regradeUntil?: string | null;
}

export const release = endpoint<{ body: ReleaseBody; answer: Done }>()({
  method: 'post',
  path: '/api/quizzes/{quizId}/release',
  summary: 'Lets students, or one of them, see their own result, or hides it again.',
  allow: INSTRUCTORS,
  body: Joi.object({
    released: Joi.boolean().required(),
    studentId: Joi.string().uuid().allow(null).default(null),
    regradeUntil: isoDate().allow(null),
  }),
});

export interface VoidBody {
  voided: boolean;
  /** Everybody gets its points; else it counts for nobody. */
  credited?: boolean;
  reason?: string;
}

export const voidStation = endpoint<{ body: VoidBody; answer: Done }>()({
  method: 'post',
  path: '/api/quizzes/{quizId}/stations/{stationId}/void',
  summary:
    'Leaves a station out of all marks and analyses, for nobody or with its points for everybody, or takes it in again.',
  allow: INSTRUCTORS,
  body: Joi.object({
    voided: Joi.boolean().required(),
    credited: Joi.boolean().default(false),
    reason: Joi.string().trim().max(300).allow('').default('').label('Reason'),
  }),
});

export const drawing = endpoint<{ answer: Sent }>()({
  method: 'get',
  path: '/api/quizzes/{quizId}/stations/{stationId}/drawing.svg',
  summary: 'The drawing that students see at a station of an opened quiz.',
  allow: STAFF,
  answers: 'image/svg+xml',
});

export const live = endpoint<{ answer: Sent }>()({
  method: 'get',
  path: '/api/quizzes/{quizId}/live',
  summary:
    'Server-sent events while a quiz is sat: how many stations each student has answered, all at first and then what changes.',
  allow: STAFF,
  answers: 'text/event-stream',
});

export const marks = endpoint<{ answer: Marks }>()({
  method: 'get',
  path: '/api/quizzes/{quizId}/marks',
  summary: 'Every answer with its mark, worked out from the frozen stations and the rulings.',
  allow: STAFF,
});

/** One answer from paper. */
export interface PaperBody {
  studentId: string;
  stationId: string;
  answer: Answer;
  /** It counts from now on, whatever else was said. */
  decide?: boolean;
}

export const enterPaper = endpoint<{ body: PaperBody; answer: Done }>()({
  method: 'post',
  path: '/api/quizzes/{quizId}/paper',
  summary: 'Enters one answer from paper, or decides between answers of two devices.',
  allow: STAFF,
  body: Joi.object({
    studentId: Joi.string().uuid().required(),
    stationId: Joi.string().uuid().required(),
    answer: answerSchema.required(),
    decide: Joi.boolean().default(false),
  }),
});

/** A file of answers from paper. */
export interface AnswersFile {
  csv: string;
  dryRun: boolean;
  /** Also answers that are stored; they are left as they are without. */
  replace?: boolean;
}

export const importAnswers = endpoint<{ body: AnswersFile; answer: ImportReport }>()({
  method: 'post',
  path: '/api/quizzes/{quizId}/responses/import',
  summary:
    'Imports paper answers (CSV: student, station, answer, and what was seen); with dryRun it only says what it would do. Answers that are stored are replaced only with `replace`.',
  allow: INSTRUCTORS,
  body: Joi.object({
    csv: Joi.string().required().label('File'),
    dryRun: Joi.boolean().required(),
    replace: Joi.boolean().default(false),
  }),
});
