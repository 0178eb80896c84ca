import type { MarkedAnswer, Marks } from '@hurrow/contract/quizzes';
import { markQuestion, type FrozenQuestion } from '@hurrow/core/station';
import { answer, list, marking, marksOf } from '../testing/marked.ts';
import {
  choicesFor,
  needInWords,
  equalTo,
  papersOf,
  pointsByHand,
  ruledOn,
  stationsOf,
  toRule,
  withoutNames,
  writtenInFull,
} from './marking.ts';

const right = answer('rowan', 's1', { genus: 'Acer', epithet: 'rubrum' });
const wrong = answer('rowan', 's2', { genus: 'Acer', epithet: 'rubrum' });
const odd = answer('selma', 's1', { genus: 'Swamp', epithet: 'thing' });
const blank = answer('selma', 's2', {});

test('a paper shows what was written where it was wrong, and what was left blank', () => {
  const [rowan, selma] = papersOf(marksOf([right, wrong, odd, blank]));
  expect(rowan).toMatchObject({ points: 3, outOf: 4, wrong: [{ position: 2, answer: wrong }], blank: [] });
  expect(rowan!.right).toEqual([{ position: 1, answer: right }]);
  expect(selma).toMatchObject({ points: 0, wrong: [{ position: 1 }], blank: [2] });
});

test('a voided station counts for nobody', () => {
  expect(papersOf(marksOf([right, wrong], true))[0]).toMatchObject({ points: 2, outOf: 2, wrong: [] });
  expect(stationsOf(marksOf([right, wrong], true))).toHaveLength(1);
});

test('what cannot be read waits for a ruling once, however many wrote it; what is ruled is listed by its ruling', () => {
  const again = answer('rowan', 's1', { genus: 'swamp', epithet: 'Thing' });
  expect(toRule(marksOf([odd, again, wrong]))).toMatchObject([{ truth: 'rubrum', answers: [odd, again] }]);
  const ruling = { id: 7, by: 'Ines', at: '', reason: null, alone: false };
  const ruled = [odd, again].map((one) => ({ ...one, ruling }));
  expect(toRule(marksOf(ruled))).toEqual([]);
  expect(ruledOn(marksOf(ruled))).toMatchObject([{ truth: 'rubrum', answers: ruled }]);
});

test('equal answers are those of one tree, one name and one family', () => {
  const other = answer('selma', 's2', { genus: 'acer', epithet: 'RUBRUM' });
  const family = answer('selma', 's2', { genus: 'Acer', epithet: 'rubrum', family: 'Aceraceae' });
  expect(equalTo(wrong, marksOf([wrong, other]))).toEqual([wrong, other]);
  expect(equalTo(wrong, marksOf([wrong, family, right]))).toEqual([wrong]);
});

test('a station says how many named its tree and what else was written, most frequent first', () => {
  const more = ['a', 'b'].map((id) => answer(id, 's2', { genus: 'Acer', epithet: 'saccharum' }));
  const [, second] = stationsOf(marksOf([wrong, ...more, blank]));
  expect(second).toMatchObject({ answered: 3, named: 2 });
  expect(second!.groups.map(({ text, answers }) => [text, answers.length])).toEqual([
    ['Acer saccharum', 2],
    ['Acer rubrum', 1],
  ]);
});

test('where something else is asked than the name, who answers it rightly is counted, and equal answers are those to one station', () => {
  const asking: FrozenQuestion = {
    kind: 'state',
    about: 'twig.arrangement',
    asked: { term: 'Arrangement?', plain: 'Arrangement?' },
    offered: [
      { id: 'opposite', term: 'opposite', plain: 'in pairs' },
      { id: 'alternate', term: 'alternate', plain: 'by turns' },
    ],
    right: ['opposite'],
  };
  const said = (studentId: string, id: string): MarkedAnswer => ({
    ...answer(studentId, 's2', { said: id, sure: 'sure' }),
    text: id,
    mark: markQuestion({ said: id }, { question: asking, truth: list[1]!, list, marking }),
  });
  const answers = [said('rowan', 'opposite'), said('selma', 'alternate')];
  const marks = marksOf([...answers, wrong]);
  const asked = {
    ...marks,
    stations: marks.stations.map((each) => (each.id === 's2' ? { ...each, asking } : each)),
  };
  expect(stationsOf({ ...asked, answers })[1]).toMatchObject({ answered: 2, named: 1, sureButWrong: 1 });
  expect(papersOf({ ...asked, answers })[1]).toMatchObject({ points: 0, wrong: [{ position: 2 }] });
  expect(toRule({ ...asked, answers })).toEqual([]);
  expect(equalTo(answers[0]!, asked)).toEqual([answers[0]]);
  expect(writtenInFull(answers[0]!)).toBe('opposite');
});

