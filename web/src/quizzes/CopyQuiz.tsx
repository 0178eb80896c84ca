import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { call } from '../app/api.ts';
import { LinkButton } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { sessionQuery } from '../app/session.ts';
import { STALE, useSaving } from '../app/useSaving.ts';
import { copyOf } from './planned.ts';

/** Plans a quiz once more: its stations, each with another individual. */
export function CopyQuiz({ course, quiz }: { course: WholeCourse; quiz: Quiz }) {
  const today = useQuery(sessionQuery).data?.today;
  const mayChange = useMayChange();
  const { save, saving, problem } = useSaving();
  const go = useNavigate();
  if (!mayChange || !today || quiz.stations.length === 0) return null;
  const copy = () =>
    save(
      () =>
        call('POST /api/courses/{courseId}/quizzes', {
          params: { courseId: course.id },
          body: copyOf(quiz, course.quizzes, today),
        }),
      {
        done: ({ id }) => go(`/c/${course.id}/quizzes/${id}/plan`),
        stale: [STALE.course(course.id)],
      },
    );
  return (
    <>
      {' · '}
      <LinkButton disabled={saving} onClick={() => void copy()}>
        <Trans>Copy it with other specimens</Trans>
      </LinkButton>
      {problem && <span role="alert"> {problem}</span>}
    </>
  );
}
