import { plural, t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { LibraryAnswer } from '@hurrow/contract/library';
import { useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { contrast, type ProfiledTaxon } from '@hurrow/core/evidence';
import { readLibrary } from '@hurrow/core/library';
import { characterName } from '@hurrow/core/score';
import { dayOfYear } from '@hurrow/core/season';
import { commonName } from '@hurrow/core/taxon';
import { MEDIUM_VIEWS } from '@hurrow/core/view';
import { useLibrary, useVocabulary } from '../app/data.ts';
import { SiteSpecimen, Strip, twigView } from '../app/Drawings.tsx';
import { useFieldDate } from '../app/fieldDate.tsx';
import { Latin } from '../app/Names.tsx';
import { courseWeek } from '../app/weeks.ts';
import { useConfusions } from '../confusions/useConfusions.ts';
import { capital } from '../confusions/useNames.ts';
import { ExpiringTodo } from '../grounds/ExpiringTodo.tsx';
import styles from './course.module.css';
import { bareInWords, bareOn } from './bare.ts';
import { dayLabel, listInWords } from '../language/inWords.ts';

/** What needs doing, in sentences, and the sets of the list as they look on the field date. */
export function CourseNow({ course }: { course: WholeCourse }) {
  const { library, every, profileOf } = useLibrary();
  const { day, today } = useFieldDate();
  const { pairs, answers } = useConfusions(course.id);
  if (!library) return null;
  const week = courseWeek(course, today);
  const taught = course.sets.flatMap((set) => set.taxa);
  const base = `/c/${course.id}`;
  return (
    <>
      <div className={styles['now']}>
        <div>
          <h2>{week ? t`Week ${week}.` : t`Outside the term.`}</h2>
          <ul>
            {taught.length === 0 && (
              <Todo>
                <Trans>
                  The list is empty. <Link to={`${base}/course/term`}>Put species into sets.</Link>
                </Trans>
              </Todo>
            )}
            <LessonTodo course={course} week={week} />
            <ExpiringTodo courseId={course.id} />
            {course.students.length === 0 && (
              <Todo>
                <Trans>
                  No students yet. <Link to={`${base}/course/students`}>Import the class list.</Link>
                </Trans>
              </Todo>
            )}
            <QuizTodos course={course} library={library} profileOf={profileOf} />
            {pairs.slice(0, 2).map((pair) => (
              <PairTodo
                key={`${pair.a}${pair.b}`}
                course={course}
                library={library}
                every={every}
                pair={pair}
                day={day}
              />
            ))}
            {answers.length === 0 &&
              taught.length > 0 &&
              course.students.length > 0 &&
              course.quizzes.length === 0 && (
                <Todo>
                  <Trans>
                    Nothing has been asked yet. <Link to={`${base}/quizzes/new`}>Plan the first quiz.</Link>
                  </Trans>
                </Todo>
              )}
          </ul>
        </div>
        {pairs[0] && (
          <WorstPair course={course} library={library} pair={pairs[0]} profileOf={profileOf} day={day} />
        )}
      </div>
      <div className={styles['sets']}>
        {course.sets.map((set) => (
          <section key={set.id}>
            <h3>
              <Link to={`${base}/course/lesson/${set.id}`}>{set.title}</Link>{' '}
              {set.week && (
                <span className="quiet">
                  <Trans>week {set.week}</Trans>
                </span>
              )}
            </h3>
            <ul>
              {set.taxa.map((id) => {
                const profiled = profileOf(id);
                return (
                  profiled && (
                    <li key={id}>
                      <Link to={`${base}/species/${id}`}>{commonName(profiled.taxon)}</Link>{' '}
                      <Latin names={profiled.taxon} />
                      <Strip profiled={profiled} />
                    </li>
                  )
                );
              })}
            </ul>
          </section>
        ))}
      </div>
    </>
  );
}

/** The pair that is mixed up most, drawn as it looks on the field date. */
function WorstPair({
  course,
  library,
  pair,
  profileOf,
  day,
}: {
  course: WholeCourse;
  library: LibraryAnswer;
  pair: { a: string; b: string };
  profileOf(id: string): ProfiledTaxon | undefined;
  day: number;
}) {
  const view = useMemo(() => twigView(day), [day]);
  return (
    <div className={styles['worst']}>
      {[pair.a, pair.b].map((id) => {
        const profiled = profileOf(id);
        return (
          profiled && (
            <figure key={id}>
              <SiteSpecimen
                course={course}
                library={library}
                profiled={profiled}
                view={view}
                width={310}
                height={140}
                insets={false}
              />
              <figcaption className="quiet">{commonName(profiled.taxon)}</figcaption>
            </figure>
          )
        );
      })}
    </div>
  );
}

/** The sets of this week, or the next that has one, with their lessons. */
function LessonTodo({ course, week }: { course: WholeCourse; week: number | undefined }) {
  const from = week ?? 1;
  const due = course.sets.filter((set) => set.week !== null && set.week >= from && set.taxa.length > 0);
  const [first] = due;
  if (!first) return null;
  return due
    .filter((set) => set.week === first.week)
    .map((set) => (
      <Todo key={set.id}>
        <Link to={`/c/${course.id}/course/lesson/${set.id}`}>{set.title}</Link>
        {set.week === week
          ? t` is this week’s set: ${plural(set.taxa.length, { one: '# species', other: '# species' })}.`
          : t` is the next set, in week ${set.week ?? ''}.`}{' '}
        <Link to={`/show/${course.id}/${set.id}`}>
          <Trans>Show its lesson.</Trans>
        </Link>
      </Todo>
    ));
}

const Todo = ({ children }: { children: ReactNode }) => <li>{children}</li>;

function QuizTodos({
  course,
  library,
  profileOf,
}: {
  course: WholeCourse;
  library: LibraryAnswer;
  profileOf(id: string): ProfiledTaxon | undefined;
}) {
  const base = `/c/${course.id}/quizzes`;
  return course.quizzes.map((quiz) => {
    if (quiz.state === 'open')
      return (
        <Todo key={quiz.id}>
          <Trans>
            <Link to={`${base}/${quiz.id}/run`}>{quiz.title}</Link> is open: {quiz.students} of{' '}
            {course.students.length} students have answered something.
          </Trans>
        </Todo>
      );
    if (quiz.state === 'closed')
      return quiz.released ? null : (
        <Todo key={quiz.id}>
          <Trans>
            <Link to={`${base}/${quiz.id}/mark`}>{quiz.title}</Link> is closed; its results are not released
            yet.
          </Trans>
        </Todo>
      );
    const day = dayOfYear(quiz.heldOn);
    const taught = course.sets.flatMap((set) => set.taxa).flatMap((id) => profileOf(id) ?? []);
    const bare = bareOn(taught, day, library.reference, course);
    return (
      <Todo key={quiz.id}>
        <Trans>
          <Link to={`${base}/${quiz.id}/plan`}>{quiz.title}</Link> is planned for {dayLabel(day)} with{' '}
          <Plural value={quiz.stations} one="# station" other="# stations" />.
          {bare.length > 0 && t` By then ${bareInWords(bare)} no leaves to cut.`}
        </Trans>
      </Todo>
    );
  });
}

interface PairTodoProps {
  course: WholeCourse;
  library: LibraryAnswer;
  every: readonly ProfiledTaxon[];
  pair: { a: string; b: string; count: number };
  day: number;
}

/** The pair mixed up most, and what a cut twig would settle it by on the field date. */
function PairTodo({ course, library, every, pair, day }: PairTodoProps) {
  const vocabulary = useVocabulary();
  const found = useMemo(() => {
    const ids = new Set([...course.sets.flatMap((set) => set.taxa), pair.a, pair.b]);
    const list = every.filter(({ taxon }) => ids.has(taxon.id));
    if (![pair.a, pair.b].every((id) => list.some(({ taxon }) => taxon.id === id))) return undefined;
    return contrast(
      list,
      pair.a,
      pair.b,
      vocabulary,
      { ...MEDIUM_VIEWS.cutting, day, qualifiers: { plantAge: 'mature' } },
      { reference: library.reference, site: course },
    );
  }, [course, library, every, pair.a, pair.b, day, vocabulary]);
  const name = (id: string) => commonName(readLibrary(library).profileOf(id)!.taxon);
  if (!found) return null;
  const settles = listInWords(
    found.deciding.map((id) => characterName(vocabulary.get(id)!, course.audience)),
  );
  return (
    <li>
      <Trans>
        <Link to={`/c/${course.id}/confusions/${pair.a}/${pair.b}`}>
          {capital(name(pair.a))} and {name(pair.b)}
        </Link>{' '}
        were mixed up in{' '}
        <strong className="rust">
          <Plural value={pair.count} one="# answer" other="# answers" />
        </strong>
        ;{' '}
        {settles
          ? t`on a twig cut ${dayLabel(day)}, ${settles} would settle it.`
          : t`a twig cut ${dayLabel(day)} does not settle it.`}
      </Trans>
    </li>
  );
}
