import { randomUUID } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import Joi from 'joi';
import { Problem, conflict } from '../api/problem.ts';
import { route, type Who } from '../api/route.ts';
import type { Db } from '../db/index.ts';
import { addSource } from '../library/queries.ts';
import * as queries from './queries.ts';
import { signIn, signOut } from './sessions.ts';

interface SetupBody {
  name: string;
  email: string;
  password: string;
  libraryName: string;
  latitude: number;
  longitude: number;
  elevation: number;
}

const setupBody = Joi.object<SetupBody>({
  name: Joi.string().trim().max(120).required().label('Your name'),
  email: Joi.string().trim().email({ tlds: false }).max(200).required().label('E-mail'),
  password: Joi.string().min(10).max(200).required().label('Password'),
  libraryName: Joi.string().trim().max(120).default('Our library').label('Name of the library'),
  latitude: Joi.number().min(-90).max(90).required().label('Latitude'),
  longitude: Joi.number().min(-180).max(180).required().label('Longitude'),
  elevation: Joi.number().min(-450).max(6000).required().label('Elevation'),
});

/** What the pages need to know before anything else. */
async function sessionState(db: Db, who: Who | undefined, demo: boolean, now: Date) {
  return {
    setupNeeded: (await queries.countAccounts(db)) === 0,
    demo,
    today: now.toISOString().slice(0, 10),
    who: who
      ? {
          id: who.accountId ?? who.studentId,
          name: who.name,
          role: who.role,
          ...(who.courseId ? { course: await queries.courseName(db, who.courseId) } : {}),
        }
      : null,
  };
}

// Hashed once, so that a sign-in with an unknown address takes as long as one with a wrong password.
const decoy = hash('a password nobody has');

export const authRoutes = [
  route({
    method: 'get',
    path: '/api/session',
    summary: 'Who is signed in, and what the first page should offer.',
    allow: 'anyone',
    handle: ({ db, who, config, now }) => sessionState(db, who, config.demo, now),
  }),
  route<SetupBody>({
    method: 'post',
    path: '/api/setup',
    summary: 'Creates the owner and the library of a new installation.',
    allow: 'anyone',
    body: setupBody,
    handle: async ({ db, body, config, response, now }) => {
      const owned = conflict('This Hurrow already has an owner. Sign in instead.');
      // Before the password is hashed, which costs: nobody else makes the server work.
      if ((await queries.countAccounts(db)) > 0) throw owned;
      const accountId = randomUUID();
      const passwordHash = await hash(body.password);
      await db.transaction(async (tx) => {
        if ((await queries.countAccounts(tx)) > 0) throw owned;
        await queries.addAccount(tx, accountId, body.email, body.name, passwordHash, 'owner');
        const libraryId = randomUUID();
        await queries.addLibrary(
          tx,
          libraryId,
          body.libraryName,
          body.latitude,
          body.longitude,
          body.elevation,
        );
        await addSource(tx, libraryId, 'own', 'Own observations', 0);
      });
      await signIn(db, config, response, { accountId });
      return sessionState(db, { role: 'owner', name: body.name, accountId }, config.demo, now);
    },
  }),
  route<{ email: string; password: string }>({
    method: 'post',
    path: '/api/session/account',
    summary: 'Signs in with e-mail and password.',
    allow: 'anyone',
    guessable: { field: 'email', most: 20 },
    body: Joi.object({
      email: Joi.string().trim().required().label('E-mail'),
      password: Joi.string().required().label('Password'),
    }),
    handle: async ({ db, body, config, response, now }) => {
      const account = await queries.accountByEmail(db, body.email);
      const right = await verify(account?.password_hash ?? (await decoy), body.password);
      if (!account || account.left || !right)
        throw new Problem(401, 'E-mail and password do not match. Check both and try again.');
      await signIn(db, config, response, { accountId: account.id });
      return sessionState(
        db,
        { role: account.role, name: account.name, accountId: account.id },
        config.demo,
        now,
      );
    },
  }),
  route<{ courseCode: string; personalCode: string }>({
    method: 'post',
    path: '/api/session/student',
    summary: 'Signs a student in with course code and personal code.',
    allow: 'anyone',
    // A lecture hall behind one address may mistype.
    guessable: { field: 'courseCode', most: 150 },
    body: Joi.object({
      courseCode: Joi.string().trim().required().label('Course code'),
      personalCode: Joi.string().trim().required().label('Personal code'),
    }),
    handle: async ({ db, body, config, response, now }) => {
      const course = await queries.courseByCode(db, body.courseCode.replace(/\s/g, ''));
      if (!course)
        throw new Problem(
          401,
          `No course has the code “${body.courseCode}”. It stands on the card your instructor gave you.`,
        );
      const student = await queries.studentByCode(db, course.id, body.personalCode.replace(/\s/g, ''));
      if (!student)
        throw new Problem(
          401,
          `“${body.personalCode}” is no personal code of ${course.name}. Check the card your instructor gave you.`,
        );
      await signIn(db, config, response, { studentId: student.id });
      return sessionState(
        db,
        { role: 'student', name: student.name, studentId: student.id, courseId: course.id },
        config.demo,
        now,
      );
    },
  }),
  route<{ as: 'instructor' | 'student' }>({
    method: 'post',
    path: '/api/session/demo',
    summary: 'Signs in as one of the made-up people of the demo. Only while HURROW_DEMO is set.',
    allow: 'anyone',
    body: Joi.object({ as: Joi.string().valid('instructor', 'student').required() }),
    handle: async ({ db, body, config, response }) => {
      if (!config.demo) throw new Problem(403, 'This is not the demo. Sign in with your own account.');
      if (body.as === 'instructor') {
        const owner = await queries.firstOwner(db);
        if (!owner) throw new Problem(404, 'The demo data has no instructor. Run npm run demo again.');
        return signIn(db, config, response, { accountId: owner.id });
      }
      const student = await queries.demoStudent(db);
      if (!student) throw new Problem(404, 'The demo data has no student. Run npm run demo again.');
      return signIn(db, config, response, { studentId: student.id });
    },
  }),
  route({
    method: 'delete',
    path: '/api/session',
    summary: 'Signs out.',
    allow: 'anyone',
    handle: ({ db, request, response }) => signOut(db, request, response),
  }),
];
