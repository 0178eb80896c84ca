import { candidatesOf } from '@hurrow/core/assembly';
import {
  Memory,
  nextCard,
  PRACTICE_KINDS,
  type AskedCard,
  type Deck,
  type MixUp,
  type PracticeCard,
} from '@hurrow/core/practice';
import { randomFrom, type Random } from '@hurrow/core/random';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { readLibrary } from '@hurrow/core/library';
import { demoLibrary } from '../../demo/src/library.ts';
import { Learner } from './learner.ts';
import type { Row } from './row.ts';

const LEARNERS = 100;
const SESSIONS = 12;
const SECONDS = 600;
const SETS = 6;
const TAKES = { right: 7, wrong: 19 };
const DAY = 24 * 3600_000;
/** Of shares that a beginner mixes up so much is worth telling the order of. */
const WORTH_TELLING = 0.05;

/** What an order knows and says: the card to ask next, and what came of it. */
interface Order {
  next(open: readonly PracticeCard[], at: number): PracticeCard | undefined;
  told(card: PracticeCard, at: number, isRight: boolean, taken: string | undefined): void;
  sessionBegins?(): void;
}

const blocked = (): Order => {
  let queue: PracticeCard[] = [];
  return {
    sessionBegins: () => (queue = []),
    next: (open) => {
      // Each tree three times over, the newest first.
      if (queue.length === 0)
        queue = [...new Set(open.map(({ taxonId }) => taxonId))]
          .reverse()
          .flatMap((id) => [0, 1, 2].flatMap(() => open.filter(({ taxonId }) => taxonId === id)));
      return queue.shift();
    },
    told: () => undefined,
  };
};

const byLot = (random: Random): Order => ({
  next: (open) => random.pick(open),
  told: () => undefined,
});

const cardByCard = (): Order => {
  const memory = new Memory();
  return {
    next: (open, at) => {
      const due = open
        .filter(({ id }) => memory.isDue(id, at))
        .sort((a, b) => memory.recall(a.id, at)! - memory.recall(b.id, at)!);
      const fresh = open.find(({ id }) => !memory.isSeen(id));
      const least = () =>
        [...open].sort((a, b) => (memory.recall(a.id, at) ?? 0) - (memory.recall(b.id, at) ?? 0))[0];
      return due[0] ?? fresh ?? least();
    },
    told: ({ id }, at, isRight) => memory.learn({ cardId: id, at, rating: isRight ? 3 : 1 }),
  };
};

const hurrows = (cards: readonly PracticeCard[], random: Random): Order => {
  const memory = new Memory();
  let asked: AskedCard[] = [];
  // What a class mixes up is known of by the evidence here.
  const mixUps: MixUp[] = cards.flatMap(({ taxonId, taken }) =>
    taken
      .filter(({ share }) => share >= WORTH_TELLING)
      .map(({ taxonId: b, share }) => ({ a: taxonId, b, weight: Math.min(1, share), own: false })),
  );
  const taught = [...new Set(cards.map(({ taxonId }) => taxonId))];
  return {
    sessionBegins: () => (asked = []),
    next: (open, at) => {
      const deck: Deck = { cards: open, mixUps, memory, taught };
      return nextCard(deck, asked, at, random.uniform) ?? cardByLeast(open, memory, asked, at);
    },
    told: (card, at, isRight, taken) => {
      asked.push({ cardId: card.id, taxonId: card.taxonId, right: isRight, isNew: !memory.isSeen(card.id) });
      memory.learn({ cardId: card.id, at, rating: isRight ? 3 : 1 });
      const known = mixUps.find(({ a, b, own }) => own && a === card.taxonId && b === taken);
      if (known) known.weight = Math.min(1, known.weight + 0.3);
      else if (taken) mixUps.push({ a: card.taxonId, b: taken, weight: 0.4, own: true });
    },
  };
};

/** Minutes are left and nothing is due: what is known least. */
const cardByLeast = (
  open: readonly PracticeCard[],
  memory: Memory,
  asked: readonly AskedCard[],
  at: number,
): PracticeCard => {
  const last = asked.at(-1)?.taxonId;
  const least = (card: PracticeCard) => memory.recall(card.id, at) ?? 0;
  return [...open].filter(({ taxonId }) => taxonId !== last).sort((a, b) => least(a) - least(b))[0]!;
};

