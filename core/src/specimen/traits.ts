import { hopkinsDelay, partPresent, shiftCalendar } from '../season/index.ts';
import {
  isDeciduous,
  leafyShare,
  scoresInView,
  type ProfiledTaxon,
  type ReadingOptions,
} from '../evidence/index.ts';
import { randomFrom, seedOf, type Random } from '../random/index.ts';
import { admits, stateWeights, YES_SHARE, type AdoptedScore, type ScoreValue } from '../score/index.ts';
import type { View } from '../view/index.ts';
import { applies, type Character, type CharacterId, type Vocabulary } from '../vocabulary/index.ts';

/** A concrete state, set of states, number (in stored units) or yes/no of one individual. */
export type Trait = string | string[] | number | boolean;

/** One individual: what a drawing is made from. */
export interface Traits {
  seed: number;
  values: Record<string, Trait>;
  /** Are there leaves on the twig on the day? */
  leafy: boolean;
  buds: boolean;
  autumn: boolean;
  /** Are flowers or pollen cones, and fruits or cones, on the tree on the day? */
  flowers: boolean;
  fruit: boolean;
  /** How the flowers stood: fruits stand so too, when the flowers are long gone. */
  cluster?: string;
}

/** Measures that grow together share most of their deviation; the correlation is of their logarithms. */
const GROWS_WITH: Record<string, { of: string; correlation: number }> = {
  'leaf.width': { of: 'leaf.length', correlation: 0.85 },
  'leaf.petioleLength': { of: 'leaf.length', correlation: 0.6 },
  'habit.dbh': { of: 'habit.height', correlation: 0.7 },
  'habit.crownSpread': { of: 'habit.height', correlation: 0.5 },
};

/**
 * Draws one individual of a taxon: for each character of the twig, bud, leaf, fruit and bark that its parts show on the day
 * of the view, a state by its frequency or a number by its range. The same seed gives the same individual, and a character
 * keeps its own random stream, so that scoring one more does not change the others. With `typical` every character takes its
 * commonest state or middle value.
 */
export function sampleSpecimen(
  profiled: ProfiledTaxon,
  vocabulary: Vocabulary,
  view: View,
  seed: number,
  options: ReadingOptions & { typical?: boolean } = {},
): Traits {
  const delay = options.reference && options.site ? hopkinsDelay(options.reference, options.site) : 0;
  const calendar = shiftCalendar(profiled.taxon.calendar, delay);
  const deciduous = isDeciduous(profiled);
  const present = (part: Character['part']) =>
    (part !== 'leaves' && part !== 'autumnLeaves') || view.leaves === undefined
      ? partPresent(part, calendar, deciduous, view.day)
      : leafyShare(calendar, deciduous, view) > 0.5 &&
        (part === 'leaves' || partPresent(part, calendar, deciduous, view.day));
  const deviations = new Map<string, number>();
  const byCharacter = new Map<string, AdoptedScore[]>();
  for (const score of profiled.scores) {
    const held = byCharacter.get(score.characterId);
    if (held) held.push(score);
    else byCharacter.set(score.characterId, [score]);
  }
  const values: Record<string, Trait> = {};
  for (const character of vocabulary.values()) {
    const scored = byCharacter.get(character.id);
    if (!scored || character.derived || !present(character.part)) continue;
    const shown = (governor: string, states: readonly string[]) => {
      const held = values[governor];
      return held === undefined ? undefined : states.some((state) => holds(held, state));
    };
    if (!applies(character, shown, true)) continue;
    const scores = scoresInView(scored, view);
    if (scores.length === 0) continue;
    const random = randomFrom(seedOf(seed, character.id));
    const score: AdoptedScore = random.pick(scores);
    const trait = options.typical
      ? typicalValue((scores[0] ?? score).value, character)
      : sampleValue(score.value, character, random, deviations);
    if (trait !== undefined) values[character.id] = trait;
  }
  const cluster = clusterOf(profiled);
  return {
    seed,
    values,
    ...(cluster ? { cluster } : {}),
    leafy: present('leaves'),
    buds: present('buds'),
    autumn: deciduous && present('autumnLeaves'),
    flowers: present('flowers'),
    fruit: present('fruit'),
  };
}

