/**
 * Whether the server answers. Only calls can tell: what the browser says of its network is about another thing, since the
 * server may be this very machine. While it does not answer it is asked again, ever less often.
 */
import type { Problem } from '@torvin/core/problem';
import { API_HEADER } from '@torvin/schema';
import { onlineManager } from '@tanstack/react-query';
import { isAsked, setAsked } from './door';
import { forgetReadings } from './readingStore';
import { told } from './told';
import { noteApi } from './version';

/** Undo is a step on the server: it does not wait, it says so. */
export const UNDO_NEEDS_SERVER: Problem = {
  code: 'offline',
  path: '',
  message: 'The server does not answer, and what came before is kept there. Your changes wait here; take them back when it answers.',
};

/** When it last answered, or its stream of changes was heard; null before. */
export const lastHeard = told<number | null>(null);

const ANSWERS_WITHIN_MS = 10_000;
const AGAIN_MS = [500, 1000, 2000, 4000, 8000];

/** Who is not let in any more keeps nothing of what it read. */
function setAskedForPasscode(now: boolean): void {
  if (now && !isAsked()) void forgetReadings();
  setAsked(now);
}

/** Ends what is asked after a while; browsers of some years ago have none of their own. */
export function endsAfter(ms: number): AbortSignal {
  const end = new AbortController();
  setTimeout(() => end.abort(new DOMException('No answer came in time.', 'TimeoutError')), ms);
  return end.signal;
}

let looking: ReturnType<typeof setTimeout> | null = null;
let round = 0;

/** Asks whether it answers, where something makes one doubt it. */
export async function look(): Promise<void> {
  if (looking) clearTimeout(looking);
  looking = null;
  const health = await fetch('/api/health', { cache: 'no-store', signal: endsAfter(ANSWERS_WITHIN_MS) })
    .then((response) => {
      noteApi(response.headers.get(API_HEADER));
      return response.ok ? (response.json() as Promise<{ asks?: boolean }>) : null;
    })
    .catch(() => null);
  if (health) setAskedForPasscode(health.asks === true);
  if (health && health.asks !== true) serverAnswered();
  else if (onlineManager.isOnline()) serverSilent();
  else lookLater();
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

/** It answers, but wants the passcode of this device first: saves wait for that too. */
export function passcodeWanted(): void {
  setAskedForPasscode(true);
  serverSilent();
}

/** This device has been let in. */
export function letIn(): void {
  setAsked(false);
  serverAnswered();
}

/** An answer came, whatever it says. */
export function serverAnswered(): void {
  if (looking) clearTimeout(looking);
  looking = null;
  lastHeard.set(Date.now());
  onlineManager.setOnline(true);
}

// The network has gone or is back: worth asking at once. It says nothing of the server by itself, which may be this very machine.
onlineManager.setEventListener(() => {
  const ask = (): void => void look();
  const events = ['online', 'offline'];
  events.forEach((name) => window.addEventListener(name, ask));
  return () => events.forEach((name) => window.removeEventListener(name, ask));
});
