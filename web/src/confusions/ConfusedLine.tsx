import { Trans } from '@lingui/react/macro';
import { Link } from 'react-router';
import { commonName } from '@hurrow/core/taxon';
import { useLibrary } from '../app/data.ts';
import { useConfusions } from './useConfusions.ts';
import styles from './confusions.module.css';

/** On a profile: what this tree is taken for in the course, with the way to the answers behind it. */
export function ConfusedLine({ courseId, taxonId }: { courseId: string; taxonId: string }) {
  const { directed } = useConfusions(courseId);
  const { profileOf } = useLibrary();
  const worst = directed.find((pair) => pair.truth === taxonId && pair.count > 1);
  const other = worst && profileOf(worst.answer);
  if (!worst || !other) return null;
  return (
    <p className={styles['confused-line']}>
      <Trans>
        In this course it was called {commonName(other.taxon)} in{' '}
        <strong className="rust">
          {worst.count} of {worst.asked}
        </strong>{' '}
        answers. <Link to={`/c/${courseId}/confusions/${taxonId}/${worst.answer}`}>What settles it</Link>
      </Trans>
    </p>
  );
}
