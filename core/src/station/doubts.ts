import { isDeciduous, leafyShare, type ProfiledTaxon, type ReadingOptions } from '../evidence/index.ts';
import { hopkinsDelay, partPresent, shiftCalendar } from '../season/index.ts';
import { enoughToDraw, type EnoughToDraw } from '../specimen/index.ts';
import { listInWords, SHOWN_TITLES, type Spoken } from '../view/index.ts';
import { putIn, type Vocabulary } from '../vocabulary/index.ts';
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

/** That too little is scored to draw its leaves (leaflets, blade length); nothing where the drawing rests on scores. */
function tooLittleInWords(
  found: readonly EnoughToDraw[],
  vocabulary: Vocabulary,
  { say, list }: Spoken,
): string[] {
  if (found.length === 0) return [];
  const organs = list(found.map(({ organ }) => say(SHOWN_TITLES[organ])));
  const missing = found.flatMap((entry) => entry.missing).map((id) => vocabulary.get(id)?.term ?? id);
  const parts = `${organs}${missing.length ? ` (${missing.slice(0, 5).join(', ')})` : ''}`;
  return [putIn(say('Too little is scored to draw its #. Score them, or choose another medium.'), parts)];
}

/**
 * What stands against a station besides its rivals (`stationFairness`): parts that are not there on the day, a drawing that would be a guess, and
 * what hurts. Sentences for the instructor, the gravest first.
 *
 * @param station its view with the day of the quiz
 * @param spoken how its fixed sentences and words are said in another language
 */
export function doubtsOf(
  station: PlannedStation,
  context: DoubtContext,
  spoken: Spoken = { say: (words) => words, list: listInWords },
): string[] {
  const { list, vocabulary, policy, ...options } = context;
  const { say } = spoken;
  const profiled = list.find(({ taxon }) => taxon.id === station.taxonId);
  if (!profiled) return [say('This species is not on the course’s list.')];
  return [
    ...absentParts(station, profiled, options).map(say),
    ...tooLittleInWords(tooLittleToDraw(station, context), vocabulary, spoken),
    ...(policy === 'common' && !station.question ? sharedNames(profiled, list, spoken) : []),
    ...handled(station, profiled, spoken),
  ];
}

/** Taxa of a list, the same array for the same list: names are learnt once for each. */
const taxaOf = new WeakMap<readonly ProfiledTaxon[], NamedTaxon[]>();

/** Common names of a tree that other trees of the list bear as well. */
function sharedNames(
  { taxon }: ProfiledTaxon,
  list: readonly ProfiledTaxon[],
  { say, list: listed }: Spoken,
): string[] {
  const taxa = taxaOf.get(list) ?? list.map((each) => each.taxon);
  taxaOf.set(list, taxa);
  return taxon.commonNames.flatMap((name) => {
    const { how, candidates = [] } = resolveName(name, taxa);
    const others = taxa.filter(({ id }) => id !== taxon.id && candidates.includes(id));
    return how === 'ambiguous' && others.length > 0
      ? [
          putIn(
            putIn(say('“#” is # as well: whoever writes it names either.'), upperFirst(name)),
            listed(others.map(commonName)),
          ),
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

function handled({ view }: PlannedStation, { taxon }: ProfiledTaxon, { say }: Spoken): string[] {
  if (!view.organs.includes('twig') || taxon.cautions.length === 0) return [];
  const kinds = taxon.cautions.map(({ kind, part }) => `${say(kind)} (${part})`);
  return [putIn(say('Caution: #.'), kinds.join(', '))];
}
