import { expose } from 'comlink';
import { WorkerPool } from './pool.ts';

const still = () => new Promise<never>(() => undefined);

/** A worker in this thread, which counts what it is asked and knows when it was ended. */
function fake() {
  const { port1, port2 } = new MessageChannel();
  const state = { asked: 0, ended: false };
  expose(
    {
      double: (n: number) => {
        state.asked += 1;
        return 2 * n;
      },
      forEver: still,
      fail: () => Promise.reject(new Error('no such tree')),
    },
    port2,
  );
  port1.start();
  const worker = Object.assign(port1, {
    terminate: () => {
      state.ended = true;
      port1.close();
      port2.close();
    },
  });
  return { worker, state };
}

type Work = { double(n: number): number; forEver(): Promise<never>; fail(): Promise<never> };

function poolOf() {
  const made: ReturnType<typeof fake>[] = [];
  const pool = new WorkerPool<Work>(() => {
    const one = fake();
    made.push(one);
    return one.worker;
  });
  const close = () => made.forEach(({ worker, state }) => !state.ended && worker.terminate());
  return { pool, made, close };
}

test('a worker that has answered is asked again; two questions at once have one each', async () => {
  const { pool, made, close } = poolOf();
  expect(await pool.run((work) => work.double(2))).toBe(4);
  expect(await pool.run((work) => work.double(3))).toBe(6);
  expect(made.map(({ state }) => state.asked)).toEqual([2]);
  expect(await Promise.all([1, 2, 3, 4].map((n) => pool.run((work) => work.double(n))))).toEqual([
    2, 4, 6, 8,
  ]);
  expect(made).toHaveLength(4);
  // Two wait for more; the others were ended.
  expect(made.filter(({ state }) => state.ended)).toHaveLength(2);
  close();
});

test('a computation that nobody waits for is ended with its worker, and the next question gets another', async () => {
  const { pool, made, close } = poolOf();
  const stop = new AbortController();
  const running = pool.run((work) => work.forEver(), stop.signal);
  stop.abort();
  await expect(running).rejects.toThrow('Stopped.');
  expect(made[0]!.state.ended).toBe(true);
  expect(await pool.run((work) => work.double(5))).toBe(10);
  expect(made).toHaveLength(2);
  await expect(pool.run((work) => work.forEver(), stop.signal)).rejects.toThrow('Stopped.');
  close();
});

test('a worker that has failed is not asked again', async () => {
  const { pool, made, close } = poolOf();
  await expect(pool.run((work) => work.fail())).rejects.toThrow('no such tree');
  expect(made[0]!.state.ended).toBe(true);
  close();
});
