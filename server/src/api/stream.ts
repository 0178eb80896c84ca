import type { Request, Response } from 'express';

/** Milliseconds between two signs of life. */
const SIGN_OF_LIFE = 25_000;
/** A page that watches for longer is asked again who it is. */
const LONGEST = 30 * 60_000;

/**
 * A stream of messages to a page that watches, until it is gone or may no longer.
 *
 * @param stillIn whether who asked may still hear; asked with each sign of life
 * @param begin starts telling: it is given `send`, which writes one message as JSON, and resolves with what ends it
 * @returns when nobody listens any more
 */
export async function stream(
  request: Request,
  response: Response,
  stillIn: () => Promise<boolean>,
  begin: (send: (message: unknown) => void) => Promise<() => void>,
): Promise<void> {
  response.writeHead(200, {
    'Content-Type': 'text/event-stream',
    // Neither kept nor packed on the way: each message is to arrive as it is written.
    'Cache-Control': 'no-store, no-transform',
    'X-Accel-Buffering': 'no',
  });
  const alive = setInterval(() => {
    stillIn().then(
      (still) => (still ? response.write(':\n\n') : response.end()),
      () => response.end(),
    );
  }, SIGN_OF_LIFE);
  const longest = setTimeout(() => response.end(), LONGEST);
  const gone = new Promise<void>((resolve) => {
    request.on('close', resolve);
    response.on('close', resolve);
  });
  let end: (() => void) | undefined;
  try {
    end = await begin((message) => response.write(`data: ${JSON.stringify(message)}\n\n`));
    await gone;
  } finally {
    end?.();
    clearInterval(alive);
    clearTimeout(longest);
    response.end();
  }
}
