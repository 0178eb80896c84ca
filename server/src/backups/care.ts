import { existsSync, readdirSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { counted } from '@hurrow/core/words';
import { inviteAgain } from '../invitations/inviting.ts';
import { accountByEmail } from '../auth/queries.ts';
import { readConfig } from '../config.ts';
import {
  copyStore,
  FolderInUse,
  migrate,
  openFolder,
  openServer,
  othersOn,
  StoreDamaged,
} from '../db/index.ts';
import { bringBack } from '../quizzes/receive.ts';
import { makeBackup, placeBackup } from './backup.ts';
import { endThreads } from '../thread.ts';
import { ASKED } from './daily.ts';
import { inWords } from './note.ts';
import { backupsOn, isBackupName, makeShelf, shelfOf, type Shelved } from './shelf.ts';

/** What the command line does for the data: backup, backups, restore, repair, move, unlock. */

const config = readConfig(process.env);
const folder = resolve(config.dataFolder);
const shelf = shelfOf(folder);
const say = (line: string) => console.log(line);
const when = (iso: string) => iso.slice(0, 16).replace('T', ' ') + ' UTC';
const lineOf = ({ name, note }: Omit<Shelved, 'bytes'>) =>
  `${when(note.made)}  ${note.library}: ${inWords(note)}\n    ${join(shelf, name)}`;

async function backup(): Promise<void> {
  if (!existsSync(join(folder, 'store')))
    throw new Error(`There are no data in ${folder}. Set HURROW_DATA to the folder of your Hurrow.`);
  let db;
  try {
    db = await openFolder(folder);
  } catch (error) {
    if (!(error instanceof FolderInUse)) throw error;
    return askRunning();
  }
  try {
    say(`Backed up.\n${lineOf(await makeBackup(db.files!, shelf, new Date()))}`);
  } finally {
    await db.close();
  }
}

/** The Hurrow that has the folder makes the backup. */
async function askRunning(): Promise<void> {
  say('Hurrow runs; it makes the backup…');
  const before = (await backupsOn(shelf))[0]?.name;
  await makeShelf(shelf);
  writeFileSync(join(shelf, ASKED), '');
  for (let second = 0; second < 600 && existsSync(join(shelf, ASKED)); second += 1) await wait(1000);
  const newest = (await backupsOn(shelf))[0];
  if (!newest || newest.name === before)
    throw new Error('Hurrow did not make the backup. Look at what it says where it runs, and try again.');
  say(`Backed up.\n${lineOf(newest)}`);
}

async function backups(): Promise<void> {
  const all = await backupsOn(shelf);
  say(all.length === 0 ? `There are no backups in ${shelf}.` : all.map(lineOf).join('\n'));
}

async function restore(given: string | undefined): Promise<void> {
  if (!given) throw new Error('Say which backup: npm run restore -- FILE. “npm run backups” lists them.');
  const file = existsSync(given) ? given : join(shelf, given);
  if (!isBackupName(given) && !existsSync(given)) throw new Error(`There is no file ${given}.`);
  const { note, back } = await placeBackup(folder, resolve(file));
  say(`Restored the backup of ${when(note.made)}: ${inWords(note)}.${backInWords(back)}`);
  say('What was there before lies beside it as “store.before-…”; remove it when all is well.');
}

const backInWords = (back: number): string =>
  back > 0 ? ` ${counted(back, 'answer')} that came later are back from the journal.` : '';

/** Opens the store; where it is damaged, puts the newest whole backup in its place. */
async function repair(): Promise<void> {
  try {
    const db = await openFolder(folder, { check: true });
    await migrate(db);
    const { back } = await bringBack(db);
    await db.close();
    return say(`The store in ${folder} is whole; nothing had to be replaced.${backInWords(back)}`);
  } catch (error) {
    if (!(error instanceof StoreDamaged)) throw error;
    say(error.what);
  }
  for (const { name, note } of await backupsOn(shelf)) {
    try {
      const { back } = await placeBackup(folder, join(shelf, name));
      say(`It is brought back as it was on ${when(note.made)}: ${inWords(note)}.${backInWords(back)}`);
      return say(
        'What was changed after that in species, courses and marks is not in it. The damaged files lie beside it as “store.before-…”.',
      );
    } catch (error) {
      say(`${name}: ${error instanceof Error ? error.message : String(error)}`);
    }
  }
  const journal = readdirSync(folder).includes('answers.journal')
    ? ' The journal of answers is there and stays.'
    : '';
  throw new Error(
    `There is no whole backup in ${shelf}.${journal} Copy one from another disk there and run this again; or move ${folder} away and begin anew.`,
  );
}

/** Moves all data from the folder to the server of DATABASE_URL, or back; the one they come from stays as it is. */
async function move(where: string | undefined): Promise<void> {
  if (where !== 'to-server' && where !== 'to-folder')
    throw new Error('Say where to: npm run move -- to-server, or npm run move -- to-folder.');
  if (!config.databaseUrl)
    throw new Error('Set DATABASE_URL to the database that the data are moved to, or from.');
  if (where === 'to-server' && !existsSync(join(folder, 'store')))
    throw new Error(`There are no data in ${folder}. Set HURROW_DATA to the folder of your Hurrow.`);
  // What they wrote meanwhile would be on one side alone.
  if ((await othersOn(config.databaseUrl)) > 0)
    throw new Error(
      'Hurrow runs on the database of DATABASE_URL. Stop all its processes first; nothing was moved.',
    );
  const server = await openServer(config.databaseUrl);
  try {
    const here = await openFolder(folder, {
      packed: fileURLToPath(new URL('./empty-store.tar.gz', import.meta.url)),
    });
    try {
      const [from, to] = where === 'to-server' ? [here, server] : [server, here];
      for (const db of [from, to]) await migrate(db);
      if (where === 'to-server') await bringBack(here);
      if ((await to.query('select 1 from account limit 1')).length > 0)
        throw new Error(
          `There are data already ${where === 'to-server' ? 'in the database of DATABASE_URL' : `in ${folder}`}. Nothing was moved: choose an empty one.`,
        );
      const sums = await copyStore(from, to);
      for (const [table, { rows }] of Object.entries(sums)) if (rows > 0) say(`${rows} in ${table}`);
      say('Moved, and compared row by row: both say the same. What was moved from stays as it is.');
      say(
        where === 'to-server'
          ? 'Start Hurrow with DATABASE_URL from now on; when all is well, put the folder away.'
          : 'Start Hurrow without DATABASE_URL from now on; when all is well, put the database away.',
      );
    } finally {
      await here.close();
    }
  } finally {
    await server.close();
  }
}

/** Lets someone in again who lost password and telephone, the owner too: whoever may run this on the machine may do so. */
async function unlock(email: string | undefined): Promise<void> {
  if (!email) throw new Error('Say whom: npm run unlock -- name@example.org');
  const db = config.databaseUrl ? await openServer(config.databaseUrl) : await openFolder(folder);
  try {
    await migrate(db);
    const account = await accountByEmail(db, email);
    if (!account) throw new Error(`Nobody here has the e-mail ${email}.`);
    say(`Send ${account.name} to this address behind that of your Hurrow; it opens once, within a week:`);
    say(`/#invitation/${await inviteAgain(db, account.id)}`);
    say('The old password and the second factor open nothing any more.');
  } finally {
    await db.close();
  }
}

const [command, argument] = process.argv.slice(2);
/** What is done to a folder, and has nothing to do where the data are on a server. */
const OF_A_FOLDER: Record<string, () => Promise<void>> = {
  backup,
  backups,
  restore: () => restore(argument),
  repair,
};
const COMMANDS: Record<string, () => Promise<void>> = {
  ...OF_A_FOLDER,
  move: () => move(argument),
  unlock: () => unlock(argument),
};

try {
  const work = COMMANDS[command ?? ''];
  if (!work) throw new Error(`Say what to do: ${Object.keys(COMMANDS).join(', ')}.`);
  if (config.databaseUrl && OF_A_FOLDER[command!])
    throw new Error(
      `DATABASE_URL is set: the data are on a PostgreSQL server, which has its own tools for this; see docs/server.md. For a folder run “npm run ${command}” without DATABASE_URL.`,
    );
  await work();
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
} finally {
  await endThreads();
}
