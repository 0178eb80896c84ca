import { effectSaid, isPooled } from './prompts.ts';

test('a hint is said to help, to mislead, or not to tell yet, as its interval lies', () => {
  const said = (effect: number, low: number, high: number) => effectSaid({ effect, interval: [low, high] });
  expect(said(0.2, 0.08, 0.32)).toBe('20 in 100 more (8 to 32): looking helps');
  expect(said(0.1, -0.05, 0.25)).toBe('10 in 100 more (−5 to 25): can’t tell yet');
  expect(said(-0.2, -0.3, -0.1)).toBe('20 in 100 fewer (−30 to −10): looking misleads');
});

test('earlier classes are said to be counted in only where they are', () => {
  const at = (stations: number) => [{ stations }] as never;
  expect(isPooled({ prompts: at(2), looking: at(2) })).toBe(false);
  expect(isPooled({ prompts: at(2), looking: at(5) })).toBe(true);
  expect(isPooled({ prompts: [], looking: at(3) })).toBe(true);
});
