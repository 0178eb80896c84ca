import type { ProfiledTaxon } from '../evidence/index.ts';
import { parseScore, type AdoptedScore } from '../score/index.ts';
import type { View } from '../view/index.ts';
import { BUILT_IN, type ShownOrgan } from '../vocabulary/index.ts';

/** A made-up taxon whose scores are written as one types them: `{ 'bud.length': '3–6 mm' }`. Throws on a score that cannot be read. */
export function profiled(genus: string, epithet: string, scores: Record<string, string>): ProfiledTaxon {
  return {
    taxon: {
      id: `${genus}-${epithet}`.toLowerCase(),
      rank: 'species',
      genus,
      epithet,
      family: `${genus}aceae`,
      commonNames: [epithet],
      synonyms: [],
      calendar: { leaves: [{ from: 120, to: 290 }] },
      cautions: [],
    },
    scores: Object.entries(scores).map(([characterId, text]): AdoptedScore => {
      const value = parseScore(text, BUILT_IN.get(characterId)!);
      if (!value.ok) throw new Error(`${characterId}: ${value.problem}`);
      return {
        characterId,
        qualifiers: {},
        value: value.value,
        from: ['s'],
        statements: [],
        disagree: false,
      };
    }),
  };
}

/** In hand, in July, with lens, touch and smell. */
export const viewOf = (organs: ShownOrgan[], day = 200): View => ({
  organs,
  day,
  nearness: 'hand',
  aids: ['eye', 'touch', 'smell', 'lens'],
  qualifiers: {},
});
