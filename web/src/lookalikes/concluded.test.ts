import { concluded } from './concluded.ts';

test('a genus or a family takes the place of what stood there', () => {
  expect(concluded(undefined, 'genus|Abies')).toEqual({ kind: 'genus', name: 'Abies' });
  expect(concluded({ kind: 'taxa', taxa: ['a'] }, 'family|Pinaceae')).toEqual({
    kind: 'family',
    name: 'Pinaceae',
  });
});

test('trees by name add up, each once', () => {
  const two = concluded(concluded(undefined, 'taxon|a'), 'taxon|b');
  expect(two).toEqual({ kind: 'taxa', taxa: ['a', 'b'] });
  expect(concluded(two, 'taxon|a')).toEqual(two);
  expect(concluded({ kind: 'genus', name: 'Abies' }, 'taxon|a')).toEqual({ kind: 'taxa', taxa: ['a'] });
});
