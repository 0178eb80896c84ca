import { MEDIUM_VIEWS } from '@hurrow/core/view';
import { tongueOf } from './tongue.ts';

const view = { ...MEDIUM_VIEWS.cutting, organs: ['leaf', 'bud'] as const, day: 288, qualifiers: {} };

test('what has no other words is said in English, as in a language that Hurrow has none of', () => {
  for (const language of [null, 'en', 'tlh']) {
    const { say, word, list, day } = tongueOf(language);
    expect(say`${3} trees nobody has words for`).toBe('3 trees nobody has words for');
    expect([word('fresh cutting'), list(['a', 'b', 'c'], 'or'), day(288)]).toEqual([
      'fresh cutting',
      'a, b or c',
      '15 Oct',
    ]);
  }
  expect(tongueOf('de').say`${3} trees nobody has words for`).toBe('3 trees nobody has words for');
});

test('in German words, lists, days and views are as the pages say them', () => {
  const { word, list, day, view: seen } = tongueOf('de');
  expect([word('fresh cutting'), list(['a', 'b', 'c'], 'or'), day(288)]).toEqual([
    'frischer Zweig',
    'a, b oder c',
    '15. Okt',
  ]);
  expect(seen(view as never)).toMatch(/Knospen .*in der Hand; Auge/);
});
