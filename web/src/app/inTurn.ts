/** Milliseconds of work before the page gets its turn again. */
const SLICE = 8;

const waiting: (() => void)[] = [];
let running = false;

function work(): void {
  const start = performance.now();
  try {
    while (waiting.length > 0 && performance.now() - start < SLICE) waiting.shift()!();
  } finally {
    // A piece that fails holds up none of the others.
    running = waiting.length > 0;
    if (running) setTimeout(work);
  }
}

/**
 * Does small pieces of work one after the other, so that many of them never block the page.
 *
 * @returns takes the piece back, if its turn has not come
 * @example
 * useEffect(() => inTurn(() => setDrawn(draw())), []);
 */
export function inTurn(job: () => void): () => void {
  waiting.push(job);
  if (!running) {
    running = true;
    setTimeout(work);
  }
  return () => {
    const at = waiting.indexOf(job);
    if (at >= 0) waiting.splice(at, 1);
  };
}
