import { hash } from '@node-rs/argon2';
import * as session from '@hurrow/contract/session';
import { account } from '../accounts/queries.ts';
import { serve } from '../api/route.ts';
import { signIn } from '../auth/sessions.ts';
import { sessionState } from '../auth/state.ts';
import { accept, invitedBy } from './inviting.ts';

export const invitationRoutes = [
  serve(session.invited, async ({ db, body }) => {
    const { name, email } = await invitedBy(db, body.token);
    return { name, email };
  }),
  serve(session.accept, async ({ db, body, config, response, now }) => {
    const { id } = await invitedBy(db, body.token);
    await accept(db, body.token, id, await hash(body.password));
    await signIn(db, config, response, { accountId: id });
    const { name, role } = (await account(db, id))!;
    return sessionState(db, { role, name, accountId: id }, config, now);
  }),
];
