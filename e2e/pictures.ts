/** npm run pictures: one picture of each main view from the demo data, for the README. */
import { mkdirSync } from 'node:fs';
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
await phone.page.goto(`${studio.address}/pieces`);
await phone.find('piece-link');
await take(phone, 'pieces-phone');
await phone.openPiece('Plaque no. 14');
await phone.find('open-run');
await phone.sees('fit-summary', /Fits/);
await take(phone, 'piece-phone');
await phone.press('open-run');
await phone.sees('live-work', /%/);
await toTop(phone);
await take(phone, 'run-sheet-phone');
await phone.press('open-key-in');
await phone.find('key-in-0');
await phone.press('key-in-0');
await toTop(phone);
await take(phone, 'key-in-phone');
await phone.page.goto(`${studio.address}/notebook`);
await phone.find('firing-link');
await take(phone, 'notebook-phone');
await phone.press('firing-link');
await phone.find('firing-record');
await toTop(phone);
await take(phone, 'firing-phone');
await phone.page.goto(`${studio.address}/pieces/new`);
await phone.type('field-name', 'Lamp panel, left');
await phone.type('field-width', '9 1/2 in');
await phone.type('field-length', '300');
await phone.press('glass-straw-90');
await toTop(phone);
await take(phone, 'new-piece-phone');
await phone.page.close();

const dark = await Visitor.open(browser, PHONE, 'dark');
await dark.page.goto(`${studio.address}/pieces`);
await dark.openPiece('Plaque no. 14');
await dark.press('open-run');
await dark.press('run-row-2');
await dark.type('step-target', '810');
await dark.page.keyboard.press('Enter');
await dark.sees('broken-limits', /Work/);
await take(dark, 'run-sheet-phone-dark');
await dark.press('close-segment-sheet');
await dark.press('back-to-computed');
await dark.sees('schedule-state', /^as computed$/);
await dark.page.close();

const wide = await Visitor.open(browser, WIDE);
await wide.page.goto(`${studio.address}/pieces`);
await wide.openPiece('Plaque no. 14');
await wide.find('open-run');
await take(wide, 'piece-wide');
await wide.press('open-run');
await wide.sees('live-work', /%/);
await take(wide, 'run-sheet-wide');

await browser.close();
await studio.end();
