import type { WholeCourse } from '@hurrow/contract/courses';
import { expectedResult, expectedRight, type ClassSoFar } from '@hurrow/core/assembly';
import { LinkButton } from '../app/parts.tsx';
import { coverage } from './covering.ts';
import type { Planned } from './planned.ts';
import type { JudgedStation } from './useJudged.ts';
import styles from './propose.module.css';
import ui from '../app/parts.module.css';

interface CoversProps {
  course: WholeCourse;
  stations: readonly Planned[];
  judged: readonly (JudgedStation | undefined)[];
  so: ClassSoFar | undefined;
  near: readonly (readonly [number, number])[];
  onOrder: (() => void) | undefined;
}

/** What a quiz covers, set by set, what it is expected to bring, and who stands too near whom. */
export function Covers({ course, stations, judged, so, near, onOrder }: CoversProps) {
  const rows = coverage(course.sets, stations);
  const known = judged.flatMap((each) => each ?? []);
  const expected = expectedResult(
    stations.flatMap((station, i) => {
      const each = judged[i];
      if (!each) return [];
      const { taxonId, question } = station;
      return [expectedRight({ ...each, taxonId, ...(question ? { question } : {}) }, so ?? { answered: {} })];
    }),
  );
  const unfair = known.filter(({ judgement }) => judgement !== 'fair').length;
  return (
    <section aria-label="What the quiz covers">
      <h2>What it covers</h2>
      <table className={`${ui['plain-table']} ${styles['covers']}`}>
        <thead>
          <tr>
            <th>Set</th>
            <th>Stations</th>
            <th>Trees</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id, title, count, shown, of }) => (
            <tr key={id}>
              <td>{title}</td>
              <td>{count}</td>
              <td>
                {shown} of {of}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {/* As high while it is read as it is then: nothing moves under a finger. */}
      <div className={styles['brings']}>
        {known.length < stations.length ? (
          <p className="quiet">Reading {stations.length - known.length} stations…</p>
        ) : (
          <>
            <p>
              Expected: <strong>{Math.round(100 * expected.mean)} %</strong> right, most students between{' '}
              {Math.max(0, Math.round(100 * (expected.mean - expected.spread)))} and{' '}
              {Math.min(100, Math.round(100 * (expected.mean + expected.spread)))} %.{' '}
              <span className="quiet">
                {expected.reliability < 0.6
                  ? 'The marks will hardly tell students apart: more stations would.'
                  : expected.reliability < 0.8
                    ? 'The marks will tell students apart fairly well.'
                    : 'The marks will tell students apart well.'}
              </span>
            </p>
            <p>
              {unfair === 0
                ? 'Every station is fair for a careful reader.'
                : `${unfair === 1 ? 'One station is' : `${unfair} stations are`} not fair for careful readers.`}
            </p>
            <p>
              {near.length === 0
                ? 'No station gives its neighbour away.'
                : `${near.length === 1 ? 'One pair stands' : `${near.length} pairs stand`} too near each other. `}
              {near.length > 0 && onOrder && <LinkButton onClick={onOrder}>Put them in order</LinkButton>}
            </p>
          </>
        )}
      </div>
    </section>
  );
}
