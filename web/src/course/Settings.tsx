import type { Course, OpenToStudents, WholeCourse } from '@hurrow/contract/courses';
import { App, Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { DEFAULT_MARKING, NAMING_POLICIES, POLICY_TITLES, type MarkingPolicy } from '@hurrow/core/names';
import { distanceTo, type Range } from '@hurrow/core/range';
import { call } from '../app/api.ts';
import { libraryQuery } from '../app/data.ts';
import { PlaceFields } from '../app/PlaceFields.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { sessionQuery } from '../app/session.ts';
import { readPlace, writtenPlace, type WrittenPlace } from '../app/writtenPlace.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useKept } from '../drafts/useKept.ts';
import { DeleteCourse } from '../keeping/DeleteCourse.tsx';
import { CopyCourse } from './CopyCourse.tsx';
import { CourseStaff } from './CourseStaff.tsx';
import { PRESETS } from './presets.ts';
import styles from './settings.module.css';
import { Opening, Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import { STALE, useSaving } from '../app/useSaving.ts';

/** The settings as they are typed: the place may not be readable yet. */
interface Draft extends Omit<Course, 'id' | 'code' | 'latitude' | 'longitude' | 'elevation'> {
  place: WrittenPlace;
}

/** The settings of a course, or the form that makes a new one. */
export default function Settings({ course }: { course: WholeCourse | undefined }) {
  const library = useQuery(libraryQuery()).data;
  const today = useQuery(sessionQuery).data?.today ?? '';
  const mayChange = useMayChange();
  if (!course && !library) return <Opening>Opening…</Opening>;
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

const OPENS: [OpenToStudents, string][] = [
  ['profiles', 'the profiles of the list'],
  ['contrasts', 'contrasts of two or more'],
  ['keys', 'keys to walk through'],
  ['recap', 'the recap of each set'],
  ['lessons', 'the lesson of each set, from its week on'],
  ['notebook', 'a notebook of what they see at trees'],
  ['practice', 'practice on the phone, of the sets taught so far'],
];

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
          void message.success('The settings are saved.');
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
      {!course && <h1>A new course</h1>}
      {!course && <ForWhom onChoose={(settings) => kept.set((before) => ({ ...before, ...settings }))} />}
      <BroughtBack at={kept.broughtBack} onGiveUp={kept.forget} />
      <div className={styles['settings']}>
        <Term draft={draft} set={set} />
        <Words draft={draft} set={set} />
        <Naming marking={draft.marking} onChange={(marking) => set('marking', marking)} />
        <Opens draft={draft} set={set} />
        <section className={styles['wide']}>
          <h2>Site</h2>
          <PlaceFields
            place={draft.place}
            onChange={(place) => set('place', place)}
            {...(farFrom ? { farFrom } : {})}
          />
          <p className="quiet">
            Months of the library are shifted to the site: spring 4 days later for each degree north, 5° east
            or 122 m up. Quizzes already opened keep the marking they were opened with.
          </p>
        </section>
      </div>
      {problem && <Problem>{problem}</Problem>}
      <Button type="primary" loading={saving} onClick={saveAll}>
        {course ? 'Save settings' : 'Make the course'}
      </Button>
    </div>
  );
}

/** Whom a new course is for: what it begins with, in one press. */
function ForWhom({ onChoose }: { onChoose(settings: (typeof PRESETS)[number]['settings']): void }) {
  const [chosen, choose] = useState<string>();
  return (
    <div className={styles['for-whom']} role="group" aria-label="Whom it is for">
      <span>It is for</span>
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

interface PartProps {
  draft: Draft;
  set<K extends keyof Draft>(key: K, value: Draft[K]): void;
}

function Term({ draft, set }: PartProps) {
  return (
    <section>
      <h2>Term</h2>
      <label className={styles['name']}>
        <span>Name of the course</span>
        <input value={draft.name} onChange={(event) => set('name', event.target.value)} />
      </label>
      <p>
        It begins on{' '}
        <input
          type="date"
          aria-label="First day"
          value={draft.startsOn}
          onChange={(event) => set('startsOn', event.target.value)}
        />{' '}
        and lasts <NumberField label="Weeks" value={draft.weeks} onChange={(weeks) => set('weeks', weeks)} />{' '}
        weeks.
      </p>
    </section>
  );
}

function Words({ draft, set }: PartProps) {
  return (
    <section>
      <h2>Words</h2>
      <p>
        Students read{' '}
        <select
          aria-label="Words"
          value={draft.audience}
          onChange={(event) => set('audience', event.target.value as Draft['audience'])}
        >
          <option value="technical">technical terms</option>
          <option value="plain">plain words</option>
        </select>{' '}
        and sizes in{' '}
        <select
          aria-label="Units"
          value={draft.units}
          onChange={(event) => set('units', event.target.value as Draft['units'])}
        >
          <option value="metric">meters and centimeters</option>
          <option value="imperial">feet and inches</option>
        </select>
        .
      </p>
      <p>
        A profile begins with{' '}
        <select
          aria-label="Profiles begin with"
          value={draft.startsWith}
          onChange={(event) => set('startsWith', event.target.value as Draft['startsWith'])}
        >
          <option value="leaf">size and form, then leaves</option>
          <option value="site">the site, then form and bark</option>
          <option value="twig">twigs, buds and bark, as in winter</option>
        </select>
        .
      </p>
    </section>
  );
}

/** How trees are named, as a sentence with its points. */
function Naming({ marking, onChange }: { marking: MarkingPolicy; onChange(marking: MarkingPolicy): void }) {
  const { policy, points } = marking;
  const parts: [keyof MarkingPolicy['points'], string][] =
    policy === 'common'
      ? [['name', 'name']]
      : [
          ['genus', 'genus'],
          ...(policy === 'genus' ? [] : [['epithet', 'epithet'] as ['epithet', string]]),
          ...(policy === 'binomialFamily' ? [['family', 'family'] as ['family', string]] : []),
        ];
  return (
    <section>
      <h2>Naming</h2>
      <p>
        A tree is named by its{' '}
        <select
          aria-label="Students name a tree by"
          value={policy}
          onChange={(event) =>
            onChange({ ...marking, policy: event.target.value as MarkingPolicy['policy'] })
          }
        >
          {NAMING_POLICIES.map((value) => (
            <option key={value} value={value}>
              {POLICY_TITLES[value]}
            </option>
          ))}
        </select>
        .
      </p>
      <p>
        Right, the{' '}
        {parts.map(([part, word], i) => (
          <span key={part}>
            {i > 0 && (i === parts.length - 1 ? ' and the ' : ', the ')}
            {word} is worth{' '}
            <NumberField
              label={`Points for the ${word}`}
              value={points[part]}
              onChange={(value) => onChange({ ...marking, points: { ...points, [part]: value } })}
            />
          </span>
        ))}
        ; a misspelled part loses{' '}
        <NumberField
          label="Off for a misspelled part"
          value={marking.deduction}
          onChange={(deduction) => onChange({ ...marking, deduction })}
        />
        .
      </p>
    </section>
  );
}

function NumberField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange(value: number): void;
}) {
  const [text, setText] = useState(String(value));
  const read = Number(text.replace(',', '.'));
  // A draft brought back or given up changes the number from outside; what is being typed stays.
  const shown = text.trim() !== '' && read === value ? text : text.trim() === '' ? text : String(value);
  return (
    <input
      className={styles['number']}
      inputMode="decimal"
      aria-label={label}
      value={shown}
      onChange={(event) => {
        const typed = event.target.value;
        setText(typed);
        const next = Number(typed.replace(',', '.'));
        if (typed.trim() && Number.isFinite(next)) onChange(next);
      }}
    />
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

function Opens({ draft, set }: PartProps) {
  return (
    <section>
      <h2>Students may open</h2>
      {OPENS.map(([part, words]) => (
        <label key={part} className={styles['tick']}>
          <input
            type="checkbox"
            checked={draft.opens.includes(part)}
            onChange={() =>
              set(
                'opens',
                draft.opens.includes(part)
                  ? draft.opens.filter((held) => held !== part)
                  : [...draft.opens, part],
              )
            }
          />{' '}
          {words}
        </label>
      ))}
      {draft.opens.includes('practice') && (
        <label className={styles['tick']}>
          <input
            type="checkbox"
            checked={draft.seesSlips}
            onChange={() => set('seesSlips', !draft.seesSlips)}
          />{' '}
          those who teach see single slips of practice, and not only how much is practiced and known
        </label>
      )}
      {draft.opens.includes('practice') && (
        <label className={styles['tick']}>
          <input
            type="checkbox"
            checked={draft.asksInPractice}
            onChange={() => set('asksInPractice', !draft.asksInPractice)}
          />{' '}
          practice asks at every third name what they went by; it counts with what quizzes ask
        </label>
      )}
      <p className="quiet">
        While a quiz is open, contrasts and keys are closed to them; profiles and recap help no more than a
        book.
      </p>
    </section>
  );
}
