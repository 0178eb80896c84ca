import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { UnitSystem } from '@hurrow/core/score';
import { sizePoints, type Taxon } from '@hurrow/core/taxon';
import { decimal } from '../language/inWords.ts';
import styles from './species.module.css';

/** Uses and wildlife as history, and the largest trees known with their size points. */
export function Told({ taxon, units }: { taxon: Taxon; units: UnitSystem }) {
  const length = (metres: number) =>
    units === 'metric' ? `${decimal(metres, 1)} m` : t`${Math.round(metres / 0.3048)} ft`;
  return (
    <>
      {taxon.wildlife && (
        <section className={styles['organ']}>
          <h2>
            <Trans>Wildlife</Trans>
          </h2>
          <div className={styles['statement']}>{taxon.wildlife}</div>
        </section>
      )}
      {taxon.uses && (
        <section className={styles['organ']}>
          <h2>
            <Trans>Uses</Trans>
          </h2>
          <div className={styles['statement']}>{taxon.uses}</div>
          <div className={styles['margin']}>
            <p>
              <Trans>Told as history, not as advice.</Trans>
            </p>
          </div>
        </section>
      )}
      {(taxon.largest ?? []).length > 0 && (
        <section className={styles['organ']}>
          <h2>
            <Trans>Largest</Trans>
          </h2>
          <div className={styles['statement']}>
            {taxon.largest!.map((tree) => (
              <p key={`${tree.place}${tree.year}`}>
                <Trans>
                  {tree.place}
                  {tree.year ? `, ${tree.year}` : ''}: girth {length(tree.girth)}, height{' '}
                  {length(tree.height)}, crown {length(tree.crownSpread)}; {sizePoints(tree)} points
                </Trans>
              </p>
            ))}
          </div>
          <div className={styles['margin']}>
            <p>
              <Trans>Points: inches of girth, feet of height, a quarter of the feet of crown.</Trans>
            </p>
          </div>
        </section>
      )}
    </>
  );
}
