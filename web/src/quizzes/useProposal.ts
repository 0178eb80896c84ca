import type { QuizProposed } from '@hurrow/contract/assembly';
import type { QuizWishes } from '@hurrow/core/assembly';
import type { WholeCourse } from '@hurrow/contract/courses';
import { useState } from 'react';
import { call } from '../app/api.ts';
import { STALE, useSaving } from '../app/useSaving.ts';
import {
  askedBy,
  candidateOf,
  madeByHand,
  planOf,
  usuallyWanted,
  wishesOf,
  type Wanted,
} from './proposed.ts';
import type { Planned } from './planned.ts';
import type { usePlan } from './usePlan.ts';

/** A quiz that is proposed: what is wanted of it, what came, and what of the plan is settled. */
export function useProposal(course: WholeCourse, plan: ReturnType<typeof usePlan>) {
  const [wanted, want] = useState<Wanted>(() =>
    usuallyWanted(
      course.sets,
      { startsOn: course.startsOn, heldOn: plan.heldOn },
      plan.stations.length || 10,
    ),
  );
  const [proposed, setProposed] = useState<QuizProposed & { wishes: QuizWishes }>();
  const [pins, setPins] = useState<readonly string[]>([]);
  const [bans, setBans] = useState<readonly string[]>([]);
  // What was gathered stays from the first proposal on, as what is added by hand does later.
  const [came, setCame] = useState<{ seeds: ReadonlySet<number>; before: readonly Planned[] } | undefined>(
    () => (plan.gathered ? { seeds: new Set(), before: [] } : undefined),
  );
  const { save, saving, problem } = useSaving();
  const here = plan.stations.flatMap((station) => candidateOf(station) ?? []);
  const settled = pins.filter((id) => here.includes(id));
  const own = madeByHand(plan.stations, came?.seeds);
  const propose = async () => {
    const wishes = wishesOf(
      { ...wanted, stations: Math.max(1, wanted.stations - own.length) },
      course.sets,
      settled.filter((id) => !own.some((station) => candidateOf(station) === id)),
      [...bans, ...own.map(({ taxonId }) => taxonId)],
    );
    const answer = await save(() =>
      call('POST /api/courses/{courseId}/quiz-proposal', {
        params: { courseId: course.id },
        body: { heldOn: plan.heldOn, wishes, forms: 1 },
      }),
    );
    if (!answer) return;
    const stations = planOf(answer.forms[0]!, plan.stations, answer.so, wanted.toLearn);
    setProposed({ ...answer, wishes });
    setCame({ seeds: new Set(stations.map(({ seed }) => seed)), before: plan.stations });
    plan.setStations([...stations, ...own]);
    plan.setOpen(-1);
  };
  /** Puts the stations back that stood there before the last proposal. */
  const takeBack = () => {
    plan.setStations([...came!.before]);
    setCame(undefined);
    setProposed(undefined);
  };
  const second = useSecondForm(course, plan, { wanted, here, bans, save });
  return {
    /** Nothing stood there before: there is nothing to put back. */
    takeBack: came && came.before.length > 0 ? takeBack : undefined,
    second,
    wanted,
    want,
    proposed,
    propose,
    proposing: saving,
    problem,
    pins: settled,
    /** Something of what stands here stays when it is proposed. */
    keeps: came !== undefined,
    pin: (id: string) => setPins(pins.includes(id) ? pins.filter((each) => each !== id) : [...pins, id]),
    /** A station that was taken out is not proposed again. */
    ban: (id: string) => setBans([...bans, id]),
    bans,
    allowAll: () => setBans([]),
  };
}

interface SecondForm {
  wanted: Wanted;
  /** What stands in the plan, as candidates. */
  here: readonly string[];
  bans: readonly string[];
  save: ReturnType<typeof useSaving>['save'];
}

/** Saves a second form beside a plan, for those who sit it at another time. Resolves with its id, and with what could be had and was wished for. */
function useSecondForm(
  course: WholeCourse,
  plan: ReturnType<typeof usePlan>,
  { wanted, here, bans, save }: SecondForm,
) {
  return () =>
    save(
      async () => {
        const kinds = [...new Set([...here.map((id) => id.split(' ')[1]!), ...wanted.kinds])];
        const wishes = wishesOf({ ...wanted, kinds, asked: askedBy(here) }, course.sets, here, bans);
        const asked = { ...wishes, stations: plan.stations.length };
        const answer = await call('POST /api/courses/{courseId}/quiz-proposal', {
          params: { courseId: course.id },
          body: { heldOn: plan.heldOn, wishes: asked, forms: 2 },
        });
        const made = await call('POST /api/courses/{courseId}/quizzes', {
          params: { courseId: course.id },
          body: {
            title: `${plan.title}, second form`,
            heldOn: plan.heldOn,
            stations: planOf(answer.forms[1]!, [], answer.so, wanted.toLearn),
          },
        });
        return { id: made.id, answer, wishes: asked };
      },
      { stale: [STALE.course(course.id)] },
    );
}
