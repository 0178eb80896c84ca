import { Button, Select } from 'antd';
import { useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { checkScores, parseScore, type Score } from '@hurrow/core/score';
import {
  arcsAsText,
  CALENDAR_PARTS,
  CALENDAR_TITLES,
  checkCalendar,
  parseArcs,
  type Calendar,
} from '@hurrow/core/season';
import { commonName, scientificName, type Taxon } from '@hurrow/core/taxon';
import { ORGANS, stateOf, type Character, type Organ, type Vocabulary } from '@hurrow/core/vocabulary';
import { messageOf, post, put } from '../app/api.ts';
import { libraryQuery, useLibrary, type LibraryAnswer } from '../app/data.ts';
import { useSaved } from '../library/useSaved.tsx';
import { CautionFields } from './CautionFields.tsx';
import { entriesOf, entryKey, type Entry } from './entry.ts';
import { NamesFields, Text, type Draft } from './NamesFields.tsx';
import { ScoreRow } from './ScoreRow.tsx';

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
  const { library, vocabulary } = useLibrary();
  const held = taxonId ? library?.taxa.find(({ taxon }) => taxon.id === taxonId) : undefined;
  if (!library || (taxonId && !held))
    return (
      <section className="page">
        <h1>No such species</h1>
      </section>
    );
  return (
    <Form
      courseId={courseId}
      library={library}
      vocabulary={vocabulary}
      taxon={held?.taxon}
      scores={held?.scores ?? []}
    />
  );
}

