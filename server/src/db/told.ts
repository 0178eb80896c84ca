import { EventEmitter } from 'node:events';
import type { Channel, Db } from './db.ts';

/** Messages within one process. `hear` and `tell` of a store that has one owner, and what hands on what a server sends. */
export function messages(): Pick<Db, 'hear'> & {
  pass(channel: Channel, about?: string): void;
  /** To all who hear anything: something may have been missed. */
  missed(): void;
} {
  const listeners = new EventEmitter().setMaxListeners(0);
  return {
    pass: (channel, about) => void listeners.emit(channel, about),
    missed: () => listeners.eventNames().forEach((channel) => listeners.emit(channel)),
    hear: (channel, listener) => {
      listeners.on(channel, listener);
      return () => listeners.off(channel, listener);
    },
  };
}
