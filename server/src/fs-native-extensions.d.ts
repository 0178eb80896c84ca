declare module 'fs-native-extensions' {
  /** Asks for the lock of a file; false where another holds it. Given back when the handle is closed or the process ends. */
  export function tryLock(handle: number): boolean;
  export function unlock(handle: number): void;
}
