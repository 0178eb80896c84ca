import { needsOf, withNeed } from './needs.ts';

test('needs of a class are each said once, in their usual order', () => {
  expect(needsOf([{ needs: ['spelling'] }, { needs: [] }, { needs: ['spelling', 'noSmell'] }])).toEqual([
    'noSmell',
    'spelling',
  ]);
  expect(needsOf([])).toEqual([]);
});

test('a need is ticked and unticked', () => {
  expect(withNeed(['spelling'], 'noSmell')).toEqual(['noSmell', 'spelling']);
  expect(withNeed(['noSmell', 'spelling'], 'noSmell')).toEqual(['spelling']);
});
