import type { Condition } from '../condition/index.ts';
import type { View } from '../view/index.ts';

/** One lead of a couplet: what the specimen must show, what else it then shows, and where it leads. */
export interface Lead {
  condition: Condition;
  /** Up to two conditions of other characters that part the same taxa: they confirm the first. */
  also: Condition[];
  /** The instructor's own wording of the lead; without it the conditions are put into words. */
  words?: string;
  to: KeyNode;
}

/** A question of the key, with two leads or more. */
export interface Couplet {
  kind: 'couplet';
  leads: Lead[];
  /** Chosen by hand. Where a couplet above it is replaced, it is built again like the others. */
  byHand?: boolean;
  /** Share of all specimens, weighted by how common their taxa are, that come to this couplet if nobody errs. */
  share: number;
}

/** Where the key ends: one taxon, or several that nothing allowed in the key tells apart. */
export interface KeyEnd {
  kind: 'end';
  taxa: string[];
  share: number;
  /** One thing more to look for, which those near it in the key do not show, or most of them: it clinches the name. */
  clinch?: Condition;
}

export type KeyNode = Couplet | KeyEnd;

/** An identification key for the taxa of a list in one view. */
export interface Key {
  view: View;
  taxa: string[];
  root: KeyNode;
}

/** The way to a node: the lead taken at each couplet from the root on. `[]` is the root. */
export type KeyPath = readonly number[];

/** The node at a path; undefined where the path leaves the key. */
export function nodeAt(key: Key, path: KeyPath): KeyNode | undefined {
  let node: KeyNode | undefined = key.root;
  for (const lead of path) node = node?.kind === 'couplet' ? node.leads[lead]?.to : undefined;
  return node;
}

/** The couplets with their paths, in the order in which a printed key numbers them: each before those it leads to. */
export function couplets(key: Key): { path: number[]; couplet: Couplet }[] {
  const found: { path: number[]; couplet: Couplet }[] = [];
  const visit = (node: KeyNode, path: number[]) => {
    if (node.kind === 'end') return;
    found.push({ path, couplet: node });
    node.leads.forEach((lead, i) => visit(lead.to, [...path, i]));
  };
  visit(key.root, []);
  return found;
}

/** The taxa that the ends below a node name. */
export const taxaBelow = (node: KeyNode): string[] =>
  node.kind === 'end' ? node.taxa : [...new Set(node.leads.flatMap((lead) => taxaBelow(lead.to)))];
