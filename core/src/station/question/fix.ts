import {
  contrast,
  readingsOf,
  scoresInView,
  type ProfiledTaxon,
  type ReadingOptions,
} from '../../evidence/index.ts';
import { done, refused, type Outcome } from '../../outcome/index.ts';
import { randomFrom, seedOf } from '../../random/index.ts';
import { unitFactor, type RangeValue, type UnitSystem } from '../../score/index.ts';
import type { Traits } from '../../specimen/index.ts';
import { commonName, scientificName } from '../../taxon/index.ts';
import type { View } from '../../view/index.ts';
import { stateOf, type Character, type Vocabulary } from '../../vocabulary/index.ts';
import { upperFirst } from '../../words/index.ts';
import { askable, seeingQuestion, statesToSee } from '../seeing.ts';
import {
  UNIT_WORDS,
  unitInWords,
  usualWithin,
  type BothWays,
  type FrozenQuestion,
  type Offered,
  type Question,
  type QuestionContext,
} from './question.ts';
import { byLot, settlersOf } from './settling.ts';
import { sortQuestion } from './sort.ts';

/** From this count on nobody counts; a drawing does not show so many one by one either. */
const MANY = 12;

/** A station as far as its question goes. */
interface Asking {
  truth: ProfiledTaxon;
  view: View;
  /** Of the individual shown, where it is known. */
  traits: Traits | null;
  /** Students look at a drawing of it. */
  drawn?: boolean;
  seed: number;
}

/**
 * The characters that a question can be about at a station: such as have states to choose from, and such as are counted or measured on what is
 * shown.
 *
 * @returns ids, each in the order of the vocabulary
 */
export function questionsAbout(
  truth: ProfiledTaxon,
  view: View,
  vocabulary: Vocabulary,
  options: ReadingOptions = {},
): { state: string[]; number: string[] } {
  const visible = readingsOf([truth], vocabulary, view, options).channels;
  return {
    state: askable(truth, vocabulary, view, options),
    number: [...visible.keys()].filter((id) => spanOf(truth, vocabulary.get(id)!, view) !== undefined),
  };
}

/**
 * Fixes the question of a station with its right answer: of the individual shown, where it is known, else of all that the scores of its taxon
 * admit in what is shown. Refuses, in words for whoever plans, what cannot be asked there.
 *
 * @example
 * fixQuestion({ kind: 'number', characterId: 'needle.perBundle' }, { truth, view, traits: null, seed: 1 }, context);
 * // { ok: true, value: { kind: 'number', asked: { term: 'How many needles per bundle?', … }, number: { from: 2, to: 3, … }, … } }
 */
export function fixQuestion(
  question: Question,
  at: Asking,
  context: QuestionContext,
): Outcome<FrozenQuestion> {
  switch (question.kind) {
    case 'family':
      return done(open('family', 'To which family does it belong?'));
    case 'genus':
      return done({
        ...open('genus', 'Which genus is it?'),
        asked: { term: 'Which genus is it?', plain: 'What kind of tree is it: a maple, an oak, a pine …?' },
      });
    case 'state':
      return stateQuestion(question.characterId, at, context);
    case 'sort':
      return at.drawn
        ? sortQuestion(question.characterId, at, context)
        : refused('asks to sort drawn specimens, and shows none: its medium has to be a drawing.');
    case 'settles':
      return settlesQuestion(question.from, at, context);
    case 'number':
      return numberQuestion(question, at, context);
  }
}

const open = (kind: FrozenQuestion['kind'], asked: string): FrozenQuestion => ({
  kind,
  about: '',
  asked: { term: asked, plain: asked },
  offered: [],
  right: [],
});

const bothWays = ({ term, plain }: BothWays, said: (name: string) => string): BothWays => ({
  term: said(term),
  plain: said(plain),
});

function stateQuestion(id: string, at: Asking, context: QuestionContext): Outcome<FrozenQuestion> {
  const character = context.vocabulary.get(id);
  const found = character && seeingQuestion(id, at.truth, context.vocabulary, at.view, at.traits, context);
  if (!character || !found)
    return refused(
      `asks for “${character?.term ?? id}”, which is not to be seen in what it shows, or has no score that says of every state whether it is right. Ask something else, show the part, or complete the score.`,
    );
  return done({
    kind: 'state',
    about: id,
    named: bothWays(character, (name) => name),
    asked: bothWays(character, (name) => `${upperFirst(name)}: which is it here?`),
    offered: statesToSee(character).map((state): Offered => {
      const { term, plain, definition } = stateOf(character, state)!;
      return { id: state, term, plain, definition };
    }),
    right: found.right,
  });
}

