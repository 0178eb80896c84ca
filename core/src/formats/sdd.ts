import { XMLBuilder } from 'fast-xml-parser';
import type { Source } from '../library/index.ts';
import { unitFactor, type Frequency, type Score } from '../score/index.ts';
import { scientificName, type Taxon } from '../taxon/index.ts';
import type { Character, Vocabulary } from '../vocabulary/index.ts';

export const SDD_NAMESPACE = 'http://rs.tdwg.org/UBIF/2006/';

/** The measures of SDD that the ends of a range are written as. */
export const SDD_MEASURES = {
  min: 'Min',
  low: 'LowerRange',
  high: 'UpperRange',
  max: 'Max',
  typical: 'Median',
  n: 'SampleSize',
} as const;

/** What a file in the Structure of Descriptive Data can carry of a library. */
export interface SddContent {
  name: string;
  sources: Source[];
  taxa: {
    taxon: Pick<Taxon, 'id' | 'authority' | 'commonNames' | 'namesIn'> & { name: string };
    scores: Score[];
  }[];
}

const label = (text: string, lang = 'en') => ({ Label: { '@_xml:lang': lang, '#text': text } });
const represented = (text: string, detail?: string) => ({
  Representation: { ...label(text), ...(detail ? { Detail: { '@_xml:lang': 'en', '#text': detail } } : {}) },
});

/**
 * A library as TDWG SDD 1.1. Characters and states have their ids as XML ids; each source's word on a taxon under one set of
 * qualifiers is a coded description. Frequencies and qualifiers are modifiers; `created` is an ISO time. Values are in the character's own unit.
 */
export function writeSdd(
  library: {
    name: string;
    sources: readonly Source[];
    taxa: readonly { taxon: Taxon; scores: readonly Score[] }[];
  },
  vocabulary: Vocabulary,
  created: string,
): string {
  const used = new Set(library.taxa.flatMap(({ scores }) => scores.map((score) => score.characterId)));
  const characters = [...vocabulary.values()].filter((character) => used.has(character.id));
  const descriptions = library.taxa.flatMap(({ taxon, scores }) => describe(taxon, scores, vocabulary));
  const document = {
    '?xml': { '@_version': '1.0', '@_encoding': 'UTF-8' },
    Datasets: {
      '@_xmlns': SDD_NAMESPACE,
      TechnicalMetadata: {
        '@_created': created,
        Generator: { '@_name': 'Hurrow', '@_version': '1' },
      },
      Dataset: {
        '@_xml:lang': 'en',
        ...represented(library.name),
        TaxonNames: {
          TaxonName: library.taxa.map(({ taxon }) => ({
            '@_id': `t.${taxon.id}`,
            Representation: {
              Label: [
                { '@_xml:lang': 'la', '#text': scientificName(taxon) },
                ...taxon.commonNames.map((name) => ({ '@_xml:lang': 'en', '#text': name })),
                ...Object.entries(taxon.namesIn ?? {}).flatMap(([tag, names]) =>
                  names.map((name) => ({ '@_xml:lang': tag, '#text': name })),
                ),
              ],
            },
            ...(taxon.authority ? { Authorship: { Simple: taxon.authority } } : {}),
          })),
        },
        DescriptiveConcepts: {
          DescriptiveConcept: {
            '@_id': 'modifiers',
            ...represented('Frequencies and qualifiers'),
            Modifiers: { Modifier: modifiers(library.taxa.flatMap(({ scores }) => scores)) },
          },
        },
        Characters: {
          CategoricalCharacter: characters
            .filter((character) => !isNumber(character))
            .map((character) => ({
              '@_id': `c.${character.id}`,
              ...represented(character.term, character.plain),
              States: {
                StateDefinition: statesOf(character).map((state) => ({
                  '@_id': `s.${character.id}.${state.id}`,
                  ...represented(state.term, state.definition),
                })),
              },
            })),
          QuantitativeCharacter: characters.filter(isNumber).map((character) => ({
            '@_id': `c.${character.id}`,
            ...represented(character.term, character.plain),
            ...(character.unit ? { MeasurementUnit: label(character.unit) } : {}),
          })),
        },
        Agents: {
          Agent: library.sources.map((source) => ({
            '@_id': `a.${source.id}`,
            ...represented(source.label),
          })),
        },
        CodedDescriptions: { CodedDescription: descriptions },
      },
    },
  };
  return new XMLBuilder({ ignoreAttributes: false, format: true, suppressEmptyNode: true }).build(document);
}

