import { BUILT_IN } from '@hurrow/core/vocabulary';
import {
  blankEntry,
  byTag,
  charactersToChoose,
  isBlank,
  pathOf,
  readEntry,
  sayingsOf,
  stretchesOf,
  touched,
} from './noted.ts';

const day = '2026-10-01';
const ids = (list: readonly { id: string }[]) => list.map(({ id }) => id);

test('what rules over other characters is asked first, and what does not apply is not asked', () => {
  const open = charactersToChoose('leaf', [], BUILT_IN);
  expect(open.first[0]!.id).toBe('foliage.kind');
  expect(ids([...open.first, ...open.more])).not.toContain('needle.tip');
  const needles = charactersToChoose('leaf', [{ characterId: 'foliage.kind', state: 'single' }], BUILT_IN);
  expect(ids([...needles.first, ...needles.more])).toContain('needle.section');
  expect(ids([...needles.first, ...needles.more])).not.toContain('leaf.teeth');
  expect(charactersToChoose('bark', [], BUILT_IN).first[0]!.id).toBe('bark.surface');
});

test('one state of a character, or several where they occur together; touched again it is taken back', () => {
  const teeth = BUILT_IN.get('leaf.teeth')!;
  const one = touched(touched([], teeth, 'single'), teeth, 'double');
  expect(one).toEqual([{ characterId: 'leaf.teeth', state: 'double' }]);
  expect(touched(one, teeth, 'double')).toEqual([]);
  const bark = BUILT_IN.get('bark.surface')!;
  expect(touched(touched([], bark, 'papery'), bark, 'banded')).toHaveLength(2);
});

test('an entry with nothing in it is blank', () => {
  expect(isBlank(blankEntry(day))).toBe(true);
  expect(isBlank({ ...blankEntry(day), words: ' x' })).toBe(false);
  expect(isBlank(blankEntry(day), 1)).toBe(false);
});

test('own words are cut into what was read and what was not, and nothing of them is lost', () => {
  const words = 'Smooth and grey, reminds me of a whale.';
  const read = readEntry({ ...blankEntry(day), words }, undefined, BUILT_IN, []);
  const cut = stretchesOf(words, read);
  expect(cut.map(({ text }) => text).join('')).toBe(words);
  expect(cut.filter(({ understood }) => understood).map(({ text }) => text)).toEqual(['Smooth', 'grey']);
  expect(cut.filter(({ unknown }) => unknown).map(({ text }) => text)).toEqual(['whale']);
  expect(read.understood[0]!.judged).toBeUndefined();
});

test('what was chosen and said alike counts once', () => {
  const chosen = [{ characterId: 'bark.color', state: 'grey' }];
  const read = readEntry({ ...blankEntry(day), words: 'grey, not smooth', chosen }, undefined, BUILT_IN, []);
  expect(sayingsOf(read)).toMatchObject([
    { characterId: 'bark.color', state: 'grey', how: 'chosen' },
    { characterId: 'bark.surface', state: 'smooth', denied: true, how: 'own words' },
  ]);
});

test('a stroke is a path, a single touch a dot', () => {
  expect(
    pathOf([
      [0, 0],
      [1000, 1000],
    ]),
  ).toBe('M0 0L1000 750');
  expect(pathOf([[10, 100]])).toBe('M10 75l1 0');
});

test('entries come tree by tree however the tag is written, the newest first, those without a tag last', () => {
  const entry = (tag: string, on: string) => ({ entry: { tag, day: on } });
  const groups = byTag([
    entry('', '2026-10-05'),
    entry('T-2', '2026-10-03'),
    entry('T1', '2026-10-02'),
    entry('t 2', '2026-10-02'),
    entry('t-1', '2026-10-01'),
  ]);
  expect(groups.map(({ tag, entries }) => [tag, entries.length])).toEqual([
    ['T-2', 2],
    ['T1', 2],
    ['', 1],
  ]);
});
