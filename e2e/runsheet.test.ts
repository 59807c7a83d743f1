/** The run sheet's panels: rows added and split, versions, schools, equal work, polariser, print and files. */
import { readdirSync, readFileSync, mkdtempSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setting } from './setting';
import { PHONE, Visitor } from './visitor';

const here = setting();
const { studio } = here;
let me: Visitor;

beforeEach(async () => {
  me = await Visitor.open(here.browser, PHONE);
  await me.goToPiece('Plaque no. 14', studio.address);
  await me.press('open-run');
  await me.sees('schedule-state', /calculated|by hand/);
});
afterEach(() => me.leave());

const rows = (): Promise<number> => me.ofAll('[data-testid^="run-row-"]', (nodes) => nodes.length);

/** Presses what changes the rows and waits until there are so many, saved. */
async function rowsAfter(pressed: string, wanted: number, state = /^changed by hand$/): Promise<void> {
  await me.press(pressed);
  await me.page.waitForFunction((count) => document.querySelectorAll('[data-testid^="run-row-"]').length === count, {}, wanted);
  // What follows at once would be the same change.
  await me.sees('schedule-state', state);
}

test('a row is split, added, joined and removed; undo takes each back, calculated stands beside', async () => {
  const before = await rows();
  await me.press('run-row-2');
  await rowsAfter('segment-split', before + 1);
  await rowsAfter('segment-join', before);
  await rowsAfter('segment-add', before + 1);
  await me.expectSound('rows changed');
  await rowsAfter('segment-remove', before);
  await me.press('close-segment-sheet');
  await me.press('fold-compared');
  expect(await me.sees('compared', /put in/)).toMatch(/heat work.*in all/);
  await me.expectSound('beside the calculated');
  await rowsAfter('undo', before + 1);
  await rowsAfter('undo', before);
  await rowsAfter('undo', before + 1);
  await rowsAfter('undo', before, /^as calculated$/);
});

test('why opens the reckoning with the figures put in', async () => {
  await me.press('run-row-4');
  await me.press('why-setting');
  expect(await me.text('why-setting-lines')).toMatch(
    /Simulated [\d.]+ °C; at most 5\.00 °C: \d+ % to spare\..*leads what is coldest by \d+ s times the rate.*At [\d.]+ °C\/h that settles at [\d.]+ °C/,
  );
  await me.sees('heat-drawing', /hottest \+[\d.]+ °C.*coldest \+[\d.]+ °C/);
  await me.expectSound('a reckoning');
});

test('a narrow column says on touch what the glass does there; the curve stands in a table too', async () => {
  const columns = await (await me.find('columns')).boundingBox();
  if (!columns) throw new Error('The columns are not on the screen.');
  await me.page.touchscreen.tap(columns.x + columns.width - 36, columns.y + 300);
  const words = await me.sees('column-label', /°C: /);
  expect(words).toMatch(/^(levels|runs|sticks), /);
  await me.expectSound('a column named');
  await me.press('column-label');
  await me.gone('column-label');
  // Tables follow at a screen reader's pace.
  await me.page.waitForFunction(() => document.querySelectorAll('[data-testid="curve-table"] tbody tr').length > 0, { timeout: 60_000 });
  const cells = await me.ofAll('[data-testid="curve-table"] tbody tr', (rows) => rows.map((row) => [...row.children].map((cell) => cell.textContent)));
  expect(cells.length).toBeGreaterThanOrEqual(await rows());
  expect(cells[0]).toEqual(['Warm up, target reached', expect.stringMatching(/\d\d:\d\d$/), ...Array(3).fill(expect.stringMatching(/^\d+ °C$/))]);
});

test('versions are named and taken into use again', async () => {
  await me.press('run-row-2');
  await me.press('step-hold-more');
  await me.press('close-segment-sheet');
  await me.sees('schedule-state', /^changed by hand$/);
  await me.press('fold-versions');
  await me.sees('versions', /changed from \d+, in use/);
  const [newest] = await me.ofAll('[data-testid^="version-name-"]', (nodes) => nodes.map((node) => node.getAttribute('data-testid') ?? ''));
  await me.type(newest, 'a minute more');
  await me.page.keyboard.press('Enter');
  await me.expectSound('versions');
  await me.press('use-version-1');
  await me.sees('schedule-state', /^as calculated$/);
  await me.page.reload();
  await me.press('fold-versions');
  const field = await me.find(newest);
  expect(await field.evaluate((node) => (node as HTMLInputElement).value)).toBe('a minute more');
});

