import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Marks, Quiz } from '@hurrow/contract/quizzes';
import { useState, type FormEvent, type KeyboardEvent } from 'react';
import { inTerms, readSaid, readWentBy } from '@hurrow/core/formats';
import { PARTS_ASKED, type Answer, type AnswerPart } from '@hurrow/core/names';
import { saidTo, statesToSee, type FrozenQuestion } from '@hurrow/core/station';
import { stateOf, type Character } from '@hurrow/core/vocabulary';
import { useVocabulary } from '../app/data.ts';
import { linesOf, namesFor, notStored, readsAs } from './paper.ts';
import { useOnePaper, usePapers, type TypedPapers } from './usePapers.ts';
import styles from './quizzes.module.css';
import { Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';

interface PaperEntryProps {
  course: WholeCourse;
  quiz: Quiz;
  marks: Marks | undefined;
  /** Asks again for what is stored. */
  onStored(): Promise<unknown>;
}

/** Papers by keyboard, student by student or station by station: Enter goes on, and what was typed is stored line by line. */
export function PaperEntry({ course, quiz, marks, onStored }: PaperEntryProps) {
  const [by, setBy] = useState<'student' | 'station'>('student');
  const typing = usePapers(quiz, onStored);
  const Papers = by === 'student' ? ByStudent : ByStation;
  return (
    <div className={styles['paper']}>
      <label>
        <Trans>Typed</Trans>{' '}
        <select value={by} onChange={(event) => setBy(event.target.value as typeof by)}>
          <option value="student">
            <Trans>student by student</Trans>
          </option>
          <option value="station">
            <Trans>station by station</Trans>
          </option>
        </select>
      </label>{' '}
      <Papers course={course} quiz={quiz} marks={marks} typing={typing} />
      {PARTS_ASKED[marks?.policy ?? course.marking.policy].map((part) => (
        <datalist key={part} id={`names-${part}`}>
          {namesFor(part, marks?.list).map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      ))}
      {typing.problem && <Problem>{typing.problem}</Problem>}
    </div>
  );
}

type PapersProps = Omit<PaperEntryProps, 'onStored'> & { typing: TypedPapers };

const heldAnswer = (marks: Marks | undefined, studentId: string, stationId: string): Answer =>
  marks?.answers.find((answer) => answer.studentId === studentId && answer.stationId === stationId)
    ?.written ?? {};

function ByStudent({ course, quiz, marks, typing }: PapersProps) {
  const { studentId, choose, submit, last } = useOnePaper(course, quiz, typing);
  const typed = typing.papers[studentId] ?? {};
  const nameOf = (id: string) => course.students.find((student) => student.id === id)?.name;
  const left = notStored(typed, quiz.stations);
  return (
    <form onSubmit={submit}>
      <label>
        <Trans>Paper of</Trans>{' '}
        <select value={studentId} onChange={(event) => choose(event.target.value)}>
          <option value="">
            <Trans>choose a student</Trans>
          </option>
          {course.students.map((student) => (
            <option key={student.id} value={student.id}>
              {student.name}
              {Object.keys(typing.papers[student.id] ?? {}).length > 0 ? t`, not stored yet` : ''}
            </option>
          ))}
        </select>
      </label>{' '}
      {last && (
        <span className="quiet">
          <Trans>The paper of {nameOf(last)} is stored.</Trans>
        </span>
      )}
      {studentId && (
        <>
          <table className={ui['plain-table']}>
            <tbody>
              {quiz.stations.map((station) => (
                <PaperLine
                  key={`${studentId} ${station.id}`}
                  head={String(station.position)}
                  station={station}
                  quiz={quiz}
                  parts={PARTS_ASKED[marks?.policy ?? course.marking.policy]}
                  answer={{ ...heldAnswer(marks, studentId, station.id), ...typed[station.id] }}
                  list={marks?.list}
                  onType={(answer) => typing.type(studentId, station.id, answer)}
                />
              ))}
            </tbody>
          </table>
          <button className={`${ui['press']} ${ui['chief']}`} disabled={typing.saving || !left}>
            <Trans>Store this paper</Trans>
          </button>{' '}
          {!typing.saving && left && <span className="quiet">{left}</span>}
        </>
      )}
    </form>
  );
}

/** One station of all papers, as they lie in a pile. */
function ByStation({ course, quiz, marks, typing }: PapersProps) {
  const [at, setAt] = useState(0);
  const station = quiz.stations[at];
  if (!station) return null;
  const lines = linesOf(typing.papers, { stationId: station.id });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void typing.store(lines, () => setAt((now) => Math.min(now + 1, quiz.stations.length - 1)));
  };
  return (
    <form onSubmit={submit}>
      <label>
        <Trans>Station</Trans>{' '}
        <select value={at} onChange={(event) => setAt(Number(event.target.value))}>
          {quiz.stations.map(({ id, position }, i) => (
            <option key={id} value={i}>
              {position}
              {linesOf(typing.papers, { stationId: id }).length > 0 ? t`, not stored yet` : ''}
            </option>
          ))}
        </select>
      </label>
      <table className={ui['plain-table']}>
        <tbody>
          {course.students.map(({ id, name }) => (
            <PaperLine
              key={`${id} ${station.id}`}
              head={name}
              station={station}
              quiz={quiz}
              parts={PARTS_ASKED[marks?.policy ?? course.marking.policy]}
              answer={{ ...heldAnswer(marks, id, station.id), ...typing.papers[id]?.[station.id] }}
              list={marks?.list}
              onType={(answer) => typing.type(id, station.id, answer)}
            />
          ))}
        </tbody>
      </table>
      <button className={`${ui['press']} ${ui['chief']}`} disabled={typing.saving || lines.length === 0}>
        <Trans>Store station {station.position}</Trans>
      </button>{' '}
      {!typing.saving && lines.length > 0 && (
        <span className="quiet">
          <Trans>
            <Plural value={lines.length} one="# answer" other="# answers" /> not stored yet.
          </Trans>
        </span>
      )}
    </form>
  );
}

interface PaperLineProps {
  /** The number of the station, or whose paper it is. */
  head: string;
  station: Quiz['stations'][number];
  quiz: Quiz;
  parts: readonly AnswerPart[];
  answer: Answer;
  list: Marks['list'] | undefined;
  onType(answer: Answer): void;
}

/** One station of a paper; Enter goes to the next field. */
function PaperLine({ head, station, quiz, parts, answer, list, onType }: PaperLineProps) {
  const vocabulary = useVocabulary();
  const asking = quiz.stations.some(({ asks }) => asks.length > 0);
  const telling = quiz.stations.some(({ offered }) => offered.length > 0);
  const called = head === String(station.position) ? t`Station ${head}` : head;
  const goOn = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key !== 'Enter') return;
    const fields = [...event.currentTarget.form!.querySelectorAll('input')];
    const next = fields[fields.indexOf(event.currentTarget) + 1];
    if (!next) return;
    event.preventDefault();
    next.focus();
  };
  return (
    <tr>
      <td>{head}</td>
      {station.asking && (
        <td colSpan={parts.length}>
          <SaidOnPaper
            called={called}
            asking={station.asking}
            answer={answer}
            onSay={(said) => onType({ ...answer, ...said })}
            onKeyDown={goOn}
          />
        </td>
      )}
      {(station.asking ? [] : parts).map((part) => (
        <td key={part}>
          <input
            className={ui['typed']}
            aria-label={`${called}, ${part}`}
            list={`names-${part}`}
            autoComplete="off"
            spellCheck={false}
            placeholder={part}
            value={answer[part] ?? ''}
            onChange={(event) => onType({ ...answer, [part]: event.target.value })}
            onKeyDown={goOn}
          />
        </td>
      ))}
      {asking && (
        <td className={styles['paper-seen']}>
          {station.asks.map((id) => (
            <SeenOnPaper
              key={id}
              character={vocabulary.get(id)}
              called={called}
              value={answer.seen?.[id] ?? ''}
              onChange={(state) => onType({ ...answer, seen: { ...answer.seen, [id]: state } })}
            />
          ))}
        </td>
      )}
      {telling && (
        <td>
          {station.offered.length > 0 && (
            <ToldOnPaper
              position={station.position}
              called={called}
              offered={station.offered.flatMap((id) => vocabulary.get(id) ?? [])}
              answer={answer}
              onTell={(told) => onType({ ...answer, ...told })}
              onKeyDown={goOn}
            />
          )}
        </td>
      )}
      <td className={`quiet ${styles['reads']}`}>{station.asking ? '' : readsAs(answer, list)}</td>
    </tr>
  );
}

