/** Pieces whose journey is more than one lay-up and a chain of firings: each made by touch, step after step, and its masses kept account of. */
import { Maker } from './maker';
import { setting } from './setting';
import { PHONE, Visitor } from './visitor';

const here = setting();
const { studio } = here;
let me: Visitor;
const maker = new Maker(
  () => me,
  () => studio.address,
);

beforeEach(async () => {
  me = await Visitor.open(here.browser, PHONE);
});
afterEach(() => me.leave());

const tile = (index: number): Promise<string> =>
  me.of(`[data-testid="journey-${index}"]`, (node) =>
    [...node.querySelectorAll('[dir="auto"]')].map((one) => one.textContent?.replaceAll('\u00a0', ' ')).join(' '),
  );
async function tileReads(index: number, wanted: RegExp): Promise<void> {
  for (let tries = 0; tries < 100 && !wanted.test(await tile(index)); tries += 1) await new Promise((resolve) => setTimeout(resolve, 100));
  expect(await tile(index)).toMatch(wanted);
}

/** Grams in a figure of the page. */
async function grams(testId: string): Promise<number> {
  const text = await me.text(testId);
  const [, figure, unit] = /([\d.]+)\s*(kg|g)/.exec(text) ?? [];
  return Number(figure) * (unit === 'kg' ? 1000 : 1);
}

test('a panel with bars, turned, with bars on its back, trimmed, blasted, filled, polished and draped', async () => {
  await maker.begin('Reed panel', { width: '300', length: '240' }, 'clear-90');
  await maker.add('pieces', 'rose-90', { depth: '4', cover: '30', count: '7' });
  // 0.3 · 0.24 m² · (3 mm + 30 % of 4 mm) of 2500 kg/m³
  expect(await grams('figure-mass')).toBeCloseTo(756, 0);
  await maker.fire('contour');
  await maker.hand('turn');
  await me.sees('about-hand-step', /What was on top lies on the shelf/);
  await maker.hand('lay');
  await maker.add('pieces', 'samphire-90', { depth: '4', cover: '25', count: '3' });
  expect(await tile(3)).toBe('4 Lay on + 180 g to come');
  await maker.fire('contour');
  await maker.hand('grind', ['place-rim'], { off: '5' });
  // What comes off the rim: 0.3 · 0.24 − 0.29 · 0.23 m² of all that lies there.
  const left = await grams('mass-left');
  expect(left).toBeCloseTo(936 * ((0.29 * 0.23) / (0.3 * 0.24)), -1);
  expect(await grams('taken-ground')).toBeCloseTo(936 - left, -1);
  await maker.hand('blast', ['place-up'], { off: '0.5', 'blast-cover': '40' });
  await me.sees('about-hand-step', /0\.5 mm deep on 40 % of the fire face/);
  const blasted = await grams('mass-left');
  expect(await grams('taken-blasted')).toBeGreaterThan(1);
  await maker.hand('fill', [], { spot: '10', 'fill-mass': '2' });
  expect(await tile(7)).toBe('8 Fill + 2 g to come');
  await maker.fire('firePolish');
  await me.sees('journey-warning', /A fire polish gives \d+ % of that/);
  expect(await grams('figure-mass')).toBeCloseTo(blasted + 2, -1);
  await maker.fire('drape', { overhang: '80', drop: '40' });
  await me.expectSound('a journey of ten steps');
  // A polish after the drape would let it sink, and says by how much where it stands.
  await me.press('journey-add');
  await me.press('add-fire');
  await me.chooseLook('firePolish');
  await me.press('compute');
  await maker.fired();
  await me.sees('journey-warning', /lets the 40 mm that the drape gave it sink by/);
  // Told done, in their order; what comes next stands out on the Bench too.
  await me.press('journey-2');
  await me.press('step-done');
  expect(await me.has('step-problem')).toBe(false);
  await me.expectSound('a step that is done');
});

