import { kindOf, STATION_KINDS } from '@hurrow/core/assembly';
import { isDeciduous } from '@hurrow/core/evidence';
import {
  collectingList,
  metresBetween,
  Paths,
  type GroundTree,
  type TreeObservation,
} from '@hurrow/core/grounds';
import { readLibrary } from '@hurrow/core/library';
import { dayOfYear, hopkinsDelay, partPresent, shiftCalendar } from '@hurrow/core/season';
import { inFull } from '@hurrow/core/words';
import { demoGrounds } from './src/grounds.ts';
import { demoLibrary } from './src/library.ts';

const library = demoLibrary();
const { profiles } = readLibrary(library);
const { file, features, trees: facts } = demoGrounds();
const trees: GroundTree[] = facts.map((tree) => ({ ...tree, id: tree.tag }));
const observations: TreeObservation[] = file.observations.map(([treeId, day, part, there]) => ({
  treeId,
  day: String(day),
  part,
  there,
}));
const site = { latitude: file.latitude, longitude: file.longitude, elevation: file.elevation };

test('sixty trees of the library stand along two trails, from 780 m to 1,950 m', () => {
  expect(trees).toHaveLength(60);
  expect(new Set(trees.map(({ tag }) => tag)).size).toBe(60);
  for (const { taxonId } of trees) expect(library.taxa.some(({ taxon }) => taxon.id === taxonId)).toBe(true);
  const heights = trees.map(({ elevation }) => elevation!);
  expect(Math.min(...heights)).toBeLessThan(785);
  expect(Math.max(...heights)).toBeGreaterThan(1850);
  const paths = new Paths(features);
  const door = { latitude: 47.6, longitude: -116.4 };
  for (const tree of trees) {
    const way = paths.route(door, tree);
    expect([tree.tag, way.straight, way.off < 15]).toEqual([tree.tag, false, true]);
    expect(way.metres).toBeGreaterThanOrEqual(metresBetween(door, tree) - 1);
  }
});

// Needs of every kind that has to be cut, for every tree of the grounds.
const needs = [...new Set(trees.map(({ taxonId }) => taxonId!))].flatMap((taxonId) =>
  STATION_KINDS.filter(({ cut }) => cut).map(({ id }) => ({
    id: `${taxonId} ${id}`,
    taxonId,
    kind: id,
    serves: '',
  })),
);
const DATES = Array.from({ length: 12 }, (_, month) => `2026-${String(month + 1).padStart(2, '0')}-15`);

test.each(DATES)(
  'on %s nothing is offered that calendar or sight rules out, that is protected, or for which there is no leave',
  (day) => {
    const lines = collectingList({
      needs,
      trees,
      list: profiles,
      observations,
      day,
      reference: library.reference,
      site,
    });
    expect(lines).toHaveLength(needs.length);
    let offered = 0;
    for (const { need, source, others, why, instead } of lines) {
      const profiled = profiles.find(({ taxon }) => taxon.id === need.taxonId)!;
      const kind = kindOf(need.kind)!;
      for (const each of [source, ...others].filter((one) => one !== undefined)) {
        offered += 1;
        const tree = trees.find(({ id }) => id === each.treeId)!;
        expect([
          need.id,
          profiled.taxon.cautions.some((caution) => caution.kind === 'protected'),
          tree.cutting,
        ]).toEqual([need.id, false, 'yes']);
        expect(tree.until === null || tree.until >= day).toBe(true);
        const lately = observations.filter(
          (seen) =>
            seen.treeId === tree.id &&
            seen.day <= day &&
            Date.parse(day) - Date.parse(seen.day) <= 10 * 864e5,
        );
        const seen = (part: TreeObservation['part']) => lately.find((one) => one.part === part)?.there;
        const calendar = shiftCalendar(
          profiled.taxon.calendar,
          hopkinsDelay(library.reference, { ...tree, elevation: tree.elevation! }),
        );
        // Two weeks about the ends of a season trees differ, and what was seen of others moves them.
        const near = [-14, -7, 0, 7, 14].map((by) => dayOfYear(day) + by);
        const could = (part: 'leaves' | 'fruit') =>
          near.some((d) => partPresent(part, calendar, isDeciduous(profiled), ((d - 1 + 365) % 365) + 1));
        const inLeaf = (by: number) =>
          partPresent('leaves', calendar, isDeciduous(profiled), ((dayOfYear(day) + by - 1 + 365) % 365) + 1);
        if (kind.leaves === 'on') {
          if (tree.reach.leaf === 'fallen') {
            // Out of reach on the tree: they lie under it from two weeks before it is bare to a month after.
            expect(seen('fallenLeaves')).not.toBe(false);
            expect([need.id, inLeaf(-60) && !inLeaf(30)]).toEqual([need.id, true]);
          } else {
            expect(seen('leaves')).not.toBe(false);
            expect([need.id, seen('leaves') === true || could('leaves')]).toEqual([need.id, true]);
          }
        }
        if (kind.leaves === 'off') expect(isDeciduous(profiled)).toBe(true);
        if (kind.organs.includes('fruit'))
          expect([need.id, seen('fruit') === true || could('fruit')]).toEqual([need.id, true]);
      }
      if (!source) {
        expect(why).not.toBe('');
        expect(instead.length).toBeGreaterThan(0);
      }
    }
    expect(offered).toBeGreaterThan(40);
  },
);

test('of the whitebark pine nothing is cut on any day, and it is shown where it stands', () => {
  for (const day of DATES) {
    const lines = collectingList({
      needs: needs.filter(({ taxonId }) => taxonId === 'pinus-albicaulis'),
      trees,
      list: profiles,
      observations,
      day,
      reference: library.reference,
      site,
      pestHosts: true,
    });
    expect(lines.filter(({ source }) => source)).toEqual([]);
    for (const { instead, why } of lines) {
      expect(inFull(why!)).toMatch(/protected/);
      expect(instead.map(({ kind }) => kind)).toEqual(['livingTree', 'photo', 'drawing']);
    }
  }
});