test('without names papers are numbered by lot, the same each time, and every mark is as before', () => {
  const marks = marksOf([right, wrong, odd]);
  const hidden = withoutNames(marks);
  expect(hidden.students.map(({ name }) => name)).toEqual(['Paper 1', 'Paper 2']);
  expect(withoutNames(marks)).toEqual(hidden);
  expect(hidden.students.map(({ id }) => id).sort()).toEqual(['rowan', 'selma']);
  const points = (of: Marks) => new Map(papersOf(of).map((paper) => [paper.student.id, paper.points]));
  expect(points(hidden)).toEqual(points(marks));
  expect(JSON.stringify(hidden)).not.toContain('Rowan');
});

test('an answer in full names its family; nothing written is blank', () => {
  expect(
    writtenInFull(answer('rowan', 's1', { genus: 'Acer', epithet: 'rubrum', family: 'Aceraceae' })),
  ).toBe('Acer rubrum, Aceraceae');
  expect(writtenInFull(blank)).toBe('blank');
});

test('points by hand are read with a comma or a point, and refused where they are none of the part’s', () => {
  const parts = [
    { part: 'genus' as const, outOf: 1 },
    { part: 'epithet' as const, outOf: 1 },
  ];
  expect(pointsByHand({}, parts)).toEqual({ points: null });
  expect(pointsByHand({ genus: ' 0,5 ', epithet: '' }, parts)).toEqual({ points: { genus: 0.5 } });
  expect(pointsByHand({ genus: '0' }, parts)).toEqual({ points: { genus: 0 } });
  for (const text of ['half', '2', '-1', '1.000,5'])
    expect(pointsByHand({ epithet: text }, parts)).toEqual({
      problem: `The points for the epithet are a number from 0 to 1, not “${text}”.`,
    });
});

test('only what the rules cannot read needs a human: another plant by its name is read', () => {
  const other = answer('selma', 's1', { genus: 'Thuja', epithet: 'occidentalis' });
  expect(other.mark.resolution.other).toBeDefined();
  expect(toRule(marksOf([right, other]))).toEqual([]);
  const [group] = toRule(marksOf([right, odd]));
  expect(group!.text).toBe('Swamp thing');
  expect(choicesFor(group!)).toEqual(['rubrum']);
  const either: MarkedAnswer = {
    ...odd,
    mark: { ...odd.mark, resolution: { how: 'ambiguous', candidates: ['saccharum', 'rubrum'] } },
  };
  expect(choicesFor(toRule(marksOf([either]))[0]!)).toEqual(['rubrum', 'saccharum']);
  expect(needInWords({ answers: 480, waiting: 3, groups: 2 })).toBe(
    '477 of 480 answers are read by the rules; 3 wait, in 2 groups.',
  );
  expect(needInWords({ answers: 480, waiting: 0, groups: 0 })).toMatch(/^All 480/);
});

test('who was sure of a wrong name is counted, and a credited station gives everybody its points', () => {
  const sure = answer('selma', 's1', { genus: 'Abies', epithet: 'alba', sure: 'sure' });
  expect(stationsOf(marksOf([right, sure]))[0]).toMatchObject({ answered: 2, sureButWrong: 1 });
  const all = marksOf([right, wrong], true);
  const credited = { ...all, stations: all.stations.map((each) => ({ ...each, credited: each.voided })) };
  expect(papersOf(credited).map(({ points, outOf }) => [points, outOf])).toEqual([
    [4, 4],
    [2, 4],
  ]);
});
