/** A page that is open when a firing is to be looked into calls; the sound is tried beforehand; the times go into a calendar. */
import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Bench, FiringDetail, LoadAhead, Schedule } from '@torvin/schema';
import { firingsOf } from '@torvin/core/piece';
import { momentsOf } from '@torvin/core/schedule';
import { v7 as uuid } from 'uuid';
import { wholePieces } from './server';
import { OWN_CHROMIUM, setting } from './setting';
import { PHONE, Visitor } from './visitor';

const here = setting({}, OWN_CHROMIUM);
const { studio } = here;

async function ask<T>(method: string, path: string, body?: unknown): Promise<T> {
  const answer = await fetch(`${studio.address}/api/${path}`, {
    method,
    ...(body === undefined ? {} : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
  });
  const told = (await answer.json()) as T;
  if (!answer.ok) throw new Error(JSON.stringify(told));
  return told;
}

const AHEAD_MS = 4000;

/** Starts the tack fuse of the plaque so long ago that it is to be looked into in a moment, in a kiln that is free. */
async function startedLongAgo(): Promise<void> {
  for (const { id, version } of await ask<LoadAhead[]>('GET', 'loads')) await ask('PUT', `loads/${id}`, { version, openedAt: Date.now() });
  const [piece] = (await wholePieces(studio.address)).filter(({ name }) => name === 'Plaque no. 14');
  const { scheduleId } = firingsOf(piece.doc)[0];
  const { segments, result } = await ask<Schedule>('GET', `schedules/${scheduleId}`);
  const { look } = momentsOf(segments, result.simulation);
  const firedAt = Math.round(Date.now() + AHEAD_MS - look.from_s * 1000);
  await ask('POST', 'firings', { id: uuid(), pieceId: piece.id, scheduleId, firedAt, zone: 'Europe/Lisbon', asItIs: true });
}

/** Counts what sounds, and what shakes. */
const listens = (me: Visitor): Promise<unknown> =>
  me.page.evaluateOnNewDocument(() => {
    const counted = window as unknown as { strokes: number; shakes: number };
    Object.assign(counted, { strokes: 0, shakes: 0 });
    const start = OscillatorNode.prototype.start;
    OscillatorNode.prototype.start = function (...when) {
      counted.strokes += 1;
      start.apply(this, when);
    };
    navigator.vibrate = () => Boolean((counted.shakes += 1));
  });
const strokes = (me: Visitor): Promise<number> => me.page.evaluate(() => (window as unknown as { strokes: number }).strokes);

const notices = (me: Visitor, count: number): Promise<unknown> =>
  me.page.waitForFunction(
    async (wanted) => (await (await navigator.serviceWorker.ready).getNotifications()).filter(({ title }) => title === 'Check now').length === wanted,
    { polling: 50 },
    count,
  );

test('calls on any page: over it, by sound, by shaking, in its title; until it is answered, and again when that was put off', async () => {
  await here.browser.overridePermissions(studio.address, ['notifications']);
  const me = await Visitor.open(here.browser, PHONE);
  await listens(me);
  const { inKiln } = await ask<Bench>('GET', 'bench');
  const { firing, schedule } = await ask<FiringDetail>('GET', `firings/${inKiln[0].id}`);
  await me.page.goto(`${studio.address}/kiln`);
  // What is drawn once it is computed moves what lies under it.
  await me.find('opens');
  await me.press('fold-call-fold');
  await me.press('hear-call');
  await me.sees('call-tried', /That was it/);
  expect(await strokes(me)).toBe(2);
  expect(await me.inspect()).toEqual({ overflow: [], overlaps: [], smallTargets: [], accessibility: [] });

  const folder = mkdtempSync(join(tmpdir(), 'torvin-ics-'));
  const session = await me.page.createCDPSession();
  await session.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder, browserContextId: here.browser.id });
  await me.press('take-ics');
  const files = (): string[] => readdirSync(folder).filter((name) => name.endsWith('.ics'));
  while (files().length === 0) await new Promise((resolve) => setTimeout(resolve, 50));
  const calendar = readFileSync(join(folder, files()[0]), 'utf8');
  const looks = /DTSTART:(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)00Z/.exec(calendar)?.slice(1).map(Number) ?? [];
  const { look } = momentsOf(schedule.segments, schedule.result.simulation);
  expect(Math.abs(Date.UTC(looks[0], looks[1] - 1, looks[2], looks[3], looks[4]) - (firing.firedAt + look.from_s * 1000))).toBeLessThanOrEqual(60_000);
  rmSync(folder, { recursive: true });

  await me.page.evaluate(async () => void (await navigator.serviceWorker.ready));
  // On another page by the time it is due.
  await me.of('a[href="/pieces"]', (node) => node.click());
  await me.find('new-piece');
  expect(await me.has('call')).toBe(false);
  await startedLongAgo();
  await me.sees('call', /Check now .*Plaque no\. 14, tack fuse\. It holds at its hottest until/);
  await me.page.waitForFunction(
    () => {
      const { strokes, shakes } = window as unknown as { strokes: number; shakes: number };
      return strokes >= 4 && shakes >= 2 && document.title.startsWith('Check now · ');
    },
    { polling: 50 },
  );
  expect(await me.inspect()).toMatchObject({ overflow: [], smallTargets: [], accessibility: [] });
  await me.press('call-again');
  await me.gone('call');
  expect(await me.page.title()).not.toMatch(/Check now/);
  await me.page.evaluate(() => localStorage.setItem('torvin-calls-answered', '{}'));
  await me.page.reload();
  await me.find('call');
  // A phone shows it by the service worker, and takes it away once it is answered.
  await notices(me, 1);
  await me.press('call-seen');
  await me.gone('call');
  await notices(me, 0);
  await me.page.reload();
  await me.find('new-piece');
  await new Promise((resolve) => setTimeout(resolve, 1500));
  expect(await me.has('call')).toBe(false);
  await me.leave();
});

test('the page of a firing that runs keeps the screen on until its check is over, unless this device is not to', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await me.page.evaluateOnNewDocument(() => {
    const counted = window as unknown as { held: number };
    counted.held = 0;
    Object.defineProperty(navigator, 'wakeLock', {
      value: {
        request: async () => {
          counted.held += 1;
          return { release: async () => void (counted.held -= 1) };
        },
      },
    });
  });
  const held = (count: number) => me.page.waitForFunction((wanted) => (window as unknown as { held: number }).held === wanted, { polling: 50 }, count);
  await startedLongAgo();
  const [{ id }] = (await ask<Bench>('GET', 'bench')).inKiln.filter(({ load }) => load.openedAt === null);
  await me.page.goto(`${studio.address}/notebook/${id}`);
  await held(1);
  await me.page.evaluate(() => localStorage.setItem('torvin-awake-here', 'false'));
  await me.page.reload();
  await me.find('firing-record');
  await new Promise((resolve) => setTimeout(resolve, 300));
  await held(0);
  // One that was opened needs nobody beside it.
  await me.page.evaluate(() => localStorage.removeItem('torvin-awake-here'));
  await me.page.reload();
  await held(1);
  for (const { id: load, version } of await ask<LoadAhead[]>('GET', 'loads')) await ask('PUT', `loads/${load}`, { version, openedAt: Date.now() });
  await held(0);
  await me.page.evaluate(() => localStorage.clear());
  await me.leave();
});
