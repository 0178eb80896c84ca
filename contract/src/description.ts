import { endpoint } from './endpoint.ts';

export const description = endpoint<{ answer: object }>()({
  method: 'get',
  path: '/api/openapi.json',
  summary: 'This description.',
  allow: 'anyone',
});
