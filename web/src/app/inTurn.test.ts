import { vi } from 'vitest';
import { inTurn } from './inTurn.ts';

beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout'] }));
afterEach(() => void vi.useRealTimers());

test('pieces are done in their order, but for those that were taken back', () => {
  const done: string[] = [];
  inTurn(() => done.push('a'));
  const takeBack = inTurn(() => done.push('b'));
  inTurn(() => done.push('c'));
  takeBack();
  vi.runAllTimers();
  expect(done).toEqual(['a', 'c']);
});

test('a piece that fails is said, and holds up none of the others', () => {
  const done: string[] = [];
  inTurn(() => {
    throw new Error('broken');
  });
  inTurn(() => done.push('after it'));
  expect(() => vi.runAllTimers()).toThrow('broken');
  vi.runAllTimers();
  expect(done).toEqual(['after it']);
});
