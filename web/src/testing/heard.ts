/** A line on which the server tells as things happen, in the hand of a test. */
export class StandInLine {
  static opened: StandInLine[] = [];
  static readonly CLOSED = 2;
  readonly address: string;
  readyState = 1;
  onmessage: ((event: { data: string }) => void) | undefined;
  onerror: (() => void) | undefined;
  onopen: (() => void) | undefined;

  constructor(address: string) {
    this.address = address;
    StandInLine.opened.push(this);
  }

  say(what: unknown): void {
    this.onmessage?.({ data: typeof what === 'string' ? what : JSON.stringify(what) });
  }

  close(): void {
    this.readyState = StandInLine.CLOSED;
  }

  /** Puts itself in the place of the browser's; returns the lines that are opened from now on. */
  static install(): StandInLine[] {
    StandInLine.opened = [];
    Object.assign(globalThis, { EventSource: StandInLine });
    return StandInLine.opened;
  }
}
