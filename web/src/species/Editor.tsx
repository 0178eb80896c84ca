import { App, Button, Input, Select } from 'antd';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { checkScores, parseScore, type Score } from '@hurrow/core/score';
import { arcsAsText, CALENDAR_PARTS, CALENDAR_TITLES, parseArcs, type Calendar } from '@hurrow/core/season';
import { scientificName, type Taxon } from '@hurrow/core/taxon';
import { BUILT_IN, ORGANS, stateOf, type Character, type Organ } from '@hurrow/core/vocabulary';
import { messageOf, post, put } from '../app/api.ts';
import { libraryQuery, useLibrary, type LibraryAnswer } from '../app/data.ts';
import { entriesOf, entryKey, type Entry } from './entry.ts';
import { ScoreRow } from './ScoreRow.tsx';

type Draft = Omit<Taxon, 'id'>;

const EMPTY: Draft = {
  rank: 'species',
  genus: '',
  epithet: '',
  family: '',
  commonNames: [],
  synonyms: [],
  calendar: {},
  cautions: [],
};

/** Names, calendar and scores of one species from one source. What was typed stays until it is saved. */
export function Editor({ courseId, taxonId }: { courseId: string; taxonId: string | undefined }) {
  const { library } = useLibrary();
  const held = taxonId ? library?.taxa.find(({ taxon }) => taxon.id === taxonId) : undefined;
  if (!library || (taxonId && !held))
    return (
      <section className="page">
        <h1>No such species</h1>
      </section>
    );
  return <Form courseId={courseId} library={library} taxon={held?.taxon} scores={held?.scores ?? []} />;
}

