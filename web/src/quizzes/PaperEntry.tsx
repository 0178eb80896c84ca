import type { WholeCourse } from '@hurrow/contract/courses';
import type { Marks, Quiz } from '@hurrow/contract/quizzes';
import { useState, type FormEvent } from 'react';
import { answerText, resolveName, type Answer, type AnswerPart } from '@hurrow/core/names';
import { statesToSee } from '@hurrow/core/station';
import { scientificName } from '@hurrow/core/taxon';
import { stateOf, type Character } from '@hurrow/core/vocabulary';
import { call, messageOf } from '../app/api.ts';
import { useVocabulary } from '../app/data.ts';
import { useKept } from '../drafts/useKept.ts';
import styles from './quizzes.module.css';
import { Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';

const PARTS: Record<string, AnswerPart[]> = {
  common: ['name'],
  genus: ['genus'],
  binomial: ['genus', 'epithet'],
  binomialFamily: ['genus', 'epithet', 'family'],
};

/** One paper at a time, by keyboard: Enter goes on, and each changed line is stored as the paper is saved. */
export function PaperEntry({
  course,
  quiz,
  marks,
  onSaved,
}: {
  course: WholeCourse;
  quiz: Quiz;
  marks: Marks | undefined;
  onSaved(): void;
}) {
  const [studentId, setStudentId] = useState('');
  const papers = useKept<Record<string, Record<string, Answer>>>(
    `papers/${quiz.id}`,
    `Papers of ${quiz.title}`,
    {},
    (held) => Object.values(held).some((paper) => Object.keys(paper).length > 0),
  );
  const typed = papers.value[studentId] ?? {};
  const setTyped = (paper: Record<string, Answer>) =>
    papers.set((before) => ({ ...before, [studentId]: paper }));
  const [problem, setProblem] = useState<string>();
  const [saved, setSaved] = useState<string>();
  const parts = PARTS[marks?.policy ?? course.marking.policy] ?? ['name'];
  const vocabulary = useVocabulary();
  const asking = quiz.stations.some(({ asks }) => asks.length > 0);
  const held = (stationId: string): Answer =>
    marks?.answers.find((answer) => answer.studentId === studentId && answer.stationId === stationId)
      ?.written ?? {};
  const choose = (id: string) => {
    setStudentId(id);
    setSaved(undefined);
  };
  const save = async (event: FormEvent) => {
    event.preventDefault();
    setProblem(undefined);
    let left = { ...typed };
    try {
      for (const [stationId, answer] of Object.entries(typed)) {
        await call('POST /api/quizzes/{quizId}/paper', {
          params: { quizId: quiz.id },
          body: { studentId, stationId, answer },
        });
        left = Object.fromEntries(Object.entries(left).filter(([id]) => id !== stationId));
      }
      setSaved(course.students.find((student) => student.id === studentId)?.name);
      const next = course.students[course.students.findIndex((student) => student.id === studentId) + 1];
      setStudentId(next?.id ?? '');
      onSaved();
    } catch (error) {
      setProblem(`${messageOf(error)} ${Object.keys(left).length} lines are not stored yet and stay here.`);
    } finally {
      setTyped(left);
    }
  };
  return (
    <form className={styles['paper']} onSubmit={(event) => void save(event)}>
      <label>
        Paper of{' '}
        <select value={studentId} onChange={(event) => choose(event.target.value)}>
          <option value="">choose a student</option>
          {course.students.map((student) => (
            <option key={student.id} value={student.id}>
              {student.name}
              {Object.keys(papers.value[student.id] ?? {}).length > 0 ? ', not stored yet' : ''}
            </option>
          ))}
        </select>
      </label>{' '}
      {saved && <span className="quiet">The paper of {saved} is stored.</span>}
      {studentId && (
        <>
          <table className={ui['plain-table']}>
            <tbody>
              {quiz.stations.map((station) => {
                const answer = { ...held(station.id), ...typed[station.id] };
                return (
                  <tr key={station.id}>
                    <td>{station.position}</td>
                    {parts.map((part) => (
                      <td key={part}>
                        <input
                          className={ui['typed']}
                          aria-label={`Station ${station.position}, ${part}`}
                          placeholder={part}
                          value={answer[part] ?? ''}
                          onChange={(event) =>
                            setTyped({ ...typed, [station.id]: { ...answer, [part]: event.target.value } })
                          }
                          onKeyDown={(event) => {
                            if (event.key !== 'Enter') return;
                            const fields = [...event.currentTarget.form!.querySelectorAll('input')];
                            const next = fields[fields.indexOf(event.currentTarget) + 1];
                            if (!next) return;
                            event.preventDefault();
                            next.focus();
                          }}
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
                            onChange={(state) =>
                              setTyped({
                                ...typed,
                                [station.id]: { ...answer, seen: { ...answer.seen, [id]: state } },
                              })
                            }
                          />
                        ))}
                      </td>
                    )}
                    <td className={`quiet ${styles['reads']}`}>{readsAs(answer, marks)}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          <button className={`${ui['press']} ${ui['chief']}`} disabled={Object.keys(typed).length === 0}>
            Store this paper
          </button>
        </>
      )}
      {problem && <Problem>{problem}</Problem>}
    </form>
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

/** How the answer will be read, as it is typed. */
function readsAs(answer: Answer, marks: Marks | undefined): string {
  const text = answerText(answer);
  if (!text || !marks) return '';
  const found = resolveName(text, marks.list);
  const taxon = marks.list.find((entry) => entry.id === found.taxonId);
  if (taxon) return found.how === 'exact' ? '✓' : `${found.how}: ${scientificName(taxon)}`;
  return found.how === 'genus'
    ? `genus ${found.genus} only`
    : found.how === 'ambiguous'
      ? 'more than one taxon'
      : 'names no tree of the list';
}
