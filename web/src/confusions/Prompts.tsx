import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { PromptFinding } from '@hurrow/core/confusion';
import { IntervalBar } from './IntervalBar.tsx';
import { capital, type Names } from './useNames.ts';
import { effectSaid } from './prompts.ts';
import ui from '../app/parts.module.css';
import styles from './confusions.module.css';

/** What being told to look did: half of the students were, by lot. */
export function Prompts({
  prompts,
  pooled,
  names,
}: {
  prompts: readonly PromptFinding[];
  /** Earlier classes count with this one. */
  pooled: boolean;
  names: Names;
}) {
  if (prompts.length === 0) return null;
  return (
    <section aria-label={t`When told to look first`}>
      <h2>
        <Trans>When told to look first</Trans>
      </h2>
      <p className="quiet">
        <Trans>
          Half of the students, drawn by lot, were told to look at it. The difference of right answers is what
          looking is worth at these stations; the bar is its 90 % interval.
          {pooled && t` Earlier classes with nearly the same list, told the same, are counted in.`} What it
          would have prevented rests on this as well.
        </Trans>
      </p>
      <table className={`${ui['plain-table']} ${styles['characters']}`}>
        <thead>
          <tr>
            <th>
              <Trans>Character</Trans>
            </th>
            <th colSpan={2}>
              <Trans>Right answers more</Trans>
            </th>
            <th>
              <Trans>Told</Trans>
            </th>
            <th>
              <Trans>Not told</Trans>
            </th>
          </tr>
        </thead>
        <tbody>
          {prompts.map((found) => (
            <tr key={found.characterId}>
              <td>{capital(names.character(found.characterId))}</td>
              <td>
                <IntervalBar
                  value={found.effect}
                  interval={found.interval}
                  from={-0.5}
                  to={0.5}
                  mark={0}
                  tone="action"
                  label={effectSaid(found)}
                />
              </td>
              <td>{effectSaid(found)}</td>
              <td>
                <Trans>
                  {found.told.right} of {found.told.answers}
                </Trans>
              </td>
              <td>
                <Trans>
                  {found.others.right} of {found.others.answers}{' '}
                  <span className="quiet">
                    at <Plural value={found.stations} one="# station" other="# stations" />
                  </span>
                </Trans>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
