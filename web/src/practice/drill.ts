import {
  Memory,
  nextCard,
  ownMixUps,
  questionOf,
  ratingOf,
  usualSeconds,
  wayFor,
  workload,
  type Answered,
  type AskedCard,
  type MixUp,
  type PracticeCard,
  type PracticeGround,
  type Question,
  type Workload,
} from '@hurrow/core/practice';
import { randomFrom } from '@hurrow/core/random';
import { checklistOf } from '@hurrow/core/station';
import { readVocabulary } from './ground.ts';
import type { PracticePack, ReviewBody, ToldOf } from '@hurrow/contract/practice';
import { cardsWished, pairOf, type Wish } from './wish.ts';

type Known = Pick<ReviewBody, 'cardId' | 'rating' | 'named' | 'tookMs' | 'at'>;

/** What became of an answer. */
export interface Told extends Answered {
  /** The tree that was named instead. */
  named?: string;
  /** What was told to be gone by, of what was offered. */
  wentBy?: ToldOf;
}

/** How far a session is. */
export interface DrillState {
  question: Question | undefined;
  /** Why there is no question. */
  ended?: 'time' | 'done';
  answered: number;
  right: number;
  /** Minutes that it takes, and how many are over. */
  minutes: number;
  spent: number;
}

/** The trees of a pack as questions are made from them. */
export const groundOf = (pack: PracticePack): PracticeGround => ({
  list: pack.taxa,
  vocabulary: readVocabulary(pack),
  audience: pack.audience,
  units: pack.units,
  reference: pack.reference,
  site: pack.site,
});

/** What one mixes up by all that is known: quizzes as the server tells them, and slips of practice on this phone as well; a pair once. */
export function mixUpsOf(pack: PracticePack, answers: readonly Known[], now: number): MixUp[] {
  const slips = answers.flatMap(({ cardId, named, at }) =>
    named ? [{ taxonId: cardId.split(' ')[0]!, named, at: Date.parse(at) }] : [],
  );
  const pairs = new Map<string, MixUp>();
  for (const { weight, own, ...pair } of [...ownMixUps(slips, now), ...pack.mixUps]) {
    const [a, b] = [pair.a, pair.b].sort() as [string, string];
    const key = `${a} ${b} ${own}`;
    pairs.set(key, { a, b, weight: Math.max(weight, pairs.get(key)?.weight ?? 0), own });
  }
  return [...pairs.values()];
}

export const memoryOf = (pack: PracticePack, answers: readonly Known[]): Memory =>
  new Memory(
    answers.map(({ cardId, rating, at }) => ({ cardId, rating, at: Date.parse(at) })),
    pack.weights ?? undefined,
  );

/** What there is to do for a wish. */
export function workOf(pack: PracticePack, answers: readonly Known[], wish: Wish, now: number): Workload {
  const mixUps = mixUpsOf(pack, answers, now);
  const cards = cardsWished(pack, mixUps, wish);
  return workload({ cards, memory: memoryOf(pack, answers) }, now, secondsOf(answers));
}

const secondsOf = (answers: readonly Known[]): number =>
  usualSeconds(answers.map(({ tookMs }) => tookMs / 1000));

/** Of so many specimens to be named one asks what it was named by, as one station in three does. */
const ASKED_EVERY = 3;

/** Questions are tried so often before a card is passed over. */
const TRIES = 3;

/** One session of practice: asks, is told what became of it, and writes it down. The page shows what it says. */
export class Drill {
  readonly ground: PracticeGround;
  private readonly pack: PracticePack;
  private readonly wish: Wish;
  private readonly now: () => number;
  private readonly save: (review: Omit<ReviewBody, 'id' | 'device' | 'sequence'>) => void;
  private readonly random: () => number;
  private readonly memory: Memory;
  private readonly times = new Map<string, number>();
  private readonly asked: AskedCard[] = [];
  private readonly began: number;
  private readonly minutes: number;
  private readonly usual: number;
  private cards: PracticeCard[];
  private mixUps: MixUp[];
  private seed: number;
  private right = 0;
  private toName = 0;
  /** How often each character was on a checklist: the others go before. */
  private readonly offered = new Map<string, number>();
  private question: Question | undefined;

