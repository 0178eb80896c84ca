import { answeredWith, fieldOf, typedIn } from './asked.ts';

test('what is chosen by a tap is taken back by another, and all else stays', () => {
  expect(answeredWith({ sure: 'half' }, 'opposite')).toEqual({ sure: 'half', said: 'opposite' });
  expect(answeredWith({ said: 'alternate' }, 'opposite')).toEqual({ said: 'opposite' });
  expect(answeredWith({ said: 'opposite' }, 'opposite')).toEqual({ said: '' });
});

test('a family goes where families are written, a kind of tree in the words of the course, a number anywhere', () => {
  expect(fieldOf('family', 'binomial')).toEqual({ part: 'family', label: 'Family' });
  expect(fieldOf('genus', 'common').label).toBe('Kind of tree');
  expect(fieldOf('genus', 'genus').label).toBe('Genus');
  expect(fieldOf('number', 'genus').part).toBe('said');
  expect(typedIn({ said: '3' }, 'said', '4 cm')).toEqual({ said: '4 cm' });
});
