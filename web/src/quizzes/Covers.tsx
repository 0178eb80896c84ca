import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { expectedResult, expectedRight, type ClassSoFar } from '@hurrow/core/assembly';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { call } from '../app/api.ts';
import { LinkButton } from '../app/parts.tsx';
import { STALE } from '../app/useSaving.ts';
import { coverage, piecesInWords, putInOrder, trustInWords } from './covering.ts';
import { useLooked } from './LookedOver.tsx';
import type { Planned } from './planned.ts';
import styles from './propose.module.css';
import ui from '../app/parts.module.css';

interface CoversProps {
  course: WholeCourse;
  stations: readonly Planned[];
  so: ClassSoFar | undefined;
  /** Sets the stations in another order; undefined where they are fixed. */
  onOrder: ((stations: Planned[]) => void) | undefined;
}

/** What a quiz covers, set by set, what it is expected to bring, and who stands too near whom. */
export function Covers({ course, stations, so, onOrder }: CoversProps) {
  const { judged, near, pieces } = useLooked();
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
    <section aria-label={t`What the quiz covers`}>
      <h2>
        <Trans>What it covers</Trans>
      </h2>
      <table className={`${ui['plain-table']} ${styles['covers']}`}>
        <thead>
          <tr>
            <th>
              <Trans>Set</Trans>
            </th>
            <th>
              <Trans>Stations</Trans>
            </th>
            <th>
              <Trans>Trees</Trans>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id, title, count, shown, of }) => (
            <tr key={id}>
              <td>{title}</td>
              <td>{count}</td>
              <td>
                <Trans>
                  {shown} of {of}
                </Trans>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {/* As high while it is read as it is then: nothing moves under a finger. */}
      <div className={styles['brings']}>
        {known.length < stations.length ? (
          <p className="quiet">
            <Trans>Reading {stations.length - known.length} stations…</Trans>
          </p>
        ) : (
          <>
            <p>
              <Trans>
                Expected: <strong>{Math.round(100 * expected.mean)} %</strong> right, most students between{' '}
                {Math.max(0, Math.round(100 * (expected.mean - expected.spread)))} and{' '}
                {Math.min(100, Math.round(100 * (expected.mean + expected.spread)))} %.{' '}
                <span className="quiet">
                  {expected.reliability < 0.6
                    ? t`The marks will hardly tell students apart: more stations would.`
                    : expected.reliability < 0.8
                      ? t`The marks will tell students apart fairly well.`
                      : t`The marks will tell students apart well.`}
                </span>
              </Trans>
            </p>
            <Trust course={course} />
            <p>
              {unfair === 0
                ? t`Every station is fair for a careful reader.`
                : t`${plural(unfair, { one: 'One station is', other: '# stations are' })} not fair for careful readers.`}
            </p>
            <p>
              {near.length === 0
                ? t`No station gives its neighbor away.`
                : t`${plural(near.length, { one: 'One pair stands', other: '# pairs stand' })} too near each other. `}
              {near.length > 0 && onOrder && (
                <LinkButton onClick={() => onOrder(putInOrder(stations, judged, so?.mixedUp))}>
                  <Trans>Put them in order</Trans>
                </LinkButton>
              )}
            </p>
            {pieces && pieces.needed > 0 && <PiecesHad pieces={pieces} courseId={course.id} />}
          </>
        )}
      </div>
    </section>
  );
}

/** What was expected of the quizzes before, against what came. */
function Trust({ course }: { course: WholeCourse }) {
  const held = useQuery({
    queryKey: [...STALE.course(course.id), 'expected'],
    queryFn: () => call('GET /api/courses/{courseId}/expected-results', { params: { courseId: course.id } }),
    staleTime: Infinity,
  }).data?.quizzes;
  const titled = course.quizzes.flatMap(({ id, title }) => {
    const found = held?.find(({ quizId }) => quizId === id);
    return found ? [{ title, ...found }] : [];
  });
  const said = trustInWords(titled);
  return said ? <p className="quiet">{said}</p> : null;
}

/** Whence the pieces come, and the list by which they are gathered. */
function PiecesHad({
  pieces: { needed, had, grounds, listId },
  courseId,
}: {
  pieces: NonNullable<ReturnType<typeof useLooked>['pieces']>;
  courseId: string;
}) {
  return (
    <p>
      <Trans>
        {piecesInWords(needed, had)} from {grounds}.{' '}
        <Link to={`/c/${courseId}/grounds/collecting${listId ? `/${listId}` : ''}`}>
          {listId ? t`Open the collecting list` : t`Make a collecting list`}
        </Link>
      </Trans>
    </p>
  );
}
