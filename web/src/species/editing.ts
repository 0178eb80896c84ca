import { t } from '@lingui/core/macro';
import {
  parseScore,
  reconcile,
  type AdoptedScore,
  type Reconciliation,
  type Score,
} from '@hurrow/core/score';
import {
  arcsAsText,
  CALENDAR_PARTS,
  CALENDAR_TITLES,
  parseArcs,
  type Calendar,
  type CalendarPart,
} from '@hurrow/core/season';
import type { Taxon } from '@hurrow/core/taxon';
import { applies, type Character, type Organ, stateOf, type Vocabulary } from '@hurrow/core/vocabulary';
import { since } from '../drafts/afterSave.ts';
import { entriesOf, entryKey, type Entry } from './entry.ts';
import { inTongue } from '../language/inTongue.ts';

/** Names of a taxon and what is told of it, without its id. */
export type TaxonFields = Omit<Taxon, 'id'>;

/** What was changed in the editor and is not saved: only what was touched, so that it can be laid over a newer profile. */
export interface Edits {
  /** The revision that the edits were begun on. */
  base: number;
  sourceId: string;
  names: Partial<TaxonFields>;
  /** Months as typed. */
  months: Partial<Record<CalendarPart, string>>;
  /** Touched scores by source, then by `entryKey`. */
  scores: Record<string, Record<string, Entry>>;
}

/** Names as they are typed, with commas. */
export const names = (text: string): string[] =>
  text
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean);

export const NEW_TAXON: TaxonFields = {
  rank: 'species',
  genus: '',
  epithet: '',
  family: '',
  commonNames: [],
  synonyms: [],
  calendar: {},
  cautions: [],
};

export const noEdits = (base: number, sourceId: string): Edits => ({
  base,
  sourceId,
  names: {},
  months: {},
  scores: {},
});

/** Is there anything that would be lost? Which source is looked at is no edit. */
export const isEdited = ({ names, months, scores }: Edits): boolean =>
  Object.keys(names).length > 0 ||
  Object.keys(months).length > 0 ||
  Object.values(scores).some((touched) => Object.keys(touched).length > 0);

/**
 * The edits that were made after others were sent, standing on the revision that the others made.
 *
 * @param now all edits, those that were sent among them
 */
export function editsSince(now: Edits, sent: Edits, base: number): Edits {
  const scores = Object.entries(now.scores).map(([source, touched]) => [
    source,
    since(touched, sent.scores[source]),
  ]);
  return {
    base,
    sourceId: now.sourceId,
    names: since(now.names, sent.names),
    months: since(now.months, sent.months),
    scores: Object.fromEntries(scores) as Edits['scores'],
  };
}

/** What one source says, with the edits laid over it. */
export function entriesOfSource(
  scores: readonly Score[],
  sourceId: string,
  edits: Edits,
  vocabulary: Vocabulary,
): Map<string, Entry> {
  return new Map([
    ...entriesOf(scores, sourceId, vocabulary),
    ...Object.entries(edits.scores[sourceId] ?? {}),
  ]);
}

/** The edits with one more entry of the source that is being edited. */
export function withEntry(edits: Edits, entry: Entry): Edits {
  const touched = edits.scores[edits.sourceId] ?? {};
  const key = entryKey(entry.characterId, entry.qualifiers);
  return { ...edits, scores: { ...edits.scores, [edits.sourceId]: { ...touched, [key]: entry } } };
}

/** Fills what a source does not say yet with the scores of a relative. */
export function withCopied(
  edits: Edits,
  held: ReadonlyMap<string, Entry>,
  copied: readonly Score[],
  vocabulary: Vocabulary,
): Edits {
  let next = edits;
  for (const [key, entry] of entriesOf(copied, undefined, vocabulary))
    if (!held.get(key)?.value) next = withEntry(next, entry);
  return next;
}

/** Every statement of every source, as they would be after saving. */
export function statementsAfter(scores: readonly Score[], edits: Edits, vocabulary: Vocabulary): Score[] {
  const sources = new Set([...scores.map((score) => score.sourceId), ...Object.keys(edits.scores)]);
  return [...sources].flatMap((sourceId) =>
    [...entriesOfSource(scores, sourceId, edits, vocabulary).values()].flatMap((entry) =>
      entry.value
        ? [{ characterId: entry.characterId, sourceId, qualifiers: entry.qualifiers, value: entry.value }]
        : [],
    ),
  );
}

/** The adopted scores as they would be after saving. */
export const adoptedAfter = (
  scores: readonly Score[],
  edits: Edits,
  vocabulary: Vocabulary,
  by: Reconciliation,
): AdoptedScore[] => reconcile(statementsAfter(scores, edits, vocabulary), vocabulary, by);

