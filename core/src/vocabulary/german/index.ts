import { readTongue } from '../tongue.ts';
import { BARK, WOOD } from './bark.ts';
import { FLOWER } from './flower.ts';
import { FRUIT } from './fruit.ts';
import { HABIT } from './habit.ts';
import { LEAF } from './leaf.ts';
import { NEEDLE } from './needle.ts';
import { GERMAN_SAYING } from './saying.ts';
import { SHARED } from './shared.ts';
import { SITE } from './site.ts';
import { BUD, TWIG } from './twig.ts';

/** The built-in vocabulary in German. */
export const GERMAN = readTongue(
  [HABIT, LEAF, NEEDLE, TWIG, BUD, FLOWER, FRUIT, BARK, WOOD, SITE].join('\n'),
  SHARED,
  GERMAN_SAYING,
);
