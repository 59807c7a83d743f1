/**
 * The app as this browser keeps it, so that it opens without its server. A newer one is fetched in the background and waits; it is
 * loaded when the person says so.
 */
import { onlineManager } from '@tanstack/react-query';
import { told, useTold } from '@/outside/told';
import { isOtherVersion, onVersion } from '@/outside/version';
import { TAKE_OVER } from '@/outside/workerTerms';

/** Looked for when a page comes to the front, but not more often. */
const LOOK_EVERY_MS = 3600e3;
const FETCHED_WITHIN_MS = 20_000;

/** Whether the browser keeps it: only where the page came over https, or from this very machine. */
export const canKeepShell = (): boolean => 'serviceWorker' in navigator && window.isSecureContext;

/** Somebody develops: files change under their names. */
const isBuilt = (): boolean => document.querySelector('meta[name="torvin-api"]') !== null;

/** Another one than this page's is there. */
const newer = told(false);
export const useNewerShell = (): boolean => useTold(newer);
/** Not now: until the page is opened again. */
export const putNewerOff = (): void => newer.set(false);

/** Whether the app opens without its server from now on. */
const kept = told(false);
export const useShellKept = (): boolean => useTold(kept);

/** What some browsers give a page that can be put among the device's apps; they ask the person themselves. */
interface InstallOffer extends Event {
  prompt(): Promise<{ outcome: 'accepted' | 'dismissed' }>;
}
const installOffer = told<InstallOffer | null>(null);
export const useInstallOffer = (): InstallOffer | null => useTold(installOffer);
/** From the start: a browser tells it once, soon after the page was read. */
export function hearInstallOffer(): void {
  window.addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault();
    installOffer.set(event as InstallOffer);
  });
  window.addEventListener('appinstalled', () => {
    installOffer.set(null);
    // So that the browser does not clear away what waits here when its room gets short.
    void navigator.storage?.persist?.().catch(() => undefined);
  });
}

let registration: ServiceWorkerRegistration | null = null;
let lookedAt = 0;

/** Keeps it, from now on. Called once the first view has been read: its files are at hand then. */
export async function keepShell(): Promise<void> {
  if (!canKeepShell() || !isBuilt() || registration) return;
  registration = await navigator.serviceWorker.register('/sw.js', { updateViaCache: 'none' }).catch(() => null);
  if (!registration) return;
  const worker = registration;
  lookedAt = Date.now();
  const see = (): void => {
    kept.set(worker.active !== null);
    if (worker.waiting && worker.active) newer.set(true);
  };
  const watch = (): void => worker.installing?.addEventListener('statechange', see);
  see();
  watch();
  worker.addEventListener('updatefound', watch);
  // Another tab let the newer one take over: this page's own files are not kept any more.
  let had = navigator.serviceWorker.controller;
  navigator.serviceWorker.addEventListener('controllerchange', () => {
    see();
    if (had) newer.set(true);
    had = navigator.serviceWorker.controller;
  });
  const look = (): void => {
    if (document.visibilityState !== 'visible' || !onlineManager.isOnline() || Date.now() - lookedAt < LOOK_EVERY_MS) return;
    lookNow();
  };
  document.addEventListener('visibilitychange', look);
  onVersion(() => isOtherVersion() && lookNow());
}

function lookNow(): void {
  lookedAt = Date.now();
  void registration?.update().catch(() => undefined);
}

/** Loads the page anew, as the newer one where there is one. False: there is none that could be had now, since the server does not answer; the page stays as it is. */
export async function loadNewer(): Promise<boolean> {
  const known = registration ?? (canKeepShell() ? ((await navigator.serviceWorker.getRegistration()) ?? null) : null);
  if (known) {
    const fetched = await known.update().then(
      () => true,
      () => false,
    );
    const waiting = known.waiting ?? (await installed(known));
    if (waiting) {
      await takenOver(waiting);
      window.location.reload();
      return true;
    }
    // What is kept is what the server has, and still the server means another: it is fetched without what is kept.
    if (fetched && isOtherVersion()) await known.unregister();
  }
  if (!(await fetch('/api/health', { cache: 'no-store' }).catch(() => null))) return false;
  window.location.reload();
  return true;
}

/** The one that is being fetched, once it is ready; null where there is none, or it takes too long. */
function installed({ installing }: ServiceWorkerRegistration): Promise<ServiceWorker | null> {
  if (!installing) return Promise.resolve(null);
  return new Promise((resolve) => {
    const enough = setTimeout(() => resolve(null), FETCHED_WITHIN_MS);
    installing.addEventListener('statechange', () => {
      if (installing.state === 'installing') return;
      clearTimeout(enough);
      resolve(installing.state === 'redundant' ? null : installing);
    });
  });
}

const takenOver = (waiting: ServiceWorker): Promise<void> =>
  new Promise((resolve) => {
    navigator.serviceWorker.addEventListener('controllerchange', () => resolve(), { once: true });
    waiting.postMessage(TAKE_OVER);
    setTimeout(resolve, FETCHED_WITHIN_MS);
  });
