import type { Course } from '@hurrow/contract/courses';
import type { WalkBody } from '@hurrow/contract/outings';
import { conditionInWords } from '@hurrow/core/condition';
import { careOnTheWay, planWalk, WHO_DECIDES } from '@hurrow/core/grounds';
import { recapOf } from '@hurrow/core/recap';
import { dayOfYear } from '@hurrow/core/season';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { MEDIUM_VIEWS } from '@hurrow/core/view';
import { students } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { treesOf } from '../grounds/queries.ts';
import { theGrounds } from '../grounds/standing.ts';
import { courseLibrary } from '../library/committed.ts';
import { spokenIn } from '../language/spokenIn.ts';
import type { PrintedWalk } from '../prints/walkSheet.ts';

/** A walk with all that is printed of it: map, stops and what to show at each, care, lists, the roll. */
export async function walkToPrint(db: Db, course: Course, walk: WalkBody): Promise<PrintedWalk> {
  const grounds = await theGrounds(db, walk.groundsId);
  const trees = await treesOf(db, grounds.id);
  const read = await courseLibrary(db, course);
  const { library } = read;
  const vocabulary = spokenIn(read.vocabulary, course.namesIn);
  const taxa = library.taxa.map(({ taxon }) => taxon);
  const wishes = { ...walk, asGiven: true, startsAt: new Date(walk.beginsAt) };
  const planned = planWalk(trees, grounds.features, taxa, wishes);
  const visited = planned.stops.map(({ treeId }) => trees.find(({ id }) => id === treeId)!);
  const ids = [...new Set(visited.flatMap(({ taxonId }) => taxonId ?? []))];
  const view = {
    ...MEDIUM_VIEWS.livingTree,
    day: dayOfYear(walk.day),
    qualifiers: { plantAge: 'mature' as const },
  };
  const { latitude, longitude, elevation } = grounds;
  const options = { reference: library.reference, site: { latitude, longitude, elevation } };
  // What to show at a stop is what tells its tree from the others of the walk.
  const remembered = recapOf(read.profilesOf(ids), ids, vocabulary, view, options);
  return {
    course: course.name,
    language: course.namesIn,
    grounds: grounds.name,
    features: grounds.features,
    walk,
    planned,
    stops: planned.stops.map((stop, i) => {
      const tree = visited[i]!;
      const taxon = taxa.find(({ id }) => id === tree.taxonId);
      const marks = remembered.find(({ taxonId }) => taxonId === tree.taxonId)?.marks ?? [];
      return {
        ...stop,
        tree,
        name: taxon && `${commonName(taxon)}, ${scientificName(taxon)}`,
        family: taxon?.family ?? '',
        toShow: marks.map((mark) => conditionInWords(mark, vocabulary, course.audience, course.units)),
        cautions: taxon?.cautions ?? [],
      };
    }),
    care: careOnTheWay(planned.stops),
    whoDecides: WHO_DECIDES,
    units: course.units,
    roll: (await students(db, course.id)).filter(({ nameless }) => !nameless).map(({ name }) => name),
  };
}
