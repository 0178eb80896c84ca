import { chosen, isChosen } from './choosing.ts';

const fir = { name: 'Abies grandis', latin: true, answer: { genus: 'Abies', epithet: 'grandis' } };
const larch = { name: 'Larix lyallii', latin: true, answer: { genus: 'Larix', epithet: 'lyallii' } };

test('a tap chooses, another one chooses anew, the same one takes it back; what was seen stays', () => {
  const begun = { seen: { 'needle.bands': 'none' }, sure: 'half' as const };
  const one = chosen(fir, begun);
  expect(one).toEqual({ ...begun, genus: 'Abies', epithet: 'grandis' });
  expect([isChosen(fir, one), isChosen(larch, one)]).toEqual([true, false]);
  const other = chosen(larch, one);
  expect(other).toEqual({ ...begun, genus: 'Larix', epithet: 'lyallii' });
  // Said to be nothing: what the server has is taken back too.
  expect(chosen(larch, other)).toEqual({ ...begun, genus: '', epithet: '' });
});
