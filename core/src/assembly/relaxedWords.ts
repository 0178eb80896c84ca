import { counted, upperFirst } from '../words/index.ts';
import type { NotPossible } from './candidates.ts';
import { ASKED_TITLES } from './asked.ts';
import { kindOf } from './kinds.ts';
import type { Relaxation } from './propose.ts';
import type { AskedKind, ClassSoFar, QuizWishes } from './wishes.ts';

/**
 * What could not be had, and the least that would have to give, as a sentence for the instructor.
 *
 * @example
 * relaxedInWords({ wish: 'kind', of: 'fruit', side: 'least', by: 2 }, wishes, so);
 * // 'Fruit or cone: 2 stations fewer than the 5 you want. Fewer trees bear any on that day, or they cannot be told by it.'
 */
export function relaxedInWords(
  { wish, of = '', side, by }: Relaxation,
  wishes: QuizWishes,
  { sets }: Pick<ClassSoFar, 'sets'>,
): string {
  const few = side === 'least';
  const off = `${counted(by, 'station')} ${few ? 'fewer' : 'more'}`;
  switch (wish) {
    case 'stations':
      return few
        ? `Only ${wishes.stations - by} of ${wishes.stations} stations can be set: allow more kinds of station, less fair ones, or a tree twice.`
        : `${off} than you want.`;
    case 'kind': {
      const title = kindOf(of)?.title ?? of;
      const { least, most } = wishes.kinds[of]!;
      return few
        ? `${upperFirst(title)}: ${off} than the ${least} you want. No more trees can be shown so that day and be told by it.`
        : `${upperFirst(title)}: ${off} than the ${most} you allow, or there are too few stations. Allow more, or other kinds.`;
    }
    case 'asked': {
      const wanted = wishes.asked?.[of as AskedKind];
      // Between forms nothing was wished for but that they are alike.
      if (!wanted)
        return 'The forms cannot ask for as many of each thing: there are too few stations to choose from.';
      const { least, most } = wanted;
      const title = `Stations that ask for ${ASKED_TITLES[of as AskedKind]}`;
      return few
        ? `${title}: ${off} than the ${least} you want. At no other can it be asked fairly in what is shown that day.`
        : `${title}: ${off} than the ${most} you allow.`;
    }
    case 'set': {
      const title = sets.find(({ id }) => id === of)?.title ?? of;
      const { least, most } = wishes.sets[of]!;
      return few
        ? `${title}: ${off} than the ${least} you want. The others of it cannot be shown fairly that day.`
        : `${title}: ${off} than the ${most} you allow. Examine other sets as well, or allow more of this one.`;
    }
    case 'again':
      return few
        ? `Trees examined before: ${off} than you want.`
        : `Trees examined before: ${off} than the ${wishes.again.most} you allow. There are not enough new ones that can be shown fairly.`;
    case 'mixedUp':
      return `Pairs that they mix up: ${off} than the ${wishes.mixedUp} you want. No more trees of such pairs can be shown that day and be told by it.`;
    case 'expected':
      if (of === 'forms')
        return 'The forms cannot be made equally hard: there are too few stations to choose from.';
      return of === 'low'
        ? `The quiz will be harder than you want: about ${Math.round(100 * by)} in 100 fewer right answers. Ask for more that is easy to see, or allow it.`
        : `The quiz will be easier than you want: about ${Math.round(100 * by)} in 100 more right answers. Less fair stations would make it harder, which is no help.`;
    default:
      return `${off} than you want.`;
  }
}

const WHY: Record<NotPossible, { one: string; many: string }> = {
  'not there': { one: 'bears nothing of it that day', many: 'bear nothing of it that day' },
  'in leaf': { one: 'is not bare that day', many: 'are not bare that day' },
  bare: { one: 'is mostly bare that day', many: 'are mostly bare that day' },
  protected: { one: 'is protected and may not be cut', many: 'are protected and may not be cut' },
  'not drawn': { one: 'is not scored enough to be drawn', many: 'are not scored enough to be drawn' },
};

/** Why trees cannot be shown, to follow their name or number: `whyNotShown('in leaf')` is “is not bare that day”. */
export const whyNotShown = (why: NotPossible, trees = 1): string => WHY[why][trees === 1 ? 'one' : 'many'];
