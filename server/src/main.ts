import './early.ts';
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { counted } from '@hurrow/core/words';
import { createApp } from './app.ts';
import { keepBackups } from './backups/daily.ts';
import { shelfOf } from './backups/shelf.ts';
import { nowOf, readConfig, type Config } from './config.ts';
import { Health } from './health/health.ts';
import { migrate, openFolder, openServer, type Db } from './db/index.ts';
import { dropLate as dropLateInvitations } from './invitations/queries.ts';
import { dropLate as dropLateGuesses } from './guesses/queries.ts';
import { jobsOn } from './jobs/kinds.ts';
import { giveBack, sweep } from './jobs/queries.ts';
import { forgetNames } from './keeping/names.ts';
import { endThreads } from './thread.ts';
import { dropOld } from './workedOut/queries.ts';
import { bringBack } from './quizzes/receive.ts';

const beside = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** Starts the server that the environment asks for. Where it cannot start, it says why and ends the process. */
export const start = (): Promise<void> =>
  begin().catch((error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  });

async function begin(): Promise<void> {
  const config = readConfig(process.env);
  const db = config.databaseUrl
    ? await openServer(config.databaseUrl)
    : await openFolder(resolve(config.dataFolder), { packed: beside('./empty-store.tar.gz') });
  await migrate(db);
  await tidyUp(db, config);
  // A folder has one owner: nobody else is at what another left undone.
  if (!db.shared) await giveBack(db);
  const { back, strangers } = await bringBack(db);
  if (back > 0)
    console.warn(
      `The store had lost ${counted(back, 'answer')}, as in a power cut; all are back from answers.journal.`,
    );
  if (strangers > 0)
    console.warn(
      `${counted(strangers, 'answer')} in answers.journal belong to stations or students that the store does not know, as when an older copy of it was put back. They stay in the journal.`,
    );
  const endKeeping = db.files && keepBackups(db.files, shelfOf(db.files.folder));
  const daily = setInterval(() => void tidyUp(db, config).catch(console.error), 86_400_000);
  const pages = beside('../../web/dist');
  if (!existsSync(pages)) console.warn('The pages are not built. Run “npm run build” and start again.');
  const health = new Health();
  const jobs = jobsOn(db);
  const server = createApp(db, config, jobs, pages, health).listen(config.port, (error?: Error) => {
    // Express calls back on an error too: a port in use is not ready.
    if (!error) console.log(`Hurrow is ready at http://localhost:${config.port}`);
  });
  server.on('error', (error: NodeJS.ErrnoException) => {
    const inUse = error.code === 'EADDRINUSE';
    console.error(
      inUse ? `Port ${config.port} is in use. Stop what runs there, or start with PORT=4681.` : error.message,
    );
    void db.close().then(() => process.exit(1));
  });
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    health.stop();
    endKeeping?.();
    clearInterval(daily);
    // What others wait for is given to another process at once; what is asked here is still answered.
    const given = jobs.close().catch(console.error);
    server.close(
      () =>
        void given
          .then(endThreads)
          .then(() => db.close())
          .then(() => process.exit(0)),
    );
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), 2000).unref();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

/** What is done each day: names whose time is up, and sessions that have run out. */
const tidyUp = (db: Db, config: Config): Promise<void> =>
  db.alone('tidy up', async () => {
    await forgetNames(db, nowOf(config));
    await db.query('delete from session where expires_at < now()');
    await sweep(db);
    await dropOld(db);
    await dropLateInvitations(db);
    await dropLateGuesses(db);
  });
