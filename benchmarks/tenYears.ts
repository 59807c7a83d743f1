/**
 * A studio of ten years, 5,000 pieces and as many firings: what its lists cost the server and the page, the first run sheet on a slow
 * phone network, and what one machine carries.
 */
import { firingsOf } from '@torvin/core/piece';
import { readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { type CDPSession, PredefinedNetworkConditions } from 'puppeteer-core';
import { openDatabase } from '../apps/server/src/opening/open';
import { fillTenYears } from '../apps/server/src/test/tenYears';
import { ROOT, Studio, wholePieces } from '../e2e/server';
import { PHONE, Visitor, launch } from '../e2e/visitor';

const COUNT = 5000;
const SCROLLS = 60;

async function filled(): Promise<Studio> {
  const studio = new Studio();
  await studio.start();
  await studio.stop();
  const { db, closeWhole } = openDatabase(studio.dataDir, join(ROOT, 'apps/server/src/db/migrations'));
  fillTenYears(db, COUNT, Date.now());
  await closeWhole();
  await studio.start();
  return studio;
}

interface Probe {
  longest: number;
  over: number;
}

/** At a share of the sorted values. */
const at = (share: number, values: readonly number[]): string =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))].toFixed(0);

const LOOKS_AT = [
  ...['/api/pieces', '/api/pieces?text=tide', '/api/firings', '/api/firings?text=well', '/api/firings?look=fullFuse&result=right', '/api/bench'],
  '/api/seen?kiln=low-kiln&look=fullFuse',
  // As it is written, with a slip, and with what everything has.
  ...['/api/find?text=harbour%20bowl', '/api/find?text=harbuor', '/api/find?text=mold', '/api/find?text=e'],
];
const ROUNDS = 200;

async function lists(address: string): Promise<void> {
  const { firings } = (await (await fetch(`${address}/api/firings?look=fullFuse&result=right`)).json()) as { firings: { id: string }[] };
  for (const path of [...LOOKS_AT, `/api/firings/${firings[0].id}/nearest`]) {
    const times: number[] = [];
    let bytes = 0;
    for (let i = 0; i < ROUNDS; i += 1) {
      const since = performance.now();
      bytes = (await (await fetch(address + path)).arrayBuffer()).byteLength;
      times.push(performance.now() - since);
    }
    const [p50, p95, p99] = [0.5, 0.95, 0.99].map((share) => at(share, times));
    process.stdout.write(`${path} at ${COUNT}: ${(bytes / 1000).toFixed(0)} kB, p50 ${p50} ms, p95 ${p95} ms, p99 ${p99} ms\n`);
  }
}

const CARRIED_FOR_MS = 5000;

/** How many answers a second, with so many asking at once. */
async function carried(askers: number, ask: () => Promise<Response>): Promise<{ answered: number; refused: number }> {
  const until = performance.now() + CARRIED_FOR_MS;
  let [answered, refused] = [0, 0];
  const one = async (): Promise<void> => {
    while (performance.now() < until) {
      const answer = await ask();
      await answer.arrayBuffer();
      if (answer.ok) answered += 1;
      else refused += 1;
    }
  };
  await Promise.all(Array.from({ length: askers }, one));
  return { answered: (answered * 1000) / CARRIED_FOR_MS, refused: (refused * 1000) / CARRIED_FOR_MS };
}

