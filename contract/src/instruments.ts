import type { Fix, Shot } from '@hurrow/core/nmea';
import { endpoint, STAFF, type Done, type Sent } from './endpoint.ts';

/** How an instrument stands: not set up, being reached, speaking, or silent though reached. */
export type LineState = 'none' | 'calling' | 'speaking' | 'silent';

/** What an instrument has said lately. */
export interface InstrumentNews {
  instrument: 'receiver' | 'rangeFinder';
  line: LineState;
  /** Where it is reached, such as 127.0.0.1:4681; empty where none is set up. */
  address: string;
  /** Why the last thing that came was not taken; empty where all was well. */
  trouble: string;
  fix?: Fix;
  shot?: Shot;
  /** Counts shots and fixes, so that the same one is not taken twice. */
  count: number;
}

export const live = endpoint<{ answer: Sent }>()({
  method: 'get',
  path: '/api/instruments/live',
  summary:
    'What the receiver and the range-finder say, as it comes: a stream of messages, each an `InstrumentNews`, all of them at first.',
  allow: STAFF,
  answers: 'text/event-stream',
});

export const shoot = endpoint<{ answer: Done }>()({
  method: 'post',
  path: '/api/instruments/shot',
  summary: 'Asks the range-finder for a shot; it comes with what is told live.',
  allow: STAFF,
});
