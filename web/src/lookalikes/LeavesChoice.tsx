import { useMemo } from 'react';
import { openInLeaf } from '@hurrow/core/evidence';
import { dayLabel } from '@hurrow/core/season';
import type { LeafCondition } from '@hurrow/core/view';
import ui from '../app/parts.module.css';
import { leavesInWords } from './leaves.ts';
import type { Ground } from './setting.ts';
import styles from './contrast.module.css';

const CHOICES: [LeafCondition | undefined, string][] = [
  [undefined, 'either'],
  ['on', 'in leaf'],
  ['off', 'bare'],
];

/** About leaf-out and leaf fall: which condition is meant. Nothing where the date leaves none of the list open. */
export function LeavesChoice({
  ground,
  leaves,
  onChange,
}: {
  ground: Ground;
  leaves: LeafCondition | undefined;
  onChange(leaves: LeafCondition | undefined): void;
}) {
  const { list, view, options } = ground.setting;
  const open = useMemo(() => {
    const { leaves: _, ...unfixed } = view;
    return openInLeaf(list, unfixed, options);
  }, [list, view, options]);
  if (open.length === 0 || !view.organs.some((organ) => organ === 'twig' || organ === 'habit')) return null;
  return (
    <div className={`${ui['chips']} ${styles['leaves-choice']}`} role="group" aria-label="Leaves">
      <span className="quiet">{leavesInWords(open.length, list.length, dayLabel(view.day), leaves)}</span>
      {CHOICES.map(([choice, title]) => (
        <button
          key={title}
          aria-pressed={leaves === choice}
          {...(leaves === choice ? { 'data-frequency': 'always' } : {})}
          onClick={() => onChange(choice)}
        >
          {title}
        </button>
      ))}
    </div>
  );
}
