/** A studio that other devices in its network may open: let in by a passcode, told of each other's changes, ended again. */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { BrowserContext } from 'puppeteer-core';
import sharp from 'sharp';
import { ownLink, wholePieces } from './server';
import { setting } from './setting';
import { PHONE, Visitor, WIDE } from './visitor';

const NAME = 'studio.test';
const here = setting({ TORVIN_HOST: '0.0.0.0', TORVIN_NAMES: NAME }, `--host-resolver-rules=MAP ${NAME} 127.0.0.1`);
const { studio } = here;

/** As the phone calls it. */
const elsewhere = (): string => studio.address.replace('localhost', NAME);
const passcode = (): string => /passcode: (\S+)/.exec(studio.heard())?.[1] ?? 'none was printed';

/** A device of its own: what one browser keeps, the other knows nothing of. */
let device: BrowserContext;
beforeAll(async () => {
  while (!/passcode/.test(studio.heard())) await new Promise((resolve) => setTimeout(resolve, 20));
  device = await here.browser.browser().createBrowserContext();
});

async function phone(path = '/'): Promise<Visitor> {
  const me = await Visitor.open(device, PHONE);
  me.expectedStatuses.add(401);
  await me.page.goto(elsewhere() + path);
  return me;
}

const soundly = { overflow: [], overlaps: [], smallTargets: [], accessibility: [] };

test('the start prints every address with its picture for a camera, and the passcode once', async () => {
  const printed = studio.heard();
  expect(printed).toContain(`  http://${NAME}:${new URL(studio.address).port}`);
  // Two rows of modules to a line of half blocks.
  expect(printed.split('\n').filter((line) => (line.match(/[▀▄█]/g) ?? []).length > 10).length).toBeGreaterThan(12);
  await studio.stop();
  await studio.start();
  while (!/passcode/.test(studio.heard())) await new Promise((resolve) => setTimeout(resolve, 20));
  expect(studio.heard()).toMatch(/passcode that this studio has/);
  expect(studio.heard()).not.toContain(printed.match(/passcode: (\S+)/)?.[1] ?? '');
});

let given = '';
beforeAll(() => {
  given = passcode();
});

test('a phone is asked once, whatever page it opens; this computer is let in by the link that was printed', async () => {
  const me = await phone('/notebook');
  await me.find('enter');
  expect(await me.page.evaluate(() => document.body.innerText)).not.toMatch(/Plaque|Low kiln/);
  expect(await me.inspect()).toEqual(soundly);
  await me.type('passcode', 'something else');
  await me.press('enter-passcode');
  await me.sees('passcode-error', /not the passcode/);
  await me.type('passcode', given.toUpperCase().replace('-', ' '));
  await me.type('device-name', 'Phone at the bench');
  await me.press('enter-passcode');
  await me.find('firing-link');
  // Said once: what plain http does not give.
  await me.sees('over-http', /only while this page stays open/);
  expect(await me.inspect()).toEqual(soundly);
  await me.press('over-http-understood');
  await me.gone('over-http');
  await me.page.reload();
  await me.find('firing-link');
  expect(await me.has('over-http')).toBe(false);
  await me.page.close();
  const laptop = await Visitor.open(here.browser, WIDE);
  laptop.expectedStatuses.add(401);
  await laptop.page.goto(studio.address);
  await laptop.find('enter');
  await laptop.page.goto(ownLink(studio.heard()).link);
  await laptop.find('bench-kiln');
  expect(laptop.page.url()).not.toContain('token');
  await laptop.expectSound('bench, let in by the link');
  await laptop.page.close();
});

test('it can be put on the home screen: a manifest without fault, icons of the sizes it names, the colour of the screen around it', async () => {
  const me = await Visitor.open(device, PHONE, 'dark');
  await me.page.goto(elsewhere());
  await me.find('bench-kiln');
  const session = await me.page.createCDPSession();
  const { errors, data = '{}' } = await session.send('Page.getAppManifest');
  expect(errors).toEqual([]);
  const { icons } = JSON.parse(data) as { icons: { src: string; sizes: string; purpose?: string }[] };
  expect(icons.map(({ purpose = 'any' }) => purpose)).toEqual(['any', 'any', 'maskable', 'maskable']);
  for (const { src, sizes } of icons) {
    const { width, height } = await sharp(Buffer.from(await (await fetch(studio.address + src)).arrayBuffer())).metadata();
    expect(`${width}x${height}`).toBe(sizes);
  }
  const colours = () => [document.querySelector<HTMLMetaElement>('meta[name="theme-color"]')?.content, getComputedStyle(document.body).backgroundColor];
  expect(await me.page.evaluate(colours)).toEqual(['#0D1513', 'rgb(13, 21, 19)']);
  await me.page.close();
});

test('over plain http a page that is open goes on without the server, also to what it has not shown yet', async () => {
  const me = await phone('/pieces');
  await me.openPiece('Tray, smallest of three');
  await me.press('journey-0');
  const depth = await me.text('figure-depth');
  await studio.away(async () => {
    await me.press('layer-row-1');
    await me.press('layer-depth-more');
    await me.sees('connection', /^offline · 1 waits$/);
    await me.press('close-layer-sheet');
    await me.press('open-run');
    await me.find('run-row-2');
    expect(await me.inspect()).toEqual(soundly);
  });
  await me.gone('connection');
  await me.page.goto(`${elsewhere()}/pieces`);
  await me.openPiece('Tray, smallest of three');
  expect(await me.text('figure-depth')).not.toBe(depth);
  await me.page.goto(`${elsewhere()}/settings?open=device`);
  await me.sees('needs-https', /^This page came over plain http/);
  expect(await me.inspect()).toEqual(soundly);
  await me.page.close();
});

