import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ClassReport, ConfusionData } from '@hurrow/contract/confusions';
import { lazy, Suspense, useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { quizStatistics, type Calibration } from '@hurrow/core/confusion';
import { MEDIUM_TITLES } from '@hurrow/core/view';
import { useLeaveOut } from './NotTheirFault.tsx';
import { notEnough } from './TeachNext.tsx';
import { percent, type Names } from './useNames.ts';
import { decimal } from '../language/inWords.ts';
import styles from './confusions.module.css';
import { LinkButton, Opening, Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import { inTongue } from '../language/inTongue.ts';

// The plots come with what draws them, to who looks at one.
const PredictionPlot = lazy(() => import('./PredictionPlot.tsx'));

interface StationsProps {
  courseId: string;
  data: ConfusionData;
  report: ClassReport;
  names: Names;
}

/** How the stations did: right answers against those predicted, and what a test theorist would look at. */
export function Stations({ courseId, data, report, names }: StationsProps) {
  const found = new Map(report.stations.map((station) => [station.stationId, station]));
  const title = (id: string) => {
    const station = data.stations.find((each) => each.id === id)!;
    const quiz = data.quizzes.find((each) => each.id === station.quizId)!;
    return t`${quiz.title}, station ${station.position}, ${names.taxon(station.truth)}`;
  };
  return (
    <>
      <h1>
        <Trans>Stations</Trans>
      </h1>
      {report.state === 'enough' ? (
        <div className={styles['prediction']}>
          <Suspense fallback={<Opening />}>
            <PredictionPlot report={report} title={title} />
          </Suspense>
          <div>
            <h2>
              <Trans>Does the model know this class?</Trans>
            </h2>
            <p>
              <Trans>
                Each mark is a station: the share of right answers that the model expects, against the share
                there was. On the line it expects what came.
              </Trans>
            </p>
            {report.inSample && (
              <p>
                <Trans>
                  <strong>● With all quizzes</strong> the slope is {slopeOf(report.inSample)}.
                </Trans>
              </p>
            )}
            {report.leftOut ? (
              <p>
                <Trans>
                  <strong>○ Each quiz predicted from the others</strong> the slope is{' '}
                  {slopeOf(report.leftOut)}. 1 would be a prediction neither too bold nor too timid.
                </Trans>
              </p>
            ) : (
              <p>
                <Trans>With a second quiz each can be predicted from the other, the harder trial.</Trans>
              </p>
            )}
            {report.losses.length > 0 && (
              <table className={ui['plain-table']}>
                <caption>
                  <Trans>Surprise at the answers of a quiz that was not seen; less is better</Trans>
                </caption>
                <thead>
                  <tr>
                    <th>
                      <Trans>Quiz</Trans>
                    </th>
                    <th className={styles['num']}>
                      <Trans>Model</Trans>
                    </th>
                    <th className={styles['num']}>
                      <Trans>Without characters</Trans>
                    </th>
                    <th className={styles['num']}>
                      <Trans>Base rate</Trans>
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {report.losses.map(({ quizId, model, withoutUse, baseRate }) => (
                    <tr key={quizId}>
                      <td>{data.quizzes.find(({ id }) => id === quizId)?.title}</td>
                      <td className={styles['num']}>{decimal(model, 2)}</td>
                      <td className={styles['num']}>{decimal(withoutUse, 2)}</td>
                      <td className={styles['num']}>{decimal(baseRate, 2)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
          </div>
        </div>
      ) : (
        <p>{notEnough(report)}</p>
      )}
      {data.quizzes.map((quiz) => (
        <QuizTable
          key={quiz.id}
          quiz={quiz}
          courseId={courseId}
          data={data}
          report={report}
          names={names}
          found={found}
        />
      ))}
    </>
  );
}

const twoPlaces = (value: number): string => decimal(value, 2).replace('-', '−');

const slopeOf = ({ slope, interval }: Calibration) =>
  t`${twoPlaces(slope)} (90 % interval ${twoPlaces(interval[0])} to ${twoPlaces(interval[1])})`;

function QuizTable({
  quiz,
  courseId,
  data,
  report,
  names,
  found,
}: StationsProps & {
  quiz: ConfusionData['quizzes'][number];
  found: Map<string, ClassReport['stations'][number]>;
}) {
  const { leaveOut, saving, problem } = useLeaveOut(courseId);
  const stations = data.stations.filter(({ quizId, voided }) => quizId === quiz.id && !voided);
  const statistics = useMemo(() => {
    const counted = new Map(
      data.stations
        .filter(({ quizId, voided, leftOut }) => quizId === quiz.id && !voided && !leftOut)
        .map((station) => [station.id, station]),
    );
    return quizStatistics(
      data.answers.flatMap(({ studentId, stationId, named }) => {
        const station = counted.get(stationId);
        return station ? [{ studentId, stationId, named, right: named === station.truth }] : [];
      }),
    );
  }, [data, quiz.id]);
  const of = new Map(statistics.stations.map((station) => [station.stationId, station]));
  const fairness = new Map(report.fairness.map((entry) => [entry.stationId, entry]));
  return (
    <section>
      <h2>{quiz.title}</h2>
      <p className="quiet">
        {statistics.reliability === undefined
          ? t`Reliability cannot be computed: it takes several stations and students who differ.`
          : t`KR-20 reliability ${twoPlaces(statistics.reliability)}; standard error of a student’s number right ${decimal(statistics.standardError!, 1)} stations.`}{' '}
        <Link to={`/c/${courseId}/quizzes/${quiz.id}/mark`}>
          <Trans>The papers</Trans>
        </Link>
      </p>
      {problem && <Problem>{problem}</Problem>}
      <table className={`${ui['plain-table']} ${styles['stations']}`}>
        <thead>
          <tr>
            <th className={styles['num']}>
              <Trans>No.</Trans>
            </th>
            <th>
              <Trans>Tree and medium</Trans>
            </th>
            <th className={styles['num']}>
              <Trans>Right</Trans>
            </th>
            <th className={styles['num']}>
              <Trans>Expected</Trans>
            </th>
            <th
              className={styles['num']}
              title={t`Correlation of being right here with the number right at the other stations`}
            >
              <Trans>Discrimination</Trans>
            </th>
            <th className={styles['num']}>
              <Trans>Ideal reader</Trans>
            </th>
            <th>
              <Trans>Remarks</Trans>
            </th>
            <th />
          </tr>
        </thead>
        <tbody>
          {stations.map((station) => (
            <StationRow
              key={station.id}
              station={station}
              base={`/c/${courseId}`}
              names={names}
              row={of.get(station.id)}
              fair={fairness.get(station.id)}
              expected={found.get(station.id)?.predicted}
            >
              <LinkButton disabled={saving} onClick={() => void leaveOut(station.id, !station.leftOut)}>
                {station.leftOut ? t`Take in again` : t`Leave out`}
              </LinkButton>
            </StationRow>
          ))}
        </tbody>
      </table>
    </section>
  );
}

interface StationRowProps {
  station: ConfusionData['stations'][number];
  base: string;
  names: StationsProps['names'];
  row: ReturnType<typeof quizStatistics>['stations'][number] | undefined;
  fair: ClassReport['fairness'][number] | undefined;
  /** Share that is expected to be right. */
  expected: number | undefined;
  children: ReactNode;
}

function StationRow({ station, base, names, row, fair, expected, children }: StationRowProps) {
  return (
    <tr className={station.leftOut ? styles['left-out'] : ''}>
      <td className={styles['num']}>{station.position}</td>
      <td>
        <Link to={`${base}/species/${station.truth}`}>{names.taxon(station.truth)}</Link>{' '}
        <span className="quiet">{inTongue(MEDIUM_TITLES[station.medium])}</span>
      </td>
      <td className={styles['num']}>{row ? percent(row.right) : '–'}</td>
      <td className={styles['num']}>{expected === undefined ? '–' : percent(expected)}</td>
      <td className={styles['num']}>
        {row?.discrimination === undefined ? '–' : twoPlaces(row.discrimination)}
      </td>
      <td className={styles['num']}>{fair ? percent(fair.right) : '–'}</td>
      <td>
        {station.leftOut && (
          <div>
            <Trans>left out of the analyses</Trans>
          </div>
        )}
        {fair?.judgement === 'unfair' && (
          <div className="rust">
            <Trans>unfair: it could not be told</Trans>
          </div>
        )}
        {fair?.judgement === 'strained' && (
          <div className="gold">
            <Trans>strained</Trans>
          </div>
        )}
        {row?.upsideDown && (
          <div className="rust">
            <Trans>missed more by the stronger half</Trans>
          </div>
        )}
        {row?.drew.map(({ named, count }) => (
          <div key={named}>
            <Trans>
              <Link to={`${base}/confusions/${station.truth}/${named}`}>{names.taxon(named)}</Link> drew{' '}
              {count}
            </Trans>
          </div>
        ))}
      </td>
      <td>{children}</td>
    </tr>
  );
}
