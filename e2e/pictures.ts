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
const go = (me: Visitor, path: string): Promise<unknown> => me.page.goto(studio.address + path);
await go(phone, '/bench');
await phone.find('opens');
await take(phone, 'bench-phone');
await go(phone, '/pieces');
await phone.find('piece-link');
await take(phone, 'pieces-phone');
await phone.openPiece('Lamp panel, right');
await phone.sees('fit-summary', /Fits/);
await phone.find('open-run');
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
while (!/^Holds at 735/.test(await phone.text('run-says'))) await phone.press('run-next');
await phone.press('run-add-time');
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
await phone.press('given-schedule');
await phone.press('fold-paper-paste');
await phone.type('paper-pasted', '700 1067 0\n250 1121 45\n360 1355 20\nfull 900 115\n45 788 0');
await phone.press('paper-take');
await phone.press('paper-unit-F');
await phone.press('paper-judge');
await phone.find('paper-judged');
await phone.of('[data-testid="paper-rows"]', (node) => node.scrollIntoView({ block: 'start' }));
await take(phone, 'paper-phone');
await go(phone, '/notebook');
await phone.find('firing-link');
await take(phone, 'notebook-phone');
await phone.press('filter-result-past');
await phone.sees('notebook-count', /1 firing found/);
await phone.press('firing-link');
await phone.find('as-fired');
await toTop(phone);
await take(phone, 'firing-phone');
await phone.press('compare');
await phone.press('compare-with');
await phone.find('compared-figures');
await toTop(phone);
await take(phone, 'compare-phone');
await go(phone, '/shelves');
await phone.find('new-record');
await take(phone, 'shelves-phone');
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
await dark.sees('schedule-state', /^as computed$/);
await dark.page.close();

const wide = await Visitor.open(browser, WIDE);
await go(wide, '/bench');
await wide.find('running-drawing');
await take(wide, 'bench-wide');
await go(wide, '/notebook');
await wide.find('firing-record');
await take(wide, 'notebook-wide');
await go(wide, '/pieces');
await wide.openPiece('Lamp panel, right');
await wide.find('open-run');
await take(wide, 'piece-wide');
await go(wide, '/pieces');
await wide.openPiece('Plaque no. 14');
await wide.press('open-run');
await wide.find('true-time');
await toTop(wide);
await take(wide, 'run-sheet-wide');

await browser.close();
await studio.end();
