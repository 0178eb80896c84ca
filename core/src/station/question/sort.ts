import type { ProfiledTaxon } from '../../evidence/index.ts';
import { done, refused, type Outcome } from '../../outcome/index.ts';
import { randomFrom, seedOf } from '../../random/index.ts';
import { drawingToSvg } from '../../specimen/index.ts';
import type { View } from '../../view/index.ts';
import { stateOf, type Character } from '../../vocabulary/index.ts';
import { upperFirst } from '../../words/index.ts';
import { tooLittleToDraw } from '../doubts.ts';
import { individualOf, type DrawingContext } from '../individual.ts';
import { seeingQuestion, statesToSee } from '../seeing.ts';
import { FRAME } from '../station.ts';
import {
  lettersOf,
  type FrozenQuestion,
  type Offered,
  type QuestionContext,
  type SortedItem,
} from './question.ts';
import { byLot } from './settling.ts';

/** Specimens on a sheet: so many where the list has them, and never fewer than four. */
const MOST = 6;
const FEWEST = 4;
/** More states than these at once are a lesson, not a question. */
const STATES = 3;

interface Sorting {
  truth: ProfiledTaxon;
  view: View;
  seed: number;
}

/**
 * A question for drawn specimens to be sorted by the states of a character: the station's own tree and others of the list, two states at least, each as often as can
 * be, in an order by lot.
 *
 * @returns refused, in words for whoever plans, where too few of the list can be drawn or all show the same
 */
export function sortQuestion(
  id: string,
  { truth, view, seed }: Sorting,
  context: QuestionContext,
): Outcome<FrozenQuestion> {
  const character = context.vocabulary.get(id);
  const random = randomFrom(seedOf(seed, 'sort'));
  const of = (profiled: ProfiledTaxon) => character && shownBy(profiled, character, { view, seed }, context);
  const own = of(truth);
  if (!character || !own)
    return refused(
      `asks to sort by “${character?.term ?? id}”, which is not to be seen in the drawing of its tree. Show the part, or sort by something else.`,
    );
  const others = byLot(
    context.list.filter(({ taxon }) => taxon.id !== truth.taxon.id),
    random.uniform,
  ).flatMap((profiled) => of(profiled) ?? []);
  const chosen = evenly(own, others);
  const states = [...new Set(chosen.map(({ state }) => state))];
  if (chosen.length < FEWEST || states.length < 2)
    return refused(
      `asks to sort by “${character.term}”, and too few trees of the list can be drawn that differ in it. Sort by something else.`,
    );
  const items = byLot(chosen, random.uniform);
  const letters = lettersOf(items.length);
  const asked = (name: string) => `Sort ${letters[0]} to ${letters.at(-1)} by ${name}: which is it at each?`;
  return done({
    kind: 'sort',
    about: id,
    named: { term: character.term, plain: character.plain },
    asked: { term: asked(character.term), plain: asked(character.plain) },
    offered: statesToSee(character)
      .filter((state) => states.includes(state))
      .map((state): Offered => {
        const { term, plain, definition } = stateOf(character, state)!;
        return { id: state, term: upperFirst(term), plain: upperFirst(plain), definition };
      }),
    right: items.map(({ state }) => state),
    items: items.map(({ taxonId, seed: individual }) => ({ taxonId, seed: individual })),
  });
}

interface Shown extends SortedItem {
  state: string;
}

/** The one state that an individual of a tree shows in the drawing; undefined where it cannot be drawn or shows several. */
function shownBy(
  profiled: ProfiledTaxon,
  character: Character,
  { view, seed }: Pick<Sorting, 'view' | 'seed'>,
  context: QuestionContext,
): Shown | undefined {
  const { taxon } = profiled;
  if (tooLittleToDraw({ taxonId: taxon.id, medium: 'drawing', view }, context).length > 0) return undefined;
  const individual = 1 + (seedOf(seed, 'sorted', taxon.id) % (2 ** 31 - 2));
  const drawn = individualOf(profiled, { view }, individual, context);
  const right =
    drawn && seeingQuestion(character.id, profiled, context.vocabulary, view, drawn.traits, context)?.right;
  return right?.length === 1 ? { taxonId: taxon.id, seed: individual, state: right[0]! } : undefined;
}

/** One's own and others, state by state in turn, of the commonest states. */
function evenly(own: Shown, others: readonly Shown[]): Shown[] {
  const piles = new Map<string, Shown[]>([[own.state, []]]);
  for (const each of others) piles.set(each.state, [...(piles.get(each.state) ?? []), each]);
  const [first, ...rest] = [...piles].sort(
    ([a, as], [b, bs]) => Number(b === own.state) - Number(a === own.state) || bs.length - as.length,
  );
  // Its own state has one already.
  const turns = [...rest.slice(0, STATES - 1), first!].map(([, pile]) => [...pile]);
  const chosen = [own];
  while (chosen.length < MOST && turns.some((pile) => pile.length > 0))
    for (const pile of turns) {
      const next = pile.shift();
      if (next && chosen.length < MOST) chosen.push(next);
    }
  return chosen;
}

/** Height of the line with the letter above each drawing. */
const LINE = 34;
const ACROSS = 2;

/**
 * The sheet on which the specimens stand with their letters, as SVG without any names.
 *
 * @param view of the station, with the day of the quiz
 */
export function sheetOf(
  items: readonly SortedItem[],
  view: View,
  { list, ...context }: DrawingContext & { list: readonly ProfiledTaxon[] },
): string {
  const letters = lettersOf(items.length);
  const high = FRAME.height + LINE;
  const cells = items.map(({ taxonId, seed }, i) => {
    const profiled = list.find(({ taxon }) => taxon.id === taxonId);
    const drawn = profiled && individualOf(profiled, { view }, seed, context);
    const [x, y] = [(i % ACROSS) * FRAME.width, Math.floor(i / ACROSS) * high];
    const placed = drawn
      ? drawingToSvg(drawn.plate, letters[i]!).replace(
          /^<svg /,
          `<svg x="${x}" y="${y + LINE}" width="${FRAME.width}" height="${FRAME.height}" `,
        )
      : '';
    return `<text x="${x + 12}" y="${y + 27}" font-size="30" font-weight="600" fill="#17262b">${letters[i]}</text>${placed}`;
  });
  const [width, height] = [ACROSS * FRAME.width, Math.ceil(items.length / ACROSS) * high];
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" font-family="sans-serif" role="img">` +
    `<title>Specimens ${letters[0]} to ${letters.at(-1)}</title>${cells.join('')}</svg>`
  );
}