test('films of powder under a clear sheet, cleaned, its edge ground, slumped; another order and back again', async () => {
  await maker.begin('Tide film', { diameter: '240' }, 'clear-90');
  await maker.add('powder', 'rose-90', { mass: '350' });
  await maker.add('powder', 'straw-90', { mass: '200' });
  await maker.add('sheet', 'clear-90', {});
  await maker.fire('fullFuse');
  await maker.hand('clean', ['clean-primer'], { soak: '2 h' });
  await me.sees('about-hand-step', /Primer, soaked 2 h 00/);
  await maker.hand('grind', ['place-rim'], { off: '2' });
  const off = await grams('taken-ground');
  expect(off).toBeGreaterThan(5);
  await maker.fire('slump', { span: '220', depth: '40' });
  // Ground before it is fused is refused at the step: nothing holds it together yet.
  await me.press('journey-3');
  await me.press('step-earlier');
  await me.press('step-earlier');
  await me.sees('step-problem', /fuse them first/);
  await me.expectSound('a step that cannot be');
  await me.press('undo');
  await me.gone('step-problem');
  await me.press('undo');
  await tileReads(3, /^4 Trim the rim − \d+ g to come$/);
  // What it took was weighed.
  await me.press('journey-3');
  await me.press('step-done');
  await me.type('took-mass', '20');
  await me.press('keep-took');
  await me.sees('taken-ground', /20/);
  await tileReads(3, /^4 Trim the rim − 20 g/);
});

test('a melt in a ring, wiped of scale, topped up and fired again', async () => {
  await maker.begin('Ring melt', { diameter: '160' }, 'slate-90', 'frit');
  await me.press('layer-row-0');
  await maker.enter('layer-mass', '2');
  await me.press('close-layer-sheet');
  await maker.fire('fullFuse');
  await maker.hand('clean', ['clean-scale']);
  await maker.hand('look', ['look-with-polariser']);
  await me.type('found', 'Even, no bright cross.');
  await me.page.keyboard.press('Tab');
  await me.sees('about-hand-step', /Between polarisers: Even, no bright cross\./);
  await maker.hand('lay');
  await maker.add('frit', 'clear-90', { mass: '0.9' });
  const before = await grams('figure-mass');
  await maker.fire('fullFuse');
  expect(await grams('figure-mass')).toBeCloseTo(before, -1);
  // The top-up is of the second firing alone: the first one's schedule is as good as it was.
  await me.press('journey-4');
  await me.press('layer-row-1');
  await me.press('layer-mass-more');
  await me.press('close-layer-sheet');
  await me.press('journey-5');
  await me.sees('outdated', /(It was laid .* deep; now it is .* deep|From the shelf up it was .*; now it is|other amounts)/);
  await me.press('journey-1');
  await me.find('open-run');
  expect(await me.has('outdated')).toBe(false);
  await me.expectSound('a melt topped up');
});

test('a drape that came out half-way is measured, and the next firing goes on from there', async () => {
  await maker.begin('Half drape', { width: '300', length: '240' }, 'clear-90');
  await maker.add('sheet', 'clear-90', {});
  await maker.fire('fullFuse');
  await maker.fire('drape', { overhang: '80', drop: '50' });
  await maker.fire('drape', { overhang: '80', drop: '50' });
  const workOf = async (): Promise<string> => {
    await me.press('open-run');
    const words = await me.text('run-row-1');
    await me.page.goBack();
    return words;
  };
  const whole = await workOf();
  await me.press('journey-2');
  await maker.enter('measured', '30');
  await me.press('keep-measured');
  await me.press('journey-3');
  await me.sees('outdated', /A step before it|The mould or former|firings before it/);
  await me.press('compute-again');
  await me.find('run-row-0');
  await me.page.goto(maker.address);
  await me.press('journey-3');
  expect(await workOf()).not.toBe(whole);
  // Down as far as it is to go there is nothing left to fire for, and that is said.
  await me.press('journey-2');
  await maker.enter('measured', '50');
  await me.press('keep-measured');
  await me.press('journey-3');
  await me.press('compute-again');
  await me.sees('plan-problem', /It is down all the way already/);
});

