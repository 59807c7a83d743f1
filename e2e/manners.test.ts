/** Words and order: what is said once, what a touch explains, where a page is found again, what a keyboard and an ear meet. */
import { RECIPES } from '@torvin/core/look';
import { firingsOf } from '@torvin/core/piece';
import { v7 as uuid } from 'uuid';
import { wholePieces } from './server';
import { setting } from './setting';
import { PHONE, Visitor, WIDE } from './visitor';

const here = setting();
const { studio } = here;
const open = (me: Visitor, path: string): Promise<unknown> => me.page.goto(studio.address + path);

test('a caution is in full the first time for a kind of firing, then one line that opens, and in full again after 90 days', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  const height = (begins: string): Promise<number> =>
    me.page.evaluate((wanted) => {
      const words = [...document.querySelectorAll<HTMLElement>('#root *')].filter(
        (node) => node.children.length === 0 && (node.textContent ?? '').startsWith(`Take care. ${wanted}`),
      );
      return words.at(-1)?.getBoundingClientRect().height ?? 0;
    }, begins);
  const openRun = async (name: string): Promise<void> => {
    await me.goToPiece(name, studio.address);
    await me.press('open-run');
    await me.reads('A hot kiln burns');
  };
  const TACK = 'Edges of a tack';
  await openRun('Plaque no. 14');
  expect(await height(TACK)).toBeGreaterThan(40);
  // That of every kiln is a line here: it is in full where the firing is started.
  expect(await height('A hot kiln burns')).toBeLessThan(30);
  await openRun('Plaque no. 14');
  expect(await height(TACK)).toBeGreaterThan(0);
  expect(await height(TACK)).toBeLessThan(30);
  await me.press('caution-line');
  expect(await height(TACK)).toBeGreaterThan(40);
  await me.press('caution-line');
  expect(await height('A hot kiln burns')).toBeGreaterThan(60);
  await me.expectSound('cautions opened');
  // A quarter of a year later it is news again.
  await me.page.evaluate(() => {
    const kept = JSON.parse(localStorage.getItem('torvin.cautions-met') ?? '[]') as [string, number][];
    localStorage.setItem('torvin.cautions-met', JSON.stringify(kept.map(([mark, at]) => [mark, at - 91 * 24 * 3600e3])));
  });
  await openRun('Plaque no. 14');
  expect(await height(TACK)).toBeGreaterThan(40);
  // Another kind of firing has not had its own yet.
  await openRun('Sundial disc');
  const own = RECIPES.fullFuse.care.slice(0, 20);
  expect(await height(own)).toBeGreaterThan(40);
  await me.page.close();
});

test('heat work, tension and the rest have a sentence at a touch, and why? begins in plain words', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await me.goToPiece('Plaque no. 14', studio.address);
  await me.press('open-run');
  await me.sees('live-work', /of \d+–\d+/);
  await me.press('live-work');
  await me.sees('term', /temperature and time together/);
  await me.press('live-tension');
  await me.sees('term', /breaks by being pulled/);
  await me.sees('live-tension', /psi/);
  await me.expectSound('a term explained');
  await me.press('live-tension');
  await me.gone('term');
  await me.press('run-row-1');
  await me.press('why-squeeze');
  expect(await me.text('why-squeeze-lines')).toMatch(/^Sheets must settle while their rim is still open[^0-9=]*Simulated \d/);
  await me.press('close-segment-sheet');
  await me.page.close();
});

