import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import { useState, type FormEvent } from 'react';
import type { Answer } from '@hurrow/core/names';
import { call } from '../app/api.ts';
import { useSaving } from '../app/useSaving.ts';
import { useKept } from '../drafts/useKept.ts';
import { nextStudent, notStored, withAnswer, withoutStored, type Papers } from './paper.ts';

/** The papers that are typed: whose is open, what was typed and is not stored, and how it is stored, line by line. */
export function usePapers(course: WholeCourse, quiz: Quiz, onStored: () => Promise<unknown>) {
  const [studentId, setStudentId] = useState('');
  const papers = useKept<Papers>(`papers/${quiz.id}`, `Papers of ${quiz.title}`, {}, (held) =>
    Object.values(held).some((paper) => Object.keys(paper).length > 0),
  );
  const typed = papers.value[studentId] ?? {};
  const { save, saving, problem } = useSaving();
  /** Whose paper was stored last. */
  const [last, setLast] = useState('');
  const storePaper = async () => {
    const stored: [string, Answer][] = [];
    try {
      for (const [stationId, answer] of Object.entries(typed)) {
        await call('POST /api/quizzes/{quizId}/paper', {
          params: { quizId: quiz.id },
          body: { studentId, stationId, answer },
        });
        stored.push([stationId, answer]);
      }
    } finally {
      // A line leaves the paper only when what is stored stands behind it: the next word typed in it builds on that.
      if (stored.length > 0) await onStored();
      papers.set((before) =>
        stored.reduce((left, [id, answer]) => withoutStored(left, studentId, id, answer), before),
      );
    }
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void save(storePaper, {
      done: () => {
        if (notStored(papers.latest()[studentId], quiz.stations)) return;
        setLast(studentId);
        setStudentId((now) => (now === studentId ? nextStudent(course.students, studentId) : now));
      },
    });
  };
  return {
    papers: papers.value,
    studentId,
    choose: (id: string) => {
      setStudentId(id);
      setLast('');
    },
    typed,
    type: (stationId: string, answer: Answer) =>
      papers.set((before) => withAnswer(before, studentId, stationId, answer)),
    submit,
    last,
    saving,
    problem,
  };
}
