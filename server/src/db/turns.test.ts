import { turns } from './turns.ts';

const busy = (ms: number) => {
  const until = performance.now() + ms;
  while (performance.now() < until);
};

test('work is done in its order, one at a time; what fails holds up nothing', async () => {
  const inTurn = turns();
  const done: string[] = [];
  const work = (name: string) => async () => {
    done.push(`${name} begins`);
    await Promise.resolve();
    done.push(`${name} ends`);
    return name;
  };
  const failed = expect(inTurn(() => Promise.reject(new Error('half-way')))).rejects.toThrow('half-way');
  expect(await Promise.all([inTurn(work('one')), inTurn(work('two'))])).toEqual(['one', 'two']);
  await failed;
  expect(done).toEqual(['one begins', 'one ends', 'two begins', 'two ends']);
});

test('between many pieces of work others have their turn', async () => {
  const inTurn = turns();
  let others = 0;
  const other = setInterval(() => (others += 1), 1);
  await Promise.all(Array.from({ length: 20 }, () => inTurn(async () => busy(4))));
  clearInterval(other);
  expect(others).toBeGreaterThan(3);
});
