import { randomFrom } from '../random/index.ts';
import { isPrompted } from '../station/index.ts';
import { promptFindings, type PromptedAnswer } from './index.ts';

/** Stations of differing difficulty at which being told helps by so much. */
function answersOf(effect: number, seed: number): PromptedAnswer[] {
  const random = randomFrom(seed);
  return ['easy', 'hard', 'middling'].flatMap((stationId, i) =>
    Array.from({ length: 30 }, (_, s): PromptedAnswer => {
      const prompted = isPrompted(stationId, `student ${seed} ${s}`);
      const right = random.uniform() < [0.7, 0.3, 0.5][i]! + (prompted ? effect : 0);
      return { characterId: 'needle.bands', stationId, prompted, right };
    }),
  );
}

test('the lot falls to half of the students, and to others at another station', () => {
  const lots = (station: string) => Array.from({ length: 400 }, (_, s) => isPrompted(station, `s${s}`));
  const [a, b] = [lots('a'), lots('b')];
  expect(a.filter(Boolean).length / 400).toBeCloseTo(0.5, 1);
  expect(a.filter((is, s) => is === b[s]).length / 400).toBeCloseTo(0.5, 1);
  expect(lots('a')).toEqual(a);
});

test('the interval holds the effect as often as it says, with an effect and without one', () => {
  for (const effect of [0, 0.2]) {
    const held = Array.from({ length: 200 }, (_, seed) => promptFindings(answersOf(effect, seed))[0]!).filter(
      ({ interval: [low, high] }) => low <= effect && effect <= high,
    ).length;
    expect(held / 200).toBeGreaterThan(0.84);
    expect(held / 200).toBeLessThan(0.97);
  }
});

test('stations at which all or none were told say nothing, and nobody told nothing', () => {
  const all = answersOf(0.2, 1).map((answer) => ({ ...answer, prompted: true }));
  expect(promptFindings(all)).toEqual([]);
  expect(promptFindings([])).toEqual([]);
  const [found] = promptFindings([
    ...answersOf(0.2, 1),
    ...all.map((answer) => ({ ...answer, stationId: 'd' })),
  ]);
  expect(found).toMatchObject({ stations: 3 });
  expect(found!.told.answers + found!.others.answers).toBe(90);
});
