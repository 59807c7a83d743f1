/** Controllers as profiles: one is made and keyed for, its program is read back, and a slip is found before it reaches the kiln. */
import { setting } from './setting';
import { PHONE, Visitor } from './visitor';

const here = setting();
const { studio } = here;
let me: Visitor;
let touches = 0;

beforeEach(async () => {
  me = await Visitor.open(here.browser, PHONE);
  touches = 0;
});
afterEach(() => me.leave());

async function touch(testId: string): Promise<void> {
  touches += 1;
  await me.press(testId);
}

/** The figures of each row of the key-in sheet, in its order: 'target 1070 · rate 270 · hold 0.00'. */
const rowsShown = (): Promise<string[]> =>
  me.ofAll('[data-testid^="key-in-"][role="checkbox"]', (rows) =>
    rows.map((row) =>
      [...row.innerText.replace(/\u00a0/g, ' ').matchAll(/(rate|target|hold)\s+([\d.:]+)/g)].map(([, kind, figure]) => `${kind} ${figure}`).join(' · '),
    ),
  );

/** Touches, of those that the controller might show, the one that says so. */
async function shows(words: string): Promise<void> {
  const choices = await me.ofAll('[data-testid^="shows-"]', (nodes) => nodes.map((node) => [node.getAttribute('data-testid') ?? '', node.innerText]));
  const [testId] = choices.find(([, title]) => title === words) ?? [];
  if (testId === undefined) throw new Error(`None of ${JSON.stringify(choices)} is '${words}'.`);
  await touch(testId);
}

test('a controller with a way of its own is made, refused where it cannot be, and keyed for', async () => {
  await me.page.goto(`${studio.address}/shelves?shelf=controllers`);
  await me.press('new-record');
  await me.type('record-name', 'Workshop box');
  await me.press('controller-unit-F');
  await me.type('figure-fullSpeedCode', '9999');
  await me.type('figure-mostSegments', '12');
  await me.press('fold-keyed');
  await me.press('controller-order-targetFirst');
  await me.press('controller-holdAs-point');
  await me.type('figure-mostRate', '1999');
  await me.type('figure-programs', '4');
  await me.type('figure-builtIn', '4');
  await me.press('save-record');
  await me.reads('All of its 4 programs came with the kiln');
  await me.type('figure-builtIn', '1');
  await me.type('figure-mostHold_s', '6000');
  await me.press('save-record');
  await me.reads('Two digits of hours and two of minutes say 99 h 59 at most');
  await me.type('figure-mostHold_s', '5999');
  await me.expectSound('a controller with its profile');
  await me.press('save-record');
  await me.reads('12 segments, °F an hour, 4 programs');

  await me.goToPiece('Plaque no. 14', studio.address);
  await me.press('change-step');
  await me.press('fold-in');
  const [box] = await me.ofAll('[data-testid^="controller-"]', (nodes) =>
    nodes.filter((node) => node.innerText.includes('Workshop box')).map((node) => node.getAttribute('data-testid') ?? ''),
  );
  await me.press(box);
  await me.press('compute');
  await me.heading(/^Tack fuse/);
  await me.sees('live-work', /%/);

  // From the open run sheet: keyed row by row, and what the controller shows read back.
  await touch('open-key-in');
  await me.reads('Rate in °F an hour, hold in hours and minutes, 2.30 being two and a half hours; 9999 means as fast as it can. It asks for the target first.');
  const rows = await rowsShown();
  expect(rows.length).toBeGreaterThanOrEqual(6);
  for (const row of rows) expect(row).toMatch(/^target \d+ · rate \d+ · hold \d+\.\d\d$/);
  // One figure at a time, in the order in which it asks; the last one leads on to the reading back.
  await touch('open-deck');
  for (const [i, row] of rows.entries()) {
    for (const [k, figure] of row.split(' · ').entries()) {
      await me.sees('deck-segment', new RegExp(`^Segment ${i + 1} of ${rows.length}`));
      await me.sees('deck-figure', new RegExp(`^${figure.split(' ')[1].replace('.', '\\.')}$`));
      await me.sees('deck-asks', [/^How hot$/, /^How fast$/, /^How long$/][k]);
      if (i === 1 && k === 0) {
        await me.expectSound('the deck');
        // What was keyed is looked at again, and gone on from.
        await me.press('deck-back');
        await me.sees('deck-segment', /^Segment 1 of/);
        await me.press('deck-next');
        await me.sees('deck-segment', /^Segment 2 of/);
      }
      await touch('deck-next');
      if (i === 0 && k === 2) {
        // Left in the middle, it goes on there.
        await me.press('close-deck');
        await me.sees('key-in-count', new RegExp(`^1 of ${rows.length} keyed`));
        await me.press('open-deck');
      }
    }
  }
  await me.sees('key-in-count', /^All keyed/);
  for (const [i, row] of rows.entries()) {
    await me.sees('read-back-asks', new RegExp(`^Segment ${i + 1} of ${rows.length}`));
    if (i === 0) await me.expectSound('reading back');
    await shows(row);
  }
  await me.sees('read-back-good', new RegExp(`all ${rows.length} segments as they should be`));
  // Thirty touches for seven segments, none of them typing: two to come there, three to key a segment and one to read it back.
  expect(touches).toBe(2 + 4 * rows.length);
  expect(2 + 4 * 7).toBeLessThanOrEqual(30);
});

