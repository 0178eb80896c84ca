import type { Role } from '@hurrow/contract/endpoint';
import type { Db } from '../db/index.ts';

export interface AccountRow {
  id: string;
  email: string;
  name: string;
  passwordHash: string;
  role: Role;
  left: boolean;
}

/** The columns of an `AccountRow`. */
export const ACCOUNT = `id, email, name, password_hash as "passwordHash", role, left_at is not null as "left"`;

export const addSession = (
  db: Db,
  tokenHash: string,
  accountId: string | null,
  studentId: string | null,
  expires: Date,
) =>
  db.query('insert into session (token_hash, account_id, student_id, expires_at) values ($1, $2, $3, $4)', [
    tokenHash,
    accountId,
    studentId,
    expires,
  ]);

export const removeSession = (db: Db, tokenHash: string) =>
  db.query('delete from session where token_hash = $1', [tokenHash]);

export const sessionOwner = async (db: Db, tokenHash: string, now: Date) =>
  (
    await db.query<{
      accountId: string | null;
      studentId: string | null;
      courseId: string | null;
      role: Role;
      name: string;
    }>(
      `select session.account_id as "accountId", session.student_id as "studentId", student.course_id as "courseId",
              coalesce(account.role, 'student') as role, coalesce(account.name, student.name) as name
         from session
         left join account on account.id = session.account_id
         left join student on student.id = session.student_id
        where session.token_hash = $1 and session.expires_at > $2 and account.left_at is null`,
      [tokenHash, now],
    )
  )[0];

export const countAccounts = async (db: Db) =>
  (await db.query<{ n: number }>('select count(*)::int as n from account'))[0]!.n;

export const accountByEmail = async (db: Db, email: string) =>
  (await db.query<AccountRow>(`select ${ACCOUNT} from account where email = lower($1)`, [email]))[0];

export const firstOwner = async (db: Db) =>
  (
    await db.query<AccountRow>(
      `select ${ACCOUNT} from account where role = 'owner' order by created_at limit 1`,
    )
  )[0];

export const addAccount = (
  db: Db,
  id: string,
  email: string,
  name: string,
  passwordHash: string,
  role: Role,
) =>
  db.query('insert into account (id, email, name, password_hash, role) values ($1, lower($2), $3, $4, $5)', [
    id,
    email,
    name,
    passwordHash,
    role,
  ]);

export const addLibrary = (
  db: Db,
  id: string,
  name: string,
  latitude: number,
  longitude: number,
  elevation: number,
) =>
  db.query('insert into library (id, name, latitude, longitude, elevation) values ($1, $2, $3, $4, $5)', [
    id,
    name,
    latitude,
    longitude,
    elevation,
  ]);

export const courseByCode = async (db: Db, code: string) =>
  (
    await db.query<{ id: string; name: string }>('select id, name from course where code = upper($1)', [code])
  )[0];

export const studentByCode = async (db: Db, courseId: string, code: string) =>
  (
    await db.query<{ id: string; name: string }>(
      'select id, name from student where course_id = $1 and code = upper($2) and not nameless',
      [courseId, code],
    )
  )[0];

export const demoStudent = async (db: Db) =>
  (
    await db.query<{ id: string; name: string }>(
      'select student.id, student.name from student join course on course.id = student.course_id order by course.created_at, course.starts_on, student.name limit 1',
    )
  )[0];

export const courseName = async (db: Db, courseId: string) =>
  (await db.query<{ name: string }>('select name from course where id = $1', [courseId]))[0]?.name;
