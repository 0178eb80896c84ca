import Joi from 'joi';
import type { OwnPlace } from '@hurrow/core/contest';
import type { Answer, AnswerPart, NamingPolicy } from '@hurrow/core/names';
import type { BellState, OwnRound } from '@hurrow/core/rotation';
import type { Audience } from '@hurrow/core/score';
import type { AskedOf, NameToChoose, OfferedOrgan } from '@hurrow/core/station';
import type { Looked } from '@hurrow/core/view';
import type { OpenToStudents } from './courses.ts';
import { endpoint, type Done, type Sent } from './endpoint.ts';
import type { ProblemAnswer } from './problem.ts';

/** One “what do you see” question in the words of the course. */
export interface SeeingAsked {
  characterId: string;
  question: string;
  states: { id: string; word: string; definition: string }[];
}

export interface SatStation {
  id: string;
  position: number;
  /** Where it stands since it was moved, in words; empty where it stands at its place. */
  stands: string;
  medium: string;
  shows: Looked;
  drawn: boolean;
  /** “What do you see” questions with the states to choose from. */
  asks: SeeingAsked[];
  /** What can be ticked as gone by, organ by organ; empty where it is not asked. */
  wentBy: OfferedOrgan[];
  /** What this student, by lot, is told to look at first; null for the others. */
  prompt: string | null;
  /** The id of that character. */
  promptOf?: string;
  /** Names to choose from, each with the answer that choosing it gives; empty where a name is written. */
  choices: NameToChoose[];
  /** null where the name is asked. */
  question: AskedOf | null;
  answer: Answer | null;
}

export interface OpenQuiz {
  id: string;
  title: string;
  policy: NamingPolicy;
  /** What may be used in a contest, in words; empty where nothing was said. */
  allowed: string;
  /** Names to choose from, for courses that name from a list. */
  names: string[];
  stations: SatStation[];
  /** The student's own round and what the bell has done; null where none has been rung. */
  bell: { round: OwnRound; state: BellState } | null;
}

/** What the server tells a student's phone: never the taxon of a station nor its traits. */
export interface Sitting {
  /** What the server’s clock says, in milliseconds since 1970, so that a phone learns how far its own is off. */
  now: number;
  course: string;
  courseId: string;
  /** In whose words characters are named. */
  audience: Audience;
  /** What the instructor has opened beside the quizzes, as of now. */
  opens: OpenToStudents[];
  name: string;
  open: OpenQuiz[];
  released: { id: string; title: string; heldOn: string }[];
}

/** What became of answers that were sent, by their ids. */
export interface Received {
  received: string[];
  refused: ({ id: string } & Pick<ProblemAnswer, 'message' | 'said'>)[];
}

/** What was seen at a station beside what was there to be seen, in the words of the course. */
export interface SeenRow {
  question: string;
  /** null where nothing was said. */
  said: string | null;
  right: string[];
  isRight: boolean;
  /** What those words are said of, by its ids: the character, and states of it; missing in what was sent before. */
  ids?: { character: string; said: string | null; right: string[] };
}

export interface ResultRow {
  stationId: string;
  position: number;
  written: string;
  points: number;
  outOf: number;
  truth: string;
  latin: boolean;
  /** Where the family was asked for. */
  family: string | null;
  /** Where something else than the name was asked: what, and what would have been right. */
  question: { asked: string; right: string } | null;
  /** What is said of each part that is not simply right. */
  remarks: { part: AnswerPart; remark: string }[];
  /** Another tree of the list was named: it can be seen beside the right one. */
  mistaken: boolean;
  seen: SeenRow[];
  /** Everybody got its points, and why. */
  credited: string | null;
  /** What was asked about the mark, and what was answered. */
  regrade: { note: string; answer: string | null } | null;
}

/** A student's own result. */
export interface Result {
  title: string;
  points: number;
  outOf: number;
  rows: ResultRow[];
  /** Until when a mark may be asked to be looked at again, ISO 8601, a day; null where it may not. */
  regradeUntil: string | null;
  /** null where the quiz is no contest, or is not released to all. */
  place: OwnPlace | null;
}

/** The tree of a station beside the one that it was taken for. */
export interface Beside {
  names: [string, string];
  /** Drawings as SVG markup, the right one first; null where nothing of it can be drawn. */
  pictures: [string | null, string | null];
  /** Was the first drawing what was looked at, or is it a typical one? */
  isOwn: boolean;
  lines: { lead: string; character: string; shows: [string, string] }[];
  settles: string | null;
}

export const now = endpoint<{ answer: Sitting }>()({
  method: 'get',
  path: '/api/sit',
  summary:
    'The open quizzes of the student who calls, with the answers received so far, and results that are released.',
  allow: ['student'],
});

export const drawing = endpoint<{ answer: Sent }>()({
  method: 'get',
  path: '/api/sit/stations/{stationId}/drawing.svg',
  summary: 'The drawing of a station of an open quiz: outlines only, no names.',
  allow: ['student'],
  answers: 'image/svg+xml',
});

/** What a phone sends: its answers, a name for itself that all who sign in on it share, and what its clock says. */
export interface SentAnswers {
  responses: unknown[];
  phone?: string;
  sentAt?: string;
}

export const answer = endpoint<{ body: SentAnswers; answer: Received }>()({
  method: 'post',
  path: '/api/sit/responses',
  summary: 'Receives answers. Sending one again does no harm; each is acknowledged after it is stored.',
  allow: ['student'],
  severally: true,
  body: Joi.object({
    responses: Joi.array().items(Joi.any()).min(1).max(300).required(),
    phone: Joi.string().max(80),
    sentAt: Joi.string().isoDate(),
  }),
});

export const result = endpoint<{ answer: Result }>()({
  method: 'get',
  path: '/api/sit/quizzes/{quizId}/result',
  summary: 'The student’s own result, once the instructor has released it.',
  allow: ['student'],
});

export const beside = endpoint<{ query: { language?: string }; answer: Beside }>()({
  method: 'get',
  path: '/api/sit/stations/{stationId}/beside',
  summary:
    'The tree of a station of a released result beside the one that the student took it for, in the language of the page.',
  allow: ['student'],
  query: Joi.object({ language: Joi.string().max(35) }),
});

export const askRegrade = endpoint<{ body: { note: string }; answer: Done }>()({
  method: 'post',
  path: '/api/sit/stations/{stationId}/regrade',
  summary:
    'Asks for a mark to be looked at again, with a note. Asking anew before it is answered changes the note.',
  allow: ['student'],
  body: Joi.object({ note: Joi.string().trim().min(1).max(600).required().label('Note') }),
});
