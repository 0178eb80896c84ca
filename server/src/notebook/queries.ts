import type { Entry, EntryBody, ReadEntry } from '@hurrow/contract/notebook';
import { tagKey, type OwnPhrase } from '@hurrow/core/notebook';
import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';

const COLUMNS = `note_entry.id, to_char(day, 'YYYY-MM-DD') as day, tag, organ, words, chosen, drawing,
  coalesce((select array_agg(note_picture.id::text order by at, note_picture.id) from note_picture where entry_id = note_entry.id), '{}') as pictures`;

export const entriesOfStudent = (db: Db, studentId: string) =>
  db.query<Entry>(
    `select ${COLUMNS} from note_entry where student_id = $1 order by day desc, received_at desc, id`,
    [studentId],
  );

export const entriesOfCourse = (db: Db, courseId: string) =>
  db.query<ReadEntry>(
    `select ${COLUMNS}, student_id as "studentId", student.name as student, on_paper as "onPaper"
       from note_entry join student on student.id = student_id
      where note_entry.course_id = $1 order by day desc, received_at desc, note_entry.id`,
    [courseId],
  );

/** Whose an entry is. */
export const ownerOf = async (db: Db, entryId: string) =>
  (
    await db.query<{ studentId: string; courseId: string; pictures: number }>(
      `select student_id as "studentId", course_id as "courseId",
              (select count(*)::int from note_picture where entry_id = note_entry.id) as pictures
         from note_entry where id = $1::uuid`,
      [uuidOf(entryId)],
    )
  )[0];

export const countOf = async (db: Db, studentId: string) =>
  (
    await db.query<{ n: number }>('select count(*)::int as n from note_entry where student_id = $1', [
      studentId,
    ])
  )[0]!.n;

export const writeEntry = (
  db: Db,
  { id, courseId, studentId }: { id: string; courseId: string; studentId: string },
  entry: EntryBody,
  onPaper: boolean,
  at: Date,
) =>
  db.query(
    `insert into note_entry (id, course_id, student_id, day, tag, organ, words, chosen, drawing, on_paper, received_at)
     values ($1, $2, $3, $4::date, $5, $6, $7, $8::jsonb, $9::jsonb, $10, $11)
     on conflict (id) do update set day = excluded.day, tag = excluded.tag, organ = excluded.organ, words = excluded.words,
       chosen = excluded.chosen, drawing = excluded.drawing`,
    [
      id,
      courseId,
      studentId,
      entry.day,
      entry.tag,
      entry.organ,
      entry.words,
      JSON.stringify(entry.chosen),
      JSON.stringify(entry.drawing),
      onPaper,
      at,
    ],
  );

export const eraseEntry = (db: Db, entryId: string) =>
  db.query('delete from note_entry where id = $1', [entryId]);

export const addPicture = (db: Db, id: string, entryId: string, bytes: Uint8Array, at: Date) =>
  db.query(
    'insert into note_picture (id, entry_id, bytes, at) values ($1, $2, $3, $4) on conflict (id) do nothing',
    [id, entryId, bytes, at],
  );

export const pictureOf = async (db: Db, pictureId: string) =>
  (
    await db.query<{ bytes: Uint8Array; studentId: string; courseId: string; entryId: string }>(
      `select bytes, student_id as "studentId", note_entry.course_id as "courseId", entry_id as "entryId"
         from note_picture join note_entry on note_entry.id = entry_id where note_picture.id = $1::uuid`,
      [uuidOf(pictureId)],
    )
  )[0];

export const tagsOf = async (db: Db, courseId: string): Promise<Record<string, string>> =>
  Object.fromEntries(
    (
      await db.query<{ tag: string; taxonId: string }>(
        'select tag, taxon_id as "taxonId" from course_tag where course_id = $1 order by tag',
        [courseId],
      )
    ).map(({ tag, taxonId }) => [tag, taxonId]),
  );

/** Tags of trees on the grounds that have a name; of a tag that stands on several grounds, none. */
export const tagsOfTrees = async (db: Db): Promise<Record<string, string>> =>
  Object.fromEntries(
    (
      await db.query<{ tag: string; taxonId: string }>(
        `select min(facts->>'tag') as tag, min(facts->>'taxonId') as "taxonId" from tree
          where not gone group by tag_key having count(*) = 1 and min(facts->>'taxonId') is not null order by 1`,
      )
    ).map(({ tag, taxonId }) => [tag, taxonId]),
  );

/** A tag is one tree, however it is written. */
export const setTag = async (db: Db, courseId: string, tag: string, taxonId: string | null) => {
  const known = Object.keys(await tagsOf(db, courseId));
  const same = known.filter((each) => tagKey(each) === tagKey(tag));
  await db.query('delete from course_tag where course_id = $1 and tag = any($2)', [courseId, same]);
  if (taxonId !== null)
    await db.query('insert into course_tag (course_id, tag, taxon_id) values ($1, $2, $3)', [
      courseId,
      tag,
      taxonId,
    ]);
};

export const phrasesOf = async (db: Db, courseId: string) =>
  (
    await db.query<{ phrases: OwnPhrase[] }>('select own_phrases as phrases from course where id = $1', [
      courseId,
    ])
  )[0]!.phrases;

export const setPhrases = (db: Db, courseId: string, phrases: readonly OwnPhrase[]) =>
  db.query('update course set own_phrases = $2::jsonb where id = $1', [courseId, JSON.stringify(phrases)]);

/** Gives a copied course what the first one has learnt: the words of its classes, and which tree carries which tag. */
export const copyNotebookWords = async (db: Db, from: string, to: string) => {
  await setPhrases(db, to, await phrasesOf(db, from));
  await db.query(
    'insert into course_tag (course_id, tag, taxon_id) select $2, tag, taxon_id from course_tag where course_id = $1',
    [from, to],
  );
};
