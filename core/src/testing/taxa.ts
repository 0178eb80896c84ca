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

/** Scores by which a simple leaf and its twig can be drawn. */
export const LEAF = {
  'foliage.kind': 'broad blade',
  'leaf.composition': 'simple',
  'leaf.shape': 'ovate',
  'leaf.length': '6–10 cm',
  'leaf.lobing': 'unlobed',
  'leaf.teeth': 'singly toothed',
  'leaf.apex': 'acute',
  'leaf.base': 'rounded',
  'leaf.width': '4–6 cm',
  'leaf.teethPerCm': '3–5',
  'leaf.toothTip': 'forward',
  'twig.arrangement': 'alternate',
};
