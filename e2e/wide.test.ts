/** What a wide window shows beside one another, at 1280 × 800. */
import { firingsOf } from '@torvin/core/piece';
import { wholePieces } from './server';
import { setting } from './setting';
import { PHONE, Visitor, WIDE } from './visitor';

const here = setting();
const { studio } = here;
let me: Visitor;

beforeAll(async () => {
  me = await Visitor.open(here.browser, WIDE);
  await me.page.goto(`${studio.address}/pieces`);
});

test('pieces and a piece stand side by side', async () => {
  await me.openPiece('Plaque no. 14');
  await me.find('open-run');
  const boxes = await Promise.all(['piece-link', 'open-run'].map(async (id) => (await me.find(id)).boundingBox()));
  expect(boxes[1]?.x).toBeGreaterThan((boxes[0]?.x ?? 0) + (boxes[0]?.width ?? 0));
});

test('the lay-up stands beside its run sheet, which has one curve, and one Undo is for both; in true time it is one row further', async () => {
  await me.press('open-run');
  await me.find('live-figures');
  expect(await me.has('figure-depth')).toBe(true);
  const [row, layup] = await Promise.all(['run-row-0', 'section-editor'].map(async (id) => (await me.find(id)).boundingBox()));
  expect(layup?.x).toBeLessThan(row?.x ?? 0);
  expect(await me.has('true-time')).toBe(false);
  expect(await me.ofAll('[data-testid="undo"]', (nodes) => nodes.length)).toBe(1);
  await me.press('run-row-2');
  await me.find('segment-sheet');
  await me.expectSound('run sheet with open figures');
  await me.press('close-segment-sheet');
  await me.press('fold-by-the-clock');
  await me.find('true-time');
  await me.expectSound('the curve in true time');
  // What is drawn stands in tables too.
  const table = (id: string): Promise<string[][]> =>
    me.ofAll(`[data-testid="${id}"] tbody tr`, (rows) => rows.map((row) => [...row.children].map((cell) => cell.textContent ?? '')));
  expect((await table('clock-table')).length).toBeGreaterThan(3);
  expect((await table('section-table')).map(([, name, form]) => `${name} ${form}`)).toEqual(['Harbour blue sheet', 'Clear sheet', 'Dune rose pieces']);
});

test('hidden tables are clipped whole, in a face that ships, whatever widths another machine writes them in', async () => {
  const stretched = await me.page.addStyleTag({ content: 'table { letter-spacing: 12px !important }' });
  const tables = await me.ofAll('table', (all) =>
    all.map((table) => {
      const hides = table.closest('div') as HTMLElement;
      const most = hides.getBoundingClientRect().width + 1;
      const wider = [table, ...table.querySelectorAll('*')].filter((node) => node.getBoundingClientRect().width > most).map(({ tagName }) => tagName);
      return { id: table.dataset.testid, face: getComputedStyle(table).fontFamily, wider };
    }),
  );
  expect(tables.length).toBeGreaterThanOrEqual(2);
  for (const one of tables) expect(one).toMatchObject({ face: expect.stringMatching(/^AtkinsonHyperlegibleNext/), wider: [] });
  await stretched.evaluate((style) => (style as HTMLElement).remove());
});

test('T turns a coated sheet over, and says so where there is nothing to turn', async () => {
  await me.goToPiece('Test tiles, clear', studio.address);
  await me.press('layer-row-1');
  await me.press('glass-shimmer-90');
  await me.sees('coating', /lies bare/);
  await (await me.find('section-editor')).focus();
  await me.page.keyboard.press('t');
  await me.sees('coating', /faces down/);
  await me.page.keyboard.press('ArrowDown');
  await me.sees('layer-sheet', /layer 1 of 2/);
  await me.page.keyboard.press('t');
  await me.reads('has no coating: both its sides are alike');
});

test('notebook and firing stand side by side', async () => {
  await me.page.goto(`${studio.address}/notebook`);
  await me.press('firing-link');
  await me.find('firing-record');
  expect(await me.has('firing-link')).toBe(true);
});

