import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import { QUIZ_PAPERS } from '@hurrow/contract/limits';
import type { QuizPaper, Rounds } from '@hurrow/contract/rounds';
import { useQuery } from '@tanstack/react-query';
import { Button, InputNumber, Select } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { minutes, timetable, type Rotation } from '@hurrow/core/rotation';
import { commonName } from '@hurrow/core/taxon';
import { call, messageOf } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { LinkButton, Opening, Problem } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { useSaving } from '../app/useSaving.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useKept } from '../drafts/useKept.ts';
import { lateInWords, lengthInWords, rowsOf } from './going.ts';
import { roundsQuery } from './roundsQuery.ts';
import styles from './rounds.module.css';

interface Props {
  course: WholeCourse;
  quiz: Quiz;
}

/** How a quiz is gone round: the timetable, its bell, and what is printed for the day. */
export default function RoundsPage({ course, quiz }: Props) {
  const query = useQuery(roundsQuery(quiz.id));
  if (query.isError) return <Problem>{messageOf(query.error)}</Problem>;
  if (!query.data) return <Opening />;
  return <Planning key={quiz.id} course={course} quiz={quiz} saved={query.data.rounds} />;
}

function Planning({ course, quiz, saved }: Props & { saved: Rounds }) {
  const kept = useKept<Rounds>(`rounds/${quiz.id}`, `Rounds of ${quiz.title}`, saved);
  const { save, saving, problem } = useSaving();
  const mayChange = useMayChange();
  const rounds = kept.value;
  const students = useMemo(() => course.students.filter(({ nameless }) => !nameless), [course.students]);
  const rotation = useMemo(
    () =>
      timetable(
        rounds,
        students.map(({ id }) => id),
        quiz.stations.length,
      ),
    [rounds, students, quiz.stations.length],
  );
  const keep = () =>
    save(() => call('PUT /api/quizzes/{quizId}/rounds', { params: { quizId: quiz.id }, body: rounds }), {
      done: () => kept.settle(rounds),
      stale: [['rounds', quiz.id]],
    });
  if (quiz.stations.length === 0)
    return (
      <p>
        <Trans>Plan the stations first: there is nothing to go round yet.</Trans>
      </p>
    );
  return (
    <>
      <BroughtBack at={kept.broughtBack} onGiveUp={kept.forget} />
      <Wanted rounds={rounds} students={students} onChange={kept.set} />
      {problem && <Problem>{problem}</Problem>}
      <p className={styles['does']}>
        {mayChange && (
          <Button type="primary" loading={saving} disabled={!kept.changed} onClick={() => void keep()}>
            <Trans>Keep it so</Trans>
          </Button>
        )}
        <Link className={styles['bell-link']} to={`/bell/${course.id}/${quiz.id}`}>
          <Trans>Show the bell</Trans>
        </Link>
        <Link to={`/try/${course.id}/${quiz.id}`}>
          <Trans>Sit it blind</Trans>
        </Link>
        <Link to={`/c/${course.id}/grounds/collecting?quiz=${quiz.id}`}>
          <Trans>What is to be cut for it</Trans>
        </Link>
        {rotation && <strong>{lengthInWords(rotation)}</strong>}
      </p>
      <Papers quiz={quiz} unsaved={kept.changed} />
      <Tries quiz={quiz} />
      {rotation && rounds.away.length > 0 && <Late {...{ rounds, rotation, students }} />}
      {rotation ? (
        <Timetable rotation={rotation} students={students} />
      ) : (
        <p>
          <Trans>Nobody is there: import the class list, or take somebody off those who are away.</Trans>
        </p>
      )}
    </>
  );
}

