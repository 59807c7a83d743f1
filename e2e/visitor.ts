/** A browser page used as a person would, that remembers everything that went wrong in it. */
import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type Browser, type ElementHandle, type Page, launch as launchChromium, type Viewport } from 'puppeteer-core';
import { ROOT } from './server';

const AXE = readFileSync(join(ROOT, 'node_modules/axe-core/axe.min.js'), 'utf8');

export const PHONE = { width: 390, height: 844, hasTouch: true, isMobile: true } as const;
export const WIDE = { width: 1280, height: 800, hasTouch: false, isMobile: false } as const;

/** Long, since two of these run side by side on a machine that may be slow; only a failure ever waits for it. */
const PATIENCE_MS = 60_000;
/** By the clock and not by frames, which a tab in the background has none of. */
const WAITING = { timeout: PATIENCE_MS, polling: 50 } as const;
const LEAST_TARGET_PX = 48;

const programAt = (name = 'chromium'): string => (name.startsWith('/') ? name : `/usr/bin/${name}`);

/** The whole Chromium, for one that needs words of its own, or notifications. */
export const launch = (...further: string[]): Promise<Browser> => launchProgram(process.env.CHROMIUM_PATH, further);

/** What the test files share. */
export const launchShared = (): Promise<Browser> => launchProgram(process.env.TORVIN_SHARED_CHROMIUM ?? process.env.CHROMIUM_PATH, []);

async function launchProgram(program: string | undefined, further: readonly string[]): Promise<Browser> {
  return launchChromium({
    executablePath: programAt(program),
    args: [
      '--headless',
      ...(process.getuid?.() === 0 ? ['--no-sandbox'] : []),
      '--disable-gpu',
      // All pages of a test file in one process: what one has read and compiled, the next has too. See setting.ts.
      '--process-per-site',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--disable-dev-shm-usage',
      ...further,
    ],
  });
}

/** What the browser says where it looks for a newer service worker, as it does with every page, and the server is stopped on purpose. */
const LOOKED_FOR_WORKER = /^An unknown error occurred when fetching the script/;

/** What a page in front is told apart by. */
let inFront: Page | null = null;

/** What lies in which row of a piece that opens, or in its menu. */
const IN_ROWS: readonly (readonly [ids: RegExp, row: string, isMenu?: boolean])[] = [
  [/^(tags|finished|pattern|put-away|make-another|another-(?!like)|save-piece-file|open-label|delete-piece|edit-piece|filing)/, 'piece-menu', true],
  [/^(fit$|why-|coating$|touching$)/, 'fits'],
  [/^(layer-row|layer-grip|laid-up)/, 'layers'],
  [/^(touching$|body-words|ledger|figure-haze|rim-words)/, 'history'],
  [/^(made-|kept-made|keep-made$)/, 'made'],
  [/^keep-made$/, 'history'],
  [/^(step-done|hand-problem)/, 'hand-step'],
  [/^look-in-signs$/, 'signs'],
  [/^view-thick$/, 'view-above', true],
  [/^filter-(result|look)-/, 'filters'],
  [/^(learned-|fold-learnt$|learnt$)/, 'learned'],
  [/^fold-(schools|stands|equal)$/, 'alternatives'],
  [
    /^(in-form|turned-form|rescue$|lets-go|form-warning|open-run|piece-key-in|change-step|step-earlier|step-later|remove-step|measured|keep-measured|anneal-again|fold-stuck)/,
    'set-up',
  ],
  [/^(setup-(?!caution)|under-|wet-|form-|shape-|slender|mould-outline|ware-|cone-|shelf-under|in-form|turned-form|rescue$|lets-go|cut-to-form|fault-)/, 'on'],
  [/^(kiln|controller)-/, 'in'],
];

export interface FoundOnView {
  overflow: string[];
  /** Texts whose boxes lie over one another. */
  overlaps: string[];
  smallTargets: string[];
  accessibility: string[];
}

/** How much stands on a page at once. */
export interface Calm {
  /** Of all that scrolls, px. */
  height: number;
  /** As they are seen: not what is for a screen reader alone. */
  words: number;
  /** Buttons, links, tabs, sliders and fields, with the bar of places. */
  controls: number;
}

