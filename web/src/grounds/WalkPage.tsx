import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { WholeGrounds } from '@hurrow/contract/grounds';
import type { Walk, WalkBody } from '@hurrow/contract/outings';
import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox, Input, InputNumber, Popconfirm, Select } from 'antd';
import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { climbInWords, wayInWords } from '@hurrow/core/field';
import { writeTrackGpx } from '@hurrow/core/formats';
import {
  careOnTheWay,
  clockAfter,
  planWalk,
  WHO_DECIDES,
  type LatLon,
  type PlannedWalk,
} from '@hurrow/core/grounds';
import { call, messageOf } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { download } from '../app/download.ts';
import { Opening, Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useKept, type Kept } from '../drafts/useKept.ts';
import { Checklists } from './Checklists.tsx';
import { clockOf } from './days.ts';
import { GroundsMap } from './GroundsMap.tsx';
import { groundsQuery, walksKey, walksQuery } from './groundsData.ts';
import { mapTrees, nameOfTree } from './mapTrees.ts';
import { endsOfWalks, lineOf, moved, placeOfEnd, timed, walkInWords, wishesOfWalk } from './walking.ts';
import styles from './grounds.module.css';
import { inField, sentenceSaid } from '../language/inField.ts';

/** One walk: its line on the map, its stops in words beside it, the day beneath. */
export default function WalkPage({ course }: { course: WholeCourse }) {
  const { walkId = '' } = useParams();
  const walks = useQuery(walksQuery(course.id));
  const walk = walks.data?.walks.find(({ id }) => id === walkId);
  const whole = useQuery({ ...groundsQuery(walk?.groundsId ?? ''), enabled: walk !== undefined });
  const error = walks.error ?? whole.error;
  if (error) return <Problem>{messageOf(error)}</Problem>;
  if (walks.data && !walk)
    return (
      <Problem>
        <Trans>There is no such walk any more. It may have been given up.</Trans>
      </Problem>
    );
  if (!walk || !whole.data) return <Opening />;
  return <Planning key={`${walk.id} ${walk.version}`} course={course} walk={walk} whole={whole.data} />;
}

interface PlanningProps {
  course: WholeCourse;
  walk: Walk;
  whole: WholeGrounds;
}

/** A walk with the version that it was changed from: a draft does not pass over what somebody else has changed since. */
type Draft = WalkBody & { baseVersion: number };

/** A walk as it is being planned: its stops along the paths, and how it is kept or given up. */
function usePlanning({ course, walk: { id, version, ...saved }, whole }: PlanningProps) {
  const { library, profiles, profileOf } = useLibrary();
  const kept = useKept<Draft>(`walk/${id}`, saved.name, { ...saved, baseVersion: version });
  const walk = kept.value;
  const { save, saving, problem } = useSaving();
  const go = useNavigate();
  const taxa = useMemo(() => profiles.map(({ taxon }) => taxon), [profiles]);
  const planned = useMemo(
    () => library && planWalk(whole.trees, whole.features, taxa, wishesOfWalk(walk, true)),
    [library, whole, taxa, walk],
  );
  const set = (part: Partial<WalkBody>) => kept.set((before) => ({ ...before, ...part }));
  const shorten = () => {
    const best = planWalk(whole.trees, whole.features, taxa, wishesOfWalk(walk, false));
    const left = walk.treeIds.filter((tree) => !best.stops.some(({ treeId }) => treeId === tree));
    set({ treeIds: [...best.stops.map(({ treeId }) => treeId), ...left] });
  };
  const params = { courseId: course.id, walkId: id };
  const keep = () =>
    void save(
      () =>
        call('PUT /api/courses/{courseId}/walks/{walkId}', {
          params,
          body: walk,
        }),
      {
        done: (now) => kept.settle(walk, { next: (latest) => ({ ...latest, baseVersion: now.version }) }),
        stale: [walksKey(course.id)],
      },
    );
  const giveUp = () =>
    void save(() => call('DELETE /api/courses/{courseId}/walks/{walkId}', { params }), {
      stale: [walksKey(course.id)],
      done: () => {
        kept.forget();
        void go(`/c/${course.id}/grounds/walks`);
      },
    });
  const shown = useMemo(() => mapTrees(whole.trees, profileOf, walk.day), [whole.trees, profileOf, walk.day]);
  const line = useMemo(() => (planned ? lineOf(planned) : []), [planned]);
  const stops = useMemo(
    () =>
      (planned?.stops ?? []).flatMap(({ treeId }) => whole.trees.find((tree) => tree.id === treeId) ?? []),
    [planned, whole.trees],
  );
  return { kept, walk, set, planned, line, stops, shown, shorten, keep, giveUp, saving, problem };
}

