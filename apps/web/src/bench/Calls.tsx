/**
 * At look-in time an open page calls, whatever page it is: over the page, by sound, in its title, by shaking and as a notification,
 * each as far as the browser lets it, until somebody answers.
 */
import { LOOK_NAMES } from '@torvin/core/look';
import type { LoadAhead } from '@torvin/schema';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useLoads } from '@/data/loads';
import { readStored, writeStored } from '@/outside/storage';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import { chime, maySound, readyToSound, shake } from '@/ui/chime';
import { dayAndClock } from '@/ui/clock';
import { type Answered, calling, nextTurn, stillAhead } from './whoCalls';
import { callsHere } from '@/ui/useCallsHere';
import { useNow } from '@/ui/useNow';
import { CALLS } from './words';

const ANSWERED = 'torvin-calls-answered';
const AGAIN_MS = 5 * 60_000;
const RINGS_EVERY_MS = 6000;
const RINGS_FOR_MS = 3 * 60_000;
/** A timer cannot be set for longer, and clocks are set right now and then. */
const LOOKS_AGAIN_MS = 10 * 60_000;
const ASKS_AGAIN_MS = 5 * 60_000;

export function Calls() {
  const { data: loads } = useLoads({ every_ms: ASKS_AGAIN_MS });
  const [answered, setAnswered] = useState<Answered>(() => readStored<Answered>('localStorage', ANSWERED) ?? {});
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!loads) return;
    const turn = nextTurn(loads, answered, Date.now());
    const timer = setTimeout(() => setNow(Date.now()), Math.min(turn === null ? LOOKS_AGAIN_MS : turn - Date.now() + 50, LOOKS_AGAIN_MS));
    return () => clearTimeout(timer);
  }, [loads, answered, now]);
  // What is answered in one tab is answered in all.
  useEffect(() => {
    const look = ({ key }: StorageEvent): void => {
      if (key === ANSWERED) setNow(Date.now());
    };
    window.addEventListener('storage', look);
    return () => window.removeEventListener('storage', look);
  }, []);
  const ahead = loads !== undefined && nextTurn(loads, answered, now) !== null;
  useEffect(() => {
    if (!ahead) return;
    const events = ['pointerdown', 'keydown'];
    events.forEach((name) => window.addEventListener(name, readyToSound, { capture: true, passive: true }));
    return () => events.forEach((name) => window.removeEventListener(name, readyToSound, { capture: true }));
  }, [ahead]);
  const due = loads && callsHere() ? calling(loads, { ...answered, ...readStored<Answered>('localStorage', ANSWERED) }, now) : [];
  const answer = (how: Answered[string]): void => {
    const next = { ...stillAhead(answered, loads ?? []), ...Object.fromEntries(due.map(({ id }) => [id, how])) };
    writeStored('localStorage', ANSWERED, next);
    setAnswered(next);
  };
  if (due.length === 0) return null;
  return <Call key={due.map(({ id }) => id).join(' ')} loads={due} onAnswer={answer} />;
}

const whatOf = ({ kilnName, entries }: LoadAhead): string =>
  `${kilnName}: ${entries.map(({ pieceName, look }) => `${pieceName}, ${LOOK_NAMES[look].toLowerCase()}`).join('; ')}`;

function Call({ loads, onAnswer }: { loads: readonly LoadAhead[]; onAnswer(how: Answered[string]): void }) {
  const now = new Date(useNow());
  const { colours } = useTheme();
  const [sounds, setSounds] = useState(maySound);
  const what = loads.map(whatOf).join('. ');
  useEffect(() => {
    const began = Date.now();
    const ring = (): void => {
      setSounds(chime());
      shake();
      // Pages name themselves as they are opened: it is put before each anew.
      if (!document.title.startsWith(TITLE)) document.title = TITLE + document.title;
    };
    ring();
    const takeAway = notify(what);
    const timer = setInterval(() => (Date.now() - began < RINGS_FOR_MS ? ring() : clearInterval(timer)), RINGS_EVERY_MS);
    return () => {
      clearInterval(timer);
      void takeAway.then((gone) => gone());
      if (document.title.startsWith(TITLE)) document.title = document.title.slice(TITLE.length);
    };
  }, [what]);
  return (
    <View
      role="alert"
      testID="call"
      style={{
        position: 'absolute',
        zIndex: 10,
        top: 0,
        left: 0,
        right: 0,
        backgroundColor: colours.surface,
        borderBottomWidth: 4,
        borderColor: colours.touch,
        padding: space.large,
        gap: space.small,
      }}
    >
      <Words size="title" bold>
        {CALLS.checkNow}
      </Words>
      {loads.map((load) => (
        <Words key={load.id}>{CALLS.holdsHottestUntil(whatOf(load), dayAndClock(load.lookTo, now))}</Words>
      ))}
      <Words size="label" tone="muted">
        {CALLS.throughPeepHole}
      </Words>
      {!sounds && (
        <Words size="label" tone="muted">
          {CALLS.pageNotBeen}
        </Words>
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action title={CALLS.iAmLooking} testID="call-seen" onPress={() => onAnswer('seen')} />
        <Action kind="second" title={CALLS.againInMinutes} testID="call-again" onPress={() => onAnswer(Date.now() + AGAIN_MS)} />
      </View>
    </View>
  );
}

const TITLE = CALLS.checkNowTitle;

const TAG = 'torvin-look-in';

/** Where the browser has been allowed to; phones take it from the service worker alone. Resolves with what takes it away again. */
async function notify(what: string): Promise<() => void> {
  if (!('Notification' in window) || Notification.permission !== 'granted') return () => undefined;
  const worker = await navigator.serviceWorker?.getRegistration().catch(() => undefined);
  const options = { body: what, tag: TAG };
  try {
    if (!worker?.active) {
      const notice = new Notification(CALLS.checkNow, options);
      return () => notice.close();
    }
    await worker.showNotification(CALLS.checkNow, options);
    return () => void worker.getNotifications({ tag: TAG }).then((all) => all.forEach((notice) => notice.close()));
  } catch {
    return () => undefined;
  }
}
