import Joi from 'joi';
import type { MarkingPolicy } from '@hurrow/core/names';
import { NAMING_POLICIES } from '@hurrow/core/names';
import { TEACHING_STARTS, type TeachingStart } from '@hurrow/core/vocabulary';

/** What students of a course may open beside their quizzes. */
export const OPEN_TO_STUDENTS = ['profiles', 'contrasts', 'keys', 'recap'] as const;
export type OpenToStudents = (typeof OPEN_TO_STUDENTS)[number];

export interface CourseBody {
  name: string;
  startsOn: string;
  weeks: number;
  audience: 'technical' | 'plain';
  units: 'metric' | 'imperial';
  marking: MarkingPolicy;
  latitude: number;
  longitude: number;
  elevation: number;
  /** The organ that profiles begin with. */
  startsWith?: TeachingStart;
  opens?: OpenToStudents[];
}

const points = Joi.number().min(0).max(20).required();

export const isoDate = () =>
  Joi.string()
    .pattern(/^\d{4}-\d{2}-\d{2}$/)
    .custom((value: string, helpers) => {
      const date = new Date(`${value}T00:00:00Z`);
      const year = Number(value.slice(0, 4));
      const real = !Number.isNaN(date.getTime()) && date.toISOString().slice(0, 10) === value;
      return real && year >= 1900 && year <= 2200 ? value : helpers.error('string.pattern.base');
    })
    .messages({ 'string.pattern.base': '{{#label}} is no date; write it like 2026-10-15' });

export const courseSchema = Joi.object<CourseBody>({
  name: Joi.string().trim().max(120).required().label('Name of the course'),
  startsOn: isoDate().required().label('First day'),
  weeks: Joi.number().integer().min(1).max(60).required().label('Weeks'),
  audience: Joi.string().valid('technical', 'plain').required().label('Audience'),
  units: Joi.string().valid('metric', 'imperial').required().label('Units'),
  marking: Joi.object({
    policy: Joi.string()
      .valid(...NAMING_POLICIES)
      .required(),
    points: Joi.object({ name: points, genus: points, epithet: points, family: points }).required(),
    deduction: Joi.number().min(0).max(20).required(),
  })
    .required()
    .label('Marking'),
  latitude: Joi.number().min(-90).max(90).required().label('Latitude'),
  longitude: Joi.number().min(-180).max(180).required().label('Longitude'),
  elevation: Joi.number().min(-450).max(6000).required().label('Elevation'),
  startsWith: Joi.string()
    .valid(...TEACHING_STARTS)
    .default('leaf'),
  opens: Joi.array()
    .items(Joi.string().valid(...OPEN_TO_STUDENTS))
    .unique()
    .default([]),
});

export interface SetBody {
  title: string;
  week?: number | null;
  taxa: string[];
}

export const listSchema = Joi.object<{ sets: SetBody[] }>({
  sets: Joi.array()
    .items(
      Joi.object({
        title: Joi.string().trim().max(120).required().label('Title of the set'),
        week: Joi.number().integer().min(1).max(60).allow(null),
        taxa: Joi.array().items(Joi.string()).required(),
      }),
    )
    .required(),
});
