import type { Telling } from './telling.ts';

/** How often a state is shown, from always to never. */
type Often = 'always' | 'usually' | 'sometimes' | 'rarely' | 'never';
/** What a size is called when it is set against another. */
export type Size = 'long' | 'wide' | 'thick' | 'tall' | 'large';

/** What is said between the words of a vocabulary. `#` is what is put in. Data alone: it goes to workers with its vocabulary. */
export interface Saying {
  /** Whether words begin small within a sentence, and a sentence behind a colon. */
  small: boolean;
  and: string;
  or: string;
  /** Before the states of a frequency, with the blank behind it. */
  adverbs: Record<Often, string>;
  /** A flag, `always` for yes and `never` for no. */
  flag: Record<Often, string>;
  flagDefined: { yes: string; no: string };
  /** Of what some specimens show. */
  some: string;
  /** What parts a figure from its decimals. */
  point: string;
  /** Units that are words. */
  units: Readonly<Record<string, string>>;
  about: string;
  to: string;
  over: string;
  many: string;
  notGiven: string;
  /** Behind a count, with the comma before it. */
  odd: string;
  even: string;
  /** Behind a range, with the comma before it. */
  usual: string;
  /** Values of qualifiers, where they are not said by their names. */
  qualifiers: Readonly<Record<string, string>>;
  /** Conditions. */
  not: string;
  none: string;
  orMore: string;
  orFewer: string;
  lessThan: string;
  between: string;
  /** Of a larger size by how many times it is another, the largest first; `{as}` and `{more}` are those of its size. */
  times: readonly (readonly [from: number, words: string])[];
  sizes: Record<Size, { as: string; more: string; less: string }>;
  /** Together with characters, something is settled. */
  together: string;
  /** A rule of thumb, and the rank that one may conclude. */
  rule: string;
  ranks: Record<'genus' | 'family', string>;
  /** Of a drawing of which nothing is known. */
  undescribed: string;
  /** How to look at a character, by its id; where there is none, the lessons say it in English. */
  looks?: Readonly<Record<string, string>>;
  /** How lessons tell trees; where there is none, they do it in English. */
  tells?: Telling;
  /** A character is asked for. */
  asked: string;
  /** On the sheets of a character: which of several, states side by side, what some trees do not keep to, a specimen to call and its answer. */
  ofSeveral: string;
  differs: string;
  notAlways: string;
  notKept: string;
  callIt: string;
  onTree: string;
  /** `{one}` shows `{state}` as `{other}` does, seldom or sometimes. */
  bends: { rarely: string; sometimes: string };
}

/** What is said between the words of the built-in vocabulary. */
export const ENGLISH: Saying = {
  small: true,
  and: 'and',
  or: 'or',
  adverbs: { always: '', usually: 'usually ', sometimes: 'sometimes ', rarely: 'seldom ', never: 'never ' },
  flag: { always: 'yes', usually: 'usually', sometimes: 'sometimes', rarely: 'seldom', never: 'no' },
  flagDefined: { yes: 'The feature is there.', no: 'The feature is not there.' },
  some: 'some',
  point: '.',
  units: { '1/cm': 'per cm' },
  about: 'about #',
  to: 'to #',
  over: 'over #',
  many: 'many',
  notGiven: 'not given',
  odd: ', odd',
  even: ', even',
  usual: ', usually #',
  qualifiers: {
    current: "this year's",
    last: "last year's",
    coneBearing: 'cone-bearing',
    long: 'long shoots',
    spur: 'spur shoots',
    sprout: 'sprouts',
  },
  not: 'not #',
  none: 'none',
  orMore: '# or more',
  orFewer: '# or fewer',
  lessThan: 'less than #',
  between: '{from} to {to}',
  times: [
    [3.6, 'several times as {as}'],
    [2.5, 'about three times as {as}'],
    [1.75, 'about twice as {as}'],
    [1.3, 'half as {as} again'],
    [1.12, 'a little {more}'],
  ],
  sizes: {
    long: { as: 'long', more: 'longer', less: 'shorter' },
    wide: { as: 'wide', more: 'wider', less: 'narrower' },
    thick: { as: 'thick', more: 'thicker', less: 'thinner' },
    tall: { as: 'tall', more: 'taller', less: 'shorter' },
    large: { as: 'large', more: 'larger', less: 'smaller' },
  },
  together: 'Together with # they settle it',
  rule: 'If {conditions}, then {conclusion}',
  ranks: { genus: 'the genus #', family: 'the family #' },
  undescribed: 'Nothing of this specimen is described.',
  asked: 'What do you see: #?',
  ofSeveral: '{name}, {at} of {count}',
  differs: 'What differs from left to right?',
  notAlways: '#: not always',
  notKept: 'Which trees of ours do not keep to one?',
  callIt: 'Call it: {at} of {count}',
  onTree: '{states}, on {tree}.',
  bends: {
    rarely: 'Now and then {one} is {state} as {other} is: then look at the rest.',
    sometimes: 'Sometimes {one} is {state} as {other} is: then look at the rest.',
  },
};

/**
 * What is said between the words of a character: in English, unless it was put into another language.
 *
 * @example
 * sayingOf(BUILT_IN.get('bud.scales')!).or; // 'or'
 */
export const sayingOf = ({ saying = ENGLISH }: { saying?: Saying } = {}): Saying => saying;

/**
 * Words put into what is said: `#` for the only one, `{name}` for each of several. What is put in stands as it is.
 *
 * @example
 * putIn('about #', '5–9'); // 'about 5–9'
 * putIn('{from} to {to}', { from: '2', to: '4' }); // '2 to 4'
 */
export const putIn = (words: string, put: string | Readonly<Record<string, string>>): string =>
  typeof put === 'string'
    ? words.replace('#', () => put)
    : words.replace(/\{(\w+)\}/g, (whole, name: string) => put[name] ?? whole);
