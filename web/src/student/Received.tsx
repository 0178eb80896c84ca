import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { Sitting } from '@hurrow/contract/sitting';
import { useSyncExternalStore } from 'react';
import type { Outbox } from './outbox.ts';
import { whereInWords } from './progress.ts';
import styles from './student.module.css';

/** “Station 3”, or what is said where its quiz is no longer open. */
const stationName = (stationId: string, sitting: Sitting): string => {
  const station = sitting.open.flatMap((quiz) => quiz.stations).find(({ id }) => id === stationId);
  return station ? t`Station ${station.position}` : t`An answer`;
};

/** What has reached the server; always in sight while something has not. */
export function Received({ outbox, sitting }: { outbox: Outbox; sitting: Sitting }) {
  const { waiting, stations, offline, problem, unkept, refused } = useSyncExternalStore(
    outbox.subscribe,
    outbox.snapshot,
  );
  if (waiting === 0 && refused.length === 0) return null;
  return (
    <footer className={styles['strip-note']} role="status">
      {waiting > 0 && (
        <span>
          <Trans>
            {offline ? t`No signal. ` : ''}
            {stations.written > waiting && `${whereInWords(stations)}. `}
            <Plural value={waiting} one="One answer waits" other="# answers wait" /> on this phone and will be
            sent by <Plural value={waiting} one="itself" other="themselves" />.{' '}
            {unkept
              ? t`This phone has no room to keep them: leave this page open until they are sent, or write them on paper.`
              : t`Nothing is lost.`}
            {problem ? ` ${problem}` : ''}
          </Trans>
        </span>
      )}
      {refused.map(({ item, message }) => (
        <span key={item.id}>
          {stationName(item.stationId, sitting)}: {message}
        </span>
      ))}
    </footer>
  );
}
