import { Button } from 'antd';
import { sizePoints, type LargestTree } from '@hurrow/core/taxon';
import styles from './editor.module.css';

const NUMBERS: [Exclude<keyof LargestTree, 'place'>, string][] = [
  ['year', 'year'],
  ['girth', 'girth, m'],
  ['height', 'height, m'],
  ['crownSpread', 'crown, m'],
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
      <legend>Largest trees known</legend>
      {trees.map((tree, i) => (
        <div className={styles['largest']} key={i}>
          <input
            aria-label={`Place of tree ${i + 1}`}
            placeholder="where it stands"
            value={tree.place}
            onChange={(event) => set(i, { place: event.target.value })}
          />
          {NUMBERS.map(([part, title]) => (
            <input
              key={part}
              type="number"
              min={0}
              step={part === 'year' ? 1 : 0.1}
              aria-label={`${title} of tree ${i + 1}`}
              placeholder={title}
              value={tree[part] || ''}
              onChange={(event) => set(i, { [part]: event.target.valueAsNumber || 0 })}
            />
          ))}
          <span className="quiet">{sizePoints(tree)} points</span>
          <button
            type="button"
            aria-label={`Remove tree ${i + 1}`}
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
        Add a tree
      </Button>
    </fieldset>
  );
}
