import type { Answer, Call } from '@hurrow/contract/api';
import type { ProblemCode } from '@hurrow/contract/problem';

/** What was asked of the server: the call, what its address named, and what was sent. */
export interface Asked {
  call: Call;
  params: Record<string, string>;
  query: URLSearchParams;
  body: unknown;
}

/** An answer, or what works it out from what was asked; `refusal` makes the server say no. */
export type Answers = { [C in Call]?: Answer<C> | Refusal | ((asked: Asked) => Answer<C> | Refusal) };

class Refusal {
  readonly problem: { code: ProblemCode; message: string };
  constructor(code: ProblemCode, message: string) {
    this.problem = { code, message };
  }
}

export const refusal = (code: ProblemCode, message: string): Refusal => new Refusal(code, message);

/**
 * A server that stands in for the real one: it answers each call as it is told, keeps what it was asked, and can be cut off. What it was
 * not told to answer fails the test by name.
 *
 * @example
 * const server = standIn({ 'GET /api/courses': [] });
 * // … the page asks …
 * server.asked.map(({ call }) => call); // ['GET /api/courses']
 */
export function standIn(answers: Answers) {
  const asked: Asked[] = [];
  const state = { reached: true };
  const find = (method: string, path: string) => {
    for (const name of Object.keys(answers) as Call[]) {
      const [verb, template] = name.split(' ') as [string, string];
      const names: string[] = [];
      const pattern = template.replace(/\{(\w+)\}/g, (_all, part: string) => {
        names.push(part);
        return '([^/]+)';
      });
      const found = verb === method ? new RegExp(`^${pattern}$`).exec(path) : null;
      if (found)
        return {
          name,
          params: Object.fromEntries(names.map((part, i) => [part, decodeURIComponent(found[i + 1]!)])),
        };
    }
    throw new Error(`The test says nothing of ${method} ${path}`);
  };
  globalThis.fetch = async (address, { method = 'GET', body } = {}) => {
    if (!state.reached) throw new TypeError('Failed to fetch');
    const { pathname, searchParams } = new URL(address as string, 'http://localhost');
    const { name, params } = find(method.toUpperCase(), pathname);
    const sent: Asked = {
      call: name,
      params,
      query: searchParams,
      body: typeof body === 'string' ? (JSON.parse(body) as unknown) : body,
    };
    asked.push(sent);
    const told = answers[name];
    const answer: unknown = typeof told === 'function' ? told(sent) : told;
    return answer instanceof Refusal ? Response.json(answer.problem, { status: 409 }) : Response.json(answer);
  };
  return {
    asked,
    /** What was sent with each of a call, in order. */
    sent: (name: Call) => asked.filter(({ call }) => call === name).map(({ body }) => body),
    /** From now on a call is answered so. */
    answer: <C extends Call>(name: C, answer: NonNullable<Answers[C]>) => {
      answers[name] = answer as Answers[C];
    },
    /** With `false` there is no signal. */
    reach: (reached: boolean) => {
      state.reached = reached;
    },
  };
}
