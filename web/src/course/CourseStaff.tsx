import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { CourseTeacher } from '@hurrow/contract/courseStaff';
import { App, Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { call } from '../app/api.ts';
import { Problem } from '../app/parts.tsx';
import { STALE, useSaving } from '../app/useSaving.ts';
import field from '../app/field.module.css';
import ui from '../app/parts.module.css';
import styles from './settings.module.css';
import { hereOf, namedOf, staffSaid, withHere, type Here } from './staff.ts';

const CHOICES: [Here, string][] = [
  ['no', t`is not in it`],
  ['leads', t`leads it: list, lessons, quizzes and marks`],
  ['helps', t`helps: looks at everything, enters papers, renews codes`],
];

/** Who teaches a course. With nobody named it is everyone's who teaches here. */
export function CourseStaff({ courseId }: { courseId: string }) {
  const key = [t`course staff`, courseId];
  const held = useQuery({
    queryKey: key,
    queryFn: () => call('GET /api/courses/{courseId}/staff', { params: { courseId } }),
  });
  const { message } = App.useApp();
  const { save, saving, problem } = useSaving();
  const [changed, change] = useState<CourseTeacher[]>();
  const teachers = changed ?? held.data;
  if (!teachers) return null;
  const saveAll = () =>
    save(
      () =>
        call('PUT /api/courses/{courseId}/staff', {
          params: { courseId },
          body: { named: namedOf(teachers) },
        }),
      {
        done: () => {
          change(undefined);
          void message.success(t`Who teaches the course is saved.`);
        },
        stale: [key, STALE.courses, STALE.course(courseId)],
      },
    );
  return (
    <section className={styles['staff']}>
      <h2>
        <Trans>Who teaches it</Trans>
      </h2>
      <p className="quiet">{staffSaid(teachers)}</p>
      <table className={ui['plain-table']} aria-label={t`Who teaches the course`}>
        <tbody>
          {teachers.map((teacher) => (
            <tr key={teacher.accountId}>
              <th scope="row">{teacher.name}</th>
              <td>
                {teacher.role === 'owner' ? (
                  t`owner of this Hurrow: sees every course`
                ) : (
                  <select
                    className={field['field']}
                    aria-label={t`What ${teacher.name} does here`}
                    value={hereOf(teacher)}
                    onChange={(event) =>
                      change(withHere(teachers, teacher.accountId, event.target.value as Here))
                    }
                  >
                    {CHOICES.map(([id, title]) => (
                      <option key={id} value={id}>
                        {title}
                      </option>
                    ))}
                  </select>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {problem && <Problem>{problem}</Problem>}
      <Button loading={saving} disabled={changed === undefined} onClick={() => void saveAll()}>
        <Trans>Save who teaches it</Trans>
      </Button>
    </section>
  );
}
