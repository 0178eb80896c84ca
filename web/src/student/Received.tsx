import type { Sitting } from '@hurrow/contract/sitting';
import { useSyncExternalStore } from 'react';
import type { Outbox } from './outbox.ts';
import { whereInWords } from './progress.ts';
import styles from './student.module.css';

/** “Station 3”, or what is said where its quiz is no longer open. */
const stationName = (stationId: string, sitting: Sitting): string => {
  const station = sitting.open.flatMap((quiz) => quiz.stations).find(({ id }) => id === stationId);
  return station ? `Station ${station.position}` : 'An answer';
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
          {offline ? 'No signal. ' : ''}
          {stations.written > waiting && `${whereInWords(stations)}. `}
          {waiting === 1 ? 'One answer waits' : `${waiting} answers wait`} on this phone and will be sent by{' '}
          {waiting === 1 ? 'itself' : 'themselves'}.{' '}
          {unkept
            ? 'This phone has no room to keep them: leave this page open until they are sent, or write them on paper.'
            : 'Nothing is lost.'}
          {problem ? ` ${problem}` : ''}
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
