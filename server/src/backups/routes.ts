import { statSync } from 'node:fs';
import { join } from 'node:path';
import Joi from 'joi';
import { badInput, notFound } from '../api/problem.ts';
import { route } from '../api/route.ts';
import type { Db } from '../db/index.ts';
import { addHistory } from '../keeping/queries.ts';
import { filesOf, makeBackup, restoreBackup } from './backup.ts';
import { inWords } from './note.ts';
import { backupsOn, DAYS, isBackupName, shelfOf, type Shelved } from './shelf.ts';

const shelfFor = (db: Db): string => shelfOf(filesOf(db).folder);

const shown = ({ name, bytes, note }: Shelved) => ({
  name,
  bytes,
  made: note.made,
  library: note.library,
  holds: inWords(note),
  courses: note.courses,
  newestAnswer: note.newestAnswer,
});

/** The file of a backup on the shelf. Throws where there is none of that name. */
function fileOf(db: Db, name: string): string {
  const file = join(shelfFor(db), name);
  if (!isBackupName(name) || !statSync(file, { throwIfNoEntry: false })) throw notFound('backup');
  return file;
}

export const backupRoutes = [
  route({
    method: 'get',
    path: '/api/backups',
    summary: 'All backups with what each holds, newest first, and where they lie.',
    allow: ['owner'],
    handle: async ({ db }) => ({
      shelf: shelfFor(db),
      days: DAYS,
      backups: (await backupsOn(shelfFor(db))).map(shown),
    }),
  }),
  route({
    method: 'post',
    path: '/api/backups',
    summary: 'Makes a backup now, opens it and counts its rows. Others go on working meanwhile.',
    allow: ['owner'],
    handle: async ({ db }) => {
      const { name } = await makeBackup(filesOf(db), shelfFor(db), new Date());
      return { name };
    },
  }),
  route({
    method: 'get',
    path: '/api/backups/{name}/file',
    summary: 'The file of a backup, for another disk or another machine.',
    allow: ['owner'],
    handle: ({ db, params, response }) =>
      new Promise<void>((resolve, reject) => {
        const name = params['name']!;
        response.set('Cache-Control', 'no-store');
        response.download(fileOf(db, name), name, (error) => (error ? reject(error) : resolve()));
      }),
  }),
  route<{ sure: string }>({
    method: 'post',
    path: '/api/backups/{name}/restore',
    summary:
      'Puts a backup in the place of what is there now, which is kept beside it; answers that came later are brought back. Everyone signs in again.',
    allow: ['owner'],
    body: Joi.object({ sure: Joi.string().max(120).required() }),
    handle: async ({ db, params, body, who, now }) => {
      const file = fileOf(db, params['name']!);
      if (body.sure !== params['name'])
        throw badInput('Nothing was restored: say which backup, by its name, to be sure.');
      const restored = await restoreBackup(db, file);
      // Whoever restored it may not be in it.
      await addHistory(db, now, null, null, `${who!.name} restored the backup of ${restored.note.made}`);
      return { holds: inWords(restored.note), back: restored.back };
    },
  }),
];
