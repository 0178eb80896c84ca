import type { Strokes } from '@hurrow/contract/notebook';
import { pathOf } from './noted.ts';
import styles from './notebook.module.css';

/** A drawing of a notebook. */
export const Drawn = ({ drawing, label }: { drawing: Strokes; label: string }) => (
  <svg className={styles['drawn']} viewBox="0 0 1000 750" role="img" aria-label={label}>
    {drawing.map((stroke, i) => (
      <path key={i} d={pathOf(stroke)} />
    ))}
  </svg>
);
