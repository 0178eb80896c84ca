import * as session from '@hurrow/contract/session';
import QRCode from 'qrcode';
import { checkPassword } from '../accounts/password.ts';
import { account } from '../accounts/queries.ts';
import { badInput, conflict } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { accountOf, serve } from '../api/route.ts';
import { note } from '../keeping/queries.ts';
import * as queries from './queries.ts';
import { newSecret, recoveryCodes, stepOf } from './second.ts';

export const secondRoutes = [
  serve(session.second, async ({ db, who }) => {
    const held = (await queries.secondOf(db, accountOf(who)))!;
    return { on: held.since !== null, recovery: held.recovery };
  }),
  serve(session.beginSecond, async ({ db, body, who }) => {
    const id = accountOf(who);
    await checkPassword(db, id, body.password);
    if ((await queries.secondOf(db, id))?.since)
      throw conflict(
        say`Your account asks for a second factor already. Turn it off first to begin with another telephone.`,
      );
    const { secret, address } = newSecret((await account(db, id))!.email);
    await queries.setSecret(db, id, secret);
    return { secret, address, picture: await QRCode.toString(address, { type: 'svg', margin: 2 }) };
  }),
  serve(session.confirmSecond, async ({ db, body, who, now }) => {
    const id = accountOf(who);
    const held = await queries.secondOf(db, id);
    const step = held?.secret && !held.since ? stepOf(held.secret, body.code, null) : undefined;
    if (step === undefined)
      throw badInput(
        say`That code is not the one of now. Wait for the next one on your telephone and type it; its clock must be right.`,
      );
    const { codes, hashes } = recoveryCodes();
    await db.transaction(async (tx) => {
      await queries.turnOn(tx, id, step, new Date());
      await queries.setRecovery(tx, id, hashes);
    });
    await note(db, { who, now }, null, say`turned the own second factor on`);
    return { recovery: codes };
  }),
  serve(session.endSecond, async ({ db, body, who, now }) => {
    const id = accountOf(who);
    await checkPassword(db, id, body.password);
    await db.transaction((tx) => queries.turnOff(tx, id));
    await note(db, { who, now }, null, say`turned the own second factor off`);
  }),
];
