import type { PromptFinding } from '@hurrow/core/confusion';
import { IntervalBar } from './IntervalBar.tsx';
import { capital, counted, type Names } from './useNames.ts';
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
    <section aria-label="When told to look first">
      <h2>When told to look first</h2>
      <p className="quiet">
        Half of the students, drawn by lot, were told to look at it. The difference of right answers is what
        looking is worth at these stations; the bar is its 90 % interval.
        {pooled && ' Earlier classes with nearly the same list, told the same, are counted in.'} What it would
        have prevented rests on this as well.
      </p>
      <table className={`${ui['plain-table']} ${styles['characters']}`}>
        <thead>
          <tr>
            <th>Character</th>
            <th colSpan={2}>Right answers more</th>
            <th>Told</th>
            <th>Not told</th>
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
                {found.told.right} of {found.told.answers}
              </td>
              <td>
                {found.others.right} of {found.others.answers}{' '}
                <span className="quiet">at {counted(found.stations, 'station')}</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
