import { App, Button } from 'antd';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answerText } from '@hurrow/core/names';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { messageOf, post } from '../app/api.ts';
import type { Course } from '../app/data.ts';
import { marksQuery, type MarkedAnswer, type Marks, type Quiz } from './quizData.ts';

const show = (points: number) => String(Number(points.toFixed(2)));

/** Marks: answers to rule on first, then the sheet of students by stations. Marks are worked out, never typed over. */
export function MarkPage({ course, quiz }: { course: Course; quiz: Quiz }) {
  const query = useQuery({ ...marksQuery(quiz.id), enabled: quiz.state !== 'planned' });
  const [open, setOpen] = useState<MarkedAnswer>();
  if (quiz.state === 'planned') return <p>Nothing to mark yet: the quiz has not been opened.</p>;
  if (!query.data) return <p>{query.isError ? messageOf(query.error) : 'Working out the marks…'}</p>;
  const marks = query.data;
  if (marks.answers.length === 0)
    return <p>No answers yet. Students answer on their phones, or you enter their papers under Run.</p>;
  return (
    <>
      <Conflicts marks={marks} quiz={quiz} />
      <ToRule marks={marks} quiz={quiz} />
      <Sheet marks={marks} onOpen={setOpen} />
      {open && <Opened answer={open} marks={marks} course={course} />}
    </>
  );
}

function useRefresh() {
  const queries = useQueryClient();
  return () =>
    queries.invalidateQueries({
      predicate: ({ queryKey }) => ['marks', 'confusions'].includes(String(queryKey[0])),
    });
}

/** Answers of one student at one station from two devices that differ. */
function Conflicts({ marks, quiz }: { marks: Marks; quiz: Quiz }) {
  const refresh = useRefresh();
  const { message } = App.useApp();
  const found = marks.answers.filter((answer) => answer.conflicting.length > 0);
  if (found.length === 0) return null;
  const decide = (answer: MarkedAnswer, written: MarkedAnswer['written']) =>
    post(`/api/quizzes/${quiz.id}/paper`, {
      studentId: answer.studentId,
      stationId: answer.stationId,
      answer: written,
      decide: true,
    })
      .then(refresh)
      .catch((error: unknown) => void message.error(messageOf(error)));
  return (
    <section className="notice">
      <h3>Two devices say different things</h3>
      {found.map((answer) => (
        <p key={answer.responseId}>
          {marks.students.find((student) => student.id === answer.studentId)?.name}, station{' '}
          {marks.stations.find((station) => station.id === answer.stationId)?.position}:{' '}
          {[answer.written, ...answer.conflicting.map((other) => other.written)].map((written, i) => (
            <Button
              key={i}
              size="small"
              onClick={() => void decide(answer, written)}
              style={{ marginRight: 6 }}
            >
              count “{answerText(written) || 'blank'}”
            </Button>
          ))}
        </p>
      ))}
    </section>
  );
}

interface Group {
  truth: string;
  text: string;
  answers: MarkedAnswer[];
}

/** Equal answers that the rules could not resolve, ruled once for all papers. */
function ToRule({ marks, quiz }: { marks: Marks; quiz: Quiz }) {
  const refresh = useRefresh();
  const { message } = App.useApp();
  const truthOf = (answer: MarkedAnswer) =>
    marks.stations.find((station) => station.id === answer.stationId)!.taxonId;
  const groups = new Map<string, Group>();
  const ruled = new Map<string, Group>();
  for (const answer of marks.answers) {
    const into = answer.ruledBy
      ? ruled
      : ['none', 'ambiguous'].includes(answer.mark.resolution.how)
        ? groups
        : undefined;
    if (!into) continue;
    const truth = truthOf(answer);
    const key = `${truth} ${answer.text.toLowerCase()}`;
    const group = into.get(key) ?? { truth, text: answer.text, answers: [] };
    group.answers.push(answer);
    into.set(key, group);
  }
  const rule = (group: Group, countsAs: string | null, withdraw = false) =>
    post(`/api/quizzes/${quiz.id}/rulings`, { truth: group.truth, text: group.text, countsAs, withdraw })
      .then(refresh)
      .catch((error: unknown) => void message.error(messageOf(error)));
  const name = (id: string) => {
    const taxon = marks.list.find((entry) => entry.id === id);
    return taxon ? scientificName(taxon) : id;
  };
  if (groups.size === 0 && ruled.size === 0) return null;
  return (
    <section className="to-rule">
      {groups.size > 0 && (
        <>
          <h3>{groups.size === 1 ? 'One answer to rule on' : `${groups.size} answers to rule on`}</h3>
          <p className="quiet">A ruling holds for every equal answer in this course, and is remembered.</p>
        </>
      )}
      {[...groups.values()].map((group) => (
        <p key={group.truth + group.text}>
          “{group.text}” for <span className="latin">{name(group.truth)}</span> ({group.answers.length} paper
          {group.answers.length > 1 ? 's' : ''}) counts as{' '}
          <select
            aria-label={`“${group.text}” counts as`}
            value=""
            onChange={(event) =>
              void rule(group, event.target.value === 'nothing' ? null : event.target.value)
            }
          >
            <option value="">choose…</option>
            <option value="nothing">no tree of the list</option>
            {marks.list.map((taxon) => (
              <option key={taxon.id} value={taxon.id}>
                {scientificName(taxon)}
                {taxon.id === group.truth ? ' (right)' : ''}
              </option>
            ))}
          </select>
        </p>
      ))}
      {[...ruled.values()].map((group) => (
        <p key={group.truth + group.text} className="quiet">
          “{group.text}” for <span className="latin">{name(group.truth)}</span> counts as{' '}
          {group.answers[0]!.mark.resolution.taxonId ? (
            <span className="latin">{name(group.answers[0]!.mark.resolution.taxonId)}</span>
          ) : (
            'no tree'
          )}{' '}
          by ruling of {group.answers[0]!.ruledBy}.{' '}
          <button className="link" onClick={() => void rule(group, null, true)}>
            Take the ruling back
          </button>
        </p>
      ))}
    </section>
  );
}

