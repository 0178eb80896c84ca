import { proxy, releaseProxy, wrap, type Remote } from 'comlink';

/** What a worker must be able to do; a real one is. */
type Ended = Worker | (MessagePort & { terminate(): void });

interface Hired<Work> {
  worker: Ended;
  work: Remote<Work>;
}

/** Workers that wait for the next question, at most: each keeps the library that it was asked about. */
const WAITING = 2;

/**
 * Workers for long computations. One that has answered keeps what it has read and is asked again; one that is no longer waited for, or has
 * failed, is ended, since nothing else stops a computation.
 *
 * @example
 * const pool = new WorkerPool<Work>(() => new Worker(url, { type: 'module' }));
 * await pool.run((work, progress) => work.key(asked, progress), signal, setShare);
 */
export class WorkerPool<Work> {
  private readonly waiting: Hired<Work>[] = [];
  private readonly start: () => Ended;

  constructor(start: () => Ended) {
    this.start = start;
  }

  /**
   * Runs one call. Rejects when the signal is given, or when the worker fails.
   *
   * @param progress told the share done, 0 to 1
   */
  async run<T>(
    call: (work: Remote<Work>, progress: (share: number) => void) => Promise<T>,
    signal?: AbortSignal,
    progress: (share: number) => void = () => undefined,
  ): Promise<T> {
    const hired = this.waiting.pop() ?? this.hire();
    const over = new AbortController();
    try {
      const result = await Promise.race([
        call(hired.work, proxy(progress)),
        new Promise<never>((_, refuse) => {
          const stop = () => refuse(new Error('Stopped.'));
          if (signal?.aborted) stop();
          signal?.addEventListener('abort', stop, { signal: over.signal });
          hired.worker.addEventListener(
            'error',
            () => refuse(new Error('The computation could not be finished. Reload the page and try again.')),
            { signal: over.signal },
          );
        }),
      ]);
      if (this.waiting.length < WAITING) this.waiting.push(hired);
      else end(hired);
      return result;
    } catch (error) {
      end(hired);
      throw error;
    } finally {
      over.abort();
    }
  }

  private hire(): Hired<Work> {
    const worker = this.start();
    return { worker, work: wrap<Work>(worker) };
  }
}

function end<Work>({ worker, work }: Hired<Work>): void {
  work[releaseProxy]();
  worker.terminate();
}
