import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import { isDeciduous, readingsOf, type ProfiledTaxon } from '@hurrow/core/evidence';
import { randomFrom, seedOf, type Random } from '@hurrow/core/random';
import type { Answer, NamingPolicy, Sureness } from '@hurrow/core/names';
import { GUESS, MOST_TOLD, statesToSee, WHOLE_LOOK, type SeeingQuestion } from '@hurrow/core/station';
import { admits, scoresOf } from './scores.ts';
import type { Traits } from '@hurrow/core/specimen';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import type { View } from '@hurrow/core/view';

/** What is true of the demo's students: `demo/truths.yaml`. */
export interface Truths {
  overlooked: string[];
  misread: number;
  misreadOverlooked: number;
  misreadAsked: Record<string, number>;
  looksAt: number;
  /** Factor on `looksAt` of the weakest and of the strongest student; likewise on `misread`. */
  careSpread: number[];
  misreadSpread: number[];
  looksAtOverlooked: number;
  retaught: { on: string; pair: [string, string]; characters: string[] }[];
  looksAtRetaught: number;
  confused: [string, string][];
  resolved: [string, string];
}

export const TRUTHS = parse(readFileSync(new URL('../truths.yaml', import.meta.url), 'utf8')) as Truths;

/** The characters that have been taught again before a date. */
export const retaughtBy = (date: string): string[] =>
  TRUTHS.retaught.filter(({ on }) => on < date).flatMap(({ characters }) => characters);

export interface Sitting {
  seed: number;
  /** Characters taught again before this quiz. */
  retaught: readonly string[];
  policy: NamingPolicy;
}

/**
 * One student's answer at one station, from the individual that stood there. Students are no instance of the model that analyses them: each
 * looks at a few characters of the specimen, reads some of them wrongly, and names the tree of the list that agrees with most of what was read.
 */
export function answerOf(
  student: number,
  station: number,
  truth: ProfiledTaxon,
  traits: Traits,
  list: readonly ProfiledTaxon[],
  view: View,
  { seed, retaught, policy }: Sitting,
): { answer: Answer; lookedAt: string[] } {
  const random = randomFrom(seedOf(seed, 'student', student, 'station', station));
  const ability = abilityOf(student, policy);
  const care = TRUTHS.careSpread[0]! + (TRUTHS.careSpread[1]! - TRUTHS.careSpread[0]!) * ability;
  if (random.uniform() < 0.04 * (1 - ability))
    return {
      answer: policy === 'common' ? { name: '' } : { genus: '', epithet: '', family: '' },
      lookedAt: [],
    };
  const visible = [...readingsOf([truth], BUILT_IN, view).channels.keys()].filter(
    (id) => traits.values[id] !== undefined,
  );
  const read = visible.flatMap((id) => {
    const learned = retaught.includes(id);
    const passedOver = TRUTHS.overlooked.includes(id) && !learned;
    const looks = learned
      ? TRUTHS.looksAtRetaught
      : passedOver
        ? TRUTHS.looksAtOverlooked
        : TRUTHS.looksAt * care;
    if (random.uniform() > looks) return [];
    const slips =
      TRUTHS.misread *
      (TRUTHS.misreadSpread[0]! + (TRUTHS.misreadSpread[1]! - TRUTHS.misreadSpread[0]!) * ability);
    const wrong = random.uniform() < (passedOver ? TRUTHS.misreadOverlooked : slips);
    const seen = wrong ? misreading(id, list, random) : traits.values[id]!;
    // What was taught again is remembered, and weighs.
    return [{ id, seen, weight: learned ? 2 : 1 }];
  });
  const agreement = list.map((candidate) => {
    const bare = isDeciduous(candidate) !== isDeciduous(truth) ? 0 : 0.01;
    return read.reduce(
      (sum, { id, seen, weight }) => sum + weight * admits(scoresOf(candidate, id), seen),
      bare + (0.9 - 0.8 * ability) * random.uniform(),
    );
  });
  const chosen = list[agreement.indexOf(Math.max(...agreement))]!;
  const answer = policy === 'common' ? said(chosen, random) : inHand(student, written(chosen, random));
  return { answer, lookedAt: read.map(({ id }) => id) };
}

/** How well a student of a course does, 0 to 1: the same in every quiz, so that who knows more at one station knows more at the others. */
const abilityOf = (student: number, policy: NamingPolicy): number =>
  randomFrom(seedOf(policy === 'common' ? 'knows' : 'talent', student)).uniform();

/** Hands differ: most write each name in its box, others in small letters, or the whole name in the first box. */
function inHand(student: number, answer: Answer): Answer {
  const { genus = '', epithet = '', family = '' } = answer;
  switch (student % 8) {
    case 3:
      return { genus: genus.toLowerCase(), epithet, family: family.toLowerCase() };
    case 5:
      return { genus: `${genus} ${epithet}`, epithet: '', family };
    case 6:
      return { genus: genus.toUpperCase(), epithet: epithet.toUpperCase(), family };
    default:
      return answer;
  }
}

