import { plural, t } from '@lingui/core/macro';
import {
  ASKED_TITLES,
  kindOf,
  type AskedKind,
  type ClassSoFar,
  type NotPossible,
  type QuizWishes,
  type Relaxation,
} from '@hurrow/core/assembly';
import type { QuizProposed } from '@hurrow/contract/assembly';
import { upperFirst } from '@hurrow/core/words';
import { inTongue } from '../language/inTongue.ts';

/**
 * What of the wishes could not be had, and the least that would have to give, in sentences: first what was settled and cannot be shown.
 *
 * @example
 * gaveUpInWords(proposed, wishes, nameOf); // ['Fruit or cone: 2 stations fewer than the 5 you want. …']
 */
export const gaveUpInWords = (
  { relaxed, notPossible, so }: Pick<QuizProposed, 'relaxed' | 'notPossible' | 'so'>,
  wishes: QuizWishes,
  nameOf: (id: string) => string,
): string[] => [
  ...wishes.pins
    .filter((pin) => notPossible[pin])
    .map((pin) => {
      const [taxonId = '', kind = ''] = pin.split(' ');
      return t`${nameOf(taxonId)}, ${kindTitle(kind)}, could not be kept: it ${whyNotShown(notPossible[pin]!)}.`;
    }),
  ...relaxed.map((each) => relaxedInWords(each, wishes, so)),
];

const kindTitle = (id: string): string => inTongue(kindOf(id)?.title ?? id);

function relaxedInWords(
  { wish, of = '', side, by }: Relaxation,
  wishes: QuizWishes,
  { sets }: Pick<ClassSoFar, 'sets'>,
): string {
  const few = side === 'least';
  const off = few
    ? plural(by, { one: '# station fewer', other: '# stations fewer' })
    : plural(by, { one: '# station more', other: '# stations more' });
  switch (wish) {
    case 'stations':
      return few
        ? t`Only ${wishes.stations - by} of ${wishes.stations} stations can be set: allow more kinds of station, less fair ones, or a tree twice.`
        : t`${off} than you want.`;
    case 'kind': {
      const title = upperFirst(kindTitle(of));
      const { least, most } = wishes.kinds[of]!;
      return few
        ? t`${title}: ${off} than the ${least} you want. No more trees can be shown so that day and be told by it.`
        : t`${title}: ${off} than the ${most} you allow, or there are too few stations. Allow more, or other kinds.`;
    }
    case 'asked': {
      const wanted = wishes.asked?.[of as AskedKind];
      // Between forms nothing was wished for but that they are alike.
      if (!wanted)
        return t`The forms cannot ask for as many of each thing: there are too few stations to choose from.`;
      const title = t`Stations that ask for ${inTongue(ASKED_TITLES[of as AskedKind])}`;
      return few
        ? t`${title}: ${off} than the ${wanted.least} you want. At no other can it be asked fairly in what is shown that day.`
        : t`${title}: ${off} than the ${wanted.most} you allow.`;
    }
    case 'set': {
      const title = sets.find(({ id }) => id === of)?.title ?? of;
      const { least, most } = wishes.sets[of]!;
      return few
        ? t`${title}: ${off} than the ${least} you want. The others of it cannot be shown fairly that day.`
        : t`${title}: ${off} than the ${most} you allow. Examine other sets as well, or allow more of this one.`;
    }
    case 'again':
      return few
        ? t`Trees examined before: ${off} than you want.`
        : t`Trees examined before: ${off} than the ${wishes.again.most} you allow. There are not enough new ones that can be shown fairly.`;
    case 'mixedUp':
      return t`Pairs that they mix up: ${off} than the ${wishes.mixedUp} you want. No more trees of such pairs can be shown that day and be told by it.`;
    case 'expected': {
      if (of === 'forms')
        return t`The forms cannot be made equally hard: there are too few stations to choose from.`;
      const hundredths = Math.round(100 * by);
      return of === 'low'
        ? t`The quiz will be harder than you want: about ${hundredths} in 100 fewer right answers. Ask for more that is easy to see, or allow it.`
        : t`The quiz will be easier than you want: about ${hundredths} in 100 more right answers. Less fair stations would make it harder, which is no help.`;
    }
    default:
      return t`${off} than you want.`;
  }
}

const WHY: Record<NotPossible, (trees: number) => string> = {
  'not there': (n) =>
    plural(n, { one: 'bears nothing of it that day', other: 'bear nothing of it that day' }),
  'in leaf': (n) => plural(n, { one: 'is not bare that day', other: 'are not bare that day' }),
  bare: (n) => plural(n, { one: 'is mostly bare that day', other: 'are mostly bare that day' }),
  protected: (n) =>
    plural(n, { one: 'is protected and may not be cut', other: 'are protected and may not be cut' }),
  'not drawn': (n) =>
    plural(n, { one: 'is not scored enough to be drawn', other: 'are not scored enough to be drawn' }),
};

/** Why trees cannot be shown, to follow their name or number: `whyNotShown('in leaf')` is “is not bare that day”. */
export const whyNotShown = (why: NotPossible, trees = 1): string => WHY[why](trees);
