import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { BUILT_IN, type Character, type State } from '@hurrow/core/vocabulary';
import { call } from '../app/api.ts';
import { Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import { useDraft } from '../app/useDraft.ts';
import { useSaving } from '../app/useSaving.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { CharacterFields } from './CharacterFields.tsx';
import { characterOf, hasStates, takingAway, usesInWords, withState } from './characterDraft.ts';
import { useSaved } from './useSaved.tsx';
import styles from './library.module.css';

interface Props {
  character: Character;
  isNew: boolean;
  isOwn: boolean;
  revision: number;
  onSaved(id: string): void;
}

/** One character with its words, its standing, states and misread rates, as a draft that is kept until it is saved. */
export function CharacterForm(props: Props) {
  const { character, isNew, isOwn } = props;
  const { draft, setDraft, uses, problem, broughtBack, reset, save, takeAway } = useCharacterForm(props);
  return (
    <div className={styles['own-character']}>
      <h1>{isNew ? t`New character` : character.term}</h1>
      <p className="quiet">
        {isNew
          ? t`It can be scored at once, and takes part in contrasts and quizzes like any other.`
          : usesInWords(uses)}
      </p>
      <BroughtBack at={broughtBack} onGiveUp={reset} />
      {problem && <Problem>{problem}</Problem>}
      <CharacterFields draft={draft} isNew={isNew} onChange={setDraft} />
      {hasStates(draft) && (
        <States
          states={draft.states}
          onChange={(i, part, text) => setDraft(withState(draft, i, part, text))}
        />
      )}
      <p className={ui['profile-tools']}>
        {hasStates(draft) && (
          <Button onClick={() => setDraft(withState(draft, draft.states.length, 'term', ''))}>
            <Trans>Add a state</Trans>
          </Button>
        )}
        <Button type="primary" disabled={!draft.term.trim()} onClick={() => void save()}>
          <Trans>Save</Trans>
        </Button>
        {isOwn && !isNew && (
          <Button danger onClick={() => void takeAway()}>
            {takingAway(BUILT_IN.has(character.id), uses)}
          </Button>
        )}
      </p>
    </div>
  );
}

function useCharacterForm({ character, isNew, revision, onSaved }: Props) {
  const saved = useSaved();
  const { draft, setDraft, base, settle, broughtBack, reset } = useDraft(
    `character/${isNew ? 'new' : character.id}`,
    isNew ? 'New character' : `Character: ${character.term}`,
    character,
    revision,
  );
  const saving = useSaving();
  const uses = useQuery({
    queryKey: ['library', 'uses', character.id, revision],
    queryFn: () =>
      call('GET /api/library/characters/{characterId}/uses', { params: { characterId: character.id } }),
    enabled: !isNew,
  }).data;
  const save = async () => {
    const body = characterOf(draft);
    await saving.save(
      () =>
        call('PUT /api/library/characters/{characterId}', {
          params: { characterId: body.id },
          body: { character: body, baseRevision: base },
        }),
      {
        done: async ({ revision: now }) => {
          await saved(t`${draft.term} is saved.`, now);
          settle(now);
          onSaved(body.id);
        },
      },
    );
  };
  const takeAway = () =>
    saving.save(
      () => call('DELETE /api/library/characters/{characterId}', { params: { characterId: character.id } }),
      { done: ({ revision: now }) => saved(t`${character.term} is taken away.`, now) },
    );
  return { draft, setDraft, uses, problem: saving.problem, broughtBack, reset, save, takeAway };
}

function States({
  states,
  onChange,
}: {
  states: readonly State[];
  onChange(i: number, part: 'term' | 'plain' | 'definition', text: string): void;
}) {
  return (
    <table className={styles['doubts-table']}>
      <thead>
        <tr>
          <th scope="col">
            <Trans>State</Trans>
          </th>
          <th scope="col">
            <Trans>Plain words</Trans>
          </th>
          <th scope="col">
            <Trans>Definition</Trans>
          </th>
        </tr>
      </thead>
      <tbody>
        {states.map((state, i) => (
          <tr key={i}>
            {(['term', 'plain', 'definition'] as const).map((part) => (
              <td key={part}>
                <input
                  aria-label={t`${part} of state ${i + 1}`}
                  value={state[part]}
                  onChange={(event) => onChange(i, part, event.target.value)}
                />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
