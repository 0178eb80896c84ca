import type { Student } from '@hurrow/contract/courses';
import { NEEDS, type Need } from '@hurrow/core/station';

/**
 * What is done otherwise in a class, each once and of nobody by name.
 *
 * @example
 * needsOf([{ needs: ['spelling'] }, { needs: ['noSmell', 'spelling'] }]); // ['noSmell', 'spelling']
 */
export const needsOf = (students: readonly Pick<Student, 'needs'>[]): Need[] =>
  NEEDS.filter((need) => students.some(({ needs }) => needs.includes(need)));

/** The needs of a student after one was ticked or unticked, in their usual order. */
export const withNeed = (needs: readonly Need[], need: Need): Need[] =>
  NEEDS.filter((each) => (each === need ? !needs.includes(need) : needs.includes(each)));
