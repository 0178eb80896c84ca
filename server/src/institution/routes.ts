import * as session from '@hurrow/contract/session';
import { notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import { signIn } from '../auth/sessions.ts';
import { addHistory } from '../keeping/queries.ts';
import { accountOfVouched, askInstitution, institutionSays } from './institution.ts';

export const institutionRoutes = [
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
    await addHistory(db, now, account.id, null, say`signed in through ${config.institution.name}`);
    response.redirect('/');
  }),
];
