import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Photo } from '@hurrow/contract/photos';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { call, messageOf } from '../app/api.ts';
import styles from './measuring.module.css';
import ui from '../app/parts.module.css';

interface PhotoListProps {
  taxonId: string;
  photos: readonly Photo[];
  open: string | undefined;
  onOpen(id: string): void;
}

/** Sends pictures one by one; what is refused is named, and the others go on. */
function useSending(taxonId: string, keepPosition: boolean, onSent: (id: string) => void) {
  const queries = useQueryClient();
  const [sending, setSending] = useState<{ done: number; all: number }>();
  const [problems, setProblems] = useState<string[]>([]);
  const send = async (files: readonly File[]) => {
    const pictures = files.filter((file) => file.type.startsWith('image/'));
    const failed = files
      .filter((file) => !pictures.includes(file))
      .map((file) => t`${file.name} is no picture and was left out.`);
    for (const [i, file] of pictures.entries()) {
      setSending({ done: i, all: pictures.length });
      try {
        const { id } = await call('POST /api/library/taxa/{taxonId}/photos', {
          params: { taxonId },
          query: { keepPosition },
          body: file,
        });
        onSent(id);
      } catch (error) {
        failed.push(`${file.name}: ${messageOf(error)}`);
      }
    }
    setSending(undefined);
    setProblems(failed);
    await queries.invalidateQueries({ queryKey: ['photos', taxonId] });
    await queries.invalidateQueries({ queryKey: ['sheets', taxonId] });
  };
  return { send, sending, problems };
}

/** The photos of a taxon, and new ones by drop, camera, file or folder. */
export function PhotoList({ taxonId, photos, open, onOpen }: PhotoListProps) {
  const [keep, setKeep] = useState(false);
  const { send, sending, problems } = useSending(taxonId, keep, onOpen);
  const chosen = (event: React.ChangeEvent<HTMLInputElement>) => {
    void send([...(event.target.files ?? [])]);
    event.target.value = '';
  };
  return (
    <nav
      className={styles['photo-list']}
      aria-label={t`Photos`}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        void send([...event.dataTransfer.files]);
      }}
    >
      {photos.map((photo, i) => (
        <button
          key={photo.id}
          aria-current={photo.id === open ? 'true' : undefined}
          onClick={() => onOpen(photo.id)}
        >
          <img
            src={`/api/library/photos/${photo.id}/thumb`}
            alt={photo.record.caption ?? t`Photo ${i + 1}`}
          />
          <span>
            {photo.record.organ}
            {photo.record.credit ? '' : t` · no credit yet`}
          </span>
        </button>
      ))}
      <div className={styles['photo-add']}>
        <p>
          <Trans>Drop pictures here, or</Trans>
        </p>
        <label className={styles['file-press']}>
          <Trans>choose files</Trans>
          <input type="file" accept="image/*" multiple onChange={chosen} />
        </label>
        <label className={styles['file-press']}>
          <Trans>take one</Trans>
          <input type="file" accept="image/*" capture="environment" onChange={chosen} />
        </label>
        <label className={styles['file-press']}>
          <Trans>a folder</Trans>
          <input type="file" multiple {...{ webkitdirectory: '' }} onChange={chosen} />
        </label>
        <label>
          <input type="checkbox" checked={keep} onChange={(event) => setKeep(event.target.checked)} />{' '}
          <Trans>keep where it was taken (rounded for protected trees)</Trans>
        </label>
        {sending && (
          <p role="status">
            <Trans>
              Sending {sending.done + 1} of {sending.all}…
            </Trans>
          </p>
        )}
        {problems.map((problem) => (
          <p className={ui['row-problem']} role="alert" key={problem}>
            {problem}
          </p>
        ))}
      </div>
    </nav>
  );
}
