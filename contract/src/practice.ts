import Joi from 'joi';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import {
  WAYS,
  type MixUp,
  type PracticeCard,
  type Rating,
  type Way,
  type Weights,
} from '@hurrow/core/practice';
import type { Audience, UnitSystem } from '@hurrow/core/score';
import type { Place } from '@hurrow/core/season';
import { MOST_TOLD } from '@hurrow/core/station';
import type { Character } from '@hurrow/core/vocabulary';
import { endpoint, STAFF } from './endpoint.ts';
import type { MiniLesson } from './miniLessons.ts';

/** What was ticked of a checklist: ids of characters, “the whole look of it” or “a guess”. */
export interface ToldOf {
  offered: string[];
  told: string[];
}

/** One answer to a practice card as a phone sends it. */
export interface ReviewBody {
  /** Made by the phone: the same id is the same answer. */
  id: string;
  cardId: string;
  way: Way;
  rating: Rating;
  /** The tree that was named, where it was another one. */
  named: string | null;
  tookMs: number;
  /** What it was told to be named by, of what was offered; only where it was asked. */
  wentBy?: ToldOf;
  /** When it was answered, in ISO 8601. */
  at: string;
  device: string;
  /** Counts up on the phone. */
  sequence: number;
}

/** An answer as it is told again: enough to know what is remembered. */
export type KeptReview = Pick<ReviewBody, 'id' | 'cardId' | 'rating' | 'named' | 'tookMs' | 'at'>;

/** With what it was told to be named by, where that was asked. */
export type WholeReview = KeptReview & Pick<ReviewBody, 'wentBy'>;

/** A card with whether it can be met with outdoors on the day. */
export type CardOfDay = PracticeCard & { inSeason: boolean };

/** Everything that a phone needs to practice without a signal. */
export interface PracticePack {
  /** Milliseconds since 1970, by the server. */
  now: number;
  courseId: string;
  audience: Audience;
  units: UnitSystem;
  /** Names are written as common names. */
  common: boolean;
  /** Now and then it is asked what was gone by. */
  asksWentBy: boolean;
  reference: Place;
  site: Place;
  taxa: ProfiledTaxon[];
  /** Characters of the library beside those that are built in. */
  characters: Character[];
  cards: CardOfDay[];
  mixUps: MixUp[];
  /** Taxa in the order in which they were taught. */
  taught: string[];
  weights: Weights | null;
  reviews: KeptReview[];
  miniLessons: MiniLesson[];
}

export const pack = endpoint<{ answer: PracticePack }>()({
  method: 'get',
  path: '/api/practice',
  summary:
    'Everything that a student needs to practice, without a signal as well: cards of the trees taught so far, own mix-ups, own answers.',
  allow: ['student'],
});

/** So many answers are taken at once. */
export const MOST_REVIEWS = 500;

/** A checklist offers no more than this, some room left. */
const MOST_OFFERED = 40;
const told = Joi.array().items(Joi.string().max(80)).unique();

const reviewSchema = Joi.object<ReviewBody>({
  id: Joi.string().uuid().required(),
  cardId: Joi.string()
    .pattern(/^\S{1,80} \S{1,40}$/)
    .required(),
  way: Joi.string()
    .valid(...WAYS)
    .required(),
  rating: Joi.number().valid(1, 2, 3, 4).required(),
  named: Joi.string().max(80).allow(null).required(),
  tookMs: Joi.number().integer().min(0).max(3_600_000).required(),
  wentBy: Joi.object<ToldOf>({
    offered: told.max(MOST_OFFERED).required(),
    told: told.max(MOST_TOLD).required(),
  }),
  at: Joi.string().isoDate().required(),
  device: Joi.string().trim().min(1).max(60).required(),
  sequence: Joi.number().integer().min(0).max(1_000_000_000).required(),
});

export const review = endpoint<{ body: { reviews: ReviewBody[] }; answer: { received: string[] } }>()({
  method: 'post',
  path: '/api/practice/reviews',
  summary:
    'Keeps answers to practice cards, each once by its id, in the order of the phone that they were given on.',
  allow: ['student'],
  body: Joi.object({ reviews: Joi.array().items(reviewSchema).min(1).max(MOST_REVIEWS).required() }),
});

/** How much a student practices, and what is known; each slip only where the course says so. */
export interface PracticeOf {
  studentId: string;
  name: string;
  answers: number;
  /** Minutes, by what answers took. */
  minutes: number;
  /** Days on which was practiced, and the last of them. */
  days: number;
  lastOn: string | null;
  cards: number;
  known: number;
  due: number;
}

export interface CoursePractice {
  students: PracticeOf[];
  /** How the schedule was fitted to the course; null where there are too few answers. */
  fit: { answers: number; loss: [number, number] } | null;
  /** What was taken for what in practice; null where the course does not show it. */
  slips: { studentId: string; cardId: string; named: string; on: string }[] | null;
}

export const ofCourse = endpoint<{ answer: CoursePractice }>()({
  method: 'get',
  path: '/api/courses/{courseId}/practice',
  summary:
    'How much the students of a course practice and what they know; single slips only where the course shows them.',
  allow: STAFF,
});
