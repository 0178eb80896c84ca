import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import type { Library, TaxonStatements } from '@hurrow/core/library';
import type { Caution, CautionKind, Taxon } from '@hurrow/core/taxon';
import type { Range } from '@hurrow/core/range';
import { demoLibrary } from './library.ts';
import { demoRanges, lowlandRanges } from './ranges.ts';
import { calendarOf, scoresOf } from './taxonText.ts';

/** A library that an empty Hurrow can begin with. */
export interface Starter {
  /** Its file is `starters/<id>.json`. */
  id: string;
  library: Library & { name: string };
  /** By the id of the taxon. */
  ranges: Record<string, Range>;
}

/** Lines of characters by organ: `leaf: 'shape obovate | lobing pinnate'`. */
type Organs = Record<string, string>;

interface Tree extends Record<string, string | string[]> {
  like: string[];
  names: string;
  aid: string;
  calendar: string;
}

interface StarterFile {
  name: string;
  source: string;
  reference: Library['reference'];
  bases: Record<string, Organs>;
  trees: Tree[];
}

const SOURCE = 'starter';
const ABOUT: readonly string[] = ['like', 'names', 'german', 'aid', 'calendar', 'cautions'];

/** The starter libraries: the second flora, and the trees of the demo without the demo's own field notes. */
export const starters = (): Starter[] => [
  { id: 'lowland', library: secondFlora(), ranges: lowlandRanges() },
  { id: 'inland', library: withoutNotes(), ranges: demoRanges() },
];

/**
 * The second flora as it is written in `demo/starters/lowland.yaml`; it proves that nothing is fitted to one list. Throws, with the tree, on
 * anything that cannot be read.
 */
export function secondFlora(): Starter['library'] {
  const file = parse(
    readFileSync(new URL('../starters/lowland.yaml', import.meta.url), 'utf8'),
  ) as StarterFile;
  return {
    name: file.name,
    reference: file.reference,
    sources: [{ id: SOURCE, label: file.source }],
    reconciliation: { rule: 'preferred', order: [SOURCE] },
    characters: [],
    taxa: file.trees
      .map((tree) => readTree(tree, file.bases))
      .sort((a, b) => a.taxon.id.localeCompare(b.taxon.id)),
  };
}

function withoutNotes(): Starter['library'] {
  const { taxa, ...library } = demoLibrary();
  return {
    ...library,
    name: 'Trees of the Inland Northwest, starter',
    sources: [{ id: SOURCE, label: 'Starter descriptions' }],
    reconciliation: { rule: 'preferred', order: [SOURCE] },
    taxa: taxa.map(({ taxon, scores }) => ({
      taxon,
      scores: scores.flatMap((score) =>
        score.sourceId === 'manual' ? [{ ...score, sourceId: SOURCE }] : [],
      ),
    })),
  };
}

const listed = (text: string): string[] =>
  text
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean);
const parted = (line: string): string[] => line.split('|').map((part) => part.trim());

function readTree(tree: Tree, bases: Record<string, Organs>): TaxonStatements {
  const [scientific, family, familyCommon, common, synonyms = ''] = parted(tree.names) as [
    string,
    string,
    string,
    string,
    string?,
  ];
  const [, genus, hybrid, epithet, authority] = /^(\S+) (× )?(\S+) (.+)$/.exec(scientific)!;
  const id = `${genus}-${epithet}`.toLowerCase();
  const own = Object.fromEntries(Object.entries(tree).filter(([key]) => !ABOUT.includes(key))) as Organs;
  const entries: Record<string, string> = {};
  for (const organs of [...tree.like.map((name) => baseOf(name, bases)), own])
    for (const [organ, line] of Object.entries(organs)) Object.assign(entries, charactersOf(organ, line));
  const taxon: Taxon = {
    id,
    rank: 'species',
    genus: genus!,
    epithet: epithet!,
    ...(hybrid ? { hybrid: true } : {}),
    authority: authority!,
    family,
    familyCommon,
    commonNames: listed(common),
    ...(typeof tree['german'] === 'string' ? { namesIn: { de: listed(tree['german']) } } : {}),
    synonyms: listed(synonyms),
    memoryAid: tree.aid,
    calendar: calendarOf(
      Object.fromEntries(parted(tree.calendar).map((part) => part.split(/ (.*)/s) as [string, string])),
      id,
    ),
    cautions: typeof tree['cautions'] === 'string' ? [cautionOf(tree['cautions'])] : [],
  };
  return { taxon, scores: scoresOf(entries, SOURCE, id) };
}

function baseOf(name: string, bases: Record<string, Organs>): Organs {
  const base = bases[name];
  if (!base) throw new Error(`There is nothing called “${name}” to take over`);
  return base;
}

/** `surface [plantAge=mature] only papery | color only white`, of an organ, by character. */
const charactersOf = (organ: string, line: string): Record<string, string> =>
  Object.fromEntries(
    parted(line).map((part) => {
      const [, name, qualifier, value] = /^(\S+)(?: (\[[^\]]+\]))? (.+)$/s.exec(part)!;
      return [`${organ}.${name}${qualifier ? ` ${qualifier}` : ''}`, value!];
    }),
  );

function cautionOf(line: string): Caution {
  const [kind, part, effect, care] = parted(line) as [CautionKind, string, string, string];
  return { kind, part, effect, care };
}
