import type { QuizHead, QuizSummary } from '@hurrow/contract/quizzes';
import type { Rounds } from '@hurrow/contract/rounds';
import type { Try } from '@hurrow/contract/tries';
import type { AnswerPart, MarkingPolicy } from '@hurrow/core/names';
import type { Speaker, StoredResponse } from '@hurrow/core/quiz';
import type { BellState } from '@hurrow/core/rotation';
import type { FrozenStation, Question } from '@hurrow/core/station';
import type { Medium, View } from '@hurrow/core/view';
import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';

const QUIZ = `quiz.id, quiz.course_id as "courseId", quiz.title, to_char(quiz.held_on, 'YYYY-MM-DD') as "heldOn", quiz.state, quiz.released,
  quiz.released_to as "releasedTo", to_char(quiz.regrade_until, 'YYYY-MM-DD') as "regradeUntil"`;

export const quizzesOfCourse = (db: Db, courseId: string) =>
  db.query<QuizSummary>(
    `select ${QUIZ},
            (select count(*)::int from station where station.quiz_id = quiz.id) as stations,
            (select count(distinct response.student_id)::int
               from response join station on station.id = response.station_id
              where station.quiz_id = quiz.id) as students
       from quiz where course_id = $1 order by quiz.held_on, title`,
    [courseId],
  );

/** The quizzes of a course without what costs time to count. */
export const quizStates = (db: Db, courseId: string) =>
  db.query<QuizHead>(`select ${QUIZ} from quiz where course_id = $1 order by quiz.held_on, title`, [
    courseId,
  ]);

export const quiz = async (db: Db, id: string) =>
  (await db.query<QuizHead>(`select ${QUIZ} from quiz where id = $1::uuid`, [uuidOf(id)]))[0];

/** The quiz, held against others who would change its state at the same time. */
export const quizForUpdate = async (db: Db, id: string) =>
  (await db.query<QuizHead>(`select ${QUIZ} from quiz where id = $1::uuid for update`, [uuidOf(id)]))[0];

export const addQuiz = (db: Db, id: string, courseId: string, title: string, heldOn: string) =>
  db.query('insert into quiz (id, course_id, title, held_on) values ($1, $2, $3, $4::date)', [
    id,
    courseId,
    title,
    heldOn,
  ]);

export const updateQuiz = (db: Db, id: string, title: string, heldOn: string) =>
  db.query('update quiz set title = $2, held_on = $3::date where id = $1', [id, title, heldOn]);

export const roundsOf = async (db: Db, id: string) =>
  (await db.query<{ rounds: Rounds | null }>('select rounds from quiz where id = $1', [id]))[0]?.rounds ??
  null;

export const setRounds = (db: Db, id: string, rounds: Rounds) =>
  db.query('update quiz set rounds = $2::jsonb where id = $1', [id, JSON.stringify(rounds)]);

export const bellOf = async (db: Db, id: string) =>
  (await db.query<{ bell: BellState | null }>('select bell from quiz where id = $1', [id]))[0]?.bell ?? null;

export const setBell = (db: Db, id: string, bell: BellState) =>
  db.query('update quiz set bell = $2::jsonb where id = $1', [id, JSON.stringify(bell)]);

/** Notes from which phone a student answers, and how far its clock is off, seconds. */
export const notePhone = (
  db: Db,
  quizId: string,
  studentId: string,
  { phone, off, at }: { phone: string; off: number | null; at: Date },
) =>
  db.query(
    `insert into phone (quiz_id, student_id, phone, off, last_at) values ($1, $2, $3, $4, $5)
     on conflict (quiz_id, student_id, phone) do update set off = excluded.off, last_at = excluded.last_at`,
    [quizId, studentId, phone, off, at],
  );

export const phonesOf = (db: Db, quizId: string) =>
  db.query<{ studentId: string; phone: string; off: number | null }>(
    `select student_id as "studentId", phone, off from phone where quiz_id = $1 order by last_at`,
    [quizId],
  );

export const triesOf = async (db: Db, id: string) =>
  (await db.query<{ tries: Try[] }>('select tries from quiz where id = $1', [id]))[0]?.tries ?? [];

export const setTries = (db: Db, id: string, tries: readonly Try[]) =>
  db.query('update quiz set tries = $2::jsonb where id = $1', [id, JSON.stringify(tries)]);

