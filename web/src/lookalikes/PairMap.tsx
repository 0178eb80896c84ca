import { t } from '@lingui/core/macro';
import { inTongue } from '../language/inTongue.ts';
import { Plural, Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { SETTLED_AT, verdictOf } from '@hurrow/core/evidence';
import { characterName } from '@hurrow/core/score';
import { midMonth } from '@hurrow/core/season';
import { commonName } from '@hurrow/core/taxon';
import { useFieldDate } from '../app/fieldDate.tsx';
import { useWork } from '../workers/useWork.ts';
import { Working } from '../workers/Working.tsx';
import type { Ground } from './setting.ts';
import styles from './pairMap.module.css';
import { LinkButton } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import { color } from '../app/tokens.ts';
import { MONTHS, dayLabel, decimal, listInWords } from '../language/inWords.ts';

const LABELS = 128;

/** All pairs of the list by the error of the ideal reader: as a matrix in which likes stand together, and the hard ones in words. */
export function PairMap({ ground, base }: { ground: Ground; base: string }) {
  const { setting, asked, inputs, vocabulary, course } = ground;
  const { day, setDay } = useFieldDate();
  const map = useWork(['pairMap', ...inputs], (work, progress) => work.pairMap(asked, progress));
  const audience = course?.audience ?? 'technical';
  const name = (i: number) => commonName(setting.list[i]!.taxon);
  const character = (id: string) => characterName(vocabulary.get(id)!, audience);
  const to = (a: number, b: number) =>
    `${base}?taxa=${setting.list[a]!.taxon.id},${setting.list[b]!.taxon.id}`;
  const found = map.result;
  return (
    <>
      <Working work={map} what={t`Comparing every pair…`} />
      {found && (
        <div className={styles['pair-map']}>
          <div>
            <p>
              <strong>
                {found.hardCount === 0
                  ? t`All ${found.pairs.length} pairs are settled on ${dayLabel(day)}.`
                  : t`${found.hardCount} of ${found.pairs.length} pairs are not settled on ${dayLabel(day)}.`}
              </strong>
            </p>
            <Matrix pairs={found.pairs} order={found.order} name={name} to={to} />
          </div>
          <div>
            <h2>
              <Trans>The hard pairs</Trans>
            </h2>
            <ol className={styles['hard-pairs']}>
              {found.hard.map(({ a, b, error, best, gaps }) => (
                <li key={`${a}-${b}`}>
                  <Link to={to(a, b)}>
                    <Trans>
                      {name(a)} and {name(b)}
                    </Trans>
                  </Link>{' '}
                  <span className={verdictOf(error) === 'doubtful' ? 'gold' : 'rust'}>
                    {inTongue(verdictOf(error))}, {decimal(100 * error, 1)} %
                  </span>
                  <small>
                    {best.length
                      ? t`Look at ${listInWords(best.map(character))}.`
                      : t`Nothing that is scored for both differs here.`}
                    {gaps.length > 0 &&
                      t` Scored for one only: ${listInWords(gaps.slice(0, 3).map(character))}.`}
                  </small>
                </li>
              ))}
            </ol>
            {found.hardCount > found.hard.length && (
              <p className="quiet">
                <Trans>
                  And {found.hardCount - found.hard.length} more, all less hard than these. Show more organs
                  or allow more aids to see fewer.
                </Trans>
              </p>
            )}
            {found.gaps.length > 0 && (
              <>
                <h2>
                  <Trans>What to score next</Trans>
                </h2>
                <ul className={styles['hard-pairs']}>
                  {found.gaps.map(({ characterId, taxa, pairs }) => (
                    <li key={characterId}>
                      <Trans>
                        <Plural value={taxa.length} one="One taxon lacks" other="# taxa lack" />{' '}
                        {character(characterId)}; it could settle {pairs}{' '}
                        <Plural value={pairs} one="pair" other="pairs" /> more.
                      </Trans>
                    </li>
                  ))}
                </ul>
              </>
            )}
            <OverYear ground={ground} pairs={found.pairs.length} onMonth={setDay} />
          </div>
        </div>
      )}
    </>
  );
}

interface OverYearProps {
  ground: Ground;
  /** How many pairs there are in all. */
  pairs: number;
  onMonth(day: number): void;
}

/** How many pairs are open in each month, once that is asked for. */
function OverYear({ ground: { asked, inputs }, pairs, onMonth }: OverYearProps) {
  const [yearWanted, setYearWanted] = useState(false);
  const year = useWork(
    ['overYear', ...inputs],
    (work, progress) => work.overYear(asked, progress),
    yearWanted,
  );
  return (
    <>
      <h2>
        <Trans>Over the year</Trans>
      </h2>
      {!yearWanted && (
        <LinkButton onClick={() => setYearWanted(true)}>
          <Trans>Compare the twelve months</Trans>
        </LinkButton>
      )}
      {yearWanted && <Working work={year} what={t`Going through the year…`} />}
      {year.result && (
        <table className={`${ui['plain-table']} ${styles['year-table']}`}>
          <tbody>
            {year.result.map(({ doubtful, open }, month) => (
              <tr key={month}>
                <td>
                  <LinkButton onClick={() => onMonth(midMonth(month))}>{MONTHS[month]}</LinkButton>
                </td>
                <td>
                  <i
                    className={`${styles['bar']} ${styles['open-part']}`}
                    style={{ width: (open / pairs) * 260 }}
                  />
                  <i
                    className={`${styles['bar']} ${styles['doubtful-part']}`}
                    style={{ width: (doubtful / pairs) * 260 }}
                  />
                </td>
                <td>
                  <Trans>
                    {open} not settled, {doubtful} doubtful
                  </Trans>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}

/** The matrix: blank where settled, a gold half where doubtful, a rust whole where not settled. The list beside it says the same. */
function Matrix({
  pairs,
  order,
  name,
  to,
}: {
  pairs: readonly { a: number; b: number; error: number }[];
  order: readonly number[];
  name(i: number): string;
  to(a: number, b: number): string;
}) {
  const go = useNavigate();
  const [at, setAt] = useState<{ a: number; b: number; error: number }>();
  const place = new Map(order.map((taxon, i) => [taxon, i]));
  const size = Math.max(7, Math.min(16, Math.floor(460 / order.length)));
  const side = size * order.length;
  const hard = pairs.filter(({ error }) => error > SETTLED_AT);
  return (
    <>
      <svg
        className={styles['matrix']}
        width={side + LABELS}
        height={side + 4}
        role="img"
        aria-label={t`Matrix of ${order.length} taxa: ${hard.length} pairs are not settled. The list of hard pairs says which.`}
        onMouseLeave={() => setAt(undefined)}
      >
        <rect x={LABELS} y={0} width={side} height={side} fill={color('sheet')} stroke={color('line2')} />
        {order.map((taxon, i) => {
          const pointed = at && (at.a === taxon || at.b === taxon);
          return (
            <text
              key={taxon}
              x={LABELS - 5}
              y={i * size + size * 0.8}
              textAnchor="end"
              fontSize={Math.min(11.5, size)}
              fill={color(pointed ? 'ink' : 'ink2')}
              fontWeight={pointed ? 600 : 400}
            >
              {name(taxon)}
            </text>
          );
        })}
        <Diagonal count={order.length} size={size} />
        {hard.flatMap((pair) =>
          [
            [place.get(pair.a)!, place.get(pair.b)!],
            [place.get(pair.b)!, place.get(pair.a)!],
          ].map(([row, column]) => {
            const half = pair.error <= 0.1;
            return (
              <rect
                key={`${row}-${column}`}
                className={styles['cell']}
                x={LABELS + column! * size + (half ? size * 0.28 : 1)}
                y={row! * size + (half ? size * 0.28 : 1)}
                width={half ? size * 0.44 : size - 1.5}
                height={half ? size * 0.44 : size - 1.5}
                fill={half ? 'var(--gold)' : 'var(--rust)'}
                onMouseEnter={() => setAt(pair)}
                onClick={() => void go(to(pair.a, pair.b))}
              />
            );
          }),
        )}
      </svg>
      <p className="quiet" aria-live="polite">
        {at
          ? t`${name(at.a)} and ${name(at.b)}: ${inTongue(verdictOf(at.error))}, ${decimal(100 * at.error, 1)} % error.`
          : t`■ not settled ▪ doubtful, blank: settled. Likes stand together. Press a mark for its contrast.`}
      </p>
    </>
  );
}

function Diagonal({ count, size }: { count: number; size: number }) {
  return Array.from({ length: count }, (_, i) => (
    <rect key={i} x={LABELS + i * size} y={i * size} width={size} height={size} fill={color('line')} />
  ));
}
