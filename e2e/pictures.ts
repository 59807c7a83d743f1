/** npm run pictures: one picture of each main view from the demo data, for the README. */
import { mkdirSync } from 'node:fs';
import sharp from 'sharp';
import { Studio } from './server';
import { PHONE, Visitor, WIDE, launch } from './visitor';

const FOLDER = 'docs/screenshots';

const studio = new Studio();
mkdirSync(FOLDER, { recursive: true });
await studio.start();
const browser = await launch();

async function take(me: Visitor, name: string): Promise<void> {
  await me.page.evaluate(() => document.fonts.ready);
  await new Promise((resolve) => setTimeout(resolve, 300));
  await me.page.screenshot({ path: `${FOLDER}/${name}.png` });
}

const toTop = (me: Visitor): Promise<void> =>
  me.page.evaluate(() => {
    const scroll = document.querySelector('[data-testid="screen-scroll"]');
    if (scroll) scroll.scrollTop = 0;
  });

const phone = await Visitor.open(browser, PHONE);
const go = (me: Visitor, path: string): Promise<unknown> => me.page.goto(studio.address + path);
await go(phone, '/bench');
await phone.find('opens');
await take(phone, 'bench-phone');
await go(phone, '/pieces');
await phone.find('piece-link');
await take(phone, 'pieces-phone');
await phone.openPiece('Lamp panel, right');
await phone.sees('fold-fits', /Fits/);
await phone.sees('next-when', /opens/);
await toTop(phone);
await take(phone, 'piece-phone');
await go(phone, '/pieces');
await phone.openPiece('Bird-bath basin');
await phone.press('journey-2');
await phone.press('open-run');
await phone.press('open-in-time');
await toTop(phone);
await take(phone, 'in-time-phone');
await go(phone, '/pieces');
await phone.openPiece('Plaque no. 14');
await phone.press('open-run');
await phone.sees('live-work', /%/);
await toTop(phone);
await take(phone, 'run-sheet-phone');
await phone.press('fold-polariser');
await phone.press('plate-tint');
await phone.of('[data-testid="fold-polariser"]', (node) => {
  node.scrollIntoView({ block: 'start' });
  const scroll = document.querySelector('[data-testid="screen-scroll"]');
  if (scroll) scroll.scrollTop -= 110;
});
await take(phone, 'polariser-phone');
await phone.press('open-key-in');
await phone.find('key-in-0');
await phone.press('key-in-0');
await toTop(phone);
await take(phone, 'key-in-phone');
await phone.press('open-rehearsal');
await phone.press('key-for-me');
await phone.press('rehearsal-start');
await phone.press('run-pause');
while (!/^Holds at 7\d\d/.test(await phone.text('run-says'))) await phone.press('run-next');
await phone.press('run-add-time');
await phone.press('run-longer');
await phone.find('run-changes');
await phone.of('[data-testid="run-view"]', (node) => node.scrollIntoView({ block: 'start' }));
await take(phone, 'rehearsal-phone');
await go(phone, '/kiln');
await phone.find('ready-to-key');
await phone.press('fold-programs-grey-box');
await phone.of('[data-testid="kiln-controllers"]', (node) => node.scrollIntoView({ block: 'start' }));
await take(phone, 'kiln-phone');
await go(phone, '/pieces');
await phone.openPiece('Plaque no. 14');
await phone.press('change-step');
await phone.find('plan-hours');
await toTop(phone);
await take(phone, 'plan-firing-phone');
await takeLoad(phone, 'load-phone');
await go(phone, '/pieces');
await phone.openPiece('Lamp panel, left');
await phone.press('open-reckon');
await phone.press('reckon-tab-grains');
await phone.press('reckon-sizes');
await phone.type('reckon-grains', '190');
await phone.press('reckon-glass');
await phone.press('reckon-glass-harbour-90');
await phone.press('reckon-heat-lace');
await phone.of('[data-testid="reckon-size-medium"]', (node) => node.scrollIntoView({ block: 'start' }));
await phone.sees('reckon-words', /Lace/);
await take(phone, 'reckon-phone');
await phone.press('close-reckon');
await phone.page.close();