test('a broken limit has a line of its own: nothing moves, no row and no curve is covered', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await me.goToPiece('Plaque no. 14', studio.address);
  await me.press('open-run');
  await me.sees('limits-kept', /^Keeps every limit\.$/);
  const boxes = (strip: string) =>
    me.page.evaluate((id) => {
      const box = (name: string) => document.querySelector(`[data-testid="${name}"]`)!.getBoundingClientRect();
      const scroll = document.querySelector('[data-testid="screen-scroll"]')!;
      return {
        strip: box(id).bottom,
        row: box('run-row-0').top + scroll.scrollTop,
        height: box(id).height,
        above: box('live-figures').bottom,
        top: box(id).top,
      };
    }, strip);
  const before = await boxes('limits-kept');
  await me.press('run-row-2');
  await me.type('step-target', '800');
  await me.page.keyboard.press('Enter');
  await me.sees('broken-limits', /Work/);
  const after = await boxes('broken-limits');
  expect(after.height).toBe(before.height);
  expect(after.row).toBeCloseTo(before.row, 0);
  expect(after.top).toBeGreaterThanOrEqual(after.above - 1);
  await me.press('close-segment-sheet');
  await me.press('undo');
  await me.find('limits-kept');
  await me.page.close();
});

test('a spell of editing is one version, and the one Undo of a wide screen says what it undoes', async () => {
  const me = await Visitor.open(here.browser, WIDE);
  await me.goToPiece('Lamp panel, left', studio.address);
  await me.press('open-run');
  await me.press('run-row-2');
  for (let i = 0; i < 5; i += 1) {
    await me.press('step-hold-more');
    await me.page.waitForFunction((wanted) => document.querySelector('[data-testid="schedule-state"]')?.textContent === wanted, {}, 'changed by hand');
  }
  await me.press('close-segment-sheet');
  await me.page.waitForFunction(() =>
    [...document.querySelectorAll('[data-testid="undo"]')].every((node) => /schedule changed/.test((node as HTMLElement).innerText)),
  );
  const said = await me.ofAll('[data-testid="undo"]', (nodes) => nodes.map((node) => node.innerText));
  expect(said).toHaveLength(1);
  for (const words of said) expect(words).toMatch(/^Undo: schedule changed/);
  await me.press('fold-versions');
  await me.sees('versions', /in use/);
  const edited = await me.ofAll('[data-testid^="version-name-"]', (nodes) => nodes.length);
  expect(edited).toBe(2);
  await me.page.close();
});

test('a layer can be laid again, and grains or rods can begin a piece', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  for (const [form, words] of [
    ['frit', /Frit/],
    ['rod', /Rod/],
  ] as const) {
    await open(me, '/pieces/new');
    await me.type('field-name', `Only ${form}`);
    await me.type('field-width', '180');
    await me.type('field-length', '240');
    await me.press(`first-form-${form}`);
    await me.expectSound(`a piece of ${form}`);
    await me.press('save-piece');
    await me.sees('layer-row-0', words);
    await me.press('layer-row-0');
    await me.press('layer-repeat');
    await me.sees('layer-sheet', /layer 2 of 2/);
    await me.press('close-layer-sheet');
    await me.page.waitForFunction(() => document.querySelector('[data-testid="undo"]')?.getAttribute('aria-label')?.endsWith('laid again'));
    await me.openPlan();
    await me.press('compute');
    await me.sees('live-work', /%/);
    await me.press('run-row-0');
    await me.sees('segment-sheet', form === 'frit' ? /loose grains/ : /loose rods/);
  }
  await me.page.close();
});

test('two glasses side by side in one layer lie at one height and make no depth of two', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await open(me, '/pieces/new');
  await me.type('field-name', 'Two blues');
  await me.type('field-width', '180');
  await me.type('field-length', '240');
  await me.press('save-piece');
  for (const [cover, glass] of [
    ['60', 'rose-90'],
    ['40', 'clear-90'],
  ]) {
    await me.press('add-layer');
    await me.press('add-rod');
    await me.press(`glass-${glass}`);
    await me.type('layer-cover', cover);
    await me.page.keyboard.press('Enter');
    await me.press('close-layer-sheet');
  }
  await me.sees('fit', /Clear beside Dune rose/);
  // 3 mm of sheet and one row of 5 mm rods, π/4 of their diameter, from rim to rim.
  await me.sees('figure-depth', /^thickness 6\.9 mm/);
  await me.expectSound('two glasses in one layer');
  await me.page.close();
});

