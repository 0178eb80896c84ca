import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import type { Running } from '@hurrow/contract/running';
import { useState } from 'react';
import { expectedRight } from '@hurrow/core/assembly';
import { dayOfYear } from '@hurrow/core/season';
import { scientificName } from '@hurrow/core/taxon';
import { MEDIUM_TITLES } from '@hurrow/core/view';
import { call } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { LinkButton } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import type { Counts } from './live.ts';
import { stationStands, troubleAt } from './running.ts';
import { StationForm, type StationAct } from './StationForm.tsx';
import type { Act } from './useActing.ts';
import { useJudged } from './useJudged.ts';
import styles from './quizzes.module.css';
import { inTongue } from '../language/inTongue.ts';

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
        const known = judged[i];
        const expected =
          known && expectedRight({ ...known, taxonId, ...(question ? { question } : {}) }, { answered: {} });
        return (
          <RunStation
            key={station.id}
            quiz={quiz}
            station={station}
            name={taxonName(taxonId)}
            stands={stationStands(counts, station.id)}
            expected={expected}
            happened={running?.stations.find(({ stationId }) => stationId === station.id)}
            act={act}
          />
        );
      })}
    </ol>
  );
}

/** One station: what of it is answered, what happened there, and what can be done about it. */
function RunStation({
  quiz,
  station,
  name,
  stands,
  expected,
  happened,
  act,
}: {
  quiz: Quiz;
  station: Quiz['stations'][number];
  name: string;
  stands: ReturnType<typeof stationStands>;
  /** Share of right answers that was expected; undefined where it is not known. */
  expected: number | undefined;
  happened: Running['stations'][number] | undefined;
  act: Act;
}) {
  const [open, setOpen] = useState<StationAct>();
  const mayChange = useMayChange();
  const trouble = quiz.state === 'open' ? troubleAt(stands, expected) : '';
  return (
    <li className={station.voided ? styles['voided'] : ''}>
      {station.drawn ? (
        <img
          src={`/api/quizzes/${quiz.id}/stations/${station.id}/drawing.svg`}
          alt={t`Station ${station.position}, as students see it`}
        />
      ) : (
        <span className={`${styles['no-picture']} quiet`}>
          <Trans>not drawn</Trans>
        </span>
      )}
      <div>
        <b>{station.position}</b> <span className="latin">{name}</span>,{' '}
        {inTongue(MEDIUM_TITLES[station.medium])}
        {stands.answered > 0 && (
          <span className="quiet">
            <Trans>
              : {stands.right} of {stands.answered} {station.question ? t`answer it` : t`name it`}
            </Trans>
          </span>
        )}
        {happened?.stands && (
          <p className={styles['happened']}>
            <Trans>Stands now: {happened.stands}</Trans>
          </p>
        )}
        {trouble && (
          <p className={styles['trouble']} role="status">
            {trouble}
          </p>
        )}
        {happened?.notes.map(({ note, by, at }) => (
          <p key={at} className={styles['happened']}>
            {note} <span className="quiet">{by}</span>
          </p>
        ))}
        <p className={styles['station-acts']}>
          {mayChange && <Voided quiz={quiz} station={station} act={act} onOpen={() => setOpen('void')} />}
          {quiz.state === 'open' && (
            <LinkButton onClick={() => setOpen('move')}>
              <Trans>Move it</Trans>
            </LinkButton>
          )}
          <LinkButton onClick={() => setOpen('note')}>
            <Trans>Note</Trans>
          </LinkButton>
        </p>
        {open && (
          <StationForm
            key={open}
            id={station.id}
            what={open}
            quiz={quiz}
            act={act}
            position={station.position}
            stands={happened?.stands ?? ''}
            onDone={() => setOpen(undefined)}
          />
        )}
      </div>
    </li>
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
  if (!station.voided)
    return (
      <LinkButton onClick={onOpen}>
        <Trans>Leave out of all marks</Trans>
      </LinkButton>
    );
  return (
    <>
      {station.credited ? t`Credited to all` : t`Left out`}
      {station.voidReason ? `: ${station.voidReason}.` : '.'}{' '}
      <LinkButton
        onClick={() =>
          void act(
            () =>
              call('POST /api/quizzes/{quizId}/stations/{stationId}/void', {
                params: { quizId: quiz.id, stationId: station.id },
                body: { voided: false },
              }),
            t`The station counts again.`,
          )
        }
      >
        <Trans>Count it again</Trans>
      </LinkButton>
    </>
  );
}
