import { calledWith } from './asked.ts';
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

test('each of several specimens is called by a tap, and another takes it back', () => {
  const first = calledWith({}, 3, 1, 'alternate');
  expect(first).toEqual({ said: '- alternate -' });
  const second = calledWith(first, 3, 0, 'opposite');
  expect(second).toEqual({ said: 'opposite alternate -' });
  expect(calledWith(second, 3, 1, 'opposite')).toEqual({ said: 'opposite opposite -' });
  expect(calledWith(calledWith(second, 3, 1, 'alternate'), 3, 0, 'opposite')).toEqual({ said: '' });
});
