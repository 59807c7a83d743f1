/** Two tabs on one piece, a changed lay-up, a server that is away: nothing is lost and the person decides. */
import { setting } from './setting';
import { PHONE, Visitor } from './visitor';

const here = setting();
const { studio } = here;

async function openFirstRun(): Promise<Visitor> {
  const visitor = await Visitor.open(here.browser, PHONE);
  visitor.expectedStatuses.add(409);
  // As in two windows side by side: neither comes to the front, so neither looks for news on that account.
  await visitor.page.evaluateOnNewDocument(() => window.addEventListener('visibilitychange', (event) => event.stopImmediatePropagation(), true));
  await visitor.page.goto(`${studio.address}/pieces`);
  await visitor.openPiece('Sundial disc');
  await visitor.press('open-run');
  await visitor.sees('schedule-state', /computed|by hand/);
  return visitor;
}

const setWork = async (visitor: Visitor, typed: string): Promise<void> => {
  await visitor.press('run-row-2');
  await visitor.type('step-target', typed);
  await visitor.page.keyboard.press('Enter');
};

const workIs = (visitor: Visitor, value: number): Promise<void> => visitor.beadAt(2, value);

describe('two tabs on one piece', () => {
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
    await visitor.page.evaluateOnNewDocument(() => window.addEventListener('visibilitychange', (event) => event.stopImmediatePropagation(), true));
    await visitor.page.goto(`${studio.address}/pieces`);
    await visitor.openPiece('Tray, smallest');
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
    await other.sees('figure-depth', /5 mm/);
    await other.press('undo');
    await other.sees('figure-depth', /7 mm/);
    expect([...one.troubles, ...other.troubles]).toEqual([]);
    await one.page.close();
    await other.page.close();
  });
});

describe('a lay-up changed after its schedule was computed', () => {
  test('marks the schedule as older and computes again', async () => {
    const me = await Visitor.open(here.browser, PHONE);
    await me.page.goto(`${studio.address}/pieces`);
    await me.openPiece('Plaque no. 14');
    await me.press('layer-row-1');
    await me.press('layer-depth-more');
    await me.press('close-layer-sheet');
    await me.sees('older-than-layup', /another lay-up/);
    await me.expectSound('piece with an older schedule');
    await me.press('compute-again');
    await me.sees('schedule-state', /^as computed$/);
    await me.page.goBack();
    await me.gone('older-than-layup');
    await me.page.close();
  });
});

describe('a server that is away', () => {
  test('is named, the change stays on the screen and is saved when it is back', async () => {
    const me = await openFirstRun();
    await studio.stop();
    await setWork(me, '795');
    await me.reads('No answer from the Torvin server');
    await workIs(me, 795);
    await studio.start();
    await me.press('try-again');
    await me.readsNoMore('No answer from the Torvin server');
    await me.sees('schedule-state', /^changed by hand$/);
    await me.page.reload();
    await workIs(me, 795);
    await me.page.close();
  });
});
