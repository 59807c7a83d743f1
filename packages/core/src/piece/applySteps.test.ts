import { TYPICAL_FAMILIES } from '../glass/families';
import { METRIC } from '../units/convert';
import { applySteps } from './applySteps';
import { bodyBefore } from './bodyAt';
import type { JourneyStep, PieceDocument, PlannedStep } from './document';
import { takenBy, yieldOf } from './made';
import { standingWarnings } from './standing';
import { type Shelf, namedGlasses } from './shelf';

const [FAMILY] = TYPICAL_FAMILIES;
const shelf: Shelf = {
  ...{ families: [FAMILY], glasses: [{ id: 'clear', name: 'Clear', familyId: FAMILY.id, colour: '#aabbcc', contents: [] }], made: [] },
  ...{ kilns: [], controllers: [], stripTests: [], releases: [], forms: [] },
};
const fuse = (id: string): PlannedStep => ({
  ...{ id, kind: 'fire', look: 'fullFuse', setup: { kind: 'bareShelf', paper: false }, kilnId: 'k', controllerId: 'c' },
  ...{ school: { soak: 'auto', heat: 'cooler' }, scheduleId: null, computedId: null },
});
const lay = (id: string, thickness_m: number): JourneyStep => ({
  ...{ id, kind: 'lay', side: 'above', layers: [{ id: `${id} sheet`, form: 'sheet', glassId: 'clear', thickness_m }] },
});

/** Ground once, by a step that counts how often it was applied. */
function counted(): { doc: PieceDocument; applied: () => number } {
  let applied = 0;
  const ground = { id: 'g', kind: 'grind', at: 'up' } as Extract<JourneyStep, { kind: 'grind' }>;
  Object.defineProperty(ground, 'depth_m', {
    enumerable: true,
    get() {
      applied += 1;
      return 0.0005;
    },
  });
  const journey = [lay('l', 0.006), fuse('f'), ground, lay('m', 0.003), fuse('s')];
  return { doc: { schemaVersion: 3, footprint: { shape: 'disc', diameter_m: 0.2 }, dammed: false, typed: {}, journey }, applied: () => applied };
}

test('each step is applied once, whoever asks and up to where', () => {
  const { doc, applied } = counted();
  const glasses = namedGlasses(shelf);
  const after = applySteps(doc, glasses);
  const once = applied();
  expect(after.map(({ problem }) => problem)).toEqual([null, null, null, null, null]);
  expect(applySteps({ ...doc, journey: doc.journey.slice(0, 3) }, glasses)[2]).toBe(after[2]);
  takenBy(doc, glasses);
  yieldOf(applySteps(doc, glasses), glasses);
  bodyBefore(doc, 's', glasses);
  standingWarnings(doc, fuse('s'), shelf, METRIC);
  expect([once, applied()]).toEqual([1, 1]);
});

test('after an edit only what follows it is applied anew; another outline, dam or shelf begins again', () => {
  const { doc, applied } = counted();
  const glasses = namedGlasses(shelf);
  const after = applySteps(doc, glasses);
  const later = applySteps({ ...doc, journey: doc.journey.with(3, lay('m', 0.002)) }, glasses);
  expect(later.map((one, i) => one === after[i])).toEqual([true, true, true, false, false]);
  expect(applied()).toBe(1);
  const earlier = applySteps({ ...doc, journey: doc.journey.with(0, lay('l', 0.004)) }, glasses);
  expect(earlier[2].mass_kg).toBeLessThan(after[2].mass_kg);
  expect(applied()).toBe(2);
  applySteps({ ...doc, dammed: true }, glasses);
  applySteps({ ...doc, footprint: { ...doc.footprint } }, glasses);
  const heavier = applySteps(doc, namedGlasses({ ...shelf, families: [{ ...FAMILY, density_kg_m3: 2 * FAMILY.density_kg_m3 }], glasses: [...shelf.glasses] }));
  expect(applied()).toBe(5);
  expect(heavier[4].mass_kg).toBeCloseTo(2 * after[4].mass_kg, 9);
});