test('keys go to the places, search, undo, and list themselves', async () => {
  const keys = async (...pressed: string[]): Promise<void> => {
    for (const key of pressed) await me.page.keyboard.press(key as 'g');
  };
  await me.page.goto(`${studio.address}/bench`);
  await me.heading(/^Bench$/);
  await keys('g', 's');
  // The shelf stands beside its first record, whose page has the heading.
  await me.find('new-record');
  await keys('g', 'n');
  await me.find('notebook-search');
  await keys('/');
  await me.find('find-field');
  await me.page.keyboard.type('gn');
  // In the field keys are text.
  expect(await (await me.find('find-field')).evaluate((node) => (node as HTMLInputElement).value)).toBe('gn');
  await me.page.keyboard.press('Escape');
  await me.gone('find');
  await me.goToPiece('Tray, smallest of three', studio.address);
  await me.press('journey-0');
  await me.press('layer-row-1');
  await me.press('layer-depth-more');
  await me.sees('figure-depth', /7 mm/);
  await me.press('close-layer-sheet');
  await keys('u');
  await me.sees('figure-depth', /6 mm/);
  const chord = async (key: 'z' | 'Z'): Promise<void> => {
    await me.page.keyboard.down('Control');
    await me.page.keyboard.press(key);
    await me.page.keyboard.up('Control');
  };
  await me.page.keyboard.down('Shift');
  await chord('Z');
  await me.page.keyboard.up('Shift');
  await me.sees('figure-depth', /7 mm/);
  await chord('z');
  await me.sees('figure-depth', /6 mm/);
  await me.page.keyboard.press('?');
  await me.sees('shortcuts', /undo on a piece/);
  await me.expectSound('the list of keys');
  await me.press('letters');
  await me.page.keyboard.press('Escape');
  await me.gone('shortcuts');
  await keys('n');
  await me.page.keyboard.press('?');
  await me.press('letters');
  await me.page.keyboard.press('Escape');
  await me.gone('shortcuts');
  await me.heading(/Tray, smallest of three/);
  await keys('n');
  await me.heading(/New piece/);
});

test('a tablet that is turned keeps what is typed and which figures are open', async () => {
  const turned = { width: 1180, height: 820 };
  const upright = { width: 820, height: 1180 };
  const turn = async (size: { width: number; height: number }, shown: boolean): Promise<void> => {
    await me.page.setViewport(size);
    await me.page.waitForFunction((there) => (document.querySelector('[data-testid="piece-link"]') !== null) === there, {}, shown);
  };
  await me.page.setViewport(upright);
  await me.page.goto(`${studio.address}/pieces/new`);
  await me.type('field-name', 'Half typed');
  await turn(turned, true);
  expect(await (await me.find('field-name')).evaluate((node) => (node as HTMLInputElement).value)).toBe('Half typed');
  await me.openPiece('Plaque no. 14');
  await me.press('layer-row-1');
  await me.find('layer-sheet');
  await turn(upright, false);
  await me.find('layer-sheet');
  await me.page.setViewport(WIDE);
});

test('an address that leads nowhere says so', async () => {
  await me.page.goto(`${studio.address}/nowhere`);
  await me.heading(/Nothing here/);
  await me.expectSound('nowhere');
});

test('the interface for programs is a page: each call with what it takes, tried and answered, and nothing read from elsewhere', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  const asked: string[] = [];
  me.page.on('request', (request) => asked.push(request.url()));
  await me.page.goto(`${here.studio.address}/api`);
  const inPage = (act: string): Promise<unknown> =>
    me.page.waitForFunction(`(() => { const root = document.querySelector('rapi-doc')?.shadowRoot; return root && (${act})(root); })()`, { timeout: 30_000 });
  await inPage(`(root) => { const head = root.querySelector('[id="get-/api/health"] .endpoint-head'); head?.click(); return Boolean(head); }`);
  await inPage(
    `(root) => { const button = root.querySelector('api-request')?.shadowRoot?.querySelector('.m-btn.primary'); button?.click(); return Boolean(button); }`,
  );
  await inPage(`(root) => /OK:200/.test(root.querySelector('api-request').shadowRoot.textContent)`);
  expect(asked.filter((url) => !url.startsWith(here.studio.address) && !url.startsWith('data:'))).toEqual([]);
  expect(me.troubles).toEqual([]);
  await me.page.close();
});

/** As a person sets the letters of their browser: larger by a third. */
async function withLargeLetters(me: Visitor): Promise<void> {
  await me.page.evaluateOnNewDocument(() => {
    const set = (): void => void (document.documentElement && (document.documentElement.style.fontSize = '20.8px'));
    set();
    new MutationObserver(set).observe(document, { childList: true });
  });
}

const stepOf = async (name: string): Promise<{ id: string; step: string }> => {
  const [piece] = (await wholePieces(studio.address)).filter((one) => one.name === name);
  return { id: piece.id, step: firingsOf(piece.doc)[0].id };
};

/** Between the names in the bar, px. */
const gapsInBar = (me: Visitor): Promise<number[]> =>
  me.page.evaluate(() => {
    const names = [...document.querySelectorAll('[role="navigation"] a [dir="auto"], [data-testid="open-reckon"] [dir="auto"]')].map((node) => {
      const range = document.createRange();
      range.selectNodeContents(node);
      return range.getBoundingClientRect();
    });
    return names.slice(1).map(({ left }, i) => left - names[i].right);
  });

