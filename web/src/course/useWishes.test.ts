import { USUAL_WISHES } from '@hurrow/core/term';
import { readWishes } from './useWishes.ts';

test('wishes are read again within the weeks that there are now', () => {
  const kept = JSON.stringify({ ...USUAL_WISHES, to: 14, from: 12, pins: [{ taxonId: 'a', week: 13 }] });
  expect(readWishes(kept, 10)).toMatchObject({ from: 10, to: 10, pins: [] });
  expect(readWishes(kept, 14).pins).toHaveLength(1);
});
test.each([null, 'not wishes', '{}'])('%s gives the usual ones', (text) =>
  expect(readWishes(text, 9)).toEqual({ ...USUAL_WISHES, to: 9 }),
);
