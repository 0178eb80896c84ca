import Joi from 'joi';
import { endpoint, STAFF, type Done, type Role } from './endpoint.ts';

/** Someone who teaches here. */
export interface Account {
  id: string;
  email: string;
  name: string;
  role: Role;
  /** Has left: signed out, and can not sign in. */
  left: boolean;
}

export type NewAccount = Pick<Account, 'name' | 'email' | 'role'>;

export interface PasswordChange {
  now: string;
  next: string;
}

/** Roles that the owner gives; there is one owner, who set this Hurrow up. */
const GIVEN: Role[] = ['instructor', 'assistant'];

const accountParams = Joi.object({ accountId: Joi.string().uuid().required() });

export const all = endpoint<{ answer: Account[] }>()({
  method: 'get',
  path: '/api/accounts',
  summary: 'Everyone who teaches here, with their roles.',
  allow: ['owner'],
});

export const add = endpoint<{
  body: { name: string; email: string; role: Role };
  answer: { id: string; invitation: string };
}>()({
  method: 'post',
  path: '/api/accounts',
  summary:
    'Adds an instructor or an assistant. The answer holds the secret of a link by which they choose their password, shown once.',
  allow: ['owner'],
  body: Joi.object({
    name: Joi.string().trim().max(120).required().label('Name'),
    email: Joi.string().trim().email({ tlds: false }).max(200).required().label('E-mail'),
    role: Joi.string()
      .valid(...GIVEN)
      .required()
      .label('Role'),
  }),
});

export const change = endpoint<{ body: { role: Role; left: boolean }; answer: Done }>()({
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
});

export const inviteAgain = endpoint<{ answer: { invitation: string } }>()({
  method: 'post',
  path: '/api/accounts/{accountId}/invitation',
  summary:
    'Gives an account a new link in place of a forgotten password or a lost telephone: password and second factor open nothing any more, and its sessions end.',
  allow: ['owner'],
  params: accountParams,
});

export const endOthers = endpoint<{ answer: Done }>()({
  method: 'delete',
  path: '/api/session/others',
  summary: 'Ends every other session of the own account, as on a machine that was left signed in.',
  allow: STAFF,
});

export const changePassword = endpoint<{ body: PasswordChange; answer: Done }>()({
  method: 'put',
  path: '/api/session/password',
  summary: 'Changes the own password; every other session of the account ends.',
  allow: STAFF,
  guessable: { field: '', most: 20 },
  body: Joi.object({
    now: Joi.string().required().label('Password now'),
    next: Joi.string().min(12).max(200).required().label('New password'),
  }),
});
