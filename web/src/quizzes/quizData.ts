import { queryOptions } from '@tanstack/react-query';
import type { Answer, Mark, NamedTaxon, NamingPolicy } from '@hurrow/core/names';
import type { Medium, View } from '@hurrow/core/view';
import { get } from '../app/api.ts';

export interface Quiz {
  id: string;
  courseId: string;
  title: string;
  heldOn: string;
  state: 'planned' | 'open' | 'closed';
  released: boolean;
  stations: {
    id: string;
    position: number;
    taxonId: string;
    medium: Medium;
    view: View;
    asks: string[];
    seed: number;
    voided: boolean;
    revision: number | null;
    drawn: boolean;
  }[];
}

export interface MarkedAnswer {
  responseId: string;
  studentId: string;
  stationId: string;
  written: Answer;
  text: string;
  mark: Mark;
  ruling: { id: number; by: string; at: string; reason: string | null; alone: boolean } | null;
  conflicting: { responseId: string; device: string; written: Answer }[];
}

export interface Marks {
  quiz: Omit<Quiz, 'stations'>;
  students: { id: string; name: string }[];
  stations: { id: string; position: number; taxonId: string; voided: boolean }[];
  list: NamedTaxon[];
  policy: NamingPolicy | null;
  answers: MarkedAnswer[];
}

export const quizQuery = (id: string) =>
  queryOptions({ queryKey: ['quiz', id], queryFn: () => get<Quiz>(`/api/quizzes/${id}`) });

export const marksQuery = (id: string) =>
  queryOptions({ queryKey: ['marks', id], queryFn: () => get<Marks>(`/api/quizzes/${id}/marks`) });
