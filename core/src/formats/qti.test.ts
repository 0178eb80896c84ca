import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { readQti, writeQti, type QtiStation } from './index.ts';

const STATIONS: QtiStation[] = [
  {
    position: 1,
    shows: 'Fresh cutting: twig & buds <in hand>.',
    picture: '<svg xmlns="http://www.w3.org/2000/svg"/>',
    question: {
      asks: 'write',
      prompt: 'Name this tree',
      fields: [
        {
          label: 'Genus and epithet',
          accepted: [
            { text: 'Abies grandis', points: 2 },
            { text: 'Abies', points: 1 },
          ],
        },
        { label: 'Family', accepted: [{ text: 'Pinaceae', points: 1 }] },
      ],
    },
  },
  {
    position: 2,
    shows: 'Drawing: twig.',
    picture: null,
    question: {
      asks: 'choose',
      prompt: 'Arrangement: which is it here?',
      choices: [
        { id: 'alternate', text: 'alternate' },
        { id: 'opposite', text: 'opposite' },
      ],
      right: ['opposite'],
      points: 3,
    },
  },
  {
    position: 3,
    shows: 'Pressed: leaves.',
    picture: null,
    question: { asks: 'number', prompt: 'Measure it, in centimeters.', from: 9.6, to: 30, points: 3 },
  },
];
const PLAN = { title: 'Quiz “1” & more', stations: [{ taxonId: 'abies-grandis' }] };
const files = writeQti({ id: 'q1', title: PLAN.title }, STATIONS, PLAN);

type Node = { name: string; attributes: Record<string, string>; children: Node[]; text: string };
/** A file as a tree that keeps the order of its elements. */
function treeOf(text: string): Node {
  const parsed = new XMLParser({
    ignoreAttributes: false,
    preserveOrder: true,
    parseTagValue: false,
    ignoreDeclaration: true,
  }).parse(text) as Record<string, unknown>[];
  const nodes = (list: Record<string, unknown>[]): Node[] =>
    list.flatMap((entry) => {
      const name = Object.keys(entry).find((key) => key !== ':@' && key !== '#text');
      if (!name) return [];
      const inner = entry[name] as Record<string, unknown>[];
      const attributes = Object.fromEntries(
        Object.entries((entry[':@'] ?? {}) as Record<string, string>).map(([key, value]) => [
          key.slice(2),
          value,
        ]),
      );
      const own = inner.map((each) => each['#text'] ?? '').join('');
      return [{ name, attributes, children: nodes(inner), text: own }];
    });
  return nodes(parsed)[0]!;
}
const all = (node: Node): Node[] => [node, ...node.children.flatMap(all)];

/** Of the elements that we write, the order of their children and the attributes that they need, as the schema of QTI 3.0 has them. */
const ORDER: Record<string, string[]> = {
  'qti-assessment-item': [
    'qti-response-declaration',
    'qti-outcome-declaration',
    'qti-item-body',
    'qti-response-processing',
  ],
  'qti-response-declaration': ['qti-correct-response', 'qti-mapping'],
  'qti-choice-interaction': ['qti-prompt', 'qti-simple-choice'],
  'qti-assessment-test': ['qti-outcome-declaration', 'qti-test-part', 'qti-outcome-processing'],
  'qti-response-if': ['qti-not', 'qti-and', 'qti-set-outcome-value'],
  manifest: ['metadata', 'organizations', 'resources'],
  resource: ['file', 'dependency'],
};
const NEEDED: Record<string, string[]> = {
  'qti-assessment-item': ['identifier', 'title', 'adaptive', 'time-dependent'],
  'qti-response-declaration': ['identifier', 'cardinality', 'base-type'],
  'qti-outcome-declaration': ['identifier', 'cardinality', 'base-type'],
  'qti-map-entry': ['map-key', 'mapped-value'],
  'qti-text-entry-interaction': ['response-identifier'],
  'qti-choice-interaction': ['response-identifier', 'max-choices'],
  'qti-simple-choice': ['identifier'],
  'qti-test-part': ['identifier', 'navigation-mode', 'submission-mode'],
  'qti-assessment-section': ['identifier', 'title', 'visible'],
  'qti-assessment-item-ref': ['identifier', 'href'],
  'qti-set-outcome-value': ['identifier'],
  resource: ['identifier', 'type', 'href'],
};

