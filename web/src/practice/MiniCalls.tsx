import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { MiniSpecimen } from '@hurrow/core/lesson';
import { HALF_PICTURE, type PracticeGround } from '@hurrow/core/practice';
import { drawingToSvg, drawPlate, traitsInWords } from '@hurrow/core/specimen';
import type { View } from '@hurrow/core/view';
import { useMemo, useState } from 'react';
import styles from './practice.module.css';

interface MiniCallsProps {
  specimens: readonly MiniSpecimen[];
  view: View;
  pair: [string, string];
  ground: PracticeGround;
  name(taxonId: string): string;
}

/** Ten specimens alike but for what tells the two apart, each to be called; right or wrong is said at once. */
export function MiniCalls({ specimens, view, pair, ground, name }: MiniCallsProps) {
  const [called, setCalled] = useState<Record<number, string>>({});
  const drawn = useMemo(
    () =>
      specimens.map(({ traits }, i) => {
        const words = traitsInWords(traits, view.organs, ground.vocabulary, ground.audience, ground.units);
        const plate = drawPlate(traits, view.organs, { ...HALF_PICTURE, units: ground.units });
        return plate && { svg: drawingToSvg(plate, words), alt: t`Specimen ${i + 1}. ${words}` };
      }),
    [specimens, view, ground],
  );
  const right = specimens.filter(({ taxonId }, i) => called[i] === taxonId).length;
  const done = Object.keys(called).length;
  return (
    <section aria-label={t`Specimens to call`}>
      <h2>
        <Trans>Which are these?</Trans>
      </h2>
      <p role="status" className="quiet">
        {done === 0
          ? t`Alike but for what tells them apart.`
          : t`${right} of ${done} called rightly${done === specimens.length ? '' : t` so far`}.`}
      </p>
      <ol className={styles['pieces']}>
        {specimens.map(({ taxonId }, i) => {
          const picture = drawn[i];
          const said = called[i];
          return (
            <li key={i} data-called={said ? (said === taxonId ? 'right' : 'wrong') : undefined}>
              {picture && (
                <img
                  className={styles['picture']}
                  src={`data:image/svg+xml;utf8,${encodeURIComponent(picture.svg)}`}
                  alt={picture.alt}
                />
              )}
              {said ? (
                <p role="status">
                  {said === taxonId ? t`Yes: ` : t`No: `}
                  {name(taxonId)}
                </p>
              ) : (
                <div role="group" aria-label={t`Specimen ${i + 1}`}>
                  {pair.map((id) => (
                    <button
                      key={id}
                      type="button"
                      className={styles['pile']}
                      onClick={() => setCalled({ ...called, [i]: id })}
                    >
                      {name(id)}
                    </button>
                  ))}
                </div>
              )}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