export const setState = (db: Db, id: string, state: QuizHead['state']) =>
  db.query('update quiz set state = $2 where id = $1', [id, state]);

export const markOpened = (db: Db, id: string, at: Date) =>
  db.query(`update quiz set state = 'open', opened_at = $2 where id = $1`, [id, at]);

export const setReleased = (
  db: Db,
  id: string,
  { released, releasedTo, regradeUntil }: Pick<QuizHead, 'released' | 'releasedTo' | 'regradeUntil'>,
) =>
  db.query('update quiz set released = $2, released_to = $3::jsonb, regrade_until = $4::date where id = $1', [
    id,
    released,
    JSON.stringify(releasedTo),
    regradeUntil,
  ]);

/** What a quiz is marked by where that was changed after it was opened; null where it was not. */
export const markingOf = async (db: Db, id: string) =>
  (await db.query<{ marking: MarkingPolicy | null }>('select marking from quiz where id = $1', [id]))[0]
    ?.marking ?? null;

export const setMarking = (db: Db, id: string, marking: MarkingPolicy | null) =>
  db.query('update quiz set marking = $2::jsonb where id = $1', [id, marking && JSON.stringify(marking)]);

export const removeQuiz = async (db: Db, id: string) => {
  await db.query('delete from station where quiz_id = $1', [id]);
  await db.query('delete from quiz where id = $1', [id]);
};

export interface StationRow {
  id: string;
  quizId: string;
  position: number;
  taxonId: string;
  medium: Medium;
  view: View;
  seed: number;
  voided: boolean;
  /** Voided, and everybody gets its points. */
  credited: boolean;
  voidReason: string | null;
  /** Left out of the analyses; its marks stay. */
  leftOut: boolean;
  frozen: FrozenStation | null;
  /** Characters that its students are asked to read. */
  asks: string[];
  /** Are its students asked what they went by? */
  wentBy: boolean;
  /** The character that half of its students are told to look at first. */
  prompt: string | null;
  /** Are four names to choose from? */
  choose: boolean;
  /** What is asked in place of the name. */
  question: Question | null;
}

// What a station is fixed to holds once its quiz has been opened.
const STATION = `station.id, quiz_id as "quizId", position, taxon_id as "taxonId", medium, view, seed, voided, credited,
  void_reason as "voidReason", left_out as "leftOut",
  case when quiz.state = 'planned' then null else frozen end as frozen, asks,
  went_by as "wentBy", prompt, choose, question`;

export const stations = (db: Db, quizId: string) =>
  db.query<StationRow>(
    `select ${STATION} from station join quiz on quiz.id = station.quiz_id where quiz_id = $1 order by position`,
    [quizId],
  );

export const station = async (db: Db, id: string) =>
  (
    await db.query<StationRow & { courseId: string; state: QuizHead['state'] }>(
      `select ${STATION}, quiz.course_id as "courseId", quiz.state
         from station join quiz on quiz.id = station.quiz_id where station.id = $1::uuid`,
      [uuidOf(id)],
    )
  )[0];

/** Whether stations count in marks and analyses. */
export const countingOf = (db: Db, quizId: string) =>
  db.query<Pick<StationRow, 'id' | 'voided' | 'credited' | 'voidReason' | 'leftOut'>>(
    'select id, voided, credited, void_reason as "voidReason", left_out as "leftOut" from station where quiz_id = $1',
    [quizId],
  );

/** Where stations belong, without what is fixed in them. */
export const placesOf = (db: Db, stationIds: readonly string[]) =>
  db.query<{ id: string; quizId: string; courseId: string; state: QuizHead['state'] }>(
    `select station.id, quiz_id as "quizId", quiz.course_id as "courseId", quiz.state
       from station join quiz on quiz.id = station.quiz_id where station.id = any($1::uuid[])`,
    [stationIds],
  );

export const addStation = (
  db: Db,
  row: Omit<StationRow, 'voided' | 'credited' | 'voidReason' | 'leftOut' | 'frozen'>,
) =>
  db.query(
    `insert into station (id, quiz_id, position, taxon_id, medium, view, seed, asks, went_by, prompt, choose, question)
     values ($1, $2, $3, $4, $5, $6::jsonb, $7, $8::jsonb, $9, $10, $11, $12::jsonb)`,
    [
      row.id,
      row.quizId,
      row.position,
      row.taxonId,
      row.medium,
      JSON.stringify(row.view),
      row.seed,
      JSON.stringify(row.asks),
      row.wentBy,
      row.prompt,
      row.choose,
      row.question && JSON.stringify(row.question),
    ],
  );

