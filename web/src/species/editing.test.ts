import { parseScore, type Score } from '@hurrow/core/score';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import {
  adoptedAfter,
  asksFor,
  changesToSend,
  editsSince,
  entriesOfSource,
  hasRow,
  isEdited,
  monthsInForm,
  noEdits,
  readMonths,
  unreadScore,
  withCopied,
  withEntry,
  type Edits,
} from './editing.ts';

const BY = { rule: 'preferred' as const, order: ['manual', 'own'] };
const valueOf = (characterId: string, text: string) => {
  const value = parseScore(text, BUILT_IN.get(characterId)!);
  if (!value.ok) throw new Error(value.problem);
  return value.value;
};
const score = (characterId: string, text: string, sourceId = 'manual'): Score => ({
  characterId,
  sourceId,
  qualifiers: {},
  value: valueOf(characterId, text),
});
const entry = (characterId: string, text: string) => ({
  characterId,
  qualifiers: {},
  value: text ? valueOf(characterId, text) : null,
  text: '',
});
const stored = [score('foliage.kind', 'broad blade'), score('leaf.lobing', 'pinnately lobed')];
const own = noEdits(7, 'own');

test('looking at another source is no edit; touching one score is', () => {
  expect(isEdited({ ...own, sourceId: 'manual' })).toBe(false);
  expect(isEdited(withEntry(own, entry('leaf.shape', 'ovate')))).toBe(true);
  expect(isEdited({ ...own, names: { fact: 'x' } })).toBe(true);
  expect(isEdited({ ...own, months: { leaves: 'May' } })).toBe(true);
});

test('what was touched after the others were sent is left, on the revision that they made', () => {
  const sent = withEntry({ ...own, names: { fact: 'a', memoryAid: 'b' } }, entry('leaf.shape', 'ovate'));
  const none = editsSince(sent, sent, 8);
  expect(none.base).toBe(8);
  expect(isEdited(none)).toBe(false);
  const more = withEntry({ ...sent, names: { fact: 'a', memoryAid: 'bc' } }, entry('leaf.lobing', 'unlobed'));
  const left = editsSince({ ...more, months: { leaves: 'May' } }, sent, 8);
  expect(left).toMatchObject({ base: 8, names: { memoryAid: 'bc' }, months: { leaves: 'May' } });
  expect(Object.keys(left.names)).toEqual(['memoryAid']);
  expect(Object.values(left.scores.own!).map(({ characterId }) => characterId)).toEqual(['leaf.lobing']);
});

test('only what differs from the stored value is sent, source by source', () => {
  let edits: Edits = withEntry({ ...own, sourceId: 'manual' }, entry('leaf.lobing', 'pinnately lobed'));
  expect(changesToSend(stored, edits, BUILT_IN)).toEqual([]);
  edits = withEntry(edits, entry('leaf.lobing', 'unlobed'));
  edits = withEntry({ ...edits, sourceId: 'own' }, entry('leaf.shape', 'ovate'));
  expect(
    changesToSend(stored, edits, BUILT_IN).map(({ characterId, sourceId }) => [characterId, sourceId]),
  ).toEqual([
    ['leaf.lobing', 'manual'],
    ['leaf.shape', 'own'],
  ]);
});

test('a note is kept with a changed value, sent when it alone changes, and gone with the score', () => {
  const noted = [{ ...stored[1]!, note: 'p. 12' }];
  const manual = { ...own, sourceId: 'manual' };
  const held = entriesOfSource(noted, 'manual', manual, BUILT_IN).get('leaf.lobing|')!;
  const sent = (change: object) => changesToSend(noted, withEntry(manual, { ...held, ...change }), BUILT_IN);
  expect(sent({})).toEqual([]);
  expect(sent({ value: valueOf('leaf.lobing', 'unlobed') })).toMatchObject([{ note: 'p. 12' }]);
  expect(sent({ note: 'p. 13' })).toMatchObject([{ note: 'p. 13' }]);
  expect(sent({ value: null })[0]).not.toHaveProperty('note');
});

test('rows follow the adopted governing character, not only what this source says', () => {
  const lobes = BUILT_IN.get('leaf.lobes')!;
  const rows = (edits: Edits) =>
    hasRow(
      lobes,
      entriesOfSource(stored, 'own', edits, BUILT_IN),
      adoptedAfter(stored, edits, BUILT_IN, BY),
      BUILT_IN,
    );
  // The manual says lobed: whoever enters own observations sees the row.
  expect(rows(own)).toBe(true);
  // The manual is trusted first, so that an own "unlobed" hides nothing.
  expect(rows(withEntry(own, entry('leaf.lobing', 'unlobed')))).toBe(true);
  const manual = withEntry({ ...own, sourceId: 'manual' }, entry('leaf.lobing', 'unlobed'));
  expect(rows({ ...manual, sourceId: 'own' })).toBe(false);
});

test('what is scored keeps its row even where it does not apply', () => {
  const lobes = BUILT_IN.get('leaf.lobes')!;
  const odd = [score('foliage.kind', 'single needles'), score('leaf.lobes', '3–5', 'own')];
  const adopted = adoptedAfter(odd, own, BUILT_IN, BY);
  expect(hasRow(lobes, entriesOfSource(odd, 'own', own, BUILT_IN), adopted, BUILT_IN)).toBe(true);
});

test('blades and needles are asked for by the kind of foliage, flowers and place always', () => {
  const adopted = adoptedAfter(stored, own, BUILT_IN, BY);
  expect((['leaf', 'needle', 'flower', 'site'] as const).map((organ) => asksFor(organ, adopted))).toEqual([
    true,
    false,
    true,
    true,
  ]);
  expect(asksFor('leaf', [])).toBe(false);
});

test('copying from a relative fills what is empty and leaves what is there', () => {
  const edits = withEntry(own, entry('leaf.shape', 'ovate'));
  const held = entriesOfSource([], 'own', edits, BUILT_IN);
  const relative = [score('leaf.shape', 'elliptic', ''), score('leaf.teeth', 'entire', '')];
  const copied = entriesOfSource([], 'own', withCopied(edits, held, relative, BUILT_IN), BUILT_IN);
  expect(copied.get('leaf.shape|')!.value).toEqual(valueOf('leaf.shape', 'ovate'));
  expect(copied.get('leaf.teeth|')!.value).toEqual(valueOf('leaf.teeth', 'entire'));
});

test('months typed over the calendar are read; the first that cannot be is named by its part', () => {
  const edits = { ...own, months: { flowers: 'Apr–May', leafFall: 'whenever' } };
  const read = readMonths(monthsInForm({ leaves: [{ from: 121, to: 288 }] }, edits));
  expect(read.calendar.leaves).toEqual([{ from: 121, to: 288 }]);
  expect(read.calendar.flowers).toBeDefined();
  expect(read.problem).toMatch(/^leaf fall: /i);
});

test('a number that cannot be read holds the save up and says why, in whichever source it stands', () => {
  const typed = { characterId: 'leaf.length', qualifiers: {}, value: null, text: 'about so' };
  const edits = { ...withEntry({ ...own, sourceId: 'manual' }, typed), sourceId: 'own' };
  expect(unreadScore(edits, BUILT_IN)).toContain('has no number');
  expect(unreadScore(own, BUILT_IN)).toBeUndefined();
});
