import fc from 'fast-check';
import { packAnswers, unpackAnswers, type ClassAnswer } from './packedAnswers.ts';

const few = (...ids: string[]) => fc.constantFrom(...ids);
const answer: fc.Arbitrary<ClassAnswer> = fc
  .record({
    studentId: few('a', 'b', 'c'),
    stationId: few('s1', 's2', 's3'),
    written: fc.oneof(few('', 'grand fir', 'constructor', '__proto__'), fc.string()),
    how: few('exact', 'none', 'blank'),
    named: fc.option(few('abies-grandis', 'toString'), { nil: null }),
    sure: fc.constantFrom('sure', 'half', 'guess', null),
  })
  // A student has one name, a station one quiz.
  .map((row) => ({ ...row, student: `Student ${row.studentId}`, quizId: `quiz of ${row.stationId}` }));

test('what was packed comes back as it was, in its order', () => {
  fc.assert(
    fc.property(fc.array(answer), (all) => {
      expect(unpackAnswers(packAnswers(all))).toEqual(all);
    }),
  );
});

test('a class that writes much the same takes a tenth of the room', () => {
  const all = Array.from({ length: 4000 }, (_, i): ClassAnswer => {
    const id = (n: number) => `${n}`.padStart(8, '0') + '-1111-4222-8333-444444444444';
    return {
      studentId: id(i % 50),
      student: `Student number ${i % 50}`,
      stationId: id(Math.floor(i / 50)),
      quizId: id(Math.floor(i / 1000)),
      written: i % 7 ? 'Abies grandis' : 'Abies lasiocarpa',
      how: 'exact',
      named: i % 7 ? 'abies-grandis' : 'abies-lasiocarpa',
      sure: null,
    };
  });
  expect(JSON.stringify(packAnswers(all)).length).toBeLessThan(JSON.stringify(all).length / 10);
});
