/** Schedules that were not computed: from paper in another unit, from a firing that came out right, for another kiln. */
import { setting } from './setting';
import { PHONE, Visitor } from './visitor';

const here = setting();
const { studio } = here;
let me: Visitor;

beforeEach(async () => {
  me = await Visitor.open(here.browser, PHONE);
});
afterEach(() => me.leave());

async function openPiece(name: string): Promise<void> {
  await me.goToPiece(name, studio.address);
}

test('a schedule on paper in °F is pasted in a studio that works in °C, doubted, judged for the piece, mended and kept', async () => {
  await openPiece('Plaque no. 14');
  await me.press('change-step');
  await me.press('given-schedule');
  await me.press('paper-judge');
  await me.sees('paper-fault', /^Write at least one row/);
  await me.press('fold-paper-paste');
  await me.type('paper-pasted', 'as taught in class\n1. 700 1067 0\n2. 250F/h to 1121F hold 45 min\n3. 360 1355 20\n4. AFAP 900 115\n5. 45 788 0');
  await me.press('paper-take');
  expect(await me.of('[data-testid="paper-4-target"]', (node) => (node as HTMLInputElement).value)).toBe('788');
  await me.sees('paper-doubt', /^Its hottest is 1355\. Is the paper in °F\?$/);
  await me.press('paper-unit-F');
  expect(await me.has('paper-doubt')).toBe(false);
  await me.press('paper-judge');
  await me.sees('paper-breaks', /^For this piece it breaks (a limit|\d+ limits)\. /);
  await me.sees('paper-closes', /^After its last row the closed kiln cools by itself to \d+ °C\.$/);
  await me.expectSound('a schedule from paper that breaks');
  await me.type('paper-0-rate', 'slowly');
  await me.press('paper-judge');
  await me.sees('paper-fault', /^'slowly' is not a rate/);
  await me.type('paper-0-rate', '270');
  await me.press('paper-judge');
  await me.sees('paper-keeps', /^For this piece it keeps every limit\.$/);
  await me.press('paper-keep');
  await me.sees('live-work', /1[12]\d %/);
  await me.reads('150');
  await me.reads('Keeps every limit.');
});

test('one that came out right is run again: what differs is said and what that does; it is kept where it keeps every limit', async () => {
  await me.page.goto(`${studio.address}/notebook`);
  await me.openFiring('Bird-bath basin');
  // The newest still runs: nothing of it is known yet.
  expect(await me.has('run-again')).toBe(false);
  await me.page.goto(`${studio.address}/notebook`);
  await me.openFiring('Seeds near the rim');
  await me.press('run-again');
  await me.type('again-search', 'sundial disc');
  await me.page.waitForFunction(() => document.querySelectorAll('[data-testid="again-piece"]').length === 1);
  await me.press('again-piece');
  await me.sees('proven-differs', /It was laid 6 mm deep; now it is 18 mm deep\./);
  await me.press('paper-judge');
  await me.sees('paper-breaks', /^For this piece it breaks \d+ limits\./);
  await me.sees('proven-figures', /as it was there here .*core–surface/);
  await me.expectSound('one run again on a thicker piece');
  await me.press('paper-leave');

  await openPiece('Test tiles, clear');
  await me.press('change-step');
  await me.press('given-schedule');
  await me.press('fold-proven');
  await me.type('proven-search', 'Tray');
  await me.page.waitForFunction(() =>
    [...document.querySelectorAll('[data-testid="proven-firing"]')].every((node) => (node as HTMLElement).innerText.startsWith('Tray')),
  );
  const [fuse] = await me.ofAll('[data-testid="proven-firing"]', (nodes) =>
    nodes.map((node, i) => (node.innerText.includes('full fuse') ? i : -1)).filter((i) => i >= 0),
  );
  await me.page.evaluate((i) => (document.querySelectorAll('[data-testid="proven-firing"]')[i] as HTMLElement).click(), fuse);
  await me.sees('proven-differs', /The outline was/);
  await me.press('paper-judge');
  await me.find('paper-keeps');
  await me.press('paper-keep');
  await me.sees('live-work', /%/);
});

test('the same schedule for two kilns with unlike controllers: each in its own figures, judged there, and planned there as it is', async () => {
  await openPiece('Sundial disc');
  await me.press('piece-key-in');
  await me.press('fold-other-kiln');
  await me.press('other-kiln-tall-kiln');
  await me.press('other-controller-twelve-line');
  await me.sees('keyed-there', /rate 324 °\/h · target 1058 °F · hold 0\.00 h/);
  await me.press('judge-there');
  await me.sees('judged-there', /^There it keeps every limit\.$/);
  await me.sees('figures-there', /Low kiln Tall kiln/);
  await me.expectSound('the same in another kiln');
  await me.press('plan-there');
  await me.reads('Twelve line on Tall kiln');
  await me.press('open-rehearsal');
  await me.reads("counts and refuses as 'Twelve line' does".replace('counts', 'takes'));
  await me.find('rehearsal-rings');
});

test('three more of a piece are made at once, with its firing and its schedule, named on from it', async () => {
  await openPiece('Lamp panel, left');
  await me.press('make-another');
  await me.type('another-name', 'Lamp panel 9');
  await me.type('another-count', '30');
  await me.reads('From 1 to 24.');
  await me.type('another-count', '3');
  await me.expectSound('another like it');
  await me.press('another-make');
  await me.heading(/^Lamp panel 9$/);
  await me.of('[data-testid="journey"]', (row) => row.querySelectorAll('[data-fires]')[1] !== undefined);
  await me.press('open-run');
  await me.sees('schedule-state', /^as calculated$/);
  await me.leave();
  me = await Visitor.open(here.browser, PHONE);
  for (const name of ['Lamp panel 9', 'Lamp panel 10', 'Lamp panel 11']) {
    await openPiece(name);
    await me.sees('next-firing', /, \d+ h/);
  }
});

