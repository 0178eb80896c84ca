import { randomFrom } from '../random/index.ts';
import { isPrompted } from '../station/index.ts';
import { pooledPrompts, promptFindings, withExperiment, type PromptedAnswer } from './index.ts';

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

test('classes are pooled by how well each is known, and the interval closes in', () => {
  const [own, before] = [1, 2].map((seed) => promptFindings(answersOf(0.2, seed)));
  const [pooled] = pooledPrompts([own!, before!]);
  const [a, b] = [own![0]!, before![0]!];
  expect(pooled!.stations).toBe(a.stations + b.stations);
  expect(pooled!.effect).toBeGreaterThan(Math.min(a.effect, b.effect));
  expect(pooled!.effect).toBeLessThan(Math.max(a.effect, b.effect));
  const width = ({ interval: [low, high] }: typeof a) => high - low;
  expect(width(pooled!)).toBeLessThan(Math.min(width(a), width(b)));
  expect(pooledPrompts([own!])[0]!.effect).toBeCloseTo(a.effect, 10);
});

test('what was tried out outweighs a model that is unsure, and hardly moves one that is sure', () => {
  const tried = {
    ...promptFindings(answersOf(0.2, 1))[0]!,
    effect: 0.2,
    interval: [0.15, 0.25] as [number, number],
  };
  const unsure = withExperiment({ prevented: 4, interval: [-20, 40], chance: 0.6 }, tried, 100);
  expect(unsure.prevented).toBeGreaterThan(19);
  expect(unsure.interval[1] - unsure.interval[0]).toBeLessThan(11);
  expect(unsure.chance).toBeGreaterThan(0.99);
  const sure = withExperiment({ prevented: 4, interval: [3.5, 4.5], chance: 1 }, tried, 100);
  expect(sure.prevented).toBeLessThan(6);
});
