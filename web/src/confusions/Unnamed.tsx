import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { ConfusionData } from '@hurrow/contract/confusions';
import { answerId } from '@hurrow/core/confusion';
import type { Names } from './useNames.ts';
import styles from './confusions.module.css';

/** Wrong answers that name no tree of the list: blanks, other trees, a genus alone, names nobody can read. */
export function Unnamed({ data, names }: { data: ConfusionData; names: Names }) {
  const stations = new Map(
    data.stations
      .filter(({ voided, leftOut }) => !voided && !leftOut)
      .map((station) => [station.id, station]),
  );
  const found = data.answers.filter((answer) => answer.named === null && stations.has(answer.stationId));
  if (found.length === 0) return null;
  return (
    <details className={styles['unnamed']}>
      <summary>
        <Trans>
          <Plural value={found.length} one="# answer" other="# answers" /> without a tree of the list
        </Trans>
      </summary>
      <ul>
        {found.map((answer) => {
          const station = stations.get(answer.stationId)!;
          return (
            <li key={answerId(answer)}>
              <Trans>
                {answer.student} {answer.written ? t`wrote “${answer.written}”` : t`left blank`} for{' '}
                {names.taxon(station.truth)}, station {station.position}
                {answer.how === 'genus'
                  ? t` (a genus alone)`
                  : answer.how === 'ambiguous'
                    ? t` (more than one tree bears this name)`
                    : ''}
              </Trans>
            </li>
          );
        })}
      </ul>
    </details>
  );
}