test('what is searched, how it is narrowed and the place in the list stand in the address', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await open(me, '/notebook');
  await me.type('notebook-search', 'low kiln');
  await me.press('filter-result-right');
  await me.page.waitForFunction(() => location.search === '?q=low%20kiln&came=right');
  const count = await me.text('notebook-count');
  await me.page.reload();
  expect(await me.sees('notebook-count', /found/)).toBe(count);
  expect(await me.of('[data-testid="notebook-search"]', (node) => (node as HTMLInputElement).value)).toBe('low kiln');
  // A low window, so that the list is longer than it.
  await me.page.setViewport({ ...PHONE, height: 480 });
  await me.of('[data-testid="screen-scroll"]', (node) => (node.scrollTop = 620));
  await me.page.waitForFunction(() => /row=\d/.test(location.search));
  const top = (): Promise<string> =>
    me.page.evaluate(() => {
      const rows = [...document.querySelectorAll<HTMLElement>('[data-testid="firing-link"]')];
      return rows.find((row) => row.getBoundingClientRect().top > -60)?.innerText ?? '';
    });
  const first = await top();
  expect(first).not.toBe('');
  await me.page.reload();
  await me.find('firing-link');
  await me.page.waitForFunction(() => (document.querySelector('[data-testid="screen-scroll"]')?.scrollTop ?? 0) > 300);
  expect(await top()).toBe(first);
  // Into a firing and back by its own link: the list is as it was.
  await (await me.find('firing-link')).tap();
  await me.find('firing-record');
  expect(Object.fromEntries(new URL(me.page.url()).searchParams)).toMatchObject({ q: 'low kiln', came: 'right' });
  await me.of('[aria-label="Back to Notebook"]', (node) => node.click());
  expect(await me.sees('notebook-count', /found/)).toBe(count);
  await me.page.close();
});

test('a long list stays where it was scrolled while more of it is read', async () => {
  const [piece] = (await wholePieces(studio.address)).filter(({ name }) => name === 'Test tiles, clear');
  for (let i = 0; i < 90; i += 1) {
    const body = {
      ...{ id: uuid(), pieceId: piece.id, scheduleId: firingsOf(piece.doc)[0].scheduleId, zone: 'Europe/Lisbon', result: 'right', asItIs: true, atOnce: true },
      firedAt: Date.now() - (400 + 30 * i) * 3600e3,
    };
    const saved = await fetch(`${studio.address}/api/firings`, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) });
    expect(saved.status).toBeLessThan(300);
  }
  const me = await Visitor.open(here.browser, PHONE);
  await open(me, '/notebook');
  await me.find('firing-link');
  const tops: number[] = [];
  // Where more is still being read it stays for a moment; it never goes back.
  for (let i = 0; i < 60 && (tops.at(-1) ?? 0) <= 60 * 104; i += 1) {
    await me.of('[data-testid="screen-scroll"]', (node) => (node.scrollTop += 600));
    await new Promise((resolve) => setTimeout(resolve, 250));
    tops.push(await me.of('[data-testid="screen-scroll"]', (node) => node.scrollTop));
  }
  tops.slice(1).forEach((top, i) => expect(top).toBeGreaterThanOrEqual(tops[i]));
  expect(tops.at(-1)).toBeGreaterThan(60 * 104);
  await me.page.close();
});

