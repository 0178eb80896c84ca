import Joi from 'joi';
import type { ContestRules, DivisionStandings, Entry } from '@hurrow/core/contest';
import { endpoint, INSTRUCTORS, STAFF, type Done, type Sent } from './endpoint.ts';

/** A quiz as a contest. */
export interface Contest extends ContestRules {
  /** The list as it is announced: “2026 edition”. */
  edition: string;
  /** What may be used, in words: “hand lens and rule; no books”. */
  aids: string;
  /** Teams and divisions by the id of the student. */
  entries: Record<string, Entry>;
}

/** A contest as it stands. */
export interface ContestNow {
  /** null where the quiz is none. */
  contest: Contest | null;
  /** Rankings by divisions, of those who answered; empty before anybody has. */
  standings: DivisionStandings[];
  /** Full points. */
  outOf: number;
  /** What is odd about the entries, a sentence each. */
  odd: string[];
}

export const ofQuiz = endpoint<{ answer: ContestNow }>()({
  method: 'get',
  path: '/api/quizzes/{quizId}/contest',
  summary: 'What a quiz goes by as a contest, and its standings as the marks are now.',
  allow: STAFF,
});

const words = (label: string) => Joi.string().trim().max(200).allow('').required().label(label);
const name = (label: string) => Joi.string().trim().max(80).allow('').required().label(label);

const contestSchema = Joi.object<Contest>({
  edition: words('Edition of the list'),
  aids: words('Allowed aids'),
  best: Joi.number().integer().min(0).max(50).required().label('Best of a team'),
  tieBreaks: Joi.array()
    .items(Joi.number().integer().min(1).max(200))
    .unique()
    .max(20)
    .required()
    .label('Stations that part ties'),
  entries: Joi.object()
    .pattern(Joi.string().uuid(), Joi.object({ team: name('Team'), division: name('Division') }))
    .required(),
})
  .allow(null)
  .required();

export interface ContestBody {
  contest: Contest | null;
  /** What it was when the change began: where somebody else changed it meanwhile, nothing is stored. */
  before: Contest | null;
}

export const change = endpoint<{ body: ContestBody; answer: Done }>()({
  method: 'put',
  path: '/api/quizzes/{quizId}/contest',
  summary:
    'Makes a quiz a contest, or changes what it goes by. The stations that part ties are declared before it is opened and stand from then on.',
  allow: INSTRUCTORS,
  body: Joi.object({ contest: contestSchema, before: contestSchema }),
});

export const file = endpoint<{ answer: Sent }>()({
  method: 'get',
  path: '/api/quizzes/{quizId}/contest/standings.csv',
  summary:
    'The standings as a table: division, place, name, team, points, and what parted a tie; teams below.',
  allow: STAFF,
  answers: 'text/csv',
});
