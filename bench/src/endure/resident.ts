import { readFileSync } from 'node:fs';

/** Megabytes of memory that a process has, where the system tells. */
export function residentOf(pid: number): number {
  try {
    const [, kilobytes] = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8')) ?? [];
    return Number(kilobytes ?? 0) / 1024;
  } catch {
    return 0;
  }
}
