import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ConfusionData } from '@hurrow/contract/confusions';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { misreadOrOverlooked, type ReadingFinding } from '@hurrow/core/confusion';
import { courseQuery } from '../app/data.ts';
import { IntervalBar } from './IntervalBar.tsx';
import { capital, percent, percentRange, type Names } from './useNames.ts';
import ui from '../app/parts.module.css';
import styles from './confusions.module.css';
import { listInWords } from '../language/inWords.ts';

/** Bars of wrong readings end here: more than two in three wrong is worse than guessing between a few states. */
const MOST = 0.7;

function Verdict({ reading }: { reading: ReadingFinding }) {
  switch (misreadOrOverlooked(reading)) {
    case 'misread':
      return (
        <em className="rust">
          <Trans>misread even when looked at</Trans>
        </em>
      );
    case 'overlooked':
      return (
        <em>
          <Trans>read well when looked at</Trans>
        </em>
      );
    default:
      return (
        <em className="quiet">
          <Trans>too few to say</Trans>
        </em>
      );
  }
}

/** Every character that was asked for at a station, chosen in a notebook or sorted by: how often it was read wrongly, and as what. */
export function Readings({
  readings,
  data,
  names,
  courseId,
}: {
  readings: readonly ReadingFinding[];
  data: ConfusionData;
  names: Names;
  courseId: string;
}) {
  const course = useQuery(courseQuery(courseId)).data;
  const student = new Map([
    ...(course?.students ?? []).map(({ id, name }) => [id, name] as const),
    ...data.answers.map((answer) => [answer.studentId, answer.student] as const),
  ]);
  return (
    <section aria-label={t`When asked what they see`}>
      <h2>
        <Trans>When asked what they see</Trans>
      </h2>
      {readings.length === 0 ? (
        <p className="quiet">
          <Trans>
            No station has asked yet, and nothing was noted or sorted.{' '}
            <Link to={`/c/${courseId}/quizzes/new`}>Plan a quiz</Link> whose stations ask for a character
            besides the name: the answers tell a character that is misread from one that is read well and
            overlooked.
          </Trans>
        </p>
      ) : (
        <table className={`${ui['plain-table']} ${styles['characters']}`}>
          <thead>
            <tr>
              <th>
                <Trans>Character</Trans>
              </th>
              <th colSpan={2}>
                <Trans>Wrong readings</Trans>
              </th>
              <th>
                <Trans>Most often read</Trans>
              </th>
              <th>
                <Trans>By</Trans>
              </th>
            </tr>
          </thead>
          <tbody>
            {readings.map((reading) => (
              <tr key={reading.characterId}>
                <td>{capital(names.character(reading.characterId))}</td>
                <td>
                  <IntervalBar
                    value={reading.share}
                    interval={reading.interval}
                    from={0}
                    to={MOST}
                    mark={0}
                    tone={misreadOrOverlooked(reading) === 'misread' ? 'rust' : 'action'}
                    label={t`${percent(reading.share)} wrong, 90 % interval ${percentRange(reading.interval)}`}
                  />
                </td>
                <td>
                  <Trans>
                    {reading.wrong} of {reading.readings}{' '}
                    <span className="quiet">({percentRange(reading.interval)})</span>
                  </Trans>{' '}
                  <Verdict reading={reading} />
                </td>
                <td>
                  {reading.mistaken.slice(0, 2).map(({ right, said, count }) => (
                    <div key={`${right.join()} ${said}`}>
                      <Trans>
                        “{names.state(reading.characterId, said)}” for{' '}
                        {listInWords(right.map((state) => names.state(reading.characterId, state)))}, {count}
                      </Trans>
                    </div>
                  ))}
                </td>
                <td className="quiet">{readers(reading, student)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

/** Who misread it most, by name. */
function readers({ mistaken }: ReadingFinding, student: ReadonlyMap<string, string>): string {
  const counts = new Map<string, number>();
  for (const { students } of mistaken) for (const id of students) counts.set(id, (counts.get(id) ?? 0) + 1);
  const most = [...counts].sort((x, y) => y[1] - x[1]).map(([id]) => student.get(id) ?? t`a group`);
  if (most.length === 0) return t`nobody`;
  return most.length > 3
    ? t`${most.slice(0, 3).join(', ')} and ${plural(most.length - 3, { one: '# other', other: '# others' })}`
    : listInWords(most);
}
