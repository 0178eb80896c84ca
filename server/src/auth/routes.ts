import { randomUUID } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import * as session from '@hurrow/contract/session';
import type { Session } from '@hurrow/contract/session';
import QRCode from 'qrcode';
import { account, endSessions, passwordHash, setPassword } from '../accounts/queries.ts';
import { badInput, conflict, notFound, Problem } from '../api/problem.ts';
import { accountOf, serve } from '../api/route.ts';
import type { Who } from '../api/who.ts';
import type { Config } from '../config.ts';
import type { Db } from '../db/index.ts';
import { addHistory, note } from '../keeping/queries.ts';
import { addSource } from '../library/queries.ts';
import * as queries from './queries.ts';
import { accountOfVouched, askInstitution, institutionSays } from './institution.ts';
import { invited, useUp } from './invitations.ts';
import { newSecret, opens, recoveryCodes, stepOf } from './second.ts';
import { secondOf, setRecovery, setSecret, turnOff, turnOn } from './secondQueries.ts';
import { signIn, signOut } from './sessions.ts';

/** What the pages need to know before anything else. */
async function sessionState(db: Db, who: Who | undefined, config: Config, now: Date): Promise<Session> {
  return {
    setupNeeded: (await queries.countAccounts(db)) === 0,
    demo: config.demo,
    institution: config.institution?.name ?? null,
    today: now.toISOString().slice(0, 10),
    who: who
      ? {
          id: who.accountId ?? who.studentId!,
          name: who.name,
          role: who.role,
          ...(who.courseId ? { course: await queries.courseName(db, who.courseId) } : {}),
        }
      : null,
  };
}

// Hashed once, so that a sign-in with an unknown address takes as long as one with a wrong password.
const decoy = hash('a password nobody has');

const usedUp = () =>
  new Problem(
    410,
    'This link was used, replaced by a newer one, or is older than a week. Ask the owner of this Hurrow for a new one.',
  );

/** Whom a link invites. Throws (410) where it opens nothing. */
async function invitedBy(db: Db, token: string) {
  const found = await invited(db, token);
  if (!found) throw usedUp();
  return found;
}

/** Throws (422) where a password is not that of an account. */
async function checkPassword(db: Db, accountId: string, password: string): Promise<void> {
  if (!(await verify((await passwordHash(db, accountId))!, password)))
    throw badInput('That is not your password. Check it and try again.');
}

/** Throws (401) where an account asks for a second factor and the code is none of it. */
async function checkSecond(db: Db, accountId: string, code: string | undefined): Promise<void> {
  if (!(await secondOf(db, accountId))?.since) return;
  if (code === undefined)
    throw new Problem(401, 'Type the code of your telephone, too.', undefined, 'secondFactor');
  if (!(await opens(db, accountId, code)))
    throw new Problem(
      401,
      'That code opens nothing: it is not the one of now, or it was used. Wait for the next one, or type one of your recovery codes.',
      undefined,
      'secondFactor',
    );
}