test('a firing stands where it is moved to; along the journey is told what touches, strikes, weighs and has been heated', async () => {
  await me.page.goto(`${studio.address}/pieces?q=lamp`);
  await me.goToPiece('Lamp panel, right', studio.address);
  await me.press('journey-0');
  await me.sees('body-words', /Dune rose is not its own colour yet: it strikes at its first fuse\./);
  await me.sees('touching', /^Touching: Clear on the shelf, Dune rose on Clear\.$/);
  await me.press('journey-4');
  await me.press('step-earlier');
  await me.sees('journey-3', /^4 Contour fuse/);
  await me.sees('journey-4', /^5 Lay on/);
  await me.press('undo');
  await me.sees('journey-4', /^5 Contour fuse/);
  await me.press('journey-6');
  await me.sees('ledger', /^Laid on 1\.39 kg − 41 g ground off = 1\.35 kg\.$/);
  await me.sees('touching', /^Touching: Dune rose on the shelf\.$/);
  await me.sees('figure-haze', /^Devit so far: \d+ min \(limit \d+\)\. Heat work so far: .* at 8\d0 °C\. Stress left by its last firing: [\d.]+ MPa\.$/);
});

test('the glass in time: down the curve its section, its clock and how far it is, by finger and by keys', async () => {
  await me.goToPiece('Tray, smallest of three', studio.address);
  await me.press('open-run');
  await me.press('open-in-time');
  const down = async (): Promise<number> => Number.parseFloat(await me.text('time-far').then((words) => words.replace(/^down\s*/, '')));
  const [first, clock] = [await down(), await me.text('time-at')];
  await me.expectSound('the glass in time');
  const tag = await me.find('time-tag');
  await tag.evaluate((node) => node.scrollIntoView({ block: 'center' }));
  const box = await tag.boundingBox();
  if (!box) throw new Error('The tag is not on the screen.');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const finger = await me.page.touchscreen.touchStart(x, y);
  for (let i = 1; i <= 10; i += 1) await finger.move(x, y + 8 * i);
  await finger.end();
  await me.page.waitForFunction((was) => document.querySelector('[data-testid="time-at"]')?.textContent !== was, {}, clock);
  expect(await down()).toBeGreaterThan(first);
  // To the end by keys: joint after joint, and no further.
  await tag.focus();
  for (let i = 0; i < 12; i += 1) {
    await me.page.keyboard.down('Shift');
    await me.page.keyboard.press('ArrowDown');
    await me.page.keyboard.up('Shift');
  }
  await me.sees('time-far', /^down\s*18\s*mm\s*of 18$/);
  // Said to who does not see it.
  expect(await me.of('[data-testid="glass-in-time"] [role="img"]', (node) => node.getAttribute('aria-label'))).toMatch(
    /; at .*\d\d:\d\d down 18 mm of 18, edges rounded \d+ %$/,
  );
  await me.page.keyboard.press('Escape');
  await me.gone('glass-in-time');
});

test('where things are to keep still only the joints are shown', async () => {
  await me.page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
  await me.goToPiece('Tray, smallest of three', studio.address);
  await me.press('open-run');
  await me.press('open-in-time');
  const tag = await me.find('time-tag');
  // The table follows within a second. The day is written longer there.
  await me.page.waitForFunction(() => document.querySelector('[data-testid="curve-table"]')?.textContent?.includes('target reached'));
  const now = (): Promise<{ minutes: string; isJoint: boolean }> =>
    me.page.evaluate(() => {
      const words = (id: string): string => document.querySelector(`[data-testid="${id}"]`)?.textContent ?? '';
      const minutes = document.querySelector('[data-testid="time-tag"]')?.getAttribute('aria-valuenow') ?? '';
      return { minutes, isJoint: words('curve-table').includes(words('time-at').slice(-5)) };
    });
  const seen = new Map<string, boolean>();
  await tag.focus();
  for (let i = 0; i < 12; i += 1) {
    const { minutes, isJoint } = await now();
    seen.set(minutes, isJoint);
    await me.page.keyboard.press(i < 6 ? 'ArrowUp' : 'ArrowDown');
  }
  // The start is no joint of a segment.
  expect([...seen].filter(([minutes, isJoint]) => !isJoint && minutes !== '0')).toEqual([]);
  expect(seen.size).toBeGreaterThan(3);
  expect(seen.size).toBeLessThan(10);
});