function Planning(props: PlanningProps) {
  const { course, whole } = props;
  const planning = usePlanning(props);
  const { kept, walk, set, planned, line, stops, shown, problem } = planning;
  if (!planned) return <Opening />;
  return (
    <>
      <BroughtBack at={kept.broughtBack} onGiveUp={kept.forget} />
      <Wishes whole={whole} kept={kept} />
      <Does courseId={course.id} walkId={props.walk.id} planning={planning} />
      {problem && <Problem>{problem}</Problem>}
      {planned.remarks.map((remark) => (
        <p key={remark.words} className="rust">
          {sentenceSaid(remark)}
        </p>
      ))}
      <div className={styles['grounds']}>
        <div className={styles['mapside']}>
          <div className={styles['mapframe']}>
            <GroundsMap
              features={whole.features}
              trees={shown}
              way={line}
              stops={stops}
              label={`${walk.name}: ${walkInWords(planned, course.units)}`}
            />
          </div>
          <p className={styles['status']} role="status">
            {walkInWords(planned, course.units)}
          </p>
          <Day walk={walk} planned={planned} />
        </div>
        <Stops course={course} whole={whole} walk={walk} planned={planned} set={set} />
      </div>
      <Checklists checklists={walk.checklists} onChange={(checklists) => set({ checklists })} />
    </>
  );
}

interface DoesProps {
  courseId: string;
  walkId: string;
  planning: ReturnType<typeof usePlanning>;
}

/** What can be done with the walk. */
function Does({ courseId, walkId, planning }: DoesProps) {
  const { kept, walk, line, stops, shorten, keep, giveUp, saving } = planning;
  return (
    <p className={styles['does']}>
      <Button type="primary" loading={saving} disabled={!kept.changed} onClick={keep}>
        <Trans>Keep the walk</Trans>
      </Button>
      <Button onClick={shorten}>
        <Trans>Shortest order</Trans>
      </Button>
      <a href={`/api/courses/${courseId}/walks/${walkId}/walk.pdf`} download>
        <Trans>Print map and stops</Trans>
      </a>
      <Button
        onClick={() =>
          download(
            'walk.gpx',
            writeTrackGpx(
              walk.name,
              line,
              stops.map((tree, i) => ({ ...tree, name: `${i + 1} · ${tree.tag}` })),
            ),
            'application/gpx+xml',
          )
        }
      >
        <Trans>Take out as GPX</Trans>
      </Button>
      <Popconfirm title={t`Give “${walk.name}” up?`} okText={t`Give it up`} onConfirm={giveUp}>
        <Button>
          <Trans>Give it up</Trans>
        </Button>
      </Popconfirm>
      {kept.changed && (
        <small className="gold">
          <Trans>Keep the walk before you print it.</Trans>
        </small>
      )}
    </p>
  );
}

function Wishes({ whole, kept }: { whole: WholeGrounds; kept: Kept<Draft> }) {
  const { profileOf } = useLibrary();
  const walk = kept.value;
  const set = (part: Partial<WalkBody>) => kept.set((before) => ({ ...before, ...part }));
  return (
    <p className={styles['sentence']}>
      <Input
        aria-label={t`Name of the walk`}
        className={styles['title']}
        value={walk.name}
        maxLength={120}
        onChange={(event) => set({ name: event.target.value })}
      />
      <Trans>on</Trans>{' '}
      <input
        aria-label={t`Day`}
        type="date"
        value={walk.day}
        onChange={(event) =>
          event.target.value && kept.set((before) => timed(before, { day: event.target.value }))
        }
      />{' '}
      <Trans>from</Trans>{' '}
      <input
        aria-label={t`Begins`}
        type="time"
        value={walk.begins}
        onChange={(event) =>
          event.target.value && kept.set((before) => timed(before, { begins: event.target.value }))
        }
      />
      <Trans>
        ,{' '}
        <InputNumber
          aria-label={t`Minutes at a stop`}
          min={0}
          max={120}
          value={walk.minutes}
          onChange={(minutes) => minutes !== null && set({ minutes })}
        />{' '}
        minutes at each of{' '}
        <Select
          mode="multiple"
          aria-label={t`Trees`}
          className={styles['chosen']}
          maxTagCount={0}
          maxTagPlaceholder={() => t`${walk.treeIds.length} trees`}
          value={walk.treeIds}
          optionFilterProp="label"
          options={whole.trees.map((tree) => ({
            value: tree.id,
            label: `${tree.tag}, ${nameOfTree(tree, profileOf)}`,
          }))}
          onChange={(treeIds) => set({ treeIds })}
        />
        from{' '}
        <EndSelect label={t`Begins at`} whole={whole} at={walk.start} onChange={(start) => set({ start })} />{' '}
        to
      </Trans>{' '}
      <EndSelect label={t`Ends at`} whole={whole} at={walk.end} onChange={(end) => set({ end })} />
      <Checkbox checked={walk.stepFree} onChange={(event) => set({ stepFree: event.target.checked })}>
        <Trans>without steps</Trans>
      </Checkbox>
      <Checkbox checked={walk.unlike} onChange={(event) => set({ unlike: event.target.checked })}>
        <Trans>unlike trees one after the other</Trans>
      </Checkbox>
    </p>
  );
}

