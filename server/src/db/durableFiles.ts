import { fsyncSync } from 'node:fs';
import { NodeFS } from '@electric-sql/pglite/nodefs';
import { PGlite, type PGliteOptions } from '@electric-sql/pglite';

/** What the emscripten module of PGlite shows of an open file. */
interface OpenFile {
  nfd?: number;
  path?: string;
}
interface Emscripten {
  NODEFS: { stream_ops: { fsync?(file: OpenFile): number } };
}

/** WASI's number for a fault of the disk. */
const EIO = 29;

/**
 * A folder whose files are on the disk when PostgreSQL asks for it. PGlite's own file system takes that question and does nothing, and
 * PGlite starts PostgreSQL so that it does not ask: a power cut then loses what was acknowledged, and may tear the store.
 */
class DurableFiles extends NodeFS {
  private readonly synced: ((path: string) => void) | undefined;

  constructor(folder: string, synced?: (path: string) => void) {
    super(folder);
    this.synced = synced;
  }

  override async init(...given: Parameters<NodeFS['init']>) {
    const { emscriptenOpts } = await super.init(...given);
    const teach = (module: unknown) => {
      (module as Emscripten).NODEFS.stream_ops.fsync = (file) => this.sync(file);
    };
    const before = (emscriptenOpts.preRun ?? []) as ((module: unknown) => void)[];
    return { emscriptenOpts: { ...emscriptenOpts, preRun: [...before, teach] } as typeof emscriptenOpts };
  }

  private sync({ nfd, path }: OpenFile): number {
    try {
      if (nfd !== undefined) fsyncSync(nfd);
    } catch {
      return EIO;
    }
    this.synced?.(path ?? '');
    return 0;
  }
}

/**
 * Options with which PGlite keeps a folder as a PostgreSQL server would: what is committed is on the disk itself.
 *
 * @param synced called with PostgreSQL's path of each file that was brought to the disk, for tests of power cuts
 * @example
 * const pglite = await PGlite.create(durable('data/store'));
 */
export const durable = (folder: string, synced?: (path: string) => void): PGliteOptions => ({
  fs: new DurableFiles(folder, synced),
  // -F would keep PostgreSQL from asking; of its two ways to ask, PGlite hears the plain one.
  startParams: [...PGlite.defaultStartParams.filter((word) => word !== '-F'), '-c', 'wal_sync_method=fsync'],
});