async function capacity(address: string): Promise<void> {
  const looks = await carried(20, () => fetch(`${address}/api/pieces`));
  process.stdout.write(`20 at once reading a page of pieces: ${looks.answered.toFixed(0)} a second\n`);
  const bench = await carried(20, () => fetch(`${address}/api/bench`));
  process.stdout.write(`20 at once reading the Bench: ${bench.answered.toFixed(0)} a second, ${bench.refused.toFixed(0)} told to come again\n`);
  const [piece] = await wholePieces(address);
  let version = piece.version;
  const saves = await carried(1, async () => {
    const body = JSON.stringify({ version, name: piece.name, doc: piece.doc, what: 'saved again' });
    version += 1;
    return fetch(`${address}/api/pieces/${piece.id}`, { method: 'PUT', body, headers: { 'Content-Type': 'application/json' } });
  });
  process.stdout.write(`saves of a piece, one after the other: ${saves.answered.toFixed(0)} a second\n`);
  const { paths } = (await (await fetch(`${address}/api/openapi.json`)).json()) as {
    paths: Record<string, { post: { requestBody: { content: Record<string, { examples: { case1: { value: unknown } } }> } } }>;
  };
  const body = JSON.stringify(paths['/api/compute/compose'].post.requestBody.content['application/json'].examples.case1.value);
  const composed = await carried(4, () => fetch(`${address}/api/compute/compose`, { method: 'POST', body, headers: { 'Content-Type': 'application/json' } }));
  process.stdout.write(`schedules composed for strangers, 4 at once: ${composed.answered.toFixed(1)} a second\n`);
}

/** Slow 4G: 1.6 Mbit/s down, 150 ms there and back. */
const SLOW_4G = { offline: false, latency: 150, downloadThroughput: 1.6e6 / 8, uploadThroughput: 0.75e6 / 8 };

async function coldRunSheet(studio: Studio): Promise<void> {
  const [piece] = (await wholePieces(studio.address)).filter(({ name }) => name === 'Plaque no. 14');
  const browser = await launch();
  try {
    const me = await Visitor.open(browser, PHONE);
    const session: CDPSession = await me.page.createCDPSession();
    await session.send('Network.enable');
    await session.send('Network.emulateNetworkConditions', SLOW_4G);
    let bytes = 0;
    session.on('Network.loadingFinished', ({ encodedDataLength }) => (bytes += encodedDataLength));
    const since = performance.now();
    const going = me.page.goto(`${studio.address}/pieces/${piece.id}/run?step=${firingsOf(piece.doc)[0].id}`);
    // Unlike find it goes on waiting when the blank page is left.
    await me.page.waitForSelector('[data-testid="run-row-0"]');
    const rows = performance.now() - since;
    await me.sees('live-work', /%/);
    await going;
    process.stdout.write(
      `first run sheet, cold on slow 4G: rows after ${(rows / 1000).toFixed(1)} s, all its figures after ${((performance.now() - since) / 1000).toFixed(1)} s, ${(bytes / 1000).toFixed(0)} kB by then\n`,
    );
  } finally {
    await browser.close();
  }
}

/** A phone four times slower than this machine. */
const SLOWER = 4;

/** From the touch to the first figure of the Bench: the first visit over Chromium's preset of a fast phone network, the second without any. */
async function firstFigures(studio: Studio): Promise<void> {
  const browser = await launch();
  try {
    const me = await Visitor.open(browser, PHONE);
    await me.page.emulateCPUThrottling(SLOWER);
    await me.page.emulateNetworkConditions(PredefinedNetworkConditions['Fast 4G']);
    const visit = async (): Promise<string> => {
      const since = performance.now();
      const going = me.page.goto(`${studio.address}/bench`);
      await me.page.waitForSelector('[data-testid="waiting-piece"], [data-testid="opens-at"]');
      const took = performance.now() - since;
      await going;
      return `${(took / 1000).toFixed(1)} s`;
    };
    const first = await visit();
    await me.page.waitForFunction(async () => (await navigator.serviceWorker.getRegistration())?.active?.state === 'activated');
    await me.page.goto('about:blank');
    await me.page.setOfflineMode(true);
    process.stdout.write(`first figures of the Bench on Fast 4G, ${SLOWER} times slower: ${first}; on a second visit without network: ${await visit()}\n`);
  } finally {
    await browser.close();
  }
}

export async function measureTenYears(): Promise<void> {
  if (!process.env.CHROMIUM_PATH) return;
  const studio = await filled();
  try {
    await lists(studio.address);
    await capacity(studio.address);
    await firstFigures(studio);
    await coldRunSheet(studio);
    await scrolled(studio);
  } finally {
    await studio.end();
  }
}

