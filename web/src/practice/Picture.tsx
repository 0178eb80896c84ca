import { t } from '@lingui/core/macro';
import type { Shown } from '@hurrow/core/practice';
import styles from './practice.module.css';

/** A drawn specimen: what it shows is said in words for those who listen, and its name nowhere. */
export const Picture = ({ shown, what = t`The specimen` }: { shown: Shown; what?: string }) => (
  <img
    className={styles['picture']}
    src={`data:image/svg+xml;utf8,${encodeURIComponent(shown.svg)}`}
    alt={`${what}. ${shown.words}`}
  />
);
