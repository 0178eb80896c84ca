import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { messageOf } from '../app/api.ts';
import { Chips, Opening, Problem } from '../app/parts.tsx';
import { percent, percentRange, type Names } from '../confusions/useNames.ts';
import { trendsQuery } from './learningQueries.ts';
import {
  chartRows,
  MOST_LINES,
  shareOfClass,
  trendLines,
  type Followed,
  type TrendLine,
} from './trendLines.ts';
import { withinSentence } from '../language/inWords.ts';
import ui from '../app/parts.module.css';
import styles from './learning.module.css';

const TrendChart = lazy(() => import('./TrendChart.tsx'));

const WHAT: Record<Followed, { title: string; share: string; none: string }> = {
  pairs: { title: t`Pairs`, share: t`mixed up`, none: t`No pair was mixed up twice.` },
  species: { title: t`Species`, share: 'missed', none: t`No species was missed twice.` },
  characters: {
    title: t`Characters`,
    share: t`told as gone by, where it could tell`,
    none: t`No quiz has asked what students went by yet.`,
  },
};

/** Pairs, species and characters over the quizzes of a course, beside earlier classes. */
export function Trends({ courseId, names }: { courseId: string; names: Names }) {
  const query = useQuery(trendsQuery(courseId));
  const [followed, setFollowed] = useState<Followed>('pairs');
  const [chosen, setChosen] = useState<string[]>();
  if (query.isError) return <Problem>{messageOf(query.error)}</Problem>;
  if (!query.data)
    return (
      <Opening>
        <Trans>Counting…</Trans>
      </Opening>
    );
  const [own, ...earlier] = query.data.classes;
  const lines = trendLines(own!, followed);
  const usual = lines.slice(0, MOST_LINES).map(({ key }) => key);
  const shown = lines.filter(({ key }) => (chosen ?? usual).includes(key)).slice(0, MOST_LINES);
  const nameOf = ({ ids }: TrendLine) =>
    followed === 'characters' ? names.character(ids[0]!) : ids.map(names.taxon).join(t` and `);
  const { share, none } = WHAT[followed];
  const toggle = (key: string) => {
    const now = chosen ?? usual;
    setChosen(now.includes(key) ? now.filter((held) => held !== key) : [...now, key].slice(-MOST_LINES));
  };
  return (
    <>
      <h1>
        <Trans>Over the quizzes</Trans>
      </h1>
      <Chips
        title={t`Follow`}
        all={Object.keys(WHAT) as Followed[]}
        chosen={[followed]}
        name={(each) => withinSentence(WHAT[each].title)}
        flip={(next) => {
          setFollowed(next);
          setChosen(undefined);
        }}
      />
      {lines.length === 0 ? (
        <p>{none}</p>
      ) : (
        <>
          <p className="quiet">
            <Trans>
              Share {share}, in per cent of the answers of each quiz. Specimens differ from quiz to quiz: a
              line that falls is no proof; what was taught again is judged on its own page.
            </Trans>
          </p>
          <Suspense
            fallback={
              <Opening>
                <Trans>Drawing…</Trans>
              </Opening>
            }
          >
            <TrendChart
              rows={chartRows(shown)}
              lines={shown.map((line) => ({ key: line.key, name: nameOf(line) }))}
              label={t`Share ${share} by quiz; the table below gives the same figures.`}
            />
          </Suspense>
          <TrendTable
            lines={lines}
            shown={shown.map(({ key }) => key)}
            onToggle={toggle}
            nameOf={nameOf}
            quizzes={own!.quizzes}
            pairAt={followed === 'pairs' ? `/c/${courseId}/confusions` : undefined}
            earlier={earlier.map((each) => ({
              name: each.name,
              share: (ids: readonly string[]) => shareOfClass(each, followed, ids),
            }))}
          />
        </>
      )}
    </>
  );
}

interface TableProps {
  lines: readonly TrendLine[];
  shown: readonly string[];
  onToggle(key: string): void;
  nameOf(line: TrendLine): string;
  quizzes: readonly { id: string; title: string }[];
  pairAt: string | undefined;
  earlier: { name: string; share(ids: readonly string[]): { share: number; of: number } | undefined }[];
}

/** So many lines of the table are unfolded. */
const ROWS = 24;

/** The same in figures, each with its interval; a tick draws the line. */
function TrendTable({ lines, shown, onToggle, nameOf, quizzes, pairAt, earlier }: TableProps) {
  return (
    <div className={styles['across']}>
      <table className={ui['plain-table']}>
        <thead>
          <tr>
            <th>
              <Trans>Drawn</Trans>
            </th>
            <th />
            {quizzes.map(({ id, title }) => (
              <th key={id} className={ui['num']}>
                {title}
              </th>
            ))}
            {earlier.map(({ name }) => (
              <th key={name} className={ui['num']}>
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.slice(0, ROWS).map((line) => (
            <tr key={line.key}>
              <td>
                <input
                  type="checkbox"
                  aria-label={t`Draw ${nameOf(line)}`}
                  checked={shown.includes(line.key)}
                  onChange={() => onToggle(line.key)}
                />
              </td>
              <td>
                {pairAt ? <Link to={`${pairAt}/${line.ids.join('/')}`}>{nameOf(line)}</Link> : nameOf(line)}
              </td>
              {quizzes.map(({ id }) => {
                const point = line.points.find(({ quizId }) => quizId === id);
                return (
                  <td key={id} className={ui['num']}>
                    {point ? (
                      <>
                        {percent(point.share)}{' '}
                        <small className={styles['of']}>
                          <Trans>
                            {percentRange(point.interval)} of {point.of}
                          </Trans>
                        </small>
                      </>
                    ) : (
                      ''
                    )}
                  </td>
                );
              })}
              {earlier.map(({ name, share }) => {
                const of = share(line.ids);
                return (
                  <td key={name} className={ui['num']}>
                    {of ? percent(of.share) : ''}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
