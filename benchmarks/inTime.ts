/** Journeys and the glass in time: what a fold costs, and the frames while a finger moves the time of a slump. */
import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { type JourneyStep, type PieceDocument, applySteps, journeyWarnings } from '@torvin/core/piece';
import { METRIC } from '@torvin/core/units';
import { Studio } from '../e2e/server';
import { PHONE, Visitor, launch } from '../e2e/visitor';
import { median, middle, report } from './measure';

const ROUNDS = 40;
const MOVES = 90;
const GLASSES = [{ id: 'clear', constants: TYPICAL_FAMILIES[0] }];

function twelveSteps(): PieceDocument {
  const fire = (id: string, look: 'contour' | 'firePolish' | 'drape'): JourneyStep => ({
    ...{ kind: 'fire', id, look, kilnId: 'k', controllerId: 'c', school: { soak: 'auto', heat: 'cooler' }, scheduleId: null, computedId: null },
    setup:
      look === 'drape' ? { kind: 'overFormer', paper: false, shaping: { kind: 'former', overhang_m: 0.08, drop_m: 0.04 } } : { kind: 'board', paper: false },
  });
  const lay = (id: string): JourneyStep => ({
    ...{ kind: 'lay', id, side: 'above' },
    layers: [
      { id: `${id} sheet`, glassId: 'clear', form: 'sheet', thickness_m: 0.003 },
      { id: `${id} bars`, glassId: 'clear', form: 'pieces', thickness_m: 0.004, cover: 0.3, count: 7 },
    ],
  });
  return {
    ...{ schemaVersion: 3, footprint: { shape: 'rectangle', width_m: 0.3, length_m: 0.24 }, dammed: false, typed: {} },
    journey: [
      ...[lay('a'), fire('b', 'contour'), { kind: 'turn', id: 'c' } as const, lay('d'), fire('e', 'contour')],
      { kind: 'grind', id: 'f', at: 'rim', depth_m: 0.004 },
      { kind: 'blast', id: 'g', face: 'up', depth_m: 0.001, cover: 0.4 },
      { kind: 'fill', id: 'h', glassId: 'clear', mass_kg: 0.002, spot_m: 0.01 },
      ...[fire('i', 'firePolish'), { kind: 'look', id: 'j', with: 'ring' } as const, fire('k', 'drape'), { kind: 'wait', id: 'l', for_s: 3600 } as const],
    ],
  };
}

export function measureFold(): void {
  const doc = twelveSteps();
  report(
    'a journey of twelve steps, folded',
    median(ROUNDS, () => applySteps(doc, GLASSES)),
    'to be under 50 ms',
  );
  const after = applySteps(doc, GLASSES);
  report(
    'what has to be said of its steps',
    median(ROUNDS, () => journeyWarnings(after, GLASSES, METRIC)),
  );
}

/** In the page: how far apart frames are while it runs. */
function watchFrames(): void {
  const gaps: number[] = [];
  (window as unknown as { gaps: number[] }).gaps = gaps;
  let last = 0;
  const frame = (now: number): void => {
    if (last > 0) gaps.push(now - last);
    last = now;
    requestAnimationFrame(frame);
  };
  requestAnimationFrame(frame);
}

export async function measureInTime(): Promise<void> {
  if (!process.env.CHROMIUM_PATH) return;
  const studio = new Studio();
  await studio.start();
  const browser = await launch();
  try {
    const me = await Visitor.open(browser, PHONE);
    await me.page.goto(`${studio.address}/pieces`);
    await me.openPiece('Tray, smallest of three');
    await me.press('open-run');
    await me.press('open-in-time');
    const tag = await me.find('time-tag');
    await tag.evaluate((node) => node.scrollIntoView({ block: 'center' }));
    const box = await tag.boundingBox();
    if (!box) throw new Error('The tag is not on the screen.');
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await me.page.evaluate(watchFrames);
    const finger = await me.page.touchscreen.touchStart(x, y);
    for (let i = 1; i <= MOVES; i += 1) {
      await finger.move(x, y + 90 * Math.sin((i / MOVES) * Math.PI * 2));
      await new Promise((resolve) => setTimeout(resolve, 16));
    }
    await finger.end();
    const gaps = await me.page.evaluate(() => (window as unknown as { gaps: number[] }).gaps);
    const over = gaps.filter((gap) => gap > 33.4).length;
    process.stdout.write(
      `the glass in time under a finger: frames ${middle(gaps).toFixed(1)} ms apart, the longest ${Math.max(...gaps).toFixed(1)} ms, ${over} of ${gaps.length} over 33 ms\n`,
    );
  } finally {
    await browser.close();
    await studio.end();
  }
}
