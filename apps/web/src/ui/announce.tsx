/** Tells a screen reader that another page has come: the page says its title, one place says it aloud. */
import { useEffect, useSyncExternalStore } from 'react';
import { Hidden } from './Hidden';
import { Words } from './Words';

let title = '';
const listeners = new Set<() => void>();
const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Names the page to the browser and to who listens. */
export function usePageTitle(next: string, main: boolean): void {
  useEffect(() => {
    if (!main) return;
    document.title = `${next} · Torvin`;
    title = next;
    listeners.forEach((listener) => listener());
  }, [next, main]);
}

export function PageAnnouncer() {
  const said = useSyncExternalStore(subscribe, () => title);
  return (
    <Hidden>
      <Words role="status" aria-live="polite" testID="page-announced">
        {said}
      </Words>
    </Hidden>
  );
}
