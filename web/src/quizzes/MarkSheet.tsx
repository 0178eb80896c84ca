import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { MarkedAnswer, Marks } from '@hurrow/contract/quizzes';
import { useState } from 'react';
import { commonName } from '@hurrow/core/taxon';
import { isRight, papersOf, pointsInWords, stationsOf, writtenInFull } from './marking.ts';
import styles from './marking.module.css';

interface MarkSheetProps {
  marks: Marks;
  /** Id of the response that is open. */
  open: string | undefined;
  onOpen(answer: MarkedAnswer): void;
}

/** The marks of a class: paper by paper what was written where it was wrong, then station by station what was written at all. */
export function MarkSheet(props: MarkSheetProps) {
  const { marks } = props;
  const [all, setAll] = useState(false);
  return (
    <>
      <label className={styles['choice']}>
        <input type="checkbox" checked={all} onChange={() => setAll(!all)} />{' '}
        <Trans>show right answers as well</Trans>
      </label>
      <table className={styles['papers']} aria-label={t`Papers`}>
        <thead>
          <tr>
            <th scope="col">
              <Trans>Student</Trans>
            </th>
            <th scope="col">
              <Trans>Points</Trans>
            </th>
            <th scope="col">{all ? t`What was written` : t`What was written where it was wrong`}</th>
          </tr>
        </thead>
        <tbody>
          {papersOf(marks).map(({ student, points, outOf, wrong, right, blank }) => (
            <tr key={student.id}>
              <th scope="row">{student.name}</th>
              <td className={styles['points']}>
                <strong>{pointsInWords(points)}</strong> / {pointsInWords(outOf)}
              </td>
              <td>
                {[...wrong, ...(all ? right : [])]
                  .sort((a, b) => a.position - b.position)
                  .map(({ position, answer }) => (
                    <Written key={answer.responseId} {...props} position={position} answer={answer} />
                  ))}
                {blank.length === marks.stations.filter(({ voided }) => !voided).length ? (
                  <span className="quiet">
                    <Trans>absent: no answer</Trans>
                  </span>
                ) : (
                  blank.length > 0 && (
                    <span className="quiet">
                      <Trans>blank: {blank.join(', ')}</Trans>
                    </span>
                  )
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <h2>
        <Trans>Station by station</Trans>
      </h2>
      <table className={styles['papers']} aria-label={t`Stations`}>
        <tbody>
          {stationsOf(marks).map(({ station, answered, named, sureButWrong, groups }) => {
            const truth = marks.list.find(({ id }) => id === station.taxonId);
            return (
              <tr key={station.id}>
                <th scope="row">
                  {station.position} {truth && commonName(truth)}
                  {station.asking && (
                    <>
                      <br />
                      <small className="quiet">{station.asking.asked.term}</small>
                    </>
                  )}
                </th>
                <td className={styles['points']}>
                  <Trans>
                    {named} of {answered}
                  </Trans>
                </td>
                <td>
                  {groups.map((group, i) => (
                    <span key={group.text}>
                      {i > 0 && ' · '}
                      <button className={styles['group']} onClick={() => props.onOpen(group.answers[0]!)}>
                        {group.text}
                      </button>{' '}
                      {group.answers.length}
                    </span>
                  ))}
                  {sureButWrong > 0 && (
                    <span className="rust">
                      {' '}
                      <Trans>· {sureButWrong} sure of what is wrong</Trans>
                    </span>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}

function Written({
  position,
  answer,
  marks,
  open,
  onOpen,
}: MarkSheetProps & { position: number; answer: MarkedAnswer }) {
  const { points, outOf } = answer.mark;
  const named = isRight(
    answer,
    marks.stations.find(({ id }) => id === answer.stationId)!,
  );
  return (
    <button
      className={`${styles['written']} ${points === outOf ? '' : named ? styles['part'] : styles['none']}`}
      aria-pressed={open === answer.responseId}
      onClick={() => onOpen(answer)}
    >
      <b>{position}</b> {writtenInFull(answer)}{' '}
      <small>
        {points === outOf ? '' : pointsInWords(points)}
        {answer.ruling ? t` ruled` : ''}
      </small>
    </button>
  );
}
