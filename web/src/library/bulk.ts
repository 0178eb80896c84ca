import type { BulkBody } from '@hurrow/contract/library';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { parseScore, type UnitSystem } from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import type { Character } from '@hurrow/core/vocabulary';

/**
 * What is to be saved of one character down a list: what was typed, by taxon; an emptied cell withdraws what the source says there. The
 * first cell that cannot be read stops it all, so that nothing is saved in part.
 *
 * @param isHeld whether the source says something of a taxon now
 * @param units what a number without a unit is in
 */
export function changesDown(
  rows: readonly ProfiledTaxon[],
  typed: Readonly<Record<string, string>>,
  character: Character,
  sourceId: string,
  isHeld: (profiled: ProfiledTaxon) => boolean,
  units: UnitSystem = 'metric',
): { changes: BulkBody['changes'] } | { problem: string } {
  const changes: BulkBody['changes'] = [];
  for (const profiled of rows) {
    const text = typed[profiled.taxon.id];
    if (text === undefined) continue;
    const change = { taxonId: profiled.taxon.id, characterId: character.id, sourceId, qualifiers: {} };
    if (!text.trim()) {
      if (isHeld(profiled)) changes.push({ ...change, value: null });
      continue;
    }
    const read = parseScore(text, character, { units });
    if (!read.ok) return { problem: `${commonName(profiled.taxon)}: ${read.problem}` };
    changes.push({ ...change, value: read.value });
  }
  return { changes };
}
