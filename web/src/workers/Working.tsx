import { messageOf } from '../app/api.ts';

/** What a long computation shows while it runs: how far it is, and a way to stop it. */
export function Working({
  work,
  what,
}: {
  work: { working: boolean; share: number; error: unknown; result: unknown; stop(): void; again(): void };
  what: string;
}) {
  if (work.working)
    return (
      <p className="working" role="status">
        <progress value={work.share} max={1} aria-label={what} /> {what}{' '}
        <button className="link" onClick={work.stop}>
          Stop
        </button>
      </p>
    );
  if (work.result !== undefined) return null;
  return (
    <p className="working" role="status">
      {work.error ? messageOf(work.error) : 'Stopped.'}{' '}
      <button className="link" onClick={work.again}>
        Work it out
      </button>
    </p>
  );
}
