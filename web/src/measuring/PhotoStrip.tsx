import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Photo } from '@hurrow/contract/photos';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { useVocabulary } from '../app/data.ts';
import { MarkedPhoto } from './MarkedPhoto.tsx';
import { photosQuery } from './photosQuery.ts';
import styles from './photoStrip.module.css';

/** The photos of a taxon in its profile, with their marks and their credit. */
export function PhotoStrip({ taxonId, to }: { taxonId: string; to: string }) {
  const photos = useQuery(photosQuery(taxonId)).data?.photos ?? [];
  if (photos.length === 0) return null;
  return (
    <div className={styles['photo-strip']}>
      {photos.slice(0, 4).map((photo) => (
        <Link key={photo.id} to={to}>
          <Picture photo={photo} />
        </Link>
      ))}
    </div>
  );
}

/** The photos of a taxon to choose one from, which is then shown large beside something. */
export function PhotoChoice({
  photos,
  chosen,
  onChoose,
}: {
  photos: readonly Photo[];
  chosen: string | undefined;
  onChoose(id: string | undefined): void;
}) {
  return (
    <div className={styles['photo-strip']}>
      {photos.map((photo, i) => (
        <button
          key={photo.id}
          aria-pressed={photo.id === chosen}
          aria-label={t`Lay beside the drawing: ${photo.record.caption ?? t`photo ${i + 1}`}`}
          onClick={() => onChoose(photo.id === chosen ? undefined : photo.id)}
        >
          <Picture photo={photo} />
        </button>
      ))}
    </div>
  );
}

/** One photo, large, with what it is of and whose it is. */
export function LargePhoto({ photo }: { photo: Photo }) {
  const { caption, credit, licence } = photo.record;
  return (
    <figure className={styles['large-photo']}>
      <Picture photo={photo} size="screen" />
      <figcaption>
        {caption ?? t`No caption yet`}.{' '}
        <span className="quiet">{credit ? `${credit}, ${licence || t`no licence`}` : t`No credit yet`}</span>
      </figcaption>
    </figure>
  );
}

/** For a contrast: the photos on which a mark shows one of these characters. */
export function PhotosThatShow({ taxonId, characters }: { taxonId: string; characters: readonly string[] }) {
  const vocabulary = useVocabulary();
  const photos = useQuery(photosQuery(taxonId)).data?.photos ?? [];
  const showing = photos.flatMap((photo) => {
    const marks = photo.record.annotations.filter((mark) => characters.includes(mark.characterId ?? ''));
    const shown = [...new Set(marks.map((mark) => vocabulary.get(mark.characterId!)?.term ?? ''))];
    return marks.length > 0 ? [{ photo, shown }] : [];
  });
  if (showing.length === 0) return null;
  return (
    <div className={styles['photo-strip']}>
      {showing.slice(0, 3).map(({ photo, shown }) => (
        <figure key={photo.id}>
          <Picture photo={photo} />
          <figcaption className="quiet">
            <Trans>shows {shown.join(', ')}</Trans>
          </figcaption>
        </figure>
      ))}
    </div>
  );
}

function Picture({ photo, size = 'thumb' }: { photo: Photo; size?: 'thumb' | 'screen' }) {
  const { caption, organ } = photo.record;
  return (
    <MarkedPhoto
      photo={photo}
      href={`/api/library/photos/${photo.id}/${size}`}
      label={caption ?? t`Photo of ${organ}`}
    />
  );
}
