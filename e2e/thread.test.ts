/** One piece, one computed schedule, one recorded firing: the whole thread, walked at phone size. */
import { setting } from './setting';
import { DEMO_PIECES } from '../apps/server/src/opening/demo';
import { PHONE, Visitor } from './visitor';

const here = setting();
const { studio } = here;
let me: Visitor;

beforeAll(async () => {
  me = await Visitor.open(here.browser, PHONE);
  await me.page.goto(`${studio.address}/pieces`);
});

/** Moves a bead by a finger in small quick steps; between runs while the finger is still down. */
async function dragBead(index: number, sideways_px: number, between: () => Promise<void>): Promise<void> {
  const bead = await me.find(`bead-${index}`);
  await bead.evaluate((node) => node.scrollIntoView({ block: 'center' }));
  const box = await bead.boundingBox();
  if (!box) throw new Error('The bead is not on the screen.');
  const x = box.x + box.width / 2;
  const y = box.y + box.height / 2;
  const finger = await me.page.touchscreen.touchStart(x, y);
  const steps = 12;
  for (let i = 1; i <= steps; i += 1) await finger.move(x + (sideways_px * i) / steps, y);
  await between();
  await finger.end();
}

const beadValue = async (index: number): Promise<number> => (await me.find(`bead-${index}`)).evaluate((node) => Number(node.getAttribute('aria-valuenow')));

/** Each step stands on the one before it, so after a failure the rest is not tried. */
let standing = true;
function step(name: string, walk: () => Promise<void>): void {
  test(name, async () => {
    if (!standing) throw new Error('An earlier step failed.');
    standing = false;
    await walk();
    standing = true;
  });
}

