import { openInMemory, type Db } from '../db/index.ts';
import { startHurrow, type TestHurrow } from '../testing/testHurrow.ts';
import { watched } from './slowQueries.ts';

let hurrow: TestHurrow;
beforeAll(async () => {
  process.env['HURROW_METRICS_TOKEN'] = 'a token of the test';
  hurrow = await startHurrow();
});
afterAll(async () => {
  delete process.env['HURROW_METRICS_TOKEN'];
  await hurrow.close();
});

test('alive and ready are said to anyone, without a word about people', async () => {
  const stranger = hurrow.caller();
  expect((await stranger.get('/healthz')).body).toEqual({ alive: true });
  expect((await stranger.get('/readyz')).body).toEqual({ ready: true });
});

test('numbers are shown on the machine itself; through a proxy only to who has the token', async () => {
  const stranger = hurrow.caller();
  await hurrow.owner.get('/api/courses');
  const { body } = await stranger.get<{ text: string }>('/metrics');
  expect(body.text).toMatch(
    /hurrow_request_seconds_count\{method="GET",route="\/api\/courses",status="200"\} 1/,
  );
  expect(body.text).toContain('hurrow_statement_seconds_count');
  expect(body.text).not.toMatch(/example\.org|Ines/);
  const through = (headers: Record<string, string>) =>
    stranger.call('GET', '/metrics', undefined, { 'x-forwarded-for': '203.0.113.5', ...headers });
  expect((await through({})).status).toBe(403);
  expect((await through({ authorization: 'Bearer a guess of the sam' })).status).toBe(403);
  expect((await through({ authorization: 'Bearer a token of the test' })).status).toBe(200);
});

test('a store that does not answer is not ready, and nobody waits for it for ever', async () => {
  const silent = { query: () => new Promise(() => undefined) } as unknown as Db;
  const broken = { query: () => Promise.reject(new Error('gone')) } as unknown as Db;
  for (const [db, why] of [
    [silent, 'takes too long'],
    [broken, 'does not answer'],
  ] as const) {
    const { Health } = await import('./health.ts');
    const { default: express } = await import('express');
    const app = express();
    new Health().hang(app, db);
    const server = app.listen(0);
    const { port } = server.address() as { port: number };
    const answer = await fetch(`http://localhost:${port}/readyz`);
    expect([answer.status, await answer.json()]).toEqual([
      503,
      { ready: false, why: expect.stringContaining(why) },
    ]);
    server.close();
  }
});

test('statements are timed in and out of transactions, and told without what was filled in', async () => {
  const told: string[] = [];
  const store = await openInMemory();
  const db = watched(store, (sql) => told.push(sql));
  await db.query('select $1::text   as name', ['Ines Falk']);
  await db.transaction((tx) => tx.query('select 2'));
  await expect(db.query('select wrong')).rejects.toThrow();
  expect(told).toEqual(['select $1::text as name', 'select 2', 'select wrong']);
  await store.close();
});
