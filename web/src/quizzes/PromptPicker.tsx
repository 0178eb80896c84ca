import { Trans } from '@lingui/react/macro';
import type { ProfiledTaxon, ReadingOptions } from '@hurrow/core/evidence';
import { askable } from '@hurrow/core/station';
import { useVocabulary } from '../app/data.ts';
import type { Planned } from './planned.ts';
import { termOf } from './termOf.ts';
import styles from './quizzes.module.css';

/** A hint as an experiment: half of the students, drawn by lot, are told what to look at first. */
export function PromptPicker({
  station,
  profiled,
  options,
  fixed,
  onChange,
}: {
  station: Planned;
  profiled: ProfiledTaxon;
  /** Where the calendars were recorded and where the course is. */
  options: ReadingOptions;
  fixed: boolean;
  onChange(prompt: string | null): void;
}) {
  const vocabulary = useVocabulary();
  const can = askable(profiled, vocabulary, station.view, options);
  const held = station.prompt ?? '';
  const term = (id: string) => termOf(id, vocabulary);
  return (
    <label className={styles['prompt']}>
      <span className="quiet">
        <Trans>Tell half of them, drawn by lot, to look first at</Trans>
      </span>
      <select
        className={styles['seeing-picker']}
        value={held}
        disabled={fixed}
        onChange={(event) => onChange(event.target.value || null)}
      >
        <option value="">
          <Trans>nothing</Trans>
        </option>
        {[...new Set([...(held ? [held] : []), ...can])].map((id) => (
          <option key={id} value={id}>
            {term(id)}
          </option>
        ))}
      </select>
      {held && (
        <small className="quiet">
          <Trans>
            On phones only. The difference between the two halves is what looking is worth; where marks count,
            tell the class that hints go by lot.
          </Trans>
        </small>
      )}
    </label>
  );
}
