import { useState } from 'react';
import type { LearningTable } from '@hurrow/contract/learning';
import ui from '../app/parts.module.css';
import styles from './learning.module.css';

const WHAT: Record<LearningTable, string> = {
  responses: 'every answer with its mark',
  pairs: 'what was taken for what',
  findings: 'characters, species and names',
  reteaching: 'what became of what was taught again',
  practice: 'practice, student by student',
  dictionary: 'what each column means',
};

/** What can be handed to a colleague or coordinator. */
export function Report({ courseId }: { courseId: string }) {
  const [codes, setCodes] = useState(true);
  const at = `/api/courses/${courseId}/report`;
  return (
    <>
      <h1>For a colleague</h1>
      <p>
        Two pages on what was taught, what is confused, which characters are overlooked, what helped and how
        sure it is. No student is named in it. Where the findings are not worked out yet, it takes some
        seconds.
      </p>
      <p className={styles['doors']}>
        <a href={`${at}.pdf?paper=a4`}>Report, A4</a>
        <a href={`${at}.pdf?paper=letter`}>Report, US Letter</a>
      </p>
      <h2>The figures as tables</h2>
      <p>
        <label>
          <input type="checkbox" checked={codes} onChange={(event) => setCodes(event.target.checked)} /> Codes
          instead of the students’ names. What students wrote stands as they wrote it.
        </label>
      </p>
      <table className={ui['plain-table']}>
        <tbody>
          {(Object.keys(WHAT) as LearningTable[]).map((table) => (
            <tr key={table}>
              <td>
                <a href={`${at}/${table}.csv?codes=${codes}`}>{table}.csv</a>
              </td>
              <td>{WHAT[table]}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