  /**
   * @param answers all that are known of
   * @param now milliseconds since 1970, by the server's clock
   * @param seed of the individuals that are drawn
   */
  constructor(
    pack: PracticePack,
    answers: readonly Known[],
    wish: Wish,
    {
      now,
      save,
      seed,
    }: { now(): number; save(review: Omit<ReviewBody, 'id' | 'device' | 'sequence'>): void; seed: number },
  ) {
    this.pack = pack;
    this.wish = wish;
    this.now = now;
    this.save = save;
    this.seed = seed;
    this.random = randomFrom(seed).uniform;
    this.ground = groundOf(pack);
    this.memory = memoryOf(pack, answers);
    this.began = now();
    const [a, b] = pairOf(wish) ?? [];
    // What is practiced as a pair is asked as one.
    const wished: MixUp[] = a && b ? [{ a, b, weight: 1, own: true }] : [];
    this.mixUps = [...wished, ...mixUpsOf(pack, answers, this.began)];
    this.cards = cardsWished(pack, this.mixUps, wish);
    this.usual = secondsOf(answers);
    this.minutes =
      wish.minutes || workload({ cards: this.cards, memory: this.memory }, this.began, this.usual).minutes;
    for (const { cardId } of answers) this.times.set(cardId, (this.times.get(cardId) ?? 0) + 1);
    this.question = this.ask();
  }

  state(): DrillState {
    return {
      question: this.question,
      ...(this.question ? {} : { ended: this.over() ? ('time' as const) : ('done' as const) }),
      answered: this.asked.length,
      right: this.right,
      minutes: this.minutes,
      spent: this.spent(),
    };
  }

  private spent = (): number => (this.now() - this.began) / 60_000;
  private over = (): boolean => this.spent() >= this.minutes;

  /** What is mixed up, as known now. */
  known(): readonly MixUp[] {
    return this.mixUps;
  }

  /** Writes an answer down; the question stays until `next`. */
  told({ named, wentBy, ...answered }: Told): void {
    const { question } = this;
    if (!question) return;
    const { id, taxonId } = question.card;
    const at = this.now();
    const rating = ratingOf(answered, this.usual);
    this.asked.push({ cardId: id, taxonId, right: answered.right, isNew: !this.memory.isSeen(id) });
    this.memory.learn({ cardId: id, at, rating });
    this.times.set(id, (this.times.get(id) ?? 0) + 1);
    if (answered.right) this.right += 1;
    const other = named && named !== taxonId ? named : null;
    if (other) this.mixUps = [...ownMixUps([{ taxonId, named: other, at }], at), ...this.mixUps];
    this.save({
      cardId: id,
      way: question.way,
      rating,
      named: other,
      tookMs: Math.round(answered.took * 1000),
      ...(wentBy ? { wentBy } : {}),
      at: new Date(at).toISOString(),
    });
  }

  /** Asks the next question; none once the time is over. */
  next(): void {
    this.question = this.over() ? undefined : this.ask();
  }

  private ask(): Question | undefined {
    for (let tried = 0; tried < TRIES; tried += 1) {
      const deck = {
        cards: this.cards,
        mixUps: this.mixUps,
        memory: this.memory,
        taught: this.pack.taught,
      };
      const card = nextCard(deck, this.asked, this.now(), this.random) ?? this.again();
      if (!card) return undefined;
      this.seed += 1;
      const way =
        this.wish.way === 'mixed' ? wayFor(card, this.times.get(card.id) ?? 0, this.mixUps) : this.wish.way;
      const made = questionOf(way, card, this.seed, this.ground, this.mixUps);
      if (made) return this.withChecklist(made);
      // What cannot be drawn after all is left out.
      this.cards = this.cards.filter(({ id }) => id !== card.id);
    }
    return undefined;
  }

  /** Now and then the question with a checklist of what could be gone by. */
  private withChecklist(question: Question): Question {
    if (!this.pack.asksWentBy || question.way !== 'name') return question;
    this.toName += 1;
    if (this.toName % ASKED_EVERY !== 0) return question;
    const { taxonId, view } = question.card;
    const { list, vocabulary } = this.ground;
    const { ground, offered } = this;
    const ids = checklistOf(taxonId, list, vocabulary, view, { ...ground, seed: this.seed, offered });
    for (const id of ids) offered.set(id, (offered.get(id) ?? 0) + 1);
    return ids.length > 0 ? { ...question, offered: ids } : question;
  }

  /** A chosen organ, pair or mix-up is practiced for its minutes, due or not: what is known least comes next. */
  private again(): PracticeCard | undefined {
    if (this.wish.what === 'due') return undefined;
    const lately = new Set(this.asked.slice(-2).map(({ cardId }) => cardId));
    const last = this.asked.at(-1)?.taxonId;
    const at = this.now();
    const open = this.cards.filter(({ id }) => !lately.has(id));
    const others = pairOf(this.wish) ? open : open.filter(({ taxonId }) => taxonId !== last);
    return [...others].sort(
      (a, b) => (this.memory.recall(a.id, at) ?? 0) - (this.memory.recall(b.id, at) ?? 0),
    )[0];
  }
}
