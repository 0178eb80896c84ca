import { t } from '@lingui/core/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import { App } from 'antd';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { dayOfYear } from '@hurrow/core/season';
import { call } from '../app/api.ts';
import { moved } from '../app/moved.ts';
import { sessionQuery } from '../app/session.ts';
import { STALE, useSaving } from '../app/useSaving.ts';
import { useKept } from '../drafts/useKept.ts';
import { dayAsked, planToBegin, stationOf, type Plan, type Planned } from './planned.ts';

/** A plan as it is being made: kept until it is saved, with the station that is open. */
export function usePlan(course: WholeCourse, quiz: Quiz | undefined) {
  const today = useQuery(sessionQuery).data?.today ?? '2026-01-01';
  const [search] = useSearchParams();
  const gathered = search.get('taxa') ?? '';
  const kept = useKept<Plan>(
    `plan/${quiz?.id ?? `new-${course.id}${gathered && `-${gathered}`}`}`,
    `Plan of ${quiz?.title ?? 'a new quiz'}, ${course.name}`,
    planToBegin(
      quiz,
      course.quizzes,
      dayAsked(search.get('on'), today),
      gathered,
      search.get('ask') === 'all',
    ),
  );
  const { stations, heldOn } = kept.value;
  const day = dayOfYear(heldOn);
  const [open, setOpen] = useState(0);
  const setStations = (next: Planned[]) => kept.set({ ...kept.value, stations: next });
  return {
    ...kept.value,
    /** It began with pieces that were gathered. */
    gathered: gathered !== '',
    day,
    broughtBack: kept.broughtBack,
    giveUp: () => kept.forget(),
    write: (part: Partial<Plan>) => kept.set({ ...kept.value, ...part }),
    open,
    setOpen,
    /** Place of the station that is shown: the last one where those behind it are gone. */
    shown: Math.min(open, stations.length - 1),
    setStations,
    change: (i: number, part: Partial<Planned>) =>
      setStations(stations.map((station, k) => (k === i ? { ...station, ...part } : station))),
    add: (taxonId: string) => {
      setStations([...stations, stationOf(taxonId, day, stations.at(-1), stations.length)]);
      setOpen(stations.length);
    },
    move: (i: number, by: number) => {
      setStations(moved(stations, i, by));
      setOpen(i + by);
    },
    ...useSavingPlan(course, quiz, kept),
  };
}

/** Saving a plan, and removing a planned quiz. */
function useSavingPlan(course: WholeCourse, quiz: Quiz | undefined, kept: ReturnType<typeof useKept<Plan>>) {
  const queries = useQueryClient();
  const go = useNavigate();
  const { message } = App.useApp();
  const { save, saving, problem } = useSaving();
  const savePlan = () => {
    const body = kept.value;
    return save(
      async () =>
        quiz
          ? (await call('PUT /api/quizzes/{quizId}', { params: { quizId: quiz.id }, body }), quiz.id)
          : (await call('POST /api/courses/{courseId}/quizzes', { params: { courseId: course.id }, body }))
              .id,
      {
        done: async (id) => {
          const made = `/c/${course.id}/quizzes/${id}`;
          const all = kept.settle(body, quiz ? {} : { as: { key: `plan/${id}`, where: `${made}/plan` } });
          await queries.invalidateQueries({ queryKey: STALE.course(course.id) });
          await queries.invalidateQueries({ queryKey: STALE.quiz(id) });
          void message.success(t`The plan is saved.`);
          if (!quiz) void go(`${made}/${all ? 'run' : 'plan'}`);
        },
      },
    );
  };
  const drop = () =>
    save(() => call('DELETE /api/quizzes/{quizId}', { params: { quizId: quiz!.id } }), {
      done: async () => {
        await queries.invalidateQueries({ queryKey: STALE.course(course.id) });
        void go(`/c/${course.id}/quizzes`);
      },
    });
  return { savePlan, drop, saving, problem };
}
