import { createServer } from 'node:net';

/** Below the ports that the system gives to connections and to whoever asks for any: nobody takes one of these in between. */
const [FIRST, LAST] = [20_000, 32_000];

/** A port that nothing listens on. */
export async function freePort(): Promise<number> {
  for (;;) {
    const port = FIRST + Math.floor(Math.random() * (LAST - FIRST));
    if (await isFree(port)) return port;
  }
}

const isFree = (port: number): Promise<boolean> =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, () => probe.close(() => resolve(true)));
  });