test('what one device changes the other shows within two seconds, but not under a finger; one stream to a browser', async () => {
  const [laptop, me, another] = [await Visitor.open(here.browser, WIDE), await Visitor.open(device, PHONE), await Visitor.open(device, PHONE)];
  const streams = new Set<unknown>();
  for (const { page } of [me, another]) {
    page.on('request', (request) => new URL(request.url()).pathname === '/api/events' && streams.add(request));
    for (const ended of ['requestfailed', 'requestfinished'] as const) page.on(ended, (request) => streams.delete(request));
  }
  const [piece] = (await wholePieces(studio.address, ownLink(studio.heard()).token)).filter(({ name }) => name === 'Test tiles, clear');
  // Each comes to the front as it is opened: behind another it draws nothing.
  for (const [who, path, shown] of [
    [another, `${elsewhere()}/settings?open=backup`, 'backups'],
    [me, `${elsewhere()}/pieces/${piece.id}`, 'section-editor'],
    [laptop, `${studio.address}/pieces/${piece.id}`, 'section-editor'],
  ] as const) {
    await who.page.bringToFront();
    await who.page.goto(path);
    await who.find(shown);
  }
  // Each page of the phone has asked for it as it came to the front; the one that came last has it.
  const oneStream = async (): Promise<void> => {
    while (streams.size !== 1) await new Promise((resolve) => setTimeout(resolve, 50));
  };
  await me.page.bringToFront();
  await oneStream();
  await new Promise((resolve) => setTimeout(resolve, 2000));
  expect(streams.size).toBe(1);
  await laptop.page.bringToFront();

  await laptop.press('layer-row-1');
  await laptop.press('layer-depth-more');
  await laptop.sees('figure-depth', /thickness 7 mm/);
  const began = Date.now();
  await me.sees('figure-depth', /thickness 7 mm/);
  process.stdout.write(`  another device's change was shown after ${Date.now() - began} ms\n`);

  // A finger that lies on the page: nothing moves until it is lifted.
  await me.page.bringToFront();
  const finger = await me.page.touchscreen.touchStart(200, 300);
  await laptop.press('layer-depth-more');
  await laptop.sees('figure-depth', /thickness 9 mm/);
  await new Promise((resolve) => setTimeout(resolve, 2500));
  expect(await me.text('figure-depth')).toMatch(/thickness 7 mm/);
  await finger.end();
  await me.sees('figure-depth', /thickness 9 mm/);

  // The one with the stream is closed: the other goes on.
  await another.page.close();
  await laptop.press('layer-depth-less');
  await laptop.press('layer-depth-less');
  await laptop.leave();
  await me.sees('figure-depth', /thickness 6 mm/);
  await me.leave();
});

test('a device that is ended is asked again, and what it had not sent yet is kept until it is let in', async () => {
  const me = await phone('/settings?open=devices');
  await me.find('other-devices');
  await me.reads('Phone at the bench (this one)');
  expect(await me.sees('device', /The computer Torvin runs on/)).toMatch(/since/);
  await me.page.goto(`${elsewhere()}/pieces`);
  await me.openPiece('Bird-bath basin');
  await me.press('journey-0');
  // What lets devices in is lost while the server is away and a change waits.
  await studio.away(async () => {
    await me.press('layer-row-1');
    await me.press('layer-depth-more');
    await me.sees('connection', /^offline · 1 waits$/);
    const kept = join(studio.dataDir, 'access.json');
    writeFileSync(kept, JSON.stringify({ ...(JSON.parse(readFileSync(kept, 'utf8')) as object), devices: [] }));
  });
  await me.sees('waits-for-passcode', /^One change made here waits/);
  await me.type('passcode', given);
  await me.press('enter-passcode');
  await me.find('section-editor');
  const depth = await me.text('figure-depth');
  await me.gone('connection');
  const laptop = await Visitor.open(here.browser, PHONE);
  await laptop.page.goto(ownLink(studio.heard()).link);
  await laptop.page.goto(`${studio.address}/settings?open=devices`);
  await laptop.find('address');
  expect(await laptop.text('address')).toBe(elsewhere());
  expect(await laptop.inspect()).toEqual(soundly);
  await laptop.page.click('[aria-label^="Let Phone"]');
  await laptop.page.waitForFunction(() => document.querySelectorAll('[data-testid="device"]').length === 1);
  await laptop.press('change-passcode');
  expect(await laptop.has('old-passcode')).toBe(false);
  await laptop.type('new-passcode', 'Kiln 12 opens');
  await laptop.press('save-passcode');
  await laptop.find('passcode-changed');
  await me.page.reload();
  await me.find('enter');
  // What it had read is not in it any more.
  await me.keptReadings((keys) => keys.length === 0);
  await me.type('passcode', 'kiln12opens');
  await me.press('enter-passcode');
  await me.find('section-editor');
  // Not the computer that Torvin runs on: it has to know the one that holds.
  await me.page.goto(`${elsewhere()}/settings?open=devices`);
  await me.press('change-passcode');
  await me.type('new-passcode', 'Kiln 13 opens');
  await me.type('old-passcode', given);
  await me.press('save-passcode');
  await me.sees('old-passcode-error', /^That is not the passcode/);
  expect(await me.inspect()).toEqual(soundly);
  await me.press('leave-passcode');
  await me.leave();
  await laptop.page.goto(`${studio.address}/pieces`);
  await laptop.openPiece('Bird-bath basin');
  expect(await laptop.text('figure-depth')).toBe(depth);
  await laptop.leave();
});
