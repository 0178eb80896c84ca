import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { messageOf } from '../app/api.ts';
import styles from './working.module.css';
import { LinkButton } from '../app/parts.tsx';

/** What a long computation shows while it runs: how far it is, and a way to stop it. */
export function Working({
  work,
  what,
}: {
  work: { working: boolean; share: number; error: unknown; result: unknown; stop(): void; again(): void };
  what: string;
}) {
  if (work.working)
    return (
      <p className={styles['working']} role="status">
        <progress value={work.share} max={1} aria-label={what} /> {what}{' '}
        <LinkButton onClick={work.stop}>
          <Trans>Stop</Trans>
        </LinkButton>
      </p>
    );
  if (work.result !== undefined) return null;
  return (
    <p className={styles['working']} role="status">
      {work.error ? messageOf(work.error) : t`Stopped.`}{' '}
      <LinkButton onClick={work.again}>
        <Trans>Work it out</Trans>
      </LinkButton>
    </p>
  );
}