test.each(Object.keys(files).filter((name) => name.endsWith('.xml')))(
  '%s is XML whose elements stand in the order of the schema, with what they need',
  (name) => {
    expect(XMLValidator.validate(files[name]!)).toBe(true);
    const nodes = all(treeOf(files[name]!));
    for (const node of nodes) {
      const order = ORDER[node.name];
      if (order) {
        const places = node.children.map((child) => order.indexOf(child.name));
        expect(places).not.toContain(-1);
        expect(places).toEqual([...places].sort((a, b) => a - b));
      }
      for (const needed of NEEDED[node.name] ?? []) expect(node.attributes).toHaveProperty(needed);
    }
    const ids = nodes.flatMap(({ attributes, name: of }) =>
      of === 'qti-variable' || of === 'qti-map-response' || of === 'qti-set-outcome-value'
        ? []
        : (attributes['identifier'] ?? []),
    );
    expect(new Set(ids).size).toBe(ids.length);
    for (const id of ids) expect(id).toMatch(/^[A-Za-z_][\w.-]*$/);
  },
);

test('every response is declared, every file stands in the manifest, and every reference leads somewhere', () => {
  for (const { position } of STATIONS) {
    const nodes = all(treeOf(files[`station-${position}.xml`]!));
    const declared = nodes
      .filter(({ name }) => name === 'qti-response-declaration')
      .map((each) => each.attributes['identifier']);
    const asked = nodes.flatMap(({ attributes }) => attributes['response-identifier'] ?? []);
    expect(asked).toEqual(declared);
  }
  const manifest = all(treeOf(files['imsmanifest.xml']!));
  const listed = manifest.filter(({ name }) => name === 'file').map(({ attributes }) => attributes['href']);
  expect([...listed, 'imsmanifest.xml'].sort()).toEqual(Object.keys(files).sort());
  const ids = manifest
    .filter(({ name }) => name === 'resource')
    .map(({ attributes }) => attributes['identifier']);
  for (const { attributes } of manifest.filter(({ name }) => name === 'dependency'))
    expect(ids).toContain(attributes['identifierref']);
});

test('points and answers are those of the quiz, and choices do not say which is right by their names', () => {
  const written = all(treeOf(files['station-1.xml']!));
  const entries = written
    .filter(({ name }) => name === 'qti-map-entry')
    .map(({ attributes }) => [attributes['map-key'], attributes['mapped-value']]);
  expect(entries).toEqual([
    ['Abies grandis', '2'],
    ['Abies', '1'],
    ['Pinaceae', '1'],
  ]);
  expect(files['station-1.xml']).toContain('<qti-value>3</qti-value>');
  expect(files['station-2.xml']).toContain('<qti-value>option-2</qti-value>');
  expect(files['station-2.xml']).not.toMatch(/identifier="opposite"/);
  expect(files['station-3.xml']).toContain('9.6');
});

test('ours comes back as it was, whatever folder it lies in', () => {
  expect(readQti(files)).toEqual({ ok: true, value: { plan: PLAN } });
  const nested = Object.fromEntries(Object.entries(files).map(([name, text]) => [`quiz/${name}`, text]));
  expect(readQti(nested)).toEqual({ ok: true, value: { plan: PLAN } });
});

test('of another’s the written answers are read; what is no package is refused in words', () => {
  const { 'hurrow-plan.json': _plan, ...foreign } = files;
  expect(readQti(foreign)).toEqual({
    ok: true,
    value: { answers: [{ title: 'Station 1', right: 'Abies grandis' }] },
  });
  const problem = (some: Record<string, string>) => {
    const read = readQti(some);
    return read.ok ? '' : read.problem;
  };
  expect(problem({ 'readme.txt': 'hello' })).toContain('no imsmanifest.xml');
  expect(problem({ 'imsmanifest.xml': files['imsmanifest.xml']! })).toContain('No question of this package');
  expect(problem({ ...foreign, 'x.xml': '<a>' })).toContain('x.xml is no XML');
  expect(problem({ ...foreign, 'x.xml': '<!DOCTYPE a [<!ENTITY b "c">]><a>&b;</a>' })).toContain('entities');
  expect(problem({ ...files, 'hurrow-plan.json': '{' })).toContain('could not be read');
});
