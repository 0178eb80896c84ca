import fc from 'fast-check';
import type { CharacterFinding, ReadingFinding, SpeciesFinding } from '../confusion/index.ts';
import { asText, IN_ENGLISH, say, saidUse, verdictOf, type Finding, type Naming } from './index.ts';

const names: Naming = {
  taxon: (id) => id.replace('-', ' '),
  character: (id) => id.split('.')[1]!,
  state: (_, state) => state,
};
const prevented = { prevented: 6, chance: 0.99, interval: [3, 9] as [number, number] };
const reading = (readings: number, wrong: number, interval: [number, number]): ReadingFinding => ({
  characterId: 'needle.bands',
  readings,
  wrong,
  share: wrong / readings,
  interval,
  mistaken: wrong ? [{ right: ['two'], said: 'none', count: wrong, students: ['s1'] }] : [],
});
const bands = (part: Partial<CharacterFinding> = {}): Finding => ({
  kind: 'character',
  prevented,
  character: {
    characterId: 'needle.bands',
    use: 0.1,
    interval: [0, 0.4],
    worth: { share: 0.1, interval: [0, 0.4] },
    telling: ['a', 'b'],
    behind: ['r1'],
    pairs: [{ truth: 'grand-fir', answer: 'white-fir', count: 7 }],
    assumed: [],
    overlooked: 0.97,
    sure: true,
    ...part,
  },
});
const worth = (share: number, low: number, high: number) => ({
  worth: { share, interval: [low, high] as [number, number] },
  sure: true,
});
const report = { readings: [] as ReadingFinding[], students: 20 };

test('no word is graver than the interval bears', () => {
  expect(verdictOf(worth(0.04, 0, 1), undefined)).toBe('perhaps overlooked');
  expect(verdictOf({ ...worth(0.1, 0, 0.4), sure: false }, undefined)).toBe('perhaps overlooked');
  expect(verdictOf(worth(0, 0, 0.77), undefined)).toBe('used too little');
  expect(verdictOf(worth(0.1, 0, 0.4), undefined)).toBe('hardly looked at');
  expect(verdictOf(worth(0.9, 0.6, 1.3), undefined)).toBe('used no better than the rest');
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 1.5, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (high, at) => {
        const verdict = verdictOf(worth(high * at, 0, high), undefined);
        if (verdict === 'hardly looked at') expect(high).toBeLessThan(0.5);
        if (verdict === 'used too little') expect(high).toBeLessThan(1);
      },
    ),
  );
});

test('no share is said that the answers do not bear, and none beyond full use', () => {
  expect(saidUse(worth(0.04, 0, 1).worth, IN_ENGLISH)).toEqual({ text: 'can’t tell yet' });
  expect(saidUse(worth(2.6, 1.2, 5).worth, IN_ENGLISH)).toEqual({ text: 'as well as any' });
  expect(saidUse(worth(1.3, 0.7, 2.2).worth, IN_ENGLISH)).toEqual({ text: '130 %', range: '70 % or more' });
  expect(saidUse(worth(0.62, 0.4, 0.9).worth, IN_ENGLISH)).toEqual({ text: '62 %', range: '40–90 %' });
  const wide = asText(say(bands(worth(0.04, 0, 1.4)), report).sentences, names);
  expect(wide).toMatch(/^Share of its worth used: can’t tell yet, from 2 stations where it could tell\. /);
  expect(wide).not.toContain('%');
});

test('a character that is misread by those who look is said to be misread, not overlooked', () => {
  const bad = reading(40, 24, [0.46, 0.72]);
  expect(verdictOf(worth(0.1, 0, 0.4), bad)).toBe('misread');
  const said = say(bands(), { ...report, readings: [bad] });
  expect(asText(said.headline, names)).toBe('Bands: misread');
  expect(asText(said.sentences, names)).toContain(
    '24 of 40 misread it, most often as “none”: teach the character itself first.',
  );
  const well = say(bands(), { ...report, readings: [reading(40, 1, [0.01, 0.09])] });
  expect(asText(well.sentences, names)).toContain('39 of 40 read it right: it is overlooked, not misread.');
  // A suspicion is not said to be overlooked in one breath and doubtful in the next.
  const unsure = say(bands({ sure: false }), { ...report, readings: [reading(40, 1, [0.01, 0.09])] });
  expect(asText(unsure.sentences, names)).toContain('39 of 40 read it right: whoever looks reads it well.');
  expect(asText(unsure.sentences, names)).not.toContain('it is overlooked');
  const few = say(bands(), { ...report, readings: [reading(3, 1, [0.1, 0.7])] });
  expect(asText(few.sentences, names)).toContain(
    'too few to say whether it is misread or overlooked (10–70 % wrong)',
  );
});

