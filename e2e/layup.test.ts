/** The lay-up on its drawing: from an empty plaque with standing numerals to its recorded firing; fit, coating, undo. */
import { setting } from './setting';
import { beginPiece } from './states';
import { PHONE, Visitor } from './visitor';

const here = setting();
const { studio } = here;
let me: Visitor;

beforeEach(async () => {
  me = await Visitor.open(here.browser, PHONE);
});
afterEach(() => me.leave());

async function newPiece(name: string, glass: string): Promise<void> {
  await me.page.goto(`${studio.address}/pieces/${await beginPiece(studio.address, name, { width: '220', length: '150' }, glass)}`);
  await me.find('section-editor');
}

async function add(form: string, glass: string): Promise<void> {
  await me.press('add-layer');
  await me.press(`add-${form}`);
  await me.press(`glass-${glass}`);
}

const labels = (): Promise<string> => me.of('[data-testid="section-editor"]', (node) => node.getAttribute('aria-label') ?? '');
const order = async (): Promise<string[]> => [...(await labels()).matchAll(/(?:top: |; )([A-Z][a-z ]+?)(?: pieces)?,/g)].map(([, name]) => name);

test('a plaque with standing numerals, from empty to its recorded firing', async () => {
  await newPiece('Plaque no. 22', 'harbour-90');
  await add('sheet', 'clear-90');
  await add('pieces', 'straw-90');
  await me.type('layer-cover', '18');
  await me.page.keyboard.press('Enter');
  await me.type('layer-count', '2');
  await me.page.keyboard.press('Enter');
  await me.press('close-layer-sheet');
  expect(await labels()).toMatch(/Harbour blue, 3 mm; Clear, 3 mm; Straw pieces, 3 mm, 2 of them, over 18 %/);
  await me.sees('figure-depth', /6 to 9 mm/);
  // 0.22 · 0.15 m² · (6 mm + 18 % of 3 mm) of 2500 kg/m³
  await me.sees('figure-mass', /540 g/);
  await me.expectSound('a plaque laid up');
  // Standing pieces are likely to be tacked; the relief that is left is part of the verdict.
  await me.openPlan();
  await me.press('compute');
  await me.heading(/Tack fuse/);
  await me.press('fold-verdict');
  await me.reads('of the height of its parts');
  await me.press('open-record');
  await me.setTime('record-when', new Date(Date.now() - 150 * 3600e3));
  await me.press('result-right');
  await me.press('reached-tack');
  await me.type('record-place', 'front left');
  await me.type('record-note', 'Both digits stand.');
  await me.press('save-firing');
  expect(await me.sees('firing-record', /right/)).toMatch(/Both digits stand\. .*front left/);
  await me.expectSound('the plaque fired');
});

test('a fit that fails is marked at its contact, reckoned, and mended', async () => {
  await newPiece('Doubtful pair', 'clear-90');
  await add('sheet', 'pane-boro');
  await me.press('close-layer-sheet');
  await me.sees('fold-fits', /Does not fit/);
  expect(await me.sees('fit', /MPa/)).toMatch(/Clear borosilicate on Clear: does not fit\. About [\d.]+ MPa would stay where 7\.0 MPa is dangerous/);
  await me.press('why-fit-0');
  expect(await me.text('why-fit-0-lines')).toMatch(/Expansion: Clear borosilicate 3\.\d+·10⁻⁶\/K, Clear 9\.\d+·10⁻⁶\/K.*Full model.*bow/);
  await me.reads('Change a glass before you fire');
  await me.expectSound('a fit that fails');
  await me.press('layer-row-1');
  await me.press('glass-slate-90');
  await me.press('close-layer-sheet');
  await me.sees('fold-fits', /^Fits/);
  await me.readsNoMore('Change a glass before you fire');
});

test('copper on sulphur is told before it shows, and is no hindrance', async () => {
  await newPiece('Reaction', 'harbour-90');
  await add('sheet', 'straw-90');
  await me.press('close-layer-sheet');
  expect(await me.sees('fit', /react/)).toMatch(/Straw on Harbour blue react: copper and sulphur make a dark line/);
  await me.sees('fold-fits', /^Fits/);
});

