import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ProfiledTaxon, ReadingOptions } from '@hurrow/core/evidence';
import { askable, MOST_QUESTIONS } from '@hurrow/core/station';
import { useVocabulary } from '../app/data.ts';
import type { Planned } from './planned.ts';
import { termOf } from './termOf.ts';
import ui from '../app/parts.module.css';
import styles from './quizzes.module.css';

/** The characters that a station asks to be read, besides the name: answers tell what is misread from what is overlooked. */
export function SeeingPicker({
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
  onChange(asks: string[]): void;
}) {
  const vocabulary = useVocabulary();
  const { view, asks = [] } = station;
  const can = askable(profiled, vocabulary, view, options);
  const term = (id: string) => termOf(id, vocabulary);
  const gone = asks.filter((id) => !can.includes(id));
  return (
    <>
      <p className="quiet">
        <Trans>Also ask “What do you see?” (not marked)</Trans>
      </p>
      <div className={ui['chips']}>
        {asks.map((id) => (
          <button
            key={id}
            data-frequency="always"
            disabled={fixed}
            aria-label={t`Do not ask for ${term(id)}`}
            onClick={() => onChange(asks.filter((other) => other !== id))}
          >
            {term(id)}
            {fixed ? '' : ' ×'}
          </button>
        ))}
        {asks.length === 0 && fixed && (
          <span className="quiet">
            <Trans>nothing</Trans>
          </span>
        )}
      </div>
      {!fixed && asks.length < MOST_QUESTIONS && (
        <select
          className={styles['seeing-picker']}
          aria-label={t`Ask for a character`}
          value=""
          onChange={(event) => onChange([...asks, event.target.value])}
        >
          <option value="">{asks.length ? t`one more character` : t`choose a character`}</option>
          {can
            .filter((id) => !asks.includes(id))
            .map((id) => (
              <option key={id} value={id}>
                {term(id)}
              </option>
            ))}
        </select>
      )}
      {gone.length > 0 && !fixed && (
        <p className={`${styles['doubt']} gold`}>
          <Trans>
            {gone.map(term).join(', ')} cannot be seen in what is shown now. Take it away, or show its part.
          </Trans>
        </p>
      )}
    </>
  );
}
