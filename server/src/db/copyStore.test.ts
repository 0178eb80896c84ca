import { openInMemory, migrate, type Db } from './index.ts';
import { serverStore } from '../testing/serverStore.ts';
import { plantCourse, startHurrow, openedClass } from '../testing/testHurrow.ts';
import { copyStore, differing, sumsOf } from './copyStore.ts';

async function filled() {
  const hurrow = await startHurrow();
  await openedClass(hurrow);
  await plantCourse(hurrow.owner);
  return hurrow;
}

const embedded = async (): Promise<Db> => {
  const db = await openInMemory();
  await migrate(db);
  return db;
};

test('from the embedded store to a server and back again nothing is lost or changed, and numbers go on', async () => {
  const hurrow = await filled();
  const first = await sumsOf(hurrow.db);
  const [server, back] = [await serverStore(), await embedded()];
  expect(await copyStore(hurrow.db, server)).toEqual(first);
  await copyStore(server, back);
  const again = await sumsOf(back);
  expect(differing(first, again)).toEqual([]);
  expect(again['course']!.rows).toBe(2);
  expect(again['score_version']!.rows).toBeGreaterThan(10);
  const number = 'select max(id)::int as n from revision';
  const [{ n }] = (await server.query<{ n: number }>(number)) as [{ n: number }];
  await server.query(
    'insert into revision (library_id, account_id, at, summary) select library_id, account_id, at, summary from revision limit 1',
  );
  expect(await server.query(number)).toEqual([{ n: n + 1 }]);
  // What refers to what is looked at as before.
  await expect(server.query('delete from library')).rejects.toMatchObject({ code: '23503' });
  await Promise.all([server.close(), back.close(), hurrow.close()]);
});

test('a difference of one sign in one row is seen', async () => {
  const hurrow = await filled();
  const before = await sumsOf(hurrow.db);
  await hurrow.db.query(`update course set name = 'Mapler' where id = (select id from course limit 1)`);
  expect(differing(before, await sumsOf(hurrow.db))).toEqual(['course: 2 rows and 2']);
  await hurrow.close();
});
