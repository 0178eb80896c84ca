import type { PracticePack } from '@hurrow/contract/practice';
import type { ReviewBody } from '@hurrow/contract/practice';
import { parseScore } from '@hurrow/core/score';
import { MEDIUM_VIEWS } from '@hurrow/core/view';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { afterSlip } from './afterSlip.ts';
import { Drill, groundOf, mixUpsOf, workOf } from './drill.ts';
import { namedAs, namesLike } from './named.ts';
import { cardsWished, pairOf, USUAL, wishOf } from './wish.ts';
import { workInWords } from './words.ts';

const NOW = Date.parse('2026-10-15T16:00:00Z');
const tree = (genus: string, epithet: string, teeth: string, common: string) => ({
  taxon: {
    id: `${genus}-${epithet}`.toLowerCase(),
    rank: 'species' as const,
    genus,
    epithet,
    family: 'Fictaceae',
    commonNames: [common],
    synonyms: [],
    calendar: { leaves: [{ from: 120, to: 300 }] },
    cautions: [],
  },
  scores: Object.entries({
    'foliage.kind': 'broad',
    'leaf.composition': 'simple',
    'leaf.lobing': 'none',
    'leaf.shape': 'ovate',
    'leaf.length': '5–8 cm',
    'leaf.base': 'rounded',
    'leaf.apex': 'acute',
    'leaf.teeth': teeth,
  }).map(([characterId, text]) => {
    const value = parseScore(text, BUILT_IN.get(characterId)!);
    if (!value.ok) throw new Error(value.problem);
    return { characterId, qualifiers: {}, value: value.value, from: ['s'], statements: [], disagree: false };
  }),
});
const taxa = [
  tree('Ficta', 'serrata', 'single', 'saw tree'),
  tree('Ficta', 'integra', 'none', 'smooth tree'),
  tree('Alia', 'duplex', 'double', 'double tree'),
];
const view = {
  ...MEDIUM_VIEWS.drawing,
  organs: ['leaf' as const],
  day: 200,
  qualifiers: {},
  leaves: 'on' as const,
};
const pack = (more: Partial<PracticePack> = {}): PracticePack => ({
  now: NOW,
  courseId: 'c',
  audience: 'technical',
  units: 'metric',
  common: false,
  asksWentBy: false,
  reference: { latitude: 47, longitude: -116, elevation: 800 },
  site: { latitude: 47, longitude: -116, elevation: 800 },
  taxa,
  characters: [],
  cards: taxa.map(({ taxon: { id } }) => ({
    id: `${id} leaf`,
    taxonId: id,
    kind: 'leaf',
    view,
    right: 1,
    taken: [],
    inSeason: true,
  })),
  mixUps: [],
  taught: taxa.map(({ taxon }) => taxon.id),
  weights: null,
  reviews: [],
  miniLessons: [],
  ...more,
});
type Saved = Omit<ReviewBody, 'id' | 'device' | 'sequence'>;
const begin = (given = pack(), wish = { ...USUAL, minutes: 5 }) => {
  const saved: Saved[] = [];
  const clock = { now: NOW };
  const drill = new Drill(given, given.reviews, wish, {
    now: () => clock.now,
    save: (review) => saved.push(review),
    seed: 3,
  });
  return { drill, saved, clock };
};

test('a session asks, writes each answer down as it is told, and ends when its time is over', () => {
  const { drill, saved, clock } = begin();
  const first = drill.state().question!;
  clock.now += 9000;
  drill.told({ right: false, slips: 0, took: 9, named: 'alia-duplex' });
  expect(saved).toMatchObject([{ cardId: first.card.id, rating: 1, tookMs: 9000 }]);
  expect(drill.known().some(({ a, own }) => own && a === 'alia-duplex')).toBe(
    first.card.taxonId !== 'alia-duplex',
  );
  drill.next();
  expect(drill.state().question!.card.taxonId).not.toBe(first.card.taxonId);
  expect(drill.state()).toMatchObject({ answered: 1, right: 0, minutes: 5 });
  clock.now += 6 * 60_000;
  drill.next();
  expect(drill.state()).toMatchObject({ question: undefined, ended: 'time' });
});

test('where nothing is due the session is done; what is wished for is practiced all the same', () => {
  const reviews = taxa.flatMap(({ taxon: { id } }, t) =>
    [20, 14, 5].map((days, i) => ({
      id: `${t}${i}`,
      cardId: `${id} leaf`,
      rating: 3 as const,
      named: null,
      tookMs: 8000,
      at: new Date(NOW - days * 24 * 3600_000).toISOString(),
    })),
  );
  const known = pack({ reviews });
  expect(begin(known).drill.state()).toMatchObject({ question: undefined, ended: 'done' });
  expect(workInWords(workOf(known, reviews, USUAL, NOW))).toContain('Nothing is due');
  expect(begin(known, { ...USUAL, what: 'leaf', minutes: 5 }).drill.state().question).toBeDefined();
  const pair = begin(known, {
    ...USUAL,
    what: 'pair:ficta-integra,ficta-serrata',
    way: 'which' as never,
    minutes: 5,
  });
  expect(pair.drill.state().question).toMatchObject({ way: 'which' });
});

