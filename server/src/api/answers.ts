import { readFileSync } from 'node:fs';

export interface AnswerSchema {
  definitions?: Record<string, object>;
  [keyword: string]: unknown;
}

// Built, it lies beside the server; from source, beside the contract, from whose types `npm run docs` makes it.
const FILE = import.meta.url.endsWith('.ts') ? '../../../contract/answers.json' : './answers.json';

/** The shape of what each call is answered with, by its name: “GET /api/courses”. Pictures, files and streams are left out. */
export const ANSWERS = JSON.parse(readFileSync(new URL(FILE, import.meta.url), 'utf8')) as Record<
  string,
  AnswerSchema
>;
