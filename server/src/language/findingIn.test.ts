import { IN_ENGLISH, inWords, type FindingWording, type Piece } from '@hurrow/core/finding';
import { findingIn } from './findingIn.ts';
import { tongueOf } from './tongue.ts';

const tree = { taxon: 'Uxa' };
const names = {
  taxon: (id: string) => id,
  character: (id: string) => id,
  state: (_: string, id: string) => id,
};
const text = (said: string | Piece[]) =>
  typeof said === 'string' ? said : said.map((piece) => inWords(piece, names)).join('');

/** Every sentence there is, of several. */
const said = (words: FindingWording): string[] =>
  [
    ...[words.cantTell, words.asAny, words.orMore('70 %'), ...Object.values(words.verdicts)],
    ...[words.tooReadily(tree), words.notKnown(tree), words.missedMore(tree), words.written(3, 2)],
    ...[words.missed({ strong: '7' }, 9), words.scatter(4), words.fewerExpected, words.called([tree])],
    ...[words.andMore(3, 'name'), words.andMore(3, 'pair'), words.times(0), words.times(3)],
    ...[words.used({ text: '16 %', range: '5–58 %' }, 3), words.used({ text: '20 %' }, 3)],
    ...[words.told('3', 9, 5), words.together([tree]), words.overlooked(3, 9), words.readWell(3, 9)],
    ...[words.misread(3, 9, undefined), words.misread(3, 9, tree), words.tooFewRead(3, 9, '5–50 %')],
    ...[words.askThem(1), words.askThem(2), words.notSoMuchLess, words.moreStations(2), words.smallClass],
  ].map(text);

test('every sentence of a finding is German on a German paper, with its names and figures', () => {
  const [english, german] = [said(IN_ENGLISH), said(findingIn(tongueOf('de')))];
  const figures = (sentence: string) => sentence.match(/Uxa|\d+/g)?.sort() ?? [];
  german.forEach((sentence, i) => {
    expect(sentence).not.toBe(english[i]);
    expect([sentence, figures(sentence)]).toEqual([sentence, figures(english[i]!)]);
  });
});

test('in English findings are said as the heart says them', () => {
  expect(said(findingIn(tongueOf(null)))).toEqual(said(IN_ENGLISH));
});
