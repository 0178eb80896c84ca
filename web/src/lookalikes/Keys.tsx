import type { KeptKey, NamedKey } from '@hurrow/contract/lookalikes';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, Route, Routes, useParams } from 'react-router';
import {
  couplets,
  keyLines,
  rewordLead,
  type Appraisal,
  type Key,
  type KeyOptions,
  type KeyOrder,
} from '@hurrow/core/key';
import { dayLabel } from '@hurrow/core/season';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { LEAVES_TITLES, listInWords, viewInWords } from '@hurrow/core/view';
import { organsInOrder, SHOWN_BY, type Level } from '@hurrow/core/vocabulary';
import { call } from '../app/api.ts';
import { StatePicture } from '../app/StatePicture.tsx';
import { useSaved } from '../library/useSaved.tsx';
import { useWork } from '../workers/useWork.ts';
import { Working } from '../workers/Working.tsx';
import { CoupletEditor } from './CoupletEditor.tsx';
import { KeyWalk } from './KeyWalk.tsx';
import { lookalikesQuery } from './lookalikesQuery.ts';
import { printSheet } from './printSheet.ts';
import { askedWhole, type Ground } from './setting.ts';
import styles from './contrast.module.css';
import { LinkButton, Opening, Problem } from '../app/parts.tsx';
import keysStyles from './keys.module.css';
import { useSaving } from '../app/useSaving.ts';

export type Layout = 'bracketed' | 'indented';

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
          For{' '}
          <select value={level} onChange={(event) => setLevel(event.target.value as Level)}>
            <option value="beginner">beginners</option>
            <option value="intermediate">those who know the common terms</option>
            <option value="advanced">the advanced</option>
          </select>
        </label>
        <label>
          Asked{' '}
          <select value={order} onChange={(event) => setOrder(event.target.value as KeyOrder)}>
            <option value="book">by the book: foliage, arrangement, leaf, then what errs least</option>
            <option value="fewest">with the fewest questions</option>
          </select>
        </label>
        <label>
          <input type="checkbox" checked={manyLeads} onChange={() => setManyLeads(!manyLeads)} /> more than
          two leads where a character has more states
        </label>
        {held && held.keys.length > 0 && (
          <span>
            Kept:{' '}
            {held.keys.map(({ id, title }) => (
              <Link key={id} to={`${base}/keys/${id}`} className={keysStyles['kept-key']}>
                {title}
              </Link>
            ))}
          </span>
        )}
      </div>
      <Working work={work} what="Building the key…" />
      {made && (
        <KeySheet
          key={JSON.stringify([level, order, manyLeads, banned, ground.inputs])}
          title={`Key to ${made.key.taxa.length} taxa, ${dayLabel(made.key.view.day)}${leavesOf(made.key)}`}
          made={made}
          ground={ground}
          options={{ level, order, manyLeads, banned }}
          walk={() => setWalking(true)}
          ban={(id) => setBanned([...banned, id])}
        />
      )}
      {banned.length > 0 && (
        <p className="quiet">
          Left out of the key:{' '}
          {banned.map((id) => (
            <LinkButton key={id} onClick={() => setBanned(banned.filter((other) => other !== id))}>
              {ground.vocabulary.get(id)?.term} (allow again)
            </LinkButton>
          ))}
        </p>
      )}
    </>
  );
}

