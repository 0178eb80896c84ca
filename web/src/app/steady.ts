/**
 * Nothing moves under a pointer that is down: what would change the page meanwhile (an answer of the server, say) waits until the
 * pointer is up and its click is done.
 *
 * @example
 * const steady = holdWhilePressed(window);
 * steady(() => show(answer)); // at once, or when the button has come up
 */
export function holdWhilePressed(target: EventTarget): (run: () => void) => void {
  let down = false;
  const waiting: (() => void)[] = [];
  const release = () => {
    down = false;
    // The click comes after the pointer is up; what waits runs behind it.
    setTimeout(() => {
      if (!down) for (const run of waiting.splice(0)) run();
    }, 0);
  };
  target.addEventListener('pointerdown', () => (down = true), true);
  for (const end of ['pointerup', 'pointercancel', 'blur']) target.addEventListener(end, release, true);
  return (run) => {
    if (down) waiting.push(run);
    else setTimeout(run, 0);
  };
}