const dark = await Visitor.open(browser, PHONE, 'dark');
await go(dark, '/pieces');
await dark.openPiece('Plaque no. 14');
await dark.press('open-run');
await dark.press('run-row-2');
await dark.type('step-target', '760');
await dark.page.keyboard.press('Enter');
await dark.sees('broken-limits', /Work/);
await take(dark, 'run-sheet-phone-dark');
await dark.press('close-segment-sheet');
await dark.press('undo');
await dark.sees('schedule-state', /^as calculated$/);
await dark.page.close();

const wide = await Visitor.open(browser, WIDE);
await go(wide, '/notebook');
await wide.find('firing-record');
await take(wide, 'notebook-wide');
await go(wide, '/bench');
await wide.find('opens');
await wide.press('open-find');
await wide.type('find-field', 'basin');
await wide.find('found-basin-mould');
await take(wide, 'find-wide');
await wide.press('close-find');
await go(wide, '/shelves?shelf=kilns');
await wide.find('kiln-times');
await take(wide, 'shelves-wide');
await go(wide, '/pieces');
await wide.openPiece('Plaque no. 14');
await wide.press('open-run');
await wide.find('run-row-0');
await toTop(wide);
await take(wide, 'run-sheet-wide');

/** A piece from above and how thick it is after its firing, as one picture. */
async function takePlan(me: Visitor, name: string): Promise<void> {
  // A page behind another one does not draw.
  await me.page.bringToFront();
  await go(me, '/pieces');
  await me.openPiece('Lamp panel, right');
  await me.press('journey-0');
  await me.press('view-above');
  await (await me.find('plan-editor')).focus();
  for (const key of ['Home', 'PageDown', 'PageDown', 'PageDown'] as const) await me.page.keyboard.press(key);
  await me.find('part-sheet');
  await me.find('plan-knob');
  await me.page.evaluate(() => (document.activeElement as HTMLElement).blur());
  const above = await me.page.screenshot();
  await me.press('view-thick');
  await me.press('thick-after');
  await me.sees('plan-depths', /after the contour fuse/);
  await toTop(me);
  const thick = await me.page.screenshot();
  await beside(name, above, thick);
}

/** What goes in together with its schedule, and where each lies, as one picture. */
async function takeLoad(me: Visitor, name: string): Promise<void> {
  await go(me, '/bench');
  await me.press('bench-together');
  await me.sees('load-keeps', /Every piece keeps every limit/);
  await toTop(me);
  const composed = await me.page.screenshot();
  await me.press('fold-load-on-shelf');
  await me.find('load-shelf-0');
  await me.of('[data-testid="load-on-shelf"]', (node) => node.scrollIntoView({ block: 'start' }));
  await beside(name, composed, await me.page.screenshot());
}

/** Two pictures as one. */
async function beside(name: string, left: Uint8Array, right: Uint8Array): Promise<void> {
  const { width = 0, height = 0 } = await sharp(left).metadata();
  const gap = 12;
  await sharp({ create: { width: 2 * width + gap, height, channels: 3, background: '#ffffff' } })
    .composite([
      { input: Buffer.from(left), left: 0, top: 0 },
      { input: Buffer.from(right), left: width + gap, top: 0 },
    ])
    .png({ palette: true })
    .toFile(`${FOLDER}/${name}.png`);
}

const above = await Visitor.open(browser, PHONE);
await takePlan(above, 'plan-phone');
await go(above, '/shelves/forms/basin-mould');
await above.find('form-drawing');
await toTop(above);
const mould = await above.page.screenshot();
await go(above, '/pieces');
await above.openPiece('Lamp panel, left');
await above.press('journey-2');
await above.find('step-in-form');
await above.of('[data-testid="step-in-form"]', (node) => node.scrollIntoView({ block: 'start' }));
await beside('form-phone', mould, await above.page.screenshot());

await browser.close();
await studio.end();
