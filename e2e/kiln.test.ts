/** What must never reach a kiln unasked: a schedule of another lay-up, a second load; and a start that is still to come. */
import { setting } from './setting';
import { PHONE, Visitor } from './visitor';

const here = setting();
const { studio } = here;
let me: Visitor;

beforeEach(async () => {
  me = await Visitor.open(here.browser, PHONE);
});
afterEach(() => me.leave());

async function openRun(piece: string): Promise<string> {
  await me.goToPiece(piece, studio.address);
  await me.press('open-run');
  await me.find('live-figures');
  return me.page.url();
}

async function layDeeper(): Promise<void> {
  await me.goToPiece('Test tiles, clear', studio.address);
  await me.sees('figure-depth', /6 mm/);
  await me.press('layer-row-0');
  await me.type('layer-depth', '15 mm');
  await me.page.keyboard.press('Enter');
  await me.press('close-layer-sheet');
  await me.sees('outdated', /It was laid 6 mm deep; now it is 18 mm deep\./);
}

test('a schedule of another lay-up says so on every page, and is keyed in, printed or started only when the person says so', async () => {
  await layDeeper();
  const run = await openRun('Test tiles, clear');
  await me.sees('outdated', /It was laid 6 mm deep/);
  await me.reads('The lines below are about the lay-up it was calculated for');
  await me.expectSound('an outdated run sheet');
  await me.page.goto(run.replace('/run?', '/print?'));
  await me.sees('outdated', /It was laid 6 mm deep/);
  expect(await me.has('print')).toBe(false);
  await me.press('as-it-is');
  await me.find('print');
  expect(decodeURIComponent(await me.of('[data-testid="print-page"]', (node) => (node as HTMLImageElement).src))).toMatch(
    /Out of date, fired as it is\. It was laid 6/,
  );
  await me.page.goto(run.replace('/run?', '/record?'));
  await me.sees('outdated', /It was laid 6 mm deep/);
  await me.page.goto(run.replace('/run?', '/key-in?'));
  await me.sees('outdated', /It was laid 6 mm deep/);
  expect(await me.has('key-in-0')).toBe(false);
  expect(await me.has('start-firing')).toBe(false);
  await me.expectSound('an outdated key-in sheet');
  await me.press('compute-again');
  await me.gone('outdated');
  await me.find('key-in-0');
  expect(me.troubles).toEqual([]);
});

test('fired as it is, what differed stays with the firing', async () => {
  await me.page.goto(`${studio.address}/kiln`);
  await me.press('opened');
  await me.press('opened-then');
  await me.sees('has-been-opened', /^Opened \d\d:\d\d; no result recorded yet\.$/);
  await me.goToPiece('Plaque no. 14', studio.address);
  await me.press('layer-row-0');
  await me.press('layer-depth-more');
  await me.press('close-layer-sheet');
  await me.sees('outdated', /It was laid 9 mm deep/);
  await me.press('piece-key-in');
  await me.press('as-it-is');
  await me.press('start-firing');
  await me.press('start-all-the-same');
  await me.heading(/^Bench$/);
  await me.reads('Fired although the schedule was out of date. It was laid 9 mm deep');
  await me.expectSound('a Bench with a firing as it was');
  await me.press('see-kiln');
  await me.reads('Fired although the schedule was out of date. It was laid 9 mm deep');
  await me.press('open-firing');
  await me.sees('fired-as-it-was', /It was laid 9 mm deep/);
});

