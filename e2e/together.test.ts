/** Two tabs on one piece, a changed lay-up, a server that is away: nothing is lost and the person decides. */
import { wholePieces } from './server';
import { setting } from './setting';
import { PHONE, Visitor } from './visitor';

const here = setting();
const { studio } = here;

async function openFirstRun({ hears = false } = {}): Promise<Visitor> {
  const visitor = await Visitor.open(here.browser, PHONE);
  visitor.expectedStatuses.add(409);
  if (!hears) await visitor.hearsNothing();
  await visitor.goToPiece('Sundial disc', studio.address);
  await visitor.press('open-run');
  await visitor.sees('schedule-state', /calculated|by hand/);
  return visitor;
}

const setWork = async (visitor: Visitor, typed: string): Promise<void> => {
  await visitor.press('run-row-2');
  await visitor.type('step-target', typed);
  await visitor.page.keyboard.press('Enter');
};

const workIs = (visitor: Visitor, value: number): Promise<void> => visitor.beadAt(2, value);

describe('two tabs on one piece', () => {
  test('the second shows what the first has saved, without a touch, and goes on from there', async () => {
    const one = await openFirstRun({ hears: true });
    const other = await openFirstRun({ hears: true });
    await setWork(one, '795');
    await workIs(other, 795);
    await setWork(other, '798');
    await workIs(one, 798);
    expect(await Promise.all([one, other].map((tab) => tab.has('stale-choice')))).toEqual([false, false]);
    expect([...one.troubles, ...other.troubles]).toEqual([]);
    await one.leave();
    await other.leave();
  });

  test('the second to save is shown both states and can take the saved one', async () => {
    const one = await openFirstRun();
    const other = await openFirstRun();
    await setWork(one, '800');
    await one.sees('schedule-state', /^changed by hand$/);
    await setWork(other, '770');
    await other.sees('stale-choice', /changed elsewhere meanwhile/);
    await other.press('take-theirs');
    await workIs(other, 800);
    await other.gone('stale-choice');
    expect([...one.troubles, ...other.troubles]).toEqual([]);
    await one.page.close();
    await other.page.close();
  });

  test('or save its own over it', async () => {
    const one = await openFirstRun();
    const other = await openFirstRun();
    await setWork(one, '805');
    await one.sees('schedule-state', /^changed by hand$/);
    await setWork(other, '775');
    await other.sees('stale-choice', /changed elsewhere meanwhile/);
    // All of it, neither under the live figures nor under the sheet of the row.
    const seen = await other.page.$eval('[data-testid="stale-choice"]', (node) => {
      const { left, top, width, height } = node.getBoundingClientRect();
      return [top + 1, top + height / 2, top + height - 1].map((y) => node.contains(document.elementFromPoint(left + width / 2, y)));
    });
    expect(seen).toEqual([true, true, true]);
    await other.press('keep-mine');
    await other.gone('stale-choice');
    await other.sees('schedule-state', /^changed by hand$/);
    await other.page.reload();
    await workIs(other, 775);
    await one.page.close();
    await other.page.close();
  });
});

describe('two tabs on one lay-up', () => {
  async function openLayup(): Promise<Visitor> {
    const visitor = await Visitor.open(here.browser, PHONE);
    visitor.expectedStatuses.add(409);
    await visitor.hearsNothing();
    await visitor.goToPiece('Tray, smallest', studio.address);
    await visitor.press('journey-0');
    await visitor.sees('figure-depth', /mm/);
    return visitor;
  }

  test('the second is shown both states, saves its own over it, and neither edit is lost from undo', async () => {
    const one = await openLayup();
    const other = await openLayup();
    await one.press('layer-row-1');
    await one.press('layer-depth-more');
    await one.sees('figure-depth', /7 mm/);
    await one.page.waitForFunction(() => document.querySelector('[data-testid="undo"]')?.getAttribute('aria-label') === 'Undo: Top sheet changed');
    await new Promise((resolve) => setTimeout(resolve, 900));
    await other.press('layer-row-0');
    await other.press('layer-depth-less');
    await other.sees('stale-choice', /changed elsewhere meanwhile/);
    await other.expectSound('two tabs');
    await other.press('keep-mine');
    await other.gone('stale-choice');
    await other.page.reload();
    // 3 and 3 mm; one made 4 of the upper, the other 2 of the lower: both stand.
    await other.sees('figure-depth', /6 mm/);
    await other.press('undo');
    await other.sees('figure-depth', /7 mm/);
    expect([...one.troubles, ...other.troubles]).toEqual([]);
    await one.page.close();
    await other.page.close();
  });
});

