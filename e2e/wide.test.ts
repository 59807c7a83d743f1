/** The main views at 1280 × 800, in both themes. */
import { setting } from './setting';
import { Visitor, WIDE } from './visitor';

const here = setting();
const { studio } = here;

describe.each(['light', 'dark'] as const)('the main views at 1280 × 800, %s', (theme) => {
  let me: Visitor;
  beforeAll(async () => {
    me = await Visitor.open(here.browser, WIDE, theme);
    await me.page.goto(studio.address);
  });
  afterAll(() => me.page.close());

  test('pieces and a piece stand side by side', async () => {
    await me.find('piece-link');
    await me.expectSound('pieces');
    await me.openPiece('Plaque no. 14');
    await me.find('open-run');
    const boxes = await Promise.all(['piece-link', 'open-run'].map(async (id) => (await me.find(id)).boundingBox()));
    expect(boxes[1]?.x).toBeGreaterThan((boxes[0]?.x ?? 0) + (boxes[0]?.width ?? 0));
    await me.expectSound('piece');
  });

  test('the lay-up stands beside its run sheet', async () => {
    await me.press('open-run');
    await me.find('live-figures');
    expect(await me.has('figure-depth')).toBe(true);
    await me.press('run-row-2');
    await me.find('segment-sheet');
    await me.expectSound('run sheet');
    await me.press('close-segment-sheet');
  });

  test('the key-in sheet', async () => {
    await me.press('open-key-in');
    await me.find('key-in-0');
    await me.expectSound('key-in sheet');
  });

  test('the form of a new piece', async () => {
    await me.page.goto(`${studio.address}/pieces/new`);
    await me.find('save-piece');
    await me.press('shape-disc');
    await me.find('field-diameter');
    await me.expectSound('new piece');
  });

  test('notebook and firing stand side by side', async () => {
    await me.page.goto(`${studio.address}/notebook`);
    await me.press('firing-link');
    await me.find('firing-record');
    expect(await me.has('firing-link')).toBe(true);
    await me.expectSound('notebook');
  });

  test('an address that leads nowhere says so', async () => {
    await me.page.goto(`${studio.address}/nowhere`);
    await me.heading(/Nothing here/);
    await me.expectSound('nowhere');
  });
});