describe('the thread, at 390 × 844', () => {
  step('Pieces lists the demo pieces by their sections, pictures or outlines', async () => {
    await me.heading(/^Pieces$/);
    await me.find('piece-link');
    const faces = await me.ofAll('[data-testid="piece-link"] [role="img"], [data-testid="piece-link"] img', (drawings) =>
      drawings.map((drawing) => drawing.getAttribute('aria-label') ?? drawing.getAttribute('alt')),
    );
    expect(faces).toHaveLength(DEMO_PIECES.length);
    expect(faces[0]).toMatch(/Section, bottom to top: Harbour blue, 3 mm; Clear, 3 mm; Dune rose pieces, 2.6 mm, 4 of them, over 26 %/);
    expect(faces).toEqual(expect.arrayContaining(['Picture of Bird-bath basin', 'Sundial disc from above']));
    await me.expectSound('pieces');
  });

  step('what cannot be is refused at its field in a sentence, and nothing is lost', async () => {
    await me.press('new-piece');
    await me.heading(/New piece/);
    await me.type('field-name', 'Tray, smallest');
    await me.type('field-width', 'wide');
    await me.type('field-length', '0');
    await me.press('save-piece');
    await me.sees('field-width-error', /'wide' is not a length\. Write for example/);
    await me.sees('field-length-error', /0 mm; it must be from 20 mm to 2000 mm/);
    await me.expectSound('refused entry');
  });

  step('a new piece is sized as people write it and opens with one sheet', async () => {
    await me.type('field-width', '12 in');
    await me.type('field-length', '300');
    // 0.3048 · 0.3 m²
    await me.sees('outline-area', /914 cm²/);
    await me.press('glass-harbour-90');
    await me.expectSound('new piece');
    await me.press('save-piece');
    await me.heading(/Tray, smallest/);
    // 0.3048 · 0.3 · 0.003 m³ of 2500 kg/m³
    await me.sees('figure-mass', /686 g/);
    await me.sees('figure-depth', /3 mm/);
  });

  step('a sheet is laid on top; depth and mass follow every touch', async () => {
    await me.press('add-layer');
    await me.press('add-sheet');
    await me.find('layer-sheet');
    await me.sees('figure-mass', /1\.37 kg/);
    await me.press('layer-depth-more');
    await me.sees('figure-depth', /7 mm/);
    await me.type('layer-depth', '400 mm');
    await me.page.keyboard.press('Enter');
    await me.sees('layer-depth-error', /400 mm; it must be from 0\.5 mm to 25 mm/);
    await me.expectSound('a layer refused');
    await me.type('layer-depth', '1/8 in');
    await me.page.keyboard.press('Enter');
    // By the name that sheets of 3 mm go by.
    await me.sees('figure-depth', /6 mm/);
    await me.type('layer-depth', '3');
    await me.page.keyboard.press('Enter');
    await me.press('glass-rose-90');
    await me.sees('fold-fits', /Fits two glasses, one tested family/);
    await me.press('close-layer-sheet');
    await me.sees('figure-mass', /1\.37 kg/);
    await me.expectSound('piece without a firing');
  });

  step('a full fuse on a bare shelf is calculated', async () => {
    await me.openPlan();
    await me.sees('look-caution', /Take care/);
    await me.press('compute');
    await me.heading(/Full fuse/);
    await me.sees('schedule-state', /^as calculated$/);
    expect(await me.sees('live-core-skin', /°C/)).toMatch(/of 5 °C/);
    // A tap on a figure shows it in the other unit, another shows it as it was.
    await me.press('live-core-skin');
    await me.sees('live-core-skin', /^core–surface [\d.]+ °F of 9 °F/);
    await me.press('live-core-skin');
    await me.sees('live-core-skin', /^core–surface [\d.]+ °C/);
    await me.sees('live-work', /9\d %|10\d %/);
    for (const [row, words] of [
      [0, /Warm up.*°C\/h.*tension [\d.]+ of 7\.0 MPa/],
      [1, /Squeeze.*hold \d+ min.*squeeze \d+ % of its need/],
      [2, /Work.*790/],
      [3, /Drop and soak.*515.*full speed.*soak 30 min/],
      [4, /First cool.*core–surface [\d.]+ of 5 °C/],
    ] as const) {
      expect(await me.text(`run-row-${row}`)).toMatch(words);
    }
    expect(await me.has('broken-limits')).toBe(false);
    await me.expectSound('run sheet');
  });

  step('dragging a bead moves figures and end time while the finger is down, and names the limit it breaks', async () => {
    const before = { work: await me.text('live-work'), length: await me.text('live-length'), value: await beadValue(2) };
    await dragBead(2, 26, async () => {
      await me.sees('broken-2', /heat work \d+ % of \d+–\d+/);
      expect(await me.text('live-work')).not.toBe(before.work);
      expect(await beadValue(2)).toBeGreaterThan(before.value + 20);
      expect(await me.has('segment-sheet')).toBe(false);
    });
    await me.sees('segment-sheet', /It will go too far/);
    await me.sees('schedule-state', /^changed by hand$/);
    expect(await me.text('live-length')).not.toBe(before.length);
    await me.sees('broken-limits', /^Work: heat work \d+ % of \d+–\d+/);
    await me.expectSound('run sheet with a broken limit');
  });

  step('a figure can be stepped and typed, and is refused above the kiln’s top', async () => {
    await me.type('step-target', '950');
    await me.page.keyboard.press('Enter');
    await me.sees('step-target-error', /950 °C is above this kiln's top of 900 °C/);
    await me.type('step-target', '1454F');
    await me.page.keyboard.press('Enter');
    await me.beadAt(2, 790);
    await me.press('step-hold-more');
    await me.press('close-segment-sheet');
    await me.gone('segment-sheet');
  });

  step('arrow keys step a bead by one degree and with shift by ten', async () => {
    const bead = await me.find('bead-2');
    await bead.focus();
    await me.page.keyboard.press('ArrowRight');
    await me.beadAt(2, 791);
    await me.page.keyboard.down('Shift');
    await me.page.keyboard.press('ArrowLeft');
    await me.page.keyboard.up('Shift');
    await me.beadAt(2, 781);
    const spoken = await bead.evaluate((node) => node.getAttribute('aria-valuetext'));
    expect(spoken).toMatch(/781 °C, hold \d+ min, heat work/);
  });

  step('Escape during a drag puts the bead back', async () => {
    await me.sees('schedule-state', /^changed by hand$/);
    const before = await beadValue(0);
    await dragBead(0, 24, async () => {
      expect(await beadValue(0)).not.toBe(before);
      await me.page.keyboard.press('Escape');
      await me.beadAt(0, before);
    });
    expect(await beadValue(0)).toBe(before);
  });

  step('a second finger during a drag puts the bead back', async () => {
    const before = await beadValue(0);
    await dragBead(0, 24, async () => {
      expect(await beadValue(0)).not.toBe(before);
      const second = await me.page.touchscreen.touchStart(80, 700);
      await second.move(84, 700);
      await me.beadAt(0, before);
      await second.end();
    });
    expect(await beadValue(0)).toBe(before);
  });

  step('a change made just before leaving is kept', async () => {
    await me.press('run-row-4');
    await me.type('step-rate', '44');
    await me.page.keyboard.press('Enter');
    await me.page.reload();
    await me.sees('run-row-4', /44 °C\/h/);
    await me.press('run-row-4');
    await me.type('step-rate', '41');
    await me.page.keyboard.press('Enter');
    await me.press('open-key-in');
    await me.sees('key-in-4', /rate 41 °\/h/);
    await me.page.goBack();
    await me.sees('run-row-4', /41 °C\/h/);
  });

  step('a schedule that breaks a limit says so where it is keyed in', async () => {
    await me.press('run-row-3');
    await me.type('step-hold', '3');
    await me.page.keyboard.press('Enter');
    await me.press('open-key-in');
    await me.sees('key-in-broken', /breaks \d limits\. Drop and soak: Still .* apart when the cool begins/);
    await me.expectSound('key-in sheet of a broken schedule');
    await me.page.goBack();
    await me.find('run-row-3');
  });

  step('the row of the open figures scrolls clear of them', async () => {
    await me.press('run-row-6');
    await me.find('segment-sheet');
    const [row, sheet] = await Promise.all(['run-row-6', 'segment-sheet'].map(async (id) => (await me.find(id)).boundingBox()));
    expect((row?.y ?? 0) + (row?.height ?? 0)).toBeLessThanOrEqual((sheet?.y ?? 0) + 1);
    await me.press('close-segment-sheet');
  });

  step('back to calculated restores it, even while a change is being saved', async () => {
    await me.press('run-row-5');
    await me.press('step-rate-less');
    await me.press('close-segment-sheet');
    await new Promise((resolve) => setTimeout(resolve, 690));
    await me.press('back-to-computed');
    await me.sees('schedule-state', /^as calculated$/);
    expect(await beadValue(2)).toBe(790);
    await me.gone('broken-2');
    await me.page.reload();
    await me.sees('schedule-state', /^as calculated$/);
  });

  step('the key-in sheet counts in the controller’s own numbers', async () => {
    await me.press('open-key-in');
    await me.heading(/Key in/);
    const rows = await me.ofAll('[data-testid^="key-in-"][role="checkbox"]', (nodes) => nodes.map((node) => node.innerText.replace(/\s+/g, ' ')));
    expect(rows.length).toBeGreaterThanOrEqual(6);
    expect(rows.length).toBeLessThanOrEqual(8);
    expect(rows[3]).toMatch(/^4 Drop and soak rate 4000 target 515 °C hold 30 min/);
    await me.press('key-in-0');
    await me.sees('key-in-count', /1 of \d keyed/);
    await me.expectSound('key-in sheet');
    await me.page.goBack();
  });

  step('the firing is recorded and stands in the Notebook', async () => {
    await me.press('open-record');
    await me.heading(/Record the firing/);
    await me.expectSound('record');
    await me.setTime('record-when', new Date(Date.now() - 150 * 3600e3));
    await me.press('result-past');
    await me.type('record-note', 'Second shelf, ran a little at the near corner.');
    await me.press('save-firing');
    await me.heading(/Tray, smallest/);
    expect(await me.sees('firing-record', /too far/)).toMatch(/ran a little at the near corner\. Fired as calculated/);
    await me.expectSound('firing');
  });

  step('after a stop and a start of the server it is still there, with the schedule as it was', async () => {
    const before = await me.text('run-row-2');
    const path = new URL(me.page.url()).pathname;
    // The page is left first: what it still reads would be refused.
    await me.page.goto('about:blank');
    await studio.stop();
    await studio.start();
    await me.page.goto(`${studio.address}/notebook`);
    await me.heading(/Notebook/);
    await me.expectSound('notebook');
    await me.openFiring('Tray, smallest');
    await me.sees('firing-record', /ran a little at the near corner/);
    expect(new URL(me.page.url()).pathname).toBe(path);
    expect(await me.text('run-row-2')).toBe(before);
  });

  step('°C and °F, light and dark switch, and are kept', async () => {
    const firing = me.page.url();
    await me.page.goto(`${studio.address}/settings?open=units`);
    await me.press('unit-temperature-F');
    await me.press('fold-settings-screen');
    await me.press('theme-dark');
    await me.page.waitForFunction(() => document.documentElement.style.colorScheme === 'dark');
    await me.expectSound('settings in the dark');
    await me.page.goto(firing);
    await me.sees('run-row-2', /1454\s*°F/);
    await me.sees('live-core-skin', /of 9 °F/);
    await me.expectSound('firing in °F and dark');
    await me.page.reload();
    await me.sees('run-row-2', /1454\s*°F/);
    expect(await me.page.evaluate(() => document.documentElement.style.colorScheme)).toBe('dark');
  });
});
