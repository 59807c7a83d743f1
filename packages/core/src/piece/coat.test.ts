/** A firing planned on one of the studio's own releases: what it is computed by, and what outdates it. */
import { TYPICAL_FAMILIES } from '../glass/families';
import { valueOf } from '../problem';
import { setUpOf } from '../schedule/setups';
import { STUDIO_KILN } from '../testCases';
import { METRIC } from '../units/convert';
import type { PieceDocument, PlannedStep } from './document';
import { outdatedBy } from './outdated';
import type { Shelf } from './shelf';
import { snapshotOf } from './snapshot';
import { standsAs } from './words';

const step: PlannedStep = {
  ...{ kind: 'fire', id: 's', look: 'fullFuse', setup: { kind: 'bareShelf', paper: true }, kilnId: 'k', controllerId: 'c' },
  ...{ school: { soak: 'auto', heat: 'cooler' }, scheduleId: null, computedId: null },
};
const docOf = (...steps: PlannedStep[]): PieceDocument => ({
  ...{ schemaVersion: 3, footprint: { shape: 'disc', diameter_m: 0.12 }, dammed: false, typed: {} },
  journey: [{ id: 'l', kind: 'lay', side: 'above', layers: [{ id: 'a', form: 'sheet', glassId: 'clear', thickness_m: 0.003 }] }, ...steps],
});
const primer: Shelf['releases'][number] & { firings: number } = { id: 'p', name: 'Shelf primer', kind: 'primer', top_C: 850, firings: 5 };
const paper = { id: 'q', name: 'Thin paper', kind: 'paper', weight_kg_m2: 0.4, top_C: 800, pace_K_per_s: 0.05, paceTo_C: 350 } as const;
const shelf: Shelf = {
  families: [{ ...TYPICAL_FAMILIES[0], id: 'soft', name: 'Soft sheet 90' }],
  glasses: [{ id: 'clear', name: 'Clear', familyId: 'soft', colour: '#eee', contents: [] }],
  kilns: [{ id: 'k', name: 'Low kiln', ...STUDIO_KILN }],
  controllers: [{ id: 'c', name: 'Grey box', unit: 'C', fullSpeedCode: 1500, mostSegments: 8 }],
  stripTests: [],
  made: [],
  releases: [primer, paper],
  forms: [],
};
const onPaper = { ...step, releaseId: 'q' };
const onPrimer = { ...step, setup: { ...step.setup, paper: false }, releaseId: 'p' };
const made = (planned: PlannedStep) => valueOf(snapshotOf(docOf(planned), planned, shelf));
const differences = (planned: PlannedStep, now: PlannedStep, shelves = shelf) => outdatedBy(docOf(now), 's', shelves, made(planned), METRIC);

test('is calculated by what that bears, which stands before paper of the usual kind', () => {
  const { firing, setup } = made(onPaper);
  expect(firing.setup.coat).toEqual({ name: 'Thin paper', top_C: 800, pace: { C_per_h: 180, past_C: 350 } });
  expect(firing.setup.below.at(-1)).toMatchObject({ thickness_m: 0.002 });
  expect(firing.setup.below).toHaveLength(setUpOf(step.setup).below.length);
  expect(setup.paper).toBe(false);
  expect(made(onPrimer).firing.setup).toEqual({ ...setUpOf(onPrimer.setup), coat: { name: 'Shelf primer', top_C: 850 } });
  expect([step, onPaper, onPrimer].map((one) => standsAs(one, shelf))).toEqual([
    'bare shelf, on fibre paper',
    'bare shelf, Thin paper',
    'bare shelf, Shelf primer',
  ]);
});

test('cannot be planned on one that is on no shelf, and names the field', () => {
  const planned = { ...step, releaseId: 'gone' };
  expect(snapshotOf(docOf(planned), planned, shelf)).toMatchObject({
    ok: false,
    problem: { path: 'doc.journey.1.releaseId', message: expect.stringMatching(/No release 'gone'/) },
  });
});

test('is outdated by another under the glass and by new figures of it, not by its name or by how long it lasts', () => {
  expect(differences(onPaper, onPaper)).toEqual([]);
  expect(differences(step, onPaper)).toEqual(["The set-up was 'bare shelf, on fibre paper'; now it is 'bare shelf, Thin paper'."]);
  expect(differences(onPaper, onPrimer)).toEqual(["The set-up was 'bare shelf, Thin paper'; now it is 'bare shelf, Shelf primer'."]);
  const stood = (release: Partial<Shelf['releases'][number]>): Shelf => ({ ...shelf, made: [], releases: [{ ...primer, ...release }] });
  expect(differences(onPrimer, onPrimer, stood({ top_C: 790 }))).toEqual(["The figures of 'Shelf primer' have been changed."]);
  expect(differences(onPrimer, onPrimer, { ...shelf, made: [], releases: [{ ...primer, name: 'Grey primer', firings: 2 } as typeof primer] })).toEqual([]);
  expect(differences(onPrimer, onPrimer, { ...shelf, made: [], releases: [] })).toEqual([expect.stringMatching(/No release 'p'/)]);
});
