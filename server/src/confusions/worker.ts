import type { MessagePort } from 'node:worker_threads';
import type { ClassReport } from '@hurrow/contract/confusions';
import { classReport, type ClassInput } from './classReport.ts';

export interface Task {
  input: ClassInput;
  /** Told the share done and what is being done. */
  progress: MessagePort;
}

/** Runs in a thread of its own, which never opens the store. */
export default function compute({ input, progress }: Task): ClassReport {
  return classReport(input, (share, doing, first) =>
    progress.postMessage({ share, doing, ...(first ? { first } : {}) }),
  );
}
