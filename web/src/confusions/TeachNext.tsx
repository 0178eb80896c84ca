import type { ClassReport, ConfusionData } from '@hurrow/contract/confusions';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { misreadOrOverlooked, rankedFindings, type Finding } from '@hurrow/core/confusion';
import { listInWords } from '@hurrow/core/view';
import { AnswersBehind } from './AnswersBehind.tsx';
import { IntervalBar } from './IntervalBar.tsx';
import { NotTheirFault } from './NotTheirFault.tsx';
import { ReadingSentence } from './Readings.tsx';
import { capital, counted, percent, percentRange, signed, type Names } from './useNames.ts';
import styles from './confusions.module.css';

interface TeachNextProps {
  courseId: string;
  data: ConfusionData;
  report: ClassReport;
  names: Names;
}

/** A student with this share of the typical use looks at a character. */
const LOOKS_AT = 0.5;
/** How many firm findings are shown before the rest is folded away. */
const SHOWN = 8;

/** Ranked sentences: what would have prevented most errors. */
export function TeachNext({ courseId, data, report, names }: TeachNextProps) {
  const base = `/c/${courseId}/confusions`;
  if (report.state !== 'enough')
    return (
      <>
        <h1>What to teach next</h1>
        <p>{notEnough(report)}</p>
        <NotTheirFault courseId={courseId} data={data} report={report} names={names} />
      </>
    );
  const { firm, unsure } = rankedFindings(report);
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
      <h1>What to teach next</h1>
      <p className="quiet">
        Ranked by the errors each would have prevented, had the class used it as well as it uses its typical
        character. Bars are 90 % intervals. One error may be prevented in two ways, so the figures do not add
        up.
      </p>
      {firm.length === 0 && (
        <p>
          <strong>Nothing stands out yet.</strong> The {counted(report.errors, 'wrong answer')} do not point
          to one character or species rather than another. Another quiz will tell more; the{' '}
          <Link to={`${base}/pairs`}>pairs</Link> stand as they are.
        </p>
      )}
      <ol className={styles['findings']}>{firm.slice(0, SHOWN).map(row)}</ol>
      <NotTheirFault courseId={courseId} data={data} report={report} names={names} />
      {later.length > 0 && (
        <details className={styles['less-sure']}>
          <summary>{capital(counted(later.length, 'more finding'))}, smaller or less sure</summary>
          <ol className={styles['findings']}>{later.map(row)}</ol>
        </details>
      )}
    </>
  );
}

/** Why there are no findings, and what would bring some. */
export const notEnough = ({ state, students, answers, errors }: ClassReport): string =>
  state === 'no errors'
    ? `All ${counted(answers, 'answer')} of ${counted(students, 'student')} were right. There is nothing to teach again from these stations.`
    : `Too few to say: ${counted(answers, 'answer')} of ${counted(students, 'student')}, ${errors} of them wrong. ` +
      'It takes about 40 answers of three students, six of them wrong, before they tell which character is overlooked.';

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
  const { prevented, interval } = found.prevented;
  const behind =
    found.kind === 'character'
      ? found.character.behind
      : found.kind === 'species'
        ? found.species.behind
        : found.name.behind;
  const pair = pairBehind(found);
  const range = `${signed(interval[0])} to ${signed(interval[1])}`;
  return (
    <li>
      <div>
        <h2>{titleOf(found, report, names)}</h2>
        <p>
          <Sentence found={found} report={report} data={data} names={names} courseId={courseId} />
        </p>
        <p className={styles['finding-doors']}>
          {pair && (
            <Link
              className={`${styles['door']} ${styles['chief']}`}
              to={`/c/${courseId}/confusions/${pair.truth}/${pair.answer}`}
            >
              Show {names.taxon(pair.truth)} beside {names.taxon(pair.answer)}
            </Link>
          )}
          {found.kind === 'species' && (
            <Link className={styles['door']} to={`/c/${courseId}/species/${found.species.taxonId}`}>
              Open its profile
            </Link>
          )}
          {behind.length > 0 && (
            <Button aria-expanded={open} onClick={() => setOpen(!open)}>
              {open ? 'Hide' : 'See'} the {counted(behind.length, 'answer')}
            </Button>
          )}
        </p>
        {open && (
          <AnswersBehind data={data} responses={behind} names={names} base={`/c/${courseId}/confusions`} />
        )}
      </div>
      <div className={styles['finding-figure']}>
        <span className="quiet">errors it would have prevented</span>
        <IntervalBar
          value={prevented}
          interval={interval}
          from={Math.min(0, -to / 8)}
          to={to}
          mark={0}
          tone="rust"
          label={`${Math.round(prevented)} of ${report.errors} errors, 90 % interval ${range}`}
        />
        <strong>
          {signed(prevented)} of {report.errors}
        </strong>{' '}
        <span className="quiet">({range})</span>
      </div>
    </li>
  );
}

