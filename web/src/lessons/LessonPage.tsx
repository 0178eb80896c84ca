import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { LessonAnswer } from '@hurrow/contract/lessons';
import { App, Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { minutesOf, NO_EDITS, type LessonEdits, type LessonStop } from '@hurrow/core/lesson';
import { commonName } from '@hurrow/core/taxon';
import { call, messageOf } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { LinkButton, Notice, Opening, Problem } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { useSaving } from '../app/useSaving.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useKept, type Kept } from '../drafts/useKept.ts';
import {
  acknowledged,
  hid,
  inOtherOrder,
  noted,
  reworded,
  underEdits,
  wholeEdits,
  withoutSlide,
  withSlide,
} from './editing.ts';
import { dayOfLesson, lessonQuery } from './lessonQuery.ts';
import { pictured } from './lessonPhotos.ts';
import { PhotoChoices, type LessonPhotos } from './PointPhotos.tsx';
import { Sheet } from './Sheet.tsx';
import { shownOf, titleSaid } from './showing.ts';
import styles from './lessons.module.css';
import { newId } from '../app/newId.ts';
import { upperFirst } from '@hurrow/core/words';

/** The lesson of a set: its points in order with what each shows, to be changed, printed and shown. */
export default function LessonPage({ course }: { course: WholeCourse }) {
  const { setId = '' } = useParams();
  const query = useQuery(lessonQuery(course.id, setId));
  if (query.isPending)
    return (
      <Opening>
        <Trans>Making the lesson…</Trans>
      </Opening>
    );
  if (!query.data) return <Problem>{messageOf(query.error)}</Problem>;
  return <Lesson key={setId} course={course} lesson={query.data} />;
}

function Lesson({ course, lesson }: { course: WholeCourse; lesson: LessonAnswer }) {
  const mayChange = useMayChange();
  const kept = useKept<LessonEdits>(`lesson/${lesson.setId}`, `Lesson “${lesson.title}”`, {
    ...NO_EDITS,
    ...lesson.edits,
  });
  const edits = useMemo(() => wholeEdits(kept.value), [kept.value]);
  const stops = useMemo(() => underEdits(lesson.stops, edits), [lesson.stops, edits]);
  const photos = useMemo<LessonPhotos>(
    () => ({ courseId: course.id, setId: lesson.setId, all: lesson.photos, units: course.units }),
    [course.id, course.units, lesson.setId, lesson.photos],
  );
  const [chosen, choose] = useState(stops[0]?.key);
  const stop = stops.find(({ key }) => key === chosen) ?? stops[0];
  const { saveAll, saving, problem } = useSavedLesson(course.id, lesson.setId, kept);
  const change = (next: (edits: LessonEdits) => LessonEdits) =>
    kept.set((before) => next(wholeEdits(before)));
  const addSlide = () => {
    const key = `own/${newId()}`;
    change((edits) =>
      withSlide(edits, stops, stop?.key ?? '', { key, title: t`A slide of my own`, words: '' }),
    );
    choose(key);
  };
  return (
    <>
      <Head course={course} lesson={lesson} stops={stops} />
      <BroughtBack at={kept.broughtBack} onGiveUp={kept.forget} />
      {kept.changed && mayChange && (
        <Notice>
          <Trans>What you changed is shown and printed once it is saved.</Trans>{' '}
          <Button size="small" type="primary" loading={saving} onClick={() => void saveAll()}>
            <Trans>Save the lesson</Trans>
          </Button>
        </Notice>
      )}
      {problem && <Problem>{problem}</Problem>}
      <div className={styles['lesson']}>
        <Points stops={stops} chosen={stop?.key} onChoose={choose} />
        {stop && (
          <div>
            <div className={styles['preview']}>
              <Sheet
                course={course}
                stop={stop}
                day={dayOfLesson(course, lesson.week)}
                shape="wide"
                photos={photos}
              />
            </div>
            {mayChange && (
              <PointForm
                key={stop.key}
                stop={stop}
                photos={photos}
                note={edits.notes[stop.key] ?? ''}
                title={edits.own.find(({ key }) => key === stop.key)?.title}
                change={change}
                onMove={(by) => change((edits) => inOtherOrder(edits, stops, stop.key, by))}
                onAdd={addSlide}
              />
            )}
          </div>
        )}
      </div>
    </>
  );
}

/** Keeps the changes of a lesson on the server. */
function useSavedLesson(courseId: string, setId: string, kept: Kept<LessonEdits>) {
  const { message } = App.useApp();
  const { save, saving, problem } = useSaving();
  const saveAll = () =>
    save(
      () =>
        call('PUT /api/courses/{courseId}/lessons/{setId}', {
          params: { courseId, setId },
          body: wholeEdits(kept.value),
        }),
      {
        done: () => {
          kept.settle(kept.value);
          void message.success(t`The lesson is saved.`);
        },
        stale: [['lesson', courseId, setId]],
      },
    );
  return { saveAll, saving, problem };
}

/** The set, what its lesson takes, and what can be done with it. */
function Head({ course, lesson, stops }: { course: WholeCourse; lesson: LessonAnswer; stops: LessonStop[] }) {
  return (
    <div className={styles['lesson-head']}>
      <h2>{lesson.title}</h2>
      <span className="quiet">
        <Trans>
          {lesson.week === null ? t`in no week yet` : t`week ${lesson.week}`} · {shownOf(stops).length}{' '}
          points, about {minutesOf(stops)} minutes
        </Trans>
      </span>
      <Out course={course} lesson={lesson} />
      <Link className={styles['show']} to={`/show/${course.id}/${lesson.setId}`}>
        <Trans>Show it</Trans>
      </Link>
    </div>
  );
}

/** The lesson on slides and on paper. */
function Out({ course, lesson }: { course: WholeCourse; lesson: LessonAnswer }) {
  const at = `/api/courses/${course.id}/lessons/${lesson.setId}`;
  return (
    <span className={styles['out']}>
      <Trans>
        Slides <a href={`${at}/slides.pptx?shape=wide`}>16:9</a> ·{' '}
        <a href={`${at}/slides.pptx?shape=classic`}>4:3</a>
        {' — '}Handout{' '}
        <a href={`${at}/handout.pdf?paper=letter`} target="_blank" rel="noreferrer">
          Letter
        </a>{' '}
        ·{' '}
        <a href={`${at}/handout.pdf?paper=a4`} target="_blank" rel="noreferrer">
          A4
        </a>{' '}
        ·{' '}
        <a
          href={`${at}/handout.pdf?paper=letter&audience=${course.audience === 'plain' ? 'technical' : 'plain'}`}
          target="_blank"
          rel="noreferrer"
        >
          {course.audience === 'plain' ? t`in terms` : t`in plain words`}
        </a>
      </Trans>
    </span>
  );
}

interface PointsProps {
  stops: LessonStop[];
  chosen: string | undefined;
  onChoose(key: string): void;
}

/** All points in their order, each by what it is about and how its line begins. */
function Points({ stops, chosen, onChoose }: PointsProps) {
  const { profileOf } = useLibrary();
  const treeOf = (stop: LessonStop) => (stop.kind === 'tree' ? stop.taxa[0] : undefined);
  return (
    <ol className={styles['points']} aria-label={t`Points of the lesson`}>
      {stops.map((stop, i) => {
        const tree = treeOf(stop);
        const begins = tree !== undefined && (i === 0 || treeOf(stops[i - 1]!) !== tree);
        const profiled = tree === undefined ? undefined : profileOf(tree);
        return (
          <li key={stop.key}>
            {begins && profiled && <h3>{upperFirst(commonName(profiled.taxon))}</h3>}
            <button
              type="button"
              aria-current={stop.key === chosen}
              data-hidden={stop.hidden}
              onClick={() => onChoose(stop.key)}
            >
              <span>{titleSaid(stop)}</span>
              <small>
                {stop.outdated ? '! ' : ''}
                {stop.hidden ? t`hidden` : stop.words}
              </small>
            </button>
          </li>
        );
      })}
    </ol>
  );
}

interface PointFormProps {
  stop: LessonStop;
  photos: LessonPhotos;
  note: string;
  /** Of a slide of one's own. */
  title: string | undefined;
  change(next: (edits: LessonEdits) => LessonEdits): void;
  onMove(by: 1 | -1): void;
  onAdd(): void;
}

/** What can be changed in a point: its words, its place, whether it is shown, a note for who speaks. */
function PointForm({ stop, photos, note, title, change, onMove, onAdd }: PointFormProps) {
  return (
    <div className={styles['form']}>
      {title !== undefined && (
        <label>
          <Trans>Title</Trans>
          <input
            value={title}
            onChange={(event) =>
              change((edits) => ({
                ...edits,
                own: edits.own.map((slide) =>
                  slide.key === stop.key ? { ...slide, title: event.target.value } : slide,
                ),
              }))
            }
          />
        </label>
      )}
      {stop.kind !== 'recap' && (
        <label>
          <Trans>In your words</Trans>
          <textarea
            rows={3}
            value={stop.words}
            onChange={(event) => change((edits) => reworded(edits, stop, event.target.value))}
          />
        </label>
      )}
      {stop.generated !== undefined && (
        <p className={stop.outdated ? 'rust' : 'quiet'}>
          {stop.outdated ? t`The scores have changed since; they say now: ` : t`From the scores: `}“
          {stop.generated}”{' '}
          <LinkButton onClick={() => change((edits) => reworded(edits, stop, ''))}>
            <Trans>Take that</Trans>
          </LinkButton>
          {stop.outdated && (
            <>
              {' · '}
              <LinkButton onClick={() => change((edits) => acknowledged(edits, stop))}>
                <Trans>Keep mine</Trans>
              </LinkButton>
            </>
          )}
        </p>
      )}
      {stop.kind !== 'recap' && stop.taxa.length > 0 && (
        <PhotoChoices
          stop={stop}
          of={photos}
          onChoose={(id) => change((edits) => pictured(edits, stop.key, id))}
        />
      )}
      <label>
        <Trans>Note for who speaks</Trans>
        <textarea
          rows={2}
          value={note}
          onChange={(event) => change((edits) => noted(edits, stop.key, event.target.value))}
        />
      </label>
      <p>
        <LinkButton onClick={() => change((edits) => hid(edits, stop.key))}>
          {stop.hidden ? t`Show this point` : t`Hide this point`}
        </LinkButton>{' '}
        ·{' '}
        <LinkButton onClick={() => onMove(-1)}>
          <Trans>earlier</Trans>
        </LinkButton>{' '}
        ·{' '}
        <LinkButton onClick={() => onMove(1)}>
          <Trans>later</Trans>
        </LinkButton>{' '}
        ·{' '}
        <LinkButton onClick={onAdd}>
          <Trans>add a slide of my own after it</Trans>
        </LinkButton>
        {stop.kind === 'own' && (
          <>
            {' '}
            ·{' '}
            <LinkButton onClick={() => change((edits) => withoutSlide(edits, stop.key))}>
              <Trans>take it out</Trans>
            </LinkButton>
          </>
        )}
      </p>
    </div>
  );
}
