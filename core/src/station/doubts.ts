import { isDeciduous, leafyShare, type ProfiledTaxon, type ReadingOptions } from '../evidence/index.ts';
import { hopkinsDelay, partPresent, shiftCalendar } from '../season/index.ts';
import { enoughToDraw, type EnoughToDraw } from '../specimen/index.ts';
import { listInWords, SHOWN_TITLES } from '../view/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import type { PlannedStation } from './station.ts';
import { resolveName, type NamedTaxon, type NamingPolicy } from '../names/index.ts';
import { commonName } from '../taxon/index.ts';
import { upperFirst } from '../words/index.ts';

export interface DoubtContext extends ReadingOptions {
  /** What students are asked for; where it is the common name, one that two trees bear is a doubt. */
  policy?: NamingPolicy;
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
}

/** The organs of a drawing station for which too little is scored; none at stations that are not drawn. */
export function tooLittleToDraw(
  { taxonId, medium, view }: PlannedStation,
  { list, vocabulary, reference, site }: DoubtContext,
): EnoughToDraw[] {
  const profiled = list.find(({ taxon }) => taxon.id === taxonId);
  if (!profiled || medium !== 'drawing') return [];
  const delay = reference && site ? hopkinsDelay(reference, site) : 0;
  const calendar = shiftCalendar(profiled.taxon.calendar, delay);
  return enoughToDraw(profiled, view, vocabulary, calendar).filter(({ enough }) => !enough);
}

/** “too little is scored to draw its leaves (leaflets, blade length)”, or nothing where the drawing rests on scores. */
function tooLittleInWords(found: readonly EnoughToDraw[], vocabulary: Vocabulary): string {
  if (found.length === 0) return '';
  const organs = listInWords(found.map(({ organ }) => SHOWN_TITLES[organ]));
  const missing = found.flatMap((entry) => entry.missing).map((id) => vocabulary.get(id)?.term ?? id);
  return `too little is scored to draw its ${organs}${missing.length ? ` (${missing.slice(0, 5).join(', ')})` : ''}`;
}

/**
 * What stands against a station besides its rivals (`stationFairness`): parts that are not there on the day, a drawing that would be a guess, and
 * what hurts. Sentences for the instructor, the gravest first.
 *
 * @param station its view with the day of the quiz
 */
export function doubtsOf(station: PlannedStation, context: DoubtContext): string[] {
  const { list, vocabulary, policy, ...options } = context;
  const profiled = list.find(({ taxon }) => taxon.id === station.taxonId);
  if (!profiled) return ['This species is not on the course’s list.'];
  const tooLittle = tooLittleInWords(tooLittleToDraw(station, context), vocabulary);
  return [
    ...absentParts(station, profiled, options),
    ...(tooLittle ? [`${upperFirst(tooLittle)}. Score them, or choose another medium.`] : []),
    ...(policy === 'common' && !station.question ? sharedNames(profiled, list) : []),
    ...handled(station, profiled),
  ];
}

/** Taxa of a list, the same array for the same list: names are learnt once for each. */
const taxaOf = new WeakMap<readonly ProfiledTaxon[], NamedTaxon[]>();

/** Common names of a tree that other trees of the list bear as well. */
function sharedNames({ taxon }: ProfiledTaxon, list: readonly ProfiledTaxon[]): string[] {
  const taxa = taxaOf.get(list) ?? list.map((each) => each.taxon);
  taxaOf.set(list, taxa);
  return taxon.commonNames.flatMap((name) => {
    const { how, candidates = [] } = resolveName(name, taxa);
    const others = taxa.filter(({ id }) => id !== taxon.id && candidates.includes(id));
    return how === 'ambiguous' && others.length > 0
      ? [
          `“${upperFirst(name)}” is ${listInWords(others.map(commonName))} as well: whoever writes it names either.`,
        ]
      : [];
  });
}

function absentParts(
  { view }: PlannedStation,
  profiled: ProfiledTaxon,
  { reference, site }: ReadingOptions,
): string[] {
  const delay = reference && site ? hopkinsDelay(reference, site) : 0;
  const calendar = shiftCalendar(profiled.taxon.calendar, delay);
  const deciduous = isDeciduous(profiled);
  const absent = (part: 'leaves' | 'flowers' | 'fruit') => !partPresent(part, calendar, deciduous, view.day);
  const { organs } = view;
  const doubts: string[] = [];
  const leafy = leafyShare(calendar, deciduous, view);
  if (leafy > 0 && leafy < 1)
    doubts.push(
      'On that date some of them are in leaf and some are bare. Say which is shown, so that all look at the same.',
    );
  if (organs.includes('leaf') && absent('leaves'))
    doubts.push(
      organs.includes('twig') || organs.includes('bud')
        ? 'It has no leaves on that date: only twig and buds can be shown. Take the leaves out, or bring pressed ones.'
        : 'It has no leaves on that date.',
    );
  if (organs.includes('fruit') && absent('fruit')) doubts.push('It bears no fruit on that date.');
  if (organs.includes('flower') && absent('flowers')) doubts.push('It is not in flower on that date.');
  return doubts;
}

function handled({ view }: PlannedStation, { taxon }: ProfiledTaxon): string[] {
  if (!view.organs.includes('twig') || taxon.cautions.length === 0) return [];
  return [`Caution: ${taxon.cautions.map(({ kind, part }) => `${kind} (${part})`).join(', ')}.`];
}
