import { randomFrom, type Random } from '@hurrow/core/random';
import type { NamedTaxon } from '@hurrow/core/names';
import { scientificName } from '@hurrow/core/taxon';

/** One answer as a student might write it, and the taxon that a good reader takes it for: none for what nobody should accept. */
export interface WrittenAnswer {
  kind: string;
  text: string;
  wanted: string | null;
}

const SENTENCES = [
  "I think it's NAME",
  'this is a NAME',
  'Probably NAME?',
  'My guess is NAME',
  'It looks like a NAME because of the bark',
  '7. NAME',
  'The tree is NAME.',
  'maybe NAME',
];

/** How Latin is misspelled by ear: each turns a right word into a wrong one, or leaves it. */
const BY_EAR: [RegExp, string][] = [
  [/y/, 'i'],
  [/ph/, 'f'],
  [/ae/, 'e'],
  [/th/, 't'],
  [/rh/, 'r'],
  [/([lnst])\1/, '$1'],
  [/ii$/, 'i'],
  [/us$/, 'is'],
  [/a$/, 'um'],
  [/i(?=[a-z]{3})/, 'y'],
  [/([bcdlmnprst])(?=[aeiou][a-z])/, '$1$1'],
];

/**
 * Answers of every class, made from a list: right names in all the ways in which they are written, and names that are none of the list. The
 * same seed gives the same table.
 *
 */