test('a new one begins as one of four and is tried in the form: it takes and refuses as its profile says', async () => {
  await me.page.goto(`${studio.address}/shelves?shelf=controllers`);
  await me.press('new-record');
  await me.type('record-name', 'By the clock');
  await me.press('begin-as-way-timer');
  await me.press('fold-try');
  const keys = async (text: string): Promise<void> => {
    for (const one of text.split(' ')) await me.press(`key-${one}`);
  };
  await keys('program 1 enter');
  await me.sees('panel-asks', /^How hot$/);
  await keys('5 6 2 enter');
  await me.sees('panel-says', /^It counts in steps of 5\.$/);
  await keys('5 6 0 enter');
  await me.sees('panel-asks', /^How many minutes$/);
  await keys('1 8 0 enter 1 mark 7 0 enter');
  await me.sees('panel-says', /^That is no time here\.$/);
  await keys('1 mark 0 5 enter 0 enter');
  await me.sees('panel-keeps', /^Program 1 holds 1 segment\.$/);
  await me.expectSound('a controller tried in its form');
  // Another figure in the form is another controller: it stands empty.
  await me.press('fold-keyed');
  await me.type('figure-programs', '5');
  await me.sees('panel-keeps', /^No program stands in it yet/);
  await me.press('save-record');
  await me.reads('9 segments, °C, ways in minutes, 5 programs');
});

test('degrees of Celsius keyed into a controller of Fahrenheit, and hours for minutes, are found and said what they would have done', async () => {
  await me.goToPiece('Plaque no. 14', studio.address);
  await me.press('open-run');
  await me.press('open-key-in');
  const rows = await rowsShown();
  const work = rows.findIndex((row) => Number(/target (\d+)/.exec(row)?.[1]) > 1300);
  const [, target, rate, hold] = /target (\d+) · rate (\d+) · hold (\d+\.\d\d)/.exec(rows[work])!;
  const celsius = Math.round(((Number(target) - 32) * 5) / 9);
  await me.press('read-back');
  for (const [i, row] of rows.entries()) {
    await me.sees('read-back-asks', new RegExp(`^Segment ${i + 1} of`));
    if (i !== work) {
      await shows(row);
      continue;
    }
    await me.press('shows-else');
    await me.type('shown-target', String(celsius));
    await me.type('shown-rate', rate);
    await me.type('shown-hold', '2.3');
    await me.press('take-shown');
    await me.reads('Enter the hold as it shows it, such as 2.30.');
    await me.type('shown-hold', `${Number(hold.slice(-2))}.00`);
    await me.press('take-shown');
  }
  await me.sees('read-back-slips', /It shows 2 slips, the worst first/);
  const told = [await me.text('slip-0'), await me.text('slip-1')];
  expect(told.join(' ')).toMatch(new RegExp(`Segment ${work + 1}, target: it shows ${celsius} for ${target}; that is what it is in °C\\.`));
  expect(told.join(' ')).toMatch(new RegExp(`Segment ${work + 1}, hold: it shows \\d+\\.00 for ${hold}; hours and minutes are mixed up\\.`));
  for (const words of told) expect(words).toMatch(/(needs|bears|at most|too long|longer|less)\b/);
  await me.expectSound('slips found');
  // Mended: read back again, as it should be.
  await me.press('read-back-again');
  for (const row of rows) await shows(row);
  await me.find('read-back-good');
});

/** Says something else of how the grey box is keyed, and opens a sheet that was made for it before. */
async function greyBoxIs(choice: string): Promise<void> {
  await me.page.goto(`${studio.address}/shelves?shelf=controllers`);
  await me.press('record-grey-box');
  await me.press('fold-keyed');
  await me.press(choice);
  await me.press('save-record');
  await me.find('record-grey-box');
  await me.goToPiece('Tray, smallest of three', studio.address);
  await me.press('open-run');
  await me.press('open-key-in');
}

test('a controller said to ask in another order is keyed in that order at once, though nothing is calculated anew', async () => {
  await greyBoxIs('controller-order-targetFirst');
  await me.reads('It asks for the target first.');
  expect(await me.has('outdated')).toBe(false);
  expect((await rowsShown())[0]).toMatch(/^target \d+ · rate \d+ · hold \d+$/);
  expect(await me.has('rounded')).toBe(false);

  // One that counts in degrees a minute cannot key a rate that was planned for degrees an hour: what that does is said.
  await greyBoxIs('controller-rateAs-perMinute');
  await me.sees('outdated', /The figures of the controller 'Grey box' have been changed/);
  await me.press('as-it-is');
  await me.sees('rounded', /^This controller rounds\. .*rate \d+ °C\/h for \d+ °C\/h/);
  await me.sees('rounded-changes', /in all/);
  await me.expectSound('a sheet that is rounded');
});
