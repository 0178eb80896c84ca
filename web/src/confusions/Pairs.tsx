import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ClassReport, ConfusionData } from '@hurrow/contract/confusions';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { ConfusedPair, NamedAnswer } from '@hurrow/core/confusion';
import { useKeys } from '../app/keys.ts';
import { PairMatrix } from './PairMatrix.tsx';
import { rankedPairs, type RankedPair } from './rankedPairs.ts';
import type { SinceTaught } from '@hurrow/core/confusion';
import { reteachingOf, VERDICT_WORDS } from './reteaching.ts';
import { Sureness } from './Sureness.tsx';
import { Unnamed } from './Unnamed.tsx';
import type { PairOfTaxa } from './counting.ts';
import { percent, percentRange, type Names } from './useNames.ts';
import { withinSentence } from '../language/inWords.ts';
import ui from '../app/parts.module.css';
import styles from './confusions.module.css';
import { PageHead } from '../app/parts.tsx';

interface PairsProps {
  courseId: string;
  data: ConfusionData;
  report: ClassReport | undefined;
  names: Names;
  answers: readonly NamedAnswer[];
  directed: readonly ConfusedPair[];
  pairs: readonly PairOfTaxa[];
}

/** Who is taken for whom, in which direction and how often: as a list by what is beyond expectation, or as a matrix. */
export function Pairs(props: PairsProps) {
  const { courseId, data, report, names, answers, directed, pairs } = props;
  const [as, setAs] = useState<'list' | 'matrix'>('list');
  const wrong = answers.filter((answer) => answer.named !== answer.truth).length;
  return (
    <>
      <PageHead title={t`What they take for what`}>
        <div className={styles['view-tabs']} role="group" aria-label={t`Shown as`}>
          <button aria-pressed={as === 'list'} onClick={() => setAs('list')}>
            <Trans>List</Trans>
          </button>
          <button aria-pressed={as === 'matrix'} onClick={() => setAs('matrix')}>
            <Trans>Matrix</Trans>
          </button>
        </div>
      </PageHead>
      <Sureness data={data} names={names} base={`/c/${courseId}/confusions`} />
      {pairs.length === 0 ? (
        <p>
          <Trans>
            No tree was called by another’s name.{' '}
            {wrong === 0 ? t`Every answer was right.` : t`The wrong answers named no tree of the list.`}
          </Trans>
        </p>
      ) : as === 'list' ? (
        <List courseId={courseId} data={data} report={report} names={names} pairs={pairs} />
      ) : (
        <PairMatrix
          courseId={courseId}
          directed={directed}
          asked={new Set(answers.map(({ truth }) => truth))}
          names={names}
        />
      )}
      <Unnamed data={data} names={names} />
    </>
  );
}

function List({ courseId, data, report, names, pairs }: Omit<PairsProps, 'answers' | 'directed'>) {
  const go = useNavigate();
  const [at, setAt] = useState(0);
  const rows = rankedPairs(pairs, report);
  const base = `/c/${courseId}/confusions`;
  useKeys({
    j: () => setAt(Math.min(rows.length - 1, at + 1)),
    k: () => setAt(Math.max(0, at - 1)),
    Enter: () => rows[at] && void go(`${base}/${rows[at].pair.a}/${rows[at].pair.b}`),
  });
  const most = Math.max(...pairs.map(({ count }) => count));
  return (
    <>
      <p className="quiet">
        <Trans>Ranked by how far a pair goes beyond what hard trees and ready names alone would bring.</Trans>{' '}
        {report && (
          <>
            <Trans>
              <span className="rust">●</span> marks what stands out even so.
            </Trans>
          </>
        )}
      </p>
      <table className={`${ui['plain-table']} ${styles['pairs']}`}>
        <thead>
          <tr>
            <th>
              <Trans>Pair</Trans>
            </th>
            <th>
              <Trans>Which way</Trans>
            </th>
            <th className={styles['num']}>
              <Trans>Rate, 90 % interval</Trans>
            </th>
            <th className={styles['num']}>
              <Trans>Students</Trans>
            </th>
            <th>
              <Trans>Answers mixed up</Trans>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((ranked, i) => (
            <PairRow
              key={`${ranked.pair.a} ${ranked.pair.b}`}
              ranked={ranked}
              again={reteachingOf(data, report, ranked.pair.a, ranked.pair.b)}
              at={i === at}
              base={base}
              names={names}
              most={most}
            />
          ))}
        </tbody>
      </table>
    </>
  );
}

interface PairRowProps {
  ranked: RankedPair;
  again: SinceTaught | undefined;
  at: boolean;
  base: string;
  names: Names;
  /** The largest count of the list, for the bars. */
  most: number;
}

function PairRow({ ranked: { pair, expected, standsOut }, again, at, base, names, most }: PairRowProps) {
  const ways = [pair.ab, pair.ba].filter((way) => way !== undefined);
  const students = new Set(ways.flatMap((way) => way.answers.map(({ studentId }) => studentId)));
  return (
    <tr className={at ? styles['at'] : ''} aria-selected={at}>
      <td>
        <Link to={`${base}/${pair.a}/${pair.b}`}>
          <Trans>
            {names.taxon(pair.a)} and {names.taxon(pair.b)}
          </Trans>
        </Link>{' '}
        {standsOut && (
          <span className="rust" title={t`beyond expectation`}>
            ●
            <span className="visually-hidden">
              {' '}
              <Trans>beyond expectation</Trans>
            </span>
          </span>
        )}
        {ways.some((way) => way.repeated) && (
          <small className="quiet">
            {' '}
            <Trans>repeated</Trans>
          </small>
        )}
        {again && (
          <small className={again.verdict === 'as before' ? 'rust' : 'quiet'}>
            {' '}
            <Trans>
              taught again {again.taughtOn}: {withinSentence(VERDICT_WORDS[again.verdict])}
            </Trans>
          </small>
        )}
      </td>
      <td>
        {ways.map((way) => (
          <div key={way.truth}>
            <Trans>
              {names.taxon(way.truth)} called {names.taxon(way.answer)}: <strong>{way.count}</strong> of{' '}
              {way.asked}
            </Trans>
          </div>
        ))}
      </td>
      <td className={styles['num']}>
        {ways.map((way) => (
          <div key={way.truth}>
            {percent(way.rate)} <span className="quiet">({percentRange(way.interval)})</span>
          </div>
        ))}
      </td>
      <td className={styles['num']}>{students.size}</td>
      <td>
        <span className={styles['rust-bar']}>
          <i style={{ width: `${(pair.count / most) * 120}px` }} />
          {pair.count}
        </span>
        {expected !== undefined && (
          <small className={`quiet ${styles['expected']}`}>
            {' '}
            <Trans>{expected < 0.95 ? t`under 1` : Math.round(expected)} expected</Trans>
          </small>
        )}
      </td>
    </tr>
  );
}
