import type { QuizProposed } from '@hurrow/contract/assembly';
import type { WholeCourse } from '@hurrow/contract/courses';
import { useState } from 'react';
import { call } from '../app/api.ts';
import { STALE, useSaving } from '../app/useSaving.ts';
import { candidateOf, planOf, usuallyWanted, wishesOf, type Wanted } from './proposed.ts';
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
  const [proposed, setProposed] = useState<QuizProposed>();
  const [pins, setPins] = useState<readonly string[]>([]);
  const [bans, setBans] = useState<readonly string[]>([]);
  const { save, saving, problem } = useSaving();
  const here = plan.stations.flatMap((station) => candidateOf(station) ?? []);
  const settled = pins.filter((id) => here.includes(id));
  const propose = async () => {
    const body = { heldOn: plan.heldOn, wishes: wishesOf(wanted, course.sets, settled, bans), forms: 1 };
    const answer = await save(() =>
      call('POST /api/courses/{courseId}/quiz-proposal', { params: { courseId: course.id }, body }),
    );
    if (!answer) return;
    setProposed(answer);
    plan.setStations(planOf(answer.forms[0]!, plan.stations));
    plan.setOpen(-1);
  };
  /** Saves a second form beside this plan, for those who sit it at another time. Resolves with its id, and with what could not be had alike. */
  const second = () =>
    save(
      async () => {
        const wishes = wishesOf(wanted, course.sets, here, bans);
        const body = { heldOn: plan.heldOn, wishes: { ...wishes, stations: plan.stations.length }, forms: 2 };
        const { forms, relaxed } = await call('POST /api/courses/{courseId}/quiz-proposal', {
          params: { courseId: course.id },
          body,
        });
        const made = await call('POST /api/courses/{courseId}/quizzes', {
          params: { courseId: course.id },
          body: { title: `${plan.title}, second form`, heldOn: plan.heldOn, stations: planOf(forms[1]!, []) },
        });
        return { id: made.id, relaxed };
      },
      { stale: [STALE.course(course.id)] },
    );
  return {
    second,
    wanted,
    want,
    proposed,
    propose,
    proposing: saving,
    problem,
    pins: settled,
    pin: (id: string) => setPins(pins.includes(id) ? pins.filter((each) => each !== id) : [...pins, id]),
    /** A station that was taken out is not proposed again. */
    ban: (id: string) => setBans([...bans, id]),
    bans,
    allowAll: () => setBans([]),
  };
}
