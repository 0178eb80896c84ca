import { randomUUID } from 'node:crypto';
import { practiceCardsOf, Memory, nextCard, type AskedCard, type Rating } from '@hurrow/core/practice';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { randomFrom, seedOf } from '@hurrow/core/random';
import { dayOfYear, type Place } from '@hurrow/core/season';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import type { Db } from '@hurrow/server/db';
import { addMiniLesson, addStudents, markOpened } from '@hurrow/server/miniLessons/queries';
import { addReteaching } from '@hurrow/server/confusions/queries';
import { addReviews } from '@hurrow/server/practice/queries';
import { TRUTHS } from './students.ts';

const DAY = 24 * 3600_000;
/** Of the students so many practice at all; the one that the demo signs in as among them. */
const PRACTICES = 0.6;
/** Cards in a session, and milliseconds of a right and a wrong answer. */
const CARDS = 24;
const TAKES = { right: 9000, wrong: 21_000 };

export interface PracticedCourse {
  students: readonly { id: string; name: string }[];
  /** Taxa taught by a day. */
  taughtBy(day: string): ProfiledTaxon[];
  reference: Place;
  site: Place;
  /** First and last day of practice. */
  from: string;
  to: string;
}

/** Practice of a class over its weeks: some do it every few days, some seldom, some never. Each forgets, and mixes up what the class mixes up. */
export async function fillPractice(db: Db, course: PracticedCourse): Promise<void> {
  const { reference, site } = course;
  const list = course.taughtBy(course.to);
  const day = dayOfYear(course.to);
  const cards = practiceCardsOf(list, BUILT_IN, { day, reference, site });
  const rivals = new Map(TRUTHS.confused.flatMap(([a, b]) => [[a, b] as const, [b, a] as const]));
  for (const [n, student] of course.students.entries()) {
    const random = randomFrom(seedOf('practice', n));
    const keen = random.uniform();
    if (keen > PRACTICES && n > 0) continue;
    const memory = new Memory();
    const reviews = [];
    for (
      let at = Date.parse(`${course.from}T17:00:00Z`) + Math.floor(3 * random.uniform()) * DAY;
      at < Date.parse(`${course.to}T00:00:00Z`);
      at += (1 + Math.floor(3 * random.uniform() + 4 * keen)) * DAY
    ) {
      const taught = course.taughtBy(new Date(at).toISOString().slice(0, 10)).map(({ taxon }) => taxon.id);
      const open = cards.filter(({ taxonId }) => taught.includes(taxonId));
      const asked: AskedCard[] = [];
      let now = at;
      for (let i = 0; i < CARDS; i += 1) {
        const card = nextCard({ cards: open, mixUps: [], memory, taught }, asked, now, random.uniform);
        if (!card) break;
        const rival = rivals.get(card.taxonId);
        const knows = (memory.recall(card.id, now) ?? 0.45) * (rival && taught.includes(rival) ? 0.7 : 0.97);
        const right = random.uniform() < knows;
        const rating: Rating = right ? 3 : 1;
        const tookMs = Math.round((right ? TAKES.right : TAKES.wrong) * (0.6 + 0.8 * random.uniform()));
        now += tookMs;
        asked.push({
          cardId: card.id,
          taxonId: card.taxonId,
          right,
          isNew: !memory.isSeen(card.id),
        });
        memory.learn({ cardId: card.id, at: now, rating });
        const named = !right && rival && taught.includes(rival) ? rival : null;
        reviews.push({
          id: randomUUID(),
          cardId: card.id,
          way: named ? ('which' as const) : ('name' as const),
          rating,
          named,
          tookMs,
          at: new Date(now).toISOString(),
          device: `demo-${n}`,
          sequence: reviews.length + 1,
        });
      }
    }
    if (reviews.length > 0) await addReviews(db, student.id, reviews, new Date(`${course.to}T00:00:00Z`));
  }
}

/** A mini-lesson that was sent to some of a class, and opened by half of them. */
export async function fillMiniLesson(
  db: Db,
  courseId: string,
  { pair, on }: { pair: readonly [string, string]; on: string },
  students: readonly { id: string }[],
  accountId: string,
): Promise<void> {
  const [a, b] = [...pair].sort() as [string, string];
  const id = randomUUID();
  const note = 'Two minutes on these before Thursday, please: then the drill.';
  await addMiniLesson(db, courseId, { id, a, b, characterId: null, note, sentOn: on }, accountId);
  const to = students.map((student) => student.id);
  await addStudents(db, id, to);
  await addReteaching(db, courseId, { a, b, taughtOn: on }, accountId, to);
  for (const [i, student] of students.entries())
    if (i % 2 === 1) await markOpened(db, id, student.id, new Date(`${on}T18:00:00Z`));
}
