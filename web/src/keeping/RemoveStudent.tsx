import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { call } from '../app/api.ts';
import { TypedName } from './TypedName.tsx';
import styles from './keeping.module.css';

const WAYS = [
  {
    how: 'name',
    words: t`Take the name away`,
    then: t`The answers and marks stay as those of a “Former student”, so that what the class confuses stays true. Nobody signs in with the code any more.`,
  },
  {
    how: 'wholly',
    words: t`Remove with every answer`,
    then: t`Answers, marks and rulings on them are deleted, from the journal too. The class’s confusions are worked out without them. Backups that were made before still hold them, until those are gone.`,
  },
] as const;

/** Removes a student who has answered: by name, or wholly. */
export function RemoveStudent({
  courseId,
  student,
  onDone,
  onLeave,
}: {
  courseId: string;
  student: { id: string; name: string };
  onDone(): Promise<void>;
  onLeave(): void;
}) {
  const [how, setHow] = useState<(typeof WAYS)[number]['how']>('name');
  const way = WAYS.find((held) => held.how === how)!;
  return (
    <div className={styles['remove']}>
      <p>
        <Trans>
          {student.name} has answered quizzes.{' '}
          <a href={`/api/courses/${courseId}/students/${student.id}/everything`} download>
            Everything that is stored of {student.name}
          </a>{' '}
          can be handed out first.
        </Trans>
      </p>
      <fieldset>
        <legend className="quiet">
          <Trans>How</Trans>
        </legend>
        {WAYS.map((held) => (
          <label key={held.how}>
            <input type="radio" checked={how === held.how} onChange={() => setHow(held.how)} /> {held.words}
          </label>
        ))}
      </fieldset>
      <p>
        <Trans>{way.then} This can not be taken back.</Trans>
      </p>
      <TypedName
        name={student.name}
        does={way.words}
        onLeave={onLeave}
        onDo={async (sure) => {
          await call('POST /api/courses/{courseId}/students/{studentId}/remove', {
            params: { courseId, studentId: student.id },
            body: { how, sure },
          });
          await onDone();
        }}
      />
    </div>
  );
}
