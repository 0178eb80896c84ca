import type { WholeCourse } from '@hurrow/contract/courses';
import type { Marks, Quiz } from '@hurrow/contract/quizzes';
import { useState, type KeyboardEvent } from 'react';
import { inTerms, readWentBy } from '@hurrow/core/formats';
import { PARTS_ASKED, type Answer, type AnswerPart } from '@hurrow/core/names';
import { statesToSee } from '@hurrow/core/station';
import { stateOf, type Character } from '@hurrow/core/vocabulary';
import { useVocabulary } from '../app/data.ts';
import { notStored, readsAs } from './paper.ts';
import { usePapers } from './usePapers.ts';
import styles from './quizzes.module.css';
import { Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';

/** One paper at a time, by keyboard: Enter goes on, and each changed line is stored as the paper is saved. */
export function PaperEntry({
  course,
  quiz,
  marks,
  onStored,
}: {
  course: WholeCourse;
  quiz: Quiz;
  marks: Marks | undefined;
  /** Asks again for what is stored. */
  onStored(): Promise<unknown>;
}) {
  const { papers, studentId, choose, typed, type, submit, last, saving, problem } = usePapers(
    course,
    quiz,
    onStored,
  );
  const parts = PARTS_ASKED[marks?.policy ?? course.marking.policy];
  const asking = quiz.stations.some(({ asks }) => asks.length > 0);
  const telling = quiz.stations.some(({ offered }) => offered.length > 0);
  const held = (stationId: string): Answer =>
    marks?.answers.find((answer) => answer.studentId === studentId && answer.stationId === stationId)
      ?.written ?? {};
  const nameOf = (id: string) => course.students.find((student) => student.id === id)?.name;
  const left = notStored(typed, quiz.stations);
  return (
    <form className={styles['paper']} onSubmit={submit}>
      <label>
        Paper of{' '}
        <select value={studentId} onChange={(event) => choose(event.target.value)}>
          <option value="">choose a student</option>
          {course.students.map((student) => (
            <option key={student.id} value={student.id}>
              {student.name}
              {Object.keys(papers[student.id] ?? {}).length > 0 ? ', not stored yet' : ''}
            </option>
          ))}
        </select>
      </label>{' '}
      {last && <span className="quiet">The paper of {nameOf(last)} is stored.</span>}
      {studentId && (
        <>
          <table className={ui['plain-table']}>
            <tbody>
              {quiz.stations.map((station) => (
                <PaperLine
                  key={`${studentId} ${station.id}`}
                  station={station}
                  parts={parts}
                  asking={asking}
                  telling={telling}
                  answer={{ ...held(station.id), ...typed[station.id] }}
                  list={marks?.list}
                  onType={(answer) => type(station.id, answer)}
                />
              ))}
            </tbody>
          </table>
          <button className={`${ui['press']} ${ui['chief']}`} disabled={saving || !left}>
            Store this paper
          </button>{' '}
          {!saving && left && <span className="quiet">{left}</span>}
        </>
      )}
      {problem && <Problem>{problem}</Problem>}
    </form>
  );
}

interface PaperLineProps {
  station: Quiz['stations'][number];
  parts: readonly AnswerPart[];
  /** Does some station of the quiz ask what is seen? */
  asking: boolean;
  /** Does some station ask what students went by? */
  telling: boolean;
  answer: Answer;
  list: Marks['list'] | undefined;
  onType(answer: Answer): void;
}

/** One station of a paper; Enter goes to the next field. */
function PaperLine({ station, parts, asking, telling, answer, list, onType }: PaperLineProps) {
  const vocabulary = useVocabulary();
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
      <td>{station.position}</td>
      {parts.map((part) => (
        <td key={part}>
          <input
            className={ui['typed']}
            aria-label={`Station ${station.position}, ${part}`}
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
              position={station.position}
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
              offered={station.offered.flatMap((id) => vocabulary.get(id) ?? [])}
              told={answer.wentBy ?? []}
              onTell={(wentBy) => onType({ ...answer, wentBy })}
              onKeyDown={goOn}
            />
          )}
        </td>
      )}
      <td className={`quiet ${styles['reads']}`}>{readsAs(answer, list)}</td>
    </tr>
  );
}

/** The line of a paper that says what the tree was named by, read as it is typed. */
function ToldOnPaper({
  position,
  offered,
  told,
  onTell,
  onKeyDown,
}: {
  position: number;
  offered: Character[];
  told: string[];
  onTell(wentBy: string[]): void;
  onKeyDown(event: KeyboardEvent<HTMLInputElement>): void;
}) {
  const [text, setText] = useState(() => told.map((id) => inTerms(id, offered)).join('; '));
  const read = readWentBy(text, offered);
  return (
    <>
      <input
        className={ui['typed']}
        aria-label={`Station ${position}, went by`}
        aria-invalid={!read.ok}
        placeholder="went by"
        list={`offered-${position}`}
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          const now = readWentBy(event.target.value, offered);
          // The paper is not stored while a line of it can't be read.
          event.target.setCustomValidity(now.ok ? '' : now.problem);
          if (now.ok) onTell(now.value);
        }}
        onKeyDown={onKeyDown}
      />
      <datalist id={`offered-${position}`}>
        {offered.map((character) => (
          <option key={character.id} value={inTerms(character.id, offered)} />
        ))}
      </datalist>
      {!read.ok && <small className="gold">{read.problem}</small>}
    </>
  );
}

/** What the paper says was seen of one character. */
function SeenOnPaper({
  character,
  position,
  value,
  onChange,
}: {
  character: Character | undefined;
  position: number;
  value: string;
  onChange(state: string): void;
}) {
  if (!character) return null;
  return (
    <select
      aria-label={`Station ${position}, ${character.term}`}
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
