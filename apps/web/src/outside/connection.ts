/**
 * Whether the server answers. Only calls can tell: what the browser says of its network is about another thing, since the
 * server may be this very machine. While it does not answer it is asked again, ever less often.
 */
import type { Problem } from '@torvin/core';
import { onlineManager } from '@tanstack/react-query';

/** Undo is a step on the server: it does not wait, it says so. */
export const UNDO_NEEDS_SERVER: Problem = {
  code: 'offline',
  path: '',
  message: 'The server does not answer, and what came before is kept there. Your changes wait here; take them back when it answers.',
};

const AGAIN_MS = [500, 1000, 2000, 4000, 8000];

let looking: ReturnType<typeof setTimeout> | null = null;
let round = 0;

async function look(): Promise<void> {
  looking = null;
  const answered = await fetch('/api/health', { cache: 'no-store' }).then(
    ({ ok }) => ok,
    () => false,
  );
  if (answered) serverAnswered();
  else if (!onlineManager.isOnline()) lookLater();
}

function lookLater(): void {
  looking ??= setTimeout(() => void look(), AGAIN_MS[Math.min(round, AGAIN_MS.length - 1)]);
  round += 1;
}

/** No answer came: saves wait from now on, until one does. */
export function serverSilent(): void {
  if (!onlineManager.isOnline()) return;
  onlineManager.setOnline(false);
  round = 0;
  lookLater();
}

/** An answer came, whatever it says. */
export function serverAnswered(): void {
  if (looking) clearTimeout(looking);
  looking = null;
  onlineManager.setOnline(true);
}

// The network is back: worth asking at once. Whether it has gone says nothing of the server.
onlineManager.setEventListener(() => {
  const ask = (): void => {
    if (!onlineManager.isOnline()) void look();
  };
  window.addEventListener('online', ask);
  return () => window.removeEventListener('online', ask);
});
