import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { messageOf } from '../app/api.ts';
import { historyQuery } from './historyData.ts';
import { byDay } from './keeping.ts';
import styles from './keeping.module.css';
import { Opening, Problem } from '../app/parts.tsx';
import { writtenAs } from '../language/inWords.ts';
import { saidAgain } from '../language/ofServer.ts';

const day = (iso: string) =>
  new Date(`${iso}T12:00:00Z`).toLocaleDateString(writtenAs('en-GB'), {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    year: 'numeric',
  });
const time = (iso: string) =>
  new Date(iso).toLocaleTimeString(writtenAs('en-GB'), { hour: '2-digit', minute: '2-digit' });

/** Who changed what in a course: quizzes, marks, the class list and settings. */
export function History({ courseId }: { courseId: string }) {
  const lines = useQuery(historyQuery(courseId));
  if (lines.isPending)
    return (
      <Opening>
        <Trans>Looking up what was changed…</Trans>
      </Opening>
    );
  if (!lines.data) return <Problem>{messageOf(lines.error)}</Problem>;
  if (lines.data.length === 0)
    return (
      <p className="quiet">
        <Trans>
          Nothing yet. Openings and closings of quizzes, rulings on marks, and changes of the class list and
          the settings will stand here with who made them.
        </Trans>
      </p>
    );
  return (
    <div className={styles['history']}>
      {byDay(lines.data).map((group) => (
        <section key={group.day}>
          <h2>{day(group.day)}</h2>
          <ul>
            {group.lines.map((line, i) => (
              <li key={i}>
                <span className="quiet">{time(line.at)}</span> <strong>{line.by ?? t`Hurrow`}</strong>{' '}
                {line.said ? saidAgain({ message: line.what, ...line.said }) : line.what}
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