test('three of the same go into the kiln together, and each is told by itself', async () => {
  const loads = (await (await fetch(`${studio.address}/api/loads`)).json()) as { id: string; version: number }[];
  for (const { id, version } of loads) {
    const body = JSON.stringify({ version, openedAt: Date.now() });
    await fetch(`${studio.address}/api/loads/${id}`, { method: 'PUT', headers: { 'Content-Type': 'application/json' }, body });
  }
  await openPiece('Plaque no. 14');
  await me.press('make-another');
  await me.type('another-count', '2');
  await me.press('another-make');
  await me.heading(/^Plaque no\. 15$/);
  await me.find('open-run');
  await me.leave();
  me = await Visitor.open(here.browser, PHONE);
  await openPiece('Plaque no. 14');
  await me.press('piece-key-in');
  await me.sees('together', /Plaque no\. 15.*Plaque no\. 16/);
  await me.press('together-all');
  await me.expectSound('three that go in together');
  await me.press('start-firing');
  if (await me.has('start-all-the-same')) await me.press('start-all-the-same');
  await me.heading(/^Bench$/);
  await me.reads('Plaque no. 15');
  await me.reads('Plaque no. 16');
  // Each has a firing of its own, to be told by itself, in one load.
  const kept = async (): Promise<{ entries: { pieceName: string }[] }[]> => (await fetch(`${studio.address}/api/loads`)).json() as never;
  for (let tries = 0; tries < 50 && (await kept())[0]?.entries.length !== 3; tries += 1) await new Promise((resolve) => setTimeout(resolve, 100));
  expect((await kept()).map(({ entries }) => entries.map(({ pieceName }) => pieceName).sort())).toEqual([['Plaque no. 14', 'Plaque no. 15', 'Plaque no. 16']]);
});

test('a piece is started from a pattern, which waits for nothing itself', async () => {
  await me.page.goto(`${studio.address}/pieces/new`);
  await me.find('save-piece');
  expect(await me.has('patterns')).toBe(false);
  await me.page.goto(`${studio.address}/pieces?q=tideline`);
  await me.goToPiece('Tideline bowl', studio.address);
  await me.press('pattern');
  await me.leave();
  me = await Visitor.open(here.browser, PHONE);
  await me.page.goto(`${studio.address}/`);
  await me.heading(/^Bench$/);
  await me.page.goto(`${studio.address}/pieces`);
  await me.press('new-piece');
  await me.sees('patterns', /Tideline bowl/);
  await me.expectSound('a new piece, where there is a pattern');
  await me.press('pattern-link');
  await me.heading(/^Tideline bowl$/);
  await me.type('another-name', 'Tideline bowl for Sefton Row');
  await me.press('another-make');
  await me.heading(/^Tideline bowl for Sefton Row$/);
  // All of its journey, and nothing of it done.
  expect(await me.of('[data-testid="journey"]', (node) => node.textContent?.includes('next'))).toBe(true);
  await me.sees('journey-0', /Lay on/);
  await me.page.goto(`${studio.address}/pieces`);
  await me.reads('Tideline bowl for Sefton Row');
  const names = await me.ofAll('[data-testid="piece-link"]', (nodes) => nodes.map((node) => node.innerText.split('\n')[0]));
  expect(names).not.toContain('Tideline bowl');
  await me.press('filter-waits-patterns');
  await me.sees('pieces-count', /^one piece found$/);
  await me.goToPiece('Tideline bowl', studio.address);
  await me.press('pattern');
});

test('a piece is tagged, finished and archived, found by its tag and by its name, and restored', async () => {
  const names = (): Promise<string[]> => me.ofAll('[data-testid="piece-link"]', (nodes) => nodes.map((node) => node.innerText.split('\n')[0]));
  const lists = async (wanted: (names: string[]) => boolean): Promise<void> => {
    for (let tries = 0; tries < 80 && !wanted(await names()); tries += 1) await new Promise((resolve) => setTimeout(resolve, 100));
    expect(wanted(await names())).toBe(true);
  };
  await me.page.goto(`${studio.address}/pieces?q=estuary`);
  await me.goToPiece('Estuary roundel', studio.address);
  await me.type('tags', 'for the fair, sea,sea');
  await me.page.keyboard.press('Enter');
  await me.press('finished');
  await me.expectSound('a piece that is filed');
  await me.page.goto(`${studio.address}/pieces`);
  await me.press('filter-tag-sea');
  await lists((all) => all.length === 1 && all[0].startsWith('Estuary roundel'));
  await me.expectSound('pieces by their tag');
  await me.goToPiece('Estuary roundel', studio.address);
  await me.press('put-away');
  await me.page.goto(`${studio.address}/pieces`);
  await me.find('piece-link');
  await lists((all) => all.length > 3 && !all.some((name) => name.startsWith('Estuary')));
  await me.press('sort-name');
  await lists((all) => all.length > 3 && [...all].sort((a, b) => a.localeCompare(b)).join() === all.join());
  await me.press('filter-waits-away');
  await lists((all) => all.length === 1 && all[0].startsWith('Estuary'));
  await me.goToPiece('Estuary roundel', studio.address);
  await me.press('put-away');
  // Words find it wherever it is.
  await me.page.goto(`${studio.address}/pieces?q=estuary`);
  await lists((all) => all.length === 1 && all[0].startsWith('Estuary'));
});
