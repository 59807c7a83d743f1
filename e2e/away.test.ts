/** A phone that has been in the studio and goes where the server does not answer: over https it opens there all the same. */
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BrowserContext } from 'puppeteer-core';
import sharp from 'sharp';
import { certificate } from './certificate';
import { ROOT, ownLink } from './server';
import { setting } from './setting';
import { PHONE, Visitor, WIDE } from './visitor';

const NAME = 'studio.test';
const folder = mkdtempSync(join(tmpdir(), 'torvin-away-'));
const env: Record<string, string> = { TORVIN_HOST: '0.0.0.0', TORVIN_NAMES: NAME };
beforeAll(async () => void Object.assign(env, await certificate(folder)));
const here = setting(env, `--host-resolver-rules=MAP ${NAME} 127.0.0.1`, '--ignore-certificate-errors');
const { studio } = here;
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const soundly = { overflow: [], overlaps: [], smallTargets: [], accessibility: [] };
let elsewhere = '';
let device: BrowserContext;

async function phone(path: string): Promise<Visitor> {
  const me = await Visitor.open(device, PHONE);
  me.expectedStatuses.add(401);
  await me.page.goto(elsewhere + path);
  return me;
}

/** Until the worker has every file, and so many readings are kept whose keys have these words in them. */
async function keeps(me: Visitor, words: string, readings: number): Promise<void> {
  await me.page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await me.keptReadings((keys) => keys.filter((key) => key.includes(words)).length >= readings);
}

beforeAll(async () => {
  while (!/passcode/.test(studio.heard())) await new Promise((resolve) => setTimeout(resolve, 20));
  elsewhere = studio.address.replace('localhost', NAME);
  device = await here.browser.browser().createBrowserContext();
  const me = await phone('/notebook');
  await me.type('passcode', /passcode: (\S+)/.exec(studio.heard())?.[1] ?? '');
  await me.press('enter-passcode');
  await me.find('firing-link');
  // What is read ahead, the last of it last.
  await keeps(me, '"schedule"', 9);
  await me.page.close();
  const laptop = await here.browser.newPage();
  await laptop.goto(ownLink(studio.heard()).link);
  await laptop.close();
});

test('over https it is said that Torvin opens here without its server', async () => {
  const me = await phone('/settings?open=device');
  await me.sees('opens-without-server', /^Torvin opens here without its server too/);
  expect(await me.sees('kept-here', /: \d+ pages/)).not.toMatch(/: 0 pages/);
  expect(await me.has('over-http')).toBe(false);
  expect(await me.inspect()).toEqual(soundly);
  await me.page.close();
});

test('it opens a run sheet that it never opened before, a change and a picture are made, closed and opened again, and sent when the server is back', async () => {
  const picture = join(folder, 'tile.png');
  await sharp({ create: { width: 300, height: 200, channels: 3, background: '#86a' } })
    .png()
    .toFile(picture);
  let depth = '';
  await studio.away(async () => {
    const me = await phone('/bench');
    await me.find('bench-kiln');
    await me.sees('connection', /^offline · as of \d\d:\d\d$/);
    await me.page.goto(`${elsewhere}/pieces`);
    await me.openPiece('Bird-bath basin');
    await me.press('open-run');
    await me.find('run-row-2');
    await me.sees('live-figures', /core–surface/);
    expect(await me.inspect()).toEqual(soundly);
    await me.press('connection');
    await me.sees('shown-as-of', /^What stands on this page is as of/);
    await me.press('open-key-in');
    await me.find('key-in-2');
    expect(await me.inspect()).toEqual(soundly);
    await me.page.goBack();
    await me.press('open-record');
    await me.setTime('record-when', new Date(Date.now() - 400 * 3600e3));
    await me.press('result-right');
    await me.type('record-note', 'told beside the kiln');
    const input = (await me.page.waitForSelector('[data-testid="add-photo-input"]')) as unknown as { uploadFile(path: string): Promise<void> };
    await input.uploadFile(picture);
    await me.sees('photos-wait', /^1 picture is kept/);
    await me.press('save-firing');
    await me.sees('held', /kept here and sent/);
    await me.page.goto(`${elsewhere}/pieces`);
    await me.openPiece('Test tiles, clear');
    await me.press('layer-row-1');
    await me.press('layer-depth-more');
    await me.sees('connection', /as of \d\d:\d\d · 3 wait$/);
    depth = await me.text('figure-depth');
    await me.page.close();
    const again = await phone('/pieces');
    await again.openPiece('Test tiles, clear');
    await again.sees('figure-depth', new RegExp(depth));
    await again.page.close();
  });
  const me = await phone('/notebook');
  await me.gone('connection');
  await me.reads('told beside the kiln');
  await me.leave();
  const laptop = await Visitor.open(here.browser, WIDE);
  await laptop.page.goto(`${studio.address}/pieces`);
  await laptop.openPiece('Test tiles, clear');
  await laptop.sees('figure-depth', new RegExp(depth));
  await laptop.page.goto(`${studio.address}/notebook`);
  await laptop.openFiring('told beside the kiln');
  await laptop.page.waitForFunction(() => (document.querySelector<HTMLImageElement>('[data-testid="photo-0"] img')?.naturalWidth ?? 0) > 0);
  await laptop.leave();
});

