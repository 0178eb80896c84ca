import { calledOf, DEFAULT_MARKING } from '../../names/index.ts';
import { LEAF, profiled, viewOf } from '../../testing/taxa.ts';
import { BUILT_IN } from '../../vocabulary/index.ts';
import { freezeStation, pictureOf, questionAt } from '../freeze.ts';
import { individualOf } from '../individual.ts';
import { asStudentsRead, markQuestion, questionFairness, rightInWords, saidTo } from './index.ts';

/** Enough to draw a twig in leaf; its arrangement is each tree’s own. */
const DRAWN = { ...LEAF, 'bud.scales': 'several, overlapping', 'bud.shape': 'ovoid, blunt' };
const tree = (id: string, arrangement: string) => {
  const made = profiled('Ficta', id, { ...DRAWN, 'twig.arrangement': arrangement });
  return { ...made, taxon: { ...made.taxon, id } };
};
const LIST = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'].map((id, i) =>
  tree(id, i % 4 === 0 ? 'opposite' : 'alternate'),
);
const context = {
  list: LIST,
  vocabulary: BUILT_IN,
  marking: {
    ...DEFAULT_MARKING,
    policy: 'binomial' as const,
    points: { name: 2, genus: 1, epithet: 2, family: 1 },
  },
  units: 'metric' as const,
};
const view = { ...viewOf(['leaf', 'twig'], 200), aids: ['eye' as const] };
const station = (
  taxonId: string,
  medium: 'drawing' | 'cutting' = 'drawing',
  characterId = 'twig.arrangement',
) => ({
  taxonId,
  medium,
  view,
  question: { kind: 'sort' as const, characterId },
});
const asked = (...of: Parameters<typeof station>) => questionAt(station(...of), 7, context)!;
const question = (() => {
  const made = asked('a');
  if (!made.ok) throw new Error(made.problem);
  return made.value;
})();

test('the own tree and others are on the sheet once each, of every state as many as can be, the same for the same seed', () => {
  const ids = question.items!.map(({ taxonId }) => taxonId);
  expect(ids).toHaveLength(6);
  expect(new Set(ids).size).toBe(6);
  expect(ids).toContain('a');
  // Only two trees of the list are opposite: both are there.
  expect(question.right.filter((state) => state === 'opposite')).toHaveLength(2);
  question.items!.forEach(({ taxonId }, i) =>
    expect(question.right[i]).toBe('aebfcgdh'.indexOf(taxonId) < 2 ? 'opposite' : 'alternate'),
  );
  const again = asked('a');
  expect(again.ok && again.value).toEqual(question);
});

test('students are told letters and states, and neither trees nor what is right', () => {
  const read = asStudentsRead(question, 'technical');
  expect(read.letters).toEqual(['A', 'B', 'C', 'D', 'E', 'F']);
  expect(read.offered.map(({ word }) => word).sort()).toEqual(['Alternate', 'Opposite']);
  expect(JSON.stringify(read)).not.toMatch(/taxonId|right|seed/);
});

test('it is refused where nothing is drawn, nothing differs, or it is not to be seen', () => {
  const problem = (made: ReturnType<typeof asked>) => (made.ok ? '' : made.problem);
  expect(problem(asked('a', 'cutting'))).toMatch(/medium has to be a drawing/);
  expect(problem(asked('a', 'drawing', 'leaf.shape'))).toMatch(/too few trees of the list/);
  expect(problem(asked('a', 'drawing', 'bark.surface'))).toMatch(/not to be seen in the drawing/);
});

test('each specimen bears its share of the points, and what is right is said letter by letter', () => {
  const truth = LIST[0]!.taxon;
  const mark = (said: string) =>
    markQuestion(
      { said },
      { question, truth, list: LIST.map(({ taxon }) => taxon), marking: context.marking },
    );
  const all = question.right.join(' ');
  expect(mark(all)).toMatchObject({ points: 3, outOf: 3, parts: [{ quality: 'right' }] });
  const half = question.right.map((state, i) => (i < 3 ? state : '-')).join(' ');
  expect(mark(half)).toMatchObject({ points: 1.5, parts: [{ quality: 'partly', remark: '3 of 6 right' }] });
  expect(mark('')).toMatchObject({ points: 0, parts: [{ quality: 'missing' }] });
  expect(calledOf(half, 6).filter(Boolean)).toHaveLength(3);
  expect(saidTo(question, { said: all })).toBe(rightInWords({ question, truth }, 'technical'));
  expect(rightInWords({ question, truth }, 'technical')).toMatch(/^A (Opposite|Alternate), B /);
});

test('what is previewed is the same sheet as what is fixed; where something else is asked it is the individual', () => {
  const seed = 7;
  const drawn = individualOf(LIST[0]!, station('a'), seed, context);
  const sheet = pictureOf(drawn, question, view, context);
  expect(sheet).toBe(freezeStation(station('a'), seed, { ...context, revision: 1 }).drawing);
  const { question: _sort, ...named } = station('a');
  expect(pictureOf(drawn, undefined, view, context)).toBe(
    freezeStation(named, seed, { ...context, revision: 1 }).drawing,
  );
  expect(pictureOf(undefined, undefined, view, context)).toBeNull();
});

test('fixed, its drawing is a sheet of all of them without a name, and it is as fair as the character is read', () => {
  const frozen = freezeStation(station('a'), 7, { ...context, revision: 1 });
  expect(frozen.drawing!.match(/<svg /g)).toHaveLength(7);
  for (const letter of 'ABCDEF') expect(frozen.drawing).toContain(`>${letter}</text>`);
  expect(frozen.drawing).not.toMatch(/Ficta/);
  expect(
    questionFairness({ kind: 'sort', characterId: 'twig.arrangement' }, LIST, 'a', BUILT_IN, view),
  ).toBeGreaterThan(0.98);
});
