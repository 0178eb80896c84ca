import { statSync } from 'node:fs';
import { join } from 'node:path';
import * as backups from '@hurrow/contract/backups';
import { badInput, notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import type { Db } from '../db/index.ts';
import { addHistory } from '../keeping/queries.ts';
import { filesOf, makeBackup, restoreBackup } from './backup.ts';
import { heldIn, inWords } from './note.ts';
import { backupsOn, DAYS, isBackupName, shelfOf, type Shelved } from './shelf.ts';

const shelfFor = (db: Db): string => shelfOf(filesOf(db).folder);

const shown = ({ name, bytes, note }: Shelved) => ({
  name,
  bytes,
  made: note.made,
  library: note.library,
  holds: heldIn(note),
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
  serve(backups.list, async ({ db }) =>
    db.shared
      ? { shelf: null, days: DAYS, backups: [] }
      : { shelf: shelfFor(db), days: DAYS, backups: (await backupsOn(shelfFor(db))).map(shown) },
  ),
  serve(backups.make, async ({ db }) => {
    const { name } = await makeBackup(filesOf(db), shelfFor(db), new Date());
    return { name };
  }),
  serve(
    backups.file,
    ({ db, params, response }) =>
      new Promise<void>((resolve, reject) => {
        const name = params['name']!;
        response.set('Cache-Control', 'no-store');
        response.download(fileOf(db, name), name, (error) => (error ? reject(error) : resolve()));
      }),
  ),
  serve(backups.restore, async ({ db, params, body, who, now }) => {
    const file = fileOf(db, params['name']!);
    if (body.sure !== params['name'])
      throw badInput(say`Nothing was restored: say which backup, by its name, to be sure.`);
    const restored = await restoreBackup(db, file);
    // Whoever restored it may not be in it.
    await addHistory(db, now, null, null, say`${who!.name} restored the backup of ${restored.note.made}`);
    return { holds: inWords(restored.note), back: restored.back };
  }),
];
