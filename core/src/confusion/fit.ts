import { tallies, type ChoiceData } from './choice.ts';
import { addCrossings, situationLoss, totalEvidence, type Crossing } from './likelihood.ts';
import { minimise, type Convex } from './newton.ts';
import { layoutOf, penalty, SCALES, type Layout, type Scales } from './parameters.ts';

/** The confusion model of one class at its optimum. */
export interface ClassFit {
  data: ChoiceData;
  layout: Layout;
  scales: Scales;
  /** All parameters, in the order of the layout. */
  theta: Float64Array;
  /** Negative log-likelihood with the penalty of the priors, nats. */
  value: number;
  /** First derivatives at the optimum, and the lower triangle of the second. */
  gradient: Float64Array;
  hessian: Float64Array;
  steps: number;
}

export interface FitOptions {
  scales?: Scales;
  /** The first guess: of an earlier fit with the same layout. */
  start?: Float64Array;
  /** Called before each step; what it throws stops the fit. */
  onStep?(step: number): void;
}

/** The penalised negative log-likelihood of the whole class, convex in all parameters. */
export function classLoss(data: ChoiceData, layout: Layout, scales: Scales): Convex {
  const counted = tallies(data);
  const totals = data.situations.map(totalEvidence);
  return {
    size: layout.size,
    bounded: layout.characters,
    separate: data.students,
    evaluate: (theta, gradient, hessian) => {
      let loss = penalty(theta, layout, scales, gradient, hessian);
      const crossings: Crossing[] = [];
      data.situations.forEach((situation, s) => {
        loss += situationLoss(
          situation,
          counted[s]!,
          totals[s]!,
          theta,
          layout,
          gradient,
          hessian,
          crossings,
        );
      });
      if (hessian) addCrossings(hessian, layout, crossings);
      return loss;
    },
  };
}

/** Of the gradient, in nats per unit: no use is then further from the optimum than a thousandth of its deviation. */
const TOLERANCE = 2e-3;

/** Stage 1: the parameters of the class. One optimum, whatever the start; without errors it has no finite one but for the priors. */
export function fitClass(data: ChoiceData, options: FitOptions = {}): ClassFit {
  const scales = options.scales ?? SCALES;
  const layout = layoutOf(data.characters.length, data.taxa.length, data.students);
  const start = options.start ?? firstGuess(layout);
  const { at, ...optimum } = minimise(classLoss(data, layout, scales), start, TOLERANCE, options.onStep);
  return { data, layout, scales, theta: at, ...optimum };
}

function firstGuess(layout: Layout): Float64Array {
  const theta = new Float64Array(layout.size);
  theta.fill(0.5, 0, layout.characters);
  theta[layout.base] = 1;
  theta.fill(-3, layout.unnamed, layout.missed);
  return theta;
}
