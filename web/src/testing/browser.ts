import 'fake-indexeddb/auto';
import { Blob, File } from 'node:buffer';
import { leaveAll } from './page.tsx';

// What browsers have and jsdom leaves out.
Object.assign(globalThis, { Blob, File });
AbortSignal.timeout ??= () => new AbortController().signal;
globalThis.matchMedia = (media) =>
  ({
    media,
    matches: false,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
    addListener: () => undefined,
    removeListener: () => undefined,
  }) as unknown as MediaQueryList;
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};

// Files share their modules, not their hooks: this one runs with each file.
afterEach(leaveAll);
