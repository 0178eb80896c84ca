import ical from 'ical-generator';
import type { Course, CourseSet } from '@hurrow/contract/courses';
import type { QuizSummary } from '@hurrow/contract/quizzes';

const DAY = 24 * 60 * 60 * 1000;

/** The sets and quizzes of a course as iCalendar (RFC 5545): each a whole day, a set on the first day of its week. */
export function calendarOf(
  course: Course,
  sets: readonly CourseSet[],
  quizzes: readonly QuizSummary[],
): string {
  const calendar = ical({
    name: course.name,
    prodId: { company: 'Hurrow', product: 'Hurrow', language: 'EN' },
  });
  const first = Date.parse(`${course.startsOn}T00:00:00Z`);
  for (const set of sets)
    if (set.week !== null)
      calendar.createEvent({
        id: `set-${set.id}@hurrow`,
        start: new Date(first + (set.week - 1) * 7 * DAY),
        allDay: true,
        summary: `${set.title} (week ${set.week})`,
        description: `${set.taxa.length} species`,
        stamp: new Date(first),
        timezone: 'UTC',
      });
  for (const quiz of quizzes)
    calendar.createEvent({
      id: `quiz-${quiz.id}@hurrow`,
      start: new Date(`${quiz.heldOn}T00:00:00Z`),
      allDay: true,
      summary: quiz.title,
      description: `${quiz.stations} stations`,
      stamp: new Date(first),
      timezone: 'UTC',
    });
  return calendar.toString();
}
