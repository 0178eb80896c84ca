import * as exchange from '@hurrow/contract/exchange';
import { accountOf, serve } from '../api/route.ts';
import { committedLibrary } from '../library/committed.ts';
import { EXPORTS } from '@hurrow/contract/exchange';
import { importKey } from '../jobs/kinds.ts';
import { importFile } from './import.ts';
import { askLibrary } from './library.ts';

/** Taxa from which writing takes long enough to be done in a thread. */
const MANY = 20;

export const exchangeRoutes = [
  serve(exchange.exportLibrary, async ({ db, params, query, response, now }) => {
    const { file, type } = EXPORTS[params.format];
    const { library } = await committedLibrary(db);
    const { answer: text } = await askLibrary(
      db,
      { do: 'write', format: params.format, sourceId: query.source, at: now.toISOString() },
      library.taxa.length > MANY,
    );
    response.set({
      'Cache-Control': 'no-store',
      'Content-Type': `${type}; charset=utf-8`,
      'Content-Disposition': `attachment; filename="${file}"`,
    });
    response.send(text);
  }),
  serve(exchange.importLibrary, ({ db, jobs, body, who, now }) => {
    const accountId = accountOf(who);
    if (body.dryRun) return importFile(db, body, accountId, now);
    return jobs.ask('import', importKey(body, accountId), { body, accountId, at: now.toISOString() });
  }),
];
