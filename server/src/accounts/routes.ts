import { randomUUID } from 'node:crypto';
import { hash } from '@node-rs/argon2';
import * as accounts from '@hurrow/contract/accounts';
import type { Account } from '@hurrow/contract/accounts';
import { conflict, notFound } from '../api/problem.ts';
import { say, word } from '../api/say.ts';
import { accountOf, serve } from '../api/route.ts';
import { accountByEmail, addAccount } from '../auth/queries.ts';
import { tokenHashOf } from '../auth/sessions.ts';
import type { Db } from '../db/index.ts';
import { note } from '../keeping/queries.ts';
import { inviteAgain, newLink, unknownPassword } from '../invitations/inviting.ts';
import { checkPassword } from './password.ts';
import * as queries from './queries.ts';

/** The account of an address that the owner may change. Throws where there is none, or it is the owner's own. */
async function changeable(db: Db, id: string): Promise<Account> {
  const held = await queries.account(db, id);
  if (!held) throw notFound('account');
  if (held.role === 'owner')
    throw conflict(say`This is the owner’s account. The owner changes the password under the own name.`);
  return held;
}

export const accountRoutes = [
  serve(accounts.all, ({ db }) => queries.accounts(db)),
  serve(accounts.add, async ({ db, body, who, now }) => {
    if (await accountByEmail(db, body.email))
      throw conflict(say`${body.email} has an account here already. Change its role in the list instead.`);
    const id = randomUUID();
    await addAccount(db, id, body.email, body.name, await unknownPassword(), body.role);
    await note(db, { who, now }, null, say`added ${body.name} as ${word(body.role)}`);
    return { id, invitation: await newLink(db, id) };
  }),
  serve(accounts.change, ({ db, params, body, who, now }) =>
    db.transaction(async (tx) => {
      const held = await changeable(tx, params.accountId);
      await queries.setRole(tx, held.id, body.role);
      const role = word(body.role);
      await note(
        tx,
        { who, now },
        null,
        body.left
          ? say`made ${held.name} ${role}, who has left`
          : held.left
            ? say`made ${held.name} ${role}, who is back`
            : say`made ${held.name} ${role}`,
      );
      await queries.setLeft(tx, held.id, body.left ? now : null);
      if (body.left) await queries.endSessions(tx, held.id, null);
    }),
  ),
  serve(accounts.inviteAgain, async ({ db, params, who, now }) => {
    const held = await changeable(db, params.accountId);
    const invitation = await inviteAgain(db, held.id);
    await note(db, { who, now }, null, say`gave ${held.name} a new link to sign in`);
    return { invitation };
  }),
  serve(accounts.endOthers, async ({ db, who, request }) => {
    await queries.endSessions(db, accountOf(who), tokenHashOf(request) ?? null);
  }),
  serve(accounts.changePassword, async ({ db, body, who, request }) => {
    const id = accountOf(who);
    await checkPassword(db, id, body.now);
    const hashed = await hash(body.next);
    await db.transaction(async (tx) => {
      await queries.setPassword(tx, id, hashed);
      await queries.endSessions(tx, id, tokenHashOf(request) ?? null);
    });
  }),
];
