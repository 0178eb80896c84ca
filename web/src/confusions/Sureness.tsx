import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ConfusionData } from '@hurrow/contract/confusions';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { knowsItself, levelsInWords, surenessIn } from './sureness.ts';
import type { Names } from './useNames.ts';
import styles from './confusions.module.css';

/** Of the wrong ideas that most are sure of, so many are named. */
const NAMED = 5;

/** How sure the class said to be, against how right it was: what is surely wrong is taught otherwise than what is guessed. */
export function Sureness({
  data,
  names,
  base,
}: {
  data: Pick<ConfusionData, 'stations' | 'answers'>;
  names: Names;
  base: string;
}) {
  const { levels, mistakes } = useMemo(() => surenessIn(data), [data]);
  const said = levelsInWords(levels);
  if (!said) return null;
  return (
    <section className={styles['sureness']} aria-label={t`How sure they were`}>
      <p>
        {said} {knowsItself(levels)}
      </p>
      {mistakes.length > 0 && (
        <p>
          <Trans>
            Surely wrong, a wrong idea and no guess:{' '}
            {mistakes.slice(0, NAMED).map(({ truth, answer, sure, gave }, i) => (
              <span key={`${truth} ${answer}`}>
                <Trans>
                  {i > 0 && '; '}
                  <Link to={`${base}/${truth}/${answer}`}>
                    {names.taxon(truth)} called {names.taxon(answer)}
                  </Link>
                  , {sure} of {gave} sure
                </Trans>
              </span>
            ))}
            .
          </Trans>
        </p>
      )}
    </section>
  );
}
