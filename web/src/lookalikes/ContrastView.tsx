import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMemo, useState } from 'react';
import {
  contrast,
  remedies,
  saidLines,
  settlingInWords,
  shownInWords,
  type Contrast,
  type ProfiledTaxon,
  type Wording,
} from '@hurrow/core/evidence';
import { characterName } from '@hurrow/core/score';
import { type Place } from '@hurrow/core/season';
import { commonName } from '@hurrow/core/taxon';
import { useVocabulary } from '../app/data.ts';
import { ContrastFigure } from './ContrastFigure.tsx';
import { SureWay } from './SureWay.tsx';
import type { ContrastProps } from './contrastProps.ts';
import { YearStrip } from './YearStrip.tsx';
import styles from './contrast.module.css';
import { LinkButton, Notice } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import { dayLabel, decimal, listInWords } from '../language/inWords.ts';
import { inTongue } from '../language/inTongue.ts';

const percent = (error: number) => (error < 0.001 ? t`under 0.1 %` : `${decimal(error * 100, 1)} %`);

/** Both trees side by side, what tells them apart in this view on the field date, and what would if nothing here does. */
export function ContrastView(props: ContrastProps) {
  const { list, a, b, view, library, site } = props;
  const options = useMemo(
    () => ({ reference: library.reference, ...(site ? { site: site as Place } : {}) }),
    [library.reference, site],
  );
  const vocabulary = useVocabulary();
  const found = useMemo(
    () => contrast(list, a.taxon.id, b.taxon.id, vocabulary, view, options),
    [list, a, b, view, options, vocabulary],
  );
  const wording = { ...options, view, vocabulary, audience: props.audience, units: props.units };
  const both = useMemo(() => [a, b], [a, b]);
  return (
    <div className={styles['contrast']}>
      {!props.reading && (
        <SureWay {...props} ranked={found.ranked.map(({ characterId }) => characterId)} options={options} />
      )}
      <Verdict found={found} day={view.day} />
      <Saying {...props} found={found} wording={wording} />
      <ContrastFigure {...props} taxa={both} deciding={found.said} />
      <YearStrip {...props} options={options} />
      <Ranked {...props} found={found} wording={wording} />
      {found.verdict !== 'settled' && <Remedies {...props} options={options} />}
    </div>
  );
}

/** What a teacher says of the two, and how far it settles them. */
function Saying({ a, b, found, wording }: ContrastProps & { found: Contrast; wording: Wording }) {
  const settling = inTongue(settlingInWords(found, wording) ?? '');
  if (found.said.length === 0) return null;
  return (
    <div className={styles['deciding']}>
      <ol className={styles['saying']}>
        {saidLines(found, a, b, wording).map(({ lead, character, shows }) => (
          <li key={character}>
            <Trans>
              {inTongue(lead)} <strong>{character}</strong>: {shows[0]} in {commonName(a.taxon)}; {shows[1]}{' '}
              in {commonName(b.taxon)}
            </Trans>
          </li>
        ))}
      </ol>
      {settling && (
        <p className="quiet">
          <Trans>
            {settling}, with {percent(found.decidingError)} error.
          </Trans>
        </p>
      )}
    </div>
  );
}

function Verdict({ found, day }: { found: Contrast; day: number }) {
  const tone = { settled: styles['settled'], doubtful: 'gold', 'not settled': 'rust' }[found.verdict];
  const mark = { settled: '●', doubtful: '◐', 'not settled': '○' }[found.verdict];
  return (
    <p className={styles['verdict']}>
      <strong className={tone}>
        <Trans>
          <span aria-hidden="true">{mark} </span>
          {found.verdict === 'settled'
            ? t`Settled`
            : found.verdict === 'doubtful'
              ? t`Doubtful`
              : t`Not settled`}{' '}
          on {dayLabel(day)}.
        </Trans>
      </strong>{' '}
      {found.ranked.length === 0 && found.error > 0.49
        ? t`Nothing that is scored for both can be seen in this view on this date.`
        : t`A careful reader of every visible character errs on ${percent(found.error)} of specimens.`}
    </p>
  );
}

