import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { RulingBody } from '@hurrow/contract/rulings';
import type { MarkedAnswer, Marks, Quiz } from '@hurrow/contract/quizzes';
import { Button } from 'antd';
import { useState, type FormEvent } from 'react';
import type { AnswerPart } from '@hurrow/core/names';
import { rightInWords } from '@hurrow/core/station';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { call } from '../app/api.ts';
import { useMarking, useRuling } from './quizData.ts';
import { howItReads } from './reading.ts';
import { SharedName } from './SharedName.tsx';
import { PART_WORDS, remarkSaid } from '../language/remarkSaid.ts';
import { equalTo, pointsByHand, pointsInWords } from './marking.ts';
import styles from './marking.module.css';
import { LinkButton, Problem } from '../app/parts.tsx';

interface OpenedProps {
  answer: MarkedAnswer;
  marks: Marks;
  quiz: Quiz;
  onClose(): void;
}

/** One answer, part by part, with what its mark rests on and the way to overrule it. */
export function OpenedAnswer(props: OpenedProps) {
  const { answer, marks, quiz, onClose } = props;
  const { mark, problem } = useMarking();
  const ruling = useRuling(quiz.id);
  const station = marks.stations.find((entry) => entry.id === answer.stationId)!;
  const truth = marks.list.find((taxon) => taxon.id === station.taxonId)!;
  return (
    <aside className={styles['opened']} aria-label={t`One answer`} aria-live="polite">
      <h2>
        <Trans>
          {marks.students.find((student) => student.id === answer.studentId)?.name}, station{' '}
          {station.position}: {commonName(truth)}, <span className="latin">{scientificName(truth)}</span>
        </Trans>
      </h2>
      <table className={styles['papers']}>
        <tbody>
          {answer.mark.parts.map((part) => (
            <tr key={part.part}>
              <th scope="row">{PART_WORDS[part.part]}</th>
              <td>“{part.written}”</td>
              <td className={styles['points']}>
                <Trans>
                  {pointsInWords(part.points)} of {pointsInWords(part.outOf)}
                </Trans>
              </td>
              <td>{remarkSaid(part.remark)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {station.asking && (
        <p>
          {station.asking.asked.term}{' '}
          <strong>{rightInWords({ question: station.asking, truth }, 'technical')}</strong>
        </p>
      )}
      {!answer.ruling && !station.asking && (
        <p className="quiet">{howItReads(answer.mark.resolution, marks.list)}</p>
      )}
      {answer.ruling && (
        <p className="quiet">
          <Trans>
            By ruling of {answer.ruling.by},{' '}
            {answer.ruling.alone ? t`on this answer alone` : t`on all equal answers`}
            {answer.ruling.reason ? `: ${answer.ruling.reason}` : ''}.
          </Trans>{' '}
          <LinkButton
            onClick={() =>
              void mark(() =>
                call('DELETE /api/quizzes/{quizId}/rulings/{rulingId}', {
                  params: { quizId: quiz.id, rulingId: answer.ruling!.id },
                }),
              )
            }
          >
            <Trans>Take the ruling back</Trans>
          </LinkButton>
        </p>
      )}
      <Overrule {...props} truth={truth.id} asksName={!station.asking} send={ruling.rule} />
      <SharedName asking={ruling} />
      {(problem ?? ruling.problem) && <Problem>{problem ?? ruling.problem}</Problem>}
      <p>
        <Button size="small" onClick={onClose}>
          <Trans>Close</Trans>
        </Button>
      </p>
    </aside>
  );
}

/** Gives an answer other points, or lets it count as another tree. */
function Overrule({
  answer,
  marks,
  truth,
  asksName,
  send,
}: OpenedProps & { truth: string; asksName: boolean; send(body: RulingBody): Promise<unknown> }) {
  const { parts, resolution } = answer.mark;
  const [points, setPoints] = useState<Partial<Record<AnswerPart, string>>>({});
  const [countsAs, setCountsAs] = useState(resolution.taxonId ?? '');
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState('');
  const [alone, setAlone] = useState(true);
  const equal = equalTo(answer, marks).length;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const byHand = pointsByHand(points, parts);
    if ('problem' in byHand) return setProblem(byHand.problem);
    if (!asksName && !byHand.points) return setProblem(t`Write the points that it shall have.`);
    setProblem('');
    void send({
      truth,
      answer: answer.written,
      countsAs: countsAs || null,
      points: byHand.points,
      ...(asksName ? {} : { stationId: answer.stationId }),
      only: alone ? { studentId: answer.studentId, stationId: answer.stationId } : null,
      reason,
    }).then((done) => done !== undefined && setPoints({}));
  };
  return (
    <form className={styles['overrule']} onSubmit={submit}>
      <h3>
        <Trans>Overrule it</Trans>
      </h3>
      <p>
        {asksName && (
          <>
            <Trans>Counts as</Trans>{' '}
            <CountsAs list={marks.list} truth={truth} value={countsAs} onChange={setCountsAs} />
          </>
        )}
        {parts.map((part) => (
          <PointsOf
            key={part.part}
            part={part}
            typed={points[part.part] ?? ''}
            onType={(text) => setPoints({ ...points, [part.part]: text })}
          />
        ))}
      </p>
      {problem && <Problem>{problem}</Problem>}
      <p>
        <label>
          <Trans>because</Trans>{' '}
          <input
            className={styles['reason']}
            aria-label={t`Reason`}
            required
            minLength={3}
            maxLength={300}
            placeholder={t`why, for whoever asks later`}
            value={reason}
            onChange={(event) => setReason(event.target.value)}
          />
        </label>{' '}
        <Trans>for</Trans>{' '}
        <select
          aria-label={t`For which answers`}
          value={String(alone)}
          onChange={(event) => setAlone(event.target.value === 'true')}
        >
          <option value="true">
            <Trans>this answer only</Trans>
          </option>
          <option value="false">
            <Trans>all equal answers{equal > 1 ? t` (${equal} here)` : ''}</Trans>
          </option>
        </select>{' '}
        <Button htmlType="submit" type="primary" size="small">
          <Trans>Overrule</Trans>
        </Button>
      </p>
    </form>
  );
}

function CountsAs({
  list,
  truth,
  value,
  onChange,
}: {
  list: Marks['list'];
  truth: string;
  value: string;
  onChange(taxonId: string): void;
}) {
  return (
    <select aria-label={t`Counts as`} value={value} onChange={(event) => onChange(event.target.value)}>
      <option value="">
        <Trans>no tree of the list</Trans>
      </option>
      {list.map((taxon) => (
        <option key={taxon.id} value={taxon.id}>
          {scientificName(taxon)}
          {taxon.id === truth ? t` (right)` : ''}
        </option>
      ))}
    </select>
  );
}

/** The points of one part, by hand. */
function PointsOf({
  part: { part, points, outOf },
  typed,
  onType,
}: {
  part: MarkedAnswer['mark']['parts'][number];
  typed: string;
  onType(text: string): void;
}) {
  return (
    <label>
      {' '}
      {PART_WORDS[part]}{' '}
      <input
        inputMode="decimal"
        aria-label={t`Points for the ${PART_WORDS[part]}`}
        placeholder={pointsInWords(points)}
        value={typed}
        onChange={(event) => onType(event.target.value)}
      />{' '}
      <Trans>of {pointsInWords(outOf)}</Trans>
    </label>
  );
}
