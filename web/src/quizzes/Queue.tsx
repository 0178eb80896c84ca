import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Marks, Quiz } from '@hurrow/contract/quizzes';
import { Button } from 'antd';
import { useState } from 'react';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { useKeys } from '../app/keys.ts';
import { choicesFor, type AnswerGroup } from './marking.ts';
import { howItReads } from './reading.ts';
import { TwoTrees } from './TwoTrees.tsx';
import styles from './marking.module.css';

interface QueueProps {
  groups: readonly AnswerGroup[];
  marks: Marks;
  quiz: Quiz;
  course: WholeCourse;
  onRule(group: AnswerGroup, countsAs: string | null): void;
  /** Takes the last ruling back; missing where there is none. */
  onUndo: (() => void) | undefined;
}

/** Answers that wait for a human, one at a time, with how it reads and both trees drawn; by the keyboard alone if one likes. */
export function Queue({ groups, marks, quiz, course, onRule, onUndo }: QueueProps) {
  const [at, setAt] = useState(0);
  const place = Math.min(at, groups.length - 1);
  const group = groups[place]!;
  const choices = choicesFor(group);
  const named = (id: string) => marks.list.find((taxon) => taxon.id === id);
  const step = (by: number) => setAt((place + by + groups.length) % groups.length);
  useKeys({
    ...Object.fromEntries(choices.map((id, i) => [String(i + 1), () => onRule(group, id)])),
    '0': () => onRule(group, null),
    j: () => step(1),
    k: () => step(-1),
    ...(onUndo ? { u: onUndo } : {}),
  });
  const stations = marks.stations.filter(({ id }) => group.answers.some(({ stationId }) => stationId === id));
  return (
    <div className={styles['queue']} role="group" aria-label={t`Answers to rule on`}>
      <div>
        <p className={styles['asked']}>
          “{group.text}”{' '}
          <small className="quiet">
            <Trans>
              on <Plural value={group.answers.length} one="# paper" other="# papers" />, station{' '}
              {stations.map(({ position }) => position).join(', ')}
            </Trans>
          </small>
        </p>
        <p>{howItReads(group.answers[0]!.mark.resolution, marks.list)}</p>
        <ol className={styles['choices']}>
          {choices.map((id, i) => {
            const taxon = named(id);
            return (
              <li key={id}>
                <Button onClick={() => onRule(group, id)}>
                  <Trans>
                    <kbd>{i + 1}</kbd> counts as {taxon ? commonName(taxon) : id},{' '}
                    <span className="latin">{taxon ? scientificName(taxon) : ''}</span>
                    {id === group.truth ? t`: right` : ''}
                  </Trans>
                </Button>
              </li>
            );
          })}
          <li>
            <Button onClick={() => onRule(group, null)}>
              <Trans>
                <kbd>0</kbd> names no tree of the list
              </Trans>
            </Button>
          </li>
          <li>
            <label>
              <Trans>or</Trans>{' '}
              <select
                aria-label={t`“${group.text}” counts as`}
                value=""
                onChange={(event) => onRule(group, event.target.value)}
              >
                <option value="">
                  <Trans>another tree…</Trans>
                </option>
                {marks.list.map((taxon) => (
                  <option key={taxon.id} value={taxon.id}>
                    {scientificName(taxon)}
                  </option>
                ))}
              </select>
            </label>
          </li>
        </ol>
        <p className="quiet">
          <Trans>
            {place + 1} of {groups.length} · <kbd>j</kbd> next · <kbd>k</kbd> back
          </Trans>
          {onUndo && (
            <>
              {' '}
              <Trans>
                · <kbd>u</kbd> take the last ruling back
              </Trans>
            </>
          )}
        </p>
      </div>
      <TwoTrees
        course={course}
        station={quiz.stations.find(({ id }) => id === stations[0]?.id)}
        other={choices.find((id) => id !== group.truth)}
      />
    </div>
  );
}
