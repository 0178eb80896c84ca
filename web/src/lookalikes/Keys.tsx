import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, Route, Routes, useParams } from 'react-router';
import type { KeyOptions, KeyOrder } from '@hurrow/core/key';
import { organsInOrder, SHOWN_BY, type Level } from '@hurrow/core/vocabulary';
import { useWork } from '../workers/useWork.ts';
import { Working } from '../workers/Working.tsx';
import { leavesOf } from './keyed.ts';
import { KeySheet } from './KeySheet.tsx';
import { KeyWalk } from './KeyWalk.tsx';
import { lookalikesQuery } from './lookalikesQuery.ts';
import { askedWhole, type Ground } from './setting.ts';
import styles from './contrast.module.css';
import { LinkButton, Opening, Problem } from '../app/parts.tsx';
import keysStyles from './keys.module.css';
import { dayLabel, viewInWords } from '../language/inWords.ts';

/** Keys: a fresh one of the list as it stands in the view, and those that are kept. */
export function Keys({ ground, base }: { ground: Ground; base: string }) {
  return (
    <Routes>
      <Route path="" element={<FreshKey ground={ground} base={base} />} />
      <Route path=":keyId" element={<KeptKeyPage ground={ground} base={base} />} />
      <Route path=":keyId/walk" element={<KeptKeyPage ground={ground} base={base} walking />} />
    </Routes>
  );
}

function FreshKey({ ground, base }: { ground: Ground; base: string }) {
  const [level, setLevel] = useState<Level>('intermediate');
  const held = useQuery(lookalikesQuery).data;
  const [order, setOrder] = useState<KeyOrder>('book');
  const [manyLeads, setManyLeads] = useState(false);
  const [banned, setBanned] = useState<string[]>([]);
  const startsWith = ground.course?.startsWith ?? 'leaf';
  const wanted: KeyOptions = {
    level,
    order,
    manyLeads,
    banned,
    organs: [...new Set(organsInOrder(startsWith).map(({ organ }) => SHOWN_BY[organ]))],
  };
  const work = useWork(
    ['key', level, order, manyLeads, banned, startsWith, ...ground.inputs],
    (worker, progress) => worker.key(ground.asked, wanted, progress),
  );
  const [walking, setWalking] = useState(false);
  const made = work.result;
  if (walking && made) return <KeyWalk keyTo={made.key} ground={ground} leave={() => setWalking(false)} />;
  return (
    <>
      <div className={styles['pair-choice']}>
        <label>
          <Trans>For</Trans>{' '}
          <select value={level} onChange={(event) => setLevel(event.target.value as Level)}>
            <option value="beginner">
              <Trans>beginners</Trans>
            </option>
            <option value="intermediate">
              <Trans>those who know the common terms</Trans>
            </option>
            <option value="advanced">
              <Trans>the advanced</Trans>
            </option>
          </select>
        </label>
        <label>
          <Trans>Asked</Trans>{' '}
          <select value={order} onChange={(event) => setOrder(event.target.value as KeyOrder)}>
            <option value="book">
              <Trans>by the book: foliage, arrangement, leaf, then what errs least</Trans>
            </option>
            <option value="fewest">
              <Trans>with the fewest questions</Trans>
            </option>
          </select>
        </label>
        <label>
          <input type="checkbox" checked={manyLeads} onChange={() => setManyLeads(!manyLeads)} />{' '}
          <Trans>more than two leads where a character has more states</Trans>
        </label>
        {held && held.keys.length > 0 && (
          <span>
            <Trans>Kept:</Trans>{' '}
            {held.keys.map(({ id, title }) => (
              <Link key={id} to={`${base}/keys/${id}`} className={keysStyles['kept-key']}>
                {title}
              </Link>
            ))}
          </span>
        )}
      </div>
      <Working work={work} what={t`Building the key…`} />
      {made && (
        <KeySheet
          key={JSON.stringify([level, order, manyLeads, banned, ground.inputs])}
          title={t`Key to ${made.key.taxa.length} taxa, ${dayLabel(made.key.view.day)}${leavesOf(made.key)}`}
          made={made}
          ground={ground}
          options={{ level, order, manyLeads, banned }}
          walk={() => setWalking(true)}
          ban={(id) => setBanned([...banned, id])}
        />
      )}
      {banned.length > 0 && (
        <p className="quiet">
          <Trans>Left out of the key:</Trans>{' '}
          {banned.map((id) => (
            <LinkButton key={id} onClick={() => setBanned(banned.filter((other) => other !== id))}>
              <Trans>{ground.vocabulary.get(id)?.term} (allow again)</Trans>
            </LinkButton>
          ))}
        </p>
      )}
    </>
  );
}

function KeptKeyPage({ ground, base, walking = false }: { ground: Ground; base: string; walking?: boolean }) {
  const { keyId } = useParams();
  const held = useQuery(lookalikesQuery).data;
  const kept = held?.keys.find(({ id }) => id === keyId);
  const asked = askedWhole(ground, kept?.key.view ?? ground.asked.view);
  const work = useWork(
    ['appraise', kept?.key, ground.library.id, asked.revision, asked.tag, asked.options],
    (worker) => worker.appraise(asked, kept!.key),
    kept !== undefined,
  );
  const [walk, setWalk] = useState(walking);
  if (!held)
    return (
      <Opening>
        <Trans>Opening the key…</Trans>
      </Opening>
    );
  if (!kept)
    return (
      <Problem>
        <Trans>
          This key is no longer kept. <Link to={`${base}/keys`}>Build one for the list as it is now.</Link>
        </Trans>
      </Problem>
    );
  if (walk) return <KeyWalk keyTo={kept.key} ground={ground} leave={() => setWalk(false)} />;
  return (
    <>
      <p>
        <Link to={`${base}/keys`}>
          <Trans>All keys</Trans>
        </Link>{' '}
        <span className="quiet">
          <Trans>
            Made for {dayLabel(kept.key.view.day)}: {viewInWords(kept.key.view)}. It stays as it was kept; the
            figures are worked out from the scores as they are now.
          </Trans>
        </span>
      </p>
      <Working work={work} what={t`Appraising the key…`} />
      {work.result && (
        <KeySheet
          key={`${kept.id} ${held.revision}`}
          title={kept.title}
          made={{ key: kept.key, appraisal: work.result }}
          ground={ground}
          options={kept.options}
          kept={kept}
          walk={() => setWalk(true)}
        />
      )}
    </>
  );
}