describe('a lay-up changed after its schedule was calculated', () => {
  test('marks the schedule as older and calculates again', async () => {
    const me = await Visitor.open(here.browser, PHONE);
    await me.goToPiece('Plaque no. 14', studio.address);
    await me.press('layer-row-1');
    await me.press('layer-depth-more');
    await me.press('close-layer-sheet');
    await me.sees('outdated', /It was laid 9 mm deep; now it is \d+ mm deep/);
    await me.expectSound('piece with an older schedule');
    await me.press('compute-again');
    await me.sees('schedule-state', /^as calculated$/);
    await me.page.goBack();
    await me.gone('outdated');
    await me.page.close();
  });
});

describe('a server that is away', () => {
  const depthIs = (me: Visitor, depth: RegExp): Promise<string> => me.sees('figure-depth', depth);

  test('is named in the header, the change stays on the screen and goes by itself when it is back', async () => {
    const me = await openFirstRun();
    await studio.away(async () => {
      await setWork(me, '795');
      await me.sees('connection', /^offline · 1 waits$/);
      await workIs(me, 795);
      // Made one after the other without a rest they would be one change.
      await new Promise((resolve) => setTimeout(resolve, 1000));
      await setWork(me, '797');
      await me.sees('connection', /^offline · 2 wait$/);
      await me.press('undo');
      await me.reads('take them back when it answers');
    });
    await me.gone('connection');
    await me.sees('schedule-state', /^changed by hand$/);
    await me.page.reload();
    await workIs(me, 797);
    await me.page.close();
  });

  test('what was changed meanwhile outlives the page, in its order, each change to be undone by itself', async () => {
    const me = await Visitor.open(here.browser, PHONE);
    await me.goToPiece('Bird-bath basin', studio.address);
    await me.press('journey-0');
    const before = await depthIs(me, /mm/);
    await studio.away(async () => {
      await me.press('layer-row-1');
      await me.press('layer-depth-more');
      // On a slow machine what is shown may have been asked for again meanwhile, and then says of when it is.
      await me.sees('connection', /^offline · (as of .* · )?1 waits$/);
      await me.press('layer-remove');
      await me.sees('connection', /^offline · (as of .* · )?2 wait$/);
      await me.press('connection');
      await me.sees('waiting', /Bird-bath basin: .*changed.*Bird-bath basin: .*removed/);
      expect(await me.inspect()).toEqual({ overflow: [], overlaps: [], smallTargets: [], accessibility: [] });
      await me.page.goto('about:blank');
    });
    await me.goToPiece('Bird-bath basin', studio.address);
    await me.press('journey-0');
    const undo = (what: RegExp): Promise<unknown> =>
      me.page.waitForFunction(
        (source) => new RegExp(source).test(document.querySelector('[data-testid="undo"]')?.getAttribute('aria-label') ?? ''),
        { timeout: 60_000 },
        what.source,
      );
    await undo(/removed/);
    await me.press('undo');
    await undo(/changed/);
    await me.press('undo');
    await depthIs(me, new RegExp(before.split(' mm')[0]));
    await me.page.close();
  });

  test('lay-up and schedule changed in turns are no conflict, and pages show what waits', async () => {
    const me = await Visitor.open(here.browser, PHONE);
    await me.goToPiece('Test tiles, clear', studio.address);
    await depthIs(me, /6 mm/);
    await studio.away(async () => {
      await me.press('layer-row-1');
      await me.press('layer-depth-more');
      await me.press('close-layer-sheet');
      await me.sees('connection', /^offline · 1 waits$/);
      await me.press('open-run');
      await setWork(me, '803');
      await me.sees('connection', /^offline · 2 wait$/);
      await me.page.goBack();
      await me.gone('segment-sheet');
      await me.page.goBack();
      await depthIs(me, /7 mm/);
      await me.press('layer-row-0');
      await me.press('layer-depth-more');
      await me.press('close-layer-sheet');
      await me.sees('connection', /^offline · 3 wait$/);
      await me.press('open-run');
      await workIs(me, 803);
      expect(await me.inspect()).toEqual({ overflow: [], overlaps: [], smallTargets: [], accessibility: [] });
    });
    await me.gone('connection');
    await me.page.reload();
    await workIs(me, 803);
    expect(await me.has('stale-choice')).toBe(false);
    await me.page.goBack();
    await depthIs(me, /8 mm/);
    await me.page.close();
  });

  test('what is asked for the first time meanwhile says so, and fills itself when it is back', async () => {
    const me = await Visitor.open(here.browser, PHONE);
    await me.page.goto(`${studio.address}/notebook`);
    await me.sees('notebook-count', /\d+ firings$/);
    await studio.away(async () => {
      // What was searched for is never kept.
      await me.type('notebook-search', 'tray');
      await me.reads('No answer from the Torvin server');
      await me.sees('connection', /^offline$/);
      await me.press('connection');
      await me.sees('waiting', /Nothing waits/);
    });
    await me.sees('notebook-count', /^\d+ firings? found$/);
    await me.gone('waiting');
    await me.page.close();
  });

  test('a firing told while it is away is kept, and found in the Notebook afterwards', async () => {
    const me = await openFirstRun();
    await me.press('open-record');
    await me.find('record-note');
    await me.setTime('record-when', new Date(Date.now() - 150 * 3600e3));
    await me.press('result-right');
    await studio.away(async () => {
      await me.type('record-note', 'written without the server');
      await me.press('save-firing');
      await me.sees('held', /kept here and sent/);
      await me.sees('connection', /^offline · 1 waits$/);
    });
    await me.heading(/Sundial disc/);
    await me.reads('written without the server');
    await me.page.close();
  });

  test('what somebody else saved meanwhile is not written over: the person is asked', async () => {
    const me = await Visitor.open(here.browser, PHONE);
    me.expectedStatuses.add(409);
    await me.goToPiece('Lamp panel, left', studio.address);
    await me.press('journey-0');
    const { id } = (await wholePieces(studio.address)).find(({ name }) => name === 'Lamp panel, left') ?? { id: '' };
    await studio.away(async () => {
      await me.press('layer-row-1');
      await me.press('layer-depth-more');
      await me.sees('connection', /1 waits/);
      await me.page.goto('about:blank');
    });
    const piece = (await (await fetch(`${studio.address}/api/pieces/${id}`)).json()) as { name: string; doc: object; version: number };
    const body = JSON.stringify({ name: 'Lamp panel, left (theirs)', doc: piece.doc, version: piece.version, what: 'name' });
    expect((await fetch(`${studio.address}/api/pieces/${id}`, { method: 'PUT', headers: { 'Content-Type': 'application/json' }, body })).status).toBe(200);
    await me.page.goto(`${studio.address}/pieces`);
    await me.sees('connection', /^1 not saved$/);
    await me.press('connection');
    await me.sees('waiting', /was not taken/);
    expect(await me.inspect()).toEqual({ overflow: [], overlaps: [], smallTargets: [], accessibility: [] });
    await me.press('refused-mine');
    await me.gone('connection');
    await me.openPiece('Lamp panel, left');
    await me.page.close();
  });
});
