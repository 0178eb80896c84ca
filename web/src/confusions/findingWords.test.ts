import { IN_ENGLISH, type FindingWording } from '@hurrow/core/finding';
import { FINDING_WORDS } from './findingWords.ts';

const tree = { taxon: 'abies-grandis' };
const strong = { strong: '7' };

/** Every sentence there is, once for one and once for several. */
const said = (words: FindingWording) => [
  words.cantTell,
  words.asAny,
  words.orMore('70 %'),
  words.verdicts,
  words.tooReadily(tree),
  words.notKnown(tree),
  words.missedMore(tree),
  words.fewerExpected,
  words.notSoMuchLess,
  words.smallClass,
  words.times(0),
  ...[1, 2].flatMap((n) => [
    words.written(n, n),
    words.missed(strong, n),
    words.scatter(n),
    words.called([tree, ' 3', '.']),
    words.andMore(n, 'name'),
    words.andMore(n, 'pair'),
    words.used({ text: '16 %', range: '5–58 %' }, n),
    words.used({ text: 'as well as any' }, n),
    words.times(n),
    words.told(strong, n, 3),
    words.together([tree, ', ', tree]),
    words.overlooked(n, 9),
    words.readWell(n, 9),
    words.misread(n, 9, { state: 'none', of: 'needle.bands' }),
    words.misread(n, 9, undefined),
    words.tooFewRead(n, 9, '10–70 %'),
    words.askThem(n),
    words.moreStations(n),
  ]),
];

/** Texts that stand beside each other as one: where they are parted is no matter. */
const joined = (what: unknown): unknown =>
  Array.isArray(what)
    ? what.reduce<unknown[]>((all, piece) => {
        const last = all.at(-1);
        if (typeof piece === 'string' && typeof last === 'string') all[all.length - 1] = last + piece;
        else all.push(piece);
        return all;
      }, [])
    : what;

test('the page says findings in English as the heart does, in print and in files', () => {
  expect(said(FINDING_WORDS).map(joined)).toEqual(said(IN_ENGLISH).map(joined));
});
