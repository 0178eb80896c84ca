import { languageName, languagesLeft, withNames } from './namesIn.ts';

it('keeps the names of other languages, and a language without a name is gone', () => {
  expect(withNames({ fr: ['sapin'] }, 'de', 'Tanne, Edel-Tanne')).toEqual({
    fr: ['sapin'],
    de: ['Tanne', 'Edel-Tanne'],
  });
  expect(withNames({ fr: ['sapin'], de: ['Tanne'] }, 'de', ' , ')).toEqual({ fr: ['sapin'] });
  expect(withNames({ de: ['Tanne'] }, 'de', '')).toBeUndefined();
});

it('offers what has no names yet, by what it is called', () => {
  expect(languageName('de')).toBe('German');
  const left = languagesLeft(['de', 'fr']);
  expect(left.map(([tag]) => tag)).not.toContain('de');
  expect(left[0]).toEqual(['ar', 'Arabic']);
});
