import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Photo } from '@hurrow/contract/photos';
import { useQueries, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { MOST_PHOTOS, type LessonStop } from '@hurrow/core/lesson';
import { commonName } from '@hurrow/core/taxon';
import { useLibrary } from '../app/data.ts';
import { MarkedPhoto } from '../measuring/MarkedPhoto.tsx';
import { lessonPhotoQuery, photosOf, stayingSaid } from './lessonPhotos.ts';
import styles from './lessons.module.css';

/** Which lesson photos belong to, and those that it may show. */
export interface LessonPhotos {
  courseId: string;
  setId: string;
  all: readonly Photo[];
  units: 'metric' | 'imperial';
}

/** The photos of a point, in the place of its drawing. */
export function Photos({ shown, of }: { shown: readonly Photo[]; of: LessonPhotos }) {
  return (
    <div className={styles['photos']} data-two={shown.length > 1}>
      {shown.map((photo) => (
        <figure key={photo.id}>
          <OnePhoto photo={photo} of={of} />
          <figcaption>
            {[photo.record.caption, photo.record.credit && `${photo.record.credit}, ${photo.record.licence}`]
              .filter(Boolean)
              .join('. ')}
          </figcaption>
        </figure>
      ))}
    </div>
  );
}

function OnePhoto({ photo, of: { courseId, setId, units } }: { photo: Photo; of: LessonPhotos }) {
  const href = useQuery(lessonPhotoQuery(courseId, setId, photo.id)).data;
  if (!href) return null;
  const label = photo.record.caption ?? t`Photo of ${photo.record.organ}`;
  return <MarkedPhoto photo={photo} href={href} label={label} units={units} />;
}

/** Brings all photos that a lesson shows into this page, so that it goes on without the server. */
export function usePhotosAlong(of: LessonPhotos, stops: readonly LessonStop[]): void {
  const shown = stops.flatMap((stop) => photosOf(stop, of.all));
  const ids = [...new Set(shown.map(({ id }) => id))];
  useQueries({ queries: ids.map((id) => lessonPhotoQuery(of.courseId, of.setId, id)) });
}

interface ChoiceProps {
  stop: LessonStop;
  of: LessonPhotos;
  onChoose(photoId: string): void;
}

/** The photos of a point's trees to choose from: they stand in the place of its drawing. */
export function PhotoChoices({ stop, of, onChoose }: ChoiceProps) {
  const { profileOf } = useLibrary();
  const chosen = photosOf(stop, of.all);
  const staying = stayingSaid(chosen);
  const trees = stop.taxa.flatMap((id) => profileOf(id)?.taxon ?? []);
  const choices = of.all.filter(({ taxonId }) => stop.taxa.includes(taxonId));
  return (
    <div className={styles['choices']} role="group" aria-label={t`Photos in the place of the drawing`}>
      <span>
        {choices.length === 0
          ? t`No photo yet to stand here.`
          : t`Photo in the place of the drawing${choices.length > 1 ? t`, ${MOST_PHOTOS} at most side by side` : ''}`}{' '}
        {trees.map((taxon) => (
          <Link key={taxon.id} to={`/c/${of.courseId}/species/${taxon.id}/measuring`}>
            <Trans>Photos of {commonName(taxon)}, with arrows and a rule</Trans>
          </Link>
        ))}
      </span>
      {choices.length > 0 && (
        <div className={styles['thumbs']}>
          {choices.map((photo, i) => (
            <button
              key={photo.id}
              type="button"
              aria-pressed={chosen.includes(photo)}
              aria-label={t`Show the photo: ${photo.record.caption ?? t`photo ${i + 1}`}`}
              onClick={() => onChoose(photo.id)}
            >
              <MarkedPhoto photo={photo} href={`/api/library/photos/${photo.id}/thumb`} label="" />
            </button>
          ))}
        </div>
      )}
      {staying && <span className="gold">{staying}</span>}
    </div>
  );
}
