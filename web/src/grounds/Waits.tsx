import { Trans } from '@lingui/react/macro';
import { LinkButton } from '../app/parts.tsx';
import { waitingInWords } from './pending.ts';
import type { useField } from './useField.ts';
import styles from './field.module.css';

/** What waits on this phone, in plain words; what was refused says why. */
export function Waits({ field }: { field: ReturnType<typeof useField> }) {
  const { waiting, offline, signedOut, unkept, drop } = field;
  const refused = waiting.filter(({ problem }) => problem);
  const under = waiting.length - refused.length;
  return (
    <div className={styles['waits']} data-waiting={under > 0} role="status">
      {waitingInWords(under, offline, signedOut)}
      {unkept && (
        <b>
          {' '}
          <Trans>This browser keeps nothing: do not close the page before all has arrived.</Trans>
        </b>
      )}
      {refused.map(({ noted, problem }) => (
        <p key={noted.id}>
          <Trans>Not taken: {problem}</Trans>{' '}
          <LinkButton onClick={() => drop(noted.id)}>
            <Trans>Give it up</Trans>
          </LinkButton>
        </p>
      ))}
    </div>
  );
}
