import { randomUUID } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import Joi from 'joi';
import { conflict, notFound, Problem } from '../api/problem.ts';
import { accountOf, route, STAFF, type Role } from '../api/route.ts';
import { accountByEmail, addAccount } from '../auth/queries.ts';
import { tokenHashOf } from '../auth/sessions.ts';
import { readableCode } from '../courses/codes.ts';
import type { Db } from '../db/index.ts';
import { note } from '../keeping/queries.ts';
import * as queries from './queries.ts';

/** Roles that the owner gives; there is one owner, who set this Hurrow up. */
const GIVEN: Role[] = ['instructor', 'assistant'];

/** A first password that is read from a note and typed once: three groups of four. */
const firstPassword = (): string => [4, 4, 4].map(readableCode).join('-');

/** The account of an address that the owner may change. Throws where there is none, or it is the owner's own. */
async function changeable(db: Db, id: string): Promise<queries.AccountRow> {
  const held = await queries.account(db, id);
  if (!held) throw notFound('account');
  if (held.role === 'owner')
    throw conflict('This is the owner’s account. The owner changes the password under the own name.');
  return held;
}

const accountParams = Joi.object({ accountId: Joi.string().uuid().required() });

export const accountRoutes = [
  route({
    method: 'get',
    path: '/api/accounts',
    summary: 'Everyone who teaches here, with their roles.',
    allow: ['owner'],
    handle: ({ db }) => queries.accounts(db),
  }),
  route<{ name: string; email: string; role: Role }>({
    method: 'post',
    path: '/api/accounts',
    summary: 'Adds an instructor or an assistant. The answer holds the first password, which is shown once.',
    allow: ['owner'],
    body: Joi.object({
      name: Joi.string().trim().max(120).required().label('Name'),
      email: Joi.string().trim().email({ tlds: false }).max(200).required().label('E-mail'),
      role: Joi.string()
        .valid(...GIVEN)
        .required()
        .label('Role'),
    }),
    handle: async ({ db, body, who, now }) => {
      if (await accountByEmail(db, body.email))
        throw conflict(`${body.email} has an account here already. Change its role in the list instead.`);
      const [id, password] = [randomUUID(), firstPassword()];
      await addAccount(db, id, body.email, body.name, await hash(password), body.role);
      await note(db, { who, now }, null, `added ${body.name} as ${body.role}`);
      return { id, password };
    },
  }),
  route<{ role: Role; left: boolean }, { accountId: string }>({
    method: 'put',
    path: '/api/accounts/{accountId}',
    summary: 'Gives an account another role, or closes it: who has left is signed out and can not sign in.',
    allow: ['owner'],
    params: accountParams,
    body: Joi.object({
      role: Joi.string()
        .valid(...GIVEN)
        .required(),
      left: Joi.boolean().required(),
    }),
    handle: ({ db, params, body, who, now }) =>
      db.transaction(async (tx) => {
        const held = await changeable(tx, params.accountId);
        await queries.setRole(tx, held.id, body.role);
        const left = body.left ? ', who has left' : held.left ? ', who is back' : '';
        await note(tx, { who, now }, null, `made ${held.name} ${body.role}${left}`);
        await queries.setLeft(tx, held.id, body.left ? now : null);
        if (body.left) await queries.endSessions(tx, held.id, null);
      }),
  }),
  route<unknown, { accountId: string }>({
    method: 'post',
    path: '/api/accounts/{accountId}/password',
    summary: 'Gives an account a new first password in place of a forgotten one, and ends its sessions.',
    allow: ['owner'],
    params: accountParams,
    handle: async ({ db, params, who, now }) => {
      const held = await changeable(db, params.accountId);
      const password = firstPassword();
      const hashed = await hash(password);
      await db.transaction(async (tx) => {
        await queries.setPassword(tx, held.id, hashed);
        await queries.endSessions(tx, held.id, null);
      });
      await note(db, { who, now }, null, `gave ${held.name} a new first password`);
      return { password };
    },
  }),
  route({
    method: 'delete',
    path: '/api/session/others',
    summary: 'Ends every other session of the own account, as on a machine that was left signed in.',
    allow: STAFF,
    handle: async ({ db, who, request }) => {
      await queries.endSessions(db, accountOf(who), tokenHashOf(request) ?? null);
    },
  }),
  route<{ now: string; next: string }>({
    method: 'put',
    path: '/api/session/password',
    summary: 'Changes the own password; every other session of the account ends.',
    allow: STAFF,
    guessable: { field: '', most: 20 },
    body: Joi.object({
      now: Joi.string().required().label('Password now'),
      next: Joi.string().min(10).max(200).required().label('New password'),
    }),
    handle: async ({ db, body, who, request }) => {
      const id = accountOf(who);
      if (!(await verify((await queries.passwordHash(db, id))!, body.now)))
        throw new Problem(422, 'That is not your password now. Check it and try again.');
      const hashed = await hash(body.next);
      await db.transaction(async (tx) => {
        await queries.setPassword(tx, id, hashed);
        await queries.endSessions(tx, id, tokenHashOf(request) ?? null);
      });
    },
  }),
];