/** Who stands where at which bell. */
const Timetable = ({
  rotation,
  students,
}: {
  rotation: Rotation;
  students: readonly { id: string; name: string }[];
}) => (
  <div className={styles['scroll']}>
    <table className={styles['timetable']}>
      <thead>
        <tr>
          <th scope="col">
            <Trans>Bell</Trans>
          </th>
          {rotation.slots.map((_, bell) => (
            <th key={bell} scope="col">
              {bell + 1}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rowsOf(rotation, students).map(({ id, name, wave, places }, i, all) => (
          <tr key={id} data-first={i === 0 || all[i - 1]!.wave !== wave}>
            <th scope="row">
              {name}
              {rotation.waves.length > 1 && (
                <small>
                  {' '}
                  <Trans>
                    round {wave + 1}, at {minutes(rotation.waves[wave]!.begins)}
                  </Trans>
                </small>
              )}
            </th>
            {places.map((place, bell) => (
              <td key={bell}>{place}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  </div>
);

interface WantedProps {
  rounds: Rounds;
  students: readonly { id: string; name: string }[];
  onChange(rounds: Rounds): void;
}

/** How it is gone round, as a sentence; who is away, and who needs more time. */
function Wanted({ rounds, students, onChange }: WantedProps) {
  const set = (part: Partial<Rounds>) => onChange({ ...rounds, ...part });
  const number = (
    label: string,
    value: number,
    least: number,
    most: number,
    part: (value: number) => Partial<Rounds>,
  ) => (
    <InputNumber
      aria-label={label}
      className={styles['number']}
      value={value}
      min={least}
      max={most}
      onChange={(next) => next !== null && set(part(next))}
    />
  );
  return (
    <div className={styles['wanted']}>
      <p>
        <Trans>
          {number(t`Seconds at a station`, rounds.seconds, 5, 3600, (seconds) => ({ seconds }))} seconds at a
          station and {number(t`Seconds to move`, rounds.moving, 0, 600, (moving) => ({ moving }))} to move
          on;{' '}
          {number(t`At a station`, rounds.capacity, 1, 12, (capacity) => ({
            capacity,
            together: Math.min(rounds.together, capacity),
          }))}{' '}
          at a station at most, going{' '}
          {number(t`Going together`, rounds.together, 1, rounds.capacity, (together) => ({ together }))}{' '}
          together; {number(t`Rests`, rounds.rests, 0, 20, (rests) => ({ rests }))} rests between them.
        </Trans>
      </p>
      <p>
        <Trans>Away:</Trans>{' '}
        <Select
          mode="multiple"
          aria-label={t`Who is away`}
          className={styles['who']}
          placeholder={t`nobody`}
          optionFilterProp="label"
          value={rounds.away}
          onChange={(away: string[]) => set({ away })}
          options={students.map(({ id, name }) => ({ value: id, label: name }))}
        />
      </p>
      <Extra rounds={rounds} students={students} onChange={(extra) => set({ extra })} />
    </div>
  );
}

/** Somebody of those who are away comes after all: where to begin. */
function Late({ rounds, rotation, students }: Omit<WantedProps, 'onChange'> & { rotation: Rotation }) {
  const [who, setWho] = useState<string>();
  const [bell, setBell] = useState(1);
  const student = rounds.away.find((id) => id === who);
  return (
    <p>
      <Trans>
        Comes late:{' '}
        <Select
          aria-label={t`Who comes late`}
          className={styles['one']}
          placeholder={t`nobody`}
          allowClear
          value={student}
          onChange={setWho}
          options={students
            .filter(({ id }) => rounds.away.includes(id))
            .map(({ id, name }) => ({ value: id, label: name }))}
        />{' '}
        at bell{' '}
        <InputNumber
          aria-label={t`At bell`}
          className={styles['number']}
          min={1}
          max={rotation.slots.length}
          value={bell}
          onChange={(next) => setBell(next ?? 1)}
        />{' '}
        {student && lateInWords(rotation, student, bell - 1, rounds)}
      </Trans>
    </p>
  );
}

const FACTORS = [1.25, 1.5, 2];

/** Who needs more time: it stands in no print that others see. */
function Extra({
  rounds,
  students,
  onChange,
}: Omit<WantedProps, 'onChange'> & { onChange(extra: Rounds['extra']): void }) {
  const [factor, setFactor] = useState(1.5);
  const nameOf = (id: string) => students.find((student) => student.id === id)?.name ?? t`a former student`;
  return (
    <p>
      <Trans>More time, in a round of their own:</Trans>{' '}
      <Select
        aria-label={t`Who needs more time`}
        className={styles['one']}
        placeholder={t`nobody`}
        showSearch
        optionFilterProp="label"
        value={null}
        onChange={(id: string | null) => id && onChange({ ...rounds.extra, [id]: factor })}
        options={students
          .filter(({ id }) => !rounds.extra[id])
          .map(({ id, name }) => ({ value: id, label: name }))}
      />{' '}
      <Select
        aria-label={t`How much more`}
        value={factor}
        onChange={setFactor}
        options={FACTORS.map((value) => ({ value, label: t`${value} times` }))}
      />{' '}
      {Object.entries(rounds.extra).map(([id, times]) => (
        <span key={id} className={styles['extra']}>
          <Trans>
            {nameOf(id)}, {times} times
          </Trans>{' '}
          <LinkButton
            aria-label={t`${nameOf(id)} needs no more time`}
            onClick={() =>
              onChange(Object.fromEntries(Object.entries(rounds.extra).filter(([each]) => each !== id)))
            }
          >
            ×
          </LinkButton>
        </span>
      ))}
    </p>
  );
}

/** Who has sat it blind, and what was missed: a station that a colleague misses is not as it was meant. */
function Tries({ quiz }: { quiz: Quiz }) {
  const query = useQuery({
    queryKey: ['tries', quiz.id],
    queryFn: () => call('GET /api/quizzes/{quizId}/tries', { params: { quizId: quiz.id } }),
  });
  const { profileOf } = useLibrary();
  const tries = query.data?.tries ?? [];
  if (tries.length === 0) return null;
  return (
    <ul className={styles['tries']} aria-label={t`Sat blind`}>
      {tries.map(({ by, at, answered, missed }) => (
        <li key={at}>
          <Trans>
            {by} sat it blind on {at.slice(0, 10)}:{' '}
            {missed.length === 0
              ? t`all ${answered} right.`
              : t`missed ${missed
                  .map(({ position, taxonId, written }) => {
                    const taxon = profileOf(taxonId)?.taxon;
                    return t`${position} (${taxon ? commonName(taxon) : taxonId}, wrote ${written || t`nothing`})`;
                  })
                  .join(', ')}.`}
          </Trans>
        </li>
      ))}
    </ul>
  );
}

const TITLES: Record<QuizPaper, string> = {
  stations: t`Station cards`,
  answers: t`Answer sheets`,
  rounds: t`Round cards`,
  key: t`Master key`,
  words: t`List of names`,
  signin: t`Sign-in sheet`,
};

/** What is printed for the day. */
function Papers({ quiz, unsaved }: { quiz: Quiz; unsaved: boolean }) {
  const [paper, setPaper] = useState<'letter' | 'a4'>('letter');
  const at = encodeURIComponent(window.location.origin);
  return (
    <p className={styles['papers']}>
      <span>
        <Trans>Print on</Trans>{' '}
        <select
          aria-label={t`Paper`}
          value={paper}
          onChange={(event) => setPaper(event.target.value as 'letter' | 'a4')}
        >
          <option value="letter">
            <Trans>Letter</Trans>
          </option>
          <option value="a4">A4</option>
        </select>
      </span>
      {QUIZ_PAPERS.map((what) => (
        <a key={what} href={`/api/quizzes/${quiz.id}/papers/${what}.pdf?paper=${paper}&at=${at}`} download>
          {TITLES[what]}
        </a>
      ))}
      {unsaved && (
        <small className="gold">
          <Trans>Keep it so before you print the round cards.</Trans>
        </small>
      )}
    </p>
  );
}
