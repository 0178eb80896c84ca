import { Trans } from '@lingui/react/macro';
import { useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import { useDrafts } from './DraftsProvider.tsx';
import styles from './drafts.module.css';
import { writtenAs } from '../language/inWords.ts';

/** What is typed and not saved, wherever it was left, with the way back to it. */
export function DraftList() {
  const drafts = useDrafts();
  const list = useSyncExternalStore(drafts.subscribe, drafts.list);
  if (list.length === 0) return null;
  return (
    <details className={styles['list']} name="drafts">
      <summary>
        <Trans>Drafts {list.length}</Trans>
      </summary>
      <ul>
        {list.map(({ key, title, where, at }) => (
          <li key={key}>
            <Link
              to={where}
              onClick={(event) => event.currentTarget.closest('details')?.removeAttribute('open')}
            >
              {title}
            </Link>{' '}
            <span className="quiet">
              {new Date(at).toLocaleDateString(writtenAs('en-US'), { day: 'numeric', month: 'short' })}
            </span>
            <button type="button" className={styles['link']} onClick={() => drafts.dropEverywhere(key)}>
              <Trans>Give up</Trans>
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
