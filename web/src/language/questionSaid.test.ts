import { BUILT_IN, stateOf } from '@hurrow/core/vocabulary';
import { asStudentsRead, type FrozenQuestion } from '@hurrow/core/station';
import * as german from './characters.de.ts';
import { checklistSaid, questionSaid, seeingSaid, seenSaid } from './questionSaid.ts';
import { speakOfCharacters, spokenVocabulary, wordOfTree, writtenVocabulary } from './vocabulary.ts';

afterEach(() => speakOfCharacters(undefined));

const scales = BUILT_IN.get('bud.scales')!;

const fixed = (part: Partial<FrozenQuestion>): FrozenQuestion => ({
  kind: 'state',
  about: 'bud.scales',
  asked: { term: 'Bud scales: which is it here?', plain: 'Scales on the bud: which is it here?' },
  named: { term: 'bud scales', plain: 'scales on the bud' },
  offered: ['none', 'one'].map((id) => ({ ...stateOf(scales, id)! })),
  right: ['none'],
  ...part,
});

const QUESTIONS: FrozenQuestion[] = [
  fixed({}),
  fixed({
    kind: 'sort',
    asked: {
      term: 'Sort A to B by bud scales: which is it at each?',
      plain: 'Sort A to B by scales on the bud: which is it at each?',
    },
    items: [1, 2].map((seed) => ({ taxonId: 'a', seed })),
  }),
  fixed({
    kind: 'number',
    about: 'bud.length',
    asked: {
      term: 'Measure the bud length, in millimeters.',
      plain: 'Measure the bud length, in millimeters.',
    },
    named: { term: 'bud length', plain: 'bud length' },
    offered: [],
    number: { character: BUILT_IN.get('bud.length')!, units: 'metric', from: 1, to: 2 },
  }),
  fixed({
    kind: 'number',
    about: 'needle.perBundle',
    asked: { term: 'How many needles per bundle?', plain: 'How many needles per bundle?' },
    named: { term: 'needles per bundle', plain: 'needles per bundle' },
    offered: [],
    number: { character: BUILT_IN.get('needle.perBundle')!, units: 'metric', from: 2, to: 3 },
  }),
];

test.each(QUESTIONS)('in English a question stands as it was fixed: $asked.term', (question) => {
  for (const audience of ['technical', 'plain'] as const) {
    const read = asStudentsRead(question, audience);
    expect(questionSaid(read)).toEqual(read);
  }
});

test('in German it is said in German, by terms or plain words as the course has them', () => {
  speakOfCharacters(german);
  const [state, sort] = QUESTIONS.map((each) => questionSaid(asStudentsRead(each, 'plain')));
  expect(state!.asked).toContain('Schuppen der Knospe');
  expect(state!.offered.map(({ word }) => word)).toEqual([
    'keine Schuppen, winzige gefaltete Blätter',
    'eine Kappe wie eine Haube',
  ]);
  expect(state!.offered[0]!.definition).toBe('Ohne Schuppen; die jungen Blätter liegen frei.');
  expect(sort!.asked).toContain('A to B');
  const small = questionSaid(
    asStudentsRead(
      fixed({ offered: [{ id: 'none', term: 'Naked', plain: 'No scales', definition: 'Ours.' }] }),
      'technical',
    ),
  );
  expect(small.offered[0]).toEqual({ id: 'none', word: 'Nackt', definition: 'Ours.' });
});

test('a question that was fixed before it kept what it asks of stays in its English', () => {
  speakOfCharacters(german);
  const { named: _, ...before } = fixed({});
  expect(questionSaid(asStudentsRead(before, 'technical')).asked).toBe('Bud scales: which is it here?');
});

test('between two trees characters are offered', () => {
  speakOfCharacters(german);
  const question = questionSaid({
    kind: 'settles',
    asked: 'It is hoary birch or slim birch. Which of these tells you which, here?',
    offered: [{ id: 'bud.scales', word: 'bud scales', definition: '' }],
    of: { pair: ['hoary birch', 'slim birch'] },
  });
  expect(question.asked).toBe('It is hoary birch or slim birch. Which of these tells you which, here?');
  expect(question.offered[0]!.word).toBe('Knospenschuppen');
});

test('what is ticked, seen and overlooked is said in German, a library’s own as it is written', () => {
  speakOfCharacters(german);
  expect(
    checklistSaid([
      {
        organ: 'buds',
        characters: [
          { id: 'bud.resin', word: 'resinous buds' },
          { id: 'bud.own-glow', word: 'glow' },
        ],
      },
    ]),
  ).toEqual([
    {
      organ: 'buds',
      characters: [
        { id: 'bud.resin', word: 'Knospen harzig' },
        { id: 'bud.own-glow', word: 'glow' },
      ],
    },
  ]);
  const [asked] = seeingSaid([
    {
      characterId: 'bud.scales',
      question: 'bud scales',
      states: [{ id: 'none', word: 'naked', definition: 'x' }],
    },
  ]);
  expect([asked!.question, asked!.states[0]!.word]).toEqual(['Knospenschuppen', 'nackt']);
  const row = { question: 'bud scales', said: 'naked', right: ['one cap'], isRight: false };
  expect(seenSaid(row)).toEqual(row);
  expect(seenSaid({ ...row, ids: { character: 'bud.scales', said: 'none', right: ['one'] } })).toMatchObject({
    question: 'Knospenschuppen',
    said: 'nackt',
    right: ['eine Kappe'],
  });
});

test('a vocabulary is said once, and in English it is the one that was written', () => {
  expect(spokenVocabulary(BUILT_IN)).toBe(BUILT_IN);
  expect(wordOfTree('naked', 'bud.scales', 'none')).toBe('naked');
  speakOfCharacters(german);
  const said = spokenVocabulary(BUILT_IN);
  expect(said.get('bud.scales')!.term).toBe('Knospenschuppen');
  expect(spokenVocabulary(BUILT_IN)).toBe(said);
  expect(writtenVocabulary(said)).toBe(BUILT_IN);
  expect(writtenVocabulary(BUILT_IN)).toBe(BUILT_IN);
});
