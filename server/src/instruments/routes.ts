import * as instruments from '@hurrow/contract/instruments';
import type { InstrumentNews } from '@hurrow/contract/instruments';
import { STAFF } from '@hurrow/contract/endpoint';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import { stream } from '../api/stream.ts';
import { whoIs } from '../auth/sessions.ts';
import { Line } from './line.ts';

const SILENT_AFTER = 10_000;

/** One line to each instrument for as long as somebody watches; nobody is called before. */
const lines = new Map<string, { line: Line; watchers: number }>();

export const instrumentRoutes = [
  serve(instruments.live, ({ db, config, request, response }) =>
    stream(
      request,
      response,
      async () => STAFF.includes((await whoIs(db, request))?.role ?? 'student'),
      async (send) => {
        const borrowed = [borrow('receiver', config.receiver), borrow('rangeFinder', config.rangeFinder)];
        const stops = borrowed.map(({ line }) => line.watch(send));
        borrowed.forEach(({ line }) => send(line.news));
        return () => {
          stops.forEach((stop) => stop());
          borrowed.forEach(({ giveBack }) => giveBack());
        };
      },
    ),
  ),
  serve(instruments.shoot, async ({ config }) => {
    const held = lines.get(keyOf('rangeFinder', config.rangeFinder));
    if (!held?.line.ask())
      throw badInput(say`No range-finder is reached. Type what you read, or look whether it is switched on.`);
  }),
];

const keyOf = (instrument: InstrumentNews['instrument'], address: string): string =>
  `${instrument} ${address}`;

function borrow(instrument: InstrumentNews['instrument'], address: string): { line: Line; giveBack(): void } {
  const key = keyOf(instrument, address);
  const options = instrument === 'receiver' ? { silentAfter: SILENT_AFTER } : {};
  const held = lines.get(key) ?? { line: new Line(instrument, address, options), watchers: 0 };
  held.watchers += 1;
  lines.set(key, held);
  return {
    line: held.line,
    giveBack: () => {
      held.watchers -= 1;
      if (held.watchers > 0) return;
      held.line.end();
      lines.delete(key);
    },
  };
}