function Ranked({ a, b, found, wording }: ContrastProps & { found: Contrast; wording: Wording }) {
  const [all, setAll] = useState(false);
  const { vocabulary, audience } = wording;
  const name = (id: string) => characterName(vocabulary.get(id)!, audience);
  const says = (profiled: ProfiledTaxon, id: string) => shownInWords(profiled, vocabulary.get(id)!, wording);
  const strongest = Math.max(2, found.ranked[0]?.evidence ?? 0);
  const rows = all ? found.ranked : found.ranked.slice(0, 8);
  return (
    <>
      <table className={`${ui['plain-table']} ${styles['ranked']}`}>
        <thead>
          <tr>
            <th>
              <Trans>What tells them apart, strongest first</Trans>
            </th>
            <th>{commonName(a.taxon)}</th>
            <th>{commonName(b.taxon)}</th>
            <th>
              <Trans>Evidence</Trans>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr
              key={row.characterId}
              className={found.deciding.includes(row.characterId) ? styles['decides'] : ''}
            >
              <td>
                {name(row.characterId)}
                {found.deciding.includes(row.characterId) && (
                  <small>
                    {' '}
                    <Trans>decides</Trans>
                  </small>
                )}
              </td>
              <td>{says(a, row.characterId)}</td>
              <td>{says(b, row.characterId)}</td>
              <td>
                <span className={styles['bar-cell']}>
                  <i style={{ width: `${(row.evidence / strongest) * 100}px` }} />
                </span>
              </td>
            </tr>
          ))}
          {rows.length === 0 && (
            <tr>
              <td colSpan={4}>
                <Trans>No character that is visible here differs between them.</Trans>
              </td>
            </tr>
          )}
        </tbody>
      </table>
      <Besides a={a} b={b} found={found} name={name} all={all} onAll={() => setAll(!all)} />
    </>
  );
}

/** Below the table: more of it, what agrees, what says the same, and what only one is scored for. */
function Besides({
  a,
  b,
  found,
  name,
  all,
  onAll,
}: Pick<ContrastProps, 'a' | 'b'> & {
  found: Contrast;
  name(id: string): string;
  all: boolean;
  onAll(): void;
}) {
  return (
    <p className="quiet">
      {found.ranked.length > 8 && (
        <>
          <LinkButton onClick={onAll}>
            {all ? t`Only the strongest` : t`All ${found.ranked.length}`}
          </LinkButton>
          .{' '}
        </>
      )}
      {found.agreeing.length > 0 && (
        <>
          <Trans>They agree in {listInWords(found.agreeing.map(name))}.</Trans>{' '}
        </>
      )}
      {found.seconded.length > 0 && (
        <>
          <Trans>
            Saying nearly the same as a stronger one:{' '}
            {found.seconded.map(({ characterId, by }) => `${name(characterId)} (${name(by)})`).join(', ')}.
          </Trans>{' '}
        </>
      )}
      {found.gaps.length > 0 && (
        <>
          <Trans>
            Scored for one only:{' '}
            {found.gaps
              .map(
                ({ characterId, missing }) =>
                  t`${name(characterId)} (not for ${commonName((missing === 'a' ? a : b).taxon)})`,
              )
              .join(', ')}
            .
          </Trans>{' '}
        </>
      )}
      <Trans>The longer a bar, the more surely that character alone tells the two apart.</Trans>
    </p>
  );
}

function Remedies({ list, a, b, view, options }: ContrastProps & { options: object }) {
  const vocabulary = useVocabulary();
  const found = useMemo(
    () => remedies(list, a.taxon.id, b.taxon.id, vocabulary, view, options),
    [list, a, b, view, options, vocabulary],
  );
  const of = (kind: string) => found.filter((remedy) => remedy.kind === kind).map((remedy) => remedy.label);
  const parts = [
    of('organ').length
      ? t`showing ${of('organ')
          .slice(0, 4)
          .join(t` or `)} as well`
      : '',
    of('aid').length
      ? t`allowing ${of('aid')
          .slice(0, 3)
          .join(t` or `)}`
      : '',
    of('month').length ? t`the same view in ${of('month').join(', ')}` : '',
  ].filter(Boolean);
  return (
    <Notice>
      {parts.length ? (
        <>
          <Trans>What would settle it: {parts.join('; ')}.</Trans>
        </>
      ) : (
        t`No single organ, aid or month settles it. Score more characters for both, or do not ask for this pair.`
      )}
    </Notice>
  );
}