/** The pair to be shown side by side: the character's commonest, or that of a species which lands on one name in most cases. */
function pairBehind(found: Finding): { truth: string; answer: string } | undefined {
  if (found.kind === 'character') return found.character.pairs[0];
  if (found.kind === 'name') return undefined;
  const { taxonId, wrong, called } = found.species;
  const [first] = called;
  return first && first.count > wrong / 2 ? { truth: taxonId, answer: first.answer } : undefined;
}

const readingOf = (characterId: string, { readings }: ClassReport) =>
  readings.find((reading) => reading.characterId === characterId);

function titleOf(found: Finding, report: ClassReport, names: Names): string {
  if (found.kind === 'name') return `The name ${names.taxon(found.name.taxonId)} is given too readily`;
  if (found.kind === 'species')
    return found.species.scatters
      ? `${capital(names.taxon(found.species.taxonId))} is not known`
      : `${capital(names.taxon(found.species.taxonId))} is missed more than its likeness explains`;
  const name = capital(names.character(found.character.characterId));
  const share = found.character.worth?.share ?? 1;
  const reading = readingOf(found.character.characterId, report);
  if (share < 0.8 && reading && misreadOrOverlooked(reading) === 'misread') return `${name}: misread`;
  if (share < 0.35) return `${name}: hardly looked at`;
  return share < 0.8 ? `${name}: used too little` : `${name}: used no better than the rest`;
}

function Sentence({
  found,
  report,
  data,
  names,
  courseId,
}: {
  found: Finding;
  report: ClassReport;
  data: ConfusionData;
  names: Names;
  courseId: string;
}) {
  if (found.kind === 'name') {
    const { given, truths } = found.name;
    return (
      <>
        Written {counted(given, 'time')} where it was wrong, for {counted(truths, 'different tree')}, beyond
        what likeness brings.
      </>
    );
  }
  if (found.kind === 'species') {
    const { taxonId, asked, wrong, scatters, called } = found.species;
    return (
      <>
        Missed in <strong>{wrong}</strong> of {asked} answers.{' '}
        {scatters
          ? `The errors scatter over ${counted(called.length, 'name')}, like or not: teach the tree itself. `
          : 'The characters alone would lead one to expect fewer. '}
        {called.length > 0 && 'Called '}
        {called.slice(0, 3).map(({ answer, count }, i) => (
          <span key={answer}>
            {i > 0 && ', '}
            <Link to={`/c/${courseId}/confusions/${taxonId}/${answer}`}>{names.taxon(answer)}</Link> {count}
          </span>
        ))}
        {called.length > 3 && `, and ${counted(called.length - 3, 'name')} more`}
        {called.length > 0 && '.'}
      </>
    );
  }
  const { worth, pairs, telling, students, characterId } = found.character;
  const reading = readingOf(characterId, report);
  const named = new Map(data.answers.map(({ studentId, student }) => [studentId, student]));
  const users = students
    .filter(({ share }) => share >= LOOKS_AT)
    .reverse()
    .map(({ studentId }) => named.get(studentId) ?? 'a former student');
  return (
    <>
      Used at <strong>{percent(worth!.share)}</strong> of its worth ({percentRange(worth!.interval)}), at{' '}
      {counted(telling.length, 'station')} where it could tell.{' '}
      {pairs.slice(0, 3).map(({ truth, answer, count }, i) => (
        <span key={`${truth} ${answer}`}>
          {i > 0 && ', '}
          <Link to={`/c/${courseId}/confusions/${truth}/${answer}`}>
            {names.taxon(truth)} → {names.taxon(answer)}
          </Link>{' '}
          {count}
        </span>
      ))}
      {pairs.length > 3 && `, and ${counted(pairs.length - 3, 'pair')} more`}
      {pairs.length > 0 && '. '}
      {users.length === 0
        ? 'No student stands out who looks at it.'
        : users.length > students.length / 2
          ? 'Most students look at it.'
          : `Looked at by ${listInWords(users.slice(0, 3))}${users.length > 3 ? ` and ${counted(users.length - 3, 'other')}` : ''}.`}
      {reading && <ReadingSentence reading={reading} names={names} />}
      {report.students < 10 && ' A small class: take it as a hint.'}
    </>
  );
}