function Form({
  courseId,
  library,
  vocabulary,
  taxon,
  scores,
}: {
  courseId: string;
  library: LibraryAnswer;
  vocabulary: Vocabulary;
  taxon: Taxon | undefined;
  scores: readonly Score[];
}) {
  const saidSaved = useSaved();
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
  const entries = bySource[sourceId] ?? entriesOf(start, sourceId, vocabulary);

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
  const problems = checkScores(list, vocabulary);
  const seasonProblems = useMemo(() => monthProblems(months, library.reference.latitude), [months, library]);

  const save = async () => {
    const unread = [...entries.values()].find((entry) => entry.text.trim() && !entry.value);
    if (unread) {
      const read = parseScore(unread.text, vocabulary.get(unread.characterId)!);
      setProblem(read.ok ? 'A value could not be read.' : read.problem);
      return;
    }
    const calendar: Calendar = {};
    for (const part of CALENDAR_PARTS) {
      const arcs = parseArcs(months[part] ?? '');
      if (!arcs.ok) return setProblem(`${CALENDAR_TITLES[part]}: ${arcs.problem}`);
      if (arcs.value.length) calendar[part] = arcs.value;
    }
    const changes = Object.entries(bySource).flatMap(([source, edited]) =>
      changesOf(start, edited, source, vocabulary),
    );
    const body = { taxon: { ...draft, calendar }, changes, baseRevision: base };
    setBusy(true);
    setProblem(undefined);
    try {
      const saved = taxon
        ? await put<{ id: string; revision: number }>(`/api/library/taxa/${taxon.id}`, body)
        : await post<{ id: string; revision: number }>('/api/library/taxa', body);
      await saidSaved(`${scientificName(draft)} is saved.`, saved.revision);
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
  const organs = organsFor(entries, vocabulary).concat(shownOrgans);
  return (
    <section
      className="editor"
      aria-label="Editor"
      onKeyDown={(event) => {
        if (event.key !== 's' || !(event.ctrlKey || event.metaKey)) return;
        event.preventDefault();
        if (!busy) void save();
      }}
    >
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
      <NamesFields draft={draft} set={set} isNew={!taxon} />
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
        {seasonProblems.map((found) => (
          <p className="row-problem" role="alert" key={found.message}>
            {found.message}{' '}
            {found.repair && (
              <button
                type="button"
                className="link"
                onClick={() => setMonths({ ...months, [found.part]: arcsAsText(found.repair!.arcs) })}
              >
                {found.repair.label}
              </button>
            )}
          </p>
        ))}
      </fieldset>
      <CautionFields cautions={draft.cautions} onChange={(cautions) => set('cautions', cautions)} />
      <p className="quiet how-to">
        Press the key on a state for “always”, again for “usually”, “sometimes”, “rarely” and off. Enter or ↓
        goes on, ↑ back, Alt+Q changes what it holds for, Ctrl+S saves. Ranges as you would write them:
        (4)5–9(10), 4–7 in, 60–90 ft.
      </p>
      <CopyFrom
        library={library}
        self={taxon?.id}
        onCopy={(copied) => {
          const next = new Map(entries);
          for (const [key, entry] of entriesOf(copied, undefined, vocabulary))
            if (!next.get(key)?.value) next.set(key, entry);
          setBySource({ ...bySource, [sourceId]: next });
        }}
      />
      {ORGANS.filter(({ organ }) => organs.includes(organ)).map(({ organ, title }) => (
        <fieldset key={organ}>
          <legend>{title}</legend>
          {[...vocabulary.values()]
            .filter(
              (character) =>
                character.organ === organ && !character.derived && applies(character, entries, vocabulary),
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

/** What does not fit together in the months as they are typed. */
function monthProblems(months: Record<string, string>, latitude: number) {
  const calendar: Calendar = {};
  for (const part of CALENDAR_PARTS) {
    const arcs = parseArcs(months[part] ?? '');
    if (arcs.ok && arcs.value.length) calendar[part] = arcs.value;
  }
  return checkCalendar(calendar, latitude);
}

/** Fills what is still empty with the scores of a relative, to change what differs. */
function CopyFrom({
  library,
  self,
  onCopy,
}: {
  library: LibraryAnswer;
  self: string | undefined;
  onCopy(scores: readonly Score[]): void;
}) {
  const { profiles } = useLibrary();
  if (library.taxa.length === 0) return null;
  return (
    <p>
      Copy what is empty from{' '}
      <Select
        aria-label="Relative to copy from"
        showSearch={{ optionFilterProp: 'label' }}
        placeholder="a relative…"
        value={null}
        style={{ width: 260 }}
        onChange={(id: string | null) => {
          const from = profiles.find((profiled) => profiled.taxon.id === id);
          if (from) onCopy(from.scores.map((score) => ({ ...score, sourceId: '' })));
        }}
        options={profiles
          .filter((profiled) => profiled.taxon.id !== self)
          .map((profiled) => ({
            value: profiled.taxon.id,
            label: `${scientificName(profiled.taxon)}, ${commonName(profiled.taxon)}`,
          }))}
      />
    </p>
  );
}

/** The organs that an entry form begins with: foliage first, since it decides what else applies. */
function organsFor(entries: Map<string, Entry>, vocabulary: Vocabulary): Organ[] {
  const kinds = [...entries.values()].find((entry) => entry.characterId === 'foliage.kind')?.value;
  const kind = kinds?.kind === 'states' ? kinds.states[0]?.state : undefined;
  const filled = [...entries.values()]
    .filter((entry) => entry.value)
    .map((entry) => vocabulary.get(entry.characterId)!.organ);
  const leaf: Organ[] = kind === undefined ? [] : kind === 'broad' ? ['leaf'] : ['needle'];
  return ['habit', 'foliage', ...leaf, 'twig', 'bud', 'fruit', 'bark', ...filled];
}

function applies(character: Character, entries: Map<string, Entry>, vocabulary: Vocabulary): boolean {
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
        (entry) => states.includes(entry.state) && stateOf(vocabulary.get(governor)!, entry.state),
      )
    );
  });
}

function changesOf(
  start: readonly Score[],
  edited: Map<string, Entry>,
  sourceId: string,
  vocabulary: Vocabulary,
) {
  const before = entriesOf(start, sourceId, vocabulary);
  return [...edited.entries()].flatMap(([key, entry]) => {
    const was = before.get(key)?.value ?? null;
    if (JSON.stringify(was) === JSON.stringify(entry.value)) return [];
    return [{ characterId: entry.characterId, sourceId, qualifiers: entry.qualifiers, value: entry.value }];
  });
}
