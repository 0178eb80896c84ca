import { connect, type Socket } from 'node:net';
import type { InstrumentNews } from '@hurrow/contract/instruments';
import { Listener, written, type Heard } from '@hurrow/core/nmea';

export interface LineOptions {
  /** Milliseconds without a word after which a receiver is said to be silent; a range-finder speaks only when it shoots. */
  silentAfter?: number | undefined;
  /** Milliseconds before it is called again; doubled at each failure, up to sixteen times. */
  againAfter?: number;
}

const AGAIN_AFTER = 1000;
const MOST_DOUBLED = 4;
const QUERY = written('CCYXQ', ['XDR']);

/**
 * The line to an instrument that speaks NMEA 0183 over TCP: called until it answers, called again when it is cut off, and never believed
 * where it comes garbled. What was heard before is not heard again.
 */
export class Line {
  readonly #instrument: InstrumentNews['instrument'];
  readonly #address: string;
  readonly #options: LineOptions;
  readonly #listener = new Listener();
  readonly #watchers = new Set<(news: InstrumentNews) => void>();
  #socket: Socket | undefined;
  #again: NodeJS.Timeout | undefined;
  #silence: NodeJS.Timeout | undefined;
  #failures = 0;
  #ended = false;
  #news: InstrumentNews;

  /** @param address as `127.0.0.1:4681`; empty where no such instrument is set up */
  constructor(instrument: InstrumentNews['instrument'], address: string, options: LineOptions = {}) {
    this.#instrument = instrument;
    this.#address = address;
    this.#options = options;
    this.#news = { instrument, line: address ? 'calling' : 'none', address, trouble: '', count: 0 };
    if (address) this.#call();
  }

  get news(): InstrumentNews {
    return this.#news;
  }

  /** Hears what comes from now on, until the function that is returned is called. */
  watch(watcher: (news: InstrumentNews) => void): () => void {
    this.#watchers.add(watcher);
    return () => this.#watchers.delete(watcher);
  }

  /** Asks for a shot by the standard's query; an instrument that takes none is shot by its own trigger. Says whether the line stands. */
  ask(): boolean {
    if (this.#news.line !== 'speaking') return false;
    return this.#socket!.write(`${QUERY}\r\n`);
  }

  end(): void {
    this.#ended = true;
    clearTimeout(this.#again);
    clearTimeout(this.#silence);
    this.#socket?.destroy();
    this.#watchers.clear();
  }

  #call(): void {
    const [host = '', port = ''] = splitAddress(this.#address);
    const socket = connect({ host, port: Number(port) });
    this.#socket = socket;
    // What is no text is garbled, and found out by its checksum.
    socket.setEncoding('latin1');
    socket.on('connect', () => {
      this.#failures = 0;
      this.#tell({ line: 'speaking', trouble: '' });
      this.#listenForSilence();
    });
    socket.on('data', (chunk) => {
      this.#listenForSilence();
      if (this.#news.line !== 'speaking') this.#tell({ line: 'speaking' });
      for (const heard of this.#listener.take(String(chunk), Date.now() / 1000)) this.#hear(heard);
    });
    socket.on('error', () => undefined);
    socket.on('close', () => this.#lost());
  }

  #lost(): void {
    this.#listener.cut();
    clearTimeout(this.#silence);
    if (this.#ended) return;
    this.#tell({
      line: 'calling',
      trouble: `The ${TITLES[this.#instrument]} at ${this.#address} is not reached. It is tried again.`,
    });
    const wait = (this.#options.againAfter ?? AGAIN_AFTER) * 2 ** Math.min(this.#failures, MOST_DOUBLED);
    this.#failures += 1;
    this.#again = setTimeout(() => this.#call(), wait);
    this.#again.unref();
  }

  #listenForSilence(): void {
    clearTimeout(this.#silence);
    const { silentAfter } = this.#options;
    if (!silentAfter) return;
    this.#silence = setTimeout(
      () =>
        this.#tell({
          line: 'silent',
          trouble: `The ${TITLES[this.#instrument]} has said nothing for ${Math.round(silentAfter / 1000)} seconds.`,
        }),
      silentAfter,
    );
    this.#silence.unref();
  }

  #hear(heard: Heard): void {
    if (heard.heard === 'nothing') return this.#tell({ trouble: heard.why });
    const count = this.#news.count + 1;
    this.#tell(
      heard.heard === 'fix'
        ? { trouble: '', count, fix: heard.fix }
        : { trouble: '', count, shot: heard.shot },
    );
  }

  #tell(change: Partial<InstrumentNews>): void {
    this.#news = { ...this.#news, ...change };
    for (const watcher of this.#watchers) watcher(this.#news);
  }
}

const TITLES = { receiver: 'receiver', rangeFinder: 'range-finder' };

/** Host and port of an address; the host of an IPv6 address stands in brackets. */
export const splitAddress = (address: string): [host: string, port: string] | [] => {
  const found = /^(?:\[([0-9a-f:]+)\]|([^\s:]+)):(\d{1,5})$/i.exec(address);
  return found && Number(found[3]) > 0 && Number(found[3]) < 65_536 ? [found[1] ?? found[2]!, found[3]!] : [];
};
