import { TestEnvironment } from 'jest-environment-jsdom';

/** A browser's page for the tests of the web, with what browsers have and jsdom leaves out. */
export default class DomEnvironment extends TestEnvironment {
  constructor(config, context) {
    super(config, context);
    for (const name of [
      'Response',
      'Headers',
      'Blob',
      'File',
      'structuredClone',
      'TextEncoder',
      'TextDecoder',
      'BroadcastChannel',
    ])
      this.global[name] = globalThis[name];
    this.global.AbortSignal.timeout ??= () => new this.global.AbortController().signal;
    this.global.matchMedia = (media) => ({
      media,
      matches: false,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
      addListener: () => undefined,
      removeListener: () => undefined,
    });
    this.global.ResizeObserver ??= class {
      observe() {}
      unobserve() {}
      disconnect() {}
    };
  }

  exportConditions() {
    return ['node', 'node-addons'];
  }
}
