/** Tells a screen reader that another page has come: the page says its title, one place says it aloud. */
import { useEffect } from 'react';
import { told, useTold } from '@/outside/told';
import { Hidden } from './Hidden';
import { Words } from './Words';
import { ANNOUNCE } from './said';

const title = told('');

/** Names the page to the browser and to who listens. */
export function usePageTitle(next: string, main: boolean): void {
  useEffect(() => {
    if (!main) return;
    document.title = ANNOUNCE.torvin(next);
    title.set(next);
  }, [next, main]);
}

export function PageAnnouncer() {
  const said = useTold(title);
  return (
    <Hidden>
      <Words role="status" aria-live="polite" testID="page-announced">
        {said}
      </Words>
    </Hidden>
  );
}
