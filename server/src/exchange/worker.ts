import { groundOf, work, type Answers, type Held, type Task } from './work.ts';
import type { Ground } from './plan.ts';

/** The answer where the library of a key is not here: it is asked again with the library. */
export type Lacking = 'lacking';

let kept: { key: string; ground: Ground } | undefined;

/** Runs in a thread of its own, which never opens the store and keeps the library that it was given last. */
export default function ask({
  key,
  task,
  held,
}: {
  key: string;
  task: Task;
  held?: Held;
}): Answers[Task['do']] | Lacking {
  if (held) kept = { key, ground: groundOf(held) };
  return kept?.key === key ? work(task, kept.ground) : 'lacking';
}
