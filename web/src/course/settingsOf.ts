import type { Course, CourseBody } from '@hurrow/contract/courses';

const SETTINGS = [
  'name',
  'startsOn',
  'weeks',
  'audience',
  'units',
  'marking',
  'latitude',
  'longitude',
  'elevation',
  'startsWith',
  'opens',
  'closedWeeks',
  'seesSlips',
  'asksInPractice',
  'namesIn',
] as const satisfies readonly (keyof CourseBody)[];

/** The settings of a course as they are sent to be changed: none of what it only says of itself. */
export const settingsOf = (course: Course): Pick<Course, (typeof SETTINGS)[number]> =>
  Object.fromEntries(SETTINGS.map((key) => [key, course[key]])) as ReturnType<typeof settingsOf>;