/** Characters whose dependents stay hidden until they are scored: otherwise every new profile would ask for acorn cups. */
const ASKED_FIRST = new Set([
  'leaf.composition',
  'leaf.lobing',
  'fruit.type',
  'twig.armature',
  'foliage.kind',
]);

/**
 * Has a character its row in the editor? If its governing characters, as adopted from all sources, allow it; or if this source scores it
 * already, so that nothing that is scored is out of reach.
 */
export function hasRow(
  character: Character,
  entries: ReadonlyMap<string, Entry>,
  adopted: readonly AdoptedScore[],
  vocabulary: Vocabulary,
): boolean {
  if (character.derived) return false;
  if ([...entries.values()].some((entry) => entry.characterId === character.id && entry.value)) return true;
  const said = (governor: string, states: readonly string[]) => {
    const values = adopted.filter((score) => score.characterId === governor).map((score) => score.value);
    if (values.length === 0) return undefined;
    return values.some(
      (value) =>
        value.kind !== 'states' ||
        value.states.some(
          (entry) => states.includes(entry.state) && stateOf(vocabulary.get(governor)!, entry.state),
        ),
    );
  };
  return applies(character, said, (governor) => !ASKED_FIRST.has(governor));
}

/** Is an organ asked for? Blades and needles follow the kind of foliage; all others always are. */
export function asksFor(organ: Organ, adopted: readonly AdoptedScore[]): boolean {
  if (organ !== 'leaf' && organ !== 'needle') return true;
  const kinds = adopted
    .filter((score) => score.characterId === 'foliage.kind')
    .flatMap(({ value }) => (value.kind === 'states' ? value.states.map(({ state }) => state) : []));
  if (adopted.some((score) => score.characterId.startsWith(`${organ}.`))) return true;
  return kinds.some((kind) => (kind === 'broad') === (organ === 'leaf'));
}

/** The changed scores to send: those whose value or note differs from the one stored. */
export function changesToSend(scores: readonly Score[], edits: Edits, vocabulary: Vocabulary) {
  return Object.entries(edits.scores).flatMap(([sourceId, touched]) => {
    const before = entriesOf(scores, sourceId, vocabulary);
    return Object.entries(touched).flatMap(([key, { characterId, qualifiers, value, note = '' }]) => {
      const was = before.get(key);
      const same = JSON.stringify(was?.value ?? null) === JSON.stringify(value) && (was?.note ?? '') === note;
      if (same) return [];
      return [{ characterId, sourceId, qualifiers, value, ...(note && value ? { note } : {}) }];
    });
  });
}

/** The months as they stand in the form: what is stored, with what was typed over it. */
export const monthsInForm = (calendar: Calendar, edits: Edits): Record<CalendarPart, string> =>
  Object.fromEntries(
    CALENDAR_PARTS.map((part) => [part, edits.months[part] ?? arcsAsText(calendar[part] ?? [])]),
  ) as Record<CalendarPart, string>;

/** Reads the months of the form, seasons as they are at a latitude. Gives the calendar and, of what cannot be read, the first reason. */
export function readMonths(
  months: Record<CalendarPart, string>,
  latitude?: number,
): { calendar: Calendar; problem?: string } {
  const calendar: Calendar = {};
  let problem: string | undefined;
  for (const part of CALENDAR_PARTS) {
    const arcs = parseArcs(months[part], latitude === undefined ? {} : { latitude });
    if (!arcs.ok) problem ??= `${inTongue(CALENDAR_TITLES[part])}: ${arcs.problem}`;
    else if (arcs.value.length) calendar[part] = arcs.value;
  }
  return problem ? { calendar, problem } : { calendar };
}

/** Why the edits cannot be saved yet: the first score of any source that was typed and cannot be read. */
export function unreadScore(edits: Edits, vocabulary: Vocabulary): string | undefined {
  const unread = Object.values(edits.scores)
    .flatMap((touched) => Object.values(touched))
    .find((entry) => entry.text.trim() && !entry.value);
  if (!unread) return undefined;
  const character = vocabulary.get(unread.characterId);
  if (!character) return undefined;
  const read = parseScore(unread.text, character);
  return read.ok ? t`${character.term} could not be read. Type it again.` : read.problem;
}

/**
 * What was written among the months of flowering and says when beside the leaves: a score of flowering time.
 *
 * @example
 * timingInMonths('before the leaves')?.text; // 'before the leaves'
 */
export function timingInMonths(text: string): Entry | undefined {
  const said =
    /^\s*(?:flowers? )?(before|with|after)\s+(?:the\s+)?(?:leaves|leaf-?out|leafing|foliage)/i.exec(
      text,
    )?.[1];
  const state = said?.toLowerCase();
  return state === undefined
    ? undefined
    : {
        characterId: 'flower.timing',
        qualifiers: {},
        value: { kind: 'states', states: [{ state, frequency: 'always' }] },
        text: t`${state} the leaves`,
      };
}
