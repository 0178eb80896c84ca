/** A PostgreSQL server of its own, on this machine alone. */
export interface StartedPostgres {
  folder: string;
  /** Where its programs lie. */
  bin: string;
  url: string;
  place(name: string): string;
  give(path: string): void;
  start(at?: string): void;
  crash(at?: string): void;
  stop(at?: string): void;
}
export function findPostgres(): string | undefined;
export function installPostgres(): string;
export function startPostgres(settings?: readonly string[]): Promise<StartedPostgres>;