test('a character finding says what it rests on and which pair to show', () => {
  const said = say(bands(), report);
  expect(asText(said.headline, names)).toBe('Bands: hardly looked at');
  expect(asText(said.sentences, names)).toBe(
    'Used at 10 % of its worth (0–40 %), at 2 stations where it could tell. grand fir → white fir 7.',
  );
  expect(said.pair).toMatchObject({ truth: 'grand-fir', answer: 'white-fir' });
  expect(said.behind).toEqual(['r1']);
  const small = say(bands(), { ...report, students: 4 });
  expect(asText(small.sentences, names)).toContain(' A small class: take it as a hint.');
});

test('a species is shown beside another only where most of its errors land on it', () => {
  const species = (called: SpeciesFinding['called'], scatters = false): Finding => ({
    kind: 'species',
    prevented,
    species: {
      taxonId: 'silver-fir',
      asked: 20,
      wrong: 10,
      scatters,
      called,
      prevented,
      behind: [],
      sure: true,
    },
  });
  const one = say(species([{ answer: 'grand-fir', count: 7 }]), report);
  expect(asText(one.headline, names)).toBe('Silver fir is missed more than its likeness explains');
  expect(one.pair).toEqual({ truth: 'silver-fir', answer: 'grand-fir' });
  const spread = ['a', 'b', 'c', 'd'].map((answer) => ({ answer, count: 2 }));
  const many = say(species(spread, true), report);
  expect(many.pair).toBeUndefined();
  expect(asText(many.headline, names)).toBe('Silver fir is not known');
  expect(asText(many.sentences, names)).toContain(
    'scatter over 4 names, like or not: teach the tree itself.',
  );
  expect(asText(many.sentences, names)).toMatch(/Called a 2, b 2, c 2, and 1 name more\.$/);
  expect(asText(say(species([]), report).sentences, names)).not.toContain('Called');
});

test('a name that is given too readily says how often, and for how many trees', () => {
  const name = { taxonId: 'red-maple', given: 9, truths: 4, prevented, behind: ['r'], sure: true };
  const said = say({ kind: 'name', name, prevented }, report);
  expect(asText(said.headline, names)).toBe('The name red maple is given too readily');
  expect(asText(said.sentences, names)).toContain(
    'Written 9 times where it was wrong, for 4 different trees',
  );
});

test('a suspicion by names alone says what to ask; one that was asked about says how often it was told, and what is missing', () => {
  const said = (part: Partial<CharacterFinding>) =>
    asText(say(bands({ sure: false, ...part }), report).sentences, names);
  expect(said({})).toContain(
    'By the names alone nobody can tell: ask what they went by at stations like these.',
  );
  const told = { offered: 30, told: 0, expected: 4 };
  expect(said({ told })).toContain(
    'Asked what they went by, they told of it never on 30 checklists; of most characters it would have been about 4.',
  );
  expect(said({ told })).toContain('Can’t tell yet: 3 more stations that ask what they went by would.');
  expect(said({ told: { offered: 90, told: 9, expected: 14 } })).toContain('not so much less');
  const sure = said({ told: { offered: 90, told: 1, expected: 14 }, sure: true });
  expect(sure).toContain('they told of it 1 time on 90 checklists');
  expect(sure).not.toContain('Can’t tell');
});

test('characters that go together are said to, in one finding', () => {
  const said = say({ ...bands(), together: ['needle.lie', 'needle.tip'] }, report);
  expect(asText(said.sentences, names)).toContain(
    ' With it go lie, tip: they tell the same errors; teach them as one.',
  );
});
