import { Trans } from '@lingui/react/macro';
import { arcsAsText, CALENDAR_PARTS, CALENDAR_TITLES } from '@hurrow/core/season';
import { timingInMonths, withEntry } from './editing.ts';
import { Text } from './TextField.tsx';
import type { Editing } from './useEditing.ts';
import styles from './species.module.css';
import { LinkButton } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import { inTongue } from '../language/inTongue.ts';

/** The months of a species as one types them. */
export function CalendarFields({ editing }: { editing: Editing }) {
  const { edits, setEdits, months, monthProblem, monthProblems } = editing;
  const timing = timingInMonths(months.flowers);
  return (
    <fieldset>
      <legend>
        <Trans>Calendar</Trans>
      </legend>
      <p className="quiet">
        <Trans>
          At the library’s reference place, like “10 May – 15 Oct”, “Apr–May”, “IV–V” or “late spring”; “all
          year” for evergreen leaves.
        </Trans>
      </p>
      <div className={styles['names-grid']}>
        {CALENDAR_PARTS.map((part) => (
          <Text
            key={part}
            label={inTongue(CALENDAR_TITLES[part])}
            value={months[part]}
            onChange={(text) => setEdits({ ...edits, months: { ...edits.months, [part]: text } })}
          />
        ))}
      </div>
      {monthProblem && !timing && <p className={ui['row-problem']}>{monthProblem}</p>}
      {timing && (
        <p className={ui['row-problem']} role="alert">
          <Trans>“{months.flowers}” is no time of the year.</Trans>{' '}
          <LinkButton
            onClick={() =>
              setEdits((before) => ({
                ...withEntry(before, timing),
                months: { ...before.months, flowers: '' },
              }))
            }
          >
            <Trans>Score it as flowering time: {timing.text}</Trans>
          </LinkButton>
        </p>
      )}
      {monthProblems.map((found) => (
        <p className={ui['row-problem']} role="alert" key={found.message}>
          {found.message}{' '}
          {found.repair && (
            <LinkButton
              type="button"
              onClick={() =>
                setEdits({
                  ...edits,
                  months: { ...edits.months, [found.part]: arcsAsText(found.repair!.arcs) },
                })
              }
            >
              {found.repair.label}
            </LinkButton>
          )}
        </p>
      ))}
    </fieldset>
  );
}
