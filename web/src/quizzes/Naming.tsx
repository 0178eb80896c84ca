import { t } from '@lingui/core/macro';
import type { ProfiledTaxon, ReadingOptions } from '@hurrow/core/evidence';
import type { ReactNode } from 'react';
import type { Planned } from './planned.ts';
import { PromptPicker } from './PromptPicker.tsx';
import { SeeingPicker } from './SeeingPicker.tsx';
import styles from './quizzes.module.css';

/** What is asked and told besides the name, where the name is asked. */
export function Naming({
  station,
  profiled,
  options,
  fixed,
  onChange,
}: {
  /** Its view with the day of the quiz. */
  station: Planned;
  profiled: ProfiledTaxon;
  options: ReadingOptions;
  fixed: boolean;
  onChange(part: Partial<Planned>): void;
}) {
  return (
    <>
      <SeeingPicker
        station={station}
        profiled={profiled}
        options={options}
        fixed={fixed}
        onChange={(asks) => onChange({ asks })}
      />
      <Ticked
        checked={station.choose ?? false}
        fixed={fixed}
        onTick={(choose) => onChange({ choose })}
        what={t`Choose one of four names`}
        why={t`the tree and the three of the list that are least unlike it in what is shown; for beginners, and where spelling is not the point`}
      />
      <Ticked
        checked={station.wentBy ?? false}
        fixed={fixed}
        onTick={(wentBy) => onChange({ wentBy })}
        what={t`After the name, ask “What did you go by?” (not marked)`}
        why={t`a checklist of what can be seen here; every third station is enough to find what the class overlooks`}
      />
      <PromptPicker
        station={station}
        profiled={profiled}
        options={options}
        fixed={fixed}
        onChange={(prompt) => onChange({ prompt })}
      />
    </>
  );
}

function Ticked({
  checked,
  fixed,
  onTick,
  what,
  why,
}: {
  checked: boolean;
  fixed: boolean;
  onTick(ticked: boolean): void;
  what: ReactNode;
  why: string;
}) {
  return (
    <label className={styles['went-by']}>
      <input
        type="checkbox"
        checked={checked}
        disabled={fixed}
        onChange={(event) => onTick(event.target.checked)}
      />
      <span>
        {what}
        <span className="quiet"> — {why}</span>
      </span>
    </label>
  );
}
