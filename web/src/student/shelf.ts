/** Where the page and its parts lie that work without a signal. */
export const SHELF = 'hurrow-pages';
/** The one page that all addresses of a student show. */
export const SHELL = '/';

/** Is an address one of the pages, rather than of the API or a file? */
export const isPage = (mode: string, path: string): boolean =>
  mode === 'navigate' && !path.startsWith('/api/') && !/\.\w+$/.test(path);

/** Parts of the page under names that change with what is in them. */
export const isPart = (path: string): boolean => path.startsWith('/assets/') || path === '/mark.svg';

/**
 * The parts that the page has loaded, to be kept; and those on the shelf that it no longer needs.
 *
 * @param loaded addresses of everything that was loaded
 * @param held addresses that lie on the shelf
 * @example
 * shelved(['https://a.example/assets/b.js', 'https://a.example/api/sit'], ['https://a.example/assets/old.js']);
 * // { keep: ['https://a.example/assets/b.js'], drop: ['https://a.example/assets/old.js'] }
 */
export function shelved(
  loaded: readonly string[],
  held: readonly string[],
): { keep: string[]; drop: string[] } {
  const wanted = new Set(loaded.filter((address) => isPart(new URL(address).pathname)));
  return {
    keep: [...wanted].filter((address) => !held.includes(address)),
    drop: held.filter((address) => isPart(new URL(address).pathname) && !wanted.has(address)),
  };
}

/**
 * The script that a page begins with: another one, another version of the page.
 *
 * @example
 * entryOf('<script type="module" src="/assets/index-Bq2.js"></script>'); // '/assets/index-Bq2.js'
 */
export const entryOf = (html: string): string => /<script[^>]+src="([^"]+)"/.exec(html)?.[1] ?? '';
