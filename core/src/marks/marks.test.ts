import fc from 'fast-check';
import { DEFAULT_MARKING, markAnswer, type MarkingPolicy, type NamedTaxon } from '../names/index.ts';
import {
  agreementOf,
  atMost,
  changesFor,
  isTrouble,
  termResult,
  troubleInWords,
  verdictOf,
  type QuizResult,
} from './index.ts';

const result = (quizId: string, points: number, was: QuizResult['was'] = 'there'): QuizResult => ({
  quizId,
  points,
  outOf: 10,
  was,
});
const plain = { weights: {}, drop: 0 };

test('a term is the weighted mean of its quizzes; excused counts nowhere, absent counts as nothing', () => {
  const three = [result('a', 9), result('b', 6), result('c', 3)];
  expect(termResult(three, plain, 0)).toEqual({ percent: 60, dropped: [] });
  expect(termResult(three, { weights: { c: 3 }, drop: 0 }, 0).percent).toBe(48);
  expect(termResult(three, { weights: { c: 0 }, drop: 0 }, 2).percent).toBe(77);
  expect(termResult([result('a', 9), result('b', 0, 'excused')], plain, 0).percent).toBe(90);
  expect(termResult([result('a', 9), result('b', 5, 'absent')], plain, 0).percent).toBe(45);
  expect(termResult([result('a', 9, 'excused')], plain, 5)).toEqual({ percent: undefined, dropped: [] });
});

test('the lowest is dropped, and one always stays', () => {
  const three = [result('a', 9), result('b', 6), result('c', 3)];
  expect(termResult(three, { weights: {}, drop: 1 }, 0)).toEqual({ percent: 75, dropped: ['c'] });
  expect(termResult(three, { weights: {}, drop: 9 }, 0)).toEqual({ percent: 90, dropped: ['c', 'b'] });
  fc.assert(
    fc.property(fc.array(fc.nat(10), { minLength: 1, maxLength: 8 }), fc.nat(4), (points, drop) => {
      const all = points.map((each, i) => result(String(i), each));
      const [with_, without] = [termResult(all, { weights: {}, drop }, 0), termResult(all, plain, 0)];
      return with_.percent! >= without.percent! - 1e-9 && with_.percent! <= 100;
    }),
  );
});

test('the chance of so few right answers is that of the binomial', () => {
  expect(atMost(0, 5, 0.5)).toBeCloseTo(0.03125, 10);
  expect(atMost(2, 4, 0.5)).toBeCloseTo(11 / 16, 10);
  expect(atMost(7, 7, 0.3)).toBeCloseTo(1, 10);
});

test('a station is pointed out when far fewer name it than was expected, not when it is hard or hardly begun', () => {
  expect(isTrouble({ answered: 11, right: 1 }, 0.6)).toBe(true);
  expect(isTrouble({ answered: 3, right: 0 }, 0.9)).toBe(false);
  expect(isTrouble({ answered: 11, right: 1 }, 0.15)).toBe(false);
  expect(isTrouble({ answered: 11, right: 6 }, 0.6)).toBe(false);
  expect(troubleInWords({ answered: 11, right: 1 }, 0.6)).toMatch(
    /^1 of 11 right so far; about 7 were expected/,
  );
});

const taxon = (genus: string, epithet: string, family: string): NamedTaxon => ({
  id: `${genus}-${epithet}`,
  rank: 'species',
  genus,
  epithet,
  family,
  commonNames: [],
  synonyms: [],
});
const list = [taxon('Acer', 'rubrum', 'Sapindaceae'), taxon('Abies', 'grandis', 'Pinaceae')];

test('a policy that is changed and changed back leaves every mark as it was, and says for whom it was another', () => {
  const word = fc.constantFrom(
    'Acer',
    'Acre',
    'rubrum',
    'rubum',
    'Abies',
    'grandis',
    'grandus',
    '',
    'Pinaceae',
    'oak',
  );
  const answers = fc.array(
    fc.record({ genus: word, epithet: word, family: word, student: fc.constantFrom('a', 'b', 'c') }),
    { minLength: 1, maxLength: 12 },
  );
  const policy = fc.record({
    policy: fc.constantFrom('genus', 'binomial', 'binomialFamily') as fc.Arbitrary<MarkingPolicy['policy']>,
    points: fc.record({ name: fc.nat(4), genus: fc.nat(4), epithet: fc.nat(4), family: fc.nat(4) }),
    deduction: fc.constantFrom(0, 0.25, 0.5, 1),
  });
  fc.assert(
    fc.property(answers, policy, (given, other) => {
      const under = (marking: MarkingPolicy) =>
        given.map(({ student, ...answer }, i) => ({
          studentId: student,
          stationId: String(i),
          mark: markAnswer(answer, list[i % 2]!, list, marking),
        }));
      const outOf = { before: 3, after: 3 };
      const [before, changed, back] = [under(DEFAULT_MARKING), under(other), under(DEFAULT_MARKING)];
      expect(back).toEqual(before);
      expect(changesFor(before, back, outOf)).toEqual([]);
      const said = changesFor(before, changed, outOf);
      for (const { studentId, after } of said) {
        const own = changed.filter((each) => each.studentId === studentId);
        expect(after).toBeCloseTo(
          own.reduce((sum, { mark }) => sum + mark.points, 0),
          6,
        );
      }
      const differs = (id: string) =>
        before.some((each, i) => each.studentId === id && each.mark.points !== changed[i]!.mark.points);
      expect(said.map(({ studentId }) => studentId).sort()).toEqual(['a', 'b', 'c'].filter(differs));
    }),
  );
});

test('two markers agree by what they say alike beyond chance', () => {
  expect([0, 1.5, 2].map((points) => verdictOf({ points, outOf: 2 }))).toEqual(['none', 'part', 'full']);
  const found = agreementOf([
    ['full', 'full'],
    ['none', 'part'],
    ['none', 'none'],
  ]);
  expect([found.both, found.same]).toEqual([3, 2]);
  expect(found.kappa).toBeCloseTo(0.5);
  expect(agreementOf([['full', 'full']]).kappa).toBeUndefined();
  expect(agreementOf([])).toEqual({ both: 0, same: 0, kappa: undefined });
});