test('a start set for later is kept as planned, and the kiln says so', async () => {
  const free = async (): Promise<void> => {
    await me.page.goto(`${studio.address}/kiln`);
    await me.find('kiln-running');
    while (await me.has('opened')) {
      await me.press('opened');
      await me.press('opened-then');
      await me.gone('opened-then');
    }
  };
  await free();
  await openRun('Sundial disc');
  await me.press('open-key-in');
  await me.press('start-when-later');
  const at = new Date(Date.now() + 36 * 3600e3);
  at.setHours(22, 30, 0, 0);
  // Wanted open at an hour that cannot be reached any more: said, and not started.
  await me.press('delay-by-open');
  await me.setTime('planned-start', new Date(Date.now() + 2 * 3600e3));
  await me.sees('delay-doubts', /too late for that\. The earliest is this/);
  await me.press('start-firing');
  if (await me.has('start-all-the-same')) await me.press('start-all-the-same');
  await me.reads('Too late for that: choose a later time.');
  // By the opening it starts some hours before; a night and the controller's longest delay are told.
  await me.setTime('planned-start', at);
  await me.sees('delay-plan', /^Starts at .* check from .*, open at .*22:30\.$/);
  // Told by its start it is the same plan, until another time is set.
  const plan = await me.text('delay-plan');
  await me.press('delay-by-start');
  await me.sees('delay-plan', new RegExp(plan.slice(0, 24)));
  await me.setTime('planned-start', at);
  await me.sees('delay-plan', /^Starts at .*22:30, a delay of (\d+ d )?\d+ h/);
  await me.sees('delay-doubts', /delays a start by 24 h 00 at most: set it from .* on\./);
  await me.expectSound('a start set for later');
  await me.press('start-firing');
  await me.press('start-all-the-same');
  await me.heading(/^Bench$/);
  await me.sees('planned', /^Starts by itself at .*22:30\.$/);
  await me.expectSound('a planned start on the Bench');
  // Another that would run into it is told of it, and may start when it is through.
  await openRun('Tray, smallest of three');
  await me.press('open-key-in');
  await me.press('start-when-later');
  await me.setTime('planned-start', new Date(at.getTime() - 3600e3));
  await me.sees('kiln-in-use', /Sundial disc is planned for the kiln 'Low kiln' from .*22:30 to/);
  await me.press('plan-when-free');
  await me.gone('kiln-in-use');
  // Or join it, with what its schedule would do to this piece.
  await me.setTime('planned-start', new Date(at.getTime() - 3600e3));
  await me.press('join-load');
  await me.sees('join-judged', /With their schedule this piece (breaks|keeps)/);
  await me.expectSound('a load to be joined');
  await me.press('join-now');
  await me.heading(/^Bench$/);
  await me.sees('kiln-load', /^Sundial disc, full fuse; Tray, smallest of three, slump$/);
});

test('a load tells wherever it stands which of its pieces is not as it was planned; its note is of all of them', async () => {
  await me.goToPiece('Tray, smallest of three', studio.address);
  await me.press('journey-0');
  await me.press('layer-row-0');
  await me.press('layer-depth-more');
  await me.press('close-layer-sheet');
  for (const place of ['bench', 'kiln']) {
    await me.page.goto(`${studio.address}/${place}`);
    await me.sees('load-outdated', /Changed since it was planned\. Tray, smallest of three: It was laid 6 mm deep; now it is 7 mm deep\./);
  }
  await me.expectSound('a planned load of which one piece was changed');
  await me.page.goto(`${studio.address}/kiln`);
  await me.press('open-firing');
  await me.press('fold-load');
  await me.sees('load-outdated', /Tray, smallest of three: It was laid 6 mm deep/);
  await me.sees('load-entry', /Tray, smallest of three/);
  await me.type('load-note', 'The vent was left open.');
  await me.expectSound('a load in a record');
  await me.press('keep-load-note');
  await me.gone('keep-load-note');
  await me.press('load-entry');
  await me.heading(/^Tray, smallest of three$/);
  await me.press('fold-load');
  expect(await me.of('[data-testid="load-note"]', (node) => (node as HTMLTextAreaElement).value)).toBe('The vent was left open.');
});

test('a shape that cannot be is refused at its field, and nothing typed is lost', async () => {
  await me.goToPiece('Lamp panel, left', studio.address);
  await me.lookAtFiring(1);
  await me.press('change-step');
  await me.press('form-none');
  await me.type('shape-overhang', '300 mm');
  await me.type('shape-drop', '20 mm');
  await me.press('compute');
  await me.reads('a blank 240 mm across rests on nothing');
  expect(await me.of('[data-testid="shape-overhang"]', (node) => (node as HTMLInputElement).value)).toBe('300 mm');
  await me.expectSound('a drape that cannot be');
  await me.type('shape-overhang', '80 mm');
  await me.type('shape-drop', '90 mm');
  await me.press('compute');
  await me.reads('cannot come down 90 mm');
  await me.type('shape-drop', '40 mm');
  await me.press('kiln-tall-kiln');
  await me.press('compute');
  await me.find('live-figures');
  await me.press('fold-verdict');
  await me.reads('The middle 80 mm stays flat on the former.');
});

test('a firing that would undo the one before it says so and asks', async () => {
  await me.goToPiece('Tray, smallest of three', studio.address);
  await me.press('journey-add');
  await me.press('add-fire');
  await me.chooseLook('firePolish');
  await me.press('setup-bareShelf');
  await me.sees('plan-problem', /a fire polish lets what the slump before it has shaped sink flat again/);
  await me.press('compute');
  await me.find('live-figures');
});
