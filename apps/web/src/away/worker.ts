/**
 * The service worker: all files of the app as they were built, so that it opens where its server does not answer, and pictures as
 * they are seen. What the API says is never kept here. Bundled by itself, after the app whose files it lists.
 */
import { ExpirationPlugin } from 'workbox-expiration';
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { CacheFirst } from 'workbox-strategies';
import { PICTURES_CACHE, TAKE_OVER } from '../outside/workerTerms';

/** The files with a digest of those that are not named by their content. Written in when it is built. */
declare const SHELL: { url: string; revision: string | null }[];

interface Rule {
  condition: { urlPattern: { pathname: string } };
  source: 'network' | 'fetch-event';
}

/** What of the worker's world is used here; the page's own types know it not. */
interface Here {
  addEventListener(type: 'install', listener: (event: { addRoutes?(rules: Rule[]): Promise<void> }) => void): void;
  addEventListener(type: 'message', listener: (event: { data: unknown }) => void): void;
  addEventListener(type: 'activate', listener: (event: { waitUntil(promise: Promise<unknown>): void }) => void): void;
  addEventListener(type: 'notificationclick', listener: (event: { notification: Notification; waitUntil(promise: Promise<unknown>): void }) => void): void;
  skipWaiting(): Promise<void>;
  clients: {
    claim(): Promise<void>;
    matchAll(of: { type: 'window' }): Promise<{ focus(): Promise<unknown> }[]>;
    openWindow(path: string): Promise<unknown>;
  };
}
// A worker's own `self`, which the page's types give as a window.
// eslint-disable-next-line no-restricted-syntax -- its types cannot be loaded beside the page's
const here = self as unknown as Here;

const PICTURES_AT_MOST = 600;

precacheAndRoute(SHELL);
cleanupOutdatedCaches();
// Every address of the app is one page; what the API has, and files by their names, are no pages.
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api(\/|$)/, /\/[^/?]+\.[^/]+$/] }));
// A picture is named by its content.
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && /^\/api\/photos\/[0-9a-f]{64}$/.test(url.pathname),
  new CacheFirst({ cacheName: PICTURES_CACHE, plugins: [new ExpirationPlugin({ maxEntries: PICTURES_AT_MOST, purgeOnQuotaError: true })] }),
);

// What the API says goes past the worker where the browser can do that: no waiting for one that sleeps, and what a page sends as it is
// left does not hang on one.
const PAST: Rule[] = [
  { condition: { urlPattern: { pathname: '/api/photos/*' } }, source: 'fetch-event' },
  { condition: { urlPattern: { pathname: '/api/*' } }, source: 'network' },
];
here.addEventListener('install', (event) => void event.addRoutes?.(PAST));

// A newer one waits until the person says so: an open page needs the files that it was built with.
here.addEventListener('message', ({ data }) => {
  if (data === TAKE_OVER) void here.skipWaiting();
});
// The first one: the pages that are open already get their pictures kept too.
here.addEventListener('activate', (event) => event.waitUntil(here.clients.claim()));

// A call that is touched leads to the page that calls.
here.addEventListener('notificationclick', (event) => {
  event.notification.close();
  event.waitUntil(here.clients.matchAll({ type: 'window' }).then(([open]) => (open ? open.focus() : here.clients.openWindow('/bench'))));
});