/** The commonest inflorescence of a taxon. */
function clusterOf({ scores }: ProfiledTaxon): string | undefined {
  const value = scores.find((score) => score.characterId === 'flower.type')?.value;
  return value?.kind === 'states' ? value.states[0]?.state : undefined;
}

const holds = (trait: Trait, state: string) =>
  typeof trait === 'boolean'
    ? trait === (state === 'yes')
    : Array.isArray(trait)
      ? trait.includes(state)
      : trait === state;

function sampleValue(
  value: ScoreValue,
  character: Character,
  random: Random,
  deviations: Map<string, number>,
): Trait | undefined {
  switch (value.kind) {
    case 'flag':
      return random.uniform() < YES_SHARE[value.frequency];
    case 'months':
      return undefined;
    case 'states': {
      if (character.anyOf) {
        const chosen = value.states.filter((entry) => random.uniform() < YES_SHARE[entry.frequency]);
        return (chosen.length ? chosen : value.states.slice(0, 1)).map((entry) => entry.state);
      }
      const weights = [...stateWeights(value).entries()].filter(([state]) => admits(value, state));
      return weights[random.weighted(weights.map(([, weight]) => weight))]?.[0];
    }
    case 'range': {
      const low = value.low ?? value.min ?? value.typical ?? (value.high ?? value.max ?? 0) / 2;
      const high = value.high ?? value.max ?? value.typical ?? low * 1.5;
      if (character.kind === 'count') {
        const step = value.step ?? 1;
        const steps = Math.floor((high - low) / step + 1e-9);
        return Math.round(low + step * Math.floor(random.uniform() * (steps + 1)));
      }
      const partner = GROWS_WITH[character.id];
      const shared = partner && deviations.get(partner.of);
      const own = Math.max(-1.645, Math.min(1.645, random.normal()));
      const z =
        shared === undefined
          ? own
          : partner!.correlation * shared + Math.sqrt(1 - partner!.correlation ** 2) * own;
      deviations.set(character.id, z);
      const sigma = Math.log(high / low) / 3.29;
      const drawn = Math.exp((Math.log(low) + Math.log(high)) / 2 + sigma * z);
      return Math.min(value.max ?? high, Math.max(value.min ?? low, drawn));
    }
  }
}

/** The commonest state and the middle of the range: what a textbook shows, for contrasts of two taxa. */
function typicalValue(value: ScoreValue, character: Character): Trait | undefined {
  switch (value.kind) {
    case 'flag':
      return YES_SHARE[value.frequency] >= 0.5;
    case 'months':
      return undefined;
    case 'states': {
      if (character.anyOf) {
        const often = value.states.filter((entry) => YES_SHARE[entry.frequency] >= 0.5);
        return (often.length ? often : value.states.slice(0, 1)).map((entry) => entry.state);
      }
      return [...stateWeights(value).entries()].sort((a, b) => b[1] - a[1])[0]?.[0];
    }
    case 'range': {
      const low = value.low ?? value.min ?? value.typical ?? (value.high ?? value.max ?? 0) / 2;
      const high = value.high ?? value.max ?? value.typical ?? low * 1.5;
      if (character.kind !== 'count') return Math.sqrt(low * high);
      // The larger of two middle counts: three needles stand for "2–3", five lobes for "3–5".
      const step = value.step ?? 1;
      return low + step * Math.ceil((high - low) / step / 2);
    }
  }
}

/** Typed reading of traits, with what to draw where the library does not say. */
export class TraitReader {
  readonly traits: Traits;
  constructor(traits: Traits) {
    this.traits = traits;
  }
  state(id: CharacterId, otherwise: string): string {
    const value = this.traits.values[id];
    return typeof value === 'string' ? value : otherwise;
  }
  states(id: CharacterId): string[] {
    const value = this.traits.values[id];
    return Array.isArray(value) ? value : [];
  }
  /** In millimetres for lengths stored in metres. */
  mm(id: CharacterId, otherwise: number): number {
    const value = this.traits.values[id];
    return typeof value === 'number' ? value * 1000 : otherwise;
  }
  number(id: CharacterId, otherwise: number): number {
    const value = this.traits.values[id];
    return typeof value === 'number' ? value : otherwise;
  }
  flag(id: CharacterId): boolean {
    return this.traits.values[id] === true;
  }
  known(id: CharacterId): boolean {
    return this.traits.values[id] !== undefined;
  }
}
