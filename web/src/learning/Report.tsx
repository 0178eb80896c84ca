import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import type { LearningTable } from '@hurrow/contract/learning';
import ui from '../app/parts.module.css';
import styles from './learning.module.css';

const WHAT: Record<LearningTable, string> = {
  responses: t`every answer with its mark`,
  pairs: t`what was taken for what`,
  findings: t`characters, species and names`,
  reteaching: t`what became of what was taught again`,
  practice: t`practice, student by student`,
  dictionary: t`what each column means`,
};

/** What can be handed to a colleague or coordinator. */
export function Report({ courseId }: { courseId: string }) {
  const [codes, setCodes] = useState(true);
  const at = `/api/courses/${courseId}/report`;
  return (
    <>
      <h1>
        <Trans>For a colleague</Trans>
      </h1>
      <p>
        <Trans>
          Two pages on what was taught, what is confused, which characters are overlooked, what helped and how
          sure it is. No student is named in it. Where the findings are not worked out yet, it takes some
          seconds.
        </Trans>
      </p>
      <p className={styles['doors']}>
        <a href={`${at}.pdf?paper=a4`}>
          <Trans>Report, A4</Trans>
        </a>
        <a href={`${at}.pdf?paper=letter`}>
          <Trans>Report, US Letter</Trans>
        </a>
      </p>
      <h2>
        <Trans>The figures as tables</Trans>
      </h2>
      <p>
        <label>
          <input type="checkbox" checked={codes} onChange={(event) => setCodes(event.target.checked)} />{' '}
          <Trans>Codes instead of the students’ names. What students wrote stands as they wrote it.</Trans>
        </label>
      </p>
      <table className={ui['plain-table']}>
        <tbody>
          {(Object.keys(WHAT) as LearningTable[]).map((table) => (
            <tr key={table}>
              <td>
                <a href={`${at}/${table}.csv?codes=${codes}`}>
                  <Trans>{table}.csv</Trans>
                </a>
              </td>
              <td>{WHAT[table]}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
