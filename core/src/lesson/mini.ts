import {
  contrast,
  saidLines,
  settlingInWords,
  shownInWords,
  type ProfiledTaxon,
  type SaidLine,
  type Wording,
} from '../evidence/index.ts';
import { randomFrom, seedOf } from '../random/index.ts';
import { characterName } from '../score/index.ts';
import { contrastPlate, sampleLike, sampleSpecimen, type Drawing, type Traits } from '../specimen/index.ts';
import { commonName } from '../taxon/index.ts';
import { putIn, sayingOf } from '../vocabulary/index.ts';

/** Specimens to call in a mini-lesson. */
export const TO_CALL = 10;

/** One specimen to call. */
export interface MiniSpecimen {
  taxonId: string;
  traits: Traits;
}

/** A lesson of a few minutes on two trees that are mixed up: what tells them apart, where it fails, and specimens to try it on. */
export interface MiniLessonMade {
  /** Both beside each other, alike but for what decides, which is pointed at. */
  plate: Drawing;
  /** The rule, the first thing to look at first. */
  lines: SaidLine[];
  settles: string | undefined;
  /** Where the rule bends: what either sometimes shows of the other, and what is not known. */
  exceptions: string[];
  /** Ten individuals by lot, each as like the other tree as its kind can be. */
  specimens: MiniSpecimen[];
}

/** Frame of the plate, pixels: of a page, and of a phone. */
export const MINI_PLATE = { page: { width: 720, height: 330 }, phone: { width: 400, height: 250 } };

/**
 * Makes a mini-lesson of two trees of a list in a view.
 *
 * @param first a character to look at first: that of the finding it is taught for, where it tells the two apart; null for what tells best
 * @param seed of the ten specimens
 * @param frame of the plate, pixels
 * @throws where either tree is not on the list
 * @example
 * miniLesson(list, 'abies-grandis', 'abies-lasiocarpa', null, wording, 3).lines[0]; // { lead: 'Look at the', character: 'white bands', shows: […] }
 */
export function miniLesson(
  list: readonly ProfiledTaxon[],
  aId: string,
  bId: string,
  first: string | null,
  wording: Wording,
  seed: number,
  frame: { width: number; height: number } = MINI_PLATE.page,
): MiniLessonMade {
  const { vocabulary, view, audience } = wording;
  const found = contrast(list, aId, bId, vocabulary, view, wording);
  const [a, b] = [aId, bId].map((id) => list.find(({ taxon }) => taxon.id === id)!) as [
    ProfiledTaxon,
    ProfiledTaxon,
  ];
  const tells = first !== null && found.ranked.some(({ characterId }) => characterId === first);
  const said = tells ? [first, ...found.said.filter((id) => id !== first)].slice(0, 3) : found.said;
  const plate = contrastPlate([a, b], vocabulary, view, {
    ...wording,
    ...frame,
    deciding: said,
    label: (index, id) => {
      const character = vocabulary.get(id)!;
      // Above a drawing there is room for what is usual.
      const [usual = ''] = shownInWords([a, b][index]!, character, wording).split(', ');
      return `${characterName(character, audience)}: ${usual}`;
    },
  });
  return {
    plate: plate.drawing,
    lines: saidLines({ said }, a, b, wording),
    settles: settlingInWords(tells ? { deciding: found.deciding, said } : found, wording),
    exceptions: said.flatMap((id) => bends(id, a, b, wording)),
    specimens: specimensOf(a, b, wording, seed),
  };
}

/** Where a character fails: states of one that the other may show too, in words. */
function bends(id: string, a: ProfiledTaxon, b: ProfiledTaxon, { vocabulary, audience }: Wording): string[] {
  const character = vocabulary.get(id)!;
  const statesOf = ({ scores }: ProfiledTaxon) =>
    scores
      .filter(({ characterId }) => characterId === id)
      .flatMap(({ value }) => (value.kind === 'states' ? value.states : []));
  const usual = (profiled: ProfiledTaxon) =>
    statesOf(profiled)
      .filter(({ frequency }) => frequency === 'always' || frequency === 'usually')
      .map(({ state }) => state);
  return [
    [a, b],
    [b, a],
  ].flatMap(([one, other]) =>
    statesOf(one!)
      .filter(
        ({ state, frequency }) =>
          (frequency === 'sometimes' || frequency === 'rarely') && usual(other!).includes(state),
      )
      .map(({ state, frequency }) => {
        const words = character.states.find((each) => each.id === state);
        const shown = audience === 'plain' ? words?.plain : words?.term;
        return putIn(sayingOf(character).bends[frequency === 'rarely' ? 'rarely' : 'sometimes'], {
          one: commonName(one!.taxon),
          state: shown ?? state,
          other: commonName(other!.taxon),
        });
      }),
  );
}

/** As many of each as of the other, in an order by lot; each drawn as like the other kind as its own allows. */
function specimensOf(a: ProfiledTaxon, b: ProfiledTaxon, wording: Wording, seed: number): MiniSpecimen[] {
  const { vocabulary, view } = wording;
  const random = randomFrom(seedOf(seed, 'mini-lesson'));
  return Array.from({ length: TO_CALL }, (_, i) => {
    const [own, other] = i % 2 === 0 ? [a, b] : [b, a];
    const model = sampleSpecimen(other, vocabulary, view, seed * 64 + i, wording);
    return {
      taxonId: own.taxon.id,
      traits: sampleLike(model, own, vocabulary, view, wording),
      lot: random.uniform(),
    };
  })
    .sort((x, y) => x.lot - y.lot)
    .map(({ taxonId, traits }) => ({ taxonId, traits }));
}