test('a coated sheet lies bare until it is turned over', async () => {
  await newPiece('Shimmer', 'clear-90');
  await add('sheet', 'shimmer-90');
  await me.sees('coating', /lies bare and may lift/);
  await me.press('layer-turn');
  await me.sees('coating', /faces down and is held/);
  expect(await labels()).toMatch(/Shoal shimmer, 3 mm, coating down/);
  await me.press('undo');
  await me.sees('coating', /lies bare/);
  await me.expectSound('a coating that lies bare');
});

test('layers are moved by a finger on the drawing, by keys, and by the grip', async () => {
  await me.goToPiece('Sundial disc', studio.address);
  expect(await order()).toEqual(['Wet slate', 'Clear', 'Clear']);
  const drawing = await me.find('section-editor');
  const place = async (): Promise<{ x: number; foot: number; height: number }> => {
    const box = await drawing.boundingBox();
    if (!box) throw new Error('The drawing is not on the screen.');
    return { x: box.x + box.width / 2, foot: box.y + box.height * 0.8, height: box.height };
  };
  const labelled = await labels();
  // A finger that moves at once scrolls; one that rests first takes the layer.
  const first = await place();
  // Sent together, so that a slow machine does not make a resting finger of it.
  const browser = await me.page.createCDPSession();
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', ...heights: number[]): Promise<unknown> =>
    browser.send('Input.dispatchTouchEvent', { type, touchPoints: heights.map((y) => ({ x: first.x, y })) });
  const heights = Array.from({ length: 5 }, (_, i) => first.foot - (i + 1) * 12);
  await Promise.all([touch('touchStart', first.foot), ...heights.map((y) => touch('touchMove', y)), touch('touchEnd')]);
  // The page comes to rest before a finger can take anything on it.
  await new Promise((resolve) => setTimeout(resolve, 600));
  expect(await labels()).toBe(labelled);
  await drawing.evaluate((node) => node.scrollIntoView({ block: 'start' }));
  const { x, foot, height } = await place();
  const finger = await me.page.touchscreen.touchStart(x, foot);
  await new Promise((resolve) => setTimeout(resolve, 400));
  for (let i = 1; i <= 10; i += 1) await finger.move(x, foot - (i * height * 0.7) / 10);
  await finger.end();
  await me.page.waitForFunction(() =>
    /Clear, 6 mm; Clear, 6 mm; Wet slate/.test(document.querySelector('[data-testid="section-editor"]')?.getAttribute('aria-label') ?? ''),
  );
  // Keys on the drawing: the first arrow takes the lowest layer, shift moves it.
  await drawing.focus();
  await me.page.keyboard.press('ArrowUp');
  for (let i = 0; i < 2; i += 1) await me.page.keyboard.press('ArrowUp');
  await me.page.keyboard.down('Shift');
  for (let i = 0; i < 2; i += 1) await me.page.keyboard.press('ArrowDown');
  await me.page.keyboard.up('Shift');
  expect(await order()).toEqual(['Wet slate', 'Clear', 'Clear']);
  await me.page.keyboard.press('Escape');
  const grip = await me.find('layer-grip-0');
  await grip.focus();
  await me.page.keyboard.press('ArrowUp');
  expect(await order()).toEqual(['Clear', 'Wet slate', 'Clear']);
  expect(me.troubles).toEqual([]);
});

test('depth and cover are trimmed by their beads on the drawing, by finger and by keys', async () => {
  await me.goToPiece('Plaque no. 14', studio.address);
  await me.press('layer-row-2');
  const pull = async (bead: string, dx: number, dy: number): Promise<void> => {
    const box = await (await me.find(bead)).boundingBox();
    if (!box) throw new Error('The bead is not on the screen.');
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    const finger = await me.page.touchscreen.touchStart(x, y);
    for (let i = 1; i <= 8; i += 1) await finger.move(x + (dx * i) / 8, y + (dy * i) / 8);
    await finger.end();
  };
  await pull('handle-depth', 0, -44);
  await me.page.waitForFunction(() => /pieces, 6 mm/.test(document.querySelector('[data-testid="section-editor"]')?.getAttribute('aria-label') ?? ''));
  const before = Number(/over (\d+) %/.exec(await labels())?.[1]);
  await pull('handle-cover', -60, 0);
  await me.page.waitForFunction(
    (was) => Number(/over (\d+) %/.exec(document.querySelector('[data-testid="section-editor"]')?.getAttribute('aria-label') ?? '')?.[1]) < was,
    { timeout: 60_000 },
    before,
  );
  const cover = await me.find('handle-cover');
  const value = await cover.evaluate((node) => Number(node.getAttribute('aria-valuenow')));
  await cover.focus();
  await me.page.keyboard.press('ArrowRight');
  await me.page.waitForFunction(
    (was) => Math.abs(Number(document.querySelector('[data-testid="handle-cover"]')?.getAttribute('aria-valuenow')) - was - 0.05) < 1e-6,
    { timeout: 60_000 },
    value,
  );
  await me.expectSound('a layer with its beads');
  // Where the finger rested on its way the drag is more than one change, so undo is pressed until the depth is back.
  for (let i = 0; i < 30 && !/pieces, 3 mm/.test(await labels()); i += 1) {
    const now = await labels();
    await me.press('undo');
    // A step of less than one in a hundred changes no word.
    const another = (was: string) => document.querySelector('[data-testid="section-editor"]')?.getAttribute('aria-label') !== was;
    await me.page.waitForFunction(another, { timeout: 3000 }, now).catch(() => undefined);
  }
  expect(await labels()).toMatch(/pieces, 3 mm/);
});

