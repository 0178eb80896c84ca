import type { LessonStop } from '@hurrow/core/lesson';
import { inTongue } from '../language/inTongue.ts';

/** How far a lesson has been shown. */
export interface Shown {
  /** The point on the sheet, by its place. */
  at: number;
  /** With “ask first”: whether its line stands there yet. */
  told: boolean;
  /** Whether the question is asked before the line is shown. */
  asking: boolean;
  /** Nothing is to be seen for a moment: eyes to the front. */
  blank: boolean;
}

export const BEGIN: Shown = { at: 0, told: true, asking: false, blank: false };

export type Step = 'on' | 'back' | 'blank' | 'ask' | 'first' | 'last' | { to: number };

/**
 * What stands on the sheet after a step. A step in the blank only brings the sheet back.
 *
 * @param isAsked whether a point, by its place, is asked before it is told whatever was chosen
 */
export function stepped(
  shown: Shown,
  step: Step,
  points: number,
  isAsked: (at: number) => boolean = () => false,
): Shown {
  if (shown.blank && step !== 'blank' && typeof step === 'string') return { ...shown, blank: false };
  const last = Math.max(0, points - 1);
  const goTo = (wanted: number): Shown => {
    const at = Math.min(last, Math.max(0, wanted));
    return { ...shown, at, told: !shown.asking && !isAsked(at), blank: false };
  };
  switch (step) {
    case 'on':
      return shown.told ? (shown.at < last ? goTo(shown.at + 1) : shown) : { ...shown, told: true };
    case 'back':
      return { ...goTo(shown.at - 1), told: true };
    case 'blank':
      return { ...shown, blank: !shown.blank };
    case 'ask':
      return { ...shown, asking: !shown.asking, told: shown.asking };
    case 'first':
      return goTo(0);
    case 'last':
      return goTo(last);
    default:
      return goTo(step.to);
  }
}

/** What a key, or a clicker, does. Clickers send Page Up and Page Down, a point key, or the arrows. */
const KEYS: Record<string, Step> = {
  ArrowRight: 'on',
  ArrowDown: 'on',
  PageDown: 'on',
  ' ': 'on',
  Enter: 'on',
  ArrowLeft: 'back',
  ArrowUp: 'back',
  PageUp: 'back',
  Backspace: 'back',
  b: 'blank',
  '.': 'blank',
  a: 'ask',
  Home: 'first',
  End: 'last',
};

export const stepOfKey = (key: string): Step | undefined => KEYS[key];

/** The title of a point in the language that is spoken; that of a slide of one's own stands as it was written. */
export const titleSaid = ({ kind, title }: Pick<LessonStop, 'kind' | 'title'>, say = inTongue): string =>
  kind === 'own' ? title : say(title);

/** Points as they are shown: hidden ones are left out. */
export const shownOf = (stops: readonly LessonStop[]): LessonStop[] => stops.filter(({ hidden }) => !hidden);

/** “4:07”, of seconds. */
export const clock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
