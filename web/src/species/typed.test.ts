import { parseScore } from '@hurrow/core/score';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { bareUnit, readAs, twoSizes } from './typed.ts';

const leaf = BUILT_IN.get('leaf.length')!;
const read = (text: string, units: 'metric' | 'imperial') => {
  const value = parseScore(text, leaf, { units });
  return readAs(text, value.ok ? value.value : null, leaf, units);
};

test('what was typed plainly is not said again; a unit that was left out is', () => {
  expect(read('4–7 cm', 'metric')).toBe('');
  expect(read('4 - 7 CM', 'metric')).toBe('');
  expect(read('4–7', 'metric')).toBe('4–7 cm');
  expect(read('4–7', 'imperial')).toBe('4–7 in');
  expect(read('8 mm–2 cm', 'metric')).toBe('0.8–2 cm');
  expect(read('long', 'metric')).toBe('');
});

test('a bare number is in the course’s units', () => {
  expect(
    ['habit.height', 'bud.length', 'wood.density', 'leaf.lobes'].map((id) =>
      bareUnit(BUILT_IN.get(id)!, 'imperial'),
    ),
  ).toEqual(['ft', 'in', 'lb/ft³', '']);
  expect(bareUnit(leaf, 'metric')).toBe('cm');
});

test('length by width is for two rows, whichever it was typed in', () => {
  expect(twoSizes('4–7 × 2–3 cm', leaf)).toEqual({
    here: '4–7 cm',
    there: { characterId: 'leaf.width', text: '2–3 cm' },
  });
  expect(twoSizes('4-7 x 2-3 in', BUILT_IN.get('leaf.width')!)).toEqual({
    here: '2-3 in',
    there: { characterId: 'leaf.length', text: '4-7 in' },
  });
  expect(twoSizes('4–7 cm', leaf)).toBeUndefined();
  expect(twoSizes('4 x 2', BUILT_IN.get('bud.length')!)).toBeUndefined();
});
