import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { done, refused, type Outcome } from '../outcome/index.ts';
import {
  FREQUENCIES,
  unitFactor,
  type Frequency,
  type Qualifiers,
  type RangeValue,
  type Score,
  type StateFrequency,
} from '../score/index.ts';
import { languageTag, type Taxon } from '../taxon/index.ts';
import { QUALIFIER_NAMES, type Character, type Vocabulary } from '../vocabulary/index.ts';
import { SDD_MEASURES, type SddContent } from './sdd.ts';

export interface ReadSdd extends SddContent {
  /** Parts of the file that were passed over, and why: one sentence each. */
  ignored: string[];
}

type Node = Record<string, unknown>;
const list = (node: unknown): Node[] =>
  node === undefined || node === '' ? [] : ((Array.isArray(node) ? node : [node]) as Node[]);
const inside = (node: unknown, ...path: string[]): unknown =>
  path.reduce<unknown>((at, name) => (at && typeof at === 'object' ? (at as Node)[name] : undefined), node);
const textOf = (node: unknown): string =>
  typeof node === 'object' && node !== null ? String((node as Node)['#text'] ?? '') : String(node ?? '');
const labelsOf = (node: Node) => list(inside(node, 'Representation', 'Label'));
const labelOf = (node: Node): string => textOf(labelsOf(node)[0]);
const idOf = (node: Node): string => String(node['@_id'] ?? '');
const refOf = (node: unknown): string => String(inside(node, '@_ref') ?? '');

const TAKEN = new Set([
  'Representation',
  'TaxonNames',
  'DescriptiveConcepts',
  'Characters',
  'Agents',
  'CodedDescriptions',
]);

/** Other names of the measures of a range in files that others wrote. */
const MEASURE_NAMES: Record<string, keyof typeof SDD_MEASURES> = {
  ...Object.fromEntries(Object.entries(SDD_MEASURES).map(([end, type]) => [type, end])),
  UMethLower: 'low',
  UMethUpper: 'high',
  LowerRangeLegal: 'min',
  UpperRangeLegal: 'max',
  Mean: 'typical',
};

/**
 * Reads TDWG SDD 1.1. Our own files come back equal. In a foreign file characters and states are known by their labels, as
 * term or plain words; what is not known is passed over and named in the report. A file of several datasets is read whole.
 */
export function readSdd(xml: string, vocabulary: Vocabulary): Outcome<ReadSdd> {
  const valid = XMLValidator.validate(xml);
  if (valid !== true) return refused(`The file is no XML: ${valid.err.msg} (line ${valid.err.line}).`);
  if (/<!ENTITY/i.test(xml))
    return refused('The file declares XML entities, which are not read. Save it without them.');
  // A description needs a dozen levels; a parser that goes into thousands of them runs out of stack.
  if (depthOf(xml) > DEEPEST)
    return refused(`The file is nested over ${DEEPEST} levels deep, which no SDD file is. Export it again.`);
  const parsed = new XMLParser({
    ignoreAttributes: false,
    parseTagValue: false,
    parseAttributeValue: false,
    removeNSPrefix: true,
    trimValues: true,
  }).parse(xml) as Node;
  // Prefixes are removed from attributes as well: xml:lang is read as lang.
  const datasets = list(inside(parsed, 'Datasets', 'Dataset'));
  if (datasets.length === 0) return refused('The file holds no SDD dataset (Datasets › Dataset).');
  const all: ReadSdd = { name: labelOf(datasets[0]!), sources: [], taxa: [], ignored: [] };
  for (const dataset of datasets) readDataset(dataset, vocabulary, all);
  if (all.taxa.length === 0) return refused('The file describes no taxon (TaxonNames › TaxonName).');
  return done(all);
}

const DEEPEST = 200;

/** How deep the elements of a file are nested. */
function depthOf(xml: string): number {
  let [depth, deepest] = [0, 0];
  for (const [, end, , closed] of xml.matchAll(/<(\/?)([A-Za-z][^\s/>]*)[^>]*?(\/?)>/g)) {
    if (end) depth -= 1;
    else if (!closed) depth += 1;
    deepest = Math.max(deepest, depth);
  }
  return deepest;
}