export function nameTable(list: readonly NamedTaxon[], seed: number, perClass = 20): WrittenAnswer[] {
  const random = randomFrom(seed);
  const pick = <T>(items: readonly T[]): T => random.pick(items);
  const some = (kind: string, make: () => Omit<WrittenAnswer, 'kind'> | undefined): WrittenAnswer[] => {
    const rows: WrittenAnswer[] = [];
    for (let tries = 0; rows.length < perClass && tries < perClass * 20; tries += 1) {
      const row = make();
      if (row && !rows.some(({ text }) => text === row.text)) rows.push({ kind, ...row });
    }
    return rows;
  };
  const right = (kind: string, write: (taxon: NamedTaxon) => string | undefined): WrittenAnswer[] =>
    some(kind, () => {
      const taxon = pick(list);
      const text = write(taxon);
      return text === undefined ? undefined : { text, wanted: taxon.id };
    });
  const wrong = (kind: string, write: () => string | undefined): WrittenAnswer[] =>
    some(kind, () => {
      const text = write();
      return text === undefined ? undefined : { text, wanted: null };
    });
  const ownCommon = (taxon: NamedTaxon) => pick(taxon.commonNames);
  const either = (taxon: NamedTaxon) => (random.uniform() < 0.5 ? scientificName(taxon) : ownCommon(taxon));
  const isBorneOnce = (name: string) =>
    list.filter(({ commonNames }) => commonNames.includes(name)).length === 1;
  const onlyInGenus = ({ genus }: NamedTaxon) => list.filter((each) => each.genus === genus).length === 1;
  const initials = (taxon: NamedTaxon) =>
    list.filter(({ genus, epithet }) => genus[0] === taxon.genus[0] && epithet === taxon.epithet).length ===
    1;
  const another = (taxon: NamedTaxon) => pick(list.filter(({ id }) => id !== taxon.id));
  return [
    ...right('scientific', (taxon) =>
      pick([
        scientificName(taxon),
        scientificName(taxon).toUpperCase(),
        ` ${scientificName(taxon).toLowerCase()}  `,
      ]),
    ),
    ...right('with authors', (taxon) => taxon.authority && `${scientificName(taxon)} ${taxon.authority}`),
    ...right('genus shortened', (taxon) =>
      initials(taxon) ? `${taxon.genus[0]}. ${taxon.epithet}` : undefined,
    ),
    ...right('turned round', (taxon) => `${taxon.epithet} ${taxon.genus}`),
    ...right('common', (taxon) =>
      pick([ownCommon(taxon), ownCommon(taxon).toUpperCase(), ownCommon(taxon).toLowerCase()]),
    ),
    ...right('common, plural', (taxon) => {
      const name = ownCommon(taxon);
      return /(?:ch|sh)$/.test(name) ? `${name}es` : /y$/.test(name) ? `${name.slice(0, -1)}ies` : `${name}s`;
    }),
    ...right('common, joined or parted', (taxon) => {
      const name = ownCommon(taxon);
      return name.includes('-')
        ? name.replaceAll('-', pick([' ', '']))
        : name.includes(' ')
          ? name.replaceAll(' ', pick(['-', '']))
          : undefined;
    }),
    ...right('common, turned round', (taxon) => {
      const words = ownCommon(taxon).split(' ');
      return words.length === 2 ? `${words[1]}, ${words[0]}` : undefined;
    }),
    ...right('in a sentence', (taxon) => pick(SENTENCES).replace('NAME', either(taxon))),
    ...right('two that agree', (taxon) =>
      pick([
        'COMMON / LATIN',
        'LATIN (COMMON)',
        'COMMON, LATIN',
        'LATIN or COMMON',
        'COMMON (LATIN)',
        'LATIN COMMON',
        'COMMON = LATIN',
      ])
        .replace('COMMON', ownCommon(taxon))
        .replace('LATIN', scientificName(taxon)),
    ),
    ...right('with the family', (taxon) =>
      pick(['LATIN, FAMILY', 'FAMILY: LATIN', 'LATIN (FAMILY)', 'FAMILY LATIN', 'LATIN FAMILY'])
        .replace('LATIN', scientificName(taxon))
        .replace('FAMILY', taxon.family),
    ),
    ...right(
      'cultivar or lower rank',
      (taxon) =>
        `${scientificName(taxon)} ${pick(["'Glauca'", "'Weeping Star'", 'var. latifolia', 'subsp. borealis', 'f. pendula', 'ssp. montana'])}`,
    ),
    ...right('by ear', (taxon) => {
      const [hear, said] = pick(BY_EAR);
      const [genus, epithet] = [taxon.genus.toLowerCase(), taxon.epithet];
      const which = random.uniform() < 0.5;
      const text = which
        ? `${genus.replace(hear, said)} ${epithet}`
        : `${genus} ${epithet.replace(hear, said)}`;
      return text === `${genus} ${epithet}` ? undefined : text;
    }),
    ...right('a slip of the keys', (taxon) => slipped(scientificName(taxon), random)),
    ...right('a slip in a common name', (taxon) => {
      const name = ownCommon(taxon);
      return isBorneOnce(name) && name.length > 6 ? slipped(name, random) : undefined;
    }),
    ...right('genus alone, one of it', (taxon) =>
      onlyInGenus(taxon) ? pick([taxon.genus, `${taxon.genus} sp.`]) : undefined,
    ),
    ...wrong('genus of one, epithet of another', () => {
      const taxon = pick(list);
      const other = another(taxon);
      const stands = list.some(
        ({ genus, epithet, synonyms }) =>
          (genus === taxon.genus && sameStem(epithet, other.epithet)) ||
          synonyms.some((name) => name.startsWith(`${taxon.genus} ${other.epithet.slice(0, -2)}`)),
      );
      return stands || taxon.genus === other.genus ? undefined : `${taxon.genus} ${other.epithet}`;
    }),
    ...wrong('two trees', () => {
      const taxon = pick(list);
      const other = another(taxon);
      return pick(['A or B', 'A / B', 'A, maybe B', 'either A or B', 'A (B)'])
        .replace('A', either(taxon))
        .replace('B', either(other));
    }),
    ...wrong('blends of common names', () => {
      const [a, b] = [ownCommon(pick(list)).split(' '), ownCommon(pick(list)).split(' ')];
      if (a.length !== 2 || b.length !== 2) return undefined;
      const text = `${a[0]} ${b[1]}`;
      const plain = (name: string) => name.toLowerCase().replace(/'s?|-/g, '');
      const stands = list.some(({ commonNames }) =>
        commonNames.some((name) => plain(name).endsWith(plain(text)) || plain(text).endsWith(plain(name))),
      );
      return stands ? undefined : text;
    }),
    ...wrong('denied', () => `not ${either(pick(list))}`),
    ...wrong('genus alone, several of it', () => {
      const taxon = pick(list);
      return onlyInGenus(taxon) ? undefined : pick([taxon.genus, `${taxon.genus} sp.`, `${taxon.genus} spp`]);
    }),
    ...wrong('noise', () =>
      pick([
        'xxxx',
        'asdf',
        'qwerty',
        'jkl jkl',
        'zzz',
        'aaaa',
        'hmm',
        'tree',
        'a tree',
        '???',
        'idk',
        "I don't know",
        'no idea',
        'green',
        'conifer',
        'leaf',
        'bush',
        'lol',
        'n/a',
        '12',
        'help',
        'evergreen',
        'pass',
        'shrub thing',
      ]),
    ),
  ];
}

const sameStem = (a: string, b: string): boolean => a.slice(0, -2) === b.slice(0, -2);

/** One slip of the keys: a letter left out, doubled, swapped with the next, or hit beside, never the first of a word. */
export function slipped(name: string, random: Random): string {
  for (;;) {
    const at = Math.floor(random.uniform() * name.length);
    const [before, letter, after] = [name[at - 1], name[at]!, name[at + 1]];
    if (!before || !/[a-z]/i.test(before) || !/[a-z]/.test(letter)) continue;
    const [front, back] = [name.slice(0, at), name.slice(at + 1)];
    const way = Math.floor(random.uniform() * 4);
    if (way === 0) return front + back;
    if (way === 1) return front + letter + letter + back;
    if (way === 2 && after && /[a-z]/.test(after) && after !== letter)
      return front + after + letter + name.slice(at + 2);
    const beside = BESIDE[letter];
    if (way === 3 && beside) return front + beside[Math.floor(random.uniform() * beside.length)]! + back;
  }
}

const BESIDE: Record<string, string> = {
  a: 'sq',
  b: 'vn',
  c: 'xv',
  d: 'sf',
  e: 'wr',
  f: 'dg',
  g: 'fh',
  h: 'gj',
  i: 'uo',
  j: 'hk',
  k: 'jl',
  l: 'k',
  m: 'n',
  n: 'bm',
  o: 'ip',
  p: 'o',
  q: 'w',
  r: 'et',
  s: 'ad',
  t: 'ry',
  u: 'yi',
  v: 'cb',
  w: 'qe',
  x: 'zc',
  y: 'tu',
  z: 'x',
};
