import { useCallback } from 'react';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { commonName } from '@hurrow/core/taxon';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { useDrawnLater } from '../app/drawnLater.ts';
import { beside } from '../workers/drawnBeside.ts';
import type { TreeSetting } from '../workers/pictures.ts';

/** Days of a week look alike on a small plate. */
const LOOKS_ALIKE = 7;

/** A twig of a tree as it stands on a day, as the address of a picture; undefined until it is drawn. */
export function useSmallPlate(
  profiled: ProfiledTaxon,
  vocabulary: Vocabulary,
  setting: TreeSetting,
): string | undefined {
  const draw = useCallback(
    () => beside().tree(vocabulary, profiled, setting, commonName(profiled.taxon)),
    [profiled, vocabulary, setting],
  );
  return useDrawnLater(profiled, String(Math.round(setting.day / LOOKS_ALIKE)), draw);
}
