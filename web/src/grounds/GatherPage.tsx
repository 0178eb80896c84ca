import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link, useParams } from 'react-router';
import { Opening, Problem } from '../app/parts.tsx';
import { gatheredInWords } from './gathering.ts';
import { GatherRows } from './GatherRows.tsx';
import { Waits } from './Waits.tsx';
import { useGathering } from './useGathering.ts';
import styles from './field.module.css';

/** A collecting list on a phone, also without a signal. */
export default function GatherPage() {
  const { courseId = '', listId = '' } = useParams();
  const gathering = useGathering(courseId, listId);
  const { list, lines, whole, problem, field } = gathering;
  if (problem) return <Problem>{problem}</Problem>;
  if (!list || !lines || !whole) return <Opening />;
  return (
    <main className={styles['phone']}>
      <header className={styles['bar']}>
        <Link to={`/c/${courseId}/grounds/collecting/${listId}`} aria-label={t`Back to the desk`}>
          ‹
        </Link>
        <h1>{list.name}</h1>
        <span>{list.day}</span>
      </header>
      <p className={styles['status']} role="status">
        {gatheredInWords(lines)}
      </p>
      <Waits field={field} />
      <GatherRows gathering={gathering} />
      <Link className={styles['wide']} to={`/field/${courseId}/${whole.id}`}>
        <Trans>Trees near you, to measure and note</Trans>
      </Link>
    </main>
  );
}