test('undo goes back through ten edits, also after a reload, and redo forth again', async () => {
  await me.goToPiece('Lamp panel, left', studio.address);
  await me.press('journey-0');
  const changedFrom = async (label: string): Promise<string> => {
    await me.page.waitForFunction(
      (was) => document.querySelector('[data-testid="section-editor"]')?.getAttribute('aria-label') !== was,
      { timeout: 60_000 },
      label,
    );
    return labels();
  };
  const seen = [await labels()];
  await me.press('layer-row-0');
  for (let i = 0; i < 10; i += 1) {
    if (i % 2 === 0) {
      await me.type('layer-depth', `${i / 2 + 4}`);
      await me.page.keyboard.press('Enter');
    } else await me.press(`glass-${i % 4 === 1 ? 'slate' : 'rose'}-90`);
    seen.push(await changedFrom(seen[i]));
  }
  expect(new Set(seen).size).toBe(11);
  await me.page.reload();
  await me.find('section-editor');
  await changedFrom(seen[9]);
  for (let i = 9; i >= 0; i -= 1) {
    await me.press('undo');
    expect(await changedFrom(seen[i + 1])).toBe(seen[i]);
  }
  await me.press('redo');
  expect(await changedFrom(seen[0])).toBe(seen[1]);
  expect(me.troubles).toEqual([]);
});

test('a deleted piece is brought back with a touch', async () => {
  await me.goToPiece('Test tiles, clear', studio.address);
  await me.press('delete-piece');
  await me.sees('take-back', /Test tiles, clear is deleted/);
  await me.heading(/^Pieces$/);
  expect(await me.ofAll('[data-testid="piece-link"]', (nodes) => nodes.some((node) => node.innerText.includes('Test tiles')))).toBe(false);
  await me.expectSound('a piece deleted');
  await me.press('bring-back');
  await me.goToPiece('Test tiles, clear', studio.address);
});

test('the next firing of what was fused starts as a slump, and says what is missing of its mould', async () => {
  await me.goToPiece('Plaque no. 14', studio.address);
  await me.press('journey-add');
  await me.press('add-fire');
  await me.type('shape-span', '');
  await me.press('compute');
  await me.reads('The mould: enter a figure, from 10 mm to 2000 mm.');
  await me.type('shape-span', '180');
  await me.type('shape-depth', '20');
  await me.expectSound('a firing chosen');
  await me.press('compute');
  await me.heading(/^Slump/);
  await me.press('run-row-0');
  await me.sees('segment-sheet', /one solid/);
  await me.press('close-segment-sheet');
  expect(await me.has('broken-limits')).toBe(false);
  await me.expectSound('run sheet of a slump');
});

