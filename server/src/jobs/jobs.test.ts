import { badInput } from '../api/problem.ts';
import { openInMemory, migrate, type Db } from '../db/index.ts';
import { serverStore } from '../testing/serverStore.ts';
import { Jobs, type Doing } from './jobs.ts';
import * as queries from './queries.ts';

interface Gate {
  opened: Promise<void>;
  open(): void;
}
const gate = (): Gate => {
  let open: () => void = () => undefined;
  const opened = new Promise<void>((resolve) => (open = resolve));
  return { opened, open };
};

const FIRST = { answers: 40, errors: 9, suspected: ['bud.resin'] };

const migrated = async (): Promise<Db> => {
  const db = await openInMemory();
  await migrate(db);
  return db;
};

describe.each([
  ['the embedded store', migrated],
  ['a PostgreSQL server', serverStore],
])('on %s', (_name, open) => {
  let db: Db;
  let done: string[];
  let hold: Gate;
  const kinds = {
    add: async ({ n }: { n: number }) => {
      done.push(`add ${n}`);
      return { sum: n + 1 };
    },
    held: async (_input: object, { progress, signal }: Doing) => {
      // What is said first is kept, however soon more is said.
      progress({ share: 0.1, doing: 'begun' });
      progress({ share: 0.5, doing: 'halfway', first: FIRST });
      const stopped = new Promise((resolve) => signal.addEventListener('abort', resolve));
      await Promise.race([hold.opened, stopped]);
      done.push(signal.aborted ? 'stopped' : 'held');
      signal.throwIfAborted();
    },
    refused: async ({ line }: { line: number }) => {
      throw badInput('No such file.', { line });
    },
  };
  const made: { close(): Promise<void> }[] = [];
  /** A process that does its part. */
  const process = () => {
    const jobs = new Jobs(db, kinds);
    made.push(jobs);
    return jobs;
  };
  beforeAll(async () => {
    db = await open();
  });
  beforeEach(async () => {
    [done, hold] = [[], gate()];
    await db.query('delete from job');
  });
  afterEach(async () => {
    hold.open();
    await Promise.all(made.splice(0).map((jobs) => jobs.close()));
  });
  afterAll(() => db.close());

  test('whoever asks is told what came of it, also of a problem', async () => {
    const jobs = process();
    expect(await jobs.ask('add', 'two', { n: 2 })).toEqual({ sum: 3 });
    await expect(jobs.ask('refused', '', { line: 3 })).rejects.toMatchObject({
      status: 422,
      message: 'No such file.',
      details: { line: 3 },
    });
  });

  test('asked for twice at a time, by two processes, it is done once and both are told', async () => {
    const [one, other] = [process(), process()];
    const asked = [one.ask('held', 'k', {}), other.ask('held', 'k', {})];
    await started();
    hold.open();
    await Promise.all(asked);
    expect(done).toEqual(['held']);
  });

  test('how far it is, is seen from another process, and another may stop it', async () => {
    const [one, other] = [process(), process()];
    const asked = one.ask('held', 'k', {}).catch((error: Error) => error.message);
    await started();
    expect(await other.progressOf('held', 'k')).toEqual({ share: 0.5, doing: 'halfway', first: FIRST });
    await other.stop('held', 'k');
    expect(await asked).toBe('This was stopped.');
    expect(await other.progressOf('held', 'k')).toBeUndefined();
    while (done.length === 0) await db.query('select 1');
    expect(await one.ask('add', 'after', { n: 0 })).toEqual({ sum: 1 });
    expect(done).toEqual(['stopped', 'add 0']);
  });

  test('what a process does not finish is taken up by another: given back, or silent for too long', async () => {
    // A process that is gone, as if killed: it has taken the job up and says nothing more.
    const id = await queries.ask(db, randomId(1), 'add', 'orphan', { n: 5 });
    await queries.take(db, randomId(2), 15);
    await db.query(`update job set beat_at = clock_timestamp() - interval '1 minute' where id = $1`, [id]);
    const jobs = process();
    expect(await jobs.ask('add', 'orphan', { n: 5 })).toEqual({ sum: 6 });
    expect(done).toEqual(['add 5']);
    expect(await queries.beat(db, id, randomId(2), { share: 1, doing: '' })).toBe(false);

    const leaving = process();
    await jobs.close();
    const asked = leaving.start('held', 'k', {});
    await asked;
    await started();
    const staying = process();
    hold = gate();
    const waiting = staying.ask('held', 'k', {});
    await leaving.close();
    hold.open();
    await waiting;
    expect(done).toEqual(['add 5', 'stopped', 'held']);
  });

  test('a process that closes while the store gives it a job gives that job back', async () => {
    const [given, late] = [gate(), gate()];
    const slow: Db = {
      ...db,
      query: async <Row>(...call: Parameters<Db['query']>) => {
        const rows = await db.query<Row>(...call);
        if (rows.length > 0 && call[0].startsWith("update job set state = 'working'")) {
          given.open();
          await late.opened;
        }
        return rows;
      },
    };
    const leaving = new Jobs(slow, kinds);
    await leaving.start('held', 'k', {});
    await given.opened;
    const closed = leaving.close();
    late.open();
    await closed;
    expect(await db.query('select state, tries from job')).toEqual([{ state: 'waiting', tries: 0 }]);
    hold.open();
    await process().ask('held', 'k', {});
    expect(done).toEqual(['held']);
  });

  test('what ended its process again and again is not tried for ever', async () => {
    const id = await queries.ask(db, randomId(3), 'add', 'deadly', { n: 1 });
    await db.query('update job set tries = 3 where id = $1', [id]);
    await expect(process().ask('add', 'deadly', { n: 1 })).rejects.toThrow(/begun several times/);
    expect(done).toEqual([]);
  });

  /** Until the held job is under way and has said how far it is. */
  async function started(): Promise<void> {
    while ((await queries.progress(db, 'held', 'k'))?.share !== 0.5) await db.query('select 1');
  }
});

const randomId = (n: number) => `00000000-0000-4000-8000-00000000000${n}`;
