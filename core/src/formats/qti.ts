import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser';
import { done, refused, type Outcome } from '../outcome/index.ts';

/** A field to write in, with what counts in it and for how many points; a spelling in capitals or not is the same. */
export interface QtiField {
  /** “Genus and epithet”. */
  label: string;
  accepted: { text: string; points: number }[];
}

/** What a station asks, as a question of QTI. */
export type QtiQuestion =
  | { asks: 'write'; prompt: string; fields: QtiField[] }
  | {
      asks: 'choose';
      prompt: string;
      choices: { id: string; text: string }[];
      right: string[];
      points: number;
    }
  /** A number within bounds, both among them; its unit is said in the prompt. */
  | { asks: 'number'; prompt: string; from: number; to: number; points: number };

export interface QtiStation {
  position: number;
  /** What is looked at. */
  shows: string;
  /** SVG, or null where it lies on the table. */
  picture: string | null;
  question: QtiQuestion;
}

/** A QTI package by the names of its files. */
export type QtiFiles = Record<string, string>;

const QTI = 'http://www.imsglobal.org/xsd/imsqtiasi_v3p0';
const QTI_SCHEMA = 'https://purl.imsglobal.org/spec/qti/v3p0/schema/xsd/imsqti_asiv3p0_v1p0.xsd';
const PACKAGE = 'http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1';
const PACKAGE_SCHEMA = 'https://purl.imsglobal.org/spec/qti/v3p0/schema/xsd/imsqtiv3p0_imscpv1p2_v1p0.xsd';

/** The file in which a plan of Hurrow’s travels beside the questions, so that it comes back as it was. */
const PLAN = 'hurrow-plan.json';
const MANIFEST = 'imsmanifest.xml';

const xml = (content: object): string =>
  new XMLBuilder({
    ignoreAttributes: false,
    format: true,
    suppressEmptyNode: true,
    suppressBooleanAttributes: false,
  }).build({
    '?xml': { '@_version': '1.0', '@_encoding': 'UTF-8' },
    ...content,
  });

const root = (schema: string, namespace: string) => ({
  '@_xmlns': namespace,
  '@_xmlns:xsi': 'http://www.w3.org/2001/XMLSchema-instance',
  '@_xsi:schemaLocation': `${namespace} ${schema}`,
});

const float = (value: number) => ({ '@_base-type': 'float', '#text': String(Number(value.toFixed(6))) });
const outcome = (identifier: string, value: number) => ({
  '@_identifier': identifier,
  '@_cardinality': 'single',
  '@_base-type': 'float',
  'qti-default-value': { 'qti-value': String(Number(value.toFixed(6))) },
});

/**
 * A quiz as a package of QTI 3.0 (1EdTech 2022): a test of one section, an item a station, pictures as SVG, the manifest; and beside them the plan, which
 * other programs pass over.
 *
 * @param id of the quiz, as an identifier
 * @param plan whatever shall come back by `readQti`
 * @returns texts by file name, to be zipped
 */
export function writeQti(
  { id, title }: { id: string; title: string },
  stations: readonly QtiStation[],
  plan: unknown,
): QtiFiles {
  const files: QtiFiles = {};
  const resources: object[] = [];
  for (const station of stations) {
    const name = `station-${station.position}`;
    files[`${name}.xml`] = itemOf(name, station);
    if (station.picture !== null) files[`${name}.svg`] = station.picture;
    resources.push({
      '@_identifier': name,
      '@_type': 'imsqti_item_xmlv3p0',
      '@_href': `${name}.xml`,
      file: [{ '@_href': `${name}.xml` }, ...(station.picture !== null ? [{ '@_href': `${name}.svg` }] : [])],
    });
  }
  const names = stations.map(({ position }) => `station-${position}`);
  files['test.xml'] = xml({
    'qti-assessment-test': {
      ...root(QTI_SCHEMA, QTI),
      '@_identifier': `quiz-${id}`,
      '@_title': title,
      'qti-outcome-declaration': outcome('SCORE', 0),
      'qti-test-part': {
        '@_identifier': 'part-1',
        '@_navigation-mode': 'nonlinear',
        '@_submission-mode': 'individual',
        'qti-assessment-section': {
          '@_identifier': 'section-1',
          '@_title': 'Stations',
          '@_visible': 'true',
          'qti-assessment-item-ref': names.map((name) => ({
            '@_identifier': name,
            '@_href': `${name}.xml`,
          })),
        },
      },
      'qti-outcome-processing': {
        'qti-set-outcome-value': {
          '@_identifier': 'SCORE',
          'qti-sum': { 'qti-test-variables': { '@_variable-identifier': 'SCORE' } },
        },
      },
    },
  });
  files[PLAN] = JSON.stringify(plan);
  files[MANIFEST] = xml({
    manifest: {
      ...root(PACKAGE_SCHEMA, PACKAGE),
      '@_identifier': `package-${id}`,
      metadata: { schema: 'QTI Package', schemaversion: '3.0.0' },
      organizations: '',
      resources: {
        resource: [
          {
            '@_identifier': 'test',
            '@_type': 'imsqti_test_xmlv3p0',
            '@_href': 'test.xml',
            file: { '@_href': 'test.xml' },
            dependency: names.map((name) => ({ '@_identifierref': name })),
          },
          ...resources,
          { '@_identifier': 'plan', '@_type': 'webcontent', '@_href': PLAN, file: { '@_href': PLAN } },
        ],
      },
    },
  });
  return files;
}

