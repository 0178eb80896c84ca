import { MessageChannel } from 'node:worker_threads';
import { inThread } from '../thread.ts';
import type { ClassReport, Progress } from '@hurrow/contract/confusions';
import type { ClassInput } from './classReport.ts';
import type { Task } from './worker.ts';

interface Running extends Progress {
  stop: AbortController;
  done: Promise<ClassReport>;
}

/** What is being computed in this process, by key. Another process computes for itself; the first to finish is kept. */
const running = new Map<string, Running>();

/** How far the computation of a key is; undefined where none is under way. */
export const progressOf = (key: string): Progress | undefined => {
  const held = running.get(key);
  return held && { share: held.share, doing: held.doing };
};

/** Stops the computation of a key, if one is under way. */
export const stopComputing = (key: string): void => running.get(key)?.stop.abort();

/** Computes a report in a thread, once for each key at a time. Rejects when it is stopped. */
export function computeReport(key: string, input: ClassInput): Promise<ClassReport> {
  const held = running.get(key);
  if (held) return held.done;
  const { port1, port2 } = new MessageChannel();
  const stop = new AbortController();
  const task: Task = { input, progress: port2 };
  const entry: Running = {
    share: 0,
    doing: 'waiting for its turn',
    stop,
    done: inThread<ClassReport>('confusionWorker', task, {
      signal: stop.signal,
      transferList: [port2],
    }).finally(() => {
      port1.close();
      running.delete(key);
    }),
  };
  port1.on('message', ({ share, doing }: Progress) => Object.assign(entry, { share, doing }));
  running.set(key, entry);
  return entry.done;
}
