import type { Scene } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';
import { catkinCones, samaraCones, seedCone } from './cone.ts';
import { capsules, heads, pods } from './dry.ts';
import { acorn, bractNutlets, huskNut } from './nut.ts';
import { pairedSamaras, singleSamaras } from './samara.ts';
import { coniferBerries, fleshyFruits } from './fleshy.ts';

/** The fruit or cone of one individual by its type; undefined where its type is not known or it is not on the tree. */
export function fruitOf(traits: Traits): Scene | undefined {
  switch (new TraitReader(traits).state('fruit.type', 'unknown')) {
    case 'seedCone':
      return seedCone(traits);
    case 'catkinCone':
      return catkinCones(traits);
    case 'samaraCone':
      return samaraCones(traits);
    case 'follicleCone':
      return heads(traits, true);
    case 'berryCone':
    case 'arilSeed':
      return coniferBerries(traits);
    case 'singleSamara':
      return singleSamaras(traits);
    case 'pairedSamara':
      return pairedSamaras(traits);
    case 'acorn':
      return acorn(traits);
    case 'huskNut':
      return huskNut(traits);
    case 'bractNutlet':
      return bractNutlets(traits);
    case 'capsule':
      return capsules(traits);
    case 'pod':
      return pods(traits);
    case 'drupe':
    case 'pome':
    case 'berry':
      return fleshyFruits(traits);
    case 'ball':
      return heads(traits, false);
    default:
      return undefined;
  }
}
