import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import type { ClassSoFar } from '@hurrow/core/assembly';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { createContext, useContext, useMemo, type ReactNode } from 'react';
import type { useLibrary } from '../app/data.ts';
import { nearPlaces } from './covering.ts';
import { useJudged, type JudgedStation } from './useJudged.ts';
import { usePieces } from './usePieces.ts';
import type { usePlan } from './usePlan.ts';

interface Looked {
  /** How fair each station is, place by place; undefined where it is being worked out. */
  judged: readonly (JudgedStation | undefined)[];
  /** Places, from 0, that stand too near each other. */
  near: readonly (readonly [number, number])[];
  pieces: ReturnType<typeof usePieces>;
}

const Held = createContext<Looked>({ judged: [], near: [], pieces: undefined });

/** What is found of a plan as it stands, inside `LookedOver`. */
export const useLooked = (): Looked => useContext(Held);

interface LookedOverProps {
  course: WholeCourse;
  quiz: Quiz | undefined;
  plan: ReturnType<typeof usePlan>;
  library: NonNullable<ReturnType<typeof useLibrary>['library']>;
  list: readonly ProfiledTaxon[];
  mixedUp: ClassSoFar['mixedUp'] | undefined;
  children: ReactNode;
}

/** Looks a plan over, station by station. What is found reaches those who ask for it; the rest of the page is not drawn anew for it. */
export function LookedOver({ course, quiz, plan, library, list, mixedUp, children }: LookedOverProps) {
  const taxa = useMemo(() => list.map(({ taxon }) => taxon.id), [list]);
  const judged = useJudged(plan.stations, taxa, { course, library, day: plan.day });
  const pieces = usePieces(course, quiz?.id, plan, { library, list });
  const near = nearPlaces(plan.stations, judged, mixedUp);
  return <Held value={{ judged, near, pieces }}>{children}</Held>;
}
