import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { call } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { sessionQuery } from '../app/session.ts';
import { useSaving } from '../app/useSaving.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useKept } from '../drafts/useKept.ts';
import { EntryForm } from './EntryForm.tsx';
import { blankEntry, isBlank } from './noted.ts';
import { notebookKey } from './notebookKey.ts';
import styles from './reading.module.css';
import { newId } from '../app/newId.ts';

/** Types in what a student wrote on paper; the next one begins at the same tree. */
export function OnPaper({ course, onDone }: { course: WholeCourse; onDone(): void }) {
  const { vocabulary } = useLibrary();
  const today = useQuery(sessionQuery).data?.today ?? '';
  const kept = useKept(`notebook/${course.id}`, 'An entry from paper', {
    studentId: '',
    ...blankEntry(today),
  });
  const [id, setId] = useState(() => newId());
  const { save, saving, problem } = useSaving();
  const { studentId, ...body } = kept.value;
  const keep = () =>
    save(
      () =>
        call('PUT /api/courses/{courseId}/notebook/{entryId}', {
          params: { courseId: course.id, entryId: id },
          body: { ...body, tag: body.tag.trim(), studentId },
        }),
      { stale: [notebookKey(course.id)] },
    );
  const next = async () => {
    if (!(await keep())) return;
    kept.replace({ ...blankEntry(body.day), studentId: '', tag: body.tag, organ: body.organ });
    setId(newId());
  };
  const last = async () => {
    if (!(await keep())) return;
    kept.forget();
    onDone();
  };
  const ready = studentId !== '' && !isBlank(body);
  return (
    <section aria-label={t`An entry from paper`}>
      <BroughtBack at={kept.broughtBack} onGiveUp={kept.forget} />
      <p className={styles['teach']}>
        <Trans>Written by</Trans>{' '}
        <Select
          showSearch
          aria-label={t`Student`}
          placeholder={t`a student`}
          optionFilterProp="label"
          value={studentId || undefined}
          onChange={(chosen: string) => kept.set({ ...kept.value, studentId: chosen })}
          options={course.students
            .filter(({ nameless }) => !nameless)
            .map((student) => ({ value: student.id, label: student.name }))}
        />
      </p>
      <EntryForm
        body={body}
        audience={course.audience}
        vocabulary={vocabulary}
        onBody={(changed) => kept.set({ ...changed, studentId })}
      />
      {problem && <p role="alert">{problem}</p>}
      <p className={styles['does']}>
        <Button type="primary" loading={saving} disabled={!ready} onClick={() => void last()}>
          <Trans>Keep it</Trans>
        </Button>
        <Button loading={saving} disabled={!ready} onClick={() => void next()}>
          <Trans>Keep it, and the next of this tree</Trans>
        </Button>
        <Button onClick={onDone}>
          <Trans>Back to the notebooks</Trans>
        </Button>
      </p>
    </section>
  );
}
