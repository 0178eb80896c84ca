import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import type { Running } from '@hurrow/contract/running';
import { Button } from 'antd';
import { useEffect, useRef, useState, type FormEvent } from 'react';
import { expectedRight } from '@hurrow/core/assembly';
import { dayOfYear } from '@hurrow/core/season';
import { scientificName } from '@hurrow/core/taxon';
import { MEDIUM_TITLES } from '@hurrow/core/view';
import { call } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { LinkButton } from '../app/parts.tsx';
import { useMayChange } from '../app/session.ts';
import type { Counts } from './live.ts';
import { stationStands, troubleAt } from './running.ts';
import type { Act } from './useActing.ts';
import { useJudged } from './useJudged.ts';
import styles from './quizzes.module.css';

interface RunStationsProps {
  course: WholeCourse;
  quiz: Quiz;
  act: Act;
  counts: Counts | undefined;
  running: Running | undefined;
}

/** The stations while a quiz runs: what is looked at, how many name it, which one is in trouble, and what happened there. */
export function RunStations({ course, quiz, act, counts, running }: RunStationsProps) {
  const { library, profileOf } = useLibrary();
  const [open, setOpen] = useState<{ id: string; what: 'void' | 'note' }>();
  const mayChange = useMayChange();
  const taxa = course.sets.flatMap((set) => set.taxa);
  // What is expected is only asked for while something can still be mended.
  const judged = useJudged(quiz.state === 'open' ? quiz.stations : [], taxa, {
    course,
    library,
    day: dayOfYear(quiz.heldOn),
  });
  const taxonName = (id: string) => {
    const found = profileOf(id);
    return found ? scientificName(found.taxon) : id;
  };
  return (
    <ol className={styles['run-stations']}>
      {quiz.stations.map((station, i) => {
        const { taxonId, question } = station;
        const stands = stationStands(counts, station.id);
        const known = judged[i];
        const expected =
          known && expectedRight({ ...known, taxonId, ...(question ? { question } : {}) }, { answered: {} });
        const trouble = quiz.state === 'open' ? troubleAt(stands, expected) : '';
        const notes = running?.stations.find(({ stationId }) => stationId === station.id)?.notes ?? [];
        return (
          <li key={station.id} className={station.voided ? styles['voided'] : ''}>
            {station.drawn ? (
              <img
                src={`/api/quizzes/${quiz.id}/stations/${station.id}/drawing.svg`}
                alt={`Station ${station.position}, as students see it`}
              />
            ) : (
              <span className={`${styles['no-picture']} quiet`}>not drawn</span>
            )}
            <div>
              <b>{station.position}</b> <span className="latin">{taxonName(taxonId)}</span>,{' '}
              {MEDIUM_TITLES[station.medium]}
              {stands.answered > 0 && (
                <span className="quiet">
                  : {stands.right} of {stands.answered} {station.question ? 'answer it' : 'name it'}
                </span>
              )}
              {trouble && (
                <p className={styles['trouble']} role="status">
                  {trouble}
                </p>
              )}
              {notes.map(({ note, by, at }) => (
                <p key={at} className={styles['happened']}>
                  {note} <span className="quiet">{by}</span>
                </p>
              ))}
              <p className={styles['station-acts']}>
                {mayChange && (
                  <Voided
                    quiz={quiz}
                    station={station}
                    act={act}
                    onOpen={() => setOpen({ id: station.id, what: 'void' })}
                  />
                )}
                <LinkButton onClick={() => setOpen({ id: station.id, what: 'note' })}>Note</LinkButton>
              </p>
              {open?.id === station.id && (
                <StationForm
                  key={open.what}
                  {...open}
                  quiz={quiz}
                  act={act}
                  position={station.position}
                  onDone={() => setOpen(undefined)}
                />
              )}
            </div>
          </li>
        );
      })}
    </ol>
  );
}

function Voided({
  quiz,
  station,
  act,
  onOpen,
}: {
  quiz: Quiz;
  station: Quiz['stations'][number];
  act: Act;
  onOpen(): void;
}) {
  if (!station.voided) return <LinkButton onClick={onOpen}>Leave out of all marks</LinkButton>;
  return (
    <>
      {station.credited ? 'Credited to all' : 'Left out'}
      {station.voidReason ? `: ${station.voidReason}.` : '.'}{' '}
      <LinkButton
        onClick={() =>
          void act(
            () =>
              call('POST /api/quizzes/{quizId}/stations/{stationId}/void', {
                params: { quizId: quiz.id, stationId: station.id },
                body: { voided: false },
              }),
            'The station counts again.',
          )
        }
      >
        Count it again
      </LinkButton>
    </>
  );
}

/** Why a station is left out, and for whom; or what happened there. */
function StationForm({
  id,
  what,
  quiz,
  act,
  position,
  onDone,
}: {
  id: string;
  what: 'void' | 'note';
  quiz: Quiz;
  act: Act;
  position: number;
  onDone(): void;
}) {
  const [text, setText] = useState('');
  const field = useRef<HTMLInputElement>(null);
  // It was opened by a press, to be typed in at once.
  useEffect(() => field.current?.focus(), []);
  const params = { quizId: quiz.id, stationId: id };
  const send = (credited: boolean) => {
    const voids = () =>
      call('POST /api/quizzes/{quizId}/stations/{stationId}/void', {
        params,
        body: { voided: true, credited, reason: text },
      });
    const notes = () =>
      call('POST /api/quizzes/{quizId}/stations/{stationId}/notes', { params, body: { note: text } });
    const said =
      what === 'note'
        ? 'It is noted.'
        : credited
          ? 'Everybody gets the points of this station.'
          : 'The station is left out of all marks.';
    void act(what === 'note' ? notes : voids, said).then(onDone);
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    send(false);
  };
  return (
    <form className={styles['station-form']} onSubmit={submit}>
      <input
        aria-label={
          what === 'note' ? `What happened at station ${position}` : `Why station ${position} is left out`
        }
        placeholder={
          what === 'note' ? 'as “cutting replaced, buds were gone”' : 'why, for whoever asks later'
        }
        maxLength={300}
        required={what === 'note'}
        ref={field}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <Button size="small" type="primary" htmlType="submit">
        {what === 'note' ? 'Note it' : 'It counts for nobody'}
      </Button>
      {what === 'void' && (
        <Button size="small" onClick={() => send(true)}>
          Its points for everybody
        </Button>
      )}
      <Button size="small" onClick={onDone}>
        Leave
      </Button>
    </form>
  );
}