interface Watched extends HTMLElement {
  hit?: boolean;
  /** What was touched instead. */
  beside?: string | null;
  /** That does something when it is touched. */
  acted?: boolean;
}

export class Visitor {
  readonly troubles: string[] = [];
  /** Statuses that this test provokes on purpose. */
  readonly expectedStatuses = new Set<number>();

  private constructor(
    readonly page: Page,
    private readonly touches: boolean,
  ) {}

  static async open(browser: Pick<Browser, 'newPage'>, size: Viewport, theme: 'light' | 'dark' = 'light'): Promise<Visitor> {
    const page = await browser.newPage();
    page.setDefaultTimeout(PATIENCE_MS);
    await page.setViewport(size);
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: theme }]);
    await page.emulateTimezone('Europe/Lisbon');
    const visitor = new Visitor(page, size.hasTouch === true);
    // The stream of changes ends with the server that is stopped on purpose, and the page asks until it is back.
    const isStream = (url = ''): boolean => new RegExp('/api/(events|health)(\\?|$)').test(url);
    page.on('console', (message) => {
      if (isStream(message.location().url) || LOOKED_FOR_WORKER.test(message.text())) return;
      const provoked = /status of (\d+)/.exec(message.text());
      if (message.type() === 'error' && !(provoked && visitor.expectedStatuses.has(Number(provoked[1])))) visitor.troubles.push(`console: ${message.text()}`);
    });
    page.on('pageerror', (error) => visitor.troubles.push(`page: ${String(error)}`));
    page.on('requestfailed', (request) => {
      // Leaving a page ends what it was still reading; a save must never be among that.
      const ended = request.method() === 'GET' && request.failure()?.errorText === 'net::ERR_ABORTED';
      if (!ended && !isStream(request.url())) visitor.troubles.push(`request: ${request.method()} ${request.url()} ${request.failure()?.errorText}`);
    });
    // What holds a figure and its unit on one line is a space to whoever reads it.
    await page.evaluateOnNewDocument(() => {
      const read = Object.getOwnPropertyDescriptor(HTMLElement.prototype, 'innerText') as PropertyDescriptor & { get(): string };
      Object.defineProperty(HTMLElement.prototype, 'innerText', {
        ...read,
        get(this: HTMLElement): string {
          return read.get.call(this).replaceAll('\u00a0', ' ');
        },
      });
    });
    page.on('response', (response) => {
      if (response.status() >= 400 && !visitor.expectedStatuses.has(response.status())) visitor.troubles.push(`status ${response.status()}: ${response.url()}`);
    });
    return visitor;
  }

  /** To be said before a page is opened: no news of others reaches it, as where a stream is cut off or a finger lies on it. */
  async hearsNothing(): Promise<void> {
    await this.page.evaluateOnNewDocument(() => {
      window.addEventListener('visibilitychange', (event) => event.stopImmediatePropagation(), true);
      window.EventSource.prototype.addEventListener = () => undefined;
      window.BroadcastChannel.prototype.postMessage = () => undefined;
    });
  }

  async find(testId: string): Promise<ElementHandle<HTMLElement>> {
    await this.openRowOf(testId);
    const selector = `[data-testid="${testId}"]`;
    const found = (await this.page.$(selector)) ?? (await this.patiently(`'${testId}'`, this.page.waitForSelector(selector, { timeout: PATIENCE_MS })));
    return found as ElementHandle<HTMLElement>;
  }

  /** A person opens the row that something lies in, or the menu, before they look for it there. */
  private async openRowOf(testId: string): Promise<void> {
    const rows = IN_ROWS.filter(([ids]) => ids.test(testId));
    if (rows.length === 0) return;
    const wanted = `[data-testid="${testId}"]`;
    const headOf = ([, row, isMenu]: (typeof rows)[number]): string => (isMenu ? row : `fold-${row}`);
    // Until the page has one or the other.
    await this.page
      .waitForFunction(
        (...selectors) => selectors.some((one) => document.querySelector(one)),
        WAITING,
        wanted,
        ...rows.map((row) => `[data-testid="${headOf(row)}"]`),
      )
      .catch(() => undefined);
    for (const row of rows) {
      const head = headOf(row);
      const isClosed = (): Promise<boolean> =>
        this.page.evaluate(
          (own, closed, opened) => !document.querySelector(own) && !document.querySelector(opened) && document.querySelector(closed) !== null,
          wanted,
          row[2] ? `[data-testid="${head}"]` : `[data-testid="${head}"][aria-expanded="false"]`,
          `[data-testid="${row[2] ? 'menu' : row[1]}"]`,
        );
      if (!(await isClosed())) continue;
      // A row with a problem opens by itself, and a touch in that moment closes it.
      for (let tries = 0; tries < 3 && (await isClosed()); tries += 1) await this.press(head);
      return;
    }
  }

  /** Looks at a firing of the open piece, from 0, as its tile in the journey is touched. */
  async lookAtFiring(nth: number): Promise<void> {
    const ids = await this.ofAll('[data-fires]', (tiles) => tiles.map((tile) => tile.dataset.testid as string));
    await this.press(ids[nth]);
  }

  /** A wait that says what it waited for and, by its stack, where; the browser's own error knows neither. */
  private async patiently<T>(what: string, waiting: Promise<T>): Promise<T> {
    try {
      return await waiting;
    } catch (error) {
      await this.picture('waited-in-vain').catch(() => undefined);
      throw new Error(`Waited in vain for ${what} at ${this.page.url()}: ${(error as Error).message}${await this.unsaved()}`, { cause: error });
    }
  }

  /** What the page still keeps to be saved, for the words of a failure. */
  private unsaved(): Promise<string> {
    return this.page
      .evaluate(() =>
        Object.entries(localStorage)
          .filter(([key]) => key.startsWith('torvin-outbox:'))
          .map(([, kept]) => {
            const { entries } = JSON.parse(kept) as { entries: { name: string; on: number | null; refused?: unknown; variables: unknown }[] };
            return ` Not saved: ${entries.map(({ name, on, refused, variables }) => `${name} on ${on} ${JSON.stringify({ refused, variables }).slice(0, 800)}`).join('; ')}`;
          })
          .join(''),
      )
      .catch(() => '');
  }

  /** Waits until what this browser keeps of what it has read is as wanted: the keys of it. */
  async keptReadings(wanted: (keys: string[]) => boolean): Promise<void> {
    await this.page.bringToFront();
    const until = Date.now() + PATIENCE_MS;
    const read = (): Promise<string[]> =>
      this.page.evaluate(
        () =>
          new Promise<string[]>((resolve) => {
            const opened = indexedDB.open('torvin-readings');
            opened.onsuccess = () => {
              const asked = opened.result.transaction('queries').objectStore('queries').getAllKeys();
              asked.onsuccess = () => resolve(asked.result.map(String));
            };
          }),
      );
    for (let keys = await read(); !wanted(keys); keys = await read()) {
      if (Date.now() > until) throw new Error(`Waited in vain for other readings than ${keys.join(', ')}.`);
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  }

  /** Waits until the server has all that was changed here. */
  async settled(): Promise<void> {
    if (this.page.url() === 'about:blank') return;
    const saved = () =>
      Object.entries(localStorage).every(
        ([key, kept]) => !key.startsWith('torvin-outbox:') || (JSON.parse(kept) as { entries: unknown[] }).entries.length === 0,
      );
    await this.patiently('all to be saved', this.page.waitForFunction(saved, WAITING));
  }

  /** Closes the page once all of it is saved: the next test's page would take up what this one left, and be asked about it. */
  async leave(): Promise<void> {
    await this.settled();
    await this.page.close();
  }

  /** The page in front in this browser, as this test file has put it there. */
  private async toFront(): Promise<void> {
    if (inFront === this.page) return;
    await this.page.bringToFront();
    inFront = this.page;
  }

  /** Brings it into view as scrolling would, then touches or clicks it; once more where the page moved under the finger. */
  async press(testId: string): Promise<void> {
    await this.toFront();
    for (let tries = 0; tries < 5; tries += 1) {
      const element = await this.find(testId);
      const at = await element
        .evaluate((node) => {
          const watched = node as Watched;
          watched.hit = false;
          watched.beside = null;
          watched.acted = false;
          for (const event of ['pointerdown', 'touchstart', 'mousedown']) {
            node.addEventListener(event, () => (watched.hit = true), { once: true });
            const see = ({ target }: Event): void => {
              const id = (target as Element).closest('[data-testid]')?.getAttribute('data-testid') ?? null;
              if (node.contains(target as Element) || id === node.getAttribute('data-testid')) return;
              watched.beside = id;
              watched.acted = (target as Element).closest('a, button, [role=button], [role=checkbox], [role=radio], [role=switch], [role=tab]') !== null;
            };
            document.addEventListener(event, see, { once: true, capture: true });
          }
        })
        .then(
          () => this.standsStill(element),
          () => null,
        );
      const touched = await this.touch(element, at);
      const { hit, gone, beside, acted } = await element
        .evaluate((node) => {
          const { hit = false, beside = null, acted = false } = node as Watched;
          return { hit, gone: !node.isConnected, beside, acted };
        })
        .catch(() => ({ hit: true, gone: true, beside: null, acted: false }));
      // Another that has taken its place may have been hit; something else, that made it go or does something of its own, may not.
      if (touched && (gone || acted) && !hit && beside !== null) throw new Error(`'${testId}' moved under the finger, and '${beside}' was touched.`);
      if (touched && (hit || gone)) return;
    }
    throw new Error(`'${testId}' cannot be touched: something lies over it.`);
  }

  /** at: where it lies open; looked for by the browser where that is not known. False: the page put another in its place, or moved it out of sight, before the finger came down. */
  private async touch(element: ElementHandle<HTMLElement>, at: { x: number; y: number } | null): Promise<boolean> {
    try {
      if (at) await (this.touches ? this.page.touchscreen.tap(at.x, at.y) : this.page.mouse.click(at.x, at.y));
      else await (this.touches ? element.tap() : element.click());
      return true;
    } catch (error) {
      const hasMoved = error instanceof Error && error.message.includes('not clickable');
      if (!hasMoved && (await element.evaluate((node) => node.isConnected).catch(() => false))) throw error;
      return false;
    }
  }

  /**
   * A finger aims at what stands still and lies open: where something has just opened, closed or come in, the rest of the page may still
   * be moving, and what was scrolled to may have slid under the bar at the bottom. Where its middle is then; null where it does not come to lie open.
   */
  private async standsStill(element: ElementHandle<HTMLElement>): Promise<{ x: number; y: number } | null> {
    return element.evaluate(async (node) => {
      node.scrollIntoView({ block: 'center' });
      let last = '';
      for (let i = 0; i < 100; i += 1) {
        const { left, top, width, height } = node.getBoundingClientRect();
        const [x, y] = [left + width / 2, top + height / 2];
        const there = document.elementFromPoint(x, y);
        // What cannot be pressed yet is waited for.
        const isOpen = there !== null && (node.contains(there) || there.contains(node)) && node.ariaDisabled !== 'true';
        if (isOpen && last === `${left} ${top}`) return { x, y };
        if (!isOpen) node.scrollIntoView({ block: 'center' });
        last = `${left} ${top}`;
        await new Promise((resolve) => setTimeout(resolve, 20));
      }
      return null;
    });
  }

  async type(testId: string, text: string): Promise<void> {
    await this.toFront();
    const element = await this.find(testId);
    // The field selects its text a moment after it is focused; nobody types faster than that. Waited for by the page's own clock, whose
    // timers come in their order however busy it is.
    await element.evaluate((node) => {
      node.scrollIntoView({ block: 'center' });
      node.focus();
      (node as HTMLInputElement).select();
      return new Promise((resolve) => setTimeout(resolve, 60));
    });
    if (text === '') await this.page.keyboard.press('Backspace');
    else await this.page.keyboard.sendCharacter(text);
  }

  /** The same key by key. */
  async typeByKeys(testId: string, text: string): Promise<void> {
    await this.type(testId, '');
    await this.page.keyboard.type(text);
  }

  /** Sets a day and a time, as the browser's calendar would. */
  setTime(testId: string, at: Date): Promise<void> {
    return this.setCalendar(testId, new Date(at.getTime() - at.getTimezoneOffset() * 60e3).toISOString().slice(0, 16));
  }

  /** written: '2026-11-28', of a day; with 'T09:30' behind it of a day and a time. */
  async setCalendar(testId: string, written: string): Promise<void> {
    await (
      await this.find(testId)
    ).evaluate((node, value) => {
      const { set } = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value') ?? {};
      set?.call(node, value);
      node.dispatchEvent(new Event('input', { bubbles: true }));
    }, written);
  }

  /** Opens the page of a piece of that name; finding it in the list is driven where that is what is tried. */
  async goToPiece(name: string, address: string): Promise<void> {
    const { pieces } = (await (await fetch(`${address}/api/pieces?text=${encodeURIComponent(name)}`)).json()) as { pieces: { id: string; name: string }[] };
    const [piece] = pieces.filter((one) => one.name.startsWith(name));
    if (!piece) throw new Error(`There is no piece '${name}'.`);
    await this.page.goto(`${address}/pieces/${piece.id}`);
    await this.readPiece();
  }

  private async readPiece(): Promise<void> {
    await this.find('journey-add');
    await this.patiently(
      'a page that is read',
      this.page.waitForFunction(
        () => !document.body.innerText.includes('Reading …') && document.querySelector('[data-testid="next"]')?.getAttribute('aria-busy') !== 'true',
        WAITING,
      ),
    );
  }

  /** Opens a piece by its name, as one who looks for it in the list, and waits until all that its page shows has been read. */
  async openPiece(name: string): Promise<void> {
    await this.openFrom('piece-link', name);
    await this.readPiece();
  }

  /** Opens the plan of a piece's next firing by the button at its bottom edge. */
  async openPlan(): Promise<void> {
    await this.sees('next-act', /^Plan a firing$/);
    await this.press('next-act');
    await this.find('plan-bar');
  }

  /** Chooses what a firing should become, in its open plan: of the four likeliest, else of the others. */
  async chooseLook(look: string): Promise<void> {
    await this.find('plan-bar');
    if (!(await this.has(`look-${look}`))) await this.press('fold-more-looks');
    await this.press(`look-${look}`);
    const chosen = `[data-testid="look-${look}"][aria-checked="true"]`;
    await this.patiently(
      `'${look}' to be chosen`,
      this.page.waitForFunction((one) => document.querySelector(one), WAITING, chosen),
    );
  }

  /** Opens the newest firing in the Notebook that says so. */
  async openFiring(words: string): Promise<void> {
    await this.openFrom('firing-link', words);
    await this.find('firing-record');
  }

  private async openFrom(testId: string, words: string): Promise<void> {
    const link = (await this.patiently(
      `'${words}' in a ${testId}`,
      this.page.waitForFunction(
        (id, wanted) => [...document.querySelectorAll(`[data-testid="${id}"]`)].find((node) => (node as HTMLElement).innerText.includes(wanted)),
        WAITING,
        testId,
        words,
      ),
    )) as ElementHandle<HTMLElement>;
    const at = await this.standsStill(link);
    const path = await link.evaluate((node) => new URL((node as HTMLAnchorElement).href).pathname);
    await this.touch(link, at);
    await this.patiently(
      `the page ${path}`,
      this.page.waitForFunction((wanted) => location.pathname === wanted, WAITING, path),
    );
  }

  async text(testId: string): Promise<string> {
    return (await this.find(testId)).evaluate((node) => node.innerText.replace(/\s+/g, ' ').trim());
  }

  /** Waits until something answers to a selector, and tells what is asked of the first that does. */
  async of<T>(selector: string, tells: (node: HTMLElement) => T): Promise<T> {
    await this.patiently(`'${selector}'`, this.page.waitForSelector(selector, { timeout: PATIENCE_MS }));
    return (await this.page.$eval(selector, tells as (node: Element) => T)) as T;
  }

  /** The same of all that answer, once there is one. */
  async ofAll<T>(selector: string, tells: (nodes: HTMLElement[]) => T): Promise<T> {
    await this.patiently(`'${selector}'`, this.page.waitForSelector(selector, { timeout: PATIENCE_MS }));
    return (await this.page.$$eval(selector, tells as (nodes: Element[]) => T)) as T;
  }

  async has(testId: string): Promise<boolean> {
    return (await this.page.$(`[data-testid="${testId}"]`)) !== null;
  }

  /** Waits until the text of an element holds what is wanted. */
  async sees(testId: string, wanted: RegExp): Promise<string> {
    try {
      await this.openRowOf(testId);
      await this.page.waitForFunction(
        (id, source, flags) =>
          new RegExp(source, flags).test((document.querySelector(`[data-testid="${id}"]`) as HTMLElement | null)?.innerText.replace(/\s+/g, ' ') ?? ''),
        WAITING,
        testId,
        wanted.source,
        wanted.flags,
      );
    } catch {
      await this.picture(testId);
      throw new Error(
        `Waited for ${wanted} in '${testId}', which reads '${(await this.has(testId)) ? await this.text(testId) : 'nothing, it is not there'}'.${await this.unsaved()}`,
      );
    }
    return this.text(testId);
  }

  /** How much stands on the page, as it is. */
  async calm(): Promise<Calm> {
    await this.rest();
    return this.page.evaluate(() => {
      const isSeen = (node: Element | null): boolean => {
        for (let one = node; one && one.id !== 'root'; one = one.parentElement) {
          const { width, height } = one.getBoundingClientRect();
          const { display, visibility, opacity, overflow } = getComputedStyle(one);
          if (display === 'none' || visibility === 'hidden' || opacity === '0' || (width <= 1 && height <= 1 && overflow === 'hidden')) return false;
        }
        return true;
      };
      const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
      let words = 0;
      while (texts.nextNode()) {
        const { parentElement, textContent } = texts.currentNode;
        if (parentElement?.closest('#root') && isSeen(parentElement))
          words += (textContent ?? '').split(/\s+/).filter((one) => /[\p{L}\p{N}]/u.test(one)).length;
      }
      const touched =
        'button, a[href], input, select, textarea, [role=button], [role=link], [role=tab], [role=slider], [role=radio], [role=checkbox], [role=switch]';
      const scrolled = [...document.querySelectorAll('[data-testid="screen-scroll"]')].map((node) => node.scrollHeight);
      return {
        height: Math.max(...scrolled, 0),
        words,
        controls: [...document.querySelectorAll(touched)].filter((node) => isSeen(node)).length,
      };
    });
  }

  /** Waits until a bead stands at a temperature, in the unit shown. */
  async beadAt(index: number, degrees: number): Promise<void> {
    await this.patiently(
      `bead ${index} at ${degrees}`,
      this.page.waitForFunction(
        (id, value) => document.querySelector(`[data-testid="${id}"]`)?.getAttribute('aria-valuenow') === value,
        WAITING,
        `bead-${index}`,
        String(degrees),
      ),
    );
  }

  /** Waits until the page says something anywhere. */
  async reads(wanted: string): Promise<void> {
    await this.patiently(
      `the words '${wanted}'`,
      this.page.waitForFunction((text) => document.body.innerText.includes(text), WAITING, wanted),
    );
  }

  async readsNoMore(wanted: string): Promise<void> {
    await this.patiently(
      `'${wanted}' to go`,
      this.page.waitForFunction((text) => !document.body.innerText.includes(text), WAITING, wanted),
    );
  }

  /** Leaves a picture of a failure beside the test results. */
  private async picture(name: string): Promise<void> {
    mkdirSync('.check', { recursive: true });
    await this.page.screenshot({ path: `.check/${name}.png` });
  }

  async gone(testId: string): Promise<void> {
    await this.patiently(
      `'${testId}' to go`,
      this.page.waitForFunction((id) => !document.querySelector(`[data-testid="${id}"]`), WAITING, testId),
    );
  }

  async heading(wanted: RegExp): Promise<void> {
    await this.patiently(
      `the heading ${wanted}`,
      this.page.waitForFunction(
        (source) => [...document.querySelectorAll('h1')].some((node) => new RegExp(source).test(node.innerText)),
        WAITING,
        wanted.source,
      ),
    );
  }

  /** Waits until the view is at rest: nothing of it dimmed while it is read, and unchanged for a moment. */
  private async rest(): Promise<void> {
    const quiet = await this.page.evaluate(
      (patience) =>
        new Promise<boolean>((resolve) => {
          const started = performance.now();
          let changed = started;
          const watch = new MutationObserver(() => (changed = performance.now()));
          watch.observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true });
          const timer = setInterval(() => {
            const now = performance.now();
            const rests = now - changed > 200 && !document.querySelector('[aria-busy="true"]');
            if (!rests && now - started < patience) return;
            clearInterval(timer);
            watch.disconnect();
            resolve(rests);
          }, 50);
        }),
      PATIENCE_MS,
    );
    if (!quiet) throw new Error('The view did not come to rest.');
    await this.page.evaluate(() => document.fonts.ready);
  }

  /** What is wrong with the view as it stands: sideways overflow, small targets; asked for, serious accessibility findings. */
  async inspect({ withAxe = process.env.LONG === '1' } = {}): Promise<FoundOnView> {
    await this.rest();
    const geometry = await this.page.evaluate((least) => {
      const name = (node: Element): string =>
        `${node.tagName.toLowerCase()} ${node.getAttribute('data-testid') ?? node.getAttribute('aria-label') ?? node.textContent?.slice(0, 30) ?? ''}`;
      /** Clipped to a point on purpose: there for a screen reader alone, whatever its size would be. */
      const unseen = (node: Element | null): boolean => {
        if (!node || node.id === 'root') return false;
        const { width, height } = node.getBoundingClientRect();
        return (width <= 1 && height <= 1 && getComputedStyle(node).overflow === 'hidden') || unseen(node.parentElement);
      };
      const visible = (node: Element): boolean => {
        const style = getComputedStyle(node);
        const box = node.getBoundingClientRect();
        return box.width > 0 && box.height > 0 && style.visibility !== 'hidden' && style.opacity !== '0' && !unseen(node);
      };
      const all = [...document.querySelectorAll('#root *')].filter(visible);
      // What scrolls sideways on purpose holds its content; it must itself stay within the page.
      const scrolls = (node: Element): boolean => {
        for (let parent = node.parentElement; parent; parent = parent.parentElement) {
          if (['auto', 'scroll'].includes(getComputedStyle(parent).overflowX) && parent.scrollWidth > parent.clientWidth + 1)
            return parent.clientWidth <= innerWidth;
        }
        return false;
      };
      const beyond = (node: Element): boolean => node.getBoundingClientRect().right > innerWidth + 1 || node.getBoundingClientRect().left < -1;
      // A picture that lies under a drawing is cut off by it.
      const cutOff = (node: Element): boolean => node instanceof SVGImageElement && getComputedStyle(node.ownerSVGElement as Element).overflow === 'hidden';
      const overflow = all.filter((node) => beyond(node) && !scrolls(node) && !cutOff(node)).map(name);
      if (document.documentElement.scrollWidth > innerWidth) overflow.push('the page itself');
      const targets = all.filter((node) =>
        node.matches('button, a[href], input, textarea, [role=button], [role=link], [role=slider], [role=radio], [role=checkbox], [role=listbox]'),
      );
      const smallTargets = targets.flatMap((node) => {
        const box = node.getBoundingClientRect();
        return box.height < least - 0.5 || box.width < least - 0.5 ? [`${name(node)} ${Math.round(box.width)}×${Math.round(box.height)}`] : [];
      });
      // Two texts that both can be seen must not share more than the hair that line boxes always do.
      const words = all.filter((node) => {
        const own = [...node.childNodes].some((child) => child.nodeType === 3 && (child.textContent ?? '').trim() !== '');
        if (!own || node.closest('[aria-live], option, [aria-hidden="true"][hidden]')) return false;
        const box = node.getBoundingClientRect();
        const x = box.left + box.width / 2;
        const y = box.top + box.height / 2;
        if (x < 0 || y < 0 || x > innerWidth || y > innerHeight) return false;
        const seen = document.elementFromPoint(x, y);
        return seen !== null && (node.contains(seen) || seen.contains(node));
      });
      // What a scrolling or clipping parent hides is not there to be covered.
      const shown = (node: Element, { left, right, top, bottom }: DOMRect): { left: number; right: number; top: number; bottom: number } => {
        const box = { left, right, top, bottom };
        for (let parent = node.parentElement; parent; parent = parent.parentElement) {
          if (getComputedStyle(parent).overflow === 'visible') continue;
          const clip = parent.getBoundingClientRect();
          box.left = Math.max(box.left, clip.left);
          box.right = Math.min(box.right, clip.right);
          box.top = Math.max(box.top, clip.top);
          box.bottom = Math.min(box.bottom, clip.bottom);
        }
        return box;
      };
      const stays = (node: Element | null): boolean => node !== null && (getComputedStyle(node).position === 'sticky' || stays(node.parentElement));
      // Words in a sentence have a box for each of their lines. What of a node every pair asks for is found once.
      const boxes = words.flatMap((node) => {
        const [isStaying, dialog] = [stays(node), node.closest('[role="dialog"]')];
        return [...node.getClientRects()].map((rect) => ({ node, box: shown(node, rect), isStaying, dialog }));
      });
      const overlaps: string[] = [];
      boxes.forEach(({ node, box, isStaying, dialog }, i) =>
        boxes.slice(i + 1).forEach(({ node: other, box: second, ...its }) => {
          const across = Math.min(box.right, second.right) - Math.max(box.left, second.left);
          const down = Math.min(box.bottom, second.bottom) - Math.max(box.top, second.top);
          if (across <= 3 || down <= 4 || node.contains(other) || other.contains(node)) return;
          // What stays in sight while the rest scrolls is meant to lie over it, and a dialog over the page.
          if (isStaying !== its.isStaying || dialog !== its.dialog) return;
          overlaps.push(`'${node.textContent?.slice(0, 30)}' over '${other.textContent?.slice(0, 30)}'`);
        }),
      );
      return { overflow, overlaps, smallTargets };
    }, LEAST_TARGET_PX);
    if (!withAxe) return { ...geometry, accessibility: [] };
    if (!(await this.page.evaluate(() => 'axe' in window))) await this.page.evaluate(AXE);
    const accessibility = await this.page.evaluate(async () => {
      const { axe } = window as unknown as { axe: { run(how: object): Promise<{ violations: { impact: string; id: string; nodes: { html: string }[] }[] }> } };
      // What passed is counted, not described: that would take longer than the looking.
      const { violations } = await axe.run({ resultTypes: ['violations'], preload: false });
      return violations
        .filter(({ impact }) => impact === 'serious' || impact === 'critical')
        .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`);
    });
    return { ...geometry, accessibility };
  }

  /** Saves what was told of a firing, all the same where another was fired at that time. */
  async keepFiring(): Promise<void> {
    this.expectedStatuses.add(409);
    await this.press('save-firing');
    await this.patiently(
      'the record, or what is asked',
      this.page.waitForFunction(() => document.querySelector('[data-testid="firing-record"], [data-testid="save-at-once"]') !== null),
    );
    if (await this.has('save-at-once')) await this.press('save-at-once');
  }

  /** Fails the test if the view or anything before it had a fault. withAxe: axe too, which takes long; everywhere with LONG=1, else see views.test.ts. */
  async expectSound(view: string, how: { withAxe?: boolean } = {}): Promise<void> {
    expect({ view, ...(await this.inspect(how)), troubles: this.troubles }).toEqual({
      view,
      overflow: [],
      overlaps: [],
      smallTargets: [],
      accessibility: [],
      troubles: [],
    });
  }
}
