import { messageOf } from './api.ts';

/** What a saving shows while it runs and after it. */
export interface SavingState {
  saving: boolean;
  /** What went wrong, for people; undefined while nothing has. */
  problem: string | undefined;
}

/** What belongs to one save beside the call itself. */
export interface Saved<T> {
  /** After the call, before what rests on it is asked for again: notices, drafts that are settled, other pages. */
  done?(result: T): unknown;
  /** Takes an error on itself: where it says true, it is no problem to show. */
  refused?(error: unknown): boolean;
  /** What rests on it, by the first words of its keys. */
  stale?: readonly (readonly unknown[])[];
}

/**
 * Saves one thing at a time: a second press while one is under way does nothing, an error is kept for showing where it happened, and what
 * rests on the change is asked for again.
 *
 * @example
 * const saving = new Saving(setState, (key) => queries.invalidateQueries({ queryKey: key }));
 * await saving.run(() => call('PUT /api/…', …), { stale: [['course', id]] });
 */
export class Saving {
  private state: SavingState = { saving: false, problem: undefined };
  private readonly show: (state: SavingState) => void;
  private readonly ask: (key: readonly unknown[]) => Promise<unknown>;

  constructor(
    show: (state: SavingState) => void,
    /** Asks again for what has a key. */
    ask: (key: readonly unknown[]) => Promise<unknown>,
  ) {
    this.show = show;
    this.ask = ask;
  }

  /** Resolves with what was answered; undefined where it failed or another save is under way. */
  run = async <T>(
    work: () => Promise<T>,
    { done, refused, stale = [] }: Saved<T> = {},
  ): Promise<T | undefined> => {
    if (this.state.saving) return undefined;
    this.tell({ saving: true, problem: undefined });
    try {
      const result = await work();
      await done?.(result);
      await Promise.all(stale.map((key) => this.ask(key)));
      this.tell({ saving: false, problem: undefined });
      return result;
    } catch (error) {
      this.tell({ saving: false, problem: refused?.(error) ? undefined : messageOf(error) });
      return undefined;
    }
  };

  /** Says a problem that was found before anything was sent, or takes it back. */
  say = (problem: string | undefined): void => this.tell({ ...this.state, problem });

  private tell(state: SavingState): void {
    this.state = state;
    this.show(state);
  }
}
