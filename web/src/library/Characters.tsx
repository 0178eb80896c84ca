import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import {
  BUILT_IN,
  ORGANS,
  type Character,
  type CharacterKind,
  type Level,
  type Organ,
  type State,
  type Unit,
} from '@hurrow/core/vocabulary';
import { counted } from '@hurrow/core/words';
import { call } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { useDraft } from '../app/useDraft.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useSaved } from './useSaved.tsx';
import styles from './library.module.css';
import { Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import { useSaving } from '../app/useSaving.ts';
import { characterOf } from './characterDraft.ts';

/** All characters of the library by organ, and one of them with its words, states and misread rates. */
export default function Characters() {
  const { library, vocabulary } = useLibrary();
  const [open, setOpen] = useState('leaf.shape');
  const [fresh, setFresh] = useState<Character>();
  if (!library) return null;
  const character = fresh ?? vocabulary.get(open) ?? vocabulary.get('leaf.shape')!;
  const own = new Set(library.characters.map(({ id }) => id));
  const kindOf = (id: string) => (own.has(id) ? (BUILT_IN.has(id) ? 'changed' : 'own') : '');
  return (
    <section className={styles['characters']}>
      <nav aria-label="Characters">
        <div className={styles['find-character']}>
          <Button size="small" onClick={() => setFresh(blank('leaf'))}>
            New character
          </Button>
        </div>
        {ORGANS.map(({ organ, title }) => (
          <div key={organ}>
            <p className={styles['nav-title']}>{title}</p>
            {[...vocabulary.values()]
              .filter((entry) => entry.organ === organ && !entry.derived)
              .map((entry) => (
                <button
                  key={entry.id}
                  aria-current={!fresh && entry.id === character.id ? 'true' : undefined}
                  onClick={() => {
                    setFresh(undefined);
                    setOpen(entry.id);
                  }}
                >
                  {entry.term} <small>{kindOf(entry.id)}</small>
                </button>
              ))}
          </div>
        ))}
      </nav>
      <CharacterForm
        key={fresh ? 'new' : character.id}
        character={character}
        isNew={fresh !== undefined}
        isOwn={own.has(character.id)}
        revision={library.revision}
        onSaved={(id) => {
          setFresh(undefined);
          setOpen(id);
        }}
      />
    </section>
  );
}

const blank = (organ: Organ): Character => ({
  id: '',
  organ,
  term: '',
  plain: '',
  kind: 'categorical',
  anyOf: false,
  states: [
    { id: '', term: '', plain: '', definition: '' },
    { id: '', term: '', plain: '', definition: '' },
  ],
  requires: [],
  part: organ === 'leaf' || organ === 'needle' ? 'leaves' : 'always',
  distance: 'hand',
  sense: 'eye',
  level: 'intermediate',
  misread: { careful: 0.02, novice: 0.1 },
});

const KINDS: [CharacterKind, boolean, string][] = [
  ['categorical', false, 'one of several states'],
  ['categorical', true, 'states that may occur together'],
  ['ordinal', false, 'steps in order'],
  ['flag', false, 'yes or no'],
  ['measure', false, 'a measure'],
  ['count', false, 'a count'],
];

function CharacterForm({
  character,
  isNew,
  isOwn,
  revision,
  onSaved,
}: {
  character: Character;
  isNew: boolean;
  isOwn: boolean;
  revision: number;
  onSaved(id: string): void;
}) {
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
  const set = <K extends keyof Character>(key: K, value: Character[K]) =>
    setDraft({ ...draft, [key]: value });
  const setState = (i: number, part: keyof State, text: string) =>
    set(
      'states',
      draft.states.map((state, k) => (k === i ? { ...state, [part]: text } : state)),
    );
  const hasStates = draft.kind === 'categorical' || draft.kind === 'ordinal';
  const save = async () => {
    const body = characterOf(draft);
    await saving.save(
      () =>
        call('PUT /api/library/characters/{characterId}', {
          params: { characterId: body.id },
          body: { character: body, baseRevision: base },
        }),
      {
        done: async ({ revision }) => {
          await saved(`${draft.term} is saved.`, revision);
          settle(revision);
          onSaved(body.id);
        },
      },
    );
  };
  const takeAway = () =>
    saving.save(
      () => call('DELETE /api/library/characters/{characterId}', { params: { characterId: character.id } }),
      { done: ({ revision }) => saved(`${character.term} is taken away.`, revision) },
    );
  return (
    <div className={styles['own-character']}>
      <h1>{isNew ? 'New character' : character.term}</h1>
      <p className="quiet">
        {isNew
          ? 'It can be scored at once, and takes part in contrasts and quizzes like any other.'
          : usesInWords(uses)}
      </p>
      <BroughtBack at={broughtBack} onGiveUp={reset} />
      {saving.problem && <Problem>{saving.problem}</Problem>}
      <div className={styles['grid']}>
        <label>
          <span>Technical term</span>
          <input value={draft.term} onChange={(event) => set('term', event.target.value)} />
        </label>
        <label>
          <span>Plain words</span>
          <input value={draft.plain} onChange={(event) => set('plain', event.target.value)} />
        </label>
        <label>
          <span>Level</span>
          <select value={draft.level} onChange={(event) => set('level', event.target.value as Level)}>
            <option value="beginner">beginner</option>
            <option value="intermediate">intermediate</option>
            <option value="advanced">advanced</option>
          </select>
        </label>
        {isNew && (
          <>
            <label>
              <span>Organ</span>
              <select value={draft.organ} onChange={(event) => set('organ', event.target.value as Organ)}>
                {ORGANS.map(({ organ, title }) => (
                  <option key={organ} value={organ}>
                    {title}
                  </option>
                ))}
              </select>
            </label>
            <label>
              <span>What it is</span>
              <select
                value={`${draft.kind} ${draft.anyOf}`}
                onChange={(event) => {
                  const [kind, anyOf] = event.target.value.split(' ');
                  setDraft({ ...draft, kind: kind as CharacterKind, anyOf: anyOf === 'true' });
                }}
              >
                {KINDS.map(([kind, anyOf, title]) => (
                  <option key={title} value={`${kind} ${anyOf}`}>
                    {title}
                  </option>
                ))}
              </select>
            </label>
            {draft.kind === 'measure' && (
              <label>
                <span>Unit</span>
                <select
                  value={draft.unit ?? 'cm'}
                  onChange={(event) => set('unit', event.target.value as Unit)}
                >
                  {['mm', 'cm', 'm', '°', '%', 'years'].map((unit) => (
                    <option key={unit}>{unit}</option>
                  ))}
                </select>
              </label>
            )}
          </>
        )}
        <label>
          <span>Seen from</span>
          <select
            value={draft.distance}
            onChange={(event) => set('distance', event.target.value as Character['distance'])}
          >
            {['afar', 'binoculars', 'arm', 'hand', 'lens', 'cut'].map((distance) => (
              <option key={distance} value={distance}>
                {distance === 'arm' ? 'arm’s length' : distance === 'hand' ? 'in the hand' : distance}
              </option>
            ))}
          </select>
        </label>
        <label>
          <span>Misread by a careful reader, % of readings</span>
          <input
            inputMode="decimal"
            value={String(Number((draft.misread.careful * 100).toFixed(2)))}
            onChange={(event) =>
              set('misread', { ...draft.misread, careful: Number(event.target.value || 0) / 100 })
            }
          />
        </label>
        <label>
          <span>Misread by a beginner, %</span>
          <input
            inputMode="decimal"
            value={String(Number((draft.misread.novice * 100).toFixed(2)))}
            onChange={(event) =>
              set('misread', { ...draft.misread, novice: Number(event.target.value || 0) / 100 })
            }
          />
        </label>
        <label>
          <span>Says nearly the same as (name of a group)</span>
          <input
            value={draft.group ?? ''}
            onChange={(event) => {
              const { group, ...rest } = draft;
              setDraft(event.target.value ? { ...rest, group: event.target.value } : rest);
            }}
          />
        </label>
      </div>
      {hasStates && (
        <table className={styles['doubts-table']}>
          <thead>
            <tr>
              <th scope="col">State</th>
              <th scope="col">Plain words</th>
              <th scope="col">Definition</th>
            </tr>
          </thead>
          <tbody>
            {draft.states.map((state, i) => (
              <tr key={i}>
                {(['term', 'plain', 'definition'] as const).map((part) => (
                  <td key={part}>
                    <input
                      aria-label={`${part} of state ${i + 1}`}
                      value={state[part]}
                      onChange={(event) => setState(i, part, event.target.value)}
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className={ui['profile-tools']}>
        {hasStates && (
          <Button
            onClick={() => set('states', [...draft.states, { id: '', term: '', plain: '', definition: '' }])}
          >
            Add a state
          </Button>
        )}
        <Button type="primary" disabled={!draft.term.trim()} onClick={() => void save()}>
          Save
        </Button>
        {isOwn && !isNew && (
          <Button danger onClick={() => void takeAway()}>
            {BUILT_IN.has(character.id)
              ? 'Back to the built-in form'
              : uses?.scores
                ? `Take away, with ${counted(uses.scores, 'score')}`
                : 'Take away'}
          </Button>
        )}
      </p>
    </div>
  );
}

const usesInWords = (uses: { scores: number; taxa: string[] } | undefined) =>
  !uses
    ? ''
    : uses.scores === 0
      ? 'Not scored for any taxon yet.'
      : `${counted(uses.scores, 'score')} of ${counted(uses.taxa.length, 'taxon', 'taxa')} rest on it. Renaming keeps them; states in use can be reworded, not taken out.`;
