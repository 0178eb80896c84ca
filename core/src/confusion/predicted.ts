import type { ChoiceData } from './choice.ts';
import { fitClass, type ClassFit } from './fit.ts';
import {
  baseRateLoss,
  calibration,
  expectedShares,
  leavingOut,
  logLoss,
  shrunkShares,
  withoutEvidence,
  type Calibration,
} from './prediction.ts';
import type { AskedStation, GivenAnswer } from './situations.ts';

export interface StationFinding {
  stationId: string;
  quizId: string;
  answers: number;
  observed: number;
  predicted: number;
  /** Predicted by the other quizzes alone; undefined where there is no other, and for the first of more than a dozen. */
  leftOut?: number;
}

/** Mean of −ln P(answer) on a quiz that was left out of the fit, nats. */
export interface LeftOutLoss {
  quizId: string;
  model: number;
  withoutUse: number;
  baseRate: number;
}

/** Predicted against observed by station: in sample, and by a fit that has not seen the station's quiz. */
export function predictions(
  fit: ClassFit,
  situationOf: ReadonlyMap<string, number>,
  stations: readonly AskedStation[],
  answers: readonly GivenAnswer[],
  at: (share: number, doing: string) => void,
): { stations: StationFinding[]; losses: LeftOutLoss[]; leftOut: Calibration | undefined } {
  const { data } = fit;
  const inSample = expectedShares(fit, data);
  const { byQuiz, losses } = withoutEach(fit, stations, answers, at);
  const counted = rightAt(data, situationOf, answers);
  const found = stations.flatMap(({ id, quizId }): StationFinding[] => {
    const held = counted.get(id);
    if (!held) return [];
    const situation = situationOf.get(id)!;
    const leftOut = byQuiz.get(quizId)?.[situation];
    return [
      {
        stationId: id,
        quizId,
        answers: held.answers,
        observed: held.right / held.answers,
        predicted: inSample[situation]!,
        ...(leftOut === undefined ? {} : { leftOut }),
      },
    ];
  });
  const shrunk = shrunkShares(found);
  const points = shrunk.flatMap(({ leftOut: predicted, observed }) =>
    predicted === undefined ? [] : [{ predicted, observed }],
  );
  return { stations: shrunk, losses, leftOut: calibration(points) };
}

/**
 * Quizzes that are predicted from all others, the latest: each takes a fit of the whole class, and a dozen say how well it goes. Of a class with very
 * many answers fewer do, each with more of them: so many answers are fitted in all.
 */
const MOST_TRIED = 12;
const MOST_FITTED = 240_000;
const FEWEST_TRIED = 4;
export const triedOf = (answers: number): number =>
  Math.min(MOST_TRIED, Math.max(FEWEST_TRIED, Math.floor(MOST_FITTED / answers)));

/** What each quiz is expected to bring by the others alone, by situation, and how well. */
function withoutEach(
  fit: ClassFit,
  stations: readonly AskedStation[],
  answers: readonly GivenAnswer[],
  at: (share: number, doing: string) => void,
) {
  const quizOfStation = new Map(stations.map(({ id, quizId }) => [id, quizId]));
  const quizOf = (choice: number) => quizOfStation.get(answers[choice]!.stationId)!;
  const quizzes = [...new Set(answers.map((_, i) => quizOf(i)))];
  const byQuiz = new Map<string, number[]>();
  if (quizzes.length < 2) return { byQuiz, losses: [] };
  const tried = quizzes.slice(-triedOf(answers.length));
  const losses = tried.map((quizId, i): LeftOutLoss => {
    at(0.75 + (0.25 * i) / tried.length, 'predicting each quiz from the others');
    const { fit: other, learned, held } = leavingOut(fit.data, quizOf, quizId, { start: fit.theta });
    byQuiz.set(quizId, expectedShares(other, held));
    const plain = fitClass(withoutEvidence(learned), { start: fit.theta });
    return {
      quizId,
      model: logLoss(other, held),
      withoutUse: logLoss(plain, withoutEvidence(held)),
      baseRate: baseRateLoss(learned, held),
    };
  });
  return { byQuiz, losses };
}

/** How many answered at each station, and how many of them rightly. */
function rightAt(
  data: ChoiceData,
  situationOf: ReadonlyMap<string, number>,
  answers: readonly GivenAnswer[],
) {
  const counted = new Map<string, { answers: number; right: number }>();
  for (const { stationId, named } of answers) {
    const held = counted.get(stationId) ?? { answers: 0, right: 0 };
    held.answers += 1;
    if (named === data.taxa[data.situations[situationOf.get(stationId)!]!.truth]) held.right += 1;
    counted.set(stationId, held);
  }
  return counted;
}
