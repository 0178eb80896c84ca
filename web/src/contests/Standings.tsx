import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ContestNow } from '@hurrow/contract/contests';
import { countedInWords, divisionTitle, placeInWords, scoreInWords } from './contest.ts';
import ui from '../app/parts.module.css';
import styles from './contests.module.css';

/** Rankings by division: people, then teams where there are some. */
export function Standings({ now: { contest, standings, outOf } }: { now: ContestNow }) {
  return standings.map((division) => {
    const title = divisionTitle(division, standings.length);
    return (
      <section key={division.division} className={styles['division']}>
        <h3>{title}</h3>
        <table className={ui['plain-table']} aria-label={t`People, ${title}`}>
          <thead>
            <tr>
              <th scope="col">
                <Trans>Place</Trans>
              </th>
              <th scope="col">
                <Trans>Name</Trans>
              </th>
              <th scope="col">
                <Trans>Team</Trans>
              </th>
              <th scope="col" className={ui['num']}>
                <Trans>Points</Trans>
              </th>
            </tr>
          </thead>
          <tbody>
            {division.entrants.map((row) => (
              <tr key={row.id}>
                <td>{placeInWords(row)}</td>
                <th scope="row">{row.name}</th>
                <td>{row.team}</td>
                <td className={ui['num']}>{scoreInWords(row.points, outOf)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {division.teams.length > 0 && (
          <table className={ui['plain-table']} aria-label={t`Teams, ${title}`}>
            <thead>
              <tr>
                <th scope="col">
                  <Trans>Place</Trans>
                </th>
                <th scope="col">
                  <Trans>Team</Trans>
                </th>
                <th scope="col">
                  <Trans>Whose points count</Trans>
                </th>
                <th scope="col" className={ui['num']}>
                  <Trans>Points</Trans>
                </th>
              </tr>
            </thead>
            <tbody>
              {division.teams.map((row) => (
                <tr key={row.id}>
                  <td>{placeInWords(row)}</td>
                  <th scope="row">{row.name}</th>
                  <td>{countedInWords(row.counted, contest?.best ?? 0)}</td>
                  <td className={ui['num']}>{scoreInWords(row.points, outOf * (contest?.best ?? 0))}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
    );
  });
}
