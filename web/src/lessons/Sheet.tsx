import { t } from '@lingui/core/macro';
import type { Course } from '@hurrow/contract/courses';
import { useQuery } from '@tanstack/react-query';
import { lazy, memo, Suspense, useMemo } from 'react';
import {
  drawingOfStop,
  drawingOfTree,
  type DrawingSetting,
  type LessonStop,
  type Recalled,
} from '@hurrow/core/lesson';
import { readLibrary } from '@hurrow/core/library';
import { characterName } from '@hurrow/core/score';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { useLibrary } from '../app/data.ts';
import { DrawingSvg } from '../app/Drawings.tsx';
import { photosOf } from './lessonPhotos.ts';
import { rangesQuery } from './lessonQuery.ts';
import { Photos, type LessonPhotos } from './PointPhotos.tsx';
import styles from './lessons.module.css';
import { upperFirst } from '@hurrow/core/words';
import { titleSaid } from './showing.ts';

const StillMap = lazy(() => import('../range/StillMap.tsx').then(({ StillMap }) => ({ default: StillMap })));

/** Pixels in which a drawing is laid out; it is shown at whatever size there is room for. */
const FRAME = { wide: { width: 820, height: 560 }, classic: { width: 640, height: 560 } };
const RECALLED = { width: 300, height: 260 };

export interface SheetProps {
  course: Course;
  stop: LessonStop;
  /** Day of the year of the lesson. */
  day: number;
  shape: 'wide' | 'classic';
  /** The line is held back: the question stands in its place. */
  asked?: boolean;
  photos: LessonPhotos;
}

/** One point of a lesson: one large drawing, one line. */
export const Sheet = memo(function Sheet({ course, stop, day, shape, asked = false, photos }: SheetProps) {
  const shown = photosOf(stop, photos.all);
  if (stop.kind === 'recap') return <Recap course={course} stop={stop} day={day} asked={asked} />;
  return (
    <div
      className={styles['sheet']}
      data-words-only={shown.length === 0 && stop.shows.length === 0 && stop.topic !== 'place'}
    >
      <div className={styles['picture']}>
        {shown.length > 0 ? (
          <Photos shown={shown} of={photos} />
        ) : (
          <Picture course={course} stop={stop} day={day} shape={shape} asked={asked} />
        )}
      </div>
      <div className={styles['said']}>
        <Heading stop={stop} asked={asked} />
        {asked ? (
          <p className={styles['ask']}>{stop.ask ?? t`What do you see?`}</p>
        ) : (
          <>
            <p className={styles['words']} data-long={stop.words.length > 150}>
              {stop.words}
            </p>
            {stop.look && <p className={styles['look']}>{stop.look}</p>}
          </>
        )}
      </div>
    </div>
  );
});

/** Whose point it is; while it is asked which tree this is, no name stands there. */
function Heading({ stop, asked }: { stop: LessonStop; asked: boolean }) {
  const { profileOf } = useLibrary();
  const tree = stop.kind === 'tree' ? profileOf(stop.taxa[0]!)?.taxon : undefined;
  const title = titleSaid(stop);
  if (!tree || (asked && stop.topic === 'name')) return <h2>{title}</h2>;
  return (
    <h2>
      {upperFirst(commonName(tree))} <span className="latin">{scientificName(tree)}</span>
      <small>{title}</small>
    </h2>
  );
}

function useSetting(
  course: Course,
  day: number,
  size: { width: number; height: number },
): DrawingSetting | undefined {
  const { library, vocabulary } = useLibrary();
  return useMemo(
    () =>
      library && {
        vocabulary,
        units: course.units,
        reference: library.reference,
        site: course,
        day,
        ...size,
      },
    [library, vocabulary, course, day, size],
  );
}

function Picture({ course, stop, day, shape, asked = false }: Omit<SheetProps, 'photos'>) {
  const { library } = useLibrary();
  const setting = useSetting(course, day, FRAME[shape]);
  const range = useQuery({ ...rangesQuery, enabled: stop.topic === 'place' }).data?.ranges[
    stop.taxa[0] ?? ''
  ];
  const drawing = useMemo(
    () =>
      library &&
      setting &&
      drawingOfStop(stop, readLibrary(library).profilesOf(stop.taxa), setting, course.audience, asked),
    [stop, setting, library, course.audience, asked],
  );
  if (stop.topic === 'place' && range && Object.keys(range.cells).length > 0)
    return (
      <Suspense>
        <StillMap range={range} site={course} />
      </Suspense>
    );
  return drawing ? (
    <DrawingSvg
      drawing={drawing}
      label={asked ? t`A drawn specimen` : t`${titleSaid(stop)}, drawn from the scores`}
    />
  ) : null;
}

/** One row: each tree with its one mark under it. */
function Recap({ course, stop, day, asked }: Omit<SheetProps, 'shape' | 'photos'>) {
  return (
    <div className={styles['recap']}>
      <h2>{titleSaid(stop)}</h2>
      <div className={styles['row']}>
        {(stop.each ?? []).map((each) => (
          <Recollection key={each.taxonId} course={course} each={each} day={day} asked={asked ?? false} />
        ))}
      </div>
    </div>
  );
}

function Recollection({
  course,
  each,
  day,
  asked,
}: {
  course: Course;
  each: Recalled;
  day: number;
  asked: boolean;
}) {
  const { profileOf, vocabulary } = useLibrary();
  const profiled = profileOf(each.taxonId);
  const setting = useSetting(course, day, RECALLED);
  const drawing = useMemo(() => {
    if (!profiled || !setting) return undefined;
    const { characterId, shows } = each;
    const name = characterId && vocabulary.get(characterId);
    const label = name && !asked ? { characterId, text: characterName(name, course.audience) } : undefined;
    return drawingOfTree(profiled, shows, setting, label);
  }, [profiled, setting, each, asked, vocabulary, course.audience]);
  if (!profiled) return null;
  return (
    <figure>
      {drawing && <DrawingSvg drawing={drawing} label={commonName(profiled.taxon)} />}
      <figcaption>
        <strong>{upperFirst(commonName(profiled.taxon))}</strong>
        <span>{asked ? '?' : each.words}</span>
      </figcaption>
    </figure>
  );
}