export const clearStations = (db: Db, quizId: string) =>
  db.query('delete from station where quiz_id = $1', [quizId]);

/** Writes down what a station is fixed to. It holds once the quiz is open. */
export const freeze = (db: Db, stationId: string, frozen: FrozenStation, fixedFrom: string) =>
  db.query('update station set frozen = $2::jsonb, fixed_from = $3 where id = $1', [
    stationId,
    JSON.stringify(frozen),
    fixedFrom,
  ]);

/** Does any station of a quiz lack what is fixed from this ground? */
export const anyNotFixedFrom = async (db: Db, quizId: string, fixedFrom: string) =>
  (
    await db.query('select 1 from station where quiz_id = $1 and fixed_from is distinct from $2 limit 1', [
      quizId,
      fixedFrom,
    ])
  ).length > 0;

export const setVoided = (
  db: Db,
  stationId: string,
  { voided, credited, voidReason }: Pick<StationRow, 'voided' | 'credited' | 'voidReason'>,
) =>
  db.query('update station set voided = $2, credited = $3, void_reason = $4 where id = $1::uuid', [
    uuidOf(stationId),
    voided,
    voided && credited,
    voided ? voidReason : null,
  ]);

export interface ResponseRow extends StoredResponse {
  writtenAt: Date;
  receivedAt?: Date;
}

/** The answers of a quiz in their order, those that came from a moment on and at most so many, or all. */
export const responsesOfQuiz = (
  db: Db,
  quizId: string,
  since: Date | null = null,
  most: number | null = null,
) =>
  db.query<ResponseRow>(
    `select response.id, station_id as "stationId", student_id as "studentId", answer, by, device, sequence, written_at as "writtenAt", received_at as "receivedAt"
       from response join station on station.id = response.station_id
      where station.quiz_id = $1 and ($2::timestamptz is null or received_at >= $2)
      order by received_at, sequence limit $3`,
    [quizId, since, most],
  );

/** How many answers a quiz has. */
export const countResponses = async (db: Db, quizId: string) =>
  (
    await db.query<{ n: number }>(
      `select count(*)::int as n from response where station_id in (select id from station where quiz_id = $1)`,
      [quizId],
    )
  )[0]!.n;

export const responsesOfStudent = (db: Db, studentId: string) =>
  db.query<ResponseRow>(
    `select id, station_id as "stationId", student_id as "studentId", answer, by, device, sequence, written_at as "writtenAt"
       from response where student_id = $1 order by received_at, sequence`,
    [studentId],
  );

/** All ids of a table. */
export const idsOf = async (db: Db, table: 'response' | 'station' | 'student') =>
  new Set((await db.query<{ id: string }>(`select id from ${table}`)).map(({ id }) => id));

/** What was said, and when, by answers that were received before. */
export const receivedBefore = (db: Db, ids: readonly string[]) =>
  db.query<{ id: string; bodyHash: string; receivedAt: Date }>(
    'select id, body_hash as "bodyHash", received_at as "receivedAt" from response where id = any($1::uuid[])',
    [ids],
  );

/** How many stations of a quiz each student has answered. */
export const answeredStations = (db: Db, quizId: string) =>
  db.query<{ studentId: string; n: number }>(
    `select student_id as "studentId", count(distinct station_id)::int as n from response
      where station_id in (select id from station where quiz_id = $1) group by student_id`,
    [quizId],
  );

export interface NewResponse extends StoredResponse {
  writtenAt: string;
  /** When it came first, where it is brought back; else now. */
  receivedAt?: string;
  hash: string;
  enteredBy: string | null;
}

/**
 * Adds answers in one statement and says when each was received; one whose id is there already is left out. The statement does not wait
 * for the disk: `keep` does, for many students at once.
 */
