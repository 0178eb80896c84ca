import type { Caller } from './testHurrow.ts';
import type { Character } from '@hurrow/core/vocabulary';

export interface LibraryBody {
  revision: number;
  sources: { id: string; label: string }[];
  reconciliation: {
    rule: string;
    order: string[];
    picks?: Record<string, { sourceId: string; reason: string }>;
  };
  characters: Character[];
  taxa: {
    taxon: { id: string };
    scores: { characterId: string; sourceId: string; value: { low?: number; n?: number } }[];
  }[];
}

/** The library as the owner sees it now. */
export const libraryOf = async (owner: Caller) => (await owner.get<LibraryBody>('/api/library')).body;
/** The revision that an edit made now would stand on. */
export const baseOf = async (owner: Caller) => (await libraryOf(owner)).revision;
