import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
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
import { inTongue } from '../language/inTongue.ts';

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
        <Trans>
          Seen as a {inTongue(MEDIUM_TITLES[medium])}:{' '}
          {organs.map((organ) => inTongue(SHOWN_TITLES[organ])).join(', ')}
        </Trans>
      </summary>
      <label>
        <Trans>Medium</Trans>{' '}
        <select value={medium} onChange={(event) => onChange(seenAs(event.target.value as Medium, level))}>
          {MEDIA.map((each) => (
            <option key={each} value={each}>
              {inTongue(MEDIUM_TITLES[each])}
            </option>
          ))}
        </select>
      </label>
      <Chips
        title={t`Shown`}
        all={Object.keys(SHOWN_TITLES) as ShownOrgan[]}
        chosen={organs}
        name={(organ) => inTongue(SHOWN_TITLES[organ])}
        flip={(organ) => organs.join() !== organ && onChange({ ...seen, organs: flip(organs, organ) })}
      />
      <Chips
        title={t`May be used`}
        all={[...AIDS]}
        chosen={aids}
        name={(aid) => inTongue(aid)}
        flip={(aid) => aid !== 'eye' && onChange({ ...seen, aids: flip(aids, aid) })}
      />
      <label>
        <Trans>Characters up to</Trans>{' '}
        <select value={level} onChange={(event) => onChange({ ...seen, level: event.target.value as Level })}>
          <option value="beginner">
            <Trans>beginner</Trans>
          </option>
          <option value="intermediate">
            <Trans>intermediate</Trans>
          </option>
          <option value="advanced">
            <Trans>advanced</Trans>
          </option>
        </select>
      </label>
    </details>
  );
}