/** What a paper answers where its station asks for something else than the name, read as it is typed. */
function SaidOnPaper({
  called,
  asking,
  answer,
  onSay,
  onKeyDown,
}: {
  /** The station, or whose paper it is. */
  called: string;
  asking: FrozenQuestion;
  answer: Answer;
  onSay(said: Answer): void;
  onKeyDown(event: KeyboardEvent<HTMLInputElement>): void;
}) {
  const [text, setText] = useState(() => saidTo(asking, answer));
  const read = readSaid(text, asking);
  const list = t`${called}, offered`.replaceAll(' ', '-');
  return (
    <>
      <input
        className={ui['typed']}
        aria-label={t`${called}, answer`}
        aria-invalid={!read.ok}
        placeholder={asking.asked.term}
        list={asking.offered.length > 0 ? list : undefined}
        autoComplete="off"
        spellCheck={false}
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          const now = readSaid(event.target.value, asking);
          // The paper is not stored while a line of it can't be read.
          event.target.setCustomValidity(now.ok ? '' : now.problem);
          if (now.ok) onSay(now.value);
        }}
        onKeyDown={onKeyDown}
      />
      {asking.offered.length > 0 && (
        <datalist id={list}>
          {asking.offered.map(({ id, term }) => (
            <option key={id} value={term} />
          ))}
        </datalist>
      )}
      {!read.ok && <small className="gold">{read.problem}</small>}
    </>
  );
}

