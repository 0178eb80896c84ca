import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Course } from '@hurrow/contract/courses';
import { type LessonStop } from '@hurrow/core/lesson';
import { commonName } from '@hurrow/core/taxon';
import { messageOf } from '../app/api.ts';
import { courseQuery, useLibrary } from '../app/data.ts';
import { Opening, Problem } from '../app/parts.tsx';
import { useConfusions } from '../confusions/useConfusions.ts';
import { dayOfLesson, lessonQuery, rangesQuery } from './lessonQuery.ts';
import { usePhotosAlong, type LessonPhotos } from './PointPhotos.tsx';
import { Sheet } from './Sheet.tsx';
import { clock, shownOf, titleSaid } from './showing.ts';
import { useShowing } from './useShowing.ts';
import styles from './lessons.module.css';
import { upperFirst } from '@hurrow/core/words';
import { withinSentence } from '../language/inWords.ts';

/** The lesson of a set before a class: the sheet alone, or with `presenter` what the one who speaks sees in a second window. */
export default function Showing({ presenter = false }: { presenter?: boolean }) {
  const { courseId = '', setId = '' } = useParams();
  const course = useQuery(courseQuery(courseId));
  const lesson = useQuery(lessonQuery(courseId, setId));
  const { library } = useLibrary();
  // What the sheets draw from is there before the first is shown: from then on nothing is asked for.
  useQuery(rangesQuery);
  if (!course.data || !lesson.data || !library) {
    const error = course.error ?? lesson.error;
    return error ? (
      <Problem>{messageOf(error)}</Problem>
    ) : (
      <Opening>
        <Trans>Opening the lesson…</Trans>
      </Opening>
    );
  }
  const stops = shownOf(lesson.data.stops);
  const home = `/c/${courseId}/course/lesson/${setId}`;
  if (stops.length === 0)
    return (
      <Problem>
        <Trans>
          Every point of this lesson is hidden. <Link to={home}>Show some of them.</Link>
        </Trans>
      </Problem>
    );
  const Window = presenter ? Presenter : Screen;
  return (
    <Window
      course={course.data}
      id={setId}
      home={home}
      second={`/show/${courseId}/${setId}/presenter`}
      stops={stops}
      photos={{ courseId, setId, all: lesson.data.photos, units: course.data.units }}
      day={dayOfLesson(course.data, lesson.data.week)}
    />
  );
}

/** A lesson as it is shown, in either window. */
export interface ShowingProps {
  course: Course;
  /** Names the lesson to every window that shows it. */
  id: string;
  /** Where the lesson is made, and where its presenter’s window is. */
  home: string;
  second: string;
  stops: LessonStop[];
  photos: LessonPhotos;
  day: number;
}

/** What the class sees. Pressed on the right half it goes on, on the left half back. */
export function Screen({ course, id, home, second, stops, photos, day }: ShowingProps) {
  usePhotosAlong(photos, stops);
  const { shown, go } = useShowing(id, stops, true);
  const frame = useRef<HTMLDivElement>(null);
  const [shape, setShape] = useState<'wide' | 'classic'>('wide');
  const navigate = useNavigate();
  useEffect(() => frame.current?.focus(), []);
  const stop = stops[shown.at] ?? stops[0]!;
  return (
    <div className={styles['screen']} data-shape={shape} data-blank={shown.blank} ref={frame} tabIndex={-1}>
      <div
        className={styles['stage']}
        role="presentation"
        onClick={({ clientX }) => go(clientX < window.innerWidth / 3 ? 'back' : 'on')}
      >
        {!shown.blank && (
          <Sheet course={course} stop={stop} day={day} shape={shape} asked={!shown.told} photos={photos} />
        )}
      </div>
      <Strip stops={stops} at={shown.at} onJump={(to) => go({ to })} />
      <nav className={styles['controls']} aria-label={t`Showing`}>
        <button onClick={() => go('back')}>
          <Trans>Back</Trans>
        </button>
        <button onClick={() => go('on')}>{shown.told ? t`On` : t`Tell`}</button>
        <button onClick={() => go('blank')} aria-pressed={shown.blank}>
          <Trans>Blank (b)</Trans>
        </button>
        <button onClick={() => go('ask')} aria-pressed={shown.asking}>
          <Trans>Ask first (a)</Trans>
        </button>
        <button onClick={() => setShape(shape === 'wide' ? 'classic' : 'wide')}>
          {shape === 'wide' ? '4:3' : '16:9'}
        </button>
        <button onClick={() => void frame.current?.requestFullscreen?.()}>
          <Trans>Full screen</Trans>
        </button>
        <a href={second} target="_blank" rel="noreferrer">
          <Trans>Presenter’s window</Trans>
        </a>
        <button onClick={() => void navigate(home)}>
          <Trans>Leave</Trans>
        </button>
      </nav>
      <p className="visually-hidden" aria-live="polite">
        <Trans>
          Point {shown.at + 1} of {stops.length}: {titleSaid(stop)}. {shown.told ? stop.words : stop.ask}
        </Trans>
      </p>
    </div>
  );
}