function Form({
  courseId,
  library,
  taxon,
  scores,
}: {
  courseId: string;
  library: LibraryAnswer;
  taxon: Taxon | undefined;
  scores: readonly Score[];
}) {
  const { message, notification } = App.useApp();
  const queries = useQueryClient();
  const go = useNavigate();
  const [base, setBase] = useState(library.revision);
  const [start] = useState(scores);
  const [draft, setDraft] = useState<Draft>(() => {
    if (!taxon) return EMPTY;
    const copy: Draft & { id?: string } = { ...taxon };
    delete copy.id;
    return copy;
  });
  const [sourceId, setSourceId] = useState(library.sources[0]?.id ?? 'own');
  const [bySource, setBySource] = useState<Record<string, Map<string, Entry>>>({});
  const [months, setMonths] = useState<Record<string, string>>(() =>
    Object.fromEntries(CALENDAR_PARTS.map((part) => [part, arcsAsText(draft.calendar[part] ?? [])])),
  );
  const [problem, setProblem] = useState<string>();
  const [shownOrgans, setShownOrgans] = useState<Organ[]>([]);
  const [busy, setBusy] = useState(false);
  const entries = bySource[sourceId] ?? entriesOf(start, sourceId);

  const change = (entry: Entry) => {
    const next = new Map(entries);
    next.set(entryKey(entry.characterId, entry.qualifiers), entry);
    setBySource({ ...bySource, [sourceId]: next });
  };
  const list: Score[] = [...entries.values()].flatMap((entry) =>
    entry.value
      ? [{ characterId: entry.characterId, sourceId, qualifiers: entry.qualifiers, value: entry.value }]
      : [],
  );
  const problems = checkScores(list, BUILT_IN);

  const save = async () => {
    const unread = [...entries.values()].find((entry) => entry.text.trim() && !entry.value);
    if (unread) {
      const read = parseScore(unread.text, BUILT_IN.get(unread.characterId)!);
      setProblem(read.ok ? 'A value could not be read.' : read.problem);
      return;
    }
    const calendar: Calendar = {};
    for (const part of CALENDAR_PARTS) {
      const arcs = parseArcs(months[part] ?? '');
      if (!arcs.ok) return setProblem(`${CALENDAR_TITLES[part]}: ${arcs.problem}`);
      if (arcs.value.length) calendar[part] = arcs.value;
    }
    const changes = Object.entries(bySource).flatMap(([source, edited]) => changesOf(start, edited, source));
    const body = { taxon: { ...draft, calendar }, changes, baseRevision: base };
    setBusy(true);
    setProblem(undefined);
    try {
      const saved = taxon
        ? await put<{ id: string; revision: number }>(`/api/library/taxa/${taxon.id}`, body)
        : await post<{ id: string; revision: number }>('/api/library/taxa', body);
      await queries.invalidateQueries({ queryKey: ['library'] });
      const key = `saved-${saved.revision}`;
      notification.open({
        key,
        title: `${scientificName(draft)} is saved.`,
        actions:
          saved.revision > base ? (
            <Button
              size="small"
              onClick={() => {
                notification.destroy(key);
                post(`/api/library/revisions/${saved.revision}/undo`)
                  .then(() => queries.invalidateQueries({ queryKey: ['library'] }))
                  .then(() => message.info('Undone: the values before are back.'))
                  .catch((error: unknown) => message.error(messageOf(error)));
              }}
            >
              Undo
            </Button>
          ) : undefined,
        placement: 'bottomRight',
        duration: 8,
      });
      void go(`/c/${courseId}/species/${saved.id}`);
    } catch (error) {
      setProblem(messageOf(error));
      setBusy(false);
    }
  };
  const takeTheirs = async () => {
    const fresh = await queries.fetchQuery({ ...libraryQuery(), staleTime: 0 });
    setBase(fresh.revision);
    setProblem(
      'You now stand on the newest version. Fields you did not touch are saved as they are there; press Save to keep your own values in the others.',
    );
  };

  const set = <K extends keyof Draft>(key: K, value: Draft[K]) => setDraft({ ...draft, [key]: value });
  const organs = organsFor(entries).concat(shownOrgans);
  return (
    <section className="editor" aria-label="Editor">
      <div className="editor-head">
        <h1>{taxon ? `Edit ${scientificName(taxon)}` : 'New species'}</h1>
        <label>
          <span className="quiet">Scores from </span>
          <Select
            aria-label="Source of the scores"
            value={sourceId}
            onChange={setSourceId}
            options={library.sources.map((source) => ({ value: source.id, label: source.label }))}
            style={{ width: 230 }}
          />
        </label>
        <Button onClick={() => void go(-1)}>Leave without saving</Button>
        <Button type="primary" loading={busy} onClick={() => void save()}>
          Save
        </Button>
      </div>
      {problem && (
        <div className="problem" role="alert">
          {problem}{' '}
          {problem.includes('while you were editing') && (
            <button className="link" onClick={() => void takeTheirs()}>
              Load the new version and keep my values
            </button>
          )}
        </div>
      )}
      <fieldset>
        <legend>Names</legend>
        <div className="names-grid">
          <Text label="Genus" value={draft.genus} onChange={(genus) => set('genus', genus)} />
          <Text label="Epithet" value={draft.epithet} onChange={(epithet) => set('epithet', epithet)} />
          <Text label="Authority" value={draft.authority ?? ''} onChange={(text) => set('authority', text)} />
          <Text label="Family" value={draft.family} onChange={(family) => set('family', family)} />
          <Text
            wide
            label="Common names, the preferred one first, with commas"
            value={draft.commonNames.join(', ')}
            onChange={(text) => set('commonNames', names(text))}
            raw
          />
          <Text
            wide
            label="Synonyms, with commas"
            value={draft.synonyms.join(', ')}
            onChange={(text) => set('synonyms', names(text))}
            raw
          />
          <Text
            wide
            label="What the words mean"
            value={draft.meaning ?? ''}
            onChange={(text) => set('meaning', text)}
          />
          <Text
            wide
            label="Memory aid"
            value={draft.memoryAid ?? ''}
            onChange={(text) => set('memoryAid', text)}
          />
        </div>
      </fieldset>
      <fieldset>
        <legend>Calendar</legend>
        <p className="quiet">
          At the library’s reference place, like “10 May – 15 Oct” or “Apr–May”; “all year” for evergreen
          leaves.
        </p>
        <div className="names-grid">
          {CALENDAR_PARTS.map((part) => (
            <Text
              key={part}
              label={CALENDAR_TITLES[part]}
              value={months[part] ?? ''}
              onChange={(text) => setMonths({ ...months, [part]: text })}
            />
          ))}
        </div>
      </fieldset>
      <p className="quiet">
        Click a state for “always”, again for “usually”, “sometimes”, “rarely” and off. Ranges as you would
        write them: (4)5–9(10), 4–7 in, 60–90 ft.
      </p>
      {ORGANS.filter(({ organ }) => organs.includes(organ)).map(({ organ, title }) => (
        <fieldset key={organ}>
          <legend>{title}</legend>
          {[...BUILT_IN.values()]
            .filter(
              (character) => character.organ === organ && !character.derived && applies(character, entries),
            )
            .map((character) => (
              <ScoreRow
                key={character.id}
                character={character}
                entries={[...entries.values()].filter((entry) => entry.characterId === character.id)}
                problems={problems.filter((found) => found.characterId === character.id)}
                onChange={change}
              />
            ))}
        </fieldset>
      ))}
      <p className="chips" style={{ marginTop: 18 }}>
        {ORGANS.filter(({ organ }) => !organs.includes(organ)).map(({ organ, title }) => (
          <button key={organ} type="button" onClick={() => setShownOrgans([...shownOrgans, organ])}>
            + {title}
          </button>
        ))}
      </p>
    </section>
  );
}

