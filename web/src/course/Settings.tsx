import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Course, OpenToStudents, WholeCourse } from '@hurrow/contract/courses';
import { App, Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { DEFAULT_MARKING, NAMING_POLICIES, POLICY_TITLES, type MarkingPolicy } from '@hurrow/core/names';
import { distanceTo, type Range } from '@hurrow/core/range';
import { call } from '../app/api.ts';
import { libraryQuery, useLibraryAsWritten } from '../app/data.ts';
import { languageName } from '../species/namesIn.ts';
import { languagesOf } from '@hurrow/core/taxon';
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
import { inTongue } from '../language/inTongue.ts';

/** The settings as they are typed: the place may not be readable yet. */
interface Draft extends Omit<Course, 'id' | 'code' | 'latitude' | 'longitude' | 'elevation'> {
  place: WrittenPlace;
}

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

const OPENS: [OpenToStudents, string][] = [
  ['profiles', t`the profiles of the list`],
  ['contrasts', t`contrasts of two or more`],
  ['keys', t`keys to walk through`],
  ['recap', t`the recap of each set`],
  ['lessons', t`the lesson of each set, from its week on`],
  ['notebook', t`a notebook of what they see at trees`],
  ['practice', t`practice on the phone, of the sets taught so far`],
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

interface PartProps {
  draft: Draft;
  set<K extends keyof Draft>(key: K, value: Draft[K]): void;
}

function Term({ draft, set }: PartProps) {
  return (
    <section>
      <h2>
        <Trans>Term</Trans>
      </h2>
      <label className={styles['name']}>
        <span>
          <Trans>Name of the course</Trans>
        </span>
        <input value={draft.name} onChange={(event) => set('name', event.target.value)} />
      </label>
      <p>
        <Trans>It begins on</Trans>{' '}
        <input
          type="date"
          aria-label={t`First day`}
          value={draft.startsOn}
          onChange={(event) => set('startsOn', event.target.value)}
        />{' '}
        <Trans>
          and lasts{' '}
          <NumberField label={t`Weeks`} value={draft.weeks} onChange={(weeks) => set('weeks', weeks)} />{' '}
          weeks.
        </Trans>
      </p>
    </section>
  );
}

function Words({ draft, set }: PartProps) {
  return (
    <section>
      <h2>
        <Trans>Words</Trans>
      </h2>
      <p>
        <Trans>Students read</Trans>{' '}
        <select
          aria-label={t`Words`}
          value={draft.audience}
          onChange={(event) => set('audience', event.target.value as Draft['audience'])}
        >
          <option value="technical">
            <Trans>technical terms</Trans>
          </option>
          <option value="plain">
            <Trans>plain words</Trans>
          </option>
        </select>{' '}
        <Trans>and sizes in</Trans>{' '}
        <select
          aria-label={t`Units`}
          value={draft.units}
          onChange={(event) => set('units', event.target.value as Draft['units'])}
        >
          <option value="metric">
            <Trans>meters and centimeters</Trans>
          </option>
          <option value="imperial">
            <Trans>feet and inches</Trans>
          </option>
        </select>
        .
      </p>
      <p>
        <Trans>A profile begins with</Trans>{' '}
        <select
          aria-label={t`Profiles begin with`}
          value={draft.startsWith}
          onChange={(event) => set('startsWith', event.target.value as Draft['startsWith'])}
        >
          <option value="leaf">
            <Trans>size and form, then leaves</Trans>
          </option>
          <option value="site">
            <Trans>the site, then form and bark</Trans>
          </option>
          <option value="twig">
            <Trans>twigs, buds and bark, as in winter</Trans>
          </option>
        </select>
        .
      </p>
      <NamesIn namesIn={draft.namesIn} onChange={(namesIn) => set('namesIn', namesIn)} />
    </section>
  );
}

/** The language of common names, where the library has them in another than its own. */
function NamesIn({ namesIn, onChange }: { namesIn: string | null; onChange(namesIn: string | null): void }) {
  const { library } = useLibraryAsWritten();
  const tags = [...new Set([...(library ? languagesOf(library.taxa) : []), ...(namesIn ? [namesIn] : [])])];
  if (tags.length === 0) return null;
  return (
    <p>
      <Trans>Common names are</Trans>{' '}
      <select
        aria-label={t`Common names are in`}
        value={namesIn ?? ''}
        onChange={({ target }) => onChange(target.value || null)}
      >
        <option value="">{t`those of the library`}</option>
        {tags.map((tag) => (
          <option key={tag} value={tag}>
            {t`those in ${languageName(tag)}`}
          </option>
        ))}
      </select>
      ; <Trans>those of the library are right answers still.</Trans>
    </p>
  );
}

/** How trees are named, as a sentence with its points. */
function Naming({ marking, onChange }: { marking: MarkingPolicy; onChange(marking: MarkingPolicy): void }) {
  const { policy, points } = marking;
  const parts: [keyof MarkingPolicy['points'], string][] =
    policy === 'common'
      ? [['name', t`name`]]
      : [
          ['genus', t`genus`],
          ...(policy === 'genus' ? [] : [['epithet', t`epithet`] as ['epithet', string]]),
          ...(policy === 'binomialFamily' ? [['family', t`family`] as ['family', string]] : []),
        ];
  return (
    <section>
      <h2>
        <Trans>Naming</Trans>
      </h2>
      <p>
        <Trans>A tree is named by its</Trans>{' '}
        <select
          aria-label={t`Students name a tree by`}
          value={policy}
          onChange={(event) =>
            onChange({ ...marking, policy: event.target.value as MarkingPolicy['policy'] })
          }
        >
          {NAMING_POLICIES.map((value) => (
            <option key={value} value={value}>
              {inTongue(POLICY_TITLES[value])}
            </option>
          ))}
        </select>
        .
      </p>
      <p>
        <Trans>
          Right, the{' '}
          {parts.map(([part, word], i) => (
            <span key={part}>
              <Trans>
                {i > 0 && (i === parts.length - 1 ? t` and the ` : t`, the `)}
                {word} is worth
              </Trans>{' '}
              <NumberField
                label={t`Points for the ${word}`}
                value={points[part]}
                onChange={(value) => onChange({ ...marking, points: { ...points, [part]: value } })}
              />
            </span>
          ))}
          ; a misspelled part loses{' '}
          <NumberField
            label={t`Off for a misspelled part`}
            value={marking.deduction}
            onChange={(deduction) => onChange({ ...marking, deduction })}
          />
          .
        </Trans>
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
      <h2>
        <Trans>Students may open</Trans>
      </h2>
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
          <Trans>
            those who teach see single slips of practice, and not only how much is practiced and known
          </Trans>
        </label>
      )}
      {draft.opens.includes('practice') && (
        <label className={styles['tick']}>
          <input
            type="checkbox"
            checked={draft.asksInPractice}
            onChange={() => set('asksInPractice', !draft.asksInPractice)}
          />{' '}
          <Trans>practice asks at every third name what they went by; it counts with what quizzes ask</Trans>
        </label>
      )}
      <p className="quiet">
        <Trans>
          While a quiz is open, contrasts and keys are closed to them; profiles and recap help no more than a
          book.
        </Trans>
      </p>
    </section>
  );
}
