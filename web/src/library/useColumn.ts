import { t } from '@lingui/core/macro';
import type { LibraryAnswer } from '@hurrow/contract/library';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { qualifierKey, type Score, type UnitSystem } from '@hurrow/core/score';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { call } from '../app/api.ts';
import { useSaving } from '../app/useSaving.ts';
import { since } from '../drafts/afterSave.ts';
import { useKept } from '../drafts/useKept.ts';
import { changesDown } from './bulk.ts';
import { useSaved } from './useSaved.tsx';

/** A column as it is being edited down the list. */
interface Column {
  /** Empty while none is edited. */
  characterId: string;
  /** Whose scores they are; the most trusted source, unless chosen. */
  sourceId: string;
  /** The revision that it was begun on. */
  base: number;
  /** By taxon. */
  typed: Record<string, string>;
}

const NONE: Column = { characterId: '', sourceId: '', base: 0, typed: {} };

/** One character of all taxa as it is edited: what was typed is kept until it is saved or given up. */
export function useColumn(
  library: LibraryAnswer | undefined,
  profiles: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  units: UnitSystem = 'metric',
) {
  const saved = useSaved();
  const { save: saving, saving: busy, problem, say } = useSaving();
  const kept = useKept<Column>(
    'side-by-side',
    'A column of the library',
    NONE,
    ({ typed }) => Object.keys(typed).length > 0,
  );
  const { characterId, base, typed } = kept.value;
  const source = kept.value.sourceId || (library?.sources[0]?.id ?? '');
  const character = vocabulary.get(characterId);
  const scores = new Map(library?.taxa.map((entry) => [entry.taxon.id, entry.scores]));
  /** What the source says of the character now. */
  const heldBy = (taxonId: string): Score | undefined =>
    scores
      .get(taxonId)
      ?.find(
        (score) =>
          score.characterId === characterId &&
          score.sourceId === source &&
          qualifierKey(score.qualifiers) === '',
      );
  const close = () => {
    say(undefined);
    kept.replace(NONE);
  };
  const save = () => {
    if (!character) return;
    const read = changesDown(
      profiles,
      typed,
      character,
      source,
      ({ taxon }) => heldBy(taxon.id) !== undefined,
      units,
    );
    if ('problem' in read) return say(read.problem);
    const { changes } = read;
    if (changes.length === 0) return close();
    const body = { changes, baseRevision: base, summary: t`${character.term} of ${changes.length} taxa` };
    void saving(() => call('POST /api/library/scores', { body }), {
      done: async ({ revision }) => {
        await saved(t`${character.term}: ${changes.length} taxa saved.`, revision);
        const all = kept.settle(kept.value, {
          next: (now) => ({ ...now, base: revision, typed: since(now.typed, typed) }),
        });
        if (all) close();
      },
    });
  };
  return {
    character,
    source,
    typed,
    heldBy,
    broughtBack: kept.broughtBack,
    begin: (id: string) => {
      say(undefined);
      kept.replace({ ...NONE, characterId: id, base: library?.revision ?? 0 });
    },
    ofSource: (sourceId: string) => kept.set((now) => ({ ...now, sourceId })),
    type: (taxonId: string, text: string) =>
      kept.set((now) => ({ ...now, typed: { ...now.typed, [taxonId]: text } })),
    close,
    save,
    busy,
    problem,
  };
}
