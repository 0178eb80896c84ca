import { t } from '@lingui/core/macro';
import { inTongue } from '../language/inTongue.ts';
import { Trans } from '@lingui/react/macro';
import { Button } from 'antd';
import { LICENCES, mayLeave, type Annotation, type PhotoRecord } from '@hurrow/core/measurement';
import type { ShownOrgan } from '@hurrow/core/vocabulary';
import { organTitle } from '@hurrow/core/vocabulary';
import { SHOWN_TITLES } from '@hurrow/core/view';
import { call } from '../app/api.ts';
import { useVocabulary } from '../app/data.ts';
import type { useDraft } from '../app/useDraft.ts';
import { useSaved } from '../library/useSaved.tsx';
import styles from './measuring.module.css';
import { Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { toolTitle } from './stage.ts';
import { MONTHS } from '../language/inWords.ts';

type Edit = ReturnType<typeof useDraft<PhotoRecord>>;

/** What is said of a photo: organ, month, credit, licence, and what each mark on it shows. */
export function PhotoDetails({ photoId, edit }: { photoId: string; edit: Edit }) {
  const { draft, changed } = edit;
  const { save, takeOut, problem } = useDetails(photoId, edit);
  const setMark = (i: number, mark: Annotation | undefined) =>
    edit.setDraft((before) => ({
      ...before,
      annotations: before.annotations.flatMap((held, k) => (k !== i ? [held] : mark ? [mark] : [])),
    }));
  return (
    <div className={styles['photo-details']}>
      {problem && <Problem>{problem}</Problem>}
      <Fields edit={edit} />
      {draft.annotations.map((mark, i) => (
        <MarkLine key={i} mark={mark} position={i + 1} onChange={(next) => setMark(i, next)} />
      ))}
      <p>
        <Button type="primary" size="small" disabled={!changed} onClick={() => void save()}>
          <Trans>Save details</Trans>
        </Button>{' '}
        <Button size="small" onClick={() => void takeOut()}>
          <Trans>Take the photo out</Trans>
        </Button>{' '}
        <span className={mayLeave(draft) ? 'quiet' : 'gold'}>
          {mayLeave(draft)
            ? t`With credit and licence it may go into prints.`
            : t`Without credit and licence it stays in the library.`}
        </span>
      </p>
    </div>
  );
}

/** How the details are saved, and the photo taken out. */
function useDetails(photoId: string, { draft, base, settle }: Edit) {
  const saved = useSaved();
  const { save: saving, problem } = useSaving();
  const params = { photoId };
  const save = () =>
    saving(
      () =>
        call('PUT /api/library/photos/{photoId}', { params, body: { record: draft, baseRevision: base } }),
      {
        done: async ({ revision }) => {
          await saved(t`The photo’s details are saved.`, revision);
          settle(revision);
        },
      },
    );
  const takeOut = () =>
    saving(() => call('DELETE /api/library/photos/{photoId}', { params }), {
      done: ({ revision }) => saved(t`The photo is taken out.`, revision),
    });
  return { save, takeOut, problem };
}

function Fields({ edit: { draft, setDraft } }: { edit: Edit }) {
  const set = <K extends keyof PhotoRecord>(key: K, value: PhotoRecord[K]) =>
    setDraft((before) => ({ ...before, [key]: value }));
  return (
    <div className={styles['photo-fields']}>
      <label>
        <Trans>Organ</Trans>
        <select value={draft.organ} onChange={(event) => set('organ', event.target.value as ShownOrgan)}>
          {Object.entries(SHOWN_TITLES).map(([organ, title]) => (
            <option key={organ} value={organ}>
              {inTongue(title)}
            </option>
          ))}
        </select>
      </label>
      <label>
        <Trans>Month</Trans>
        <select
          value={draft.month ?? ''}
          onChange={(event) => {
            const { month, ...rest } = draft;
            setDraft(event.target.value ? { ...rest, month: Number(event.target.value) } : rest);
          }}
        >
          <option value="">
            <Trans>not known</Trans>
          </option>
          {MONTHS.map((month, i) => (
            <option key={month} value={i + 1}>
              {month}
            </option>
          ))}
        </select>
      </label>
      <label>
        <Trans>Credit</Trans>
        <input value={draft.credit} onChange={(event) => set('credit', event.target.value)} />
      </label>
      <label>
        <Trans>Licence</Trans>
        <select
          value={draft.licence}
          onChange={(event) => set('licence', event.target.value as PhotoRecord['licence'])}
        >
          <option value="">
            <Trans>not given</Trans>
          </option>
          {LICENCES.map((licence) => (
            <option key={licence} value={licence}>
              {inTongue(licence)}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}

function MarkLine({
  mark,
  position,
  onChange,
}: {
  mark: Annotation;
  position: number;
  onChange(mark: Annotation | undefined): void;
}) {
  const vocabulary = useVocabulary();
  const character = vocabulary.get(mark.characterId ?? '');
  return (
    <div className={styles['mark-line']}>
      <span>
        {position}. {toolTitle(mark.shape)}
      </span>
      <input
        aria-label={t`Words of mark ${position}`}
        placeholder={t`words on the picture`}
        value={mark.text ?? ''}
        onChange={(event) => onChange({ ...mark, text: event.target.value })}
      />
      <select
        aria-label={t`Character that mark ${position} shows`}
        value={mark.characterId ?? ''}
        onChange={(event) => {
          const { characterId, state, ...rest } = mark;
          onChange(event.target.value ? { ...rest, characterId: event.target.value } : rest);
        }}
      >
        <option value="">
          <Trans>shows no character</Trans>
        </option>
        {[...vocabulary.values()]
          .filter((entry) => !entry.derived)
          .map((entry) => (
            <option key={entry.id} value={entry.id}>
              {inTongue(organTitle(entry.organ))}: {entry.term}
            </option>
          ))}
      </select>
      {character && character.states.length > 0 && (
        <select
          aria-label={t`State that mark ${position} shows`}
          value={mark.state ?? ''}
          onChange={(event) => {
            const { state, ...rest } = mark;
            onChange(event.target.value ? { ...rest, state: event.target.value } : rest);
          }}
        >
          <option value="">
            <Trans>any state</Trans>
          </option>
          {character.states.map((state) => (
            <option key={state.id} value={state.id}>
              {state.term}
            </option>
          ))}
        </select>
      )}
      <button aria-label={t`Remove mark ${position}`} onClick={() => onChange(undefined)}>
        ×
      </button>
    </div>
  );
}
