/** What stands against a firing, and what firings before have shown, as they come into its case. */
import { type SeenFiring, seenBody } from '../schedule/bounds';
import { valueOf } from '../problem';
import { resolved } from '../schedule/resolved';
import { chanceOf } from '../controller/random.testCases';
import { fit } from '../fit/fit';
import { SOFT_90, STUDIO_SHELF, familyOfId } from '../testCases';
import { applySteps } from './applySteps';
import { fitQuestion } from './fitQuestion';
import { betweenThem, formNotes } from './formNotes';
import { undoingWarnings } from './journeyWarnings';
import { METRIC, otherUnits } from '../units/convert';
import type { JourneyStep, LayStep, PieceDocument, PlannedStep } from './document';
import { heldForm } from './inForm';
import { type Shelf, namedGlasses } from './shelf';
import { snapshotOf } from './snapshot';
import { fitBefore, fitWarnings, standingWarnings } from './standing';

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
    expect(of(640)).toMatch(/is good for 600 °C; this firing goes to 640 °C/);
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

  test('is what a test series found of its kind, until that is put away', () => {
    const flat = fire('f', 'fullFuse', { kind: 'bareShelf', paper: false });
    const thick = { id: 'rims', name: 'Rims', look: 'fullFuse', factor: 'thickness', from: 0.005, to: 0.007, shortBelow: false } as const;
    const of = (more: Partial<Shelf>): string[] => standingWarnings(doc(0.2, flat), flat, { ...shelf, findings: [thick], ...more }, METRIC);
    expect(of({})).toEqual([expect.stringMatching(/^Test series 'Rims': .* Here it is 3 mm, where it went too far\.$/)]);
    expect(of({ archived: ['rims'] })).toEqual([]);
    expect(of({ findings: [{ ...thick, look: 'tack' }] })).toEqual([]);
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

describe('of 200 random pieces', () => {
  const next = chanceOf(20261129);
  const one = <T>(of: readonly T[]): T => of[Math.floor(next() * of.length)];
  const between = (least: number, most: number): number => least + (most - least) * next();
  const forms: Shelf['forms'] = Array.from({ length: 24 }, (_, i) => ({
    ...{ id: `f${i}`, name: `Form ${i}`, use: one(['hollow', 'former', 'dam'] as const), plan: one(['round', 'rectangle', 'oval'] as const) },
    ...{
      across_m: between(0.08, 0.3),
      along_m: between(0.08, 0.35),
      deep_m: between(0.01, 0.09),
      floor_m: between(0.05, 0.25),
      thick_m: between(0.004, 0.015),
    },
    material: one(['earthenware', 'stainless', 'fibre', 'plasterSilica'] as const),
  }));
  const own: Shelf = {
    ...{ ...shelf, forms },
    families: [
      ...shelf.families,
      { ...familyOfId('float'), id: 'float', name: 'Window float' },
      { ...SOFT_90, id: 'found', name: 'Tumbler', provisional: true },
    ],
    glasses: [...shelf.glasses, ...['float', 'found'].map((id) => ({ id, name: one(['Clear', 'Green']), familyId: id, colour: '#ccc', contents: [] }))],
  };
  const sheet = (id: string) => ({ id, glassId: one(['clear', 'clear', 'float', 'found']), form: 'sheet' as const, thickness_m: one([0.003, 0.006]) });
  const pieces = Array.from({ length: 200 }, (_, n): { doc: PieceDocument; step: PlannedStep } => {
    const form = one(forms);
    const look = form.use === 'hollow' ? 'slump' : form.use === 'former' ? 'drape' : 'fullFuse';
    const step = fire('s', look, { kind: form.use === 'hollow' ? 'inMould' : 'bareShelf', paper: next() < 0.3, form: heldForm(form) });
    const polish = fire('p', 'firePolish', { kind: 'bareShelf', paper: false });
    const base = doc(between(0.1, 0.4), ...(next() < 0.5 ? [step] : [step, polish]));
    const layers = Array.from({ length: 1 + (n % 3) }, (_, i) => sheet(`${n} ${i}`));
    const journey = base.journey.map((at): JourneyStep => (at.kind === 'lay' ? { ...at, layers } : at));
    const last = journey.at(-1) as PlannedStep;
    return { doc: { ...base, journey }, step: last };
  });

  test('what the pages of the piece warn of stands on the run sheet, the key-in sheet and the record alike', () => {
    let warned = 0;
    for (const { doc: piece, step } of pieces) {
      const asked = fitBefore(piece, step, own);
      const stands = [...standingWarnings(piece, step, own, METRIC), ...(asked ? fitWarnings(asked, fit(asked.question), own, METRIC) : [])];
      // As the panel of the form says it, as the journey does, and as the fit beneath the layers does.
      const met = snapshotOf(piece, step, own);
      const held = met.ok && met.value.setup.form ? formNotes(met.value.setup.form, met.value.firing, betweenThem(step, own), METRIC, null) : null;
      const glasses = namedGlasses(own);
      const after = applySteps(piece, glasses);
      const at = piece.journey.indexOf(step);
      const lies = after[at - 1].body;
      const question = fitQuestion(lies.layers, own);
      const misfits =
        question.contacts.length === 0 || lies.solid.to > 0 ? [] : fit(question).pairs.filter(({ verdict }) => verdict === 'fails' || verdict === 'doubtful');
      const said = [
        ...(held?.warns ?? []),
        ...(held?.letsGo && !held.letsGo.isSound ? [held.letsGo.verdict] : []),
        ...undoingWarnings(step, lies, glasses, METRIC, null),
      ];
      expect(stands).toEqual(expect.arrayContaining(said));
      expect(stands.filter((words) => /fit/.test(words)).length).toBeGreaterThanOrEqual(misfits.length);
      warned += Number(stands.length > 0);
    }
    // Else nothing was tried.
    expect(warned).toBeGreaterThan(80);
    expect(warned).toBeLessThan(200);
  });
});

test('glasses that do not fit stand against the firing that joins them, and no more against the one after it', () => {
  const float: Shelf = {
    ...shelf,
    families: [...shelf.families, { ...familyOfId('float'), id: 'float', name: 'Window float' }],
    glasses: [...shelf.glasses, { id: 'pane', name: 'Clear', familyId: 'float', colour: '#ccc', contents: [] }],
  };
  const fuse = fire('f', 'fullFuse', { kind: 'bareShelf', paper: false });
  const polish = fire('p', 'firePolish', { kind: 'bareShelf', paper: false });
  const base = doc(0.2, fuse, polish);
  const layers = [...(base.journey[0] as LayStep).layers, { id: 'b', glassId: 'pane', form: 'sheet' as const, thickness_m: 0.003 }];
  const two = { ...base, journey: [{ ...base.journey[0], layers } as LayStep, fuse, polish] };
  const asked = fitBefore(two, fuse, float);
  expect(asked && fitWarnings(asked, fit(asked.question), float, METRIC)).toEqual([
    expect.stringMatching(/^Clear \(Window float\) on Clear \(Soft sheet 90\): does not fit/),
  ]);
  expect(fitBefore(two, polish, float)).toBeNull();
});
