import { unitAtStart, type WrittenUnit } from './units.ts';

/** What a word says of the figure behind it, or of the one before it. */
export type Role = 'about' | 'up to' | 'over' | 'usually' | 'rarely' | 'or more' | 'or less' | 'or so';

export type Token =
  | { is: 'number'; value: number }
  | { is: 'unit'; unit: WrittenUnit }
  | { is: 'role'; role: Role }
  | {
      is:
        | 'dash'
        | 'open'
        | 'close'
        | 'comma'
        | 'equals'
        | 'times'
        | 'plus or minus'
        | 'many'
        | 'odd'
        | 'to'
        | 'or';
    };

export interface Reading {
  tokens: Token[];
  /** What could not be understood, and why. */
  problem?: 'a zero under the line' | 'a negative number' | { word: string };
}

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅕': '1/5',
  '⅙': '1/6',
};
const COUNTED = [
  'zero',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

const ROLES: [RegExp, Role][] = [
  [
    /^(?:or|and|&) (?:more|up|over|above|longer|taller|wider|larger|greater|upwards?)\b|^upwards?\b|^plus\b|^\+/,
    'or more',
  ],
  [/^(?:or|and) (?:less|fewer|shorter|smaller|under)\b/, 'or less'],
  [/^(?:or so|more or less)\b/, 'or so'],
  [
    /^(?:about|approximately|approx\b\.?|around|roughly|circa|ca\b\.?|c\.|nearly|some\b|almost|~|≈|∼)/,
    'about',
  ],
  [
    /^(?:up to|no more than|not more than|not over|at most|less than|fewer than|under|below|maximum|max\b\.?|≤|<=|<|⩽)/,
    'up to',
  ],
  [
    /^(?:over|more than|greater than|at least|not less than|exceeding|above|minimum|min\b\.?|≥|>=|>|⩾)/,
    'over',
  ],
  [
    /^(?:usually|mostly|typically|commonly|generally|most often|often|normally|mainly|chiefly|usual|on average|averag(?:e|ing)|avg|mean|median)\b\.?/,
    'usually',
  ],
  [
    /^(?:or )?(?:rarely|occasionally|sometimes|seldom|exceptionally|infrequently|extremes?|uncommonly)\b/,
    'rarely',
  ],
];

/** Words around a figure that say nothing which the character does not say. */
const SAID =
  /^(?:long|wide|broad|tall|high|thick|across|deep|diameter|diam\.?|dbh|length|width|height|each|total|overall|number|of|per|a|an|the|is|are|at|old|size|sized|apart|it|its|with|cluster|clusters|bundle|bundles|fascicle|fascicles|spur|spurs)(?![a-z])/;
const IN_PHRASES =
  /\bin (?=(?:length|width|height|diameter|breadth|thickness|size|girth|number|an?\b|each\b|every\b|the\b|bundles?\b|clusters?\b|fascicles?\b|pairs?\b))/g;

export interface Settings {
  /** The sign before decimals; the other one parts thousands. */
  decimal?: '.' | ',';
}

/** Signs and spellings made equal, before the text is parted. */
export function plainMeasure(text: string): string {
  let plain = text.trim().toLowerCase();
  for (const [glyph, fraction] of Object.entries(VULGAR)) plain = plain.replaceAll(glyph, ` ${fraction} `);
  plain = plain
    .replace(/(\d)\s*⁄\s*(\d)/g, '$1/$2')
    .replace(/[″”“]|′′|’’/g, '"')
    .replace(/[′’‘`´]/g, "'")
    .replace(/\u00a0|\u202f|\u2009/g, ' ')
    .replace(/[‐‑‒–—―−]|->|→/g, '-')
    .replace(/\.{2,}|…/g, '-')
    .replace(/(?<=[\da-z"')])\s*~\s*(?=[\d(])/g, '-')
    .replace(/(\d)-\s+to\b/g, '$1 to')
    .replace(
      /(\d)\s*-?\s*(?:lobed|toothed|veined|foliolate|foliate|needled|parted|merous|petall?ed)\b/g,
      '$1',
    )
    .replace(/(\d)'?s\b/g, '$1')
    .replace(/^in (?=\d)/, '')
    .replace(/(?<!half |of )\ban? (?=(?:inch|foot|met(?:er|re)|yard|cm)\b)/g, '1 ')
    .replace(/\bsea level\b/g, '0')
    .replace(/\b(?:one|a) half\b/g, '1/2')
    .replace(/\bhalf (?:an? )?(?=[a-z])/g, '1/2 ')
    .replace(/\b(?:a )?quarter (?:of an? |inch)/g, (found) => (found.includes('inch') ? '1/4 inch' : '1/4 '))
    .replace(/\b(?:one|a) third\b/g, '1/3')
    .replace(/\btwo thirds\b/g, '2/3')
    .replace(/\bthree quarters\b/g, '3/4')
    .replace(IN_PHRASES, ' ')
    .replace(new RegExp(String.raw`\b(${COUNTED.join('|')})(?:e?s)?\b`, 'g'), (_, word: string) =>
      String(COUNTED.indexOf(word)),
    );
  return plain.replace(/\s+/g, ' ').trim();
}

const WHOLE = String.raw`\d{1,3}(?:(?:[ ']\d{3})+|(?:,\d{3})+)(?![\d])|\d+`;
const POINTED = String.raw`\d+\.\d+|\.\d+`;

/** A number with its decimals or its fraction: “1,200”, “4,5”, “1-1/2”, “3/8”, “.5”. */
function numberAtStart(
  text: string,
  decimal: '.' | ',',
): { value: number; length: number; zero: boolean } | undefined {
  // A group of three behind a comma are thousands, unless the comma parts decimals here or nothing stands before it.
  const grouped = decimal === '.' ? WHOLE : String.raw`\d{1,3}(?:[ '.]\d{3})+(?![\d])|\d+`;
  const mixed = new RegExp(String.raw`^(\d+)(?: | ?- ?| ?& ?| and )(\d+)\/(\d+)(?![\d/])`).exec(text);
  if (mixed && Number(mixed[2]) < Number(mixed[3])) {
    // “1 - 1/2” with spaces can only be one and a half: a range does not go down.
    return {
      value: Number(mixed[1]) + Number(mixed[2]) / Number(mixed[3]),
      length: mixed[0].length,
      zero: false,
    };
  }
  const fraction = /^(\d+)\/(\d+)(?![\d/])/.exec(text);
  if (fraction)
    return {
      value: Number(fraction[1]) / Number(fraction[2]),
      length: fraction[0].length,
      zero: Number(fraction[2]) === 0,
    };
  const comma =
    decimal === ','
      ? /^\d+,\d+(?!\d)/.exec(text)
      : (/^0,\d+(?!\d)/.exec(text) ?? /^\d+,(?:\d{1,2}|\d{4,})(?![\d,])/.exec(text));
  if (comma) return { value: Number(comma[0].replace(',', '.')), length: comma[0].length, zero: false };
  const found = new RegExp(`^(?:${decimal === '.' ? `${POINTED}|` : ''}${grouped})`).exec(text);
  if (!found) return undefined;
  const plain = found[0].replace(decimal === '.' ? /[ ',]/g : /[ '.]/g, '');
  return { value: Number(plain), length: found[0].length, zero: false };
}

/** Parts a written measure into numbers, units, signs and the words that say what they are. */
export function tokensOf(text: string, own: readonly string[], settings: Settings = {}): Reading {
  let left = plainMeasure(text);
  const tokens: Token[] = [];
  const known = new Set(own.flatMap((word) => [word, `${word}s`, word.replace(/s$/, '')]));
  while (left) {
    const next = oneToken(left, tokens, known, settings.decimal ?? '.');
    if ('problem' in next) return { tokens, problem: next.problem };
    if (next.token) tokens.push(next.token);
    left = left.slice(next.length).trimStart();
  }
  return { tokens };
}

type Next = { token?: Token; length: number } | { problem: NonNullable<Reading['problem']> };

const SIGN_TOKENS: [RegExp, Token][] = [
  [/^\+\/?-|^±/, { is: 'plus or minus' }],
  [/^-+/, { is: 'dash' }],
  [/^[([]/, { is: 'open' }],
  [/^[)\]]/, { is: 'close' }],
  [/^[,;]/, { is: 'comma' }],
  [/^[/=]/, { is: 'equals' }],
  [/^[×*]|^x(?![a-z])|^by\b/, { is: 'times' }],
  [/^(?:to|through|thru|until|till)\b/, { is: 'to' }],
  [/^(?:or|and|&)(?![a-z])/, { is: 'or' }],
  [/^(?:many|numerous|∞)/, { is: 'many' }],
  [/^(?:odd|even)\b(?: numbers?)?/, { is: 'odd' }],
];

function oneToken(
  left: string,
  before: readonly Token[],
  known: ReadonlySet<string>,
  decimal: '.' | ',',
): Next {
  const last = before.at(-1);
  const number = numberAtStart(left, decimal);
  if (number) {
    if (number.zero) return { problem: 'a zero under the line' };
    if (/^[a-z]\d/.test(left.slice(number.length))) return { problem: { word: left.split(' ')[0]! } };
    return { token: { is: 'number', value: number.value }, length: number.length };
  }
  const wordLength = /^[a-zµμ]+/.exec(left)?.[0].length ?? 0;
  for (const [read, role] of ROLES) {
    const found = read.exec(left);
    if (found && !/^\+\/?-/.test(left)) return { token: { is: 'role', role }, length: found[0].length };
  }
  if (/^(?:from|between)\b/.test(left)) return { length: /^[a-z]+/.exec(left)![0].length };
  // “60-foot”: the dash only ties the unit to its number.
  const tied = last?.is === 'number' && /^-\s?(?=[a-z])/.exec(left);
  if (tied && unitAtStart(left.slice(tied[0].length))) return { length: tied[0].length };
  if (
    last?.is === 'number' ||
    last?.is === 'unit' ||
    last?.is === 'open' ||
    last?.is === 'close' ||
    before.length === 0 ||
    wordLength > 1 ||
    /^["'°%]/.test(left)
  ) {
    const unit = unitAtStart(left);
    if (unit) return { token: { is: 'unit', unit: unit.unit }, length: unit.length };
  }
  for (const [read, token] of SIGN_TOKENS) {
    const found = read.exec(left);
    if (!found) continue;
    if (token.is === 'dash' && before.length === 0) return { problem: 'a negative number' };
    return { token, length: found[0].length };
  }
  const said = SAID.exec(left);
  if (said) return { length: said[0].length };
  const word = /^[^\s\d()[\],;/=-]+/.exec(left)?.[0] ?? left[0]!;
  if (known.has(word.replace(/\.$/, ''))) return { length: word.length };
  return word === '.' || word === '!' ? { length: 1 } : { problem: { word } };
}