interface Outcome {
  /** Mean chance of naming a rival, and of not naming the tree, a day and three weeks after. */
  mixed: [number, number];
  missed: [number, number];
}

function learn(cards: readonly PracticeCard[], order: Order, seed: number): Outcome {
  const learner = new Learner(seed);
  const taxa = [...new Set(cards.map(({ taxonId }) => taxonId))];
  let at = 0;
  for (let session = 0; session < SESSIONS; session += 1) {
    const shown = new Set(taxa.slice(0, Math.ceil(((Math.floor(session / 2) + 1) * taxa.length) / SETS)));
    const open = cards.filter(({ taxonId }) => shown.has(taxonId));
    order.sessionBegins?.();
    let left = SECONDS;
    while (left > 0) {
      const card = order.next(open, at);
      if (!card) break;
      const { isRight, taken, took } = learner.answer(card, TAKES);
      left -= took;
      at += took * 1000;
      order.told(card, at, isRight, taken);
    }
    learner.wait(3.5);
    at += 3.5 * DAY;
  }
  const now = () => {
    const all = cards.map((card) => learner.chances(card));
    return {
      mixed: mean(all.map(({ rivals }) => rivals.reduce((sum, share) => sum + share, 0))),
      missed: mean(all.map(({ right }) => 1 - right)),
    };
  };
  // Three and a half days have gone by; a day is what the first measure asks for at least.
  const soon = now();
  learner.wait(21);
  const late = now();
  return { mixed: [soon.mixed, late.mixed], missed: [soon.missed, late.missed] };
}

const mean = (values: readonly number[]): number => values.reduce((sum, x) => sum + x, 0) / values.length;

/** A mean in per cent with its 95 % interval. */
function said(values: readonly number[]): string {
  const m = mean(values);
  const sd = Math.sqrt(mean(values.map((x) => (x - m) ** 2)) * (values.length / (values.length - 1)));
  return `${(100 * m).toFixed(1)} ± ${((100 * 1.96 * sd) / Math.sqrt(values.length)).toFixed(1)} %`;
}

/** Two cards of each tree of the demo's list. */
export function practiceCards(): PracticeCard[] {
  const { profiles: list, library } = readLibrary(demoLibrary());
  const { reference } = library;
  const { candidates } = candidatesOf(list, BUILT_IN, { day: 230, reference, kinds: PRACTICE_KINDS });
  return list.flatMap(({ taxon }) => candidates.filter(({ taxonId }) => taxonId === taxon.id).slice(0, 2));
}

/** The order of a session against others, over the learners of `bench/learner.md`. */
export function practice(): Row[] {
  const cards = practiceCards();
  const orders: Record<string, (seed: number) => Order> = {
    blocked,
    random: (seed) => byLot(randomFrom(seed)),
    'card by card': cardByCard,
    'Hurrow’s': (seed) => hurrows(cards, randomFrom(seed)),
  };
  const seeds = Array.from({ length: LEARNERS }, (_, i) => 700 + i);
  const outcomes = Object.fromEntries(
    Object.entries(orders).map(([name, order]) => [
      name,
      seeds.map((seed) => learn(cards, order(seed), seed)),
    ]),
  );
  const own = outcomes['Hurrow’s']!;
  return Object.entries(outcomes).flatMap(([name, all]) => {
    const rows: Row[] = [0, 1].map((when) => ({
      what: `practice, ${name} order: rival named ${when === 0 ? 'soon' : 'three weeks'} after, of 100 learners`,
      value: said(all.map(({ mixed }) => mixed[when]!)),
    }));
    rows.push({
      what: `practice, ${name} order: tree not named three weeks after`,
      value: said(all.map(({ missed }) => missed[1])),
    });
    if (all === own) return rows;
    rows.push({
      what: `practice, Hurrow’s less ${name}: rival named three weeks after`,
      value: said(all.map(({ mixed }, i) => own[i]!.mixed[1] - mixed[1])),
      wanted: 'below 0',
    });
    return rows;
  });
}