interface KnownCharacter {
  character: Character;
  /** State id by the XML id of the file. */
  states: Map<string, string>;
}

/** Common names as a file has them: those of its own language, or of none, and those of others by their tags. */
function namesByLanguage(labels: readonly Node[], own: string): Pick<Taxon, 'commonNames' | 'namesIn'> {
  const commonNames: string[] = [];
  const namesIn: Record<string, string[]> = {};
  for (const label of labels) {
    const written = inside(label, '@_lang');
    // What names no language is a name all the same.
    const tag = typeof written === 'string' && written !== own ? languageTag(written) : undefined;
    if (tag === undefined) commonNames.push(textOf(label));
    else (namesIn[tag] ??= []).push(textOf(label));
  }
  return { commonNames, ...(Object.keys(namesIn).length > 0 ? { namesIn } : {}) };
}

function readDataset(dataset: Node, vocabulary: Vocabulary, into: ReadSdd): void {
  for (const part of Object.keys(dataset))
    if (!part.startsWith('@_') && !TAKEN.has(part)) into.ignored.push(`${part} is not read.`);
  const characters = charactersOf(dataset, vocabulary, into.ignored);
  const modifierLabels = new Map<string, string>();
  for (const concept of list(inside(dataset, 'DescriptiveConcepts', 'DescriptiveConcept')))
    for (const modifier of list(inside(concept, 'Modifiers', 'Modifier')))
      modifierLabels.set(idOf(modifier), labelOf(modifier));
  for (const agent of list(inside(dataset, 'Agents', 'Agent')))
    into.sources.push({ id: idOf(agent).replace(/^a\./, ''), label: labelOf(agent) });
  const taxa = new Map<string, ReadSdd['taxa'][number]>();
  for (const node of list(inside(dataset, 'TaxonNames', 'TaxonName'))) {
    const labels = labelsOf(node);
    const latin = labels.find((entry) => inside(entry, '@_lang') === 'la') ?? labels[0];
    const authority = textOf(inside(node, 'Authorship', 'Simple'));
    const entry = {
      taxon: {
        id: idOf(node).replace(/^t\./, ''),
        name: textOf(latin),
        ...namesByLanguage(
          labels.filter((other) => other !== latin),
          String(inside(dataset, '@_lang') ?? 'en'),
        ),
        ...(authority ? { authority } : {}),
      },
      scores: [],
    };
    taxa.set(idOf(node), entry);
    into.taxa.push(entry);
  }
  for (const description of list(inside(dataset, 'CodedDescriptions', 'CodedDescription'))) {
    const taxon = taxa.get(refOf(inside(description, 'Scope', 'TaxonName')));
    if (!taxon) {
      into.ignored.push(`The description “${labelOf(description)}” belongs to no taxon name of the file.`);
      continue;
    }
    const agent = refOf(list(inside(description, 'RevisionData', 'Creators', 'Agent'))[0]);
    const sourceId = agent.replace(/^a\./, '');
    taxon.scores.push(...scoresOf(description, sourceId, characters, modifierLabels, into.ignored));
  }
}

function charactersOf(dataset: Node, vocabulary: Vocabulary, ignored: string[]): Map<string, KnownCharacter> {
  const known = new Map<string, KnownCharacter>();
  const plain = (text: string) => text.toLowerCase().replace(/[^a-z0-9]+/g, '');
  for (const kind of ['CategoricalCharacter', 'QuantitativeCharacter', 'TextCharacter'])
    for (const node of list(inside(dataset, 'Characters', kind))) {
      const wanted = plain(labelOf(node));
      const character =
        vocabulary.get(idOf(node).replace(/^c\./, '')) ??
        [...vocabulary.values()].find((entry) =>
          [entry.term, entry.plain].some((word) => plain(word) === wanted),
        );
      const number = character?.kind === 'measure' || character?.kind === 'count';
      if (!character || number !== (kind === 'QuantitativeCharacter')) {
        ignored.push(`The character “${labelOf(node)}” is not known here and its values are left out.`);
        continue;
      }
      const states = new Map<string, string>();
      for (const definition of list(inside(node, 'States', 'StateDefinition'))) {
        const word = plain(labelOf(definition));
        const own = idOf(definition).replace(`s.${character.id}.`, '');
        const options =
          character.kind === 'flag' ? [{ id: 'yes', term: 'yes', plain: 'present' }] : character.states;
        const state =
          options.find((entry) => entry.id === own) ??
          options.find((entry) => [entry.id, entry.term, entry.plain].some((name) => plain(name) === word));
        if (state) states.set(idOf(definition), state.id);
        else ignored.push(`The state “${labelOf(definition)}” of ${character.term} is not known here.`);
      }
      known.set(idOf(node), { character, states });
    }
  return known;
}

