import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ClassReport, ConfusionData } from '@hurrow/contract/confusions';
import { call } from '../app/api.ts';
import { percent, type Names } from './useNames.ts';
import styles from './confusions.module.css';
import { LinkButton, Problem } from '../app/parts.tsx';
import { STALE, useSaving } from '../app/useSaving.ts';
import { viewInWords } from '../language/inWords.ts';

/** Leaves a station out of the analyses of a course, or takes it in again, and asks for everything anew. */
export function useLeaveOut(courseId: string) {
  const { save, saving, problem } = useSaving();
  const leaveOut = (stationId: string, leftOut: boolean) =>
    save(
      () =>
        call('POST /api/courses/{courseId}/confusions/stations/{stationId}', {
          params: { courseId, stationId },
          body: { leftOut },
        }),
      { stale: [STALE.confusionsOf(courseId)] },
    );
  return { leaveOut, saving, problem };
}

interface NotTheirFaultProps {
  courseId: string;
  data: ConfusionData;
  report: ClassReport;
  names: Names;
}

/** Stations that an ideal reader could not name either: named, and left out at a press, with the way back. */
export function NotTheirFault({ courseId, data, report, names }: NotTheirFaultProps) {
  const { leaveOut, saving, problem } = useLeaveOut(courseId);
  const title = new Map(data.quizzes.map((quiz) => [quiz.id, quiz.title]));
  const fairness = new Map(report.fairness.map((entry) => [entry.stationId, entry]));
  const shown = data.stations.filter(
    ({ id, leftOut, voided }) => !voided && (leftOut || fairness.get(id)?.judgement === 'unfair'),
  );
  if (shown.length === 0) return null;
  return (
    <div className={styles['not-their-fault']}>
      {shown.map((station) => {
        const errors = data.answers.filter(
          ({ stationId, named }) => stationId === station.id && named !== station.truth,
        ).length;
        return (
          <p key={station.id}>
            <strong>
              <Trans>Not their fault:</Trans>{' '}
            </strong>
            <span className="quiet">
              <Trans>
                {title.get(station.quizId)}, station {station.position} ({names.taxon(station.truth)},{' '}
                {viewInWords(station.view)}){' '}
                {station.leftOut
                  ? t`is left out of all figures here, with its ${plural(errors, { one: '# error', other: '# errors' })}.`
                  : t`could be named by an ideal reader in ${percent(fairness.get(station.id)!.right)} of cases. Its ${plural(errors, { one: '# error', other: '# errors' })} are counted.`}
              </Trans>
            </span>{' '}
            <LinkButton disabled={saving} onClick={() => void leaveOut(station.id, !station.leftOut)}>
              {station.leftOut ? t`Take it in again` : t`Leave it out`}
            </LinkButton>
          </p>
        );
      })}
      {problem && <Problem>{problem}</Problem>}
    </div>
  );
}
