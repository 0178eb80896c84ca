import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Student } from '@hurrow/contract/courses';
import { namesBefore, withEntry, type ContestTyped } from './contest.ts';
import ui from '../app/parts.module.css';
import styles from './contests.module.css';

const PARTS = ['team', 'division'] as const;

/** Who competes for which team, in which division. */
export function Entries({
  students,
  typed,
  onType,
}: {
  students: readonly Student[];
  typed: ContestTyped;
  onType(change: (before: ContestTyped) => ContestTyped): void;
}) {
  if (students.length === 0)
    return (
      <p className="quiet">
        <Trans>Nobody is on the class list yet. Add who competes under Course, Students.</Trans>
      </p>
    );
  return (
    <details className={styles['entries']} open={Object.keys(typed.entries).length === 0}>
      <summary>
        <Trans>Teams and divisions</Trans>
      </summary>
      <table className={ui['plain-table']}>
        <thead>
          <tr>
            <th scope="col">
              <Trans>Student</Trans>
            </th>
            <th scope="col">
              <Trans>Team</Trans>
            </th>
            <th scope="col">
              <Trans>Division</Trans>
            </th>
          </tr>
        </thead>
        <tbody>
          {students.map(({ id, name }) => (
            <tr key={id}>
              <th scope="row">{name}</th>
              {PARTS.map((part) => (
                <td key={part}>
                  <input
                    className={ui['typed']}
                    aria-label={t`${part === 'team' ? t`Team` : t`Division`} of ${name}`}
                    list={`${part}-names`}
                    maxLength={80}
                    autoComplete="off"
                    value={typed.entries[id]?.[part] ?? ''}
                    onChange={(event) =>
                      onType((before) => withEntry(before, id, { [part]: event.target.value }))
                    }
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {PARTS.map((part) => (
        <datalist key={part} id={`${part}-names`}>
          {namesBefore(typed, part).map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      ))}
    </details>
  );
}
