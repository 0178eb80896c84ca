import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { commonName } from '@hurrow/core/taxon';
import { organsInOrder, SHOWN_BY } from '@hurrow/core/vocabulary';
import { taxaAsked, withTaxonAt } from '../../app/taxaAsked.ts';
import { ContrastView } from '../../lookalikes/ContrastView.tsx';
import { KeyWalk } from '../../lookalikes/KeyWalk.tsx';
import { againstSet } from '../../lookalikes/recalled.ts';
import { type Ground } from '../../lookalikes/setting.ts';
import { useWork } from '../../workers/useWork.ts';
import { Working } from '../../workers/Working.tsx';
import styles from './trees.module.css';
import { PhonePage } from './PhonePage.tsx';

/** Two trees of the list side by side. */
export function Compared({ ground }: { ground: Ground }) {
  const [search, setSearch] = useSearchParams();
  const { course, library, profiles, setting } = ground;
  const ids = taxaAsked(search.get('taxa'));
  const chosen = [0, 1].map((i) => profiles.find(({ taxon }) => taxon.id === ids[i]));
  const [a, b] = chosen;
  return (
    <PhonePage title={t`Side by side`}>
      <div className={styles['choice']}>
        {[0, 1].map((place) => (
          <select
            key={place}
            aria-label={t`${place === 0 ? t`First` : t`Second`} tree`}
            value={ids[place] ?? ''}
            onChange={(event) => setSearch({ taxa: withTaxonAt(ids, place, event.target.value).join(',') })}
          >
            <option value="">
              <Trans>choose a tree</Trans>
            </option>
            {setting.list.map(({ taxon }) => (
              <option key={taxon.id} value={taxon.id}>
                {commonName(taxon)}
              </option>
            ))}
          </select>
        ))}
      </div>
      {a && b && a !== b && (
        <div className={styles['wide']}>
          <ContrastView
            list={setting.list}
            a={a}
            b={b}
            view={setting.view}
            library={library}
            site={course}
            audience={course!.audience}
            units={course!.units}
            reading
          />
        </div>
      )}
    </PhonePage>
  );
}

/** A key of the list, walked through. */
export function KeyOfList({ ground }: { ground: Ground }) {
  const [round, setRound] = useState(0);
  const organs = [...new Set(organsInOrder(ground.course!.startsWith).map(({ organ }) => SHOWN_BY[organ]))];
  const work = useWork(['key', 'student', ...ground.inputs], (worker, progress) =>
    worker.key(ground.asked, { level: 'intermediate', manyLeads: false, banned: [], organs }, progress),
  );
  return (
    <PhonePage title={t`Key`}>
      <Working work={work} what={t`Building the key…`} />
      {work.result && (
        <KeyWalk key={round} keyTo={work.result.key} ground={ground} leave={() => setRound(round + 1)} />
      )}
    </PhonePage>
  );
}

/** What to remember of each tree of a set. */
export function Recap({ ground }: { ground: Ground }) {
  const { setId } = useParams();
  const { course, profiles, asked, inputs } = ground;
  const set = course!.sets.find(({ id }) => id === setId);
  const taxa = set?.taxa ?? [];
  const work = useWork(['recap', taxa, ...inputs], (worker) => worker.recap(asked, taxa), taxa.length > 0);
  if (!set)
    return (
      <PhonePage title={t`Recap`}>
        <Trans>There is no such set.</Trans>
      </PhonePage>
    );
  return (
    <PhonePage title={t`Recap: ${set.title}`}>
      <Working work={work} what={t`Looking for what singles each out…`} />
      <dl className={styles['marks']}>
        {(work.result ?? []).map((found) => {
          const profiled = profiles.find(({ taxon }) => taxon.id === found.taxonId);
          if (!profiled) return null;
          const { aid, marks } = againstSet(found, ground);
          return (
            <div key={found.taxonId}>
              <dt>{commonName(profiled.taxon)}</dt>
              <dd>
                {aid && <>{aid.text} </>}
                {marks.length ? marks.join('; ') : t`Nothing seen on a cutting singles it out.`}
              </dd>
            </div>
          );
        })}
      </dl>
    </PhonePage>
  );
}