/** The line of a paper that says what the tree was named by, read as it is typed. */
function ToldOnPaper({
  position,
  called,
  offered,
  answer: { wentBy: told = [], wentByUnread: unread = [] },
  onTell,
  onKeyDown,
}: {
  position: number;
  /** The station, or whose paper it is. */
  called: string;
  offered: Character[];
  answer: Answer;
  onTell(told: Pick<Answer, 'wentBy' | 'wentByUnread'>): void;
  onKeyDown(event: KeyboardEvent<HTMLInputElement>): void;
}) {
  const [text, setText] = useState(() => [...told.map((id) => inTerms(id, offered)), ...unread].join('; '));
  const read = readWentBy(text, offered);
  return (
    <>
      <input
        className={ui['typed']}
        aria-label={t`${called}, went by`}
        aria-invalid={!read.ok}
        placeholder={t`went by`}
        list={`offered-${position}`}
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          const now = readWentBy(event.target.value, offered);
          // The paper is not stored while a line of it can't be read.
          event.target.setCustomValidity(now.ok ? '' : now.problem);
          if (now.ok) onTell({ wentBy: now.value.told, wentByUnread: now.value.unread });
        }}
        onKeyDown={onKeyDown}
      />
      <datalist id={`offered-${position}`}>
        {offered.map((character) => (
          <option key={character.id} value={inTerms(character.id, offered)} />
        ))}
      </datalist>
      {!read.ok && <small className="gold">{read.problem}</small>}
      {read.ok &&
        read.value.doubts.map((doubt) => (
          <small key={doubt} className="quiet">
            <Trans>{doubt} It is kept as written; rule on it when you mark.</Trans>
          </small>
        ))}
    </>
  );
}

/** What the paper says was seen of one character. */
function SeenOnPaper({
  character,
  called,
  value,
  onChange,
}: {
  character: Character | undefined;
  called: string;
  value: string;
  onChange(state: string): void;
}) {
  if (!character) return null;
  return (
    <select
      aria-label={`${called}, ${character.term}`}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    >
      <option value="">{character.term}?</option>
      {statesToSee(character).map((id) => (
        <option key={id} value={id}>
          {stateOf(character, id)!.term}
        </option>
      ))}
    </select>
  );
}
