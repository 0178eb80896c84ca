export function installNginx(): string;

/** Where a Chromium is; undefined where there is none. */
export function findChromium(): string | undefined;

/** Is there a build of server and pages that is newer than every source file? */
export function builtAfterSources(): boolean;
