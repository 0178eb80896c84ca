import { type Character, type CharacterId, notMet, type Vocabulary } from '../vocabulary/index.ts';
import { stateOf } from '../vocabulary/index.ts';
import { doubtOf, repairFactors, type Related } from './plausible.ts';
import { admits, qualifierKey, unitFactor, type RangeValue, type Score, type ScoreValue } from './score.ts';

export interface ScoreProblem {
  characterId: string;
  /** `error` refuses the score; `warning` keeps it and asks for a second look. */
  severity: 'error' | 'warning';
  message: string;
  /** What was probably meant. */
  repair?: Repair;
  /** What may have been meant as well. */
  orElse?: Repair;
}

export interface Repair {
  label: string;
  /** Null takes the score out. */
  value: ScoreValue | null;
}

/** What relatives of a taxon show for a character, in stored units; nothing where none is scored. */
export type RelatedOf = (characterId: string) => Related | undefined;

/** Characters whose values have an upper bound by their nature. */
const BOUNDED: Readonly<Partial<Record<CharacterId, number>>> = {
  'fruit.samaraAngle': 360,
  'acorn.cupCover': 100,
  'site.soilPh': 14,
};

/** Pairs of characters of which the first is by its nature no smaller than the second. */
const NO_SMALLER: [CharacterId, CharacterId][] = [
  ['leaf.length', 'leaf.width'],
  ['needle.length', 'needle.width'],
  ['habit.height', 'habit.dbh'],
];

/**
 * Looks over the scores of one taxon from one source. Each problem explains itself and offers a repair only where it would lie well within
 * what the character and the relatives show; where two would, both.
 *
 * @param relatedOf what other taxa of the genus show
 */
export function checkScores(
  scores: readonly Score[],
  vocabulary: Vocabulary,
  relatedOf: RelatedOf = () => undefined,
): ScoreProblem[] {
  return scores.flatMap((score) => [
    ...checkValue(score, vocabulary, relatedOf),
    ...checkApplies(score, scores, vocabulary),
    ...checkAgainst(score, scores, vocabulary),
  ]);
}

/** Two measures the wrong way round: a needle wider than it is long. Blades wider than long exist; three times is a slip. */
function checkAgainst(score: Score, all: readonly Score[], vocabulary: Vocabulary): ScoreProblem[] {
  const pair = NO_SMALLER.find(([larger]) => larger === score.characterId);
  const [larger, smaller] = [vocabulary.get(pair?.[0] ?? ''), vocabulary.get(pair?.[1] ?? '')];
  if (!larger || !smaller || score.value.kind !== 'range') return [];
  const other = all.find(
    (entry) =>
      entry.characterId === smaller.id &&
      entry.sourceId === score.sourceId &&
      qualifierKey(entry.qualifiers) === qualifierKey(score.qualifiers),
  )?.value;
  if (other?.kind !== 'range') return [];
  const [length, width] = [score.value.high ?? score.value.low, other.low ?? other.high];
  if (length === undefined || width === undefined || width <= 3 * length) return [];
  return [
    {
      characterId: score.characterId,
      severity: 'warning',
      message: `${capital(smaller.term)} is over three times the ${larger.term}. Are the two swapped?`,
      repair: { label: `Take the ${smaller.term} as ${larger.term}`, value: other },
    },
  ];
}

function checkValue(score: Score, vocabulary: Vocabulary, relatedOf: RelatedOf): ScoreProblem[] {
  const { characterId, value } = score;
  const character = vocabulary.get(characterId);
  const error = (message: string, repair?: ScoreProblem['repair']): ScoreProblem[] => [
    { characterId, severity: 'error', message, ...(repair ? { repair } : {}) },
  ];
  if (!character)
    return error(
      `There is no character “${characterId}” in this library. Check its id in the list of characters.`,
    );
  const fits =
    (value.kind === 'range' && (character.kind === 'measure' || character.kind === 'count')) ||
    (value.kind === 'states' && (character.kind === 'categorical' || character.kind === 'ordinal')) ||
    value.kind === character.kind;
  if (!fits)
    return error(
      `${capital(character.term)} is a ${character.kind} character and cannot take this kind of value.`,
    );
  if (character.derived)
    return error(`${capital(character.term)} is worked out from the calendar; set the leaf months instead.`);

  if (value.kind === 'range') return checkRange(character, value, relatedOf(characterId), error);
  if (value.kind === 'states') {
    const unknown = value.states.find((entry) => !stateOf(character, entry.state));
    if (unknown) {
      const known = character.states.map((state) => state.id).join(', ');
      return error(`“${unknown.state}” is no state of ${character.term}. Choose from: ${known}.`);
    }
    if (value.states.length === 0)
      return error(`Choose at least one state of ${character.term}, or remove the score.`);
    const always = value.states.filter((entry) => entry.frequency === 'always');
    if (!character.anyOf && always.length > 1) {
      const words = always.map((entry) => stateOf(character, entry.state)!.term).join('” and “');
      return error(
        `${capital(character.term)} cannot be “${words}” always. Mark the rarer one “sometimes”.`,
        {
          label: `Keep “${stateOf(character, always[0]!.state)!.term}” as usual, the other as sometimes`,
          value: {
            ...value,
            states: value.states.map((entry) =>
              entry.frequency !== 'always'
                ? entry
                : { ...entry, frequency: entry === always[0] ? 'usually' : 'sometimes' },
            ),
          },
        },
      );
    }
  }
  return [];
}

