/**
 * What others change, as they change it: one stream of server-sent events for all pages that a browser has of this studio. The page
 * that came to the front last has it, and hands on what comes to the others; a page that is gone or asleep loses it to the next in front.
 * Web locks would settle whose it is, but plain http has none.
 */
import { onlineManager } from '@tanstack/react-query';
import type { Change } from '@torvin/schema';
import { lastHeard, look as lookWhetherItAnswers } from './connection';
import { PAGE } from './page';

type Said = { say: 'mine'; at: number; by: string } | { say: 'gone' } | { say: 'here' | 'change'; id: string; change: Change };

const CHANNEL = 'torvin-changes';
/** The server beats every 15 s. */
const SILENT_MS = 40_000;
const LOOK_MS = 10_000;
const AGAIN_MS = 2000;

/** Id of the last event whose change this page knows of: at first that of its first answer. */
let lastId: string | null = null;

/** An answer says up to which event it knows. */
export function noteEvent(id: string | null): void {
  lastId ??= id;
}

/** Tells of every change from now on, and of those since the page's first answer. Ends when what it returns is called. */
export function followChanges(onChange: (change: Change) => void): () => void {
  const channel = new BroadcastChannel(CHANNEL);
  let stream: EventSource | null = null;
  let claimedAt = 0;
  let heardAt = Date.now();
  let again: ReturnType<typeof setTimeout> | undefined;
  const say = (said: Said): void => channel.postMessage(said);
  const isInFront = (): boolean => document.visibilityState === 'visible';

  function close(): void {
    clearTimeout(again);
    stream?.close();
    stream = null;
  }

  function heard(id: string, change: Change | null): void {
    heardAt = Date.now();
    lastHeard.set(heardAt);
    lastId = id;
    if (change) onChange(change);
  }

  function claim(): void {
    if (stream && stream.readyState !== EventSource.CLOSED) return;
    close();
    if (!onlineManager.isOnline()) return;
    claimedAt = Date.now();
    say({ say: 'mine', at: claimedAt, by: PAGE });
    const own = new EventSource(`/api/events${lastId === null ? '' : `?after=${encodeURIComponent(lastId)}`}`);
    stream = own;
    heardAt = Date.now();
    const take = ({ type, lastEventId, data }: MessageEvent<string>): void => {
      const change = JSON.parse(data) as Change;
      say({ say: type as 'here' | 'change', id: lastEventId, change });
      heard(lastEventId, type === 'change' ? change : null);
    };
    own.addEventListener('here', take);
    own.addEventListener('change', take);
    // A stream that was cut off comes back by itself; one that was refused does not.
    own.onerror = () => {
      if (stream !== own) return;
      if (own.readyState === EventSource.CLOSED) again = setTimeout(claim, AGAIN_MS);
      void lookWhetherItAnswers();
    };
  }

  channel.onmessage = ({ data }: MessageEvent<Said>) => {
    if (data.say === 'mine') {
      // Two that ask at once hear of one another: the later one has it.
      if (stream && (claimedAt > data.at || (claimedAt === data.at && PAGE > data.by))) return;
      heardAt = Date.now();
      close();
    } else if (data.say === 'gone') {
      if (isInFront()) claim();
    } else heard(data.id, data.say === 'change' ? data.change : null);
  };

  const front = (): void => {
    if (isInFront()) claim();
  };
  const leave = (): void => {
    if (stream) say({ say: 'gone' });
    close();
  };
  const online = onlineManager.subscribe((answers) => (answers ? front() : close()));
  const look = setInterval(() => {
    if (!stream && Date.now() - heardAt > SILENT_MS) front();
  }, LOOK_MS);
  document.addEventListener('visibilitychange', front);
  window.addEventListener('pagehide', leave);
  window.addEventListener('pageshow', front);
  front();
  return () => {
    online();
    clearInterval(look);
    document.removeEventListener('visibilitychange', front);
    window.removeEventListener('pagehide', leave);
    window.removeEventListener('pageshow', front);
    leave();
    channel.close();
  };
}
