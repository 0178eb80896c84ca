import type { LibraryAnswer } from '@hurrow/contract/library';
import { useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { checkScores, type Score } from '@hurrow/core/score';
import { checkCalendar } from '@hurrow/core/season';
import { scientificName, type Taxon } from '@hurrow/core/taxon';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { isProblem, call, messageOf } from '../app/api.ts';
import { libraryQuery } from '../app/data.ts';
import { useKept } from '../drafts/useKept.ts';
import { useSaved } from '../library/useSaved.tsx';
import {
  adoptedAfter,
  changesToSend,
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
  const queries = useQueryClient();
  const go = useNavigate();
  const kept = useKept<Edits>(
    `taxon/${taxon?.id ?? 'new'}`,
    taxon ? `Edit ${scientificName(taxon)}` : 'New species',
    noEdits(library.revision, library.sources[0]?.id ?? 'own'),
    isEdited,
  );
  const edits = kept.value;
  const [problem, setProblem] = useState<{ message: string; stale: boolean }>();
  const [busy, setBusy] = useState(false);
  const names = useMemo<TaxonFields>(() => {
    const { id: _id, ...stored } = taxon ?? { ...NEW_TAXON, id: '' };
    return { ...stored, ...edits.names };
  }, [taxon, edits.names]);
  const entries = entriesOfSource(scores, edits.sourceId, edits, vocabulary);
  const adopted = adoptedAfter(scores, edits, vocabulary, library.reconciliation);
  const said: Score[] = [...entries.values()].flatMap(({ characterId, qualifiers, value }) =>
    value ? [{ characterId, sourceId: edits.sourceId, qualifiers, value }] : [],
  );
  const months = monthsInForm(names.calendar, edits);
  const { calendar, problem: monthProblem } = readMonths(months);

  const fail = (error: unknown) => {
    const stale = isProblem(error, 'stale') && taxon !== undefined;
    setProblem({ message: messageOf(error), stale });
    setBusy(false);
  };
  const save = async () => {
    if (busy) return;
    const unread = unreadScore(edits, vocabulary) ?? monthProblem;
    if (unread) return setProblem({ message: unread, stale: false });
    const body = {
      taxon: { ...names, calendar },
      changes: changesToSend(scores, edits, vocabulary),
      baseRevision: edits.base,
    };
    setBusy(true);
    setProblem(undefined);
    try {
      const saved = taxon
        ? await call('PUT /api/library/taxa/{taxonId}', { params: { taxonId: taxon.id }, body })
        : await call('POST /api/library/taxa', { body });
      await saidSaved(`${scientificName(names)} is saved.`, saved.revision);
      kept.settle(noEdits(saved.revision, edits.sourceId));
      void go(`/c/${courseId}/species/${saved.id}`);
    } catch (error) {
      fail(error);
    }
  };
  /** Stands on the newest version: what was not touched here is then as it is there. */
  const takeTheirs = async () => {
    const fresh = await queries.fetchQuery({ ...libraryQuery(), staleTime: 0 });
    kept.set({ ...edits, base: fresh.revision });
    setProblem({
      message:
        'You now stand on the newest version. What you did not touch is as it is there; press Save to keep your own values in the rest.',
      stale: false,
    });
  };
  const retire = async (retired: boolean) => {
    if (!taxon) return;
    setBusy(true);
    const { id, ...stored } = taxon;
    try {
      const body = { taxon: { ...stored, retired }, changes: [], baseRevision: library.revision };
      const saved = await call('PUT /api/library/taxa/{taxonId}', { params: { taxonId: id }, body });
      await saidSaved(
        `${scientificName(taxon)} is ${retired ? 'retired' : 'back in the library'}.`,
        saved.revision,
      );
    } catch (error) {
      return fail(error);
    }
    setBusy(false);
  };
  const takeAway = async () => {
    if (!taxon) return;
    setBusy(true);
    try {
      const { revision } = await call('DELETE /api/library/taxa/{taxonId}', {
        params: { taxonId: taxon.id },
      });
      await saidSaved(`${scientificName(taxon)} is deleted.`, revision);
      kept.settle(noEdits(revision, edits.sourceId));
      void go(`/c/${courseId}/species`);
    } catch (error) {
      fail(error);
    }
  };
  return {
    edits,
    setEdits: kept.set,
    changed: kept.changed,
    broughtBack: kept.broughtBack,
    giveUp: () => kept.settle(noEdits(library.revision, edits.sourceId)),
    names,
    setName: <K extends keyof TaxonFields>(key: K, value: TaxonFields[K]) =>
      kept.set((before) => ({ ...before, names: { ...before.names, [key]: value } })),
    entries,
    adopted,
    problems: checkScores(said, vocabulary),
    months,
    monthProblems: checkCalendar(calendar, library.reference.latitude),
    problem,
    busy,
    save,
    takeTheirs,
    retire,
    takeAway,
  };
}

export type Editing = ReturnType<typeof useEditing>;
