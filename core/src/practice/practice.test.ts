import { viewOf, profiled } from '../testing/taxa.ts';
import { randomFrom } from '../random/index.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import {
  fittedWeights,
  Memory,
  nextCard,
  questionOf,
  ratingOf,
  rivalsOf,
  schedulerOf,
  usualSeconds,
  WAYS,
  workload,
  type AskedCard,
  type Deck,
  type MixUp,
  type PracticeCard,
  type PracticeGround,
  type Rating,
  type Review,
} from './index.ts';

const DAY = 24 * 3600_000;
const card = (taxonId: string, kind = 'leaf'): PracticeCard => ({
  id: `${taxonId} ${kind}`,
  taxonId,
  kind,
  view: viewOf(['leaf'], 190),
  right: 1,
  taken: [],
});
const deckOf = (cards: PracticeCard[], reviews: Review[], mixUps: MixUp[] = []): Deck => ({
  cards,
  mixUps,
  memory: new Memory(reviews),
  taught: [...new Set(cards.map(({ taxonId }) => taxonId))],
});
const answers = (cardId: string, ...ratings: Rating[]): Review[] =>
  ratings.map((rating, i) => ({ cardId, at: i * 3 * DAY, rating }));
const noLot = () => 0;

describe('what is remembered', () => {
  test('fades with time, longer after it was right more often, and is due when nine in ten are left', () => {
    const once = new Memory(answers('a leaf', 3));
    const often = new Memory(answers('a leaf', 3, 3, 3));
    const recall = (memory: Memory, days: number) => memory.recall('a leaf', 6 * DAY + days * DAY)!;
    expect(recall(often, 5)).toBeGreaterThan(recall(often, 40));
    expect(recall(often, 40)).toBeGreaterThan(once.recall('a leaf', 40 * DAY)!);
    expect(often.isDue('a leaf', 7 * DAY)).toBe(false);
    expect(often.isDue('a leaf', 400 * DAY)).toBe(true);
    expect(often.recall('b leaf', 0)).toBeUndefined();
    expect(often.isKnown('a leaf', 7 * DAY)).toBe(true);
    expect(often.nextDue()).toBeGreaterThan(7 * DAY);
  });
  test('does not rest on the order in which answers arrive, nor on a clock that goes back', () => {
    const reviews = answers('a leaf', 3, 1, 3);
    const turned = new Memory([...reviews].reverse());
    expect(turned.recall('a leaf', 9 * DAY)).toBe(new Memory(reviews).recall('a leaf', 9 * DAY));
    turned.learn({ cardId: 'a leaf', at: 0, rating: 3 });
    expect(turned.recall('a leaf', 6 * DAY)).toBeGreaterThan(0.5);
  });
});

describe('the order of cards', () => {
  const known = (...ids: string[]) => ids.flatMap((id) => answers(`${id} leaf`, 3));
  test('own mix-ups come first, and what is mixed up with a tree comes just after it', () => {
    const deck = deckOf(
      ['a', 'b', 'c', 'd', 'e'].map((id) => card(id)),
      known('a', 'b', 'c', 'd', 'e'),
      [{ a: 'c', b: 'e', weight: 0.8, own: true }],
    );
    const first = nextCard(deck, [], 60 * DAY, noLot)!;
    expect(['c', 'e']).toContain(first.taxonId);
    const asked: AskedCard[] = [{ cardId: first.id, taxonId: first.taxonId, right: true, isNew: false }];
    const second = nextCard(deck, asked, 60 * DAY, noLot)!;
    expect([first.taxonId, second.taxonId].sort()).toEqual(['c', 'e']);
  });
  test('another tree each time, what was wrong comes back after some others, new cards among old ones', () => {
    const cards = ['a', 'b', 'c', 'd', 'e', 'f', 'g'].flatMap((id) => [card(id), card(id, 'bark')]);
    const deck = deckOf(cards, known('a', 'b', 'c', 'd'));
    const asked: AskedCard[] = [];
    const random = randomFrom(4).uniform;
    for (let i = 0; i < 14; i += 1) {
      const next = nextCard(deck, asked, 60 * DAY + i * 1000, random);
      if (!next) break;
      const isNew = !deck.memory.isSeen(next.id);
      const right = i !== 0;
      deck.memory.learn({ cardId: next.id, at: 60 * DAY + i * 1000, rating: right ? 3 : 1 });
      asked.push({ cardId: next.id, taxonId: next.taxonId, right, isNew });
    }
    asked.slice(1).forEach((each, i) => expect(each.taxonId).not.toBe(asked[i]!.taxonId));
    const again = asked.findIndex(({ cardId }, i) => i > 0 && cardId === asked[0]!.cardId);
    expect(again).toBeGreaterThan(3);
    expect(asked.filter(({ isNew }) => isNew).length).toBeGreaterThan(0);
    expect(asked.slice(0, 4).every(({ isNew }) => isNew)).toBe(false);
  });
  test('nothing is asked where nothing is due and nothing is new; how long it takes follows what there is', () => {
    const cards = [card('a')];
    const deck = deckOf(cards, answers('a leaf', 3, 3, 3));
    expect(nextCard(deck, [], 7 * DAY, noLot)).toBeUndefined();
    expect(workload(deck, 7 * DAY, 12)).toEqual({ due: 0, fresh: 0, known: 1, minutes: 5 });
    const many = Array.from({ length: 60 }, (_, i) => card(`t${i}`));
    expect(
      workload(
        deckOf(
          many,
          many.flatMap(({ id }) => answers(id, 3)),
        ),
        60 * DAY,
        14,
      ).minutes,
    ).toBe(20);
    expect(workload(deckOf(many, []), 0, 14)).toMatchObject({ due: 0, fresh: 60, minutes: 5 });
  });
});

