import { useEffect, useState } from 'react';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { characterStrip, type Glyph } from '@hurrow/core/specimen';
import type { Vocabulary } from '@hurrow/core/vocabulary';

/** Strips that were drawn, as long as their profiles live. A changed score makes a new profile. */
const drawn = new WeakMap<ProfiledTaxon, Glyph[]>();

/** Milliseconds of drawing before the page gets its turn again. */
const SLICE = 8;
const waiting: { profiled: ProfiledTaxon; vocabulary: Vocabulary; done: () => void }[] = [];
let running = false;

function work(): void {
  const start = performance.now();
  while (waiting.length > 0 && performance.now() - start < SLICE) {
    const { profiled, vocabulary, done } = waiting.shift()!;
    if (!drawn.has(profiled)) drawn.set(profiled, characterStrip(profiled, vocabulary));
    done();
  }
  running = waiting.length > 0;
  if (running) setTimeout(work);
}

/** The strip of a taxon: at once where it was drawn before, else when its turn comes, so that a long list never blocks the page. */
export function useStrip(profiled: ProfiledTaxon, vocabulary: Vocabulary): Glyph[] | undefined {
  const [, redraw] = useState(0);
  const held = drawn.get(profiled);
  useEffect(() => {
    if (drawn.has(profiled)) return;
    const job = { profiled, vocabulary, done: () => redraw((n) => n + 1) };
    waiting.push(job);
    if (!running) {
      running = true;
      setTimeout(work);
    }
    return () => {
      const at = waiting.indexOf(job);
      if (at >= 0) waiting.splice(at, 1);
    };
  }, [profiled, vocabulary]);
  return held;
}
