import { courseSchema, type WholeCourse } from '@hurrow/contract/courses';
import { settingsOf } from './settingsOf.ts';

const course: WholeCourse = {
  id: 'c1',
  code: 'WOODY',
  role: 'instructor',
  name: 'Woody plants',
  startsOn: '2026-08-31',
  weeks: 14,
  audience: 'technical',
  units: 'metric',
  marking: { policy: 'binomial', points: { name: 2, genus: 1, epithet: 1, family: 1 }, deduction: 0.25 },
  latitude: 47,
  longitude: -116,
  elevation: 800,
  startsWith: 'leaf',
  opens: ['lessons'],
  closedWeeks: [5],
  seesSlips: false,
  asksInPractice: true,
  namesIn: null,
  sets: [],
  students: [],
  quizzes: [],
};

test('what is sent of a course to change a week of it is what may be changed, all of it and nothing else', () => {
  const { error, value } = courseSchema.validate({ ...settingsOf(course), closedWeeks: [5, 6] });
  expect(error).toBeUndefined();
  expect(value).toMatchObject({ name: 'Woody plants', closedWeeks: [5, 6], opens: ['lessons'] });
  expect(Object.keys(settingsOf(course)).sort()).toEqual(
    Object.keys(courseSchema.describe().keys as object).sort(),
  );
});
