/** A PostgreSQL server of its own, on this machine alone. */
export interface StartedPostgres {
  folder: string;
  url: string;
  start(): void;
  crash(): void;
  stop(): void;
}
export function findPostgres(): string | undefined;
export function installPostgres(): string;
export function startPostgres(settings?: readonly string[]): Promise<StartedPostgres>;
