/** What stands against a firing, and what firings before have shown, as they come into its case. */
import { type SeenFiring, seenBody } from '../schedule/bounds';
import { valueOf } from '../problem';
import { resolved } from '../schedule/resolved';
import { STUDIO_SHELF } from '../testCases';
import { METRIC, otherUnits } from '../units/convert';
import type { JourneyStep, PieceDocument, PlannedStep } from './document';
import { heldForm } from './inForm';
import type { Shelf } from './shelf';
import { snapshotOf } from './snapshot';
import { standingWarnings } from './standing';

const steep = { use: 'hollow', plan: 'round', across_m: 0.2, floor_m: 0.19, deep_m: 0.08, thick_m: 0.01, material: 'stainless' } as const;
const shelf: Shelf = { ...STUDIO_SHELF, forms: [{ id: 'steep', name: 'Steel beaker', ...steep }] };
const [form] = shelf.forms;
const fire = (id: string, look: PlannedStep['look'], setup: PlannedStep['setup']): PlannedStep => ({
  ...{ kind: 'fire', id, look, setup, kilnId: 'k', controllerId: 'c', school: { soak: 'auto', heat: 'cooler' }, scheduleId: null, computedId: null },
});
const inForm = fire('s', 'slump', { kind: 'inMould', paper: false, form: heldForm(form) });
const doc = (diameter_m: number, ...journey: JourneyStep[]): PieceDocument => ({
  ...{ schemaVersion: 3, footprint: { shape: 'disc', diameter_m }, dammed: false, typed: {} },
  journey: [{ id: 'l', kind: 'lay', side: 'above', layers: [{ id: 'a', glassId: 'clear', form: 'sheet', thickness_m: 0.003 }] }, ...journey],
});

describe('what stands against a firing', () => {
  test('is what its form has against it: an edge that hooks, a mould that locks it in', () => {
    const said = standingWarnings(doc(0.28, inForm), inForm, shelf, METRIC);
    expect(said).toEqual([expect.stringMatching(/it may hook before it slides in/), expect.stringMatching(/^It will be locked in/)]);
    // In the units of whoever reads it.
    expect(standingWarnings(doc(0.28, inForm), inForm, shelf, otherUnits(METRIC)).join(' ')).not.toMatch(/\d mm/);
  });

  test('is too much heat for it, once the schedule says how much that is', () => {
    const soft = { ...form, material: 'earthenware', top_C: 600 } as const;
    const step = fire('s', 'slump', { kind: 'inMould', paper: false, form: heldForm(soft) });
    const of = (hottest_C: number | null): string => standingWarnings(doc(0.2, step), step, { ...shelf, forms: [soft] }, METRIC, { hottest_C }).join(' ');
    expect(of(640)).toMatch(/bears 600 °C; this firing goes to 640 °C/);
    expect(of(590)).toBe('');
    expect(of(null)).toBe('');
  });

  test('is what it does to the steps before it, with the work of its own schedule', () => {
    const shaped = fire('s', 'slump', { kind: 'inMould', paper: false, shaping: { kind: 'hollow', span_m: 0.19, depth_m: 0.03 } });
    const polish = fire('p', 'firePolish', { kind: 'bareShelf', paper: false });
    const of = (work_perPa: number | null): string[] => standingWarnings(doc(0.2, shaped, polish), polish, shelf, METRIC, { work_perPa });
    expect(of(null)[0]).toMatch(/with nothing to hold it lets the 30 mm that the slump gave it sink by all of that/);
    expect(of(1e-7)[0]).toMatch(/sink by about/);
    // Nothing is said of it at another step.
    expect(standingWarnings(doc(0.2, shaped, polish), shaped, shelf, METRIC)).toEqual([]);
  });

  test('is nothing where nothing speaks against it', () => {
    const flat = fire('f', 'fullFuse', { kind: 'bareShelf', paper: false });
    expect(standingWarnings(doc(0.2, flat), flat, shelf, METRIC)).toEqual([]);
  });
});

describe('what firings have shown', () => {
  const dish = { ...form, id: 'dish', name: 'Dish', floor_m: 0.1, deep_m: 0.02, material: 'earthenware' } as const;
  const step = fire('s', 'slump', { kind: 'inMould', paper: false, form: heldForm(dish) });
  const own: Shelf = { ...shelf, forms: [dish] };
  const plain = valueOf(snapshotOf(doc(0.2, step), step, own)).firing;
  const aim = valueOf(resolved(plain).work_perPa).least;
  const seen = (more: Partial<SeenFiring> = {}): SeenFiring => ({
    ...{ kilnId: 'k', stepId: 'x', look: 'slump', formId: 'dish', outcome: 'short', work_perPa: 3 * aim, work_C: 650 },
    ...{ body: seenBody(plain), shaping: plain.setup.shaping, ...more },
  });
  const bound = (...firings: SeenFiring[]) => valueOf(snapshotOf(doc(0.2, step), step, { ...own, seen: firings })).firing;

  test('bounds what is planned in the same kiln and form, and is kept with it', () => {
    expect(bound(seen()).seen).toEqual({ short: { work_perPa: 3 * aim, work_C: 650 } });
    expect(valueOf(resolved(bound(seen())).work_perPa).least).toBeGreaterThan(3 * aim);
    expect(bound(seen({ kilnId: 'other' })).seen).toBeUndefined();
    expect(bound(seen({ formId: null })).seen).toBeUndefined();
    expect(bound()).toEqual(plain);
  });
});
