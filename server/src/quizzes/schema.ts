import Joi from 'joi';
import { MOST_QUESTIONS, type PlannedStation } from '@hurrow/core/quiz';
import type { Answer, AnswerPart } from '@hurrow/core/names';
import { AIDS, MEDIA } from '@hurrow/core/view';
import { isoDate } from '../courses/schema.ts';

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
});

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
        asks: Joi.array()
          .items(Joi.string().max(80))
          .unique()
          .max(MOST_QUESTIONS)
          .default([])
          .label('What do you see')
          .messages({
            'array.max': `A station asks for {#limit} characters at most besides the name. Take one away.`,
          }),
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
  seen: Joi.object().pattern(Joi.string().max(80), Joi.string().allow('').max(80)),
});

export interface RulingBody {
  truth: string;
  answer: Answer;
  countsAs: string | null;
  /** Points by hand, by part of the answer. */
  points: Partial<Record<AnswerPart, number>> | null;
  /** The one answer that the ruling is on; all equal ones where it is null. */
  only: { studentId: string; stationId: string } | null;
  reason: string;
}

const part = Joi.number().min(0).max(20);

export const rulingSchema = Joi.object<RulingBody>({
  truth: Joi.string().max(120).required(),
  answer: answerSchema.required(),
  countsAs: Joi.string().max(120).allow(null).required(),
  points: Joi.object({ name: part, genus: part, epithet: part, family: part }).allow(null).default(null),
  only: Joi.object({
    studentId: Joi.string().uuid().required(),
    stationId: Joi.string().uuid().required(),
  })
    .allow(null)
    .default(null),
  reason: Joi.string()
    .trim()
    .max(300)
    .allow('')
    .default('')
    .label('Reason')
    // Points by hand outweigh the rules: whoever asks later must find why.
    .when('points', { is: Joi.object().required(), then: Joi.string().trim().min(3).max(300).required() }),
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
  answer: answerSchema.required(),
  device: Joi.string().max(80).required(),
  // No student answers a million times; a larger number would be there to outweigh what comes after.
  sequence: Joi.number().integer().min(0).max(1_000_000).required(),
  writtenAt: Joi.string().isoDate().required(),
});
