import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { renderToStaticMarkup } from 'react-dom/server';
import { reportsInWords as saidByTheHeart } from '@hurrow/core/finding';
import type { View } from '@hurrow/core/view';
import { languageOf } from './languages.ts';
import { i18n } from './i18n.ts';
import {
  arcLabel,
  dayLabel,
  decimal,
  listInWords,
  reportsInWords,
  viewInWords,
  withinSentence,
  writtenAs,
} from './inWords.ts';
import { inTongue } from './inTongue.ts';

const papers = (n: number) => t`${plural(n, { one: '# paper', other: '# papers' })} to mark`;

afterEach(() => i18n.activate('en'));

const speakGerman = () => {
  i18n.load('de', {});
  i18n.activate('de');
};

it('speaks the language that was chosen, else the first that is wished for and there, else English', () => {
  expect(languageOf('de', ['en-US'])).toBe('de');
  expect(languageOf(null, ['fr', 'de-AT', 'en'])).toBe('de');
  expect(languageOf('Klingon', ['fr'])).toBe('en');
  expect(languageOf(null, [])).toBe('en');
});

it('says how many in the number that fits', () => {
  expect(papers(1)).toBe('1 paper to mark');
  expect(papers(1200)).toBe('1,200 papers to mark');
});

it('says a word in another language where there is one, and in English where there is none', () => {
  const say = (message: { id: string; message: string }) => i18n._(message);
  expect(say({ id: 'x', message: 'Save' })).toBe('Save');
  i18n.load('de', { x: 'Speichern' });
  i18n.activate('de');
  expect(say({ id: 'x', message: 'Save' })).toBe('Speichern');
  expect(papers(2)).toBe('2 papers to mark');
});

it('says nothing of what is not there, and keeps the elements of a text', () => {
  const missing = undefined as string | undefined;
  const isLate = false as boolean;
  expect(
    renderToStaticMarkup(
      <p>
        <Trans>
          Named <b>{'grand fir'}</b>
          {missing} {isLate && 'late'}!
        </Trans>
      </p>,
    ),
  ).toBe('<p>Named <b>grand fir</b> !</p>');
});

it('writes days, lists and views as the language does', () => {
  const view: View = {
    organs: ['twig', 'bud'],
    day: 288,
    nearness: 'hand',
    aids: ['eye', 'lens'],
    qualifiers: {},
  };
  expect(dayLabel(288)).toBe('15 Oct');
  expect(arcLabel({ from: 145, to: 288 })).toBe('late May–mid Oct');
  expect(listInWords(['ash', 'elm', 'oak'], 'or')).toBe('ash, elm or oak');
  expect(viewInWords(view)).toBe('twig and buds in hand; eye and lens');
  expect(writtenAs('en-GB')).toBe('en-GB');
  expect(withinSentence('Pairs')).toBe('pairs');
  expect(decimal(1.04, 1)).toBe('1.0');
  speakGerman();
  expect(dayLabel(288)).toBe('15. Okt');
  expect(listInWords(['Esche', 'Ulme', 'Eiche'], 'or')).toBe('Esche, Ulme oder Eiche');
  expect(writtenAs('en-GB')).toBe('de');
  expect(withinSentence('Paare')).toBe('Paare');
  expect(decimal(1.25, 1)).toBe('1,3');
});

it('leaves a word of the heart as it is where there is no other for it', () => {
  expect(inTongue('fresh cutting')).toBe('fresh cutting');
  expect(inTongue('a word of nobody')).toBe('a word of nobody');
});

it('says how many answers to the question there are, and where they were given, as the heart does', () => {
  for (const reports of [
    { all: 12, practice: 0, sorting: 0 },
    { all: 12, practice: 4, sorting: 0 },
    { all: 12, practice: 0, sorting: 3 },
    { all: 1, practice: 4, sorting: 1 },
  ])
    expect(reportsInWords(reports)).toBe(saidByTheHeart(reports));
});
