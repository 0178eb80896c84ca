import type { SecondWord } from '@hurrow/contract/marking';
import { answer, marksOf } from '../testing/marked.ts';
import { withoutNames } from './marking.ts';
import { agreementInWords, compared, toJudge, treeOf } from './second.ts';

const right = answer('rowan', 's1', { genus: 'Acer', epithet: 'rubrum' });
const slip = answer('selma', 's1', { genus: 'Acer', epithet: 'rubum' });
const same = answer('rowan', 's2', { genus: 'Acer', epithet: 'rubrum' });
const alike = answer('selma', 's2', { genus: 'acer', epithet: ' Rubrum ' });
const blank = answer('ada', 's1', {});
const marks = marksOf([right, slip, same, alike, blank]);
const word = (answered: string, verdict: SecondWord['verdict'], own = false): SecondWord => ({
  answer: answered,
  verdict,
  by: 'Ada Quill',
  own,
});

test('equal answers are judged once; what is letter by letter the name, or blank, or at a station left out, never', () => {
  const groups = toJudge(marks);
  expect(groups.map(({ answer: { text }, papers }) => [text, papers])).toEqual([
    ['Acer rubum', 1],
    ['Acer rubrum', 2],
  ]);
  expect(treeOf(groups[1]!, marks)!.epithet).toBe('saccharum');
  expect(toJudge(marksOf([right, slip, same, alike], true))).toHaveLength(1);
});

test('the order tells nothing of marks or names: it is the same without them', () => {
  expect(toJudge(withoutNames(marks)).map(({ key }) => key)).toEqual(toJudge(marks).map(({ key }) => key));
});

test('where a second marker gives other points it is said, with what is not judged yet', () => {
  const [misspelled, mistaken] = toJudge(marks).map(({ key }) => key) as [string, string];
  const half = compared(marks, [word(misspelled, 'none')]);
  expect(half).toMatchObject({ both: 1, same: 0, waiting: 1 });
  expect(half.differences).toMatchObject([{ marked: 'part', second: 'none', by: 'Ada Quill', papers: 1 }]);
  const all = compared(marks, [
    word(misspelled, 'part'),
    word(mistaken, 'part'),
    word('gone | | x |', 'full'),
  ]);
  expect(all).toMatchObject({ both: 2, same: 2, waiting: 0, differences: [] });
  expect(all.kappa).toBeUndefined();
});

test('agreement is one sentence', () => {
  expect(agreementInWords({ both: 20, same: 18, kappa: 0.81 })).toBe(
    'A second marker judged 20 different answers, 18 of them as they are marked (κ 0.81: very well).',
  );
  expect(agreementInWords({ both: 1, same: 1, kappa: undefined })).toBe(
    'A second marker judged 1 different answer, 1 of them as they are marked.',
  );
});
