/** The plan: parts laid from above by finger and by keys, seen again from the side and in how thick it is. */
import { writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import sharp from 'sharp';
import { printedLines } from './pdf';
import { wholePieces } from './server';
import { setting } from './setting';
import { beginPiece } from './states';
import { PHONE, Visitor, WIDE } from './visitor';

const here = setting();
const { studio } = here;
let me: Visitor;

afterEach(() => me.leave());

async function opened(size: typeof PHONE | typeof WIDE): Promise<void> {
  me = await Visitor.open(here.browser, size);
}

/** A piece of one sheet, looked at from above. */
async function newPanel(name: string, width: string, length: string): Promise<void> {
  await me.page.goto(`${studio.address}/pieces/${await beginPiece(studio.address, name, { width, length }, 'clear-90')}`);
  await me.find('section-editor');
  await me.press('view-above');
  await me.find('plan-editor');
}

async function layPart(width: string, length: string, glass: string): Promise<void> {
  await me.press('add-part');
  await me.type('part-new-width', width);
  await me.type('part-new-length', length);
  await me.press(`glass-${glass}`);
  await me.press('part-lay');
  await me.find('part-sheet');
}

interface Seen {
  called: string;
  left: number;
  front: number;
  turned: number;
}

/** Every part as it is read out, mm. */
async function parts(): Promise<Seen[]> {
  const labels = await me.ofAll('[data-testid="plan-editor"] [role="option"]', (nodes) => nodes.map((node) => node.getAttribute('aria-label') ?? ''));
  return labels.map((label) => {
    const [, called, left, front, turned] =
      /^(.+), [\d.]+ × [\d.]+ mm, ([−\d.]+) mm from the left, ([−\d.]+) mm from the front, turned ([−\d]+)°$/.exec(label) ?? [];
    return { called, ...{ left: Number(left), front: Number(front), turned: Number(turned?.replace('−', '-')) } };
  });
}

async function until(wanted: (seen: Seen[]) => boolean): Promise<Seen[]> {
  const end = Date.now() + 60_000;
  for (;;) {
    const seen = await parts();
    if (wanted(seen)) return seen;
    if (Date.now() > end) throw new Error(`Waited in vain; the plan reads ${JSON.stringify(seen)}.`);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

/** A finger from the middle of something, which rests a moment on the way so that it is no flick. */
async function pull(testId: string, dx: number, dy: number): Promise<void> {
  const box = await (await me.find(testId)).boundingBox();
  if (!box) throw new Error(`'${testId}' is not on the screen.`);
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const finger = await me.page.touchscreen.touchStart(x, y);
  for (let i = 1; i <= 10; i += 1) await finger.move(x + (dx * i) / 10, y + (dy * i) / 10);
  await finger.end();
}

test('a tide line of bars, by finger: placed, turned, repeated, mirrored, seen from the side and in how thick it is', async () => {
  await opened(PHONE);
  await newPanel('Tide line', '300', '240');
  await layPart('14', '69', 'rose-90');
  expect(await me.text('part-sheet')).toMatch(/Dune rose bar.*sheet 3 mm, Dune rose/);
  expect(await parts()).toEqual([{ called: 'Dune rose bar', left: 150, front: 120, turned: 0 }]);
  await me.expectSound('a part on the plan');
  // To the left and to the front; a finger's breadth is some mm on this screen.
  await pull('plan-grip', -120, 40);
  const [moved] = await until(([one]) => one.left < 80 && one.front < 100);
  await pull('plan-knob', 34, 8);
  await until(([one]) => one.turned < -5);
  // What is known is typed.
  for (const [field, value] of Object.entries({ 'part-x': '40', 'part-y': '70', 'part-turned': '-20' })) {
    await me.type(field, value);
    await me.page.keyboard.press('Enter');
  }
  await until(([one]) => one.left === 40 && one.front === 70 && one.turned === -20);
  expect(moved.called).toBe('Dune rose bar');
  // Three more to its right, 9 mm apart, then all of them on the other side as well.
  await me.press('part-repeat');
  await me.type('repeat-count', '3');
  await me.page.keyboard.press('Enter');
  await me.press('repeat-centred');
  await me.press('repeat-lay');
  const row = await until((seen) => seen.length === 3);
  const step = 14 * Math.cos(Math.PI / 9) + 69 * Math.sin(Math.PI / 9) + 9;
  expect(row.map(({ left }) => left)).toEqual([40, 40 + step, 40 + 2 * step].map((left) => expect.closeTo(left, 0)));
  await me.press('part-mirror');
  await me.press('mirror-leftRight');
  const both = await until((seen) => seen.length === 6);
  expect(both.slice(3).map(({ left, turned }) => [left, turned])).toEqual(row.map(({ left }) => [expect.closeTo(300 - left, 0), 20]));
  await me.press('close-part-sheet');
  await me.expectSound('a tide line from above');
  // The same six from the side, where they stand.
  await me.press('view-side');
  await me.sees('section-table', /Dune rose.*pieces.*6.*8 %/);
  expect(await me.of('[data-testid="section-editor"]', (node) => node.getAttribute('aria-label') ?? '')).toMatch(/Dune rose pieces, 3 mm, 6 of them, over 8 %/);
  await me.press('view-thick');
  expect(await me.sees('thickness-table', /deepest/)).toMatch(/deepest.*6 mm.*thinnest.*3 mm.*steepest change.*3 mm/);
  await me.sees('plan-depths', /3 mm where it is thinnest, 6 mm where it is deepest; it changes by up to 3 mm/);
  await me.expectSound('how thick a tide line is');
  // One step back is one step back on the plan too.
  await me.press('view-above');
  await me.press('undo');
  await until((seen) => seen.length === 3);
});

test('by keys alone: a part is chosen, moved, turned and removed', async () => {
  await opened(WIDE);
  await newPanel('By keys', '200', '200');
  await layPart('20', '60', 'rose-90');
  await me.press('close-part-sheet');
  await layPart('20', '60', 'slate-90');
  await me.press('close-part-sheet');
  const plan = await me.find('plan-editor');
  await plan.focus();
  const keys = async (...pressed: string[]): Promise<void> => {
    for (const key of pressed) await me.page.keyboard.press(key as 'Home');
  };
  await keys('Home', 'ArrowLeft', 'ArrowLeft', 'ArrowUp');
  await until(([one]) => one.left === 98 && one.front === 101);
  await me.page.keyboard.down('Shift');
  await keys('ArrowRight');
  await me.page.keyboard.up('Shift');
  await keys('[', '[', ']');
  await until(([one]) => one.left === 108 && one.turned === 1);
  await keys('PageDown', '}');
  const [, second] = await until((seen) => seen[1].turned === -15);
  expect(second.called).toBe('Wet slate bar');
  expect(await plan.evaluate((node) => document.getElementById(node.getAttribute('aria-activedescendant') ?? '')?.getAttribute('aria-selected'))).toBe('true');
  await keys('Delete');
  await until((seen) => seen.length === 1);
  await me.expectSound('a plan by keys');
});

test('what goes wrong later is said where it is laid: over the rim, near it, on one another; a crossed outline is refused', async () => {
  await opened(PHONE);
  await newPanel('Doubts', '200', '160');
  await layPart('20', '60', 'rose-90');
  await me.type('part-x', '195');
  await me.page.keyboard.press('Enter');
  await me.press('close-part-sheet');
  await me.sees('plan-concern', /Over the rim: Dune rose bar stands out 5 mm/);
  await me.press('add-part');
  await me.press('part-shape-polygon');
  await me.type('part-new-points', '0 0; 40 40; 40 0; 0 40');
  await me.press('part-lay');
  await me.sees('part-problem', /must not cross/);
  await me.type('part-new-points', '0 0; 40 0; 20 40');
  await me.press('part-lay');
  await me.find('part-sheet');
  await me.press('close-part-sheet');
  await me.press('add-part');
  await me.press('part-shape-disc');
  await me.type('part-new-width', '0');
  await me.press('part-lay');
  await me.sees('part-problem', /must be from 0\.5 mm to 2000 mm|The disc is 0/);
  await me.expectSound('doubts on a plan');
});

test('what is cut is listed, and the plan comes out of the printer in its own size, as measured from its PDF', async () => {
  await opened(PHONE);
  const [piece] = (await wholePieces(studio.address)).filter(({ name }) => name === 'Lamp panel, right');
  await me.page.goto(`${studio.address}/pieces/${piece.id}?at=${piece.doc.journey[0].id}`);
  await me.press('view-above');
  await me.press('fold-cut-list');
  expect(await me.text('cut-row-1')).toMatch(/No\. 1: 1 × 30 × 92 mm.*sheet of 4 mm, Dune rose · 28 g · grind: the cut shows/);
  expect(await me.text('cut-list')).toMatch(/Score the smoother of the two faces/);
  await me.expectSound('a cutting list');
  await me.press('print-plan');
  await me.find('plan-sheet-4');
  await me.expectSound('a plan to print');
  for (const format of ['A4', 'Letter'] as const) {
    const pages = printedLines(await me.page.pdf({ format }));
    // Four of the plan and one list.
    expect([format, pages.length]).toEqual([format, 5]);
    const near = (lines: (typeof pages)[number], wanted: number): number => Math.min(...lines.map(({ long }) => Math.abs(long - wanted)));
    // To a tenth of a millimetre: the rule on every page, the panel of 300 × 240 mm, its bar of 24 × 104 mm wherever it is seen.
    for (const page of pages.slice(0, 4)) for (const wanted of [100, 300, 240]) expect(near(page, wanted)).toBeLessThan(0.1);
    for (const wanted of [104, 24]) expect(near(pages.flat(), wanted)).toBeLessThan(0.1);
    // From one page to the next the plan is shifted by what a page shows less what both show.
    const rim = (page: (typeof pages)[number]): readonly [number, number] => {
      const side = page.find(({ long, from, to }) => Math.abs(long - 300) < 0.1 && Math.abs(from[1] - to[1]) < 0.1);
      return side && side.from[0] < side.to[0] ? side.from : (side?.to ?? [NaN, NaN]);
    };
    expect(rim(pages[0])[0] - rim(pages[1])[0]).toBeCloseTo(170, 1);
    expect(rim(pages[2])[1] - rim(pages[0])[1]).toBeCloseTo(202, 1);
  }
  // Mirrored, the bar that rose to the right leans the other way.
  const straight = printedLines(await me.page.pdf({ format: 'A4' }));
  await me.press('plan-mirrored');
  const mirrored = printedLines(await me.page.pdf({ format: 'A4' }));
  const leaning = (lines: ReturnType<typeof printedLines>): number => {
    const side = lines.flat().find(({ long, from, to }) => Math.abs(long - 104) < 0.1 && Math.abs(from[0] - to[0]) > 5);
    return side ? Math.sign((side.to[0] - side.from[0]) * (side.to[1] - side.from[1])) : NaN;
  };
  expect(leaning(mirrored)).toBe(-leaning(straight));
});

test('a sketch lies under the plan, scaled by two places; the plan is seen in grey and from the other face', async () => {
  await opened(PHONE);
  await newPanel('From a sketch', '200', '160');
  await layPart('20', '60', 'rose-90');
  await me.press('close-part-sheet');
  await me.press('plan-sketch');
  // Two dots 200 px apart on a picture of 400 × 320.
  const dots = `<svg xmlns="http://www.w3.org/2000/svg" width="400" height="320"><rect width="400" height="320" fill="#eee"/><circle cx="100" cy="160" r="6"/><circle cx="300" cy="160" r="6"/></svg>`;
  const file = join(tmpdir(), `sketch-${process.pid}.png`);
  writeFileSync(file, await sharp(Buffer.from(dots)).png().toBuffer());
  const input = (await me.page.waitForSelector('[data-testid="sketch-file-input"]')) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(file);
  await me.find('sketch-scale');
  // Laid as wide as the piece: the dots lie 100 mm apart.
  await me.press('sketch-scale');
  const plan = await me.find('plan-editor');
  const image = await me.of('[data-testid="plan-editor"] image', (node) => {
    const { x, y, width, height } = node.getBoundingClientRect();
    return { x, y, width, height };
  });
  for (const share of [0.25, 0.75]) await me.page.touchscreen.tap(image.x + image.width * share, image.y + image.height / 2);
  await me.sees('sketch-asks', /They lie (99|100|101)(\.\d)? mm apart now/);
  await me.type('sketch-apart', '120 mm');
  await me.press('sketch-scale-it');
  await me.find('sketch-wide');
  const wide = await me.of('[data-testid="sketch-wide"]', (node) => Number((node as HTMLInputElement).value));
  expect(Math.abs(wide - 240)).toBeLessThan(4);
  expect(await plan.evaluate((node) => node.querySelector('image') !== null)).toBe(true);
  await me.expectSound('a sketch under a plan');
  await me.press('plan-sketch');
  const colours = (): Promise<string[]> => me.ofAll('[data-testid="plan-editor"] path', (nodes) => nodes.map((node) => node.getAttribute('fill') ?? ''));
  expect((await colours()).some((fill) => /^#(..)(?!\1)/.test(fill))).toBe(true);
  await me.press('plan-grey');
  await me.page.waitForFunction(() =>
    [...document.querySelectorAll('[data-testid="plan-editor"] path')].every((node) => {
      const fill = node.getAttribute('fill') ?? '';
      return !fill.startsWith('#') || /^#(..)\1\1$/.test(fill);
    }),
  );
  await me.press('plan-behind');
  await me.find('plan-picture');
  await me.expectSound('a plan from the other face');
  await me.press('plan-behind');
  await me.press('plan-sketch');
  await me.press('sketch-remove');
  await me.find('sketch-file');
  await me.press('undo');
  await me.find('sketch-scale');
});

test('a piece of before opens with its parts evenly spread, and they are given those places by a touch', async () => {
  await opened(PHONE);
  await me.goToPiece('Plaque no. 14', studio.address);
  await me.press('journey-0');
  await me.press('view-above');
  await me.sees('plan-spread', /nobody has said yet where it lies/);
  expect(await me.of('[data-testid="plan-editor"]', (node) => node.querySelectorAll('[role="option"]').length)).toBe(0);
  await me.reads('Place Numerals');
  await me.of('[data-testid^="place-"]', (node) => (node as HTMLElement).click());
  const four = await until((seen) => seen.length === 4);
  expect(four.map(({ called }) => called)).toEqual(['Numerals 1', 'Numerals 2', 'Numerals 3', 'Numerals 4']);
  await me.expectSound('numerals placed');
  await me.press('undo');
  await me.sees('plan-spread', /Dashed/);
});