/** What a student says to the “what do you see” questions of a station: a stream of random numbers of their own, so that names stay as they are. */
export function seenBy(
  student: number,
  station: number,
  asks: readonly SeeingQuestion[],
  { seed }: Pick<Sitting, 'seed'>,
): Record<string, string> {
  return Object.fromEntries(
    asks.map(({ characterId, right }) => {
      const random = randomFrom(seedOf(seed, 'sees', student, station, characterId));
      const states = statesToSee(BUILT_IN.get(characterId)!);
      // What is taken for another state lies near it: the vocabulary lists like states side by side.
      const far = (state: string) =>
        Math.min(...right.map((held) => Math.abs(states.indexOf(held) - states.indexOf(state))));
      const others = states.filter((state) => !right.includes(state) && far(state) <= 2);
      const misread = random.uniform() < (TRUTHS.misreadAsked[characterId] ?? TRUTHS.misread);
      return [characterId, random.pick(misread && others.length ? others : right)];
    }),
  );
}

/** Of what a student looked at and finds on the checklist so much is told, more of some characters and less of others. */
const TOLD = { share: 0.6, uneven: 0.5 };

/** What a student says to have gone by: up to three things, or the whole look of it, or a guess. A stream of random numbers of its own. */
export function toldBy(
  student: number,
  station: number,
  offered: readonly string[],
  lookedAt: readonly string[],
  { seed }: Pick<Sitting, 'seed'>,
): string[] {
  const random = randomFrom(seedOf(seed, 'tells', student, station));
  const told = lookedAt.filter((id) => {
    const readily = randomFrom(seedOf('told readily', id)).normal();
    return offered.includes(id) && random.uniform() < TOLD.share * Math.exp(TOLD.uneven * readily);
  });
  if (told.length === 0) return [random.uniform() < 0.7 ? WHOLE_LOOK : GUESS];
  while (told.length > MOST_TOLD) told.splice(Math.floor(random.uniform() * told.length), 1);
  return told;
}

/** So many things looked at make a student half sure, and sure; some are surer of themselves than others. */
const SURE = { half: 5, sure: 8, own: 2.5 };

/** How sure a student says to be who looked at so much; undefined of every fourth answer. */
export function sureOf(
  student: number,
  station: number,
  lookedAt: readonly string[],
  { seed }: Pick<Sitting, 'seed'>,
): Sureness | undefined {
  const random = randomFrom(seedOf(seed, 'sure', student, station));
  const self = SURE.own * randomFrom(seedOf(seed, 'sure of oneself', student)).normal();
  const looked = lookedAt.length + self + 2 * random.normal();
  if (random.uniform() < 0.25) return undefined;
  return looked >= SURE.sure ? 'sure' : looked >= SURE.half ? 'half' : 'guess';
}

/** What one sees who does not look: the state of some other tree of the list. */
function misreading(id: string, list: readonly ProfiledTaxon[], random: Random) {
  const others = list.flatMap((entry) => scoresOf(entry, id).slice(0, 1));
  const value = others.length ? random.pick(others) : undefined;
  if (!value) return '';
  if (value.kind === 'states') return value.states[0]!.state;
  if (value.kind === 'range') return ((value.low ?? 0) + (value.high ?? value.low ?? 0)) / 2;
  return value.kind === 'flag' && (value.frequency === 'always' || value.frequency === 'usually');
}

/** Trees that go by their first synonym in some manual that these students may hold in hand; the others' are of older books. */
const TWO_NAMES = new Set([
  'abies-lasiocarpa',
  'alnus-incana',
  'alnus-viridis',
  'celtis-reticulata',
  'cornus-sericea',
  'frangula-purshiana',
  'populus-trichocarpa',
  'salix-lasiandra',
  'sambucus-cerulea',
]);

function written(taxon: ProfiledTaxon, random: Random): Answer {
  const { id, genus, epithet, family, synonyms } = taxon.taxon;
  const slip = random.uniform();
  const synonym = TWO_NAMES.has(id) ? synonyms[0]?.split(' ') : undefined;
  if (slip < 0.04 && synonym) return { genus: synonym[0]!, epithet: synonym.slice(1).join(' '), family };
  return {
    genus: slip > 0.93 ? misspelled(genus, random) : genus,
    epithet: slip > 0.84 ? misspelled(epithet, random) : epithet,
    family: random.uniform() < 0.08 ? '' : random.uniform() < 0.06 ? misspelled(family, random) : family,
  };
}

/** A common name from the list, seldom misspelled. */
function said(taxon: ProfiledTaxon, random: Random): Answer {
  const name = taxon.taxon.commonNames[0]!;
  return { name: random.uniform() < 0.1 ? misspelled(name, random) : name };
}

/** Drops, doubles or swaps a letter inside the word. */
function misspelled(word: string, random: Random): string {
  const at = 1 + Math.floor(random.uniform() * (word.length - 3));
  const kind = random.uniform();
  if (kind < 0.4) return word.slice(0, at) + word.slice(at + 1);
  if (kind < 0.7) return word.slice(0, at) + word[at]! + word.slice(at);
  return word.slice(0, at) + word[at + 1]! + word[at]! + word.slice(at + 2);
}
