import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Backup } from '@hurrow/contract/backups';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { call, messageOf } from '../app/api.ts';
import { momentInWords, sizeInWords, stateOfBackups, whatRestoringDoes } from './backups.ts';
import styles from './people.module.css';
import { Notice, Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import { STALE, useSaving } from '../app/useSaving.ts';

/** Backups of everything: made, looked into, taken away and restored by the owner. */
export function Backups() {
  const held = useQuery({
    queryKey: STALE.backups,
    queryFn: () => call('GET /api/backups'),
  });
  const { save, saving, problem } = useSaving();
  if (held.error) return <Problem>{messageOf(held.error)}</Problem>;
  if (!held.data) return null;
  const { backups, shelf, days } = held.data;
  if (shelf === null)
    return (
      <section className={styles['add']} aria-labelledby="backups">
        <h2 id="backups">
          <Trans>Backups</Trans>
        </h2>
        <p className={styles['says']}>
          <Trans>
            This Hurrow keeps its data on a PostgreSQL server, which is backed up by its own tools. Whoever
            looks after the server finds the commands in docs/server.md.
          </Trans>
        </p>
      </section>
    );
  const state = stateOfBackups(backups, new Date());
  return (
    <section className={styles['add']} aria-labelledby="backups">
      <h2 id="backups">
        <Trans>Backups</Trans>
      </h2>
      <p className={state.calm ? 'quiet' : ui['notice']}>{state.words}</p>
      <Button
        type={state.calm ? 'default' : 'primary'}
        loading={saving}
        onClick={() => void save(() => call('POST /api/backups'), { stale: [STALE.backups] })}
      >
        {saving ? t`Making and checking it…` : t`Back up now`}
      </Button>
      {problem && <Problem>{problem}</Problem>}
      {backups.length > 0 && (
        <table className={styles['people']}>
          <thead>
            <tr>
              <th scope="col">
                <Trans>Made</Trans>
              </th>
              <th scope="col">
                <Trans>Holds</Trans>
              </th>
              <th scope="col">
                <Trans>Size</Trans>
              </th>
              <td />
            </tr>
          </thead>
          <tbody>
            {backups.map((backup) => (
              <BackupRow key={backup.name} backup={backup} />
            ))}
          </tbody>
        </table>
      )}
      <p className="quiet">
        <Trans>
          Each is opened and counted before it counts as made, and kept for {days} days, in {shelf}. A backup
          from another machine that is put there appears here. Keep one on another disk, too: the files hold
          names and marks of people.
        </Trans>
      </p>
    </section>
  );
}

/** What a backup holds, as “42 species, 2 courses with 36 students, 1,352 answers, 2 photographs”. */
const heldInWords = ({ species, courses, students, answers, photographs }: Backup['holds']): string =>
  [
    plural(species, { one: '# species', other: '# species' }),
    t`${plural(courses, { one: '# course', other: '# courses' })} with ${plural(students, { one: '# student', other: '# students' })}`,
    plural(answers, { one: '# answer', other: '# answers' }),
    plural(photographs, { one: '# photograph', other: '# photographs' }),
  ].join(', ');

function BackupRow({ backup }: { backup: Backup }) {
  const [asked, setAsked] = useState(false);
  const { name, made, library, holds, bytes, courses } = backup;
  return (
    <>
      <tr>
        <th scope="row">{momentInWords(made)}</th>
        <td>
          {library}: {heldInWords(holds)}
        </td>
        <td>{sizeInWords(bytes)}</td>
        <td>
          <a href={`/api/backups/${name}/file`} download>
            <Trans>Save elsewhere</Trans>
          </a>{' '}
          <Button size="small" onClick={() => setAsked(!asked)} aria-expanded={asked}>
            <Trans>Restore…</Trans>
          </Button>
        </td>
      </tr>
      {asked && (
        <tr>
          <td colSpan={4}>
            {courses.length > 0 && (
              <ul>
                {courses.map((course) => (
                  <li key={course.name}>
                    {course.name}: {plural(course.students, { one: '# student', other: '# students' })},{' '}
                    {plural(course.quizzes, { one: '# quiz', other: '# quizzes' })},{' '}
                    {plural(course.answers, { one: '# answer', other: '# answers' })}
                  </li>
                ))}
              </ul>
            )}
            <Restoring backup={backup} leave={() => setAsked(false)} />
          </td>
        </tr>
      )}
    </>
  );
}

function Restoring({ backup, leave }: { backup: Backup; leave(): void }) {
  const { name } = backup;
  const { save, saving, problem } = useSaving();
  const [restored, setRestored] = useState<{ back: number }>();
  const restore = () =>
    save(() => call('POST /api/backups/{name}/restore', { params: { name }, body: { sure: name } }), {
      done: setRestored,
    });
  if (restored)
    return (
      <Notice>
        <Trans>
          Restored.{' '}
          {restored.back > 0 &&
            t`${plural(restored.back, { one: '# answer', other: '# answers' })} that came later are back. `}
          <a href="/">Sign in again</a>
        </Trans>
      </Notice>
    );
  return (
    <>
      <p>{whatRestoringDoes(backup)}</p>
      <Button danger loading={saving} onClick={() => void restore()}>
        <Trans>Restore this backup</Trans>
      </Button>{' '}
      <Button onClick={leave} disabled={saving}>
        <Trans>Leave all as it is</Trans>
      </Button>
      {problem && <Problem>{problem}</Problem>}
    </>
  );
}
