import { Trans } from '@lingui/react/macro';
import styles from './drafts.module.css';
import { writtenAs } from '../language/inWords.ts';

/** Says that a form stands on a draft that was kept, and lets it be given up. */
export function BroughtBack({ at, onGiveUp }: { at: string | undefined; onGiveUp(): void }) {
  if (!at) return null;
  return (
    <p className={styles['broughtBack']} role="status">
      <Trans>
        Your changes of{' '}
        {new Date(at).toLocaleString(writtenAs('en-US'), { dateStyle: 'medium', timeStyle: 'short' })} were
        not saved; here they are again.
      </Trans>{' '}
      <button type="button" className={styles['link']} onClick={onGiveUp}>
        <Trans>Give them up</Trans>
      </button>
    </p>
  );
}
