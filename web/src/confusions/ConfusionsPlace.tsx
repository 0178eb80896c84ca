import { Route, Routes, useNavigate, Link } from 'react-router';
import { useState } from 'react';
import { commonName } from '@hurrow/core/taxon';
import { messageOf } from '../app/api.ts';
import { useLibrary, type ConfusionData } from '../app/data.ts';
import { useKeys } from '../app/keys.ts';
import { PairPage } from './PairPage.tsx';
import { useConfusions } from './useConfusions.ts';
import './confusions.css';

/** Who is taken for whom in a course, in which direction and how often; a pair opens its contrast and its answers. */
export default function ConfusionsPlace({ courseId }: { courseId: string }) {
  return (
    <Routes>
      <Route path="" element={<Pairs courseId={courseId} />} />
      <Route path=":aId/:bId" element={<PairPage courseId={courseId} />} />
    </Routes>
  );
}

const percent = (share: number) => `${Math.round(share * 100)} %`;

function Pairs({ courseId }: { courseId: string }) {
  const { query, data, answers, pairs } = useConfusions(courseId);
  const { every } = useLibrary();
  const go = useNavigate();
  const [at, setAt] = useState(0);
  const open = (i: number) => pairs[i] && void go(`/c/${courseId}/confusions/${pairs[i].a}/${pairs[i].b}`);
  useKeys({
    j: () => setAt(Math.min(pairs.length - 1, at + 1)),
    k: () => setAt(Math.max(0, at - 1)),
    Enter: () => open(at),
  });
  const name = (id: string) => {
    const found = every.find(({ taxon }) => taxon.id === id);
    return found ? commonName(found.taxon) : id;
  };
  if (courseId === '-')
    return <Nothing text="Make a course and hold a quiz; the confusions of its students then stand here." />;
  if (query.isPending) return <p className="opening">Counting the answers…</p>;
  if (query.isError && !data) return <p className="problem">{messageOf(query.error)}</p>;
  if (answers.length === 0)
    return (
      <Nothing text="No answers yet. Open a quiz and let students answer, or enter their papers; the confusions then stand here." />
    );
  const wrong = answers.filter((answer) => answer.named !== answer.truth).length;
  const unnamed = answers.filter((answer) => answer.named === null).length;
  const most = pairs[0]?.count ?? 1;
  return (
    <section className="page">
      <div className="page-head">
        <h1>What they take for what</h1>
        <span className="quiet">
          {answers.length} answers of {data!.quizzes.map((quiz) => quiz.title).join(', ')}; {wrong} wrong,{' '}
          {unnamed} of these without a tree of the list
        </span>
      </div>
      {pairs.length === 0 ? (
        <p>
          No tree was called by another’s name.{' '}
          {wrong === 0 ? 'Every answer was right.' : 'The wrong answers named no tree of the list.'}
        </p>
      ) : (
        <table className="plain-table pairs">
          <thead>
            <tr>
              <th>Pair</th>
              <th>Which way</th>
              <th className="num">Rate, 90 % interval</th>
              <th className="num">Students</th>
              <th>Answers mixed up</th>
            </tr>
          </thead>
          <tbody>
            {pairs.map((pair, i) => (
              <tr key={`${pair.a} ${pair.b}`} className={i === at ? 'at' : ''} aria-selected={i === at}>
                <td>
                  <Link to={`${pair.a}/${pair.b}`}>
                    {name(pair.a)} and {name(pair.b)}
                  </Link>
                  {(pair.ab?.repeated || pair.ba?.repeated) && <small className="quiet"> repeated</small>}
                </td>
                <td>
                  {[pair.ab, pair.ba].map(
                    (way) =>
                      way && (
                        <div key={way.truth}>
                          {name(way.truth)} called {name(way.answer)}: <strong>{way.count}</strong> of{' '}
                          {way.asked}
                        </div>
                      ),
                  )}
                </td>
                <td className="num">
                  {[pair.ab, pair.ba].map(
                    (way) =>
                      way && (
                        <div key={way.truth}>
                          {percent(way.rate)}{' '}
                          <span className="quiet">
                            ({percent(way.interval[0])}–{percent(way.interval[1])})
                          </span>
                        </div>
                      ),
                  )}
                </td>
                <td className="num">
                  {
                    new Set(
                      [...(pair.ab?.answers ?? []), ...(pair.ba?.answers ?? [])].map(
                        (answer) => answer.studentId,
                      ),
                    ).size
                  }
                </td>
                <td>
                  <span className="rust-bar">
                    <i style={{ width: `${(pair.count / most) * 160}px` }} />
                    {pair.count}
                  </span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <Unnamed data={data!} name={name} />
    </section>
  );
}

/** Wrong answers that name no tree of the list: blanks, other trees, a genus alone, names nobody can read. */
function Unnamed({ data, name }: { data: ConfusionData; name(id: string): string }) {
  const stations = new Map(
    data.stations.filter((station) => !station.voided).map((station) => [station.id, station]),
  );
  const found = data.answers.filter((answer) => answer.named === null && stations.has(answer.stationId));
  if (found.length === 0) return null;
  return (
    <details className="unnamed">
      <summary>
        {found.length} answer{found.length > 1 ? 's' : ''} without a tree of the list
      </summary>
      <ul>
        {found.map((answer) => {
          const station = stations.get(answer.stationId)!;
          return (
            <li key={answer.responseId}>
              {answer.student} {answer.written ? `wrote “${answer.written}”` : 'left blank'} for{' '}
              {name(station.truth)}, station {station.position}
              {answer.how === 'genus'
                ? ' (a genus alone)'
                : answer.how === 'ambiguous'
                  ? ' (more than one tree bears this name)'
                  : ''}
            </li>
          );
        })}
      </ul>
    </details>
  );
}

function Nothing({ text }: { text: string }) {
  return (
    <section className="page">
      <h1>What they take for what</h1>
      <p>{text}</p>
    </section>
  );
}