/** The condition that a key is for, where the date leaves it open: “, bare of leaves”. */
const leavesOf = ({ view }: Key) => (view.leaves ? `, ${LEAVES_TITLES[view.leaves]}` : '');

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
  if (!held) return <Opening>Opening the key…</Opening>;
  if (!kept)
    return (
      <Problem>
        This key is no longer kept. <Link to={`${base}/keys`}>Build one for the list as it is now.</Link>
      </Problem>
    );
  if (walk) return <KeyWalk keyTo={kept.key} ground={ground} leave={() => setWalk(false)} />;
  return (
    <>
      <p>
        <Link to={`${base}/keys`}>All keys</Link>{' '}
        <span className="quiet">
          Made for {dayLabel(kept.key.view.day)}: {viewInWords(kept.key.view)}. It stays as it was kept; the
          figures are worked out from the scores as they are now.
        </span>
      </p>
      <Working work={work} what="Appraising the key…" />
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

/** A key on the page: what it is worth, its lines, and what can be done with it. Changes are kept only on saving. */
function KeySheet({
  title: firstTitle,
  made,
  ground,
  options,
  kept,
  walk,
  ban,
}: {
  title: string;
  made: { key: Key; appraisal: Appraisal };
  ground: Ground;
  options: KeptKey['options'];
  kept?: NamedKey;
  walk(): void;
  ban?: (characterId: string) => void;
}) {
  const { vocabulary, course, profiles } = ground;
  const [audience, units] = [course?.audience ?? 'technical', course?.units ?? 'metric'] as const;
  const held = useQuery(lookalikesQuery).data;
  const saved = useSaved();
  const [layout, setLayout] = useState<Layout>('bracketed');
  const [title, setTitle] = useState(firstTitle);
  const [now, setNow] = useState(made);
  const [selected, setSelected] = useState<number[]>();
  const { save, problem, say } = useSaving();
  const lines = keyLines(now.key, layout, vocabulary, audience, units);
  const changed = now.key !== made.key;
  const find = (id: string) => profiles.find(({ taxon }) => taxon.id === id)?.taxon;
  const keep = async () => {
    const body = { title, key: now.key, options, baseRevision: held?.revision ?? 0 };
    await save(
      () =>
        kept
          ? call('PUT /api/library/keys/{id}', { params: { id: kept.id }, body })
          : call('POST /api/library/keys', { body }),
      { done: ({ revision }) => saved(`“${title}” is kept.`, revision) },
    );
  };
  const drop = () =>
    save(() => call('DELETE /api/library/keys/{id}', { params: { id: kept!.id } }), {
      done: ({ revision }) => saved('The key is taken away.', revision),
    });
  return (
    <div className={keysStyles['key-page']}>
      <div>
        <Worth
          appraisal={now.appraisal}
          weakest={weakestOf(now)}
          before={changed ? made.appraisal : undefined}
          name={(id) => nameOf(find(id), id)}
        />
        <div className={styles['pair-choice']}>
          <select
            aria-label="Layout of the key"
            value={layout}
            onChange={(event) => setLayout(event.target.value as Layout)}
          >
            <option value="bracketed">bracketed</option>
            <option value="indented">indented</option>
          </select>
          <Button type="primary" onClick={walk}>
            Walk through it
          </Button>
          <Button
            onClick={() => void printSheet('key', { title, key: now.key, layout }, course?.id).then(say)}
          >
            Print
          </Button>
          <input
            aria-label="Name of the key"
            size={Math.max(24, title.length)}
            value={title}
            onChange={(event) => setTitle(event.target.value)}
          />
          <Button onClick={() => void keep()}>{kept ? 'Save' : 'Keep this key'}</Button>
          {kept && (
            <Button type="text" onClick={() => void drop()}>
              Take away
            </Button>
          )}
          {changed && (
            <LinkButton onClick={() => setNow(made)}>Back to the key before the changes</LinkButton>
          )}
        </div>
        {problem && <Problem>{problem}</Problem>}
        <table className={keysStyles['key-lines']} aria-label="The key">
          <tbody>
            {lines.map((line, i) => (
              <tr
                key={line.label}
                id={`couplet-${line.label}`}
                className={`${lines[i - 1]?.couplet === line.couplet || layout === 'indented' ? '' : keysStyles['first']} ${selected && selected.join() === line.path.join() ? keysStyles['chosen-couplet'] : ''}`}
              >
                <td style={{ paddingLeft: 4 + line.depth * 13 }}>
                  <LinkButton
                    aria-label={`Change couplet ${line.couplet}`}
                    onClick={() => setSelected(line.path)}
                  >
                    {line.label}
                  </LinkButton>
                </td>
                <td>
                  {line.condition.states?.[0] && (
                    <StatePicture characterId={line.condition.characterId} state={line.condition.states[0]} />
                  )}
                </td>
                <td>{line.words}</td>
                <td>
                  {'couplet' in line.to ? (
                    layout === 'bracketed' && <a href={`#couplet-${line.to.couplet}`}>{line.to.couplet}</a>
                  ) : (
                    <Taxa ids={line.to.taxa} find={find} />
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <CoupletEditor
        key={selected?.join() ?? 'none'}
        path={selected}
        keyTo={now.key}
        ground={ground}
        options={options}
        replaced={(key, appraisal) => setNow({ key, appraisal })}
        reword={(lead, words) => setNow({ ...now, key: rewordLead(now.key, selected!, lead, words) })}
        {...(ban ? { ban } : {})}
      />
    </div>
  );
}

/** The number of the couplet at which most noisy readers are lost, with the share of all that is lost there. */
function weakestOf({ key, appraisal }: { key: Key; appraisal: Appraisal }) {
  const { weakest } = appraisal;
  const at = weakest && couplets(key).findIndex(({ path }) => path.join() === weakest.path.join());
  return at === undefined || at < 0 ? undefined : { couplet: at + 1, lost: weakest!.lost };
}

const nameOf = (taxon: Parameters<typeof commonName>[0] | undefined, id: string) =>
  taxon ? commonName(taxon) : id;

function Taxa({
  ids,
  find,
}: {
  ids: readonly string[];
  find(id: string): Parameters<typeof scientificName>[0] | undefined;
}) {
  return (
    <>
      {ids.map((id, i) => {
        const taxon = find(id);
        return (
          <span key={id}>
            {i > 0 && ' or '}
            <strong>{nameOf(taxon, id)}</strong>{' '}
            <span className="latin">{taxon && scientificName(taxon)}</span>
          </span>
        );
      })}
    </>
  );
}

/** What a key is worth, in sentences; beside it what it was worth before a change by hand. */
function Worth({
  appraisal,
  weakest,
  before,
  name,
}: {
  appraisal: Appraisal;
  weakest: { couplet: number; lost: number } | undefined;
  before: Appraisal | undefined;
  name(id: string): string;
}) {
  const percent = (share: number) => `${Math.round(100 * share)} %`;
  const questions = (a: Appraisal) => a.meanQuestions.toFixed(1);
  return (
    <div className={keysStyles['worth']}>
      <p>
        <strong>{questions(appraisal)} questions</strong> on average to a name, of {appraisal.taxa} taxa; no
        key of two leads can do with fewer than {appraisal.bound.toFixed(1)}. Of beginners, who misread at
        their usual rates, <strong>{percent(appraisal.right)}</strong> reach the right name (±{' '}
        {percent(2 * appraisal.rightError)}).
        {weakest &&
          ` Most are lost at couplet ${weakest.couplet}: ${(100 * weakest.lost).toFixed(1)} % of all.`}
        {before && (
          <span
            className={appraisal.right < before.right - 2 * before.rightError ? 'rust' : styles['settled']}
          >
            {' '}
            Before the change: {questions(before)} questions, {percent(before.right)} right.
          </span>
        )}
      </p>
      {appraisal.together.length > 0 && (
        <p className="gold">
          Not told apart:{' '}
          {appraisal.together
            .slice(0, 3)
            .map((ids) => listInWords(ids.map(name)))
            .join('; ')}
          {appraisal.together.length > 3 && `; and ${appraisal.together.length - 3} groups more`}.
        </p>
      )}
      {appraisal.unreachable.length > 0 && (
        <p className="rust">
          Seldom reached though nobody errs: {listInWords(appraisal.unreachable.map(name))}.
        </p>
      )}
    </div>
  );
}
