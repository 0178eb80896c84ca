import type { KeptReview, ReviewBody, ToldOf, WholeReview } from '@hurrow/contract/practice';
import type { WeightsFit } from '@hurrow/core/practice';
import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';

const REVIEW = `id, card as "cardId", rating, named, took_ms as "tookMs", answered_at as "at"`;

type Row = Omit<KeptReview, 'at'> & { at: Date };

const told = ({ at, ...row }: Row): KeptReview => ({ ...row, at: at.toISOString() });

/** Answers of a student to practice cards, in the order in which they were given. */
export const reviewsOf = async (db: Db, studentId: string): Promise<KeptReview[]> =>
  (
    await db.query<Row>(
      `select ${REVIEW} from practice_review where student_id = $1::uuid order by answered_at, device, sequence`,
      [uuidOf(studentId)],
    )
  ).map(told);

/** The same with what was told to be gone by: all that is kept of them. */
export const wholeReviewsOf = async (db: Db, studentId: string): Promise<WholeReview[]> =>
  (
    await db.query<Row & { wentBy: ToldOf | null }>(
      `select ${REVIEW}, went_by as "wentBy" from practice_review where student_id = $1::uuid order by answered_at, device, sequence`,
      [uuidOf(studentId)],
    )
  ).map(({ wentBy, ...row }) => ({ ...told(row), ...(wentBy ? { wentBy } : {}) }));

/** The same of all students of a course. */
export const reviewsOfCourse = async (db: Db, courseId: string) =>
  (
    await db.query<Row & { studentId: string }>(
      `select practice_review.id, card as "cardId", rating, named, took_ms as "tookMs", answered_at as "at", student_id as "studentId"
         from practice_review join student on student.id = student_id where course_id = $1::uuid order by answered_at, device, sequence`,
      [uuidOf(courseId)],
    )
  ).map(({ at, ...row }) => ({ ...row, at: at.toISOString() }));

export const countReviews = async (db: Db, courseId: string): Promise<number> =>
  (
    await db.query<{ n: number }>(
      'select count(*)::int as n from practice_review join student on student.id = student_id where course_id = $1::uuid',
      [uuidOf(courseId)],
    )
  )[0]!.n;

/** Keeps answers, each once by its id. */
export const addReviews = (db: Db, studentId: string, reviews: readonly ReviewBody[], now: Date) =>
  db.query(
    `insert into practice_review (id, student_id, card, way, rating, named, took_ms, answered_at, device, sequence, went_by, received_at)
     select id, $1::uuid, card, way, rating, named, took_ms, answered_at, device, sequence, went_by::jsonb, $2::timestamptz
       from unnest($3::uuid[], $4::text[], $5::text[], $6::smallint[], $7::text[], $8::int[], $9::timestamptz[], $10::text[], $11::int[], $12::text[])
         as sent (id, card, way, rating, named, took_ms, answered_at, device, sequence, went_by)
     on conflict (id) do nothing`,
    [
      uuidOf(studentId),
      now,
      reviews.map(({ id }) => id),
      reviews.map(({ cardId }) => cardId),
      reviews.map(({ way }) => way),
      reviews.map(({ rating }) => rating),
      reviews.map(({ named }) => named),
      reviews.map(({ tookMs }) => tookMs),
      reviews.map(({ at }) => at),
      reviews.map(({ device }) => device),
      reviews.map(({ sequence }) => sequence),
      reviews.map(({ wentBy }) => (wentBy ? JSON.stringify(wentBy) : null)),
    ],
  );

/** What students of a course told in practice to have gone by. */
export const toldInPractice = (db: Db, courseId: string) =>
  db.query<ToldOf & { id: string; studentId: string }>(
    `select practice_review.id, student_id as "studentId", went_by -> 'offered' as offered, went_by -> 'told' as told
       from practice_review join student on student.id = student_id
      where course_id = $1::uuid and went_by is not null order by practice_review.id`,
    [uuidOf(courseId)],
  );

/** Which of these answers are a student's own: an id that somebody else has used is not. */
export const ownIds = async (db: Db, studentId: string, ids: readonly string[]): Promise<string[]> =>
  (
    await db.query<{ id: string }>(
      'select id from practice_review where student_id = $1::uuid and id = any($2::uuid[])',
      [uuidOf(studentId), ids],
    )
  ).map(({ id }) => id);

/** How the schedule was fitted, and to how many answers. */
export const fitOf = async (db: Db, courseId: string) =>
  (
    await db.query<{ reviews: number; fit: WeightsFit | null }>(
      'select reviews, fit from practice_fit where course_id = $1::uuid',
      [uuidOf(courseId)],
    )
  )[0];

export const keepFit = (db: Db, courseId: string, reviews: number, fit: WeightsFit | undefined) =>
  db.query(
    `insert into practice_fit (course_id, reviews, fit) values ($1, $2, $3::jsonb)
     on conflict (course_id) do update set reviews = excluded.reviews, fit = excluded.fit`,
    [courseId, reviews, fit ? JSON.stringify(fit) : null],
  );