test('each school is calculated for this body, compiled in the worker, and can be taken', async () => {
  const engines = me.page.workers().filter((worker) => /engine/.test(worker.url()));
  expect(engines.length).toBeGreaterThan(0);
  const nothing = 'WebAssembly.Module.exports(new WebAssembly.Module(new Uint8Array([0, 97, 115, 109, 1, 0, 0, 0]))).length';
  expect(await engines[0].evaluate(nothing)).toBe(0);
  await me.press('fold-schools');
  const cooler = await me.sees('school-cooler-annealing', /in all/);
  const hotter = await me.sees('school-hotter-annealing', /in all/);
  const degrees = (words: string): number => Number(/(\d+) °C for/.exec(words)?.[1]);
  expect(degrees(hotter)).toBeGreaterThan(degrees(cooler));
  await me.sees('school-hotter-lower', /MPa left/);
  await me.expectSound('schools');
  await me.press('take-hotter-lower');
  await me.sees('school-hotter-lower', /in use/);
  await me.sees('run-row-2', new RegExp(`${degrees(hotter)}`));
});

test('each set-up is calculated for this body, side by side, and can be taken', async () => {
  await me.press('fold-stands');
  const hours = async (kind: string): Promise<number> => {
    const words = await me.sees(`stands-${kind}`, /in all; hottest–coldest [\d.]+ °C; tension on the way [\d.]+ MPa; [\d.]+ MPa left/);
    const [, whole, rest = '0'] = /(\d+) h ?(\d*) in all/.exec(words) ?? [];
    return Number(whole) + Number(rest || 0) / 60;
  };
  expect(await hours('floorShelf')).toBeGreaterThan(1.2 * (await hours('bareShelf')));
  expect(await hours('raisedShelf')).toBeGreaterThan(0);
  await me.sees('stands-board', /in all/);
  await me.expectSound('set-ups');
  await me.press('take-raisedShelf');
  await me.sees('stands-raisedShelf', /in use/);
});

test('the same work at another heat: the hold follows the slider', async () => {
  await me.press('fold-equal');
  await me.sees('equal', /hold \d+ min/);
  const slider = await me.find('equal-work');
  const spoken = (): Promise<string> => slider.evaluate((node) => node.getAttribute('aria-valuetext') ?? '');
  const first = await spoken();
  await slider.focus();
  for (let i = 0; i < 6; i += 1) await me.page.keyboard.press('ArrowLeft');
  await me.page.waitForFunction((was) => document.querySelector('[data-testid="equal-work"]')?.getAttribute('aria-valuetext') !== was, {}, first);
  const minutes = (words: string): number => Number(/hold (\d+) min/.exec(words)?.[1]);
  await me.page.waitForFunction(
    (least) => Number(/hold (\d+) min/.exec(document.querySelector('[data-testid="equal-work"]')?.getAttribute('aria-valuetext') ?? '')?.[1]) > least,
    {},
    minutes(first),
  );
  await me.sees('equal-work-figures', /heat work (9[89]|10[0-3]) % (9[89]|10[0-3]) %/);
  await me.expectSound('equal work');
  await me.press('take-equal-work');
  await me.sees('schedule-state', /^changed by hand$/);
});

test('the polariser view shows the stress that stays, with its scale', async () => {
  await me.press('fold-polariser');
  expect(await me.sees('polariser', /MPa/)).toMatch(/greatest tension [\d.]+ MPa.*greatest compression [\d.]+ MPa.*Looked through/);
  await me.press('plate-tint');
  await me.expectSound('polariser view');
});

test('the run sheet is printed on one page and taken along as SVG, CSV and JSON', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'torvin-downloads-'));
  const session = await me.page.createCDPSession();
  await session.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder, browserContextId: here.browser.id });
  await me.press('fold-along');
  for (const kind of ['svg', 'csv', 'json']) {
    await me.press(`take-${kind}`);
    for (let i = 0; i < 50 && !readdirSync(folder).some((name) => name.endsWith(`.${kind}`) && statSync(join(folder, name)).size > 0); i += 1)
      await new Promise((resolve) => setTimeout(resolve, 50));
  }
  const file = (kind: string): string => readFileSync(join(folder, `Plaque no. 14 Tack fuse.${kind}`), 'utf8');
  expect(file('csv')).toMatch(/^\uFEFFsegment,purpose,rate_C_per_h,target_C,hold_min\r\n1,Warm up,/);
  expect(JSON.parse(file('json'))).toMatchObject({ format: 'torvin-schedule', look: 'tack' });
  expect(file('svg')).toMatch(/^<svg.*<\/svg>$/s);
  await me.press('open-print');
  await me.find('print-page');
  await me.expectSound('print');
  const pdf = await me.page.pdf({ format: 'A4', printBackground: true });
  expect([
    ...Buffer.from(pdf)
      .toString('latin1')
      .matchAll(/\/Type\s*\/Page\b/g),
  ]).toHaveLength(1);
});
