import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import { useState, type FormEvent } from 'react';
import type { Answer } from '@hurrow/core/names';
import { call } from '../app/api.ts';
import { useSaving } from '../app/useSaving.ts';
import { useKept } from '../drafts/useKept.ts';
import {
  linesOf,
  nextStudent,
  notStored,
  withAnswer,
  withoutStored,
  type PaperLine,
  type Papers,
} from './paper.ts';

/** What is typed of papers: kept at every key, and stored line by line. */
export function usePapers(quiz: Quiz, onStored: () => Promise<unknown>) {
  const papers = useKept<Papers>(`papers/${quiz.id}`, `Papers of ${quiz.title}`, {}, (held) =>
    Object.values(held).some((paper) => Object.keys(paper).length > 0),
  );
  const { save, saving, problem } = useSaving();
  const storeLines = async (lines: readonly PaperLine[]) => {
    const stored: PaperLine[] = [];
    try {
      for (const { studentId, stationId, answer } of lines) {
        await call('POST /api/quizzes/{quizId}/paper', {
          params: { quizId: quiz.id },
          body: { studentId, stationId, answer },
        });
        stored.push({ studentId, stationId, answer });
      }
    } finally {
      // A line leaves the paper only when what is stored stands behind it: the next word typed in it builds on that.
      if (stored.length > 0) await onStored();
      papers.set((before) =>
        stored.reduce(
          (left, { studentId, stationId, answer }) => withoutStored(left, studentId, stationId, answer),
          before,
        ),
      );
    }
  };
  return {
    papers: papers.value,
    latest: papers.latest,
    type: (studentId: string, stationId: string, answer: Answer) =>
      papers.set((before) => withAnswer(before, studentId, stationId, answer)),
    /** Stores some lines; `done` is called when all of them are stored. */
    store: (lines: readonly PaperLine[], done?: () => void) => save(() => storeLines(lines), { done }),
    saving,
    problem,
  };
}

export type TypedPapers = ReturnType<typeof usePapers>;

/** One paper at a time: whose is open, and the next one's after it is stored. */
export function useOnePaper(course: WholeCourse, quiz: Quiz, typing: TypedPapers) {
  const [studentId, setStudentId] = useState('');
  /** Whose paper was stored last. */
  const [last, setLast] = useState('');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void typing.store(linesOf(typing.papers, { studentId }), () => {
      if (notStored(typing.latest()[studentId], quiz.stations)) return;
      setLast(studentId);
      setStudentId((now) => (now === studentId ? nextStudent(course.students, studentId) : now));
    });
  };
  return {
    studentId,
    choose: (id: string) => {
      setStudentId(id);
      setLast('');
    },
    submit,
    last,
  };
}
