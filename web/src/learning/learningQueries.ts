import { queryOptions } from '@tanstack/react-query';
import { call } from '../app/api.ts';

/** What these pages ask for, under keys that a change makes stale. */
export const practiceQuery = (courseId: string) =>
  queryOptions({
    queryKey: ['practice', courseId],
    queryFn: () => call('GET /api/courses/{courseId}/practice', { params: { courseId } }),
  });

export const studentQuery = (courseId: string, studentId: string) =>
  queryOptions({
    queryKey: ['learning', courseId, studentId],
    queryFn: () =>
      call('GET /api/courses/{courseId}/students/{studentId}/learning', { params: { courseId, studentId } }),
  });

export const trendsQuery = (courseId: string) =>
  queryOptions({
    queryKey: ['trends', courseId],
    queryFn: () => call('GET /api/courses/{courseId}/trends', { params: { courseId } }),
  });

export const miniLessonsQuery = (courseId: string) =>
  queryOptions({
    queryKey: ['miniLessons', courseId],
    queryFn: () => call('GET /api/courses/{courseId}/mini-lessons', { params: { courseId } }),
  });
