import type { WholeCourse } from '@hurrow/contract/courses';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { allGroundsQuery, collectingQuery, groundsQuery } from '../grounds/groundsData.ts';
import type { useLibrary } from '../app/data.ts';
import { listFor, piecesOf, type Pieces } from './pieces.ts';
import type { Planned } from './planned.ts';

/** The pieces of a plan, the grounds they come from, and the list by which they are gathered; undefined where there are no grounds. */
export function usePieces(
  course: WholeCourse,
  quizId: string | undefined,
  { stations, heldOn }: { stations: readonly Planned[]; heldOn: string },
  { library, list }: { library: ReturnType<typeof useLibrary>['library']; list: readonly ProfiledTaxon[] },
): (Pieces & { grounds: string; listId: string | undefined }) | undefined {
  const lists = useQuery(collectingQuery(course.id)).data?.lists;
  const all = useQuery(allGroundsQuery).data?.grounds;
  const own = lists && listFor(lists, quizId, heldOn);
  const groundsId = own?.groundsId ?? lists?.[0]?.groundsId ?? all?.[0]?.id;
  const whole = useQuery({ ...groundsQuery(groundsId ?? ''), enabled: groundsId !== undefined }).data;
  return useMemo(() => {
    if (!whole || !lists || !library || list.length === 0) return undefined;
    const { trees, observations, latitude, longitude, elevation } = whole;
    const known = stations.every(({ taxonId }) => list.some(({ taxon }) => taxon.id === taxonId));
    if (!known) return undefined;
    return {
      ...piecesOf({
        stations,
        heldOn,
        quizId,
        lists,
        quizzes: course.quizzes,
        trees,
        observations,
        list,
        reference: library.reference,
        site: { latitude, longitude, elevation },
      }),
      grounds: whole.name,
      listId: own?.id,
    };
  }, [whole, lists, library, list, stations, heldOn, quizId, course.quizzes, own]);
}
