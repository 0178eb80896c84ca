import { SOURCE_DETAILS } from '../library/index.ts';
import { RANGE_STATUSES } from '../range/index.ts';
import { FREQUENCIES } from '../score/index.ts';
import { CALENDAR_PARTS } from '../season/index.ts';
import { CAUTION_KINDS, LANGUAGE_TAG } from '../taxon/index.ts';
import { SHOWN_BY, STANDINGS } from '../vocabulary/index.ts';

const text = { type: 'string' } as const;
const number = { type: 'number' } as const;
const whole = { type: 'integer' } as const;
const texts = { type: 'array', items: text } as const;
const oneOf = (values: readonly string[]) => ({ enum: [...values] });
/** An object with these properties; those that are not named in `optional` are needed. */
const record = (properties: Record<string, object>, optional: readonly string[] = []) => ({
  type: 'object',
  properties,
  required: Object.keys(properties).filter((name) => !optional.includes(name)),
  additionalProperties: false,
});
const listOf = (items: object) => ({ type: 'array', items });
const ref = (name: string) => ({ $ref: `#/$defs/${name}` });

/** JSON Schema (draft 2020-12) of a library bundle; published as `docs/library.schema.json`. */
export const BUNDLE_SCHEMA = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Hurrow library bundle',
  description:
    'Taxa with what each source says of them. Lengths in metres, densities in kg/m³, days of the year 1–365, ranges as H3 cells of resolution 4.',
  ...record({
    format: { const: 'hurrow-library' },
    version: { const: 1 },
    name: text,
    reference: record({ latitude: number, longitude: number, elevation: number }),
    sources: listOf(
      record({ id: text, label: text, author: text, year: text, pages: text, region: text, note: text }, [
        ...SOURCE_DETAILS,
      ]),
    ),
    reconciliation: record(
      {
        rule: oneOf(['preferred', 'envelope']),
        order: texts,
        picks: {
          type: 'object',
          additionalProperties: record({ sourceId: text, reason: text }),
        },
      },
      ['picks'],
    ),
    characters: listOf(ref('character')),
    taxa: listOf(record({ taxon: ref('taxon'), scores: listOf(ref('score')) })),
    ranges: {
      type: 'object',
      additionalProperties: record(
        { cells: { type: 'object', additionalProperties: oneOf(RANGE_STATUSES) }, note: text },
        ['note'],
      ),
    },
  }),
  $defs: {
    arc: record({ from: whole, to: whole }),
    qualifiers: {
      type: 'object',
      properties: Object.fromEntries(
        ['plantAge', 'partAge', 'shoot', 'light', 'sex', 'setting'].map((name) => [name, text]),
      ),
      additionalProperties: false,
    },
    score: record(
      { characterId: text, sourceId: text, qualifiers: ref('qualifiers'), value: ref('value'), note: text },
      ['note'],
    ),
    value: {
      oneOf: [
        record(
          {
            kind: { const: 'states' },
            states: listOf(record({ state: text, frequency: oneOf(FREQUENCIES) })),
            exhaustive: { type: 'boolean' },
          },
          ['exhaustive'],
        ),
        record({ kind: { const: 'flag' }, frequency: oneOf(FREQUENCIES) }),
        record({ kind: { const: 'months' }, arcs: listOf(ref('arc')) }),
        record(
          {
            kind: { const: 'range' },
            min: number,
            low: number,
            high: number,
            max: number,
            typical: number,
            step: whole,
            open: { type: 'boolean' },
            n: whole,
          },
          ['min', 'low', 'high', 'max', 'typical', 'step', 'open', 'n'],
        ),
      ],
    },
    taxon: record(
      {
        id: text,
        rank: oneOf(['species', 'subspecies', 'variety', 'genus', 'group']),
        genus: text,
        epithet: text,
        infraEpithet: text,
        hybrid: { type: 'boolean' },
        authority: text,
        family: text,
        familyCommon: text,
        olderFamilies: texts,
        commonNames: texts,
        namesIn: {
          type: 'object',
          propertyNames: { pattern: LANGUAGE_TAG.source },
          additionalProperties: texts,
        },
        synonyms: texts,
        meaning: text,
        calendar: {
          type: 'object',
          properties: Object.fromEntries(CALENDAR_PARTS.map((part) => [part, listOf(ref('arc'))])),
          additionalProperties: false,
        },
        cautions: listOf(record({ kind: oneOf(CAUTION_KINDS), part: text, effect: text, care: text })),
        memoryAid: text,
        fact: text,
        uses: text,
        wildlife: text,
        largest: listOf(ref('largest')),
        retired: { type: 'boolean' },
      },
      [
        'infraEpithet',
        'hybrid',
        'authority',
        'familyCommon',
        'olderFamilies',
        'namesIn',
        'meaning',
        'memoryAid',
        'fact',
        'uses',
        'wildlife',
        'largest',
        'retired',
      ],
    ),
    largest: record({ place: text, year: whole, girth: number, height: number, crownSpread: number }, [
      'year',
    ]),
    character: record(
      {
        id: text,
        organ: oneOf(Object.keys(SHOWN_BY)),
        term: text,
        plain: text,
        kind: oneOf(['categorical', 'ordinal', 'measure', 'count', 'months', 'flag']),
        anyOf: { type: 'boolean' },
        states: listOf(
          record({ id: text, term: text, plain: text, definition: text, apart: { type: 'boolean' } }, [
            'apart',
          ]),
        ),
        unit: text,
        requires: listOf(record({ character: text, states: texts })),
        part: oneOf([
          'always',
          'leaves',
          'autumnLeaves',
          'buds',
          'flowers',
          'winterCatkins',
          'fruit',
          'ripeFruit',
          'winter',
        ]),
        distance: oneOf(['afar', 'binoculars', 'arm', 'hand', 'lens', 'cut']),
        sense: oneOf(['eye', 'touch', 'smell']),
        level: oneOf(['beginner', 'intermediate', 'advanced']),
        misread: record({ careful: number, novice: number }),
        group: text,
        standing: oneOf([...STANDINGS]),
        raisedWithin: texts,
        derived: { type: 'boolean' },
      },
      ['unit', 'group', 'standing', 'raisedWithin', 'derived'],
    ),
  },
} as const;
