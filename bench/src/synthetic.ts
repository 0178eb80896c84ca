import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { randomFrom } from '@hurrow/core/random';
import type { AdoptedScore, ScoreValue } from '@hurrow/core/score';
import { BUILT_IN, vocabularyOf, type Character } from '@hurrow/core/vocabulary';

/** Taxa with random scores for characters of all kinds; characters are copies of built-in ones without dependencies. */
export function syntheticLibrary(taxonCount: number, characterCount: number, seed: number) {
  const random = randomFrom(seed);
  const models = [...BUILT_IN.values()].filter((character) => !character.derived);
  const characters = Array.from({ length: characterCount }, (_, i): Character => {
    const model = models[i % models.length]!;
    const plain = { ...model };
    delete plain.group;
    return {
      ...plain,
      id: `twig.synthetic${i}`,
      organ: 'twig',
      part: 'always',
      distance: 'hand',
      requires: [],
    };
  });
  const value = (character: Character): ScoreValue => {
    if (character.kind === 'flag')
      return { kind: 'flag', frequency: random.pick(['always', 'usually', 'sometimes', 'never'] as const) };
    if (character.kind === 'measure') {
      const low = random.between(0.01, 0.1);
      return { kind: 'range', low, high: low * random.between(1.3, 2.5) };
    }
    if (character.kind === 'count') {
      const low = 1 + Math.floor(random.uniform() * 8);
      return { kind: 'range', low, high: low + Math.floor(random.uniform() * 4) };
    }
    const first = random.pick(character.states).id;
    const second = random.pick(character.states).id;
    return {
      kind: 'states',
      states: [
        { state: first, frequency: 'usually' as const },
        ...(second === first ? [] : [{ state: second, frequency: 'sometimes' as const }]),
      ],
    };
  };
  const taxa = Array.from({ length: taxonCount }, (_, i): ProfiledTaxon => ({
    taxon: {
      id: `t${i}`,
      rank: 'species',
      genus: 'Synthetica',
      epithet: `n${i}`,
      family: 'Syntheticaceae',
      commonNames: [],
      synonyms: [],
      calendar: {},
      cautions: [],
    },
    scores: characters.map((character): AdoptedScore => ({
      characterId: character.id,
      qualifiers: {},
      value: value(character),
      from: ['s'],
      statements: [],
      disagree: false,
    })),
  }));
  return { taxa, vocabulary: vocabularyOf(characters) };
}