function scoresOf(
  description: Node,
  sourceId: string,
  characters: Map<string, KnownCharacter>,
  modifierLabels: Map<string, string>,
  ignored: string[],
): Score[] {
  const summary = inside(description, 'SummaryData');
  const scores: Score[] = [];
  const push = (entry: Node, value: Score['value'], characterId: string) => {
    const note = textOf(inside(entry, 'Note'));
    scores.push({
      characterId,
      sourceId,
      qualifiers: qualifiersOf(entry),
      value,
      ...(note ? { note } : {}),
    });
  };
  for (const entry of list(inside(summary, 'Categorical'))) {
    const known = characters.get(refOf(entry));
    if (!known) continue;
    const states = list(inside(entry, 'State')).flatMap((state): StateFrequency[] => {
      const id = known.states.get(refOf(state));
      return id ? [{ state: id, frequency: frequencyOf(state, modifierLabels) }] : [];
    });
    if (states.length === 0) continue;
    const exhaustive = list(inside(entry, 'Modifier')).some((modifier) => refOf(modifier) === 'exhaustive');
    const value: Score['value'] =
      known.character.kind === 'flag'
        ? { kind: 'flag', frequency: states[0]!.frequency }
        : { kind: 'states', states, ...(exhaustive ? { exhaustive } : {}) };
    push(entry, value, known.character.id);
  }
  for (const entry of list(inside(summary, 'Quantitative'))) {
    const known = characters.get(refOf(entry));
    const value = known && rangeOf(entry, known.character);
    if (value) push(entry, value, known.character.id);
  }
  for (const part of Object.keys((summary as Node | undefined) ?? {}))
    if (!['Categorical', 'Quantitative'].includes(part))
      ignored.push(`${part} in a description is not read.`);
  return scores;
}

function rangeOf(entry: Node, character: Character): RangeValue | undefined {
  const factor = unitFactor(character);
  const value: RangeValue = { kind: 'range' };
  for (const measure of list(inside(entry, 'Measure'))) {
    const end = MEASURE_NAMES[String(measure['@_type'])];
    const n = Number(measure['@_value']);
    if (!end || !Number.isFinite(n)) continue;
    value[end] = end === 'n' ? n : Number((n * factor).toPrecision(12));
  }
  for (const modifier of list(inside(entry, 'Modifier'))) {
    const step = /^q\.step\.(\d+)$/.exec(refOf(modifier));
    if (step) value.step = Number(step[1]);
    if (refOf(modifier) === 'q.open.yes') value.open = true;
  }
  return Object.keys(value).length > 1 ? value : undefined;
}

function frequencyOf(state: Node, labels: Map<string, string>): Frequency {
  for (const modifier of list(inside(state, 'Modifier'))) {
    const word = (labels.get(refOf(modifier)) ?? refOf(modifier).replace(/^f\./, '')).toLowerCase();
    const known = FREQUENCIES.find((frequency) => frequency === word);
    if (known) return known;
  }
  return 'always';
}

function qualifiersOf(entry: Node): Qualifiers {
  const pairs = list(inside(entry, 'Modifier')).flatMap((modifier) => {
    const [, name, value] = /^q\.(\w+)\.(.+)$/.exec(refOf(modifier)) ?? [];
    const known = QUALIFIER_NAMES.find((qualifier) => qualifier === name);
    return known && value ? [[known, value] as const] : [];
  });
  return Object.fromEntries(pairs);
}