interface EndSelectProps {
  label: string;
  whole: WholeGrounds;
  at: LatLon;
  onChange(at: LatLon): void;
}

function EndSelect({ label, whole, at, onChange }: EndSelectProps) {
  const ends = endsOfWalks(whole);
  const here = placeOfEnd(ends, at);
  return (
    <Select
      aria-label={label}
      popupMatchSelectWidth={false}
      value={here < 0 ? 'a place of its own' : here}
      options={ends.map(({ title }, i) => ({ value: i, label: title }))}
      onChange={(chosen) => onChange(ends[Number(chosen)]!.at)}
    />
  );
}

/** Daylight and the clock, under the map. */
function Day({ walk, planned }: { walk: WalkBody; planned: PlannedWalk }) {
  return (
    <dl className={styles['day']}>
      <dt>
        <Trans>Back at</Trans>
      </dt>
      <dd>{clockAfter(walk.begins, planned.minutes)}</dd>
      <dt>
        <Trans>Sunrise</Trans>
      </dt>
      <dd>{clockOf(planned.sunrise)}</dd>
      <dt>
        <Trans>Sunset</Trans>
      </dt>
      <dd>{clockOf(planned.sunset)}</dd>
    </dl>
  );
}

interface StopsProps extends Pick<PlanningProps, 'course' | 'whole'> {
  walk: WalkBody;
  planned: PlannedWalk;
  set(part: Partial<WalkBody>): void;
}

function Stops({ course, whole, walk, planned, set }: StopsProps) {
  const { profileOf } = useLibrary();
  const care = careOnTheWay(planned.stops);
  const take = (id: string) => set({ treeIds: walk.treeIds.filter((each) => each !== id) });
  const shift = (id: string, by: -1 | 1) =>
    set({ treeIds: moved(walk.treeIds, walk.treeIds.indexOf(id), by) });
  return (
    <div className={styles['listside']}>
      <h2 className="visually-hidden">
        <Trans>Stops</Trans>
      </h2>
      <ol className={styles['stops']} aria-label={t`Stops`}>
        {planned.stops.map(({ treeId, way, arrive, hazards }, i) => {
          const tree = whole.trees.find(({ id }) => id === treeId)!;
          return (
            <li key={treeId}>
              <span className={styles['number']}>{i + 1}</span>
              <span>
                <b>{clockAfter(walk.begins, arrive)}</b> {tree.tag}, {nameOfTree(tree, profileOf)}
                <small>
                  {wayInWords(way.metres, course.units)}
                  {way.up >= 5 && t`, ${climbInWords(way.up, course.units)} up`}
                  {way.steps && t`, steps`}
                  {way.straight && t`, no path drawn`}
                  {tree.access && ` · ${tree.access}`}
                </small>
                {hazards.length > 0 && <small className="rust">{hazards.map(inField).join(', ')}</small>}
              </span>
              <span className={styles['arrows']}>
                <button
                  type="button"
                  aria-label={t`${tree.tag} earlier`}
                  disabled={i === 0}
                  onClick={() => shift(treeId, -1)}
                >
                  ↑
                </button>
                <button
                  type="button"
                  aria-label={t`${tree.tag} later`}
                  disabled={i === planned.stops.length - 1}
                  onClick={() => shift(treeId, 1)}
                >
                  ↓
                </button>
                <button type="button" aria-label={t`Leave ${tree.tag} out`} onClick={() => take(treeId)}>
                  ×
                </button>
              </span>
            </li>
          );
        })}
      </ol>
      {planned.stops.length === 0 && (
        <p>
          <Trans>No stops yet: choose trees in the sentence above.</Trans>
        </p>
      )}
      {care.length > 0 && (
        <section className={styles['care']}>
          <h3>
            <Trans>To be minded on the way</Trans>
          </h3>
          <ul>
            {care.map(({ hazard, care: words, stops }) => (
              <li key={hazard}>
                <b>
                  <Trans>
                    {inField(hazard)}, at {stops.join(', ')}
                  </Trans>
                </b>{' '}
                {inField(words)}
              </li>
            ))}
          </ul>
          <small>{inField(WHO_DECIDES)}</small>
        </section>
      )}
    </div>
  );
}
