import type { MixUp, PracticeCard } from './kinds.ts';
import { mixedUp } from './kinds.ts';
import type { Memory } from './memory.ts';

/** What was asked in this session, in order. */
export interface AskedCard {
  cardId: string;
  taxonId: string;
  right: boolean;
  isNew: boolean;
}

/** What a session is made of. */
export interface Deck {
  cards: readonly PracticeCard[];
  mixUps: readonly MixUp[];
  memory: Memory;
  /** Taxa in the order in which they were taught, the newest last. */
  taught: readonly string[];
}

/** A card that was wrong comes again after so many others: near enough to be held, far enough to be recalled (spacing). */
const AGAIN_AFTER = 3;
/** Cards that were asked last and are not asked once more. */
const NOT_AGAIN = 2;
/** Of what is asked at most so much is new: new sets are mixed with old. */
const NEW_SHARE = 0.4;
const NEW_IN_A_ROW = 2;
/** What speaks for a card, against a chance of 1 of not knowing it. */
const WEIGHS = { own: 0.5, others: 0.3, beside: 1.2, wrong: 0.9, fresh: 0.45, newest: 0.2, spread: 0.15 };
/** A mix-up counts as one from here on. */
const MIXED = 0.05;

/**
 * The card to ask next: what is likely forgotten, own mix-ups first, and what is mixed up with the tree that was asked just now beside it (discriminative
 * contrast: S. H. K. Kang & H. Pashler 2012, Applied Cognitive Psychology 26: 97–103); otherwise another tree each time (N. Kornell & R. A. Bjork
 * 2008, Psychological Science 19: 585–592). What was wrong comes back soon; what is new comes with what is old. Undefined where nothing is due
 * and nothing new is left.
 *
 * @param at milliseconds since 1970
 * @param random uniform in [0, 1): between cards that are worth as much
 */
export function nextCard(
  deck: Deck,
  asked: readonly AskedCard[],
  at: number,
  random: () => number,
): PracticeCard | undefined {
  const lastTaxon = asked.at(-1)?.taxonId;
  const worth = worthOf(deck, asked, at);
  let best: { card: PracticeCard; worth: number } | undefined;
  let sameTree: { card: PracticeCard; worth: number } | undefined;
  for (const card of deck.cards) {
    const of = worth(card);
    if (of === undefined) continue;
    const tried = { card, worth: of + 0.05 * random() };
    if (card.taxonId === lastTaxon) {
      if (!sameTree || tried.worth > sameTree.worth) sameTree = tried;
    } else if (!best || tried.worth > best.worth) best = tried;
  }
  // Another tree each time, as long as there is one.
  return (best ?? sameTree)?.card;
}

/** What speaks for each card now; undefined for one that is not to be asked. */
function worthOf({ mixUps, memory, taught }: Deck, asked: readonly AskedCard[], at: number) {
  const last = asked.at(-1);
  const lastKind = last?.cardId.split(' ')[1];
  const news = asked.filter(({ isNew }) => isNew).length;
  const inARow = asked.slice(-NEW_IN_A_ROW).filter(({ isNew }) => isNew).length;
  const roomForNew = news < NEW_SHARE * (asked.length + 2) && inARow < NEW_IN_A_ROW;
  const lately = new Set(asked.slice(-NOT_AGAIN).map(({ cardId }) => cardId));
  const wasWrong = new Map<string, number>();
  const timesOf = new Map<string, number>();
  asked.forEach(({ cardId, taxonId, right }, i) => {
    timesOf.set(taxonId, (timesOf.get(taxonId) ?? 0) + 1);
    if (right) wasWrong.delete(cardId);
    else wasWrong.set(cardId, i);
  });
  const weightOf = heaviest(mixUps);
  const newest = new Map(taught.map((id, i) => [id, (i + 1) / taught.length]));
  return (card: PracticeCard): number | undefined => {
    if (lately.has(card.id)) return undefined;
    const recall = memory.recall(card.id, at);
    const wrongAt = wasWrong.get(card.id);
    const again = wrongAt !== undefined;
    if (again && asked.length - wrongAt <= AGAIN_AFTER) return undefined;
    const beside = last ? mixedUp(mixUps, card.taxonId, last.taxonId) : 0;
    // Its rival was asked just now: the two are seen side by side, due or not, once.
    const isBeside =
      beside >= MIXED && lastKind === card.kind && !justPaired(asked, card.taxonId) && recall !== undefined;
    const isNew = recall === undefined;
    if (isNew && !roomForNew) return undefined;
    if (!isNew && !again && !isBeside && !memory.isDue(card.id, at)) return undefined;
    const { own = 0, others = 0 } = weightOf.get(card.taxonId) ?? {};
    return (
      (isNew ? WEIGHS.fresh + WEIGHS.newest * (newest.get(card.taxonId) ?? 0) : 1 - recall) +
      WEIGHS.own * own +
      WEIGHS.others * others +
      (again ? WEIGHS.wrong : 0) +
      (lastKind === card.kind ? WEIGHS.beside * beside : 0) -
      WEIGHS.spread * (timesOf.get(card.taxonId) ?? 0)
    );
  };
}

/** Was this tree asked within the last pair? Then the two have been seen side by side already. */
const justPaired = (asked: readonly AskedCard[], taxonId: string): boolean =>
  asked.slice(-3).some((each) => each.taxonId === taxonId);

/** The heaviest mix-up of each tree, of one's own and of others. */
function heaviest(mixUps: readonly MixUp[]): Map<string, { own: number; others: number }> {
  const found = new Map<string, { own: number; others: number }>();
  for (const { a, b, weight, own } of mixUps)
    for (const id of [a, b]) {
      const held = found.get(id) ?? { own: 0, others: 0 };
      if (own) held.own = Math.max(held.own, weight);
      else held.others = Math.max(held.others, weight);
      found.set(id, held);
    }
  return found;
}

/** How much there is to do now. */
export interface Workload {
  due: number;
  /** Never asked. */
  fresh: number;
  known: number;
  /** Minutes that are proposed: 5, 10 or 20. */
  minutes: number;
}

/** Lengths of a session, minutes. */
export const LENGTHS = [5, 10, 20] as const;
/** New cards that are proposed with what is due. */
const SOME_NEW = 6;

/**
 * What there is to do, and for how long: the shortest of 5, 10 and 20 minutes in which what is due and some new cards can be asked.
 *
 * @param seconds that a card takes this student, at the median
 */
export function workload(
  { cards, memory }: Pick<Deck, 'cards' | 'memory'>,
  at: number,
  seconds: number,
): Workload {
  const due = cards.filter(({ id }) => memory.isDue(id, at)).length;
  const fresh = cards.filter(({ id }) => !memory.isSeen(id)).length;
  const known = cards.filter(({ id }) => memory.isKnown(id, at)).length;
  const needed = ((due + Math.min(SOME_NEW, fresh)) * seconds) / 60;
  return { due, fresh, known, minutes: LENGTHS.find((minutes) => minutes >= needed) ?? LENGTHS.at(-1)! };
}