test('a caution stands at every set-up and every form of glass', async () => {
  await me.goToPiece('Test tiles, clear', studio.address);
  await me.press('change-step');
  const heard = new Set<string>();
  const hears = async (): Promise<unknown> => heard.add(await me.sees('setup-caution', /^Take care\. .{30}/));
  for (const kind of ['bareShelf', 'raisedShelf', 'floorShelf', 'board', 'inMould']) {
    await me.press(`setup-${kind}`);
    await hears();
  }
  await me.press('under-paper');
  await me.sees('paper-caution', /Fibre paper smokes/);
  await me.press('under-primer');
  for (const look of ['drape', 'loosen', 'openCast']) {
    await me.chooseLook(look);
    await hears();
  }
  // Each has its own.
  expect(heard.size).toBe(8);
  await me.goToPiece('Test tiles, clear', studio.address);
  await me.press('layer-row-1');
  for (const [form, words] of [
    ['powder', /respirator/],
    ['frit', /respirator/],
    ['rod', /eye protection/],
    ['stringer', /eye protection/],
    ['pieces', /water and electricity apart/],
    ['sheet', /eye protection/],
  ] as const) {
    await me.press(`form-${form}`);
    await me.sees('layer-sheet', words);
  }
});

// Last: it leaves shelves behind that bear little.
test('what is under the glass: hotter than it bears is told, a little hotter is held for longer, and its binder has a way of its own', async () => {
  await me.page.goto(`${studio.address}/shelves?shelf=releases`);
  await me.press('record-thin-paper');
  await me.type('figure-top_C', '785');
  await me.type('figure-pace_K_per_s', '90');
  await me.press('save-record');
  await me.reads('write both, or leave both empty');
  await me.type('figure-paceTo_C', '350');
  await me.expectSound('a release with a pace of its own');
  await me.press('save-record');
  await me.find('record-thin-paper');
  await me.goToPiece('Sundial disc', studio.address);
  await me.sees('outdated', /The figures of 'Thin paper' have been changed/);
  await me.press('compute-again');
  await me.heading(/^Full fuse/);
  expect(await me.text('run-row-0')).toMatch(/^Burn off[^]*350[^]*90 °C\/h[^]*coat 90 of 90 °C\/h/);
  await me.press('run-row-0');
  await me.sees('segment-sheet', /what binds the coat leaves/);
  await me.press('close-segment-sheet');
  await me.sees('run-row-3', /785[^]*coat 785 of 785 °C/);
  expect(await me.has('broken-limits')).toBe(false);
  // Another coat, which bears more: as hot as it would be, and no way for its binder.
  await me.page.goBack();
  await me.press('change-step');
  await me.press('under-own-shelf-primer');
  await me.expectSound('a firing on a release of the studio’s own');
  await me.press('compute');
  await me.heading(/^Full fuse/);
  await me.sees('run-row-0', /^Warm up/);
  await me.sees('run-row-2', /8\d\d/);
  // One that bears far less is told by the amount.
  await me.page.goto(`${studio.address}/shelves?shelf=releases`);
  await me.press('record-shelf-primer');
  await me.type('figure-top_C', '700');
  await me.press('save-record');
  await me.find('record-shelf-primer');
  await me.goToPiece('Sundial disc', studio.address);
  await me.press('compute-again');
  await me.heading(/^Full fuse/);
  await me.sees('broken-2', /coat 8\d\d of 700 °C/);
});

test('a laid-up piece has its schedule in two taps and its key-in sheet in one more; all it does as a whole is in one menu', async () => {
  await newPiece('Counted in taps', 'clear-90');
  await me.sees('next-firing', /^No firing planned$/);
  await me.sees('next-act', /^Plan a firing$/);
  await me.press('next-act');
  await me.find('plan-bar');
  expect(await me.sees('plan-hours', /\d+ h \d\d/)).not.toBe('');
  await me.sees('plan-opens', /^opens .*\d\d:\d\d if started now$/);
  await me.press('compute');
  await me.find('run-row-0');
  await me.press('open-key-in');
  await me.find('key-in-0');
  await me.goToPiece('Counted in taps', studio.address);
  await me.sees('next-act', /^Key in$/);
  expect(await me.sees('next-when', /opens/)).toMatch(/Low kiln · opens .*\d\d:\d\d/);
  // A row opens and closes where it is; what is in it is not there before.
  expect(await me.has('body-words')).toBe(false);
  await me.press('fold-history');
  await me.find('body-words');
  await me.press('fold-history');
  await me.gone('body-words');
  await me.press('piece-menu');
  await me.sees('menu', /Rename, outline.*Duplicate.*Export.*Label.*Delete.*Tags.*Finished.*Archive/);
  expect(await me.has('next-act')).toBe(false);
  await me.expectSound('the menu of a piece');
  await me.press('close-menu');
  await me.find('next-act');
});
