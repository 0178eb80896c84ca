import { readLibrary } from '@hurrow/core/library';
import { appraise, buildKey } from '@hurrow/core/key';
import { randomFrom } from '@hurrow/core/random';
import { MEDIUM_VIEWS, type View } from '@hurrow/core/view';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { demoLibrary } from '../../demo/src/library.ts';
import { greedyKey } from './greedyKey.ts';
import { milliseconds, timed, type Row } from './row.ts';
import { syntheticLibrary } from './synthetic.ts';

const SUMMER = 205;
const LISTS = 20;
const cutting: View = { ...MEDIUM_VIEWS.cutting, day: SUMMER, qualifiers: { plantAge: 'mature' } };

/** Keys: how short, how sure against plain greedy splitting on the same lists, and how fast. */
export function keys(): Row[] {
  const all = readLibrary(demoLibrary()).profiles;
  const whole = appraise(buildKey(all, BUILT_IN, cutting, { level: 'intermediate' }), all, BUILT_IN);
  const random = randomFrom(40_711);
  const gains = Array.from({ length: LISTS }, (_, seed) => {
    const size = 12 + Math.floor(random.uniform() * 20);
    const list = [...all].map((profiled) => ({ profiled, at: random.uniform() })).sort((a, b) => a.at - b.at);
    const taxa = list.slice(0, size).map(({ profiled }) => profiled);
    const right = (key: ReturnType<typeof buildKey>) =>
      appraise(key, taxa, BUILT_IN, { specimens: 100, seed: seed + 1 }).right;
    return (
      right(buildKey(taxa, BUILT_IN, cutting, { level: 'intermediate' })) -
      right(greedyKey(taxa, BUILT_IN, cutting, 'intermediate'))
    );
  });
  const mean = gains.reduce((sum, gain) => sum + gain, 0) / LISTS;
  const spread = Math.sqrt(gains.reduce((sum, gain) => sum + (gain - mean) ** 2, 0) / (LISTS - 1));
  // Student's t with 19 degrees of freedom.
  const half = (2.093 * spread) / Math.sqrt(LISTS);
  const { taxa, vocabulary } = syntheticLibrary(1000, 120, 5);
  const points = (share: number) => (100 * share).toFixed(1);
  return [
    {
      what: 'key to the 42 demo taxa in summer: mean questions over log₂ n',
      value: (whole.meanQuestions / whole.bound).toFixed(3),
      wanted: '≤ 1.25',
    },
    {
      what: 'the same: share of noisy beginners who reach the right taxon',
      value: `${points(whole.right)} %`,
    },
    {
      what: `more noisy readers right than with greedy splitting, ${LISTS} lists, points [95 %]`,
      value: `${points(mean)} [${points(mean - half)}, ${points(mean + half)}]`,
      wanted: 'above 0',
    },
    {
      what: 'key, 1,000 taxa × 120 characters, median of 3',
      value: milliseconds(timed(() => buildKey(taxa, vocabulary, cutting), 3, 0)),
      wanted: '< 5 s',
    },
  ];
}
