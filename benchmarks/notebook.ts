/** Scrolls and searches a Notebook of 5,000 firings in a real browser: the longest task on the main thread meanwhile. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import Driver from 'better-sqlite3';
import { v7 as uuid } from 'uuid';
import { ROOT, Studio } from '../e2e/server';
import { PHONE, Visitor, launch } from '../e2e/visitor';

const FIRINGS = 5000;
const HALF_A_DAY_MS = 12 * 3600e3;
const SCROLLS = 60;

/** Ten years of a busy studio: the demo's firings over and over, further and further back. */
function fill(dataDir: string): void {
  const db = new Driver(join(dataDir, 'torvin.db'));
  const rows = db.prepare('select * from firings').all() as Record<string, unknown>[];
  const names = Object.keys(rows[0]).filter((name) => name !== '_metadata');
  const insert = db.prepare(`insert into firings (${names.join()}) values (${names.map(() => '?').join()})`);
  db.exec('begin');
  for (let i = 0; i < FIRINGS; i += 1) {
    const row = {
      ...rows[i % rows.length],
      id: uuid(),
      fired_at: Number(rows[0].fired_at) - i * HALF_A_DAY_MS,
      note: `Round ${i}, rim even, seed ${i % 7}`,
      result: 'right',
    };
    insert.run(names.map((name) => (row as Record<string, unknown>)[name]));
  }
  db.exec('commit');
  db.close();
}

interface Probe {
  longest: number;
  over: number;
}

export async function measureNotebook(): Promise<void> {
  if (!process.env.CHROMIUM_PATH) return;
  const studio = new Studio();
  await studio.start();
  await studio.stop();
  fill(studio.dataDir);
  await studio.start();
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
      process.stdout.write(
        `notebook of ${FIRINGS} firings, ${what}: ${over === 0 ? 'no task over 50 ms' : `${over} tasks over 50 ms, the longest ${longest.toFixed(0)} ms`}\n`,
      );
    };
    for (let i = 1; i <= SCROLLS; i += 1) {
      await me.page.evaluate(() => {
        const scroll = document.querySelector('[data-testid="screen-scroll"]');
        if (scroll) scroll.scrollTop += 700;
      });
      await new Promise((resolve) => setTimeout(resolve, 60));
    }
    await read(`${SCROLLS} screens scrolled`);
    await me.type('notebook-search', 'round seed 3');
    await me.sees('notebook-count', /firings found/);
    await me.press('filter-look-tack');
    await me.sees('notebook-count', /found/);
    await read('searched and narrowed');
  } finally {
    await browser.close();
    await studio.end();
  }
}

/** What the first page's scripts weigh, gzipped: those that index.html names. */
export function measureFirstView(): void {
  const dist = join(ROOT, 'apps/web/dist');
  const named = [...readFileSync(join(dist, 'index.html'), 'utf8').matchAll(/src="(\/_expo\/[^"]+\.js)"/g)].map(([, path]) => path);
  const bytes = named.reduce((sum, path) => sum + gzipSync(readFileSync(join(dist, path))).length, 0);
  process.stdout.write(`first view: ${(bytes / 1000).toFixed(0)} kB of JavaScript gzipped, every layout and list counted in\n`);
}