function checkRange(
  character: Character,
  range: RangeValue,
  related: Related | undefined,
  error: (message: string, repair?: ScoreProblem['repair']) => ScoreProblem[],
): ScoreProblem[] {
  const { id: characterId, term, unit } = character;
  const factor = unitFactor(character);
  const show = (n: number) =>
    `${Number((n / factor).toPrecision(3))}${unit && unit !== '1' ? ` ${unit}` : ''}`;
  const numbers = [range.min, range.low, range.high, range.max, range.typical].filter((n) => n !== undefined);
  if (numbers.length === 0) return error(`Write at least one number for ${term}.`);
  if (numbers.some((n) => !Number.isFinite(n) || n < 0))
    return error(`${capital(term)} cannot be below zero.`);
  if (range.low !== undefined && range.high !== undefined && range.low > range.high)
    return error(
      `${capital(term)}: the low end ${show(range.low)} is above the high end ${show(range.high)}. Swap them?`,
      {
        label: `Swap to ${show(range.high)}–${show(range.low)}`,
        value: { ...range, low: range.high, high: range.low },
      },
    );
  if (range.min !== undefined && range.low !== undefined && range.min > range.low)
    return error(
      `${capital(term)}: the extreme ${show(range.min)} in front lies above the usual low ${show(range.low)}.`,
      mended('Swap the two', { ...range, min: range.low, low: range.min }),
    );
  if (range.max !== undefined && range.high !== undefined && range.max < range.high)
    return error(
      `${capital(term)}: the extreme ${show(range.max)} behind lies below the usual high ${show(range.high)}.`,
      mended('Swap the two', { ...range, max: range.high, high: range.max }),
    );
  const bound = BOUNDED[characterId as CharacterId];
  if (bound !== undefined && numbers.some((n) => n > bound))
    return error(`${capital(term)} cannot be over ${bound}${unit && unit !== 'pH' ? ` ${unit}` : ''}.`, {
      label: `Cut off at ${bound}`,
      value: Object.fromEntries(
        Object.entries(range).map(([end, n]) => [
          end,
          typeof n === 'number' && end !== 'n' ? Math.min(n, bound) : n,
        ]),
      ) as unknown as RangeValue,
    });
  return checkSize(character, range, numbers, related, show);
}

/** A size that cannot be, or that no relative comes near. */
function checkSize(
  { id: characterId, term }: Character,
  range: RangeValue,
  numbers: readonly number[],
  related: Related | undefined,
  show: (n: number) => string,
): ScoreProblem[] {
  const doubt = doubtOf(characterId, numbers, related);
  if (!doubt) return [];
  const [repair, orElse] = repairFactors(characterId, numbers, related).map((factor) => {
    const value = scaleRange(range, factor);
    return {
      label: `Did you mean ${show(value.high ?? value.low ?? value.typical ?? value.max ?? 0)}?`,
      value,
    };
  });
  const size = `${capital(term)} ${show(Math.max(...numbers))}`;
  const message =
    doubt !== 'unlike relatives'
      ? `${size} ${doubt === 'impossible' ? 'looks like a slip' : 'is more than ordinary trees show'}.`
      : `${size}: its relatives here show ${show(related![0])} to ${show(related![1])}.`;
  return [
    {
      characterId,
      severity: 'warning',
      message: repair ? message : `${message} Is it right?`,
      ...(repair ? { repair } : {}),
      ...(orElse ? { orElse } : {}),
    },
  ];
}

/** A repair that holds only if the ends then stand in order. */
function mended(label: string, value: RangeValue): ScoreProblem['repair'] {
  const ends = [value.min, value.low, value.high, value.max].filter((n) => n !== undefined);
  return ends.every((n, i) => i === 0 || ends[i - 1]! <= n) ? { label, value } : undefined;
}

function scaleRange(range: RangeValue, by: number): RangeValue {
  const scaled: RangeValue = { ...range };
  for (const end of ['min', 'low', 'high', 'max', 'typical'] as const) {
    const value = scaled[end];
    if (value !== undefined) scaled[end] = Number((value * by).toPrecision(10));
  }
  return scaled;
}

function checkApplies(score: Score, all: readonly Score[], vocabulary: Vocabulary): ScoreProblem[] {
  const character = vocabulary.get(score.characterId);
  if (!character) return [];
  const said = (governor: string, states: readonly string[]) => {
    const governing = all.filter(
      (other) => other.characterId === governor && other.sourceId === score.sourceId,
    );
    if (governing.length === 0) return undefined;
    return governing.some((other) => states.some((state) => admits(other.value, state)));
  };
  const lacking = notMet(character, said, true);
  if (!lacking) return [];
  const governor = vocabulary.get(lacking.character)!;
  const wanted = lacking.states.map((state) => stateOf(governor, state)?.term ?? state).join(' or ');
  return [
    {
      characterId: score.characterId,
      severity: 'warning',
      message: `${capital(character.term)} applies only where ${governor.term} is ${wanted}. Change one of the two.`,
      repair: { label: `Take ${character.term} out`, value: null },
    },
  ];
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