const names = (text: string) =>
  text
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean);

/** The organs that an entry form begins with: foliage first, since it decides what else applies. */
function organsFor(entries: Map<string, Entry>): Organ[] {
  const kinds = [...entries.values()].find((entry) => entry.characterId === 'foliage.kind')?.value;
  const kind = kinds?.kind === 'states' ? kinds.states[0]?.state : undefined;
  const filled = [...entries.values()]
    .filter((entry) => entry.value)
    .map((entry) => BUILT_IN.get(entry.characterId)!.organ);
  const leaf: Organ[] = kind === undefined ? [] : kind === 'broad' ? ['leaf'] : ['needle'];
  return ['habit', 'foliage', ...leaf, 'twig', 'bud', 'fruit', 'bark', ...filled];
}

function applies(character: Character, entries: Map<string, Entry>): boolean {
  const filled = [...entries.values()].some((entry) => entry.characterId === character.id && entry.value);
  if (filled) return true;
  return character.requires.every(({ character: governor, states }) => {
    const value = [...entries.values()].find((entry) => entry.characterId === governor)?.value;
    if (!value)
      return (
        governor !== 'leaf.composition' &&
        governor !== 'leaf.lobing' &&
        governor !== 'fruit.type' &&
        governor !== 'twig.armature'
      );
    return (
      value.kind !== 'states' ||
      value.states.some(
        (entry) => states.includes(entry.state) && stateOf(BUILT_IN.get(governor)!, entry.state),
      )
    );
  });
}

function changesOf(start: readonly Score[], edited: Map<string, Entry>, sourceId: string) {
  const before = entriesOf(start, sourceId);
  return [...edited.entries()].flatMap(([key, entry]) => {
    const was = before.get(key)?.value ?? null;
    if (JSON.stringify(was) === JSON.stringify(entry.value)) return [];
    return [{ characterId: entry.characterId, sourceId, qualifiers: entry.qualifiers, value: entry.value }];
  });
}

/** A labelled field; `raw` keeps what is typed until the field is left, for lists with commas. */
function Text({
  label,
  value,
  onChange,
  wide,
  raw,
}: {
  label: string;
  value: string;
  onChange(text: string): void;
  wide?: boolean;
  raw?: boolean;
}) {
  const [typed, setTyped] = useState<string>();
  return (
    <label className={wide ? 'wide' : ''}>
      <span>{label}</span>
      <Input
        value={raw ? (typed ?? value) : value}
        onChange={(event) =>
          raw ? (setTyped(event.target.value), onChange(event.target.value)) : onChange(event.target.value)
        }
        onBlur={() => setTyped(undefined)}
      />
    </label>
  );
}
