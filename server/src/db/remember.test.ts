import type { Db } from './db.ts';
import { forget, remember } from './remember.ts';

const db = {} as Db;
const counting = () => {
  let asked = 0;
  return { ask: async () => (asked += 1), asked: () => asked };
};

test('a class that asks in one moment asks the store once; a change is seen at once, and by other stores never', async () => {
  const { ask, asked } = counting();
  expect(await Promise.all([1, 2, 3].map(() => remember(db, 'course', ask)))).toEqual([1, 1, 1]);
  forget({} as Db);
  expect(await remember(db, 'course', ask)).toBe(1);
  forget(db);
  expect(await remember(db, 'course', ask)).toBe(2);
  expect(await remember({} as Db, 'course', ask)).toBe(3);
  expect(asked()).toBe(3);
});

test('what could not be answered is asked again', async () => {
  let fails = true;
  const ask = async () => {
    if (fails) throw new Error('away');
    return 'there';
  };
  await expect(remember(db, 'flaky', ask)).rejects.toThrow('away');
  fails = false;
  expect(await remember(db, 'flaky', ask)).toBe('there');
});
