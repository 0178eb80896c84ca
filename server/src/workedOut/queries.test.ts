import { openInMemory, migrate, type Db } from '../db/index.ts';
import { keyOf } from './key.ts';
import { dropOld, keepWorkedOut, workedOut } from './queries.ts';

let db: Db;
beforeAll(async () => {
  db = await openInMemory();
  await migrate(db);
});
afterAll(() => db.close());

test('what was worked out is found by all that it follows from, and by nothing less', async () => {
  const [key, other] = [
    keyOf('fairness', 1, { organs: ['leaf'] }),
    keyOf('fairness', 1, { organs: ['twig'] }),
  ];
  await keepWorkedOut(db, new Map([[key, { right: 0.5, taken: [] }]]));
  expect([...(await workedOut(db, [key, other]))]).toEqual([[key, { right: 0.5, taken: [] }]]);
});

test('whoever was first stands; what nobody asked for in half a year goes', async () => {
  await keepWorkedOut(db, new Map([['a', [1]]]));
  await keepWorkedOut(
    db,
    new Map([
      ['a', [2]],
      ['b', [0]],
    ]),
  );
  expect((await workedOut(db, ['a'])).get('a')).toEqual([1]);
  await db.query(`update worked_out set used_at = now() - interval '181 days' where key = 'a'`);
  await dropOld(db);
  expect([...(await workedOut(db, ['a', 'b'])).keys()]).toEqual(['b']);
});
