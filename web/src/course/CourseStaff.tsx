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
  ['no', 'is not in it'],
  ['leads', 'leads it: list, lessons, quizzes and marks'],
  ['helps', 'helps: looks at everything, enters papers, renews codes'],
];

/** Who teaches a course. With nobody named it is everyone's who teaches here. */
export function CourseStaff({ courseId }: { courseId: string }) {
  const key = ['course staff', courseId];
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
          void message.success('Who teaches the course is saved.');
        },
        stale: [key, STALE.courses, STALE.course(courseId)],
      },
    );
  return (
    <section className={styles['staff']}>
      <h2>Who teaches it</h2>
      <p className="quiet">{staffSaid(teachers)}</p>
      <table className={ui['plain-table']} aria-label="Who teaches the course">
        <tbody>
          {teachers.map((teacher) => (
            <tr key={teacher.accountId}>
              <th scope="row">{teacher.name}</th>
              <td>
                {teacher.role === 'owner' ? (
                  'owner of this Hurrow: sees every course'
                ) : (
                  <select
                    className={field['field']}
                    aria-label={`What ${teacher.name} does here`}
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
        Save who teaches it
      </Button>
    </section>
  );
}
