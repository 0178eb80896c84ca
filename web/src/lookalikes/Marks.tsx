import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { isConcluded, ruleInWords } from '@hurrow/core/rule';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { useWork } from '../workers/useWork.ts';
import { Working } from '../workers/Working.tsx';
import { lookalikesQuery } from './lookalikesQuery.ts';
import { printSheet } from './printSheet.ts';
import { againstAll, againstSet, printedRows, type Recalled } from './recalled.ts';
import type { Ground } from './setting.ts';
import styles from './contrast.module.css';
import { Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';

/** What to remember of each tree of a set: one thing that tells it within the set, or the fewest marks against the whole list. */
export function Marks({ ground }: { ground: Ground }) {
  const { setting, course } = ground;
  const sets = course?.sets.filter((set) => set.taxa.length > 0) ?? [];
  const [chosen, setChosen] = useState<string>();
  const [whole, setWhole] = useState(false);
  const [problem, setProblem] = useState<string>();
  const set = sets.find(({ id }) => id === chosen) ?? sets[0];
  const taxa = set?.taxa ?? setting.list.slice(0, 6).map(({ taxon }) => taxon.id);
  const { work, rows } = useRecalled(ground, taxa, whole);
  const title = `${set ? set.title : t`These trees`}: ${whole ? t`what singles each out` : t`what to remember`}`;
  const print = () =>
    printSheet('marks', { title, rows: printedRows(rows!) }, course?.id).then(setProblem, () => undefined);
  return (
    <>
      <div className={styles['pair-choice']}>
        {sets.length > 0 && (
          <label>
            <Trans>Recap of</Trans>{' '}
            <select value={set?.id} onChange={(event) => setChosen(event.target.value)}>
              {sets.map(({ id, title: name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        )}
        <label>
          <Trans>Told from</Trans>{' '}
          <select value={String(whole)} onChange={(event) => setWhole(event.target.value === 'true')}>
            <option value="false">
              <Trans>the others of the set: one thing to remember</Trans>
            </option>
            <option value="true">
              <Trans>every tree on the list: the fewest marks</Trans>
            </option>
          </select>
        </label>
        <Button disabled={!rows} onClick={() => void print()}>
          <Trans>Print this list</Trans>
        </Button>
      </div>
      {problem && <Problem>{problem}</Problem>}
      <Working work={work} what={t`Looking for marks against ${setting.list.length - 1} others…`} />
      {rows && <RecalledTable rows={rows} ground={ground} whole={whole} />}
      <RulesFor taxa={taxa} ground={ground} />
    </>
  );
}

function useRecalled(ground: Ground, taxa: string[], whole: boolean) {
  const { asked, inputs } = ground;
  const all = useWork(
    ['marks', taxa, ...inputs],
    (worker, progress) => worker.marks(asked, taxa, progress),
    whole,
  );
  const set = useWork(['recap', taxa, ...inputs], (worker) => worker.recap(asked, taxa), !whole);
  const rows = whole
    ? all.result?.map((found) => againstAll(found, ground))
    : set.result?.map((found) => againstSet(found, ground));
  return { work: whole ? all : set, rows };
}

function RecalledTable({
  rows,
  ground,
  whole,
}: {
  rows: readonly Recalled[];
  ground: Ground;
  whole: boolean;
}) {
  const find = (id: string) => ground.profiles.find(({ taxon }) => taxon.id === id)!.taxon;
  return (
    <table className={ui['plain-table']}>
      <thead>
        <tr>
          <th>
            <Trans>Taxon</Trans>
          </th>
          <th>{whole ? t`The fewest marks that tell it from every other one on the list` : t`Remember`}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ taxonId, aid, marks, remarks }) => (
          <tr key={taxonId}>
            <td>
              <strong>{commonName(find(taxonId))}</strong>{' '}
              <span className="latin">{scientificName(find(taxonId))}</span>
            </td>
            <td>
              {aid && (
                <p className={styles['aid']}>
                  {aid.text} <small className="quiet">{aid.checked}</small>
                </p>
              )}
              {marks.length ? (
                <strong>{marks.join('; ')}</strong>
              ) : (
                t`Nothing seen in this view singles it out.`
              )}
              {remarks.map(({ text, against }) => (
                <small key={text} className={against ? 'rust' : 'quiet'}>
                  {' '}
                  {text}
                </small>
              ))}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function RulesFor({ taxa, ground }: { taxa: readonly string[]; ground: Ground }) {
  const { profiles, setting, course } = ground;
  const held = useQuery(lookalikesQuery).data;
  const chosen = profiles.filter(({ taxon }) => taxa.includes(taxon.id));
  const recalled = (held?.rules ?? []).filter((rule) =>
    chosen.some(({ taxon }) => isConcluded(rule.then, taxon)),
  );
  if (recalled.length === 0) return null;
  return (
    <>
      <h2>
        <Trans>Rules of thumb for these</Trans>
      </h2>
      <ul>
        {recalled.map((rule) => (
          <li key={rule.id}>
            {ruleInWords(
              rule,
              setting.list.map(({ taxon }) => taxon),
              ground.vocabulary,
              course?.audience ?? 'technical',
              course?.units ?? 'metric',
            )}
          </li>
        ))}
      </ul>
    </>
  );
}
