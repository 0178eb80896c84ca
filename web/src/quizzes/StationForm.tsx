import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Quiz } from '@hurrow/contract/quizzes';
import { Button } from 'antd';
import { useEffect, useRef, useState, type FormEvent } from 'react';
import { call } from '../app/api.ts';
import type { Act } from './useActing.ts';
import styles from './quizzes.module.css';

/** What is done about a station while its quiz runs. */
export type StationAct = 'void' | 'note' | 'move';

const ASKED: Record<
  StationAct,
  { label(position: number): string; such: string; does: string; most: number }
> = {
  void: {
    label: (position) => t`Why station ${position} is left out`,
    such: t`why, for whoever asks later`,
    does: t`It counts for nobody`,
    most: 300,
  },
  note: {
    label: (position) => t`What happened at station ${position}`,
    such: t`as “cutting replaced, buds were gone”`,
    does: t`Note it`,
    most: 300,
  },
  move: {
    label: (position) => t`Where station ${position} stands now`,
    such: t`as “by the south window”; empty: at its place`,
    does: t`Tell the students`,
    most: 120,
  },
};

/** Why a station is left out, and for whom; what happened there; or where it stands now. */
export function StationForm({
  id,
  what,
  quiz,
  act,
  position,
  stands,
  onDone,
}: {
  id: string;
  what: StationAct;
  quiz: Quiz;
  act: Act;
  position: number;
  stands: string;
  onDone(): void;
}) {
  const [text, setText] = useState(what === 'move' ? stands : '');
  const field = useRef<HTMLInputElement>(null);
  // It was opened by a press, to be typed in at once.
  useEffect(() => field.current?.focus(), []);
  const params = { quizId: quiz.id, stationId: id };
  const voids = (credited: boolean) =>
    act(
      () =>
        call('POST /api/quizzes/{quizId}/stations/{stationId}/void', {
          params,
          body: { voided: true, credited, reason: text },
        }),
      credited ? t`Everybody gets the points of this station.` : t`The station is left out of all marks.`,
    );
  const notes = () =>
    act(
      () => call('POST /api/quizzes/{quizId}/stations/{stationId}/notes', { params, body: { note: text } }),
      t`It is noted.`,
    );
  const moves = () =>
    act(
      () => call('PUT /api/quizzes/{quizId}/stations/{stationId}/place', { params, body: { stands: text } }),
      t`Phones say where it stands now.`,
    );
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void { void: () => voids(false), note: notes, move: moves }[what]().then(onDone);
  };
  const asked = ASKED[what];
  return (
    <form className={styles['station-form']} onSubmit={submit}>
      <input
        aria-label={asked.label(position)}
        placeholder={asked.such}
        maxLength={asked.most}
        required={what === 'note'}
        ref={field}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <Button size="small" type="primary" htmlType="submit">
        {asked.does}
      </Button>
      {what === 'void' && (
        <Button size="small" onClick={() => void voids(true).then(onDone)}>
          <Trans>Its points for everybody</Trans>
        </Button>
      )}
      <Button size="small" onClick={onDone}>
        <Trans>Leave</Trans>
      </Button>
    </form>
  );
}
