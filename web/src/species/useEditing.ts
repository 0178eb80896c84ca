import { t } from '@lingui/core/macro';
import type { LibraryAnswer } from '@hurrow/contract/library';
import { useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { checkScores, relatives, type Score } from '@hurrow/core/score';
import { checkCalendar } from '@hurrow/core/season';
import { scientificName, type Taxon } from '@hurrow/core/taxon';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { isProblem, call } from '../app/api.ts';
import { libraryQuery } from '../app/data.ts';
import { useSaving } from '../app/useSaving.ts';
import { useKept, type Kept } from '../drafts/useKept.ts';
import { useSaved } from '../library/useSaved.tsx';
import {
  adoptedAfter,
  changesToSend,
  editsSince,
  entriesOfSource,
  isEdited,
  monthsInForm,
  NEW_TAXON,
  noEdits,
  readMonths,
  unreadScore,
  type Edits,
  type TaxonFields,
} from './editing.ts';

interface EditingOptions {
  courseId: string;
  library: LibraryAnswer;
  vocabulary: Vocabulary;
  taxon: Taxon | undefined;
  scores: readonly Score[];
}

/** The state of the editor: what is stored, what was typed over it, what does not fit, and how it is saved. */
export function useEditing({ courseId, library, vocabulary, taxon, scores }: EditingOptions) {
  const saidSaved = useSaved();
  const go = useNavigate();
  const kept = useKept<Edits>(
    `taxon/${taxon?.id ?? 'new'}`,
    taxon ? `Edit ${scientificName(taxon)}` : 'New species',
    noEdits(library.revision, library.sources[0]?.id ?? 'own'),
    isEdited,
  );
  const edits = kept.value;
  const names = useMemo<TaxonFields>(() => {
    const { id: _id, ...stored } = taxon ?? { ...NEW_TAXON, id: '' };
    return { ...stored, ...edits.names };
  }, [taxon, edits.names]);
  const read = useRead({ library, vocabulary, taxon, scores }, edits, names);
  const { calendar, monthProblem } = read;

  const { run, say, problem, busy, stale, takeTheirs } = useRun(taxon, kept);
  const save = () => {
    const unread = unreadScore(edits, vocabulary) ?? monthProblem;
    if (unread) return say(unread);
    const body = {
      taxon: { ...names, calendar },
      changes: changesToSend(scores, edits, vocabulary),
      baseRevision: edits.base,
    };
    return run(
      () =>
        taxon
          ? call('PUT /api/library/taxa/{taxonId}', { params: { taxonId: taxon.id }, body })
          : call('POST /api/library/taxa', { body }),
      async ({ id, revision }) => {
        await saidSaved(t`${scientificName(names)} is saved.`, revision);
        const profile = `/c/${courseId}/species/${id}`;
        const edit = `${profile}/edit`;
        const all = kept.settle(edits, {
          next: (now) => editsSince(now, edits, revision),
          ...(taxon ? {} : { as: { key: `taxon/${id}`, where: edit } }),
        });
        if (all || !taxon) void go(all ? profile : edit);
      },
    );
  };
  const { retire, takeAway } = useEnding({ courseId, library, taxon }, kept, run);
  return {
    edits,
    setEdits: kept.set,
    changed: kept.changed,
    broughtBack: kept.broughtBack,
    giveUp: () => kept.replace(noEdits(library.revision, edits.sourceId)),
    names,
    setName: <K extends keyof TaxonFields>(key: K, value: TaxonFields[K]) =>
      kept.set((before) => ({ ...before, names: { ...before.names, [key]: value } })),
    ...read,
    problem,
    stale,
    busy,
    save,
    takeTheirs,
    retire,
    takeAway,
  };
}

/** How a change of a taxon is sent, and what happens where somebody else has changed the same. */
function useRun(taxon: Taxon | undefined, kept: Kept<Edits>) {
  const queries = useQueryClient();
  const { save: saving, saving: busy, problem, say } = useSaving();
  /** Someone else changed the same meanwhile. */
  const [stale, setStale] = useState(false);
  /** Runs one change of the taxon; where someone else changed the same, it offers to take theirs. */
  const run = <T>(work: () => Promise<T>, done: (result: T) => unknown) => {
    setStale(false);
    return saving(work, {
      done,
      refused: (error) => {
        setStale(isProblem(error, 'stale') && taxon !== undefined);
        return false;
      },
    });
  };
  /** Stands on the newest version: what was not touched here is then as it is there. */
  const takeTheirs = async () => {
    const fresh = await queries.fetchQuery({ ...libraryQuery(), staleTime: 0 });
    kept.set((now) => ({ ...now, base: fresh.revision }));
    setStale(false);
    say(
      t`You now stand on the newest version. What you did not touch is as it is there; press Save to keep your own values in the rest.`,
    );
  };
  return { run, say, problem, busy, stale, takeTheirs };
}

/** What the stored scores and what was typed come to, and what does not fit. */
function useRead(
  { library, vocabulary, taxon, scores }: Omit<EditingOptions, 'courseId'>,
  edits: Edits,
  names: TaxonFields,
) {
  const entries = entriesOfSource(scores, edits.sourceId, edits, vocabulary);
  const adopted = adoptedAfter(scores, edits, vocabulary, library.reconciliation);
  const said: Score[] = [...entries.values()].flatMap(({ characterId, qualifiers, value }) =>
    value ? [{ characterId, sourceId: edits.sourceId, qualifiers, value }] : [],
  );
  const genus = names.genus;
  const relatedOf = useMemo(
    () =>
      relatives(
        library.taxa
          .filter((other) => other.taxon.genus === genus && other.taxon.id !== taxon?.id)
          .map((other) => other.scores),
      ),
    [library, genus, taxon?.id],
  );
  const months = monthsInForm(names.calendar, edits);
  const { latitude } = library.reference;
  const { calendar, problem: monthProblem } = readMonths(months, latitude);

  return {
    entries,
    adopted,
    problems: checkScores(said, vocabulary, relatedOf),
    months,
    calendar,
    monthProblem,
    monthProblems: checkCalendar(calendar, latitude),
  };
}

/** How a taxon is retired, brought back, or deleted. */
function useEnding(
  { courseId, library, taxon }: Pick<EditingOptions, 'courseId' | 'library' | 'taxon'>,
  kept: Kept<Edits>,
  run: <T>(work: () => Promise<T>, done: (result: T) => unknown) => Promise<T | undefined>,
) {
  const saidSaved = useSaved();
  const go = useNavigate();
  const retire = (retired: boolean) => {
    if (!taxon) return;
    const { id, ...stored } = taxon;
    const body = { taxon: { ...stored, retired }, changes: [], baseRevision: library.revision };
    return run(
      () => call('PUT /api/library/taxa/{taxonId}', { params: { taxonId: id }, body }),
      ({ revision }) =>
        saidSaved(t`${scientificName(taxon)} is ${retired ? t`retired` : t`back in the library`}.`, revision),
    );
  };
  const takeAway = () => {
    if (!taxon) return;
    return run(
      () => call('DELETE /api/library/taxa/{taxonId}', { params: { taxonId: taxon.id } }),
      async ({ revision }) => {
        await saidSaved(t`${scientificName(taxon)} is deleted.`, revision);
        kept.replace(noEdits(revision, kept.value.sourceId));
        void go(`/c/${courseId}/species`);
      },
    );
  };
  return { retire, takeAway };
}

export type Editing = ReturnType<typeof useEditing>;
