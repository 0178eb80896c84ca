import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Result as OwnResult, ResultRow } from '@hurrow/contract/sitting';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link, useParams } from 'react-router';
import { dayOfYear } from '@hurrow/core/season';
import { call, messageOf } from '../app/api.ts';
import { useSaving } from '../app/useSaving.ts';
import { Beside } from './Beside.tsx';
import { mayAsk, ownPlaceInWords, pointsInWords, seenInWords } from './resultWords.ts';
import styles from './student.module.css';
import ui from '../app/parts.module.css';
import { dayLabel } from '../language/inWords.ts';
import { remarksSaid } from '../language/remarkSaid.ts';

const keyOf = (quizId: string) => ['result', quizId];

/** A student's own result, station by station: the right name, what was written, what was seen, and the two trees beside each other. */
export function Result() {
  const { quizId = '' } = useParams();
  const query = useQuery({
    queryKey: keyOf(quizId),
    queryFn: () => call('GET /api/sit/quizzes/{quizId}/result', { params: { quizId } }),
  });
  if (!query.data)
    return (
      <main className={styles['pad']}>
        <p role="alert">{query.isError ? messageOf(query.error) : t`Opening your result…`}</p>
        <Link className={`${ui['press']} ${styles['wide-press']}`} to="/">
          <Trans>Back</Trans>
        </Link>
      </main>
    );
  const result = query.data;
  return (
    <>
      <header className={styles['phone-bar']}>
        <h1>{result.title}</h1>
        <span>
          <Trans>
            {pointsInWords(result.points)} of {pointsInWords(result.outOf)}
          </Trans>
        </span>
      </header>
      <main className={styles['pad']}>
        {result.regradeUntil && (
          <p className="quiet">
            <Trans>
              You may ask about a mark until {dayLabel(dayOfYear(result.regradeUntil))}: open the station.
            </Trans>
          </p>
        )}
        {result.place && <p>{ownPlaceInWords(result.place)}</p>}
        <ol className={styles['result']}>
          {result.rows.map((row) => (
            <Row key={row.stationId} row={row} result={result} quizId={quizId} />
          ))}
        </ol>
        <Link className={`${ui['press']} ${styles['wide-press']}`} to="/">
          <Trans>Back</Trans>
        </Link>
      </main>
    </>
  );
}

interface RowProps {
  row: ResultRow;
  result: OwnResult;
  quizId: string;
}

function Row({ row, result, quizId }: RowProps) {
  const [open, setOpen] = useState(false);
  const missed = row.points < row.outOf;
  return (
    <li>
      <b>{row.position}</b>
      <div>
        <span className={row.latin ? 'latin' : ''}>{row.truth}</span>
        {row.family && `, ${row.family}`}
        {row.question && (
          <div>
            {row.question.asked} <strong>{row.question.right}</strong>
          </div>
        )}
        {missed && (
          <div className="quiet">
            {row.written ? t`You wrote “${row.written}”. ` : t`You left it blank. `}
            {row.written ? remarksSaid(row.remarks) : ''}
          </div>
        )}
        {row.credited !== null && (
          <div className="quiet">
            <Trans>Everybody got its points: {row.credited}.</Trans>
          </div>
        )}
        {seenInWords(row.seen).map((line) => (
          <div key={line} className="quiet">
            {line}
          </div>
        ))}
        {row.mistaken && (
          <button type="button" className={ui['link']} aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? t`Close` : t`See both trees`}
          </button>
        )}
        {open && <Beside stationId={row.stationId} latin={row.latin} />}
        <AboutMark row={row} result={result} quizId={quizId} />
      </div>
      <span className={missed ? 'rust' : ''}>
        <Trans>
          {pointsInWords(row.points)} of {pointsInWords(row.outOf)}
        </Trans>
      </span>
    </li>
  );
}

/** What was asked about a mark and what was answered, or the way to ask. */
function AboutMark({ row, result, quizId }: RowProps) {
  const [asking, setAsking] = useState(false);
  const [note, setNote] = useState(row.regrade?.note ?? '');
  const { save, saving, problem } = useSaving();
  const queries = useQueryClient();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void save(
      () =>
        call('POST /api/sit/stations/{stationId}/regrade', {
          params: { stationId: row.stationId },
          body: { note },
        }),
      {
        done: () => {
          setAsking(false);
          return queries.invalidateQueries({ queryKey: keyOf(quizId) });
        },
      },
    );
  };
  if (asking)
    return (
      <form onSubmit={submit} className={styles['asking']}>
        <label>
          <Trans>What should be looked at again?</Trans>
          <textarea
            required
            maxLength={600}
            rows={3}
            value={note}
            onChange={(event) => setNote(event.target.value)}
          />
        </label>
        {problem && <p role="alert">{problem}</p>}
        <button className={ui['press']} disabled={saving}>
          <Trans>Send</Trans>
        </button>{' '}
        <button type="button" className={ui['press']} onClick={() => setAsking(false)}>
          <Trans>Leave</Trans>
        </button>
      </form>
    );
  return (
    <>
      {row.regrade && (
        <div className={styles['note']}>
          <Trans>You asked: {row.regrade.note}</Trans>
          <br />
          {row.regrade.answer ? <strong>{row.regrade.answer}</strong> : t`It waits for an answer.`}
        </div>
      )}
      {mayAsk(row, result.regradeUntil, new Date()) && (
        <button type="button" className={`${ui['link']} ${styles['ask']}`} onClick={() => setAsking(true)}>
          {row.regrade ? t`Change what you asked` : t`Ask about this mark`}
        </button>
      )}
    </>
  );
}
