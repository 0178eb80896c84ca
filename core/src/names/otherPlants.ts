import { WOODY_COMMON } from './reference/common.ts';
import { WOODY_LATIN } from './reference/latin.ts';
import { normaliseName } from './fold.ts';
import { comparedWords } from './compared.ts';
import { WordBank } from './slip.ts';

/** Which names belong to some plant, on a list or not, and which words stand in such names. */
export interface OtherPlants {
  /** Epithets by genus, both as plain words. */
  epithets: ReadonlyMap<string, readonly string[]>;
  /** Genera as they are written, by their plain word. */
  genera: ReadonlyMap<string, string>;
  genusBank: WordBank;
  /** The epithets of a genus, to be sought in. */
  epithetBank(genus: string): WordBank | undefined;
  isEpithet(word: string): boolean;
  /** A whole common name, its words joined: as it is written. */
  common: ReadonlyMap<string, string>;
  /** Whole common names, their words joined. */
  commonBank: WordBank;
  /** Is this whole common name, its words joined, that of one plant and not of a kind of which there are several? */
  isOneKind(joined: string): boolean;
  /** A word that names of plants end in. */
  isNoun(word: string): boolean;
  /** A word of common names. */
  isCommonWord(word: string): boolean;
}

/** Words that stand in many names of plants, or around them, and are never a slip for another. */
const MORE_WORDS =
  'tree shrub bush big small large little great tall dwarf giant bitter sweet sour salt bald true false hard soft early late old new long short broad narrow thin thick round flat rough smooth shiny hairy woolly sticky spiny thorny curly straight purple scarlet orange violet gold golden copper bronze ivory pink island ridge lake creek canyon valley coast shore beach hill snow frost fire sun shade house garden street fruit nut bark leaf root cone needle flower wood bud scale southern northern eastern western upland lowland highland';

let held: OtherPlants | undefined;

/** The plants that are written down in `reference/`. */
export function otherPlants(): OtherPlants {
  held ??= gather();
  return held;
}

function gather(): OtherPlants {
  const epithets = new Map<string, string[]>();
  const banks = new Map<string, WordBank>();
  const genera = new Map<string, string>();
  const allEpithets = new Set<string>();
  for (const line of WOODY_LATIN.trim().split('\n')) {
    const [genus = '', rest = ''] = line.split(':');
    const words = rest
      .split(/\s+/)
      .map((word) => normaliseName(word).replace(/ /g, ''))
      .filter(Boolean);
    genera.set(normaliseName(genus), genus);
    epithets.set(normaliseName(genus), words);
    for (const word of words) allEpithets.add(word);
  }
  const common = new Map<string, string>();
  const single = new Set<string>();
  const nouns = new Set<string>();
  const words = new Set(MORE_WORDS.split(' ').flatMap(comparedWords));
  for (const line of WOODY_COMMON.trim().split('\n')) {
    const [noun = '', rest = ''] = line.split(':');
    nouns.add(comparedWords(noun).at(-1)!);
    if (rest.trim() === '-') single.add(comparedWords(noun).join(''));
    for (const modifier of rest.split(',').map((each) => each.trim())) {
      const written = modifier.replace(/^-\s*/, '');
      // “- sweet” are two: the noun alone, and the noun with what follows.
      if (modifier.startsWith('-')) common.set(comparedWords(noun).join(''), noun);
      if (written) common.set(comparedWords(`${written} ${noun}`).join(''), `${written} ${noun}`);
      for (const word of comparedWords(`${written} ${noun}`)) words.add(word);
    }
  }
  return {
    epithets,
    genera,
    genusBank: new WordBank(genera.keys(), 'latin'),
    epithetBank: (genus) => {
      const own = epithets.get(genus);
      const bank = banks.get(genus) ?? (own && new WordBank(own, 'latin'));
      if (bank) banks.set(genus, bank);
      return bank;
    },
    isEpithet: (word) => allEpithets.has(word),
    common,
    commonBank: new WordBank(common.keys(), 'english'),
    isOneKind: (joined) => single.has(joined),
    isNoun: (word) => nouns.has(word),
    isCommonWord: (word) => words.has(word),
  };
}