function settlesQuestion(from: string, at: Asking, context: QuestionContext): Outcome<FrozenQuestion> {
  const { list, vocabulary, marking } = context;
  const other = list.find(({ taxon }) => taxon.id === from)?.taxon;
  const settlers = other && settlersBetween(at, from, context);
  if (!other || !settlers)
    return refused(
      `asks what tells it from ${other ? commonName(other) : 'a tree that is not on the list'}, and nothing that it shows does, or too little is alike to choose from. Choose another tree, or show more.`,
    );
  const name = marking.policy === 'common' ? commonName : scientificName;
  const [one, two] = byLot([at.truth.taxon, other], randomFrom(seedOf(at.seed, 'pair')).uniform).map(name);
  const asked = `It is ${one} or ${two}. Which of these tells you which, here?`;
  return done({
    kind: 'settles',
    about: from,
    asked: { term: asked, plain: asked },
    pair: [one!, two!],
    offered: settlers.characters.map((id): Offered => {
      const { term, plain } = vocabulary.get(id)!;
      return { id, term, plain };
    }),
    right: settlers.right.filter((id) => settlers.characters.includes(id)),
  });
}

function settlersBetween(
  { truth, view, seed }: Asking,
  from: string,
  { list, vocabulary, ...options }: Pick<QuestionContext, 'list' | 'vocabulary' | 'reference' | 'site'>,
) {
  if (!list.some(({ taxon }) => taxon.id === from) || from === truth.taxon.id) return undefined;
  const made = contrast(list, truth.taxon.id, from, vocabulary, view, options);
  return settlersOf(made, vocabulary, randomFrom(seedOf(seed, 'settlers')).uniform);
}

function numberQuestion(
  { characterId, within }: Extract<Question, { kind: 'number' }>,
  { truth, view, traits }: Asking,
  { vocabulary, units, ...options }: QuestionContext,
): Outcome<FrozenQuestion> {
  const character = vocabulary.get(characterId);
  const seen = readingsOf([truth], vocabulary, view, options).channels.has(characterId);
  const span = character && seen ? spanOf(truth, character, view) : undefined;
  if (!character || !span)
    return refused(
      `asks for “${character?.term ?? characterId}”, which cannot be counted or measured in what it shows. Ask something else, show the part, or score it.`,
    );
  const trait = traits?.values[characterId];
  const [low, high] = typeof trait === 'number' ? [trait, trait] : span;
  const off = within ?? usualWithin(character);
  const isCount = character.kind === 'count';
  return done({
    kind: 'number',
    about: characterId,
    named: bothWays(character, (name) => name),
    asked: bothWays(character, (name) =>
      isCount ? `How many ${name}?` : `Measure the ${name}, in ${unitInWords(character, units)}.`,
    ),
    offered: [],
    right: [],
    number: { character, units, from: low * (1 - off), to: high * (1 + off) },
  });
}

/** How many stored units the unit is that a number is asked in. */
const factorOf = (character: Character, units: UnitSystem): number =>
  units === 'metric' || character.unit === '°' || character.kind === 'count'
    ? unitFactor(character)
    : character.unit === 'm'
      ? 0.3048
      : 0.0254;

/**
 * What is right of a number, in the unit in which it is asked.
 *
 * @example
 * boundsAsAsked(needleLength); // [9.6, 30], asked in centimeters
 */
export function boundsAsAsked({
  character,
  units,
  from,
  to,
}: NonNullable<FrozenQuestion['number']>): [number, number] {
  const factor = factorOf(character, units);
  return [from / factor, to / factor];
}

/** The least and the most that the scores of a taxon admit, in stored units; undefined where they say no number that anybody counts or measures on a specimen. */
function spanOf(truth: ProfiledTaxon, character: Character, view: View): [number, number] | undefined {
  if (character.derived || (character.kind !== 'count' && character.kind !== 'measure')) return undefined;
  if (character.kind === 'measure' && !(character.unit && character.unit in UNIT_WORDS)) return undefined;
  const values = scoresInView(
    truth.scores.filter((score) => score.characterId === character.id),
    view,
  ).flatMap(({ value }) => (value.kind === 'range' && !value.open ? [value] : []));
  const ends = values.map(endsOf).filter((each) => each !== undefined);
  if (ends.length === 0 || ends.length < values.length) return undefined;
  const span: [number, number] = [
    Math.min(...ends.map(([low]) => low)),
    Math.max(...ends.map(([, high]) => high)),
  ];
  return character.kind === 'count' && span[1] > MANY ? undefined : span;
}

function endsOf({ min, low, typical, high, max }: RangeValue): [number, number] | undefined {
  const [from, to] = [min ?? low ?? typical, max ?? high ?? typical];
  return from === undefined || to === undefined ? undefined : [from, to];
}