test('slips on this phone are mix-ups at once, beside those that the server tells', () => {
  const answers = [
    {
      id: '1',
      cardId: 'ficta-serrata leaf',
      rating: 1 as const,
      named: 'ficta-integra',
      tookMs: 9000,
      at: new Date(NOW).toISOString(),
    },
  ];
  const told = [{ a: 'alia-duplex', b: 'ficta-integra', weight: 0.4, own: true }];
  expect(mixUpsOf(pack({ mixUps: told }), answers, NOW).map(({ a, b }) => `${a} ${b}`)).toEqual([
    'ficta-integra ficta-serrata',
    'alia-duplex ficta-integra',
  ]);
});

test('a pair mixed up here and in a quiz stands once, by the heavier of the two; that of the class beside it', () => {
  const slip = { cardId: 'ficta-serrata leaf', rating: 1 as const, named: 'ficta-integra', tookMs: 9000 };
  const told = [
    { a: 'ficta-serrata', b: 'ficta-integra', weight: 0.9, own: true },
    { a: 'ficta-integra', b: 'ficta-serrata', weight: 0.2, own: false },
  ];
  const answers = [{ ...slip, id: '1', at: new Date(NOW).toISOString() }];
  expect(mixUpsOf(pack({ mixUps: told }), answers, NOW)).toEqual([
    { a: 'ficta-integra', b: 'ficta-serrata', weight: 0.9, own: true },
    { a: 'ficta-integra', b: 'ficta-serrata', weight: 0.2, own: false },
  ]);
});

test('a wish stands in the address, and what it cannot be is the usual one', () => {
  expect(wishOf(new URLSearchParams('what=bark&way=sort&minutes=10'))).toEqual({
    what: 'bark',
    way: 'sort',
    minutes: 10,
  });
  expect(wishOf(new URLSearchParams('what=roots&way=fly&minutes=7'))).toEqual(USUAL);
  expect(pairOf({ what: 'pair:a,b' })).toEqual(['a', 'b']);
  const { cards } = pack();
  const mixed = cards.map((card, i) => ({ ...card, inSeason: i !== 0 }));
  expect(cardsWished({ cards: mixed }, [], USUAL)).toHaveLength(2);
  expect(cardsWished({ cards: mixed }, [], { ...USUAL, what: 'leaf' })).toHaveLength(3);
  const own = [{ a: 'ficta-serrata', b: 'x', weight: 1, own: true }];
  expect(cardsWished({ cards: mixed }, own, { ...USUAL, what: 'mine' })).toEqual([mixed[0]]);
});

test('a name counts by whatever name it is written, and says what is wrong with it', () => {
  const list = taxa.map(({ taxon }) => taxon);
  const named = (text: string) => namedAs(text, 'ficta-serrata', list, false);
  expect(named('ficta serrata')).toMatchObject({ right: true, slips: 0 });
  expect(named('saw tree')).toMatchObject({ right: true, slips: 0 });
  expect(named('Ficta serata')).toMatchObject({ right: true, slips: 1, said: 'Spelled Ficta serrata.' });
  expect(named('Ficta integra')).toMatchObject({ right: false, taxonId: 'ficta-integra' });
  expect(named('Quercus robur')).toMatchObject({ right: false, said: 'That is no tree of your list.' });
  expect(named('')).toMatchObject({ right: false, said: '' });
  expect(namesLike('f', ['fir'])).toEqual([]);
  expect(namesLike('fi', ['grand fir', 'fig', 'oak'])).toEqual(['fig', 'grand fir']);
});

test('after a slip the two stand beside each other, the named one or the likeliest, in an order by lot', () => {
  const { drill } = begin();
  const question = drill.state().question!;
  const ground = groundOf(pack());
  const truth = question.card.taxonId;
  const other = taxa.find(({ taxon }) => taxon.id !== truth)!.taxon.id;
  const shown = afterSlip(question, other, ground, [], 0.2)!;
  expect(shown.pair).toEqual([truth, other]);
  expect([shown.first, afterSlip(question, other, ground, [], 0.7)!.first]).toEqual([0, 1]);
  expect(shown.found.right).toMatch(/^<svg/);
  expect(`${shown.found.right}${shown.found.taken}`).not.toMatch(/Ficta|Alia|tree/);
  expect(afterSlip(question, undefined, ground, [], 0)!.pair[1]).not.toBe(truth);
});

test('at every third name it is asked what was gone by, by other characters each time, and what is told goes along', () => {
  const { drill, saved } = begin(pack({ asksWentBy: true }), {
    ...USUAL,
    what: 'leaf',
    way: 'name' as never,
    minutes: 5,
  });
  const offered = Array.from({ length: 6 }, () => {
    const question = drill.state().question as { offered?: string[] };
    const wentBy = question.offered && { offered: question.offered, told: ['leaf.teeth'] };
    drill.told({ right: true, slips: 0, took: 4, ...(wentBy ? { wentBy } : {}) });
    drill.next();
    return question.offered ?? [];
  });
  expect(offered.map(({ length }) => length > 0)).toEqual([false, false, true, false, false, true]);
  expect(offered[2]).toContain('leaf.teeth');
  expect(saved.map(({ wentBy }) => wentBy?.told)).toEqual([
    undefined,
    undefined,
    ['leaf.teeth'],
    undefined,
    undefined,
    ['leaf.teeth'],
  ]);
  const silent = begin(pack(), { ...USUAL, what: 'leaf', way: 'name' as never, minutes: 5 }).drill;
  for (let i = 0; i < 3; i += 1) {
    expect(silent.state().question).not.toHaveProperty('offered');
    silent.told({ right: true, slips: 0, took: 4 });
    silent.next();
  }
});
