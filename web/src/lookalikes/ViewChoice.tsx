import {
  AIDS,
  MEDIA,
  MEDIUM_TITLES,
  MEDIUM_VIEWS,
  SHOWN_TITLES,
  type Aid,
  type Medium,
} from '@hurrow/core/view';
import type { Level, ShownOrgan } from '@hurrow/core/vocabulary';
import { Chips } from '../app/parts.tsx';
import styles from './contrast.module.css';

/** What is looked at, with what, by whom: all of a view but its day. */
export interface Seen {
  medium: Medium;
  organs: ShownOrgan[];
  aids: Aid[];
  level: Level;
}

const seenAs = (medium: Medium, level: Level): Seen => ({
  medium,
  organs: MEDIUM_VIEWS[medium].organs,
  aids: MEDIUM_VIEWS[medium].aids,
  level,
});

export const AS_CUTTING = seenAs('cutting', 'advanced');

const flip = <T,>(list: T[], item: T) =>
  list.includes(item) ? list.filter((other) => other !== item) : [...list, item];

/** The choice of what is shown and what may be used. */
export function ViewChoice({ seen, onChange }: { seen: Seen; onChange(seen: Seen): void }) {
  const { medium, organs, aids, level } = seen;
  return (
    <details className={styles['view-choice']}>
      <summary>
        Seen as a {MEDIUM_TITLES[medium]}: {organs.map((organ) => SHOWN_TITLES[organ]).join(', ')}
      </summary>
      <label>
        Medium{' '}
        <select value={medium} onChange={(event) => onChange(seenAs(event.target.value as Medium, level))}>
          {MEDIA.map((each) => (
            <option key={each} value={each}>
              {MEDIUM_TITLES[each]}
            </option>
          ))}
        </select>
      </label>
      <Chips
        title="Shown"
        all={Object.keys(SHOWN_TITLES) as ShownOrgan[]}
        chosen={organs}
        name={(organ) => SHOWN_TITLES[organ]}
        flip={(organ) => organs.join() !== organ && onChange({ ...seen, organs: flip(organs, organ) })}
      />
      <Chips
        title="May be used"
        all={[...AIDS]}
        chosen={aids}
        name={(aid) => aid}
        flip={(aid) => aid !== 'eye' && onChange({ ...seen, aids: flip(aids, aid) })}
      />
      <label>
        Characters up to{' '}
        <select value={level} onChange={(event) => onChange({ ...seen, level: event.target.value as Level })}>
          <option value="beginner">beginner</option>
          <option value="intermediate">intermediate</option>
          <option value="advanced">advanced</option>
        </select>
      </label>
    </details>
  );
}