/** The points as a thin line of marks: those behind, this one, those to come; a longer mark where another tree begins. */
function Strip({ stops, at, onJump }: { stops: LessonStop[]; at: number; onJump(to: number): void }) {
  return (
    <div className={styles['strip']} role="group" aria-label={t`Jump to a point`}>
      {stops.map((stop, i) => (
        <button
          key={stop.key}
          aria-label={`${i + 1}: ${titleSaid(stop)}`}
          aria-current={i === at}
          data-behind={i < at}
          data-begins={i > 0 && stops[i - 1]!.taxa[0] !== stop.taxa[0]}
          onClick={() => onJump(i)}
        />
      ))}
    </div>
  );
}

/** What the one who speaks sees: the line, the note, the next, the clock, and what the class takes these trees for. */
export function Presenter({ course, id, stops, photos, day }: ShowingProps) {
  usePhotosAlong(photos, stops);
  const { shown, go } = useShowing(id, stops, false);
  const { pairs } = useConfusions(course.id);
  const { profileOf } = useLibrary();
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    const began = Date.now();
    const timer = window.setInterval(() => setSeconds((Date.now() - began) / 1000), 1000);
    return () => window.clearInterval(timer);
  }, []);
  const stop = stops[shown.at] ?? stops[0]!;
  const next = stops[shown.at + 1];
  const name = (id: string) => {
    const found = profileOf(id);
    return found ? commonName(found.taxon) : id;
  };
  const mixed = pairs
    .filter(({ a, b, count }) => count > 1 && (stop.taxa.includes(a) || stop.taxa.includes(b)))
    .slice(0, 3);
  return (
    <main className={styles['presenter']}>
      <header>
        <strong>{clock(seconds)}</strong>
        <span>
          <Trans>
            point {shown.at + 1} of {stops.length}
          </Trans>
        </span>
        {shown.blank && (
          <span className="gold">
            <Trans>the sheet is blank</Trans>
          </span>
        )}
        {!shown.told && (
          <span className="gold">
            <Trans>asked, not told yet</Trans>
          </span>
        )}
      </header>
      <section>
        <h1>
          {stop.kind === 'tree'
            ? `${upperFirst(name(stop.taxa[0]!))}: ${withinSentence(titleSaid(stop))}`
            : titleSaid(stop)}
        </h1>
        <p className={styles['words']}>{stop.words}</p>
        {stop.ask && (
          <p className="quiet">
            <Trans>Ask: {stop.ask}</Trans>
          </p>
        )}
        {stop.look && <p className={styles['look']}>{stop.look}</p>}
        {stop.note && <p className={styles['note']}>{stop.note}</p>}
        {mixed.map(({ a, b, count }) => (
          <p key={`${a} ${b}`} className="rust">
            <Trans>
              They mix up {name(a)} and {name(b)}: {count} answers.
            </Trans>
          </p>
        ))}
      </section>
      <aside aria-label={t`Next`}>
        <h2>
          <Trans>Next</Trans>
        </h2>
        {next ? (
          <div className={styles['preview']}>
            <Sheet course={course} stop={next} day={day} shape="wide" photos={photos} />
          </div>
        ) : (
          <p>
            <Trans>That was the last point.</Trans>
          </p>
        )}
      </aside>
      <nav className={styles['controls']} aria-label={t`Showing`}>
        <button onClick={() => go('back')}>
          <Trans>Back</Trans>
        </button>
        <button onClick={() => go('on')}>{shown.told ? t`On` : t`Tell`}</button>
        <button onClick={() => go('blank')}>
          <Trans>Blank (b)</Trans>
        </button>
        <button onClick={() => go('ask')} aria-pressed={shown.asking}>
          <Trans>Ask first (a)</Trans>
        </button>
      </nav>
    </main>
  );
}
