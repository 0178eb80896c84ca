import { fileURLToPath } from 'node:url';
import { createApp } from '@hurrow/server/app';
import { readConfig } from '@hurrow/server/config';
import { migrate, openFolder } from '@hurrow/server/db';
import { jobsOn } from '@hurrow/server/jobs/kinds';
import { bringBack } from '@hurrow/server/quizzes/receive';
import { Disk } from './disk.ts';

/** A Hurrow whose power is cut when the process that started it says so: after that many more calls for the disk, or at once. */
const [folder, mirror, image, port] = process.argv.slice(2) as [string, string, string, string];
const packed = fileURLToPath(new URL('../../../server/dist/empty-store.tar.gz', import.meta.url));

const held: { disk?: Disk } = {};
let callsLeft = Infinity;
const cut = () => {
  held.disk!.cut(image, Math.random);
  process.kill(process.pid, 'SIGKILL');
};
const db = await openFolder(folder, {
  packed,
  synced: (path) => {
    held.disk?.synced(path);
    callsLeft -= 1;
    if (callsLeft <= 0) cut();
  },
});
held.disk = new Disk(folder, mirror);
const watched = {
  ...db,
  keep: async (rows: Parameters<typeof db.keep>[0]) => {
    await db.keep(rows);
    held.disk!.journalKept();
  },
};
await migrate(watched);
await bringBack(watched);
createApp(watched, { ...readConfig(process.env), demo: true, dataFolder: folder }, jobsOn(watched)).listen(
  Number(port),
  () => process.send!('ready'),
);
process.on('message', (calls: number) => {
  callsLeft = calls;
  // Where nothing asks for the disk, the power goes at once.
  setTimeout(cut, 1000);
});
