import { plural, t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { ClassReport, ConfusionData } from '@hurrow/contract/confusions';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import {
  asText,
  isRankOnly,
  isSure,
  rankedFindings,
  say,
  stationsToAsk,
  type Finding,
} from '@hurrow/core/finding';
import type { Standing } from '@hurrow/core/vocabulary';
import { lessonAt, lessonPair } from '../learning/lessonPair.ts';
import { AnswersBehind } from './AnswersBehind.tsx';
import { IntervalBar } from './IntervalBar.tsx';
import { NotTheirFault } from './NotTheirFault.tsx';
import { Pieces } from './Pieces.tsx';
import { capital, signed, type Names } from './useNames.ts';
import styles from './confusions.module.css';
import { listInWords, reportsInWords } from '../language/inWords.ts';
import { FINDING_WORDS } from './findingWords.ts';

interface TeachNextProps {
  courseId: string;
  data: ConfusionData;
  report: ClassReport;
  names: Names;
}

/** How many firm findings are shown before the rest is folded away. */
const SHOWN = 8;

/** Ranked sentences: what would have prevented most errors. */
export function TeachNext({ courseId, data, report, names }: TeachNextProps) {
  const base = `/c/${courseId}/confusions`;
  if (report.state !== 'enough')
    return (
      <>
        <h1>
          <Trans>What to teach next</Trans>
        </h1>
        <p>{notEnough(report)}</p>
        <NotTheirFault courseId={courseId} data={data} report={report} names={names} />
      </>
    );
  const { firm, unsure } = rankedFindings(report, names.vocabulary);
  const to = Math.max(4, ...[...firm, ...unsure].map(({ prevented }) => prevented.interval[1]));
  const row = (found: Finding) => (
    <FindingRow
      key={`${found.kind} ${idOf(found)}`}
      found={found}
      courseId={courseId}
      data={data}
      report={report}
      names={names}
      to={to}
    />
  );
  const later = [...firm.slice(SHOWN), ...unsure];
  return (
    <>
      <h1>
        <Trans>What to teach next</Trans>
      </h1>
      <p className="quiet">
        <Trans>
          Ranked by the errors each would have prevented, had the class used it as well as it uses its typical
          character, and by how well it can be taught: what manuals key by before colors and sizes. Bars are
          90 % intervals. One error may be prevented in two ways, so the figures do not add up.{' '}
          {report.reports.all > 0
            ? t`Beside the names they rest on ${reportsInWords(report.reports)}.`
            : t`No quiz has asked “What did you go by?” yet: by the names alone no character is sure, and those below the line are suspicions.`}{' '}
          {report.earlier.length > 0 &&
            t`What ${listInWords(report.earlier)} overlooked is taken to be likelier here (switched beside). `}
          Of what stands above the line a tenth at most is expected to be wrong.
        </Trans>
      </p>
      {firm.length === 0 && (
        <p>
          <Trans>
            <strong>Nothing stands out yet.</strong> The{' '}
            <Plural value={report.errors} one="# wrong answer" other="# wrong answers" /> do not point to one
            character or species rather than another. Another quiz will tell more; the{' '}
            <Link to={`${base}/pairs`}>pairs</Link> stand as they are.
          </Trans>
        </p>
      )}
      <ol className={styles['findings']}>{firm.slice(0, SHOWN).map(row)}</ol>
      <NotTheirFault courseId={courseId} data={data} report={report} names={names} />
      {later.length > 0 && (
        <details className={styles['less-sure']} open={firm.length === 0}>
          <summary>
            <Trans>
              {capital(plural(later.length, { one: '# more finding', other: '# more findings' }))}, smaller or
              less sure
            </Trans>
          </summary>
          <ol className={styles['findings']}>{later.map(row)}</ol>
        </details>
      )}
    </>
  );
}

const TAUGHT_AS: Record<Standing, string> = {
  mark: t` a mark: teach it as it is`,
  second: t` it confirms: teach it beside a mark`,
  supporting: t` supporting: ranked at half`,
};

/** Why there are no findings, and what would bring some. */
export const notEnough = ({ state, students, answers, errors }: ClassReport): string =>
  state === 'no errors'
    ? t`All ${plural(answers, { one: '# answer', other: '# answers' })} of ${plural(students, { one: '# student', other: '# students' })} were right. There is nothing to teach again from these stations.`
    : t`Too few to say: ${plural(answers, { one: '# answer', other: '# answers' })} of ${plural(students, { one: '# student', other: '# students' })}, ${errors} of them wrong. It takes about 40 answers of three students, six of them wrong, before they tell which character is overlooked.`;

const idOf = (found: Finding): string =>
  found.kind === 'character'
    ? found.character.characterId
    : found.kind === 'species'
      ? found.species.taxonId
      : found.name.taxonId;

function FindingRow({
  found,
  courseId,
  data,
  report,
  names,
  to,
}: TeachNextProps & { found: Finding; to: number }) {
  const [open, setOpen] = useState(false);
  const { headline, sentences, pair, behind } = say(found, report, FINDING_WORDS);
  const base = `/c/${courseId}/confusions`;
  const taught = lessonPair(pair, behind, data);
  const suspects = stationsToAsk(found, report.reports.all);
  return (
    <li>
      <div>
        <h2>{asText(headline, names)}</h2>
        <p>
          <Pieces pieces={sentences} names={names} base={base} />
        </p>
        <p className={styles['finding-doors']}>
          {pair && (
            <Link
              className={`${styles['door']} ${styles['chief']}`}
              to={`${base}/${pair.truth}/${pair.answer}`}
            >
              <Trans>
                Show {names.taxon(pair.truth)} beside {names.taxon(pair.answer)}
              </Trans>
            </Link>
          )}
          {taught && (
            <Link className={styles['door']} to={lessonAt(base, taught, found)}>
              <Trans>Make a mini-lesson</Trans>
            </Link>
          )}
          {found.kind === 'species' && (
            <Link className={styles['door']} to={`/c/${courseId}/species/${found.species.taxonId}`}>
              <Trans>Open its profile</Trans>
            </Link>
          )}
          {suspects.length > 0 && (
            <Link
              className={styles['door']}
              to={`/c/${courseId}/quizzes/new?taxa=${suspects.join(',')}&ask=all`}
            >
              <Trans>
                Plan <Plural value={suspects.length} one="# station" other="# stations" /> that ask what they
                went by
              </Trans>
            </Link>
          )}
          {behind.length > 0 && (
            <Button aria-expanded={open} onClick={() => setOpen(!open)}>
              <Trans>
                {open ? t`Hide` : t`See`} the{' '}
                <Plural value={behind.length} one="# answer" other="# answers" />
              </Trans>
            </Button>
          )}
        </p>
        {open && <AnswersBehind data={data} responses={behind} names={names} base={base} />}
      </div>
      <Figure found={found} report={report} to={to} />
    </li>
  );
}

/** What it would have prevented: how much, or, on a list on which that is not known well enough, that only its rank is said. */
function Figure({ found, report, to }: Pick<TeachNextProps, 'report'> & { found: Finding; to: number }) {
  const { prevented, interval } = found.prevented;
  const range = t`${signed(interval[0])} to ${signed(interval[1])}`;
  const taught = found.standing && <span className="quiet">{TAUGHT_AS[found.standing]}</span>;
  if (isRankOnly(found))
    return (
      <div className={styles['finding-figure']}>
        <span className="quiet">
          <Trans>
            how many errors it would have prevented can’t be told on a list as short as this; it stands here
            by its rank
          </Trans>
        </span>
        {taught}
      </div>
    );
  return (
    <div className={styles['finding-figure']}>
      <span className="quiet">
        <Trans>errors it would have prevented</Trans>
      </span>
      <IntervalBar
        value={prevented}
        interval={interval}
        from={Math.min(0, -to / 8)}
        to={to}
        mark={0}
        tone="rust"
        label={t`${Math.round(prevented)} of ${report.errors} errors, 90 % interval ${range}`}
      />
      <strong>
        {isSure(found)
          ? t`${signed(prevented)} of ${report.errors}`
          : t`up to ${Math.max(0, Math.round(interval[1]))} of ${report.errors}`}
      </strong>{' '}
      <span className="quiet">({range})</span>
      {taught}
    </div>
  );
}
