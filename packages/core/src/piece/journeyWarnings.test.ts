/** What a step does to what the steps before it have made, and which schedules a change of the journey outdates. */
import { TYPICAL_FAMILIES } from '../glass/families';
import { aimedWork, neededWork } from '../look/work';
import { TYPICAL_WORKS } from '../look/works';
import { type Outcome, valueOf } from '../problem';
import { drapeAfter, workToDrape, workToSag } from '../flow/sag';
import { STUDIO_SHELF } from '../testCases';
import { METRIC } from '../units/convert';
import { bodyBefore } from './bodyAt';
import { applySteps } from './applySteps';
import { type Edited, addStep, changeLayer, moveStep, removeStep, tellDone, tellMeasured } from './commands';
import type { JourneyStep, LaidLayer, PieceDocument, PlannedStep } from './document';
import { firingOf, firingsOf } from './journey';
import { journeyWarnings } from './journeyWarnings';
import { outdatedBy } from './outdated';
import { snapshotOf } from './snapshot';

const GLASS = TYPICAL_FAMILIES[0];
const GLASSES = [{ id: 'clear', constants: GLASS }];
const shelf = STUDIO_SHELF;
const fire = (id: string, look: PlannedStep['look'], setup: PlannedStep['setup'] = { kind: 'bareShelf', paper: false }): PlannedStep => ({
  ...{ kind: 'fire', id, look, setup, kilnId: 'k', controllerId: 'c', school: { soak: 'auto', heat: 'cooler' }, scheduleId: null, computedId: null },
});
const sheet = (id: string, thickness_m = 0.003): LaidLayer => ({ id, glassId: 'clear', form: 'sheet', thickness_m });
const laid: JourneyStep = { id: 'l', kind: 'lay', side: 'above', layers: [sheet('a'), sheet('b')] };
const hand = (id: string, rest: object): JourneyStep => ({ id, ...rest }) as JourneyStep;
const doc = (...journey: JourneyStep[]): PieceDocument => ({
  ...{ schemaVersion: 3, footprint: { shape: 'rectangle', width_m: 0.24, length_m: 0.15 }, dammed: false, typed: {}, journey },
});
const fuse = fire('f', 'fullFuse');
const slump = fire('s', 'slump', { kind: 'inMould', paper: false, shaping: { kind: 'hollow', span_m: 0.14, depth_m: 0.018 } });
const drape = fire('d', 'drape', { kind: 'overFormer', paper: false, shaping: { kind: 'former', overhang_m: 0.05, drop_m: 0.04 } });
const said = (of: PieceDocument, work?: number): string[] => journeyWarnings(applySteps(of, GLASSES), GLASSES, METRIC, () => work ?? null).at(-1) ?? [];
const done = (outcome: Outcome<Edited>): PieceDocument => valueOf(outcome).doc;

describe('said where it stands', () => {
  test('a shape with nothing to hold it sinks by as much as the heat work of that firing lets it', () => {
    // As much work as lets the edge hang another 12 mm, by the law of a viscous beam.
    const work = workToDrape(GLASS, 0.05, 0.006, 0.012);
    expect(drapeAfter(GLASS, 0.05, 0.006, work)).toBeCloseTo(0.012, 9);
    const [words] = said(doc(laid, fuse, drape, fire('p', 'firePolish')), work);
    expect(words).toMatch(/^A fire polish with nothing to hold it lets the 40 mm that the drape gave it sink by about 12 mm\./);
    expect(said(doc(laid, fuse, slump, fire('p', 'tack')))[0]).toMatch(/lets the 18 mm that the slump gave it sink by all of that/);
    expect(said(doc(laid, fuse, slump, fire('p', 'firePolish', { kind: 'inMould', paper: false }))).join()).not.toMatch(/nothing to hold it/);
  });

  test('bubbles in a sealed body rise by ρgr²W/3', () => {
    const work = 0.03;
    const rise_mm = (1000 * GLASS.density_kg_m3 * 9.80665 * 1e-6 * work) / 3;
    expect(said(doc(laid, fuse, fire('g', 'fullFuse')), work)[0]).toContain(`a bubble of 2 mm by about ${rise_mm.toFixed(1)} mm in this firing`);
    expect(said(doc({ ...laid, layers: [sheet('a', 0.006)] }, fire('g', 'fullFuse'))).join()).not.toMatch(/sealed/);
  });

  test('a fill that gets less than it needs is told how much of it it gets', () => {
    const filled = [laid, fuse, hand('x', { kind: 'fill', glassId: 'clear', mass_kg: 0.001, spot_m: 0.01 })];
    const body = valueOf(bodyBefore(doc(...filled), 'end', GLASSES)).body;
    const [aim, needs] = [
      aimedWork('firePolish', valueOf(neededWork(body, 'firePolish', TYPICAL_WORKS))),
      valueOf(neededWork(body, 'contour', TYPICAL_WORKS)).least,
    ];
    expect(said(doc(...filled, fire('p', 'firePolish')))[0]).toContain(`A fire polish gives ${Math.round((100 * aim) / needs)} % of that`);
    expect(said(doc(...filled, fire('p', 'fullFuse'))).join()).not.toMatch(/The fill/);
  });

  test('what is blasted softens in a slump that comes near to polishing; a wheel does not reach a bent face; a thin body draws in', () => {
    const blasted = [laid, fuse, hand('b', { kind: 'blast', face: 'up', depth_m: 0.001, cover: 0.5 })];
    expect(said(doc(...blasted, slump), 5e-4)[0]).toMatch(/^A slump does \d+ % of the heat work that begins to polish: what is blasted turns satin/);
    expect(said(doc(...blasted, slump), 1e-6)).toEqual([]);
    expect(said(doc(laid, fuse, slump, hand('w', { kind: 'polish', at: 'up', depth_m: 1e-4 })))[0]).toMatch(/^Its face is bent by 18 mm since the slump/);
    expect(said(doc(laid, fuse, slump, hand('w', { kind: 'polish', at: 'rim', depth_m: 1e-4 })))).toEqual([]);
    expect(said(doc({ ...laid, layers: [sheet('a')] }, fuse))[0]).toMatch(/^Its rim draws in by about [\d.]+ mm and thickens towards 6\.5 mm/);
    const inInches = journeyWarnings(applySteps(doc(laid, fuse, slump, fire('p', 'tack')), GLASSES), GLASSES, { ...METRIC, length: 'in' });
    expect(inInches.flat().join()).not.toMatch(/\d mm/);
  });
});

