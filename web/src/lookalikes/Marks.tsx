import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { scoresInView, type ProfiledTaxon, type SinglesOut } from '@hurrow/core/evidence';
import { isConcluded, ruleInWords } from '@hurrow/core/rule';
import { characterName, valueInWords } from '@hurrow/core/score';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { listInWords } from '@hurrow/core/view';
import { useWork } from '../workers/useWork.ts';
import { Working } from '../workers/Working.tsx';
import { lookalikesQuery } from './lookalikesQuery.ts';
import { printSheet } from './printSheet.ts';
import type { Ground } from './setting.ts';
import styles from './contrast.module.css';
import { Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';

/** The fewest marks that single each taxon of a set out of the whole list: for the recap of the set. */
export function Marks({ ground }: { ground: Ground }) {
  const { setting, asked, course, inputs, profiles } = ground;
  const sets = course?.sets.filter((set) => set.taxa.length > 0) ?? [];
  const [chosen, setChosen] = useState<string>();
  const set = sets.find(({ id }) => id === chosen) ?? sets[0];
  const taxa = set?.taxa ?? setting.list.slice(0, 6).map(({ taxon }) => taxon.id);
  const work = useWork(['marks', taxa, ...inputs], (worker, progress) => worker.marks(asked, taxa, progress));
  const [problem, setProblem] = useState<string>();
  const find = (id: string) => profiles.find(({ taxon }) => taxon.id === id);
  const rows = work.result?.map((found) => ({
    ...found,
    marks: marksInWords(found, find(found.taxonId), ground),
  }));
  const held = useQuery(lookalikesQuery).data;
  const recalled = (held?.rules ?? []).filter((rule) =>
    taxa.some((id) => find(id) && isConcluded(rule.then, find(id)!.taxon)),
  );
  const title = set ? `${set.title}: what singles each out` : 'What singles each out';
  return (
    <>
      <div className={styles['pair-choice']}>
        {sets.length > 0 && (
          <label>
            Recap of{' '}
            <select value={set?.id} onChange={(event) => setChosen(event.target.value)}>
              {sets.map(({ id, title: name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        )}
        <Button
          disabled={!rows}
          onClick={() => {
            const body = {
              title,
              rows: rows!.map(({ taxonId, marks, notSettled }) => ({ taxonId, marks, notSettled })),
            };
            printSheet('marks', body, course?.id).then(setProblem, () => undefined);
          }}
        >
          Print the list of marks
        </Button>
      </div>
      {problem && <Problem>{problem}</Problem>}
      <Working work={work} what={`Looking for the fewest marks against ${setting.list.length - 1} others…`} />
      {rows && (
        <table className={ui['plain-table']}>
          <thead>
            <tr>
              <th>Taxon</th>
              <th>The fewest marks that tell it from every other one on the list</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ taxonId, marks, notSettled, proved }) => (
              <tr key={taxonId}>
                <td>
                  <strong>{commonName(find(taxonId)!.taxon)}</strong>{' '}
                  <span className="latin">{scientificName(find(taxonId)!.taxon)}</span>
                </td>
                <td>
                  {marks.length ? marks.join('; ') : 'Nothing seen in this view singles it out.'}
                  {notSettled.length > 0 && (
                    <small className="rust">
                      {' '}
                      Not told from {listInWords(notSettled.map((id) => commonName(find(id)!.taxon)))} in this
                      view.
                    </small>
                  )}
                  {!proved && (
                    <small className="quiet"> These suffice; whether fewer would is not proved.</small>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {recalled.length > 0 && (
        <>
          <h2>Rules of thumb for these</h2>
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
      )}
    </>
  );
}

/** "needle bands: lower face only", character by character, as the taxon is scored in the view. */
export function marksInWords(
  found: SinglesOut,
  profiled: ProfiledTaxon | undefined,
  ground: Ground,
): string[] {
  const { vocabulary, setting, course } = ground;
  const [audience, units] = [course?.audience ?? 'technical', course?.units ?? 'metric'] as const;
  return found.characters.map((id) => {
    const character = vocabulary.get(id)!;
    const said = scoresInView(
      profiled?.scores.filter((score) => score.characterId === id) ?? [],
      setting.view,
    )
      .map((score) => valueInWords(score.value, character, audience, units))
      .join(' | ');
    return said ? `${characterName(character, audience)}: ${said}` : characterName(character, audience);
  });
}
