import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import { App, Button, Input, Select } from 'antd';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { readLibrary } from '@hurrow/core/library';
import { dayOfYear } from '@hurrow/core/season';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { MEDIUM_TITLES } from '@hurrow/core/view';
import { call } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { sessionQuery } from '../app/session.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useKept } from '../drafts/useKept.ts';
import { anotherSeed, freeTitle, stationOf, viewFor, type Plan, type Planned } from './planned.ts';
import { SeeingPicker } from './SeeingPicker.tsx';
import { StationSpecimen } from './StationSpecimen.tsx';
import { StationLine } from './StationLine.tsx';
import { ViewEditor } from './ViewEditor.tsx';
import styles from './quizzes.module.css';
import { Notice, Problem } from '../app/parts.tsx';
import { STALE, useSaving } from '../app/useSaving.ts';
import { moved } from '../app/moved.ts';

/** Plans a quiz by picking taxa, view and medium; says of each station what stands against it. */
export function PlanPage({ course, quiz }: { course: WholeCourse; quiz: Quiz | undefined }) {
  const { library, profileOf } = useLibrary();
  const today = useQuery(sessionQuery).data?.today ?? '2026-01-01';
  const [search] = useSearchParams();
  const queries = useQueryClient();
  const go = useNavigate();
  const { message } = App.useApp();
  const gathered = search.get('taxa') ?? '';
  const kept = useKept<Plan>(
    `plan/${quiz?.id ?? `new-${course.id}${gathered && `-${gathered}`}`}`,
    `Plan of ${quiz?.title ?? 'a new quiz'}, ${course.name}`,
    quiz
      ? {
          title: quiz.title,
          heldOn: quiz.heldOn,
          stations: quiz.stations.map(({ taxonId, medium, view, asks, seed }) => ({
            taxonId,
            medium,
            view,
            asks,
            seed,
          })),
        }
      : {
          title: freeTitle(course.quizzes),
          heldOn: today,
          stations: gathered
            .split(',')
            .filter(Boolean)
            .map((taxonId) => stationOf(taxonId, dayOfYear(today))),
        },
  );
  const { title, heldOn, stations } = kept.value;
  const day = dayOfYear(heldOn);
  const setStations = (next: Planned[]) => kept.set({ ...kept.value, stations: next });
  const [open, setOpen] = useState(0);
  const { save, saving, problem } = useSaving();
  const fixed = quiz !== undefined && quiz.state !== 'planned';
  const list = useMemo(
    () =>
      library
        ? readLibrary(library)
            .profilesOf(course.sets.flatMap((set) => set.taxa))
            .filter(({ taxon }) => !taxon.retired)
        : [],
    [library, course],
  );
  if (!library) return <p>Opening…</p>;

  const change = (i: number, part: Partial<Planned>) =>
    setStations(stations.map((station, k) => (k === i ? { ...station, ...part } : station)));
  const add = (taxonId: string) => {
    setStations([...stations, stationOf(taxonId, day, stations.at(-1))]);
    setOpen(stations.length);
  };
  const move = (i: number, by: number) => {
    setStations(moved(stations, i, by));
    setOpen(i + by);
  };
  const savePlan = () => {
    const body = { title, heldOn, stations };
    return save(
      async () =>
        quiz
          ? (await call('PUT /api/quizzes/{quizId}', { params: { quizId: quiz.id }, body }), quiz.id)
          : (await call('POST /api/courses/{courseId}/quizzes', { params: { courseId: course.id }, body }))
              .id,
      {
        done: async (id) => {
          const made = `/c/${course.id}/quizzes/${id}`;
          const all = kept.settle(
            kept.value,
            quiz ? {} : { as: { key: `plan/${id}`, where: `${made}/plan` } },
          );
          await queries.invalidateQueries({ queryKey: STALE.course(course.id) });
          await queries.invalidateQueries({ queryKey: STALE.quiz(id) });
          void message.success('The plan is saved.');
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
  const shown = stations[Math.min(open, stations.length - 1)];
  const find = (id: string) => profileOf(id);
  return (
    <div className={styles['plan']}>
      <div>
        <div className={styles['plan-head']}>
          <label>
            Title{' '}
            <Input
              aria-label="Title"
              value={title}
              disabled={fixed}
              onChange={(event) => kept.set({ ...kept.value, title: event.target.value })}
              className={styles['title']}
            />
          </label>
          <label>
            Held on{' '}
            <Input
              aria-label="Held on"
              type="date"
              value={heldOn}
              disabled={fixed}
              onChange={(event) => kept.set({ ...kept.value, heldOn: event.target.value || heldOn })}
              className={styles['day']}
            />
          </label>
        </div>
        <BroughtBack at={kept.broughtBack} onGiveUp={() => kept.forget()} />
        {fixed && (
          <Notice>
            This quiz has been opened. Its stations, names and drawings are fixed as they were then; edits of
            the library do not reach them.
          </Notice>
        )}
        <ol className={styles['stations']}>
          {stations.map((station, i) => (
            <StationLine
              key={i}
              station={station}
              position={i + 1}
              open={i === open}
              fixed={fixed}
              last={i === stations.length - 1}
              list={list}
              library={library}
              course={course}
              day={day}
              onOpen={() => setOpen(i)}
              onMedium={(medium) => change(i, { medium, view: viewFor(medium, day), asks: [] })}
              onMove={(by) => move(i, by)}
              onRemove={() => setStations(stations.filter((_, k) => k !== i))}
            />
          ))}
        </ol>
        {stations.length === 0 && <p className="quiet">No stations yet. Add the first species below.</p>}
        {!fixed && (
          <>
            <Select
              showSearch={{ optionFilterProp: 'label' }}
              aria-label="Add a station"
              placeholder="Add a station: choose its species"
              value={null}
              className={styles['add']}
              onChange={(id: string | null) => id && add(id)}
              notFoundContent="No species of the course’s list has this name."
              options={list.map(({ taxon }) => ({
                value: taxon.id,
                label: `${commonName(taxon)} (${scientificName(taxon)})`,
              }))}
            />{' '}
            <Button
              disabled={stations.length > 0 || list.length === 0}
              onClick={() => setStations(list.map(({ taxon }) => stationOf(taxon.id, day)))}
            >
              One of each on the list
            </Button>
            {problem && <Problem>{problem}</Problem>}
            <p className={styles['plan-foot']}>
              <Button type="primary" loading={saving} onClick={() => void savePlan()}>
                Save the plan
              </Button>{' '}
              {quiz && <Button onClick={() => void drop()}>Remove this quiz</Button>}
            </p>
          </>
        )}
      </div>
      <aside className={styles['plan-view']}>
        {shown && find(shown.taxonId) && (
          <>
            <h2>
              Station {Math.min(open, stations.length - 1) + 1}: {commonName(find(shown.taxonId)!.taxon)}
            </h2>
            <ViewEditor
              station={shown}
              fixed={fixed}
              onChange={(view) => change(Math.min(open, stations.length - 1), { view })}
            />
            <SeeingPicker
              station={{ ...shown, view: { ...shown.view, day } }}
              profiled={find(shown.taxonId)!}
              options={{ reference: library.reference, site: course }}
              fixed={fixed}
              onChange={(asks) => change(Math.min(open, stations.length - 1), { asks })}
            />
            {shown.medium === 'drawing' ? (
              <StationSpecimen
                library={library}
                course={course}
                profiled={find(shown.taxonId)!}
                station={{ ...shown, view: { ...shown.view, day } }}
                onAnother={
                  fixed
                    ? undefined
                    : () => change(Math.min(open, stations.length - 1), { seed: anotherSeed() })
                }
              />
            ) : (
              <p className="quiet">
                Students look at the {MEDIUM_TITLES[shown.medium]} itself; their phones say at which station,
                and show
                {shown.medium === 'photo' ? ' the photo of the library that may leave it.' : ' no drawing.'}
              </p>
            )}
          </>
        )}
      </aside>
    </div>
  );
}