function Sheet({ marks, onOpen }: { marks: Marks; onOpen(answer: MarkedAnswer): void }) {
  const counted = marks.stations.filter((station) => !station.voided);
  const byCell = new Map(marks.answers.map((answer) => [`${answer.studentId} ${answer.stationId}`, answer]));
  const outOf = marks.answers[0]?.mark.outOf ?? 0;
  const rightShare = (stationId: string) => {
    const here = marks.answers.filter((answer) => answer.stationId === stationId);
    const truth = marks.stations.find((station) => station.id === stationId)!.taxonId;
    return here.length
      ? Math.round(
          (here.filter((answer) => answer.mark.resolution.taxonId === truth).length / here.length) * 100,
        )
      : 0;
  };
  return (
    <div className="sheet-scroll">
      <table className="plain-table sheet">
        <thead>
          <tr>
            <th>Student</th>
            <th className="num">Points</th>
            {counted.map((station) => (
              <th
                key={station.id}
                className="num"
                title={marks.list.find((taxon) => taxon.id === station.taxonId)?.commonNames[0]}
              >
                {station.position}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {marks.students.map((student) => {
            const own = counted.map((station) => byCell.get(`${student.id} ${station.id}`));
            return (
              <tr key={student.id}>
                <td>{student.name}</td>
                <td className="num">
                  <strong>{show(own.reduce((sum, answer) => sum + (answer?.mark.points ?? 0), 0))}</strong> /{' '}
                  {show(outOf * counted.length)}
                </td>
                {own.map((answer, i) => (
                  <td key={counted[i]!.id} className="num">
                    {answer ? (
                      <button
                        className={
                          answer.mark.points === 0
                            ? 'cell none'
                            : answer.mark.points < answer.mark.outOf
                              ? 'cell part'
                              : 'cell'
                        }
                        title={answer.text || 'blank'}
                        onClick={() => onOpen(answer)}
                      >
                        {show(answer.mark.points)}
                      </button>
                    ) : (
                      <span className="quiet">–</span>
                    )}
                  </td>
                ))}
              </tr>
            );
          })}
          <tr>
            <td className="quiet">named rightly, %</td>
            <td />
            {counted.map((station) => (
              <td key={station.id} className="num quiet">
                {rightShare(station.id)}
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </div>
  );
}

/** One answer, part by part. */
function Opened({ answer, marks, course }: { answer: MarkedAnswer; marks: Marks; course: Course }) {
  const station = marks.stations.find((entry) => entry.id === answer.stationId)!;
  const truth = marks.list.find((taxon) => taxon.id === station.taxonId)!;
  return (
    <aside className="opened" aria-live="polite">
      <h3>
        {course.students.find((student) => student.id === answer.studentId)?.name}, station {station.position}
        : {commonName(truth)}, <span className="latin">{scientificName(truth)}</span>
      </h3>
      <table className="plain-table">
        <tbody>
          {answer.mark.parts.map((part) => (
            <tr key={part.part}>
              <td>{part.part}</td>
              <td>“{part.written}”</td>
              <td className="num">
                {show(part.points)} of {show(part.outOf)}
              </td>
              <td>{part.remark}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {answer.ruledBy && <p className="quiet">Ruled by {answer.ruledBy}.</p>}
    </aside>
  );
}
