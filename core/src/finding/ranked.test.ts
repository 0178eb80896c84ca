import type { CharacterFinding, Consequence, ConfusionReport } from '../confusion/index.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { isRankOnly, rankedFindings, reportsInWords, stationsToAsk, worthTeaching } from './index.ts';

const NONE = { all: 0, practice: 0, sorting: 0 };
const consequence = (prevented: number, chance: number): Consequence => ({
  prevented,
  chance,
  interval: [prevented - 3, prevented + 3],
});
const character = (characterId: string, prevented?: Consequence) => ({
  characterId,
  use: 1,
  interval: [0, 2] as [number, number],
  telling: [],
  behind: [],
  pairs: [],
  assumed: [],
  overlooked: prevented?.chance ?? 0,
  sure: (prevented?.chance ?? 0) >= 0.9,
  ...(prevented ? { prevented } : {}),
});

test('findings of all kinds stand in one order; those not sure stand apart; those worth nothing are left out', () => {
  const report: ConfusionReport = {
    students: 9,
    answers: 90,
    errors: 30,
    state: 'enough',
    typicalUse: 1,
    reports: NONE,
    earlier: [],
    characters: [
      character('bud.hair', consequence(4, 0.95)),
      character('twig.zigzag', consequence(9, 0.7)),
      character('bud.resin', consequence(-2, 0.1)),
      character('bud.tip', consequence(0.5, 0.95)),
      character('leaf.sap'),
    ],
    species: [
      {
        taxonId: 't',
        asked: 9,
        wrong: 7,
        scatters: true,
        called: [],
        behind: [],
        prevented: consequence(6, 0.99),
        sure: true,
      },
    ],
    overGiven: [
      { taxonId: 'u', given: 2, truths: 2, behind: [], prevented: consequence(0.4, 0.99), sure: true },
    ],
    stations: [],
    losses: [],
    readings: [],
    prompts: [],
    looking: [],
    pairs: [],
  };
  const { firm, unsure } = rankedFindings(report, BUILT_IN);
  // A character that is sure is said where it may be worth an error.
  expect(firm.map(({ kind }) => kind)).toEqual(['species', 'character', 'character']);
  expect(unsure.map((found) => found.kind === 'character' && found.character.characterId)).toEqual([
    'twig.zigzag',
  ]);
});

test('of two that prevent about as much, the one that manuals key by is taught first; each says its standing', () => {
  const report: ConfusionReport = {
    students: 9,
    answers: 90,
    errors: 30,
    state: 'enough',
    typicalUse: 1,
    reports: NONE,
    earlier: [],
    characters: [
      character('twig.color', consequence(7, 0.95)),
      character('bud.scales', consequence(5, 0.95)),
      character('gone.own', consequence(4, 0.95)),
    ],
    species: [],
    overGiven: [],
    stations: [],
    losses: [],
    readings: [],
    prompts: [],
    looking: [],
    pairs: [],
  };
  const { firm } = rankedFindings(report, BUILT_IN);
  expect(firm.map(({ standing }) => standing)).toEqual(['mark', 'supporting', 'second']);
  expect(firm.map((found) => worthTeaching(found))).toEqual([5, 3.5, 3.2]);
});

test('characters of one organ that tell the same errors are one finding, spoken for by the mark', () => {
  const telling = (id: string, prevented: number, behind: string[]) => ({
    ...character(id, consequence(prevented, 0.95)),
    behind,
  });
  const report = {
    characters: [
      telling('bud.color', 9, ['a', 'b', 'c', 'd']),
      telling('bud.scales', 6, ['a', 'b', 'c', 'd', 'e']),
      telling('bud.hair', 5, ['x', 'y']),
      telling('twig.zigzag', 4, ['a', 'b', 'c', 'd']),
    ],
    species: [],
    overGiven: [],
  } as unknown as ConfusionReport;
  const { firm } = rankedFindings(report, BUILT_IN);
  const said = firm.map((found) => [
    found.kind === 'character' && found.character.characterId,
    found.together ?? [],
  ]);
  expect(said).toContainEqual(['bud.scales', ['bud.color']]);
  expect(said).toContainEqual(['bud.hair', []]);
  expect(said).toContainEqual(['twig.zigzag', []]);
  expect(said).toHaveLength(3);
});

test('a suspicion is asked about at the trees that it would have told apart; what is sure or was asked is not', () => {
  const suspected = {
    ...character('bud.hair', consequence(4, 0.7)),
    pairs: [
      { truth: 'a', answer: 'b', count: 9 },
      { truth: 'b', answer: 'a', count: 4 },
      { truth: 'c', answer: 'd', count: 2 },
      { truth: 'e', answer: 'f', count: 1 },
    ],
  };
  const found = (part: Partial<CharacterFinding>): string[] =>
    stationsToAsk(
      { kind: 'character', character: { ...suspected, ...part }, prevented: suspected.prevented! },
      0,
    );
  expect(found({})).toEqual(['a', 'b', 'c', 'd']);
  expect(found({ sure: true })).toEqual([]);
  expect(found({ told: { offered: 20, told: 2, expected: 4 } })).toEqual([]);
  const missed = (reports: number) =>
    stationsToAsk(
      {
        kind: 'species',
        prevented: consequence(4, 0.7),
        species: {
          taxonId: 't',
          asked: 9,
          wrong: 7,
          scatters: true,
          called: [{ answer: 'u', count: 3 }],
          behind: [],
          prevented: consequence(4, 0.7),
          sure: false,
        },
      },
      reports,
    );
  expect(missed(0)).toEqual(['t', 'u']);
  expect(missed(30)).toEqual([]);
});

test('reports are counted with where they were given', () => {
  const asked = 'answers to “What did you go by?”';
  expect(reportsInWords({ ...NONE, all: 12 })).toBe(`12 ${asked}`);
  expect(reportsInWords({ all: 12, practice: 0, sorting: 3 })).toBe(
    `12 ${asked}, 3 of them by what was sorted`,
  );
  expect(reportsInWords({ all: 12, practice: 4, sorting: 1 })).toBe(
    `12 ${asked}, 4 of them in practice and 1 by what was sorted`,
  );
});

test('of a character on a short list only the rank is said; of trees and names the figure', () => {
  const prevented = consequence(4, 0.9);
  const of = (more: Partial<CharacterFinding>) =>
    ({ kind: 'character', prevented, character: { ...character('bud.hair', prevented), ...more } }) as never;
  expect(isRankOnly(of({ rankOnly: true }))).toBe(true);
  expect(isRankOnly(of({}))).toBe(false);
  expect(isRankOnly({ kind: 'name', prevented, name: {} } as never)).toBe(false);
});