const isNumber = (character: Character) => character.kind === 'measure' || character.kind === 'count';

/** States of a character; a flag has yes alone, whose frequency says the rest. */
const statesOf = (character: Character) =>
  character.kind === 'flag' ? [{ id: 'yes', term: 'yes', definition: 'It is so.' }] : character.states;

function modifiers(scores: readonly Score[]) {
  const frequencies: Frequency[] = ['always', 'usually', 'sometimes', 'rarely', 'never'];
  const qualifiers = new Set(
    scores.flatMap((score) => Object.entries(score.qualifiers).map(([name, value]) => `${name}.${value}`)),
  );
  return [
    ...frequencies.map((frequency) => ({
      '@_id': `f.${frequency}`,
      ...represented(frequency),
      ModifierClass: 'Frequency',
    })),
    { '@_id': 'exhaustive', ...represented('states not listed are absent'), ModifierClass: 'Other' },
    ...[...qualifiers].map((id) => ({
      '@_id': `q.${id}`,
      ...represented(id.replace('.', ': ')),
      ModifierClass: 'Other',
    })),
  ];
}

function describe(taxon: Taxon, scores: readonly Score[], vocabulary: Vocabulary): object[] {
  const bySource = new Map<string, Score[]>();
  for (const score of scores)
    if (vocabulary.has(score.characterId))
      bySource.set(score.sourceId, [...(bySource.get(score.sourceId) ?? []), score]);
  return [...bySource].map(([sourceId, said]) => ({
    '@_id': `d.${taxon.id}.${sourceId}`,
    ...represented(`${scientificName(taxon)}, ${sourceId}`),
    Scope: { TaxonName: { '@_ref': `t.${taxon.id}` } },
    RevisionData: { Creators: { Agent: { '@_ref': `a.${sourceId}` } } },
    SummaryData: {
      Categorical: said.flatMap((score) => categorical(score)),
      Quantitative: said.flatMap((score) => quantitative(score, vocabulary.get(score.characterId)!)),
    },
  }));
}

const noteOf = (score: Score) => (score.note ? { Note: { '@_xml:lang': 'en', '#text': score.note } } : {});

const qualifierModifiers = (score: Score) =>
  Object.entries(score.qualifiers).map(([name, value]) => ({ '@_ref': `q.${name}.${value}` }));

function categorical(score: Score): object[] {
  const { characterId, value } = score;
  const states =
    value.kind === 'states'
      ? value.states
      : value.kind === 'flag'
        ? [{ state: 'yes', frequency: value.frequency }]
        : [];
  if (states.length === 0) return [];
  const whole = value.kind === 'states' && value.exhaustive ? [{ '@_ref': 'exhaustive' }] : [];
  return [
    {
      '@_ref': `c.${characterId}`,
      Modifier: [...qualifierModifiers(score), ...whole],
      State: states.map(({ state, frequency }) => ({
        '@_ref': `s.${characterId}.${state}`,
        Modifier: { '@_ref': `f.${frequency}` },
      })),
      ...noteOf(score),
    },
  ];
}

function quantitative(score: Score, character: Character): object[] {
  const { value } = score;
  if (value.kind !== 'range') return [];
  const factor = unitFactor(character);
  const measures = Object.entries(SDD_MEASURES).flatMap(([end, type]) => {
    const n = value[end as keyof typeof SDD_MEASURES];
    if (n === undefined) return [];
    return [{ '@_type': type, '@_value': String(end === 'n' ? n : Number((n / factor).toPrecision(12))) }];
  });
  return [
    {
      '@_ref': `c.${score.characterId}`,
      Modifier: [
        ...qualifierModifiers(score),
        ...(value.step ? [{ '@_ref': `q.step.${value.step}` }] : []),
        ...(value.open ? [{ '@_ref': 'q.open.yes' }] : []),
      ],
      Measure: measures,
      ...noteOf(score),
    },
  ];
}
