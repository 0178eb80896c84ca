import { Trans } from '@lingui/react/macro';
import type { Photo } from '@hurrow/contract/photos';
import { Spin } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { commonName } from '@hurrow/core/taxon';
import { call, messageOf } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { useDraft } from '../app/useDraft.ts';
import { Latin } from '../app/Names.tsx';
import { PhotoDetails } from './PhotoDetails.tsx';
import { PhotoList } from './PhotoList.tsx';
import { PhotoStage } from './PhotoStage.tsx';
import { photosQuery } from './photosQuery.ts';
import { Sheet } from './Sheet.tsx';
import { Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import styles from './measuring.module.css';

/** Photos of a taxon, measuring on them, and the sheets that hold what was measured. */
export default function MeasuringPage({ courseId, taxonId }: { courseId: string; taxonId: string }) {
  const { every } = useLibrary();
  const taxon = every.find((profiled) => profiled.taxon.id === taxonId)?.taxon;
  const photos = useQuery(photosQuery(taxonId));
  const sheets = useQuery({
    queryKey: ['sheets', taxonId],
    queryFn: () => call('GET /api/library/taxa/{taxonId}/sheets', { params: { taxonId } }),
    retry: false,
  });
  const [openId, setOpenId] = useState<string>();
  const [characterId, setCharacterId] = useState<string>();
  /** A value read off the photo, on its way into the sheet. */
  const [measured, setMeasured] = useState<{ value: number; key: number }>();
  const failed = photos.error ?? sheets.error;
  if (failed) return <Problem>{messageOf(failed)}</Problem>;
  if (!taxon || !photos.data || !sheets.data) return <Spin className={ui['opening']} />;
  const photo = photos.data.photos.find(({ id }) => id === openId) ?? photos.data.photos[0];
  return (
    <section className={styles['measuring']}>
      <header>
        <h1>
          <Trans>Photos and measurements of {commonName(taxon)}</Trans> <Latin names={taxon} />
        </h1>
        <Link to={`/c/${courseId}/species/${taxon.id}`}>
          <Trans>Profile</Trans>
        </Link>
      </header>
      <PhotoList taxonId={taxonId} photos={photos.data.photos} open={photo?.id} onOpen={setOpenId} />
      <div className={styles['measuring-stage']}>
        {photo ? (
          <PhotoPanel
            key={photo.id}
            photo={photo}
            revision={photos.data.revision}
            characterId={characterId}
            onMeasured={(value) => setMeasured({ value, key: (measured?.key ?? 0) + 1 })}
          />
        ) : (
          <div className={styles['no-photo']}>
            <h2>
              <Trans>No photos yet</Trans>
            </h2>
            <p>
              <Trans>
                Add a picture of a leaf beside a rule or a coin: set the scale on it, then click lengths,
                angles and counts into the sheet. Or type what you measured in the sheet at the right.
              </Trans>
            </p>
          </div>
        )}
      </div>
      <Sheet
        key={characterId ?? ''}
        taxonId={taxonId}
        taxonName={commonName(taxon)}
        sheets={sheets.data.sheets}
        revision={sheets.data.revision}
        characterId={characterId}
        onCharacter={setCharacterId}
        photoId={photo?.id}
        measured={measured}
      />
    </section>
  );
}

interface PhotoPanelProps {
  photo: Photo;
  revision: number;
  characterId: string | undefined;
  onMeasured(value: number): void;
}

/** One photo with what is said of it: marks set on the picture and the details below it are one draft. */
function PhotoPanel({ photo, revision, characterId, onMeasured }: PhotoPanelProps) {
  const edit = useDraft(`photo/${photo.id}`, 'Details of a photo', photo.record, revision);
  return (
    <>
      <PhotoStage
        photo={photo}
        marks={edit.draft.annotations}
        scale={edit.draft.scale}
        onScale={(scale) => edit.setDraft((draft) => ({ ...draft, scale }))}
        characterId={characterId}
        onMeasured={onMeasured}
        onMark={(mark) => edit.setDraft((draft) => ({ ...draft, annotations: [...draft.annotations, mark] }))}
      />
      <PhotoDetails photoId={photo.id} edit={edit} />
    </>
  );
}
