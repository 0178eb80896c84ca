import { useEffect, useState } from 'react';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { characterStrip, type Glyph } from '@hurrow/core/specimen';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { inTurn } from './inTurn.ts';

/** Strips that were drawn, as long as their profiles live. A changed score makes a new profile. */
const drawn = new WeakMap<ProfiledTaxon, Glyph[]>();

/** The strip of a taxon: at once where it was drawn before, else when its turn comes, so that a long list never blocks the page. */
export function useStrip(profiled: ProfiledTaxon, vocabulary: Vocabulary): Glyph[] | undefined {
  const [, redraw] = useState(0);
  const held = drawn.get(profiled);
  useEffect(() => {
    if (drawn.has(profiled)) return;
    return inTurn(() => {
      if (!drawn.has(profiled)) drawn.set(profiled, characterStrip(profiled, vocabulary));
      redraw((n) => n + 1);
    });
  }, [profiled, vocabulary]);
  return held;
}
