/** What others change is read again where it is shown, but never under a finger: a page that is being touched or scrolled changes once it rests. */
import type { Change } from '@torvin/schema';
import { type QueryKey, onlineManager, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { followChanges } from '@/outside/changes';
import { useOutbox } from '@/outbox/useOutbox';
import { keys, readAnew } from '@/outside/keys';
import { PAGE } from '@/outside/page';
import { readAhead } from './readAhead';

/** What the page has read that is of before a change. */
export function readBefore({ topic, id }: Change): readonly QueryKey[] {
  const piece = id === undefined ? ['piece'] : keys.piece(id);
  switch (topic) {
    case 'piece':
      return [piece, keys.pieces, keys.madeUses, ['versions'], ...(id === undefined ? [] : [keys.schedule(id)]), keys.bench, keys.loads];
    case 'firing':
      return [keys.firings, ['firing'], ['versions'], keys.loads, keys.pieces, ['piece']];
    case 'shelves':
      return [keys.shelves, keys.madeUses, keys.formUses, keys.bench, keys.loads];
    case 'studio':
      // With its limits what was planned before may be out of date.
      return [keys.studio, keys.shelves, keys.bench, keys.loads];
    case 'program':
      return [keys.programs(), keys.loads];
    case 'all':
      return [[]];
    default:
      return [keys[topic]];
  }
}

const RESTS_MS = 300;
const LOOK_MS = 100;
/** A finger is not down for longer: its lifting was not told, as when that was outside the window. */
const LIES_AT_MOST_MS = 60_000;
/** The first view reads and draws first. */
const AFTER_MS = 1500;

/** What may be wanted without the server is read a while after the page was opened, or others have changed something. */
const AHEAD_AFTER_MS = 8000;

export function useChanges(): void {
  const client = useQueryClient();
  const outbox = useOutbox();
  useEffect(() => {
    let due: QueryKey[] = [];
    let down = false;
    let touchedAt = 0;
    let timer: ReturnType<typeof setTimeout> | undefined;

    function settle(): void {
      clearTimeout(timer);
      if (due.length === 0) return;
      if (Date.now() - touchedAt < (down ? LIES_AT_MOST_MS : RESTS_MS)) {
        timer = setTimeout(settle, LOOK_MS);
        return;
      }
      const once = new Map(due.map((key) => [JSON.stringify(key), key]));
      due = [];
      for (const key of once.values()) void readAnew(client, key);
    }

    const touched = ({ type }: Event): void => {
      touchedAt = Date.now();
      if (type === 'pointerdown') down = true;
      if (type === 'pointerup' || type === 'pointercancel') down = false;
    };
    const events = ['pointerdown', 'pointerup', 'pointercancel', 'scroll', 'keydown'];
    events.forEach((name) => window.addEventListener(name, touched, { capture: true, passive: true }));
    let ahead: ReturnType<typeof setTimeout>;
    const readAheadLater = (): void => {
      clearTimeout(ahead);
      ahead = setTimeout(() => {
        if (onlineManager.isOnline() && document.visibilityState === 'visible') void readAhead(client, outbox).catch(() => undefined);
      }, AHEAD_AFTER_MS);
    };
    readAheadLater();
    let stop = (): void => undefined;
    const later = setTimeout(() => {
      stop = followChanges((change) => {
        if (change.page === PAGE) return;
        due.push(...readBefore(change));
        settle();
        readAheadLater();
      });
    }, AFTER_MS);
    return () => {
      clearTimeout(later);
      clearTimeout(ahead);
      clearTimeout(timer);
      stop();
      events.forEach((name) => window.removeEventListener(name, touched, { capture: true }));
    };
  }, [client, outbox]);
}
