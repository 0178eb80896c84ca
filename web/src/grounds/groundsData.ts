import { queryOptions } from '@tanstack/react-query';
import { call } from '../app/api.ts';

export const groundsKey = (id: string) => ['grounds', id] as const;
export const walksKey = (courseId: string) => ['walks', courseId] as const;
export const collectingKey = (courseId: string) => ['collecting', courseId] as const;

export const allGroundsQuery = queryOptions({
  queryKey: ['grounds'],
  queryFn: () => call('GET /api/grounds'),
});

export const groundsQuery = (groundsId: string) =>
  queryOptions({
    queryKey: groundsKey(groundsId),
    queryFn: () => call('GET /api/grounds/{groundsId}', { params: { groundsId } }),
  });

export const walksQuery = (courseId: string) =>
  queryOptions({
    queryKey: walksKey(courseId),
    queryFn: () => call('GET /api/courses/{courseId}/walks', { params: { courseId } }),
    enabled: courseId !== '-',
  });

export const collectingQuery = (courseId: string) =>
  queryOptions({
    queryKey: collectingKey(courseId),
    queryFn: () => call('GET /api/courses/{courseId}/collecting', { params: { courseId } }),
    enabled: courseId !== '-',
  });
