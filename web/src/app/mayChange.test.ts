import { courseAt } from './mayChange.ts';

test('a page of a course works on the course, one of the library on what all share', () => {
  const at = (path: string) => courseAt(path);
  expect(at('/c/17/course/settings')).toBe('17');
  expect(at('/c/17/quizzes')).toBe('17');
  expect(at('/c/17/confusions/pairs')).toBe('17');
  expect(['/c/17/species/acer', '/c/17/grounds', '/c/-/course', '/c/17/courses', '/'].map(at)).toEqual(
    Array(5).fill(undefined),
  );
});
