import type { baseMap } from '@hurrow/core/map';
import styles from './range.module.css';

type Base = ReturnType<typeof baseMap>;

/** Sea and land, under what is drawn on a map. */
export const Ground = ({ base, width, height }: { base: Base; width: number; height: number }) => (
  <>
    <rect width={width} height={height} className={styles['sea']} />
    <path d={base.graticule} className={styles['graticule']} />
    <path d={base.land} className={styles['land']} />
  </>
);

/** Lines of counties, states and countries, over it. */
export const Lines = ({ base }: { base: Base }) => (
  <>
    <path d={base.counties} className={styles['counties']} />
    <path d={base.states} className={styles['states']} />
    <path d={base.borders} className={styles['borders']} />
  </>
);
