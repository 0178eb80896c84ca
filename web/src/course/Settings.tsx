import { App, Button, Input, InputNumber, Select } from 'antd';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { DEFAULT_MARKING, NAMING_POLICIES, POLICY_TITLES, type MarkingPolicy } from '@hurrow/core/names';
import { messageOf, post, put } from '../app/api.ts';
import { libraryQuery, type Course, type CourseSummary } from '../app/data.ts';
import { sessionQuery } from '../app/session.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useKept } from '../drafts/useKept.ts';

type Draft = Omit<CourseSummary, 'id' | 'code'>;

/** The settings of a course, or the form that makes a new one. */
export function Settings({ course }: { course: Course | undefined }) {
  const library = useQuery(libraryQuery()).data;
  const today = useQuery(sessionQuery).data?.today ?? '';
  if (!course && !library) return <p className="opening">Opening…</p>;
  const start: Draft = course
    ? {
        name: course.name,
        startsOn: course.startsOn,
        weeks: course.weeks,
        audience: course.audience,
        units: course.units,
        marking: course.marking,
        latitude: course.latitude,
        longitude: course.longitude,
        elevation: course.elevation,
        startsWith: course.startsWith,
      }
    : {
        name: '',
        startsOn: today,
        weeks: 14,
        audience: 'technical',
        units: 'metric',
        marking: DEFAULT_MARKING,
        ...library!.reference,
        startsWith: 'leaf',
      };
  return <Form course={course} start={start} />;
}

function Form({ course, start }: { course: Course | undefined; start: Draft }) {
  const kept = useKept(
    `settings/${course?.id ?? 'new'}`,
    course ? `Settings of ${course.name}` : 'A new course',
    start,
  );
  const { value: draft, set: setDraft } = kept;
  const [problem, setProblem] = useState<string>();
  const queries = useQueryClient();
  const go = useNavigate();
  const { message } = App.useApp();
  const set = <K extends keyof Draft>(key: K, value: Draft[K]) => setDraft({ ...draft, [key]: value });
  const mark = (part: Partial<MarkingPolicy>) => set('marking', { ...draft.marking, ...part });
  const points = (part: keyof MarkingPolicy['points'], value: number | null) =>
    mark({ points: { ...draft.marking.points, [part]: value ?? 0 } });
  const save = async () => {
    setProblem(undefined);
    try {
      if (course) {
        await put(`/api/courses/${course.id}`, draft);
        kept.settle(draft);
        await queries.invalidateQueries({ queryKey: ['course', course.id] });
        await queries.invalidateQueries({ queryKey: ['courses'] });
        void message.success('The settings are saved.');
      } else {
        const made = await post<{ id: string }>('/api/courses', draft);
        kept.settle(draft);
        await queries.invalidateQueries({ queryKey: ['courses'] });
        void go(`/c/${made.id}/course/list`);
      }
    } catch (error) {
      setProblem(messageOf(error));
    }
  };
  const { policy } = draft.marking;
  return (
    <div className={course ? '' : 'page'}>
      {!course && <h1>A new course</h1>}
      <BroughtBack at={kept.broughtBack} onGiveUp={kept.forget} />
      <div className="settings">
        <label className="wide">
          <span>Name of the course</span>
          <Input value={draft.name} onChange={(event) => set('name', event.target.value)} />
        </label>
        <label>
          <span>First day</span>
          <Input
            type="date"
            value={draft.startsOn}
            onChange={(event) => set('startsOn', event.target.value)}
          />
        </label>
        <label>
          <span>Weeks</span>
          <InputNumber
            min={1}
            max={60}
            value={draft.weeks}
            onChange={(weeks) => set('weeks', weeks ?? 1)}
            style={{ width: '100%' }}
          />
        </label>
        <label>
          <span>Words</span>
          <Select
            value={draft.audience}
            onChange={(audience) => set('audience', audience)}
            options={[
              { value: 'technical', label: 'technical terms' },
              { value: 'plain', label: 'plain words' },
            ]}
          />
        </label>
        <label>
          <span>Units</span>
          <Select
            value={draft.units}
            onChange={(units) => set('units', units)}
            options={[
              { value: 'metric', label: 'metric' },
              { value: 'imperial', label: 'feet and inches' },
            ]}
          />
        </label>
        <label>
          <span>Profiles begin with</span>
          <Select
            value={draft.startsWith}
            onChange={(startsWith) => set('startsWith', startsWith)}
            options={[
              { value: 'leaf', label: 'size and form, then leaves' },
              { value: 'site', label: 'the site, then form and bark' },
              { value: 'twig', label: 'twigs, buds and bark, as in winter' },
            ]}
          />
        </label>
        <label className="wide">
          <span>Students name a tree by</span>
          <Select
            value={policy}
            onChange={(next) => mark({ policy: next })}
            options={NAMING_POLICIES.map((value) => ({ value, label: POLICY_TITLES[value] }))}
          />
        </label>
        {policy === 'common' ? (
          <Points
            label="Points for the name"
            value={draft.marking.points.name}
            onChange={(value) => points('name', value)}
          />
        ) : (
          <>
            <Points
              label="Points for the genus"
              value={draft.marking.points.genus}
              onChange={(value) => points('genus', value)}
            />
            {policy !== 'genus' && (
              <Points
                label="for the epithet"
                value={draft.marking.points.epithet}
                onChange={(value) => points('epithet', value)}
              />
            )}
            {policy === 'binomialFamily' && (
              <Points
                label="for the family"
                value={draft.marking.points.family}
                onChange={(value) => points('family', value)}
              />
            )}
          </>
        )}
        <Points
          label="Off for a misspelled part"
          value={draft.marking.deduction}
          onChange={(value) => mark({ deduction: value ?? 0 })}
        />
        <Points
          label="Site, latitude °N"
          value={draft.latitude}
          onChange={(value) => set('latitude', value ?? 0)}
        />
        <Points
          label="longitude °E"
          value={draft.longitude}
          onChange={(value) => set('longitude', value ?? 0)}
        />
        <Points
          label="elevation, m"
          value={draft.elevation}
          onChange={(value) => set('elevation', value ?? 0)}
        />
      </div>
      <p className="quiet">
        Months of the library are shifted to the site: spring 4 days later for each degree north, 5° east or
        122 m up. Quizzes already opened keep the marking they were opened with.
      </p>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      <Button type="primary" onClick={() => void save()}>
        {course ? 'Save settings' : 'Make the course'}
      </Button>
    </div>
  );
}

function Points({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange(value: number | null): void;
}) {
  return (
    <label>
      <span>{label}</span>
      <InputNumber
        value={value}
        onChange={(next) => onChange(next === null ? null : Number(next))}
        style={{ width: '100%' }}
      />
    </label>
  );
}