describe('a change of the journey', () => {
  const whole = doc(laid, fuse, hand('t', { kind: 'turn' }), { id: 'm', kind: 'lay', side: 'above', layers: [sheet('c')] }, fire('g', 'contour'), slump);
  const made = new Map(firingsOf(whole).map((step) => [step.id, valueOf(snapshotOf(whole, step, shelf))]));
  const outdated = (now: PieceDocument): string[] =>
    [...made].filter(([id, snapshot]) => outdatedBy(now, id, shelf, snapshot, METRIC).length > 0).map(([id]) => id);

  test('outdates what comes after it and nothing that came before', () => {
    expect(outdated(whole)).toEqual([]);
    expect(outdated(done(changeLayer(whole, sheet('c', 0.004))))).toEqual(['g', 's']);
    expect(outdated(done(changeLayer(whole, sheet('a', 0.004))))).toEqual(['f', 'g', 's']);
    expect(outdated(done(addStep(whole, hand('x', { kind: 'grind', at: 'rim', depth_m: 0.002 }), 5)))).toEqual(['s']);
    expect(outdated(done(removeStep(whole, 't')))).toEqual(['g', 's']);
    expect(outdated(done(moveStep(whole, 's', 4)))).toEqual(['g', 's']);
  });

  test('that leaves the glass as it is outdates nothing: a look, a wait, a clean, a name, that a step is done', () => {
    for (const rest of [
      { kind: 'look', with: 'ring' },
      { kind: 'wait', for_s: 60 },
      { kind: 'clean', off: 'dust', soak_s: 0 },
    ])
      expect(outdated(done(addStep(whole, hand('x', rest), 1)))).toEqual([]);
    expect(outdated(done(tellDone(whole, 't', 1e12)))).toEqual([]);
  });

  test('is said in words, the step by its name', () => {
    const words = (now: PieceDocument, id: string): string => outdatedBy(now, id, shelf, made.get(id)!, METRIC).join(' ');
    expect(words(done(removeStep(whole, 't')), 's')).toMatch(/A step before it was 'turn over'; it is 'lay on' now/);
    expect(words(done(addStep(whole, hand('x', { kind: 'grind', at: 'rim', depth_m: 0.002 }), 5)), 's')).toBe(
      'Before it there is a step now that was not: trim the rim.',
    );
    expect(words(done(changeLayer(whole, sheet('c', 0.004))), 'g')).toMatch(/^It was laid 9 mm deep; now it is 10 mm deep\.$/);
  });

  test('and so is that of a schedule from before a basis was kept, by all its layers together', () => {
    const words = (now: PieceDocument, id: string): string => outdatedBy(now, id, shelf, { ...made.get(id)!, madeFrom: undefined }, METRIC).join(' ');
    expect(words(whole, 'g')).toBe('');
    expect(words(done(changeLayer(whole, sheet('c', 0.004))), 'g')).toMatch(/^It was laid 9 mm deep; now it is 10 mm deep\.$/);
  });
});

test('a shape that came out half-way needs what is left of its work, and none where it is there', () => {
  const again = { ...slump, id: 's2' };
  const whole = doc(laid, fuse, slump, again);
  const workOf = (now: PieceDocument): Outcome<{ least: number }> => {
    const { body, setup, look } = valueOf(snapshotOf(now, firingOf(now, 's2')!, shelf)).firing;
    return neededWork(body, look, TYPICAL_WORKS, setup.shaping);
  };
  const half = done(tellMeasured(whole, 's', 0.01));
  const [all, left] = [workToSag(GLASS, { span_m: 0.14 }, 0.006, 0.018), workToSag(GLASS, { span_m: 0.14 }, 0.006, 0.01)];
  expect(valueOf(workOf(whole)).least).toBeCloseTo(all, 12);
  expect(valueOf(workOf(half)).least).toBeCloseTo(all - left, 12);
  expect(workOf(done(tellMeasured(whole, 's', 0.018)))).toMatchObject({ ok: false, problem: { code: 'there-already' } });
  // It outdates the firing that goes on from it, not the one that was measured.
  const made = valueOf(snapshotOf(whole, again, shelf));
  expect(outdatedBy(half, 's2', shelf, made, METRIC)).not.toEqual([]);
  expect(outdatedBy(half, 's', shelf, valueOf(snapshotOf(whole, slump, shelf)), METRIC)).toEqual([]);
});