export const addResponses = (db: Db, rows: readonly NewResponse[]) =>
  db.query<{ id: string; receivedAt: Date }>(
    `with unhurried as materialized (select set_config('synchronous_commit', 'off', true))
     insert into response (id, station_id, student_id, answer, device, sequence, written_at, body_hash, entered_by, by, received_at)
     select r.id, "stationId", "studentId", answer, device, sequence, "writtenAt", hash, "enteredBy", by, 
            coalesce("receivedAt", now() + place * interval '1 microsecond')
       from unhurried, jsonb_to_recordset($1::jsonb) as r (id uuid, "stationId" uuid, "studentId" uuid, answer jsonb, device text,
            sequence integer, "writtenAt" timestamptz, hash text, "enteredBy" uuid, by text, "receivedAt" timestamptz, place integer)
     on conflict (id) do nothing returning id, received_at as "receivedAt"`,
    // Of two that come together the later one counts: each has its own moment.
    [JSON.stringify(rows.map((row, place) => ({ ...row, place })))],
  );

/** Next sequence number of what staff write through the server: from paper, or deciding. */
export const nextSequence = async (db: Db, stationId: string, studentId: string, by: Speaker) =>
  (
    await db.query<{ n: number }>(
      'select coalesce(max(sequence), 0) + 1 as n from response where station_id = $1 and student_id = $2 and by = $3',
      [stationId, studentId, by],
    )
  )[0]!.n;

/** Under what name somebody typed a paper's answer before; nothing where they did not. */
export const deviceOfTypist = async (db: Db, stationId: string, studentId: string, accountId: string) =>
  (
    await db.query<{ device: string }>(
      `select device from response
        where station_id = $1 and student_id = $2 and by = 'paper' and entered_by = $3
        order by received_at desc, sequence desc limit 1`,
      [stationId, studentId, accountId],
    )
  )[0]?.device;

export interface RulingRow {
  id: number;
  truth: string;
  answerKey: string;
  countsAs: string | null;
  /** Of a ruling on one answer only. */
  studentId: string | null;
  stationId: string | null;
  points: Partial<Record<AnswerPart, number>> | null;
  reason: string | null;
  by: string;
  at: Date;
}

/** The rulings in force: the newest of each truth and answer, or of one answer, unless withdrawn. */
export const rulings = (db: Db, courseId: string) =>
  db.query<RulingRow>(
    `select id, truth, answer_key as "answerKey", counts_as as "countsAs", student_id as "studentId", station_id as "stationId",
            points, reason, by, at from (
       select distinct on (truth, answer_key, student_id, station_id)
              ruling.id, truth, answer_key, counts_as, student_id, station_id, points, reason, withdrawn, account.name as by, at
         from ruling join account on account.id = ruling.account_id
        where course_id = $1 order by truth, answer_key, student_id, station_id, ruling.id desc
     ) as newest where not withdrawn`,
    [courseId],
  );

export interface WordsRow {
  id: number;
  words: string;
  countsAs: string | null;
  by: string;
}

/** What words on paper count as in a course, by the newest ruling on each. */
export const wordsRuled = (db: Db, courseId: string) =>
  db.query<WordsRow>(
    `select id, words, counts_as as "countsAs", by from (
       select distinct on (words) words_ruling.id, words, counts_as, withdrawn, account.name as by
         from words_ruling join account on account.id = words_ruling.account_id
        where course_id = $1 order by words, words_ruling.id desc
     ) as newest where not withdrawn order by words`,
    [courseId],
  );

export const addWordsRuling = (
  db: Db,
  courseId: string,
  { words, countsAs, withdrawn }: Pick<WordsRow, 'words' | 'countsAs'> & { withdrawn: boolean },
  accountId: string,
  now: Date,
) =>
  db.query(
    `insert into words_ruling (course_id, words, counts_as, withdrawn, account_id, at) values ($1, $2, $3, $4, $5, $6)`,
    [courseId, words, countsAs, withdrawn, accountId, now],
  );

export const addRuling = (
  db: Db,
  courseId: string,
  ruling: Pick<
    RulingRow,
    'truth' | 'answerKey' | 'countsAs' | 'studentId' | 'stationId' | 'points' | 'reason'
  >,
  withdrawn: boolean,
  accountId: string,
  at: Date,
) =>
  db.query(
    `insert into ruling (course_id, truth, answer_key, counts_as, student_id, station_id, points, reason, withdrawn, account_id, at)
     values ($1, $2, $3, $4, $5, $6, $7::jsonb, $8, $9, $10, $11)`,
    [
      courseId,
      ruling.truth,
      ruling.answerKey,
      ruling.countsAs,
      ruling.studentId,
      ruling.stationId,
      ruling.points && JSON.stringify(ruling.points),
      ruling.reason,
      withdrawn,
      accountId,
      at,
    ],
  );
