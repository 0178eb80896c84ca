import { useEffect, useState } from 'react';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { drawingOfTree, type DrawingSetting } from '@hurrow/core/lesson';
import { drawingToSvg } from '@hurrow/core/specimen';
import { commonName } from '@hurrow/core/taxon';

/** Milliseconds of drawing before the page gets its turn again. */
const SLICE = 8;
/** Days of a month look alike on a small plate. */
const LOOKS_ALIKE = 7;

/** Plates that were drawn, by what they show; as long as the profile lives. */
const drawn = new WeakMap<ProfiledTaxon, Map<number, string>>();
const waiting: (() => void)[] = [];
let running = false;

function work(): void {
  const start = performance.now();
  while (waiting.length > 0 && performance.now() - start < SLICE) waiting.shift()!();
  running = waiting.length > 0;
  if (running) setTimeout(work);
}

/** A twig of a tree as it stands on a day, as the address of a picture; undefined until its turn to be drawn has come. */
export function useSmallPlate(profiled: ProfiledTaxon, setting: DrawingSetting): string | undefined {
  const [, redraw] = useState(0);
  const key = Math.round(setting.day / LOOKS_ALIKE);
  const held = drawn.get(profiled)?.get(key);
  useEffect(() => {
    if (drawn.get(profiled)?.has(key)) return;
    const job = () => {
      const drawing = drawingOfTree(profiled, ['twig', 'bud', 'leaf'], { ...setting, insets: false });
      const svg = drawing ? drawingToSvg({ ...drawing, scaleBars: [] }, commonName(profiled.taxon)) : '';
      const of = drawn.get(profiled) ?? new Map<number, string>();
      of.set(key, svg && `data:image/svg+xml,${encodeURIComponent(svg)}`);
      drawn.set(profiled, of);
      redraw((n) => n + 1);
    };
    waiting.push(job);
    if (!running) {
      running = true;
      setTimeout(work);
    }
    return () => {
      const at = waiting.indexOf(job);
      if (at >= 0) waiting.splice(at, 1);
    };
  }, [profiled, key, setting]);
  return held;
}
