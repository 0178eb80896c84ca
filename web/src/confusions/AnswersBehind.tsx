import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ConfusionData } from '@hurrow/contract/confusions';
import { Link } from 'react-router';
import { answerId } from '@hurrow/core/confusion';
import { MEDIUM_TITLES } from '@hurrow/core/view';
import type { Names } from './useNames.ts';
import styles from './confusions.module.css';
import { inTongue } from '../language/inTongue.ts';

interface AnswersBehindProps {
  data: ConfusionData;
  /** Ids of the answers. */
  responses: readonly string[];
  names: Names;
  base: string;
}

/** Answers, station by station: who wrote what, each wrong name opening its contrast. */
export function AnswersBehind({ data, responses, names, base }: AnswersBehindProps) {
  const wanted = new Set(responses);
  const quizzes = new Map(data.quizzes.map((quiz, i) => [quiz.id, { title: quiz.title, place: i }]));
  const stations = data.stations
    .map((station) => ({
      station,
      answers: data.answers.filter(
        (answer) => answer.stationId === station.id && wanted.has(answerId(answer)),
      ),
    }))
    .filter(({ answers }) => answers.length > 0)
    .sort((x, y) => y.answers.length - x.answers.length);
  return (
    <ul className={styles['answers-behind']}>
      {stations.map(({ station, answers }) => (
        <li key={station.id}>
          <p>
            <strong>{names.taxon(station.truth)}</strong>{' '}
            <span className="quiet">
              <Trans>
                {quizzes.get(station.quizId)?.title}, station {station.position},{' '}
                {inTongue(MEDIUM_TITLES[station.medium])}
              </Trans>
            </span>
          </p>
          <p>
            {answers.map((answer, i) => (
              <span key={answerId(answer)}>
                {i > 0 && ' · '}
                {answer.student}{' '}
                {answer.named && answer.named !== station.truth ? (
                  <Link to={`${base}/${station.truth}/${answer.named}`}>“{answer.written}”</Link>
                ) : answer.written ? (
                  `“${answer.written}”`
                ) : (
                  t`left blank`
                )}
              </span>
            ))}
          </p>
        </li>
      ))}
    </ul>
  );
}
