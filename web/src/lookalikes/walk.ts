import { taxaBelow, type Key, type KeyNode } from '@hurrow/core/key';

export interface Step {
  node: KeyNode;
  /** Ways still to be gone, left open where both leads fitted or neither could be seen. */
  open: KeyNode[];
  /** Taxa at ends already reached on other ways. */
  reached: string[];
}

/** The walk at its first couplet. */
export const begun = ({ root }: Pick<Key, 'root'>): Step => settle({ node: root, open: [], reached: [] });

/** One lead taken. */
export const taken = (step: Step, lead: number): Step => {
  const { node } = step;
  return node.kind === 'couplet' ? settle({ ...step, node: node.leads[lead]!.to }) : step;
};

/** No lead decided on: the first is gone, the others are left open. */
export const unsure = (step: Step): Step => {
  const { node, open } = step;
  if (node.kind !== 'couplet') return step;
  const [first, ...others] = node.leads.map((lead) => lead.to);
  return settle({ ...step, node: first!, open: [...others, ...open] });
};

/** The taxa that it can still be. */
export const leftAt = ({ node, open, reached }: Step): string[] => [
  ...new Set([...taxaBelow(node), ...open.flatMap(taxaBelow), ...reached]),
];

/** At an end with ways left open, the walk goes on along the first of them; what it reached is kept. */
function settle({ node, open, reached }: Step): Step {
  if (node.kind === 'couplet' || open.length === 0) return { node, open, reached };
  return settle({ node: open[0]!, open: open.slice(1), reached: [...new Set([...reached, ...node.taxa])] });
}