test('a firing recorded in another zone shows the clock that hung there', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await open(me, '/notebook');
  await me.openFiring('Lamp panel, left');
  const id = new URL(me.page.url()).pathname.split('/').at(-1);
  const { firing } = (await (await fetch(`${studio.address}/api/firings/${id}`)).json()) as {
    firing: { firedAt: number; version: number } & Record<string, unknown>;
  };
  const told = Object.fromEntries(['result', 'lookReached', 'place', 'note', 'asFired', 'photos', 'knownBy'].map((key) => [key, firing[key]]));
  const saved = await fetch(`${studio.address}/api/firings/${id}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ ...told, firedAt: firing.firedAt, version: firing.version, zone: 'America/New_York' }),
  });
  expect(saved.status).toBe(200);
  const there = new Intl.DateTimeFormat('en-GB', { timeZone: 'America/New_York', hour: '2-digit', minute: '2-digit' }).format(firing.firedAt);
  await me.page.reload();
  await me.reads(`${there} (New York time)`);
  await me.sees('run-row-0', new RegExp(there));
  await open(me, '/notebook');
  await me.reads(`${there} (New York time)`);
  await me.page.close();
});

test('on a wide screen the Notebook opens the latest, and Kiln draws the running load', async () => {
  const me = await Visitor.open(here.browser, WIDE);
  await open(me, '/notebook');
  await me.sees('firing-record', /not opened/);
  const latest = await me.of('[data-testid="firing-link"]', (node) => node.innerText.split('\n')[0]);
  await me.heading(new RegExp(latest));
  await open(me, '/pieces');
  await me.find('section-editor');
  await open(me, '/bench');
  await me.find('opens');
  expect(await me.has('true-time')).toBe(false);
  await open(me, '/kiln');
  await me.find('running-drawing');
  const drawn = await me.of('[data-testid="running-drawing"] [data-testid="true-time"] svg', (node) => node.getAttribute('aria-label') ?? '');
  expect(drawn).toMatch(/now at .*check from .*may be opened at/);
  const seen = await me.of('[data-testid="running-drawing"]', (node) => node.getBoundingClientRect().width);
  expect(seen).toBeGreaterThan(500);
  await me.expectSound('a kiln with its load drawn');
  await me.page.close();
});

test('a keyboard skips to the page, every pane is a landmark, and a page that comes is announced', async () => {
  const me = await Visitor.open(here.browser, WIDE);
  await me.goToPiece('Plaque no. 14', studio.address);
  await me.press('open-run');
  await me.find('run-row-0');
  const landmarks = await me.page.evaluate(() => {
    const outside = [...document.querySelectorAll('#root *')].filter((node) => {
      const words = [...node.childNodes].some((child) => child.nodeType === 3 && (child.textContent ?? '').trim() !== '');
      return (
        words && !node.closest('[role="main"], main, nav, [role="navigation"], section[aria-label], [role="region"][aria-label], [role="status"], a[href^="#"]')
      );
    });
    return { mains: document.querySelectorAll('[role="main"], main').length, outside: outside.map((node) => node.textContent?.slice(0, 40)) };
  });
  expect(landmarks).toEqual({ mains: 1, outside: [] });
  await me.sees('page-announced', /^Plaque no\. 14, tack fuse$/);
  await me.page.reload();
  await me.find('run-row-0');
  await me.page.keyboard.press('Tab');
  expect(await me.page.evaluate(() => document.activeElement?.getAttribute('data-testid'))).toBe('skip-link');
  await me.page.keyboard.press('Enter');
  expect(await me.page.evaluate(() => document.activeElement?.id)).toBe('main');
  await me.page.evaluate(() => [...document.querySelectorAll('a')].find((link) => link.textContent === 'Notebook')?.click());
  await me.sees('page-announced', /^(Notebook|Bird-bath basin)$/);
  await me.page.close();
});

test('a drawer is left by Escape and by Back; focus goes in and comes back', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await open(me, '/pieces');
  await me.goToPiece('Plaque no. 14', studio.address);
  const focused = (): Promise<string> => me.page.evaluate(() => document.activeElement?.closest('[data-testid]')?.getAttribute('data-testid') ?? '');
  const openSheet = async (): Promise<void> => {
    await (await me.find('layer-row-1')).focus();
    await me.page.keyboard.press('Enter');
    await me.find('layer-sheet');
    await me.page.waitForFunction(() => (history.state as { over?: boolean }).over === true);
    expect(await focused()).toBe('layer-sheet');
  };
  const steps = (n: number): Promise<void> => me.page.evaluate((by) => history.go(by), n);
  const heading = (words: string): Promise<unknown> => me.page.waitForFunction((wanted) => document.querySelector('h1')?.textContent === wanted, {}, words);
  await openSheet();
  await me.page.keyboard.press('Escape');
  await me.gone('layer-sheet');
  expect(await focused()).toBe('layer-row-1');
  await me.page.waitForFunction(() => (history.state as { over?: boolean }).over === undefined);

  await openSheet();
  await steps(-1);
  await me.gone('layer-sheet');
  await heading('Plaque no. 14');
  expect(await focused()).toBe('layer-row-1');

  // Left open under another page, it is gone when one comes back, and costs no step.
  await openSheet();
  await me.page.evaluate(() => document.querySelector<HTMLElement>('[role="navigation"] a[href="/bench"]')?.click());
  await heading('Bench');
  await steps(-1);
  await heading('Plaque no. 14');
  await steps(-1);
  await heading('Pieces');
  expect(me.troubles).toEqual([]);
  await me.page.close();
});

test('the space bar chooses among options and ticks boxes, once each', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await open(me, '/shelves/glasses/new');
  const state = (id: string): Promise<string | null> => me.of(`[data-testid="${id}"]`, (node) => node.getAttribute('aria-checked'));
  const press = async (id: string): Promise<void> => {
    await (await me.find(id)).focus();
    await me.page.keyboard.press('Space');
  };
  for (const id of ['glass-family-soft-90', 'glass-form-rod']) {
    await me.find(id);
    expect(await state(id)).toBe('false');
    await press(id);
    expect(await state(id)).toBe('true');
  }
  await press('glass-form-rod');
  expect(await state('glass-form-rod')).toBe('false');
  await me.page.close();
});

test.each([
  ['a phone on its side', { ...PHONE, width: 844, height: 390 }],
  ['a wide window enlarged to 200 %', { ...WIDE, width: 640, height: 400 }],
  ['a phone enlarged to 200 %', { ...PHONE, width: 195, height: 422 }],
])('on %s the drawing stays in sight beside or over what changes it', async (_, size) => {
  const me = await Visitor.open(here.browser, size);
  await me.goToPiece('Plaque no. 14', studio.address);
  await me.press('layer-row-1');
  const sheet = await (await me.find('layer-sheet')).boundingBox();
  await (await me.find('section-editor')).evaluate((node) => node.scrollIntoView({ block: 'center' }));
  const drawing = await (await me.find('section-editor')).boundingBox();
  if (!sheet || !drawing) throw new Error('Not on the screen.');
  const seen = Math.min(drawing.y + drawing.height, sheet.x > drawing.x ? size.height : sheet.y) - Math.max(drawing.y, 0);
  expect(seen).toBeGreaterThan(Math.min(drawing.height, 100) - 1);
  expect(sheet.width).toBeGreaterThan(190);
  await me.page.close();
});

test('a page that cannot be drawn says so and leads on', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await me.page.setRequestInterception(true);
  me.page.on('request', (request) => {
    if (new URL(request.url()).pathname !== '/api/pieces') return void request.continue();
    void request.respond({ status: 200, contentType: 'application/json', body: '{"pieces":[{"id":"x","name":"Nothing in it"}],"total":1,"next":null}' });
  });
  await open(me, '/pieces');
  await me.sees('broken', /could not be drawn.*what was saved is safe/s);
  expect(await me.inspect()).toEqual({ overflow: [], overlaps: [], smallTargets: [], accessibility: [] });
  await me.press('leave-broken');
  await me.heading(/Bench/);
  await me.page.close();
});