function itemOf(name: string, { position, shows, picture, question }: QtiStation): string {
  const { declarations, body, processing, full } = PARTS[question.asks](question as never);
  return xml({
    'qti-assessment-item': {
      ...root(QTI_SCHEMA, QTI),
      '@_identifier': name,
      '@_title': `Station ${position}`,
      '@_adaptive': 'false',
      '@_time-dependent': 'false',
      '@_xml:lang': 'en',
      'qti-response-declaration': declarations,
      'qti-outcome-declaration': [outcome('SCORE', 0), outcome('MAXSCORE', full)],
      'qti-item-body': {
        p: `Station ${position}. ${shows}`,
        ...(picture !== null
          ? { div: { img: { '@_src': `${name}.svg`, '@_alt': `The picture at station ${position}` } } }
          : {}),
        ...body,
      },
      'qti-response-processing': processing,
    },
  });
}

interface ItemParts {
  declarations: object[];
  body: object;
  processing: object;
  /** Full points. */
  full: number;
}

const isNull = (identifier: string) => ({
  'qti-is-null': { 'qti-variable': { '@_identifier': identifier } },
});
const addTo = (value: object) => ({
  'qti-set-outcome-value': {
    '@_identifier': 'SCORE',
    'qti-sum': { 'qti-variable': { '@_identifier': 'SCORE' }, ...value },
  },
});

const PARTS: {
  [Asks in QtiQuestion['asks']]: (question: Extract<QtiQuestion, { asks: Asks }>) => ItemParts;
} = {
  write: ({ prompt, fields }) => {
    const identifier = (i: number) => (i === 0 ? 'RESPONSE' : `RESPONSE${i + 1}`);
    const best = ({ accepted }: QtiField) => Math.max(0, ...accepted.map(({ points }) => points));
    return {
      declarations: fields.map(({ accepted }, i) => ({
        '@_identifier': identifier(i),
        '@_cardinality': 'single',
        '@_base-type': 'string',
        ...(accepted[0] ? { 'qti-correct-response': { 'qti-value': accepted[0].text } } : {}),
        'qti-mapping': {
          '@_default-value': '0',
          'qti-map-entry': accepted.map(({ text, points }) => ({
            '@_map-key': text,
            '@_mapped-value': String(points),
            '@_case-sensitive': 'false',
          })),
        },
      })),
      body: {
        h2: prompt,
        blockquote: fields.map(({ label }, i) => ({
          p: {
            '#text': `${label}: `,
            'qti-text-entry-interaction': {
              '@_response-identifier': identifier(i),
              '@_expected-length': '60',
            },
          },
        })),
      },
      processing: {
        'qti-response-condition': fields.map((_, i) => ({
          'qti-response-if': {
            'qti-not': isNull(identifier(i)),
            ...addTo({ 'qti-map-response': { '@_identifier': identifier(i) } }),
          },
        })),
      },
      full: fields.reduce((sum, field) => sum + best(field), 0),
    };
  },
  choose: ({ prompt, choices, right, points }) => ({
    declarations: [
      {
        '@_identifier': 'RESPONSE',
        '@_cardinality': 'single',
        '@_base-type': 'identifier',
        'qti-correct-response': { 'qti-value': optionOf(choices.findIndex(({ id }) => right.includes(id))) },
        'qti-mapping': {
          '@_default-value': '0',
          'qti-map-entry': choices.flatMap(({ id }, i) =>
            right.includes(id) ? [{ '@_map-key': optionOf(i), '@_mapped-value': String(points) }] : [],
          ),
        },
      },
    ],
    body: {
      'qti-choice-interaction': {
        '@_response-identifier': 'RESPONSE',
        '@_shuffle': 'false',
        '@_max-choices': '1',
        'qti-prompt': prompt,
        'qti-simple-choice': choices.map(({ text }, i) => ({ '@_identifier': optionOf(i), '#text': text })),
      },
    },
    processing: {
      'qti-response-condition': {
        'qti-response-if': {
          'qti-not': isNull('RESPONSE'),
          ...addTo({ 'qti-map-response': { '@_identifier': 'RESPONSE' } }),
        },
      },
    },
    full: points,
  }),
  number: ({ prompt, from, to, points }) => ({
    declarations: [
      {
        '@_identifier': 'RESPONSE',
        '@_cardinality': 'single',
        '@_base-type': 'float',
        'qti-correct-response': { 'qti-value': String(Number(((from + to) / 2).toFixed(6))) },
      },
    ],
    body: {
      h2: prompt,
      blockquote: {
        p: {
          '#text': 'Number: ',
          'qti-text-entry-interaction': { '@_response-identifier': 'RESPONSE', '@_expected-length': '12' },
        },
      },
    },
    processing: {
      'qti-response-condition': {
        'qti-response-if': {
          'qti-and': {
            'qti-gte': { 'qti-variable': { '@_identifier': 'RESPONSE' }, 'qti-base-value': float(from) },
            'qti-lte': { 'qti-variable': { '@_identifier': 'RESPONSE' }, 'qti-base-value': float(to) },
          },
          'qti-set-outcome-value': { '@_identifier': 'SCORE', 'qti-base-value': float(points) },
        },
      },
    },
    full: points,
  }),
};

