import { plural, t } from '@lingui/core/macro';
import type { StudentLearning } from '@hurrow/contract/learning';
import type { OfStudent, OwnRecord } from '@hurrow/core/finding';

/** A student's answers as what is said of them is worked out. */
export function recordOf({ answers, quizzes, ...rest }: StudentLearning): OwnRecord {
  const heldOn = new Map(quizzes.map((quiz) => [quiz.id, quiz.heldOn]));
  return {
    ...rest,
    answers: answers.map(({ quizId, truth, named }) => ({
      quizId,
      heldOn: heldOn.get(quizId) ?? '',
      truth,
      named,
    })),
  };
}

/**
 * How a student stands against the class, in a sentence.
 *
 * @example
 * standingSaid('with', 45); // '45 answers, about as many right as in the class.'
 */
export function standingSaid(standing: OfStudent['standing'], answers: number): string {
  if (answers === 0) return t`No answers yet.`;
  const many = `${plural(answers, { one: '# answer', other: '# answers' })}`;
  switch (standing) {
    case 'too few':
      return t`${many}: too few to hold against the class.`;
    case 'with':
      return t`${many}, about as many right as in the class.`;
    case 'above':
      return t`${many}, more of them right than chance gives a student like the class.`;
    case 'below':
      return t`${many}, fewer of them right than chance leaves a student like the class.`;
  }
}
