import { entryOf, SHELF, SHELL, shelved } from './shelf.ts';

/** Milliseconds after which the parts that come last are loaded too. */
const SETTLED = 1500;

/**
 * Lets the student's pages work without a signal: the worker that answers for the network, the page, and every part of it that was loaded.
 * Browsers give neither over plain http but on this machine itself; there answers are kept all the same while the page stays open.
 */
export async function install(): Promise<void> {
  const keeps = 'serviceWorker' in navigator && 'caches' in window;
  if (keeps) {
    await navigator.serviceWorker.register('/worker.js');
    await navigator.serviceWorker.ready;
  }
  // Also where nothing can be kept: what comes after this must not hold up what is looked at.
  await new Promise((resolve) => setTimeout(resolve, SETTLED));
  if (!keeps) return;
  const shelf = await caches.open(SHELF);
  const page = await fetch(SHELL);
  const before = entryOf((await (await shelf.match(SHELL))?.text()) ?? '');
  const isNew = before !== entryOf(await page.clone().text());
  const loaded = [...performance.getEntriesByType('resource'), ...linked()].map(({ name }) => name);
  const { keep, drop } = shelved(
    loaded,
    (await shelf.keys()).map(({ url }) => url),
  );
  // First what is new, then the page that needs it, and only then goes what an older page needed.
  await shelf.addAll(keep);
  await shelf.put(SHELL, page);
  if (isNew) for (const address of drop) await shelf.delete(address);
}

const linked = (): { name: string }[] =>
  [
    ...document.querySelectorAll<HTMLLinkElement>(
      'link[rel=stylesheet], link[rel=modulepreload], link[rel=icon]',
    ),
  ].map(({ href }) => ({ name: href }));