/** Scrolls and searches both long lists in a real browser: the longest task on the main thread meanwhile. */
async function scrolled(studio: Studio): Promise<void> {
  const browser = await launch();
  try {
    const me = await Visitor.open(browser, PHONE);
    await me.page.goto(`${studio.address}/notebook`);
    await me.sees('notebook-count', /50\d\d firings/);
    await me.page.evaluate(() => {
      const probe: Probe = { longest: 0, over: 0 };
      (window as unknown as { probe: Probe }).probe = probe;
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries()) {
          probe.longest = Math.max(probe.longest, entry.duration);
          probe.over += 1;
        }
      }).observe({ entryTypes: ['longtask'] });
    });
    const read = async (what: string): Promise<void> => {
      const { longest, over } = await me.page.evaluate(() => {
        const { probe } = window as unknown as { probe: Probe };
        const now = { ...probe };
        Object.assign(probe, { longest: 0, over: 0 });
        return now;
      });
      process.stdout.write(`${what}: ${over === 0 ? 'no task over 50 ms' : `${over} tasks over 50 ms, the longest ${longest.toFixed(0)} ms`}\n`);
    };
    /** The list in sight: the page before it may still be there. */
    const move = (by_px: number): Promise<void> =>
      me.page.evaluate((by) => {
        const list = [...document.querySelectorAll('[data-testid="screen-scroll"]')].find((one) => one.clientHeight > 0 && one.checkVisibility());
        if (list) list.scrollTop += by;
      }, by_px);
    const scroll = async (): Promise<void> => {
      for (let i = 1; i <= SCROLLS; i += 1) {
        await move(700);
        await new Promise((resolve) => setTimeout(resolve, 60));
      }
      // The search stands at the top.
      await move(-1e6);
    };
    await scroll();
    await read(`Notebook of ${COUNT}, ${SCROLLS} screens scrolled`);
    await me.type('notebook-search', 'came tide');
    await me.sees('notebook-count', /firings found/);
    await me.press('fold-filters');
    await me.press('filter-result-right');
    await me.sees('notebook-count', /found/);
    await read('Notebook searched and narrowed');
    await me.press('firing-link');
    await me.press('compare');
    for (const next of ['compare-more', 'compare-more', null]) {
      await me.press('compare-with');
      await me.find('compared-figures');
      if (next) await me.press(next);
    }
    await read('A firing opened, and three others chosen to compare it with');
    await me.page.evaluate(() => document.querySelector<HTMLElement>('[role="navigation"] a[href="/pieces"]')?.click());
    await me.sees('pieces-count', /50\d\d pieces/);
    await read('Pieces opened');
    await scroll();
    await read(`Pieces of ${COUNT}, ${SCROLLS} screens scrolled`);
    await me.type('pieces-search', 'tide');
    await me.sees('pieces-count', /found/);
    await read('Pieces searched');
    const nodes = await me.page.evaluate(() => document.querySelectorAll('*').length);
    process.stdout.write(`Pieces of ${COUNT}: ${nodes} nodes in the document\n`);
  } finally {
    await browser.close();
  }
}

/** What scripts weigh as they are sent: those that index.html names, and with what the first run sheet needs besides. */
export function measureFirstView(): void {
  const dist = join(ROOT, 'apps/web/dist');
  const named = [...readFileSync(join(dist, 'index.html'), 'utf8').matchAll(/src="(\/_expo\/[^"]+\.js)"/g)].map(([, path]) => path);
  const run = readdirSync(join(dist, '_expo/static/js/web')).filter((name) => /^run-.*\.js$/.test(name));
  const sheet = [
    ...run.map((name) => `_expo/static/js/web/${name}`),
    ...readdirSync(join(dist, 'workers')).flatMap((name) => (name.endsWith('.js') ? `workers/${name}` : [])),
  ];
  const kB = (paths: readonly string[], packed: 'br' | 'gz'): string =>
    (paths.reduce((sum, path) => sum + statSync(join(dist, `${path}.${packed}`)).size, 0) / 1000).toFixed(0);
  process.stdout.write(
    `first view: ${kB(named, 'br')} kB of JavaScript as brotli, ${kB(named, 'gz')} as gzip; with the first run sheet ${kB([...named, ...sheet], 'br')}\n`,
  );
}
