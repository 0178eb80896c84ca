import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { App, Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { DEFAULT_MARKING } from '@hurrow/core/names';
import { distanceTo, type Range } from '@hurrow/core/range';
import { call } from '../app/api.ts';
import { libraryQuery } from '../app/data.ts';
import { PlaceFields } from '../app/PlaceFields.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { sessionQuery } from '../app/session.ts';
import { readPlace, writtenPlace } from '../app/writtenPlace.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useKept } from '../drafts/useKept.ts';
import { DeleteCourse } from '../keeping/DeleteCourse.tsx';
import { CopyCourse } from './CopyCourse.tsx';
import { CourseStaff } from './CourseStaff.tsx';
import { Naming } from './Naming.tsx';
import { PRESETS } from './presets.ts';
import { Opens, Term, Words, type Draft } from './SettingsParts.tsx';
import styles from './settings.module.css';
import { Opening, Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import { STALE, useSaving } from '../app/useSaving.ts';

/** The settings of a course, or the form that makes a new one. */
export default function Settings({ course }: { course: WholeCourse | undefined }) {
  const library = useQuery(libraryQuery()).data;
  const today = useQuery(sessionQuery).data?.today ?? '';
  const mayChange = useMayChange();
  if (!course && !(library && today))
    return (
      <Opening>
        <Trans>Opening…</Trans>
      </Opening>
    );
  const start: Draft = course
    ? {
        name: course.name,
        startsOn: course.startsOn,
        weeks: course.weeks,
        audience: course.audience,
        units: course.units,
        marking: course.marking,
        startsWith: course.startsWith,
        opens: course.opens,
        closedWeeks: course.closedWeeks,
        seesSlips: course.seesSlips,
        asksInPractice: course.asksInPractice,
        namesIn: course.namesIn,
        place: writtenPlace(course),
      }
    : {
        name: '',
        startsOn: today,
        weeks: 14,
        audience: 'technical',
        units: 'metric',
        marking: DEFAULT_MARKING,
        startsWith: 'leaf',
        opens: [],
        closedWeeks: [],
        seesSlips: false,
        asksInPractice: true,
        namesIn: null,
        place: writtenPlace(library!.reference),
      };
  return (
    <>
      <Form course={course} start={start} />
      {course && mayChange && <CourseStaff courseId={course.id} />}
      {course && mayChange && <CopyCourse course={course} />}
      {course && mayChange && <DeleteCourse course={course} />}
    </>
  );
}

function Form({ course, start }: { course: WholeCourse | undefined; start: Draft }) {
  const kept = useKept(
    `settings/${course?.id ?? 'new'}`,
    course ? `Settings of ${course.name}` : 'A new course',
    start,
  );
  const { value: draft } = kept;
  const { save, saving, problem, say } = useSaving();
  const go = useNavigate();
  const { message } = App.useApp();
  const farFrom = useRangesOfLibrary();
  const set = <K extends keyof Draft>(key: K, value: Draft[K]) =>
    kept.set((before) => ({ ...before, [key]: value }));
  const saveAll = () => {
    const { place, ...rest } = draft;
    const read = readPlace(place);
    if ('problem' in read) return say(read.problem);
    const body = { ...rest, ...read };
    if (course)
      void save(() => call('PUT /api/courses/{courseId}', { params: { courseId: course.id }, body }), {
        done: () => {
          kept.settle(draft);
          void message.success(t`The settings are saved.`);
        },
        stale: [STALE.course(course.id), STALE.courses],
      });
    else
      void save(() => call('POST /api/courses', { body }), {
        done: ({ id }) => {
          const settings = `/c/${id}/course/settings`;
          const all = kept.settle(draft, { as: { key: `settings/${id}`, where: settings } });
          void go(all ? `/c/${id}/course/term` : settings);
        },
        stale: [STALE.courses],
      });
  };
  return (
    <div className={course ? '' : ui['page']}>
      {!course && (
        <h1>
          <Trans>A new course</Trans>
        </h1>
      )}
      {!course && <ForWhom onChoose={(settings) => kept.set((before) => ({ ...before, ...settings }))} />}
      <BroughtBack at={kept.broughtBack} onGiveUp={kept.forget} />
      <div className={styles['settings']}>
        <Term draft={draft} set={set} />
        <Words draft={draft} set={set} />
        <Naming marking={draft.marking} onChange={(marking) => set('marking', marking)} />
        <Opens draft={draft} set={set} />
        <section className={styles['wide']}>
          <h2>
            <Trans>Site</Trans>
          </h2>
          <PlaceFields
            place={draft.place}
            onChange={(place) => set('place', place)}
            {...(farFrom ? { farFrom } : {})}
          />
          <p className="quiet">
            <Trans>
              Months of the library are shifted to the site: spring 4 days later for each degree north, 5°
              east or 122 m up. Quizzes already opened keep the marking they were opened with.
            </Trans>
          </p>
        </section>
      </div>
      {problem && <Problem>{problem}</Problem>}
      <Button type="primary" loading={saving} onClick={saveAll}>
        {course ? t`Save settings` : t`Make the course`}
      </Button>
    </div>
  );
}

/** Whom a new course is for: what it begins with, in one press. */
function ForWhom({ onChoose }: { onChoose(settings: (typeof PRESETS)[number]['settings']): void }) {
  const [chosen, choose] = useState<string>();
  return (
    <div className={styles['for-whom']} role="group" aria-label={t`Whom it is for`}>
      <span>
        <Trans>It is for</Trans>
      </span>
      {PRESETS.map(({ title, said, settings }) => (
        <button
          key={title}
          type="button"
          aria-pressed={chosen === title}
          onClick={() => {
            choose(title);
            onChoose(settings);
          }}
        >
          <strong>{title}</strong>
          <span>{said}</span>
        </button>
      ))}
    </div>
  );
}

/** Kilometers from a place to the nearest range of the library; undefined while none is recorded. */
function useRangesOfLibrary() {
  const ranges = useQuery({
    queryKey: ['range', 'all'],
    queryFn: () => call('GET /api/library/ranges'),
  }).data?.ranges;
  const cells = useMemo(
    () =>
      ranges
        ? (Object.assign({}, ...Object.values(ranges).map((range) => range.cells)) as Range['cells'])
        : {},
    [ranges],
  );
  const far = useCallback(
    (place: { latitude: number; longitude: number }) => distanceTo(place, cells),
    [cells],
  );
  return Object.keys(cells).length > 0 ? far : undefined;
}