test.each([
  ['390 px wide, letters larger by a third', PHONE, true],
  ['320 px wide', { ...PHONE, width: 320, height: 640 }, false],
] as const)('%s: figures keep their unit on their line, names in the bar stay apart, nothing runs out of the page', async (_, size, isLarge) => {
  const me = await Visitor.open(here.browser, size);
  if (isLarge) await withLargeLetters(me);
  const { id, step } = await stepOf('Plaque no. 14');
  for (const [page, shown] of [
    ['key-in', 'key-in-0'],
    ['run', 'run-row-0'],
  ]) {
    await me.page.goto(`${studio.address}/pieces/${id}/${page}?step=${step}`);
    await me.find(shown);
    if (page === 'run') await me.sees('live-work', /%/);
    const lines = await me.ofAll('[data-figure]', (all) =>
      all.map((node) => Math.round(node.getBoundingClientRect().height / parseFloat(getComputedStyle(node).lineHeight))),
    );
    expect(Math.max(...lines)).toBe(1);
    expect(Math.min(...(await gapsInBar(me)))).toBeGreaterThanOrEqual(3);
    await me.expectSound(`${page} at ${size.width}`);
  }
  const beyond = await me.ofAll(
    '[data-testid="live-figures"] [data-testid^="live-"] *',
    (all) => all.filter((node) => node.getBoundingClientRect().right > innerWidth).length,
  );
  expect(beyond).toBe(0);
  await me.page.close();
});

test('where the browser has its own colours for all, the open place, the chosen step and how full a bar is are still to be seen', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  const session = await me.page.createCDPSession();
  await session.send('Emulation.setEmulatedMedia', { features: [{ name: 'forced-colors', value: 'active' }] });
  const { id, step } = await stepOf('Plaque no. 14');
  await me.page.goto(`${studio.address}/pieces/${id}/run?step=${step}`);
  await me.sees('live-work', /%/);
  const edges = await me.ofAll('[role="navigation"] a', (links) =>
    links.map((link) => [link.getAttribute('aria-current'), parseFloat(getComputedStyle(link.firstElementChild as Element).borderTopWidth)]),
  );
  expect(edges).toEqual([
    [null, 0],
    ['page', 4],
    [null, 0],
    [null, 0],
    [null, 0],
  ]);
  const bars = await me.ofAll('[data-share]', (all) =>
    all.map((node) => [
      parseFloat(getComputedStyle(node).borderTopWidth),
      node.getBoundingClientRect().width / (node.parentElement as HTMLElement).getBoundingClientRect().width,
    ]),
  );
  expect(bars.length).toBeGreaterThanOrEqual(3);
  for (const [thick, share] of bars) {
    expect(thick).toBe(5);
    expect(share).toBeGreaterThan(0.1);
    expect(share).toBeLessThanOrEqual(1);
  }
  await me.page.goto(`${studio.address}/pieces/${id}`);
  await me.find('journey');
  const tiles = await me.ofAll('[data-testid^="journey-"][aria-pressed]', (all) =>
    all.map((tile) => [tile.getAttribute('aria-pressed'), parseFloat(getComputedStyle(tile.querySelector('[aria-hidden]') as Element).borderTopWidth)]),
  );
  for (const [chosen, edge] of tiles) expect(edge).toBe(chosen === 'true' ? 2 : 1);
  await me.page.close();
});

test('headings follow one another without a gap, and a page is named by its piece first', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  const { id, step } = await stepOf('Plaque no. 14');
  const levels = (): Promise<number[]> =>
    me.ofAll('h1, h2, h3, h4, [role="heading"]', (all) => all.map((node) => Number(node.getAttribute('aria-level') ?? node.tagName.slice(1))));
  await me.page.goto(`${studio.address}/pieces/${id}/key-in?step=${step}`);
  await me.find('key-in-0');
  expect(await me.page.title()).toBe('Plaque no. 14, key in · Torvin');
  (await levels()).forEach((level, i, all) => expect(level - (all[i - 1] ?? 0)).toBeLessThanOrEqual(1));
  await me.press('open-deck');
  await me.find('deck-figure');
  expect(await me.of('[data-testid="deck-segment"]', (node) => [node.tagName, node.innerText])).toEqual(['H1', 'Segment 1 of 6, warm up']);
  await me.press('close-deck');
  await me.page.goto(`${studio.address}/pieces/${id}/run?step=${step}`);
  await me.find('run-row-0');
  expect(await me.page.title()).toBe('Plaque no. 14, tack fuse · Torvin');
  await me.page.close();
});
