import { useCallback } from 'react';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { drawingOfTree, type DrawingSetting } from '@hurrow/core/lesson';
import { drawingToSvg } from '@hurrow/core/specimen';
import { commonName } from '@hurrow/core/taxon';
import { useDrawnLater } from '../app/drawnLater.ts';

/** Days of a week look alike on a small plate. */
const LOOKS_ALIKE = 7;

/** A twig of a tree as it stands on a day, as the address of a picture; undefined until its turn to be drawn has come. */
export function useSmallPlate(profiled: ProfiledTaxon, setting: DrawingSetting): string | undefined {
  const svg = useCallback(() => {
    const drawing = drawingOfTree(profiled, ['twig', 'bud', 'leaf'], { ...setting, insets: false });
    return drawing && drawingToSvg({ ...drawing, scaleBars: [] }, commonName(profiled.taxon));
  }, [profiled, setting]);
  return useDrawnLater(profiled, String(Math.round(setting.day / LOOKS_ALIKE)), svg);
}