/** Identifiers of choices say nothing of what is right. */
const optionOf = (i: number): string => `option-${i + 1}`;

/** A package that was read: the plan that travels with ours, or of another’s the first answer that each question takes for right. */
export type ReadQti = { plan: unknown } | { answers: { title: string; right: string }[] };

/**
 * Reads a QTI package, ours or another’s.
 *
 * @param files texts by file name
 * @returns refused, in words, where it is no package or has no question whose answer is written
 * @example
 * readQti(writeQti(quiz, stations, { title: 'Quiz 1' })); // { ok: true, value: { plan: { title: 'Quiz 1' } } }
 */
export function readQti(files: QtiFiles): Outcome<ReadQti> {
  const nameOf = (end: string) => Object.keys(files).find((name) => name === end || name.endsWith(`/${end}`));
  const [manifest, plan] = [nameOf(MANIFEST), nameOf(PLAN)];
  if (!manifest)
    return refused('This is no QTI package: it has no imsmanifest.xml. Choose the ZIP file of the package.');
  if (plan) {
    try {
      return done({ plan: JSON.parse(files[plan]!) as unknown });
    } catch {
      return refused('The plan in this package could not be read. Take the package out anew.');
    }
  }
  const answers: { title: string; right: string }[] = [];
  for (const [name, text] of Object.entries(files)) {
    if (!name.endsWith('.xml') || name === manifest) continue;
    const valid = XMLValidator.validate(text);
    if (valid !== true) return refused(`${name} is no XML: ${valid.err.msg} (line ${valid.err.line}).`);
    if (/<!ENTITY/i.test(text))
      return refused(`${name} declares XML entities, which are not read. Save it without them.`);
    answers.push(...answersIn(text));
  }
  return answers.length > 0
    ? done({ answers })
    : refused('No question of this package has a written answer from which its tree could be read.');
}

function answersIn(text: string): { title: string; right: string }[] {
  const parsed = new XMLParser({
    ignoreAttributes: false,
    parseTagValue: false,
    parseAttributeValue: false,
    isArray: (name) => name === 'qti-response-declaration' || name === 'qti-value',
  }).parse(text) as {
    'qti-assessment-item'?: {
      '@_title'?: string;
      'qti-response-declaration'?: {
        '@_base-type'?: string;
        'qti-correct-response'?: { 'qti-value'?: unknown[] };
      }[];
    };
  };
  const item = parsed['qti-assessment-item'];
  const right = (item?.['qti-response-declaration'] ?? [])
    .filter((each) => each['@_base-type'] === 'string')
    .flatMap((each) => each['qti-correct-response']?.['qti-value'] ?? [])
    .filter((value) => typeof value === 'string');
  return item && right[0] !== undefined ? [{ title: item['@_title'] ?? '', right: right[0] }] : [];
}
