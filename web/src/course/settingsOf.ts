import type { Course, CourseBody } from '@hurrow/contract/courses';

/** The settings of a course as they are sent to be changed: none of what it only says of itself. */
export const settingsOf = ({
  name,
  startsOn,
  weeks,
  audience,
  units,
  marking,
  latitude,
  longitude,
  elevation,
  startsWith,
  opens,
  closedWeeks,
  seesSlips,
}: Course): Required<CourseBody> => ({
  name,
  startsOn,
  weeks,
  audience,
  units,
  marking,
  latitude,
  longitude,
  elevation,
  startsWith,
  opens,
  closedWeeks,
  seesSlips,
});
