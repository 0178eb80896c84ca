import { afterSave, since } from './afterSave.ts';

const onRevision = (revision: number) => (now: { base: number; text: string }) => ({
  ...now,
  base: revision,
});

test('what stood in the form when it was sent is settled', () => {
  const sent = { base: 1, text: 'a' };
  expect(afterSave({ ...sent }, sent, onRevision(2))).toEqual({
    value: { base: 2, text: 'a' },
    changed: false,
  });
});

test('what was typed meanwhile stands on what was saved, and is still to be saved', () => {
  expect(afterSave({ base: 1, text: 'ab' }, { base: 1, text: 'a' }, onRevision(2))).toEqual({
    value: { base: 2, text: 'ab' },
    changed: true,
  });
});

test('only what was typed since it was sent is left of a table', () => {
  expect(since({ a: 'x', b: ['y'], c: '' }, { a: 'x', b: ['z'] })).toEqual({ b: ['y'], c: '' });
  expect(since({ a: 'x' })).toEqual({ a: 'x' });
});
