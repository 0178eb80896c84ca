import {
  attendedOf,
  beforehand,
  ordinaryAttention,
  tellingsOf,
  worthOfLooking,
  type Attended,
  type Known,
  type Scene,
  type Telling,
} from '../attention/index.ts';
import { median } from 'simple-statistics';
import type { Consequence } from './consequences.ts';
import type { PreparedClass } from './situations.ts';

/** What one student said to have gone by at one station, of what a checklist offered. */
export interface WentBy {
  studentId: string;
  stationId: string;
  /** Ids of characters. */
  offered: readonly string[];
  told: readonly string[];
  /** Where it was told, if not at a station of a quiz. */
  from?: 'practice' | 'sorting';
}

/** What reports say of one character. */
export interface ToldFinding extends Attended {
  telling: Telling;
  /** Errors that would not have been made, had it been looked at as an ordinary one. */
  prevented: Consequence;
  /** On such a list only the order of these figures can be said. */
  rankOnly: boolean;
}

/** Names count beside reports where there are at least so many trees in views for each character that could tell. */
const SITUATIONS_FOR_EACH = 1.5;
/** Of what the model would save comes true: about so much, and, from the worst list to the best, between so little and so much (`npm run bench`). */
const COMES_TRUE = { about: 0.35, from: 0.2, to: 0.9 };
/** The same where no more than so many characters can be looked at: there the model knows better what others make up for. */
const FEW_TO_SEE = { looks: 15, about: 0.8 };
/** What looking at one character saves is known this well; the rest is what looking at any that tells as many errors does. */
const OWN = 0.4;
/** Among fewer names what comes true is no longer in proportion to what the model would save: there only the order is said. */
const FEWEST_NAMES = 30;

/**
 * What a class looks at, by what its students say they went by and, where there is enough of them, by the names they give (docs/method.md,
 * What they went by). Of near-duplicates a tick counts for the one that stands for them.
 *
 * @param names use of each character by the names alone over that of the typical one, with its deviation; undefined where not identified
 * @param telling the situations in which each character could tell the truth
 * @param earlier chance that earlier classes passed a character over, by id
 * @returns one entry a character of `prepared.data`; undefined where nobody was asked about it
 */
export function toldFindings(
  prepared: PreparedClass,
  wentBy: readonly WentBy[],
  names: readonly ({ use: number; sd: number } | undefined)[],
  telling: readonly (readonly number[])[],
  earlier: ReadonlyMap<string, number> = new Map(),
): (ToldFinding | undefined)[] {
  const { data, speakerOf } = prepared;
  const place = new Map(data.characters.map((id, c) => [id, c]));
  const placesOf = (ids: readonly string[]) => [
    ...new Set(ids.flatMap((id) => place.get(speakerOf.get(id) ?? id) ?? [])),
  ];
  const tellings = tellingsOf(
    data.characters.length,
    wentBy.map(({ offered, told }) => ({ offered: placesOf(offered), told: placesOf(told) })),
  );
  if (tellings.every(({ offered }) => offered === 0)) return data.characters.map(() => undefined);
  const scenes = scenesOf(prepared);
  const able = telling.filter(({ length }) => length >= 2).length;
  const namesCount = scenes.length >= SITUATIONS_FOR_EACH * able;
  const attended = attendedOf(
    tellings.map((told, c): Known => {
      const before = earlier.get(data.characters[c]!);
      return {
        told,
        ...(namesCount && names[c] ? { names: names[c] } : {}),
        ...(before === undefined ? {} : { before: beforehand(before) }),
      };
    }),
    ordinaryAttention(scenes),
  );
  const { worth: own, ordinary } = worthOfLooking(
    scenes,
    attended.map(({ use }) => use),
  );
  const worth = shrunk(own, prepared, telling);
  const looks = median(scenes.map((scene) => scene.looks.length));
  const about = looks <= FEW_TO_SEE.looks ? FEW_TO_SEE.about : COMES_TRUE.about;
  const rankOnly = median(scenes.map(({ options }) => options)) < FEWEST_NAMES;
  return attended.map((found, c): ToldFinding | undefined => {
    if (tellings[c]!.offered === 0) return undefined;
    const saved = (use: number) => worth[c]! * ordinary * (1 - use);
    const [low, high] = found.interval.map(saved).sort((x, y) => x - y) as [number, number];
    return {
      ...found,
      telling: tellings[c]!,
      prevented: {
        prevented: about * saved(found.use),
        interval: [(low < 0 ? COMES_TRUE.to : COMES_TRUE.from) * low, COMES_TRUE.to * high],
        chance: found.below,
      },
      rankOnly,
    };
  });
}

/** What looking would save, drawn in to what looking at any character saves that could tell as many of the wrong answers. */
function shrunk(
  own: Float64Array,
  { data }: PreparedClass,
  telling: readonly (readonly number[])[],
): Float64Array {
  const wrong = wrongIn(data);
  const tells = telling.map((situations) => situations.reduce((sum, s) => sum + wrong[s]!, 0));
  const able = [...telling.keys()].filter((c) => telling[c]!.length >= 2);
  const total = (values: ArrayLike<number>) => able.reduce((sum, c) => sum + values[c]!, 0);
  const rate = total(own) / Math.max(1, total(tells));
  return own.map((worth, c) => OWN * worth + (1 - OWN) * rate * tells[c]!);
}

/** Wrong names given in each situation. */
function wrongIn({ situations, choices }: PreparedClass['data']): Float64Array {
  const wrong = new Float64Array(situations.length);
  for (const { situation, answer } of choices) {
    const { options, truth } = situations[situation]!;
    if (answer < options.length && options[answer] !== truth) wrong[situation]! += 1;
  }
  return wrong;
}

/** The situations of a class as the reader's model sees them. */
function scenesOf({ data, looks }: PreparedClass): Scene[] {
  const answered = data.situations.map(() => ({ answers: 0, right: 0 }));
  for (const { situation, answer } of data.choices) {
    const { options, truth } = data.situations[situation]!;
    if (answer >= options.length) continue;
    answered[situation]!.answers += 1;
    if (options[answer] === truth) answered[situation]!.right += 1;
  }
  return data.situations.map(({ options, truth }, s) => ({
    options: options.length,
    truth: options.indexOf(truth),
    looks: looks[s]!,
    ...answered[s]!,
  }));
}