test('pictures that were seen are seen there too', async () => {
  const words = 'told beside the kiln';
  const shown = () => (document.querySelector<HTMLImageElement>('[data-testid="photo-0"] img')?.naturalWidth ?? 0) > 0;
  const me = await phone('/notebook');
  await me.openFiring(words);
  await me.page.waitForFunction(shown);
  await keeps(me, new URL(me.page.url()).pathname.split('/').at(-1) ?? '', 1);
  await me.page.close();
  await studio.away(async () => {
    const again = await phone('/notebook');
    await again.openFiring(words);
    await again.page.waitForFunction(shown);
    await again.page.close();
  });
});

test('a server that is slow: what was kept is shown after a moment, then what it says', async () => {
  const me = await phone('/settings?open=device');
  await me.find('this-device');
  await me.page.setRequestInterception(true);
  const held: (() => void)[] = [];
  me.page.on('request', (request) => {
    const go = (): void => void request.continue().catch(() => undefined);
    if (new URL(request.url()).pathname === '/api/loads') held.push(go);
    else go();
  });
  await me.page.goto(`${elsewhere}/bench`);
  await me.find('bench-kiln');
  await me.sees('as-of', /^as of \d\d:\d\d …$/);
  held.forEach((go) => go());
  await me.gone('as-of');
  await me.page.close();
});

/** The program built anew, in a folder of its own: another page and list of files; api: another API than its own. */
function renewed(mark: string, { api = false } = {}): string {
  const program = join(folder, mark);
  for (const part of ['dist/server', 'apps/web/dist', 'package.json']) cpSync(join(ROOT, part), join(program, part), { recursive: true });
  symlinkSync(join(ROOT, 'node_modules'), join(program, 'node_modules'));
  const rewrite = (file: string, from: RegExp, to: string): void => {
    const path = join(program, file);
    const before = readFileSync(path, 'utf8');
    expect(before).toMatch(from);
    writeFileSync(path, before.replace(from, to));
    for (const packed of ['.br', '.gz']) rmSync(path + packed, { force: true });
  };
  rewrite('apps/web/dist/index.html', /<html/, `<html data-mark="${mark}"`);
  rewrite('apps/web/dist/sw.js', /(url:"\/index\.html",revision:")\w+/, `$1${mark}`);
  if (!api) return program;
  rewrite('apps/web/dist/index.html', /name="torvin-api" content="\w+"/, `name="torvin-api" content="${mark}"`);
  rewrite('dist/server/main.mjs', /(apiDigest\(\) : ")\w+/, `$1${mark}`);
  return program;
}

/** Loads what is offered, and waits for its page. */
async function loads(me: Visitor, mark: string): Promise<void> {
  await me.page.bringToFront();
  await me.press('load-newer');
  await me.page.waitForFunction((wanted) => document.documentElement.dataset.mark === wanted, { timeout: 60_000, polling: 100 }, mark);
}

test('a newer Torvin is offered in a sentence: put off it comes with the next page, taken it is loaded', async () => {
  await studio.away(async () => void (studio.program = renewed('newer')));
  const me = await phone('/pieces');
  await me.sees('newer', /^A newer Torvin is ready\./);
  expect(await me.inspect()).toEqual(soundly);
  expect(await me.page.evaluate(() => document.documentElement.dataset.mark)).toBeUndefined();
  await me.press('newer-later');
  await me.gone('newer');
  await me.page.reload();
  await me.find('newer');
  expect(await me.page.evaluate(() => document.documentElement.dataset.mark)).toBeUndefined();
  await loads(me, 'newer');
  await me.find('piece-link');
  await me.gone('newer');
  await me.page.close();
});

test('a page whose server has come to mean something else keeps what waits until it is loaded anew', async () => {
  const me = await phone('/pieces');
  await me.openPiece('Lamp panel, left');
  await me.press('journey-0');
  const depth = await me.text('figure-depth');
  await studio.away(async () => {
    studio.program = renewed('other', { api: true });
    await me.press('layer-row-1');
    await me.press('layer-depth-more');
    await me.sees('connection', /1 waits$/);
  });
  await me.sees('newer', /another version of Torvin than this page\. One change waits here and is sent once/);
  expect(await me.inspect()).toEqual(soundly);
  const laptop = await Visitor.open(here.browser, WIDE);
  const see = async (wanted: RegExp): Promise<void> => {
    await laptop.page.bringToFront();
    await laptop.page.goto(`${studio.address}/pieces`);
    await laptop.openPiece('Lamp panel, left');
    await laptop.press('journey-0');
    await laptop.sees('figure-depth', wanted);
  };
  await see(new RegExp(depth));
  const changed = await me.text('figure-depth');
  expect(changed).not.toBe(depth);
  await loads(me, 'other');
  await me.find('section-editor');
  await me.sees('figure-depth', new RegExp(changed));
  await me.gone('newer');
  await me.leave();
  await see(new RegExp(changed));
  await laptop.leave();
});

test('what is kept is forgotten when the person says so', async () => {
  const me = await phone('/settings?open=device');
  await me.press('forget-readings');
  await me.sees('kept-here', /^Kept here of the studio: 0 pages and 0 pictures\./);
  await me.page.close();
});
