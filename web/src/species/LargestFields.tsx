import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Button } from 'antd';
import { sizePoints, type LargestTree } from '@hurrow/core/taxon';
import styles from './editor.module.css';

const NUMBERS: [Exclude<keyof LargestTree, 'place'>, string][] = [
  ['year', t`year`],
  ['girth', t`girth, m`],
  ['height', t`height, m`],
  ['crownSpread', t`crown, m`],
];

/** The largest trees known, in meters; the points follow from them. */
export function LargestFields({
  trees,
  onChange,
}: {
  trees: readonly LargestTree[];
  onChange(trees: LargestTree[]): void;
}) {
  const set = (i: number, change: Partial<LargestTree>) =>
    onChange(trees.map((tree, k) => (k === i ? { ...tree, ...change } : tree)));
  return (
    <fieldset>
      <legend>
        <Trans>Largest trees known</Trans>
      </legend>
      {trees.map((tree, i) => (
        <div className={styles['largest']} key={i}>
          <input
            aria-label={t`Place of tree ${i + 1}`}
            placeholder={t`where it stands`}
            value={tree.place}
            onChange={(event) => set(i, { place: event.target.value })}
          />
          {NUMBERS.map(([part, title]) => (
            <input
              key={part}
              type="number"
              min={0}
              step={part === 'year' ? 1 : 0.1}
              aria-label={t`${title} of tree ${i + 1}`}
              placeholder={title}
              value={tree[part] || ''}
              onChange={(event) => set(i, { [part]: event.target.valueAsNumber || 0 })}
            />
          ))}
          <span className="quiet">
            <Trans>{sizePoints(tree)} points</Trans>
          </span>
          <button
            type="button"
            aria-label={t`Remove tree ${i + 1}`}
            onClick={() => onChange(trees.filter((_, k) => k !== i))}
          >
            ×
          </button>
        </div>
      ))}
      <Button
        size="small"
        onClick={() => onChange([...trees, { place: '', girth: 0, height: 0, crownSpread: 0 }])}
      >
        <Trans>Add a tree</Trans>
      </Button>
    </fieldset>
  );
}
