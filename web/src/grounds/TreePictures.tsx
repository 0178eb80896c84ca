import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { MOST_TREE_PICTURES } from '@hurrow/contract/limits';
import type { KeptTree, WholeGrounds } from '@hurrow/contract/grounds';
import { call } from '../app/api.ts';
import { newId } from '../app/newId.ts';
import { LinkButton, Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import styles from './grounds.module.css';

/** Photographs of a tree: how it stands, and what is in reach. */
export function TreePictures({ whole, tree }: { whole: WholeGrounds; tree: KeptTree }) {
  const { save, saving, problem } = useSaving();
  const own = whole.pictures.filter(({ treeId }) => treeId === tree.id);
  const params = { groundsId: whole.id };
  const add = (file: File) =>
    void save(
      () =>
        call('POST /api/grounds/{groundsId}/trees/{treeId}/pictures/{pictureId}', {
          params: { ...params, treeId: tree.id, pictureId: newId() },
          body: file,
        }),
      { stale: [['grounds']] },
    );
  const drop = (pictureId: string) =>
    void save(
      () =>
        call('DELETE /api/grounds/{groundsId}/pictures/{pictureId}', { params: { ...params, pictureId } }),
      { stale: [['grounds']] },
    );
  return (
    <section className={styles['pictures']} aria-label={t`Photographs of ${tree.tag}`}>
      {own.map(({ id, day, by }) => (
        <figure key={id}>
          <img
            src={`/api/grounds/${whole.id}/pictures/${id}`}
            alt={t`${tree.tag} on ${day}`}
            loading="lazy"
          />
          <figcaption>
            {day}, {by}{' '}
            <LinkButton disabled={saving} onClick={() => drop(id)}>
              <Trans>take out</Trans>
            </LinkButton>
          </figcaption>
        </figure>
      ))}
      {own.length < MOST_TREE_PICTURES && (
        <label>
          {saving ? t`Sending the photograph…` : t`Add a photograph`}
          <input
            type="file"
            accept="image/*"
            disabled={saving}
            onChange={({ target }) => {
              const [file] = target.files ?? [];
              if (file) add(file);
              target.value = '';
            }}
          />
        </label>
      )}
      {problem && <Problem>{problem}</Problem>}
    </section>
  );
}
