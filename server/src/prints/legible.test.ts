import { inFonts, legible } from './legible.ts';

test.each([
  ['2⅛–3 in', '2 1/8–3 in'],
  ['⅜ in', '3/8 in'],
  ['2½ in', '2½ in'],
  ['60–90 ft', '60–90 ft'],
  ['≤ 3 cm', 'up to 3 cm'],
  ['Šárka Ó Dó', 'Šárka Ó Dó'],
  ['日本', '??'],
])('%s is printed as %s', (text, printed) => expect(legible(text)).toBe(printed));

test('letters beyond Latin 1 are set in the extended subset of the same font, pictures are left alone', () => {
  const image = 'data:image/png;base64,⅛';
  expect(inFonts({ content: [{ text: 'Šárka', font: 'Serif' }, { image }, 'Ⅎ ⅛'] })).toEqual({
    content: [
      {
        text: [
          { text: 'Š', font: 'SerifExtended' },
          { text: 'árka', font: 'Serif' },
        ],
        font: 'Serif',
      },
      { image },
      '? 1/8',
    ],
  });
});
