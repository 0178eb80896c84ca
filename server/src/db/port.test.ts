import { openInMemory, type Db } from './index.ts';
import { serverStore } from '../testing/serverStore.ts';

/** What every store must do alike: the embedded one, and a PostgreSQL server. */
describe.each([
  ['the embedded store', openInMemory],
  ['a PostgreSQL server', serverStore],
])('%s', (_name, open) => {
  let db: Db;
  beforeAll(async () => {
    db = await open();
    await db.script(`
      create table thing (
        id integer generated always as identity primary key, name text unique, tags text[], days date[], note jsonb, size double precision,
        exact numeric, many bigint, at timestamptz, day date, picture bytea, known boolean, own uuid
      );
      create table counted (n integer not null);`);
  });
  afterAll(() => db.close());

  test('values come back as what they were', async () => {
    const at = new Date('2026-10-15T16:00:00.123Z');
    const own = '0f8fad5b-d9cb-469f-a165-70867728950e';
    await db.query(
      `insert into thing (name, tags, days, note, size, exact, many, at, day, picture, known, own)
         values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)`,
      [
        'fir',
        ['a "b", {c}', 'NULL', ''],
        ['2026-10-15'],
        ['x', { y: null }],
        0.1,
        '0.10',
        9_007_199_254_740_991,
        at,
        '2026-10-15',
        new Uint8Array([0, 255]),
        true,
        own,
      ],
    );
    const [row] = await db.query<Record<string, unknown>>('select * from thing');
    expect({ ...row, picture: [...(row!['picture'] as Uint8Array)] }).toEqual({
      id: 1,
      name: 'fir',
      tags: ['a "b", {c}', 'NULL', ''],
      days: [new Date('2026-10-15')],
      note: ['x', { y: null }],
      size: 0.1,
      exact: '0.10',
      many: 9_007_199_254_740_991,
      at,
      day: new Date('2026-10-15'),
      picture: [0, 255],
      known: true,
      own,
    });
  });

  test('nothing is nothing, and an empty list an empty list', async () => {
    await db.query('insert into thing (name, tags, note) values ($1, $2, $3::jsonb)', ['larch', [], null]);
    const [row] = await db.query('select tags, note, size, picture from thing where name = $1', ['larch']);
    expect(row).toEqual({ tags: [], note: null, size: null, picture: null });
    expect(
      await db.query('select name from thing where name = any($1::text[]) order by name', [['fir', 'larch']]),
    ).toEqual([{ name: 'fir' }, { name: 'larch' }]);
  });

  test('what PostgreSQL refuses has its code, and the store goes on', async () => {
    await expect(db.query('insert into thing (name) values ($1)', ['fir'])).rejects.toMatchObject({
      code: '23505',
    });
    await expect(db.query('select $1 from nowhere', [1])).rejects.toMatchObject({ code: '42P01' });
    await expect(db.query('select 1 as one')).resolves.toEqual([{ one: 1 }]);
  });

  test('a transaction is all or nothing; one inside it joins it', async () => {
    const broken = db.transaction(async (tx) => {
      await tx.query('insert into counted values (1)');
      await tx.transaction((inner) => inner.query('insert into counted values (2)'));
      throw new Error('no');
    });
    await expect(broken).rejects.toThrow('no');
    expect(await db.query('select n from counted')).toEqual([]);
  });

  test('transactions that look before they write end as if each had been alone', async () => {
    const add = () =>
      db.transaction(async (tx) => {
        const [row] = await tx.query<{ n: number }>('select coalesce(max(n), 0)::int as n from counted');
        await tx.query('insert into counted values ($1)', [row!.n + 1]);
      });
    await Promise.all(Array.from({ length: 8 }, add));
    const rows = await db.query<{ n: number }>('select n from counted order by n');
    expect(rows.map(({ n }) => n)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
  });

  test('who hears is told, of a transaction only when it has ended well, and not after it stops', async () => {
    const heard: (string | undefined)[] = [];
    const stop = db.hear('answers', (about) => void heard.push(about));
    const other = db.hear('changed', () => void heard.push('of something else'));
    await db.transaction((tx) => tx.tell('answers', 'quiz 1'));
    await db
      .transaction(async (tx) => {
        await tx.tell('answers', 'taken back');
        throw new Error('no');
      })
      .catch(() => undefined);
    await db.tell('answers', 'quiz 2');
    await expectSoon(() => heard.length >= 2);
    stop();
    other();
    await db.tell('answers', 'quiz 3');
    const last = new Promise<void>((resolve) => db.hear('job', () => resolve()));
    await db.tell('job', 'last');
    await last;
    expect(heard).toEqual(['quiz 1', 'quiz 2']);
  });

  test('work of the same name is done by one at a time', async () => {
    let [now, most] = [0, 0];
    const work = async () => {
      most = Math.max(most, (now += 1));
      await db.query('select 1');
      now -= 1;
    };
    await Promise.all([1, 2, 3].map(() => db.alone('sweep', work)));
    expect(most).toBe(1);
  });
});

/** Until something is so; the test's own time limit ends it otherwise. */
async function expectSoon(so: () => boolean): Promise<void> {
  while (!so()) await new Promise((resolve) => setImmediate(resolve));
}
