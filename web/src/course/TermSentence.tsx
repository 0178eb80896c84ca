import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { ReactNode } from 'react';
import { openWeeks, usedWeeks } from '@hurrow/core/term';
import type { Wishes } from './useWishes.ts';
import styles from './board.module.css';

interface Props {
  weeks: number;
  wishes: Wishes;
  closed: readonly number[];
  species: number;
  onChange(wishes: Wishes): void;
  /** A week gets a lesson, or none. */
  onClose(week: number): void;
  children: ReactNode;
}

/** What is wanted of the sets, as a sentence whose parts can be changed in place. */
export function TermSentence({ weeks, wishes, closed, species, onChange, onClose, children }: Props) {
  const set = (part: Partial<Wishes>) => onChange({ ...wishes, ...part });
  const used = usedWeeks(species, { ...wishes, closed });
  const most = used.length * wishes.most;
  return (
    <div className={styles['sentence']}>
      <p>
        <Trans>
          Sets of{' '}
          <Choice
            label={t`Least in a set`}
            value={wishes.least}
            from={1}
            to={wishes.most}
            onChange={(least) => set({ least })}
          />{' '}
          to{' '}
          <Choice
            label={t`Most in a set`}
            value={wishes.most}
            from={wishes.least}
            to={12}
            onChange={(most) => set({ most })}
          />
          , in weeks{' '}
          <Choice
            label={t`First week`}
            value={wishes.from}
            from={1}
            to={wishes.to}
            onChange={(from) => set({ from })}
          />{' '}
          to{' '}
          <Choice
            label={t`Last week`}
            value={wishes.to}
            from={wishes.from}
            to={weeks}
            onChange={(to) => set({ to })}
          />
          ,
        </Trans>{' '}
        <select
          aria-label={t`Pace`}
          value={wishes.pace}
          onChange={(event) => set({ pace: event.target.value as Wishes['pace'] })}
        >
          <option value="weekly">
            <Trans>one a week from the first</Trans>
          </option>
          <option value="spread">
            <Trans>spread over all of them</Trans>
          </option>
        </select>
        <Trans>
          , none in <Holidays weeks={weeks} closed={closed} onClose={onClose} />; lookalikes
        </Trans>{' '}
        <select
          aria-label={t`Lookalikes`}
          value={wishes.lookalikes}
          onChange={(event) => set({ lookalikes: event.target.value as Wishes['lookalikes'] })}
        >
          <option value="together">
            <Trans>in one set</Trans>
          </option>
          <option value="apart">
            <Trans>in different weeks</Trans>
          </option>
        </select>
        <Trans>; easy splits first, each tree while its marks can be seen, the commoner twin first.</Trans>
      </p>
      {children}
      {most < species && (
        <p className="rust">
          <Trans>
            {species} species do not fit{' '}
            <Plural value={openWeeks({ ...wishes, closed }).length} one="# week" other="# weeks" /> of at most{' '}
            {wishes.most}: let the sets be of {Math.ceil(species / Math.max(1, used.length))}, or the term
            longer.
          </Trans>
        </p>
      )}
    </div>
  );
}

/** Weeks without a lesson, each taken back by a press. */
function Holidays({ weeks, closed, onClose }: Pick<Props, 'weeks' | 'closed' | 'onClose'>) {
  return (
    <>
      {[...closed]
        .sort((x, y) => x - y)
        .map((week) => (
          <button
            key={week}
            type="button"
            className={styles['closed']}
            aria-label={t`Lessons in week ${week} again`}
            onClick={() => onClose(week)}
          >
            <Trans>week {week} ×,</Trans>{' '}
          </button>
        ))}
      <select
        aria-label={t`No lesson in a week`}
        value=""
        onChange={(event) => onClose(Number(event.target.value))}
      >
        <option value="" disabled>
          {closed.length > 0 ? t`another` : t`holidays`}
        </option>
        {Array.from({ length: weeks }, (_, i) => i + 1)
          .filter((week) => !closed.includes(week))
          .map((week) => (
            <option key={week} value={week}>
              <Trans>week {week}</Trans>
            </option>
          ))}
      </select>
    </>
  );
}

interface ChoiceProps {
  label: string;
  value: number;
  from: number;
  to: number;
  onChange(value: number): void;
}

function Choice({ label, value, from, to, onChange }: ChoiceProps) {
  return (
    <select aria-label={label} value={value} onChange={(event) => onChange(Number(event.target.value))}>
      {Array.from({ length: to - from + 1 }, (_, i) => from + i).map((each) => (
        <option key={each} value={each}>
          {each}
        </option>
      ))}
    </select>
  );
}
