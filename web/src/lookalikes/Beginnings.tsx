import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import { Link } from 'react-router';
import { verdictOf } from '@hurrow/core/evidence';
import { commonName } from '@hurrow/core/taxon';
import { useVasculum } from '../app/vasculum.tsx';
import { useConfusions } from '../confusions/useConfusions.ts';
import { useWork } from '../workers/useWork.ts';
import { Working } from '../workers/Working.tsx';
import type { Ground } from './setting.ts';
import styles from './beginnings.module.css';
import { dayLabel } from '../language/inWords.ts';
import { inTongue } from '../language/inTongue.ts';

const MOST = 6;

/** Where to begin: the pairs that this class mixes up, those that are hard on the list today, and what lies in the vasculum. */
export function Beginnings({ ground, base }: { ground: Ground; base: string }) {
  const { course, setting, asked, inputs, profiles } = ground;
  const { pairs } = useConfusions(course?.id ?? '-');
  const { taxa: gathered } = useVasculum();
  const map = useWork(['pairMap', ...inputs], (work, progress) => work.pairMap(asked, progress));
  const name = (id: string) => {
    const found = profiles.find(({ taxon }) => taxon.id === id);
    return found ? commonName(found.taxon) : id;
  };
  const to = (a: string, b: string) => `${base}?taxa=${a},${b}`;
  const hard = map.result?.hard.slice(0, MOST) ?? [];
  return (
    <div className={styles['beginnings']}>
      <section>
        <h2>
          <Trans>Your class mixes up</Trans>
        </h2>
        {pairs.length === 0 ? (
          <p className="quiet">
            <Trans>Nothing yet: what is taken for what shows after the first quiz.</Trans>
          </p>
        ) : (
          <ul>
            {pairs.slice(0, MOST).map(({ a, b, count }) => (
              <li key={`${a} ${b}`}>
                <Link to={to(a, b)}>
                  <Trans>
                    {name(a)} and {name(b)}
                  </Trans>
                </Link>{' '}
                <span className="rust">
                  <Plural value={count} one="once" other="# times" />
                </span>
              </li>
            ))}
          </ul>
        )}
      </section>
      <section>
        <h2>
          <Trans>Hard on {dayLabel(setting.view.day)}</Trans>
        </h2>
        <Working work={map} what={t`Comparing every pair…`} />
        {map.result && hard.length === 0 && (
          <p className="quiet">
            <Trans>Every pair of the list is settled in this view.</Trans>
          </p>
        )}
        <ul>
          {hard.map(({ a, b, error }) => {
            const [first, second] = [setting.list[a]!.taxon.id, setting.list[b]!.taxon.id];
            return (
              <li key={`${a} ${b}`}>
                <Link to={to(first, second)}>
                  <Trans>
                    {name(first)} and {name(second)}
                  </Trans>
                </Link>{' '}
                <span className={verdictOf(error) === 'doubtful' ? 'gold' : 'rust'}>
                  {inTongue(verdictOf(error))}
                </span>
              </li>
            );
          })}
        </ul>
      </section>
      <section>
        <h2>
          <Trans>In the vasculum</Trans>
        </h2>
        {gathered.length === 0 ? (
          <p className="quiet">
            <Trans>Empty. Press c on a profile to gather a tree; two make a contrast.</Trans>
          </p>
        ) : (
          <p>
            <Trans>{gathered.map(name).join(', ')}: one more makes a contrast.</Trans>
          </p>
        )}
      </section>
    </div>
  );
}
