import { randomUUID } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import * as session from '@hurrow/contract/session';
import { conflict, Problem } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import { addSource } from '../library/queries.ts';
import { checkSecond } from '../second/second.ts';
import * as queries from './queries.ts';
import { signIn, signOut } from './sessions.ts';
import { sessionState } from './state.ts';

// Hashed once, so that a sign-in with an unknown address takes as long as one with a wrong password.
const decoy = hash('a password nobody has');

export const authRoutes = [
  serve(session.now, ({ db, who, config, now }) => sessionState(db, who, config, now)),
  serve(session.setUp, async ({ db, body, config, response, now }) => {
    const owned = conflict(say`This Hurrow already has an owner. Sign in instead.`);
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
    return sessionState(db, { role: 'owner', name: body.name, accountId }, config, now);
  }),
  serve(session.signIn, async ({ db, body, config, response, now }) => {
    const account = await queries.accountByEmail(db, body.email);
    const right = await verify(account?.passwordHash ?? (await decoy), body.password);
    if (!account || account.left || !right)
      throw new Problem(401, say`E-mail and password do not match. Check both and try again.`);
    await checkSecond(db, account.id, body.code);
    await signIn(db, config, response, { accountId: account.id });
    return sessionState(db, { role: account.role, name: account.name, accountId: account.id }, config, now);
  }),
  serve(session.signInStudent, async ({ db, body, config, response, now }) => {
    const course = await queries.courseByCode(db, body.courseCode.replace(/\s/g, ''));
    if (!course)
      throw new Problem(
        401,
        say`No course has the code “${body.courseCode}”. It stands on the card your instructor gave you.`,
      );
    const student = await queries.studentByCode(db, course.id, body.personalCode.replace(/\s/g, ''));
    if (!student)
      throw new Problem(
        401,
        say`“${body.personalCode}” is no personal code of ${course.name}. Check the card your instructor gave you.`,
      );
    await signIn(db, config, response, { studentId: student.id });
    return sessionState(
      db,
      { role: 'student', name: student.name, studentId: student.id, courseId: course.id },
      config,
      now,
    );
  }),
  serve(session.signInDemo, async ({ db, body, config, response }) => {
    if (!config.demo) throw new Problem(403, say`This is not the demo. Sign in with your own account.`);
    if (body.as === 'instructor') {
      const owner = await queries.firstOwner(db);
      if (!owner) throw new Problem(404, say`The demo data has no instructor. Run npm run demo again.`);
      return signIn(db, config, response, { accountId: owner.id });
    }
    const student = await queries.demoStudent(db);
    if (!student) throw new Problem(404, say`The demo data has no student. Run npm run demo again.`);
    return signIn(db, config, response, { studentId: student.id });
  }),
  serve(session.signOut, ({ db, request, response }) => signOut(db, request, response)),
];
