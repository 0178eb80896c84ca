import { t } from '@lingui/core/macro';
import { inTongue } from '../language/inTongue.ts';
import { Trans } from '@lingui/react/macro';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { contrastOf, scoresInView, type ProfiledTaxon } from '@hurrow/core/evidence';
import { characterName, valueInWords } from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import { ContrastFigure } from './ContrastFigure.tsx';
import type { Ground } from './setting.ts';
import styles from './contrast.module.css';
import ui from '../app/parts.module.css';
import { dayLabel, decimal, listInWords } from '../language/inWords.ts';

/** Three or four trees at once: which pairs are settled, the characters that settle all of them, and what each shows. */
export function SeveralView({ ground, taxa, base }: { ground: Ground; taxa: ProfiledTaxon[]; base: string }) {
  const { setting, vocabulary, course, library } = ground;
  const [audience, units] = [course?.audience ?? 'technical', course?.units ?? 'metric'] as const;
  const ids = taxa.map(({ taxon }) => taxon.id).join();
  const found = useMemo(
    () => contrastOf(setting.list, ids.split(','), setting.vocabulary, setting.view, setting.options),
    [setting, ids],
  );
  const name = (id: string) => characterName(vocabulary.get(id)!, audience);
  const common = (id: string) => commonName(taxa.find(({ taxon }) => taxon.id === id)!.taxon);
  const hard = found.pairs.filter(({ verdict }) => verdict !== 'settled');
  const says = (profiled: ProfiledTaxon, id: string) =>
    scoresInView(
      profiled.scores.filter((score) => score.characterId === id),
      setting.view,
    )
      .map((score) => valueInWords(score.value, vocabulary.get(id)!, audience, units))
      .join(' | ');
  const rows = found.ranked.filter(({ characterId }) => !vocabulary.get(characterId)!.derived);
  return (
    <div className={styles['contrast']}>
      <p className={styles['verdict']}>
        <strong className={hard.length === 0 ? styles['settled'] : 'rust'}>
          {hard.length === 0
            ? t`All ${found.pairs.length} pairs are settled on ${dayLabel(setting.view.day)}.`
            : t`${hard.length} of ${found.pairs.length} pairs are not settled on ${dayLabel(setting.view.day)}.`}
        </strong>{' '}
        {hard.map(({ a, b, verdict, error }) => (
          <Link key={a + b} to={`${base}?taxa=${a},${b}`} className={styles['next']}>
            <Trans>
              {common(a)} and {common(b)} ({inTongue(verdict)}, {decimal(100 * error, 1)} %)
            </Trans>
          </Link>
        ))}
      </p>
      {found.deciding.length > 0 && (
        <p className={styles['deciding']}>
          <Trans>
            Look at <strong>{listInWords(found.deciding.map(name))}</strong>.
          </Trans>
        </p>
      )}
      <ContrastFigure
        taxa={taxa}
        view={setting.view}
        library={library}
        site={course}
        audience={audience}
        units={units}
        deciding={found.deciding}
      />
      <table className={`${ui['plain-table']} ${styles['ranked']}`}>
        <thead>
          <tr>
            <th>
              <Trans>What tells them apart, strongest first</Trans>
            </th>
            {taxa.map(({ taxon }) => (
              <th key={taxon.id}>{commonName(taxon)}</th>
            ))}
            <th>
              <Trans>Tells</Trans>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, 12).map(({ characterId, serves }) => (
            <tr key={characterId} className={found.deciding.includes(characterId) ? styles['decides'] : ''}>
              <td>
                {name(characterId)}
                {found.deciding.includes(characterId) && (
                  <small>
                    {' '}
                    <Trans>decides</Trans>
                  </small>
                )}
              </td>
              {taxa.map((profiled) => (
                <td key={profiled.taxon.id}>{says(profiled, characterId)}</td>
              ))}
              <td>
                <Trans>
                  {serves} of {found.pairs.length} pairs
                </Trans>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {found.agreeing.length > 0 && (
        <p className="quiet">
          <Trans>They agree in {listInWords(found.agreeing.slice(0, 12).map(name))}.</Trans>
        </p>
      )}
    </div>
  );
}
