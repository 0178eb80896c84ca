import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { PracticePack } from '@hurrow/contract/practice';
import type { SaidLine } from '@hurrow/core/evidence';
import { upperFirst } from '@hurrow/core/words';
import { TreeName } from './TreeName.tsx';
import styles from './practice.module.css';
import { inTongue } from '../language/inTongue.ts';

/** What tells two trees apart, the first thing to look at first, with what each of the pair shows. */
export const Lines = ({
  lines,
  pack,
  pair,
}: {
  lines: readonly SaidLine[];
  pack: PracticePack;
  pair: readonly [string, string];
}) => (
  <dl className={styles['lines']}>
    {lines.map(({ lead, character, shows }) => (
      <div key={character}>
        <dt>
          {inTongue(lead)} {character}
        </dt>
        <dd>
          <Trans>
            {upperFirst(shows[0]) || t`not told`} in <TreeName pack={pack} id={pair[0]} />;{' '}
            {shows[1] || t`not told`} in
          </Trans>{' '}
          <TreeName pack={pack} id={pair[1]} />
        </dd>
      </div>
    ))}
  </dl>
);
