import { channelOf, type Condition } from '../condition/index.ts';
import type { ProfiledTaxon } from '../evidence/index.ts';
import { done, refused, type Outcome } from '../outcome/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import type { Arriving } from './arriving.ts';
import {
  buildBelow,
  coupletOf,
  everyone,
  follow,
  groundOf,
  questionsHere,
  type Ground,
  type KeyOptions,
} from './build.ts';
import { withClinchers } from './clinch.ts';
import { nodeAt, type Key, type KeyNode, type KeyPath } from './key.ts';
import { questionOf, type Question } from './questions.ts';

/** The key with a lead worded by the instructor; an empty text brings the key's own words back. Throws if there is no such lead. */
export function rewordLead(key: Key, path: KeyPath, lead: number, words: string): Key {
  return changeAt(key, path, (node) => {
    if (node.kind !== 'couplet' || !node.leads[lead]) throw new Error('There is no such lead in the key');
    return {
      ...node,
      leads: node.leads.map((each, i) => {
        if (i !== lead) return each;
        const { words: _, ...plain } = each;
        return words.trim() ? { ...plain, words: words.trim() } : plain;
      }),
    };
  });
}

/**
 * The key with another question at one couplet; everything below it is built again for the taxa that come there. An error, with what
 * to do, where the character is not seen in the key's view or does not part those taxa.
 */
export function replaceCouplet(
  key: Key,
  path: KeyPath,
  leads: Condition[],
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  options: KeyOptions = {},
): Outcome<Key> {
  const inKey = list.filter(({ taxon }) => key.taxa.includes(taxon.id));
  const ground = groundOf(inKey, vocabulary, key.view, options);
  const channel = leads[0] && channelOf(ground.sight.readings, leads[0]);
  if (!channel) return refused('This character cannot be seen in the view of the key. Choose another one.');
  const question = questionOf(ground.sight, channel, leads, options);
  const arriving = arrivingAt(ground, key, path);
  const parted = leads.map((_, b) => follow(ground, arriving, question, b).taxa.length);
  if (parted.filter((n) => n > 0).length < 2)
    return refused(
      'All taxa that come to this couplet show the same here. Choose a character in which they differ.',
    );
  const root = changeAt(key, path, () => ({
    ...coupletOf(ground, arriving, question, (child) => buildBelow(ground, child)),
    byHand: true,
  })).root;
  return done(withClinchers({ ...key, root }, ground.sight));
}

/** The questions that could stand at a couplet, those that part the taxa there most evenly first. */
export function questionsAt(
  key: Key,
  path: KeyPath,
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  options: KeyOptions = {},
): { leads: Condition[]; taxa: string[][] }[] {
  const inKey = list.filter(({ taxon }) => key.taxa.includes(taxon.id));
  const ground = groundOf(inKey, vocabulary, key.view, options);
  const arriving = arrivingAt(ground, key, path);
  const offered = questionsHere(ground, arriving);
  const best = new Map<string, { question: Question; parts: Arriving[]; uneven: number }>();
  for (const question of offered) {
    if (arriving.taxa.some((t) => Number.isNaN(question.shares[0]![t]!))) continue;
    const parts = question.leads.map((_, b) => follow(ground, arriving, question, b));
    if (parts.some((part) => part.taxa.length === 0)) continue;
    const uneven = Math.max(...parts.map((part) => part.taxa.length));
    if (uneven === arriving.taxa.length) continue;
    const held = best.get(question.character.id);
    if (!held || uneven < held.uneven) best.set(question.character.id, { question, parts, uneven });
  }
  return [...best.values()]
    .sort((x, y) => x.uneven - y.uneven || x.question.cost - y.question.cost)
    .map(({ question, parts }) => ({
      leads: question.leads,
      taxa: parts.map((part) => [...part.taxa].map((t) => inKey[t]!.taxon.id)),
    }));
}

/** The taxa that come to a node, by the conditions of the leads above it. */
function arrivingAt(ground: Ground, key: Key, path: KeyPath): Arriving {
  let arriving = everyone(ground);
  path.forEach((lead, depth) => {
    const node = nodeAt(key, path.slice(0, depth));
    if (node?.kind !== 'couplet') throw new Error('There is no such couplet in the key');
    const leads = node.leads.map(({ condition }) => condition);
    const channel = channelOf(ground.sight.readings, leads[0]!);
    if (!channel) return;
    arriving = follow(ground, arriving, questionOf(ground.sight, channel, leads, ground.options), lead);
  });
  return arriving;
}

function changeAt(key: Key, path: KeyPath, change: (node: KeyNode) => KeyNode): Key {
  const within = (node: KeyNode, rest: KeyPath): KeyNode => {
    if (rest.length === 0) return change(node);
    if (node.kind !== 'couplet' || !node.leads[rest[0]!])
      throw new Error('There is no such couplet in the key');
    return {
      ...node,
      leads: node.leads.map((lead, i) =>
        i === rest[0] ? { ...lead, to: within(lead.to, rest.slice(1)) } : lead,
      ),
    };
  };
  return { ...key, root: within(key.root, path) };
}
