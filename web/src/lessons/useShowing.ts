import { useCallback, useEffect, useEffectEvent, useState } from 'react';
import type { LessonStop } from '@hurrow/core/lesson';
import { BEGIN, stepOfKey, stepped, type Shown, type Step } from './showing.ts';

/** What the two windows of a showing tell one another. */
type Told = { shown: Shown } | { where: true };

/**
 * What stands on the sheet, moved by keys and clicks, and the same in every window of this browser that shows the lesson.
 *
 * @param isShowing the window that is looked at by the class; it answers when another asks how far it is
 */
export function useShowing(lessonId: string, stops: readonly LessonStop[], isShowing: boolean) {
  const [shown, setShown] = useState<Shown>(BEGIN);
  const [channel, setChannel] = useState<BroadcastChannel>();
  const answer = useEffectEvent((told: Told, to: BroadcastChannel) => {
    if ('shown' in told) setShown(told.shown);
    else if (isShowing) to.postMessage({ shown } satisfies Told);
  });
  useEffect(() => {
    const opened = new BroadcastChannel(`showing ${lessonId}`);
    opened.onmessage = ({ data }: MessageEvent<Told>) => answer(data, opened);
    opened.postMessage({ where: true } satisfies Told);
    setChannel(opened);
    return () => opened.close();
  }, [lessonId]);
  const go = useCallback(
    (step: Step) =>
      setShown((held) => {
        const next = stepped(held, step, stops.length, (at) => stops[at]?.kind === 'call');
        channel?.postMessage({ shown: next } satisfies Told);
        return next;
      }),
    [channel, stops],
  );
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const step = stepOfKey(event.key);
      // A button that has the focus is pressed by Enter and Space.
      const onButton = event.target instanceof HTMLElement && ['BUTTON', 'A'].includes(event.target.tagName);
      if (!step || (onButton && (event.key === ' ' || event.key === 'Enter'))) return;
      event.preventDefault();
      go(step);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [go]);
  return { shown, go };
}
