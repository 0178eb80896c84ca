import { metresBetween } from '../grounds/index.ts';
import { fixOf, type Fix } from './fix.ts';
import { LONGEST, readSentence } from './sentence.ts';
import { shotOf, type Shot } from './shot.ts';

/** What comes of listening to an instrument. */
export type Heard =
  | { heard: 'fix'; fix: Fix }
  | { heard: 'shot'; shot: Shot }
  /** Something came that is not taken, with why. */
  | { heard: 'nothing'; why: string };

/** Faster than this nobody walks or drives over grounds, metres a second. */
const FASTEST = 30;
/** A place that is far off is believed once so many fixes agree on it: then the ones before were wrong, or it was carried there. */
const AGREEING = 5;
/** Seconds in which shots that say the same are one, sent twice. */
const TWICE = 0.3;

/**
 * Listens to an instrument that speaks NMEA 0183, however its sentences are cut up on the way: holds back what is not complete, leaves out
 * what is garbled, and does not believe a position that jumps until several agree.
 *
 * @example
 * const listener = new Listener();
 * listener.take('$YXXDR,D,21.4', 0); // []
 * listener.take('0,M,SLOPE,A,38.2,D,INCL*5B\r\n', 0); // [{ heard: 'shot', shot: { distance: 21.4, angle: 38.2, … } }]
 */
export class Listener {
  #rest = '';
  #overlong = false;
  #last: { fix: Fix; at: number } | undefined;
  #elsewhere: Fix[] = [];
  #shot: { shot: Shot; at: number } | undefined;

  /** Takes what has come, at a time in seconds, and says what it is; sentences that are not complete wait for their rest. */
  take(chunk: string, at: number): Heard[] {
    const lines = (this.#rest + chunk).split(/\r\n|\n|\r/);
    this.#rest = lines.pop() ?? '';
    const whole = this.#overlong ? lines.slice(1) : lines;
    if (lines.length > 0) this.#overlong = false;
    const heard = whole.filter((line) => line !== '').flatMap((line) => this.#said(line, at) ?? []);
    if (this.#rest.length <= LONGEST) return heard;
    // Noise without a line end must not be kept for ever.
    this.#rest = '';
    this.#overlong = true;
    return [...heard, { heard: 'nothing', why: 'A sentence without an end came, and was left out.' }];
  }

  /** The line was cut: what was not complete is not mixed with what comes next. */
  cut(): void {
    this.#rest = '';
    this.#overlong = false;
  }

  #said(line: string, at: number): Heard | undefined {
    const sentence = readSentence(line);
    if (!sentence.ok) return { heard: 'nothing', why: sentence.problem };
    if (sentence.value.kind === 'GGA') return this.#placed(fixOf(sentence.value), at);
    if (sentence.value.kind !== 'XDR') return undefined;
    const shot = shotOf(sentence.value);
    if (!shot) return { heard: 'nothing', why: 'A shot came without a distance or an angle. Shoot again.' };
    const before = this.#shot;
    this.#shot = { shot, at };
    const isSame = before && at - before.at < TWICE && JSON.stringify(before.shot) === JSON.stringify(shot);
    return isSame ? undefined : { heard: 'shot', shot };
  }

  #placed(fix: Fix | undefined, at: number): Heard {
    if (!fix)
      return { heard: 'nothing', why: 'The receiver does not know where it is yet. Wait under open sky.' };
    const last = this.#last;
    const moved = last ? metresBetween(last.fix, fix) : 0;
    const reach = last ? FASTEST * Math.max(1, at - last.at) + 3 * (last.fix.error + fix.error) : Infinity;
    if (moved > reach) {
      const agree = this.#elsewhere.every((each) => metresBetween(each, fix) < 3 * (each.error + fix.error));
      this.#elsewhere = agree ? [...this.#elsewhere, fix] : [fix];
      if (this.#elsewhere.length < AGREEING)
        return { heard: 'nothing', why: `The position jumped by ${Math.round(moved)} m, and was left out.` };
    }
    this.#elsewhere = [];
    this.#last = { fix, at };
    return { heard: 'fix', fix };
  }
}
