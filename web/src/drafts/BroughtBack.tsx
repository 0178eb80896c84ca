import styles from './drafts.module.css';

/** Says that a form stands on a draft that was kept, and lets it be given up. */
export function BroughtBack({ at, onGiveUp }: { at: string | undefined; onGiveUp(): void }) {
  if (!at) return null;
  return (
    <p className={styles['broughtBack']} role="status">
      Your changes of {new Date(at).toLocaleString('en-US', { dateStyle: 'medium', timeStyle: 'short' })} were
      not saved; here they are again.{' '}
      <button type="button" className={styles['link']} onClick={onGiveUp}>
        Give them up
      </button>
    </p>
  );
}
