import type { Condition } from '../condition/index.ts';
import { conditionInWords } from '../condition/index.ts';
import type { Audience, UnitSystem } from '../score/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import { couplets, type Key, type KeyEnd, type KeyNode, type Lead } from './key.ts';

/** One printed line of a key. */
export interface KeyLine {
  /** Number of the couplet, from 1. */
  couplet: number;
  /** "1", "1′", "1″" … */
  label: string;
  /** How far it is set in: 0 throughout in a bracketed key. */
  depth: number;
  words: string;
  /** The first condition, for the state drawing beside the lead. */
  condition: Condition;
  /** Number of the couplet it leads to, or the taxa at its end. */
  to: { couplet: number } | { taxa: string[]; clinch?: string };
  path: number[];
}

/**
 * The lines of a printed key. Bracketed: the leads of a couplet stand together, with the number of the next. Indented: each lead is
 * followed at once by what lies below it, set in by one step.
 */
export function keyLines(
  key: Key,
  layout: 'bracketed' | 'indented',
  vocabulary: Vocabulary,
  audience: Audience,
  units: UnitSystem,
): KeyLine[] {
  const all = couplets(key);
  const ended = ({ taxa, clinch }: KeyEnd) => ({
    taxa,
    ...(clinch ? { clinch: conditionInWords(clinch, vocabulary, audience, units) } : {}),
  });
  const numbers = new Map(all.map(({ couplet }, i) => [couplet as KeyNode, i + 1]));
  const line = (node: KeyNode, lead: Lead, i: number, path: number[]): KeyLine => ({
    couplet: numbers.get(node)!,
    label: `${numbers.get(node)}${'′'.repeat(i)}`,
    depth: layout === 'indented' ? path.length : 0,
    words: leadInWords(lead, vocabulary, audience, units),
    condition: lead.condition,
    to: lead.to.kind === 'end' ? ended(lead.to) : { couplet: numbers.get(lead.to)! },
    path,
  });
  if (layout === 'bracketed')
    return all.flatMap(({ couplet, path }) => couplet.leads.map((lead, i) => line(couplet, lead, i, path)));
  const lines: KeyLine[] = [];
  const visit = (node: KeyNode, path: number[]) => {
    if (node.kind === 'end') return;
    node.leads.forEach((lead, i) => {
      lines.push(line(node, lead, i, path));
      visit(lead.to, [...path, i]);
    });
  };
  visit(key.root, []);
  return lines;
}

/** A lead in words: the instructor's own, or its conditions one after the other. */
export const leadInWords = (
  lead: Lead,
  vocabulary: Vocabulary,
  audience: Audience,
  units: UnitSystem,
): string =>
  lead.words ??
  [lead.condition, ...lead.also]
    .map((condition) => conditionInWords(condition, vocabulary, audience, units))
    .join('; ');
