import { withPieces } from './index.ts';

const tree = { taxon: 'abies-grandis' };
const strong = { strong: '7' };

test('pieces stand where the language has them', () => {
  expect(withPieces('\uE000 wird \uE000 genannt', [tree], [strong])).toEqual([
    tree,
    ' wird ',
    strong,
    ' genannt',
  ]);
});
