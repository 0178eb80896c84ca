export function installNginx(): string;

/** Where a Chromium is; undefined where there is none. */
export function findChromium(): string | undefined;