describe('a question', () => {
  const shared = {
    'foliage.kind': 'broad',
    'leaf.composition': 'simple',
    'leaf.lobing': 'none',
    'leaf.shape': 'ovate',
    'leaf.length': '5–8 cm',
    'twig.arrangement': 'alternate',
    'leaf.base': 'rounded',
    'leaf.apex': 'acute',
  };
  const list = [
    profiled('Ficta', 'serrata', { ...shared, 'leaf.teeth': 'single' }),
    profiled('Ficta', 'integra', { ...shared, 'leaf.teeth': 'none' }),
    profiled('Alia', 'lobata', { ...shared, 'leaf.lobing': 'palmate', 'leaf.teeth': 'none' }),
  ];
  const ground: PracticeGround = { list, vocabulary: BUILT_IN, audience: 'technical', units: 'metric' };
  const serrate = { ...card('ficta-serrata'), taken: [{ taxonId: 'ficta-integra', share: 0.2 }] };
  const mixUps: MixUp[] = [];
  const ask = (way: (typeof WAYS)[number], seed = 5) => questionOf(way, serrate, seed, ground, mixUps)!;

  test('in every way it can be asked, and nothing that is shown or said names the tree', () => {
    for (const way of WAYS) {
      const asked = ask(way);
      expect(asked.way).toBe(way);
      const shown =
        'shown' in asked
          ? [asked.shown]
          : asked.way === 'differs'
            ? asked.pictures
            : asked.way === 'sort'
              ? asked.pieces.map((piece) => piece.shown)
              : [];
      for (const { svg, words } of shown)
        expect(`${svg} ${words}`).not.toMatch(/serrata|integra|Ficta|lobata/i);
    }
  });
  test('another seed draws another individual, the same seed the same', () => {
    const picture = (seed: number) => (ask('name', seed) as { shown: { svg: string } }).shown.svg;
    expect(picture(5)).toBe(picture(5));
    expect(picture(5)).not.toBe(picture(6));
  });
  test('the likeliest rival is the own mix-up, then what beginners take it for', () => {
    expect(rivalsOf(serrate, ground, [])[0]).toBe('ficta-integra');
    const own = [{ a: 'alia-lobata', b: 'ficta-serrata', weight: 0.6, own: true }];
    expect(rivalsOf(serrate, ground, own)[0]).toBe('alia-lobata');
  });
  test('what differs is the margin alone, and its place is on both pictures', () => {
    const asked = ask('differs');
    if (asked.way !== 'differs') throw new Error('another question');
    expect(asked.right).toEqual(['leaf.teeth']);
    expect(asked.characters).toContain('leaf.teeth');
    expect(asked.spots.some(({ characterId, at }) => characterId === 'leaf.teeth' && at.length === 2)).toBe(
      true,
    );
  });
  test('what settles it is among what the two share', () => {
    const asked = ask('settles');
    if (asked.way !== 'settles') throw new Error('another question');
    expect(asked.right).toContain('leaf.teeth');
    expect(asked.characters.filter((id) => asked.right.includes(id))).toHaveLength(1);
    expect(asked.characters.length).toBeGreaterThan(2);
  });
  test('what is asked of the features is not said in words of the picture', () => {
    const asked = ask('features');
    if (asked.way !== 'features') throw new Error('another question');
    expect(asked.asks[0]).toEqual({ characterId: 'leaf.teeth', right: ['single'] });
    expect(asked.shown.words).not.toMatch(/margin|teeth/i);
  });
});

test('how well it was known: wrong, with slips or slowly, right, at once', () => {
  expect(ratingOf({ right: false, slips: 0, took: 3 }, 12)).toBe(1);
  expect(ratingOf({ right: true, slips: 1, took: 3 }, 12)).toBe(2);
  expect(ratingOf({ right: true, slips: 0, took: 40 }, 12)).toBe(2);
  expect(ratingOf({ right: true, slips: 0, took: 12 }, 12)).toBe(3);
  expect(ratingOf({ right: true, slips: 0, took: 4 }, 12)).toBe(4);
  expect(usualSeconds([1])).toBe(14);
  expect(usualSeconds([5, 6, 7, 8, 900, 9])).toBe(7);
});

describe('the weights of a course', () => {
  /** A class that forgets far sooner, or later, than the package expects. */
  const histories = (stretch: number) =>
    Array.from({ length: 6 }, (_, student) => {
      const random = randomFrom(100 + student);
      return Array.from({ length: 20 }, (_, c) => {
        let at = 0;
        let lasts = 2 * stretch;
        return Array.from({ length: 6 }, (_, i): Review => {
          const gap = i === 0 ? 0 : 2 + Math.floor(6 * random.uniform());
          at += gap * DAY;
          const known = i === 0 || random.uniform() < (1 + gap / (4 * lasts)) ** -1;
          lasts = known ? lasts * 2 : stretch;
          return { cardId: `c${c}`, at, rating: known ? 3 : 1 };
        });
      }).flat();
    });
  test('are fitted where there are enough answers, and foretell them better', () => {
    const found = fittedWeights(histories(0.25))!;
    expect(found.answers).toBeGreaterThan(300);
    expect(found.loss[1]).toBeLessThan(found.loss[0]);
    expect(() => schedulerOf(found.weights)).not.toThrow();
    const [quick, slow] = [found, fittedWeights(histories(8))!].map(({ weights }) => weights[2]!);
    expect(quick).toBeLessThan(slow!);
  });
  test('are the package’s where there are few answers or students', () => {
    expect(fittedWeights([])).toBeUndefined();
    expect(fittedWeights(histories(1).slice(0, 2))).toBeUndefined();
  });
});
