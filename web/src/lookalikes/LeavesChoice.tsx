import { t } from '@lingui/core/macro';
import { useMemo } from 'react';
import { openInLeaf } from '@hurrow/core/evidence';
import { LEAF_CONDITIONS, onDay, type LeafCondition } from '@hurrow/core/view';
import { Chips } from '../app/parts.tsx';
import { leavesInWords } from './leaves.ts';
import type { Ground } from './setting.ts';
import styles from './contrast.module.css';
import { dayLabel } from '../language/inWords.ts';

const CHOICES = ['either', ...LEAF_CONDITIONS] as const;
const TITLES: Record<(typeof CHOICES)[number], string> = { either: t`either`, on: t`in leaf`, off: t`bare` };

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
  const open = useMemo(() => openInLeaf(list, onDay(view, view.day), options), [list, view, options]);
  if (open.length === 0 || !view.organs.some((organ) => organ === 'twig' || organ === 'habit')) return null;
  return (
    <div className={styles['leaves-choice']}>
      <Chips
        title={leavesInWords(open.length, list.length, dayLabel(view.day), leaves)}
        label={t`Leaves`}
        all={CHOICES}
        chosen={[leaves ?? 'either']}
        name={(choice) => TITLES[choice]}
        flip={(choice) => onChange(choice === 'either' ? undefined : choice)}
      />
    </div>
  );
}
