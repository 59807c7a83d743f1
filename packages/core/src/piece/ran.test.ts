import { TYPICAL_FAMILIES } from '../glass/families';
import { applySteps } from './applySteps';
import type { JourneyStep, LaidLayer, PieceDocument, PlannedStep } from './document';
import { bodyProfile, drawnBody } from './drawnLayers';
import { usualStep } from './steps/all';

const GLASSES = [{ id: 'clear', constants: TYPICAL_FAMILIES[0] }];
const laid = (...layers: LaidLayer[]): JourneyStep => ({ id: 'lay', kind: 'lay', side: 'above', layers });
const sheet: LaidLayer = { id: 'a', glassId: 'clear', form: 'sheet', thickness_m: 0.006 };
const frit = (perArea_kg_m2: number): LaidLayer => ({ id: 'f', glassId: 'clear', form: 'frit', perArea_kg_m2 });
const fire = (look: PlannedStep['look'], setup: object): JourneyStep =>
  ({
    id: look,
    kind: 'fire',
    look,
    setup: { kind: 'bareShelf', paper: false, ...setup },
    kilnId: 'k',
    controllerId: 'c',
    school: { soak: 'auto', heat: 'cooler' },
    scheduleId: null,
    computedId: null,
  }) as JourneyStep;
const pieceOf = (...journey: JourneyStep[]): PieceDocument => ({
  schemaVersion: 3,
  footprint: { shape: 'disc', diameter_m: 0.2 },
  dammed: false,
  typed: {},
  journey,
});
const after = (...journey: JourneyStep[]) => applySteps(pieceOf(...journey), GLASSES).at(-1)!.body;
const blast = { id: 'x', kind: 'blast', face: 'up', depth_m: 0.0001, cover: 1 } as JourneyStep;
const cut = { id: 'y', kind: 'cut', kerf_m: 0, cut: { to: 'outline', outline: { shape: 'disc', diameter_m: 0.05 } } } as JourneyStep;

const CAST = fire('openCast', { kind: 'inInvestment', shaping: { kind: 'cavity', thick_m: 0.02, thin_m: 0.006, wall_m: 0.025 } });
const MELT = fire('potMelt', { shaping: { kind: 'drain', hole_m: 0.012, holes: 1, plate_m: 0.02 } });

test('what filled a mould is known by its sections until it is cut', () => {
  expect(after(laid(frit(40)), CAST).ran).toEqual({ as: 'cast', thin_m: 0.006, wall_m: 0.025 });
  expect(after(laid(frit(40)), CAST, cut).ran).toBeNull();
});

test('a melt is a puddle, and stays one when its face is blasted; cut, it is a disc with an edge', () => {
  expect(after(laid(frit(30)), MELT).ran).toEqual({ as: 'puddle' });
  expect(after(laid(frit(30)), MELT, blast).ran).toEqual({ as: 'puddle' });
  expect(after(laid(frit(30)), MELT, cut).ran).toBeNull();
});

test('lace is open where its grains have drawn together, the more the less was strewn, and is drawn so', () => {
  const lace = (perArea_kg_m2: number) => after(laid(frit(perArea_kg_m2)), fire('lace', {}));
  const open = (perArea_kg_m2: number): number => {
    const { ran } = lace(perArea_kg_m2);
    return ran?.as === 'lace' ? ran.open : NaN;
  };
  expect(open(1.5)).toBeGreaterThan(open(3));
  expect(open(3)).toBeGreaterThan(0);
  const [drawn] = drawnBody(bodyProfile(lace(1.5)), undefined).layers;
  expect(drawn.form).toBe('frit');
  expect(drawn.cover).toBeCloseTo(1 - open(1.5), 6);
  // Cut, it is still lace.
  expect(after(laid(frit(2)), fire('lace', {}), cut).ran?.as).toBe('lace');
});

test('what was slumped stands in what it was slumped into, as far down as was measured; a full fuse takes that away', () => {
  const slump = { ...fire('slump', { kind: 'inMould', shaping: { kind: 'hollow', span_m: 0.19, depth_m: 0.03 } }), measured: { down_m: 0.02 } } as JourneyStep;
  const { bent } = bodyProfile(after(laid(sheet), fire('fullFuse', {}), slump));
  expect(bent).toMatchObject({ shaping: { kind: 'hollow', depth_m: 0.03 }, down_m: 0.02 });
  expect(bodyProfile(after(laid(sheet), fire('fullFuse', {}), slump, fire('fullFuse', {}))).bent).toBeNull();
});

test('what fills a pinhole is drawn as wide as its spot, not spread over the piece', () => {
  const filled = { ...usualStep('fill', 'h', { footprint: { shape: 'disc', diameter_m: 0.2 }, glassId: 'clear', length: 'mm' }) } as JourneyStep;
  const drawn = drawnBody(bodyProfile(after(laid(sheet), fire('fullFuse', {}), filled)), undefined).layers.at(-1);
  expect(drawn?.spans_m).toEqual([[expect.closeTo(-0.002, 6), expect.closeTo(0.002, 6)]]);
  expect(drawn?.thickness_m).toBeCloseTo(0.0001 / 2500 / (Math.PI * 0.002 ** 2), 5);
});
