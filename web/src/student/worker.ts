/// <reference lib="webworker" />
import { isPage, isPart, SHELF, SHELL } from './shelf.ts';

declare const self: ServiceWorkerGlobalScope;

/** Milliseconds after which the page that is on the phone is shown, though the network may still answer. */
const PATIENCE = 4000;

self.addEventListener('install', () => void self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (isPage(request.mode, url.pathname)) event.respondWith(page(request));
  else if (isPart(url.pathname)) event.respondWith(part(request));
});

/** The page as the server has it now, else as it was taken along. What is not taken along is asked of the network alone. */
async function page(request: Request): Promise<Response> {
  const held = await (await caches.open(SHELF)).match(SHELL);
  const asked = fetch(request);
  if (!held) return asked;
  asked.catch(() => undefined);
  const late = new Promise<Response>((resolve) => setTimeout(() => resolve(held), PATIENCE));
  return Promise.race([
    asked.then((answer) => (answer.status >= 500 ? held : answer)).catch(() => held),
    late,
  ]);
}

/** A part of the page never changes under its name. */
async function part(request: Request): Promise<Response> {
  return (await (await caches.open(SHELF)).match(request)) ?? fetch(request);
}
