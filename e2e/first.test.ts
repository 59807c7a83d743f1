/** A studio of one's own on its first day: each place says in a sentence what to do, and the act is at hand. */
import { setting } from './setting';
import { PHONE, Visitor, WIDE } from './visitor';

const here = setting({ TORVIN_START: 'own' });
const { studio } = here;

const open = async (me: Visitor, path: string): Promise<unknown> => me.page.goto(studio.address + path);

describe.each([
  ['390 × 844', PHONE],
  ['1280 × 800', WIDE],
] as const)('an empty studio at %s', (_, size) => {
  let me: Visitor;
  beforeAll(async () => {
    me = await Visitor.open(here.browser, size);
  });
  afterAll(() => me.page.close());

  test('the Bench leads back to what was not answered yet', async () => {
    await open(me, '/bench');
    expect(await me.sees('bench-next', /Then comes a first piece/)).toMatch(/Go on setting up/);
    await me.sees('bench-kiln', /No firing in a kiln\. Start one from its key-in sheet/);
    await me.sees('bench-learned', /no results yet/);
    await me.expectSound('an empty bench');
    await me.press('go-on');
    await me.heading(/Welcome/);
  });

  test('Pieces, Notebook and Shelves say what to do first', async () => {
    await open(me, '/pieces');
    await me.sees('no-pieces', /^[^.]+\.$/);
    await me.expectSound('no pieces');
    await open(me, '/notebook');
    await me.sees('notebook-count', /^0 firings$/);
    await me.reads('Fired pieces appear here');
    await me.expectSound('an empty notebook');
    await open(me, '/shelves');
    await me.sees('typical-shelf', /write its own over them/);
    await me.press('shelf-kilns');
    await me.sees('typical-shelf', /write its own over them/);
    await me.expectSound('typical shelves');
  });
});

test('the first piece is laid up, calculated and put on the Bench from nothing', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await open(me, '/settings?open=units');
  // A studio that thinks in inches and ounces: a bare number is in them.
  await me.press('unit-length-in');
  await me.press('unit-mass-oz');
  await open(me, '/pieces/new');
  await me.type('field-name', 'First tile');
  await me.type('field-width', '4');
  await me.type('field-length', '4');
  await me.sees('outline-area', /^16 in²$/);
  await me.press('save-piece');
  await me.press('add-layer');
  await me.press('add-sheet');
  await me.type('layer-depth', '1/8');
  await me.page.keyboard.press('Enter');
  await me.sees('layer-depth-other', /^3 mm$/);
  await me.press('close-layer-sheet');
  // 4 · 4 in of two sheets of 1/8 in, which are made to 3 mm, at 2500 kg/m³.
  await me.sees('figure-mass', /^mass 5\.5 oz/);
  await me.press('figure-mass');
  await me.sees('figure-mass', /^mass 155 g/);
  await me.expectSound('a piece in inches');
  await me.openPlan();
  // Nothing like it was ever fired here: that is an answer, and no silence of the server.
  await me.sees('plan-hours', /h/);
  await me.settled();
  expect(await me.has('connection')).toBe(false);
  await me.press('compute');
  await me.sees('schedule-state', /^as calculated$/);
  await me.press('open-key-in');
  await me.press('start-firing');
  await me.press('start-all-the-same');
  await me.sees('in-kiln', /My kiln First tile, full fuse/);
  await me.page.close();
});

test('where less motion is asked for, nothing moves by itself', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await me.page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
  /** The most that ran at once while a piece and its drawer opened, beside something that would move if it were let. */
  const moved = async (): Promise<number> => {
    await open(me, '/pieces');
    await me.page.evaluate(() => {
      const probe = document.createElement('div');
      probe.style.transition = 'opacity 500ms';
      document.body.append(probe);
      const seen = { most: 0 };
      (window as unknown as { seen: typeof seen }).seen = seen;
      const look = (): void => {
        seen.most = Math.max(seen.most, document.getAnimations().length);
        probe.style.opacity = probe.style.opacity === '0' ? '1' : '0';
        requestAnimationFrame(look);
      };
      look();
    });
    await me.openPiece('First tile');
    await me.press('layer-row-1');
    await me.press('layer-depth-more');
    await me.press('close-layer-sheet');
    return me.page.evaluate(() => (window as unknown as { seen: { most: number } }).seen.most);
  };
  expect(await moved()).toBe(0);
  await me.page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'no-preference' }]);
  expect(await moved()).toBeGreaterThan(0);
  await me.page.close();
});
