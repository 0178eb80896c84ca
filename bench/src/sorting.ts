import { readLibrary } from '@hurrow/core/library';
import { randomFrom } from '@hurrow/core/random';
import { partingsOf, splitsBy } from '@hurrow/core/sorting';
import { DRAWN, sampleSpecimen } from '@hurrow/core/specimen';
import { MEDIUM_VIEWS, type View } from '@hurrow/core/view';
import { BUILT_IN, SHOWN_BY, standingOf, type Character } from '@hurrow/core/vocabulary';
import { demoLibrary } from '../../demo/src/library.ts';
import type { Row } from './row.ts';

const SORTS = 500;
const SPECIMENS = 12;
const SLIPS = 0.05;
const TWIG: View = { ...MEDIUM_VIEWS.cutting, day: 215, qualifiers: { plantAge: 'mature' } };
/** A class sorts by what is plain: each pile has at least so many. */
const LEAST = 3;

/** How often a class comes to sort by a character: by what is plain to a beginner and what a book begins with, seldom by a size. */
const salienceOf = (character: Character): number =>
  ({ mark: 10, second: 3, supporting: 1 })[standingOf(character)] *
  { beginner: 1, intermediate: 0.3, advanced: 0 }[character.level];

/**
 * Sorts of twelve drawn twigs by one character that the drawings show, each specimen put on the wrong pile once in twenty: whether that
 * character is named, or one that parts these twelve in the very same way.
 */
export function sorting(): Row[] {
  const list = readLibrary(demoLibrary()).profiles;
  const random = randomFrom(91);
  const shown = [...BUILT_IN.values()].filter(
    ({ id, organ }) => (DRAWN as readonly string[]).includes(id) && TWIG.organs.includes(SHOWN_BY[organ]),
  );
  let [found, named, sorts, slipped] = [0, 0, 0, 0];
  while (sorts < SORTS) {
    const known = Array.from({ length: SPECIMENS }, () => {
      const { values } = sampleSpecimen(
        random.pick(list),
        BUILT_IN,
        TWIG,
        Math.floor(random.uniform() * 1e6),
      );
      return Object.fromEntries(
        shown.flatMap(({ id }) => (values[id] === undefined ? [] : [[id, values[id]]])),
      );
    });
    const character = shown[random.weighted(shown.map(salienceOf))]!;
    const splits = splitsBy(character, known).filter(({ meets, first: shows, second }) => {
      const first = meets.filter(Boolean).length;
      return first >= LEAST && first <= SPECIMENS - LEAST && ((shows ?? second)?.states?.length ?? 1) === 1;
    });
    if (splits.length === 0) continue;
    const meant = random.pick(splits).meets;
    const made = meant.map((is) => (random.uniform() < SLIPS ? !is : is));
    if (!made.includes(true) || !made.includes(false)) continue;
    sorts += 1;
    if (made.some((is, i) => is !== meant[i])) slipped += 1;
    const offered = partingsOf(known, made, new Map(shown.map((each) => [each.id, each])));
    const at = offered.findIndex(({ slips }) =>
      made.every((is, i) => (slips.includes(i) ? !is : is) === meant[i]),
    );
    if (at === 0) found += 1;
    if (at >= 0) named += 1;
  }
  return [
    {
      what: `sorts of ${SPECIMENS} drawn twigs with ${SLIPS * 100} % slips (${slipped} of ${SORTS} had some): the character that parts them named first; among the four offered`,
      value: `${((100 * found) / SORTS).toFixed(1)} %; ${((100 * named) / SORTS).toFixed(1)} %`,
      wanted: '≥ 95 %',
    },
  ];
}
