import type { ProfiledTaxon } from '@hurrow/core/evidence';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { wrap } from 'comlink';
import { Pictures, type Picture, type TreeSetting } from './pictures.ts';

/** Somebody who draws: the same as `Pictures`, at once or later. */
export type Draws = {
  [Name in keyof Pictures]: (
    ...asked: Parameters<Pictures[Name]>
  ) => ReturnType<Pictures[Name]> | Promise<Awaited<ReturnType<Pictures[Name]>>>;
};

const BROKEN = Symbol('no worker');

/**
 * Draws beside the page, so that no picture holds it up; on the page itself where no worker is to be had, as on a phone without a signal that
 * has not drawn before.
 *
 * @example
 * const beside = new DrawnBeside((broken) => workerThatCalls(broken));
 * await beside.specimen(traits, ['bud'], { width: 300, height: 200 }, 'Specimen 1'); // '<svg …'
 */
export class DrawnBeside {
  private worker: Draws | undefined;
  private vocabulary: Vocabulary | undefined;
  private readonly onPage = new Pictures();
  private readonly broken: Promise<typeof BROKEN>;

  /** @param hire starts the worker; it calls what it is given when the worker cannot work */
  constructor(hire: (broken: () => void) => Draws) {
    this.broken = new Promise((resolve) => {
      this.worker = hire(() => {
        this.worker = undefined;
        resolve(BROKEN);
      });
    });
  }

  /** @see Pictures.tree */
  tree(
    vocabulary: Vocabulary,
    profiled: ProfiledTaxon,
    setting: TreeSetting,
    title: string,
  ): Promise<Picture | undefined> {
    // Sent once, not with every tree: it is by far the largest part of what a picture needs.
    if (this.vocabulary !== vocabulary) {
      this.vocabulary = vocabulary;
      this.onPage.read(vocabulary);
      void this.worker?.read(vocabulary);
    }
    return this.ask<Picture>((by) => by.tree(profiled, setting, title));
  }

  /** @see Pictures.specimen */
  specimen(...asked: Parameters<Pictures['specimen']>): Promise<string | undefined> {
    return this.ask<string>((by) => by.specimen(...asked));
  }

  private async ask<P extends Picture>(
    draw: (by: Draws) => P | undefined | Promise<P | undefined>,
  ): Promise<P | undefined> {
    if (!this.worker) return draw(this.onPage);
    const answer = await Promise.race([draw(this.worker), this.broken]);
    return answer === BROKEN ? draw(this.onPage) : answer;
  }
}

let held: DrawnBeside | undefined;

/** The one of this page. */
export const beside = (): DrawnBeside =>
  (held ??= new DrawnBeside((broken) => {
    const worker = new Worker(new URL('./pictures.worker.ts', import.meta.url), { type: 'module' });
    worker.addEventListener('error', broken);
    return wrap<Pictures>(worker) as unknown as Draws;
  }));