export const authRoutes = [
  serve(session.now, ({ db, who, config, now }) => sessionState(db, who, config, now)),
  serve(session.setUp, async ({ db, body, config, response, now }) => {
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
    return sessionState(db, { role: 'owner', name: body.name, accountId }, config, now);
  }),
  serve(session.signIn, async ({ db, body, config, response, now }) => {
    const account = await queries.accountByEmail(db, body.email);
    const right = await verify(account?.passwordHash ?? (await decoy), body.password);
    if (!account || account.left || !right)
      throw new Problem(401, 'E-mail and password do not match. Check both and try again.');
    await checkSecond(db, account.id, body.code);
    await signIn(db, config, response, { accountId: account.id });
    return sessionState(db, { role: account.role, name: account.name, accountId: account.id }, config, now);
  }),
  serve(session.signInStudent, async ({ db, body, config, response, now }) => {
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
      config,
      now,
    );
  }),
  serve(session.signInDemo, async ({ db, body, config, response }) => {
    if (!config.demo) throw new Problem(403, 'This is not the demo. Sign in with your own account.');
    if (body.as === 'instructor') {
      const owner = await queries.firstOwner(db);
      if (!owner) throw new Problem(404, 'The demo data has no instructor. Run npm run demo again.');
      return signIn(db, config, response, { accountId: owner.id });
    }
    const student = await queries.demoStudent(db);
    if (!student) throw new Problem(404, 'The demo data has no student. Run npm run demo again.');
    return signIn(db, config, response, { studentId: student.id });
  }),
  serve(session.institution, async ({ config, response, request }) => {
    if (!config.institution) throw notFound('institution');
    await askInstitution(config, response).catch((error: unknown) => {
      request.log?.error(error);
      response.redirect('/#institution-away');
    });
  }),
  serve(session.institutionBack, async ({ db, config, request, response, now }) => {
    if (!config.institution) throw notFound('institution');
    const vouched = await institutionSays(config, request, response).catch((error: unknown) => {
      request.log?.error(error);
    });
    if (!vouched) return response.redirect('/#institution-refused');
    const account = await accountOfVouched(db, config.institution.issuer, vouched);
    if (!account || account.left) return response.redirect('/#institution-unknown');
    await signIn(db, config, response, { accountId: account.id });
    await addHistory(db, now, account.id, null, `signed in through ${config.institution.name}`);
    response.redirect('/');
  }),
  serve(session.invited, async ({ db, body }) => {
    const { name, email } = await invitedBy(db, body.token);
    return { name, email };
  }),
  serve(session.accept, async ({ db, body, config, response, now }) => {
    const { id } = await invitedBy(db, body.token);
    const passwordHash = await hash(body.password);
    await db.transaction(async (tx) => {
      if (!(await useUp(tx, body.token))) throw usedUp();
      await setPassword(tx, id, passwordHash);
      await endSessions(tx, id, null);
    });
    await signIn(db, config, response, { accountId: id });
    const { name, role } = (await account(db, id))!;
    return sessionState(db, { role, name, accountId: id }, config, now);
  }),
  serve(session.second, async ({ db, who }) => {
    const held = (await secondOf(db, accountOf(who)))!;
    return { on: held.since !== null, recovery: held.recovery };
  }),
  serve(session.beginSecond, async ({ db, body, who }) => {
    const id = accountOf(who);
    await checkPassword(db, id, body.password);
    if ((await secondOf(db, id))?.since)
      throw conflict(
        'Your account asks for a second factor already. Turn it off first to begin with another telephone.',
      );
    const { secret, address } = newSecret((await account(db, id))!.email);
    await setSecret(db, id, secret);
    return { secret, address, picture: await QRCode.toString(address, { type: 'svg', margin: 2 }) };
  }),
  serve(session.confirmSecond, async ({ db, body, who, now }) => {
    const id = accountOf(who);
    const held = await secondOf(db, id);
    const step = held?.secret && !held.since ? stepOf(held.secret, body.code, null) : undefined;
    if (step === undefined)
      throw badInput(
        'That code is not the one of now. Wait for the next one on your telephone and type it; its clock must be right.',
      );
    const { codes, hashes } = recoveryCodes();
    await db.transaction(async (tx) => {
      await turnOn(tx, id, step, new Date());
      await setRecovery(tx, id, hashes);
    });
    await note(db, { who, now }, null, 'turned the own second factor on');
    return { recovery: codes };
  }),
  serve(session.endSecond, async ({ db, body, who, now }) => {
    const id = accountOf(who);
    await checkPassword(db, id, body.password);
    await db.transaction((tx) => turnOff(tx, id));
    await note(db, { who, now }, null, 'turned the own second factor off');
  }),
  serve(session.signOut, ({ db, request, response }) => signOut(db, request, response)),
];
