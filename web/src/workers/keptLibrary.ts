import type { ReadLibrary } from '@hurrow/core/library';

/** Names a library: another one with the same number, as after a copy was brought back or the list of a student has grown, has another tag. */
export interface Named {
  revision: number;
  tag: string;
}

/**
 * The library that was asked about last, read once: the next question is about it as well.
 *
 * @param fetched reads the library at a revision
 * @example
 * const kept = new KeptLibrary((revision) => call('GET /api/library', { query: { revision } }).then(readLibrary));
 * await kept.of({ revision: 7, tag: 'a' });
 */
export class KeptLibrary {
  private held: (Named & { library: Promise<ReadLibrary> }) | undefined;
  private readonly fetched: (revision: number) => Promise<ReadLibrary>;

  constructor(fetched: (revision: number) => Promise<ReadLibrary>) {
    this.fetched = fetched;
  }

  of({ revision, tag }: Named): Promise<ReadLibrary> {
    if (this.held?.revision === revision && this.held.tag === tag) return this.held.library;
    const asked = { revision, tag, library: this.fetched(revision) };
    this.held = asked;
    // What could not be fetched is asked for again.
    asked.library.catch(() => {
      if (this.held === asked) this.held = undefined;
    });
    return asked.library;
  }
}
