import type { PieceDocument, Sketch } from './document';
import { layUnder, scaledBetween } from './sketch';

const sketch: Sketch = { hash: 'a'.repeat(64), width_m: 0.2, aspect: 0.75, x_m: 0.01, y_m: -0.02 };
const doc: PieceDocument = { schemaVersion: 3, footprint: { shape: 'disc', diameter_m: 0.3 }, dammed: false, typed: {}, journey: [] };

test('a sketch lies under a plan, and is removed again', () => {
  const laid = layUnder(doc, sketch);
  expect(laid).toMatchObject({ ok: true, value: { doc: { under: sketch }, what: 'sketch laid under' } });
  if (laid.ok) expect(layUnder(laid.value.doc, null)).toEqual({ ok: true, value: { doc, what: 'sketch removed' } });
});

test('scaled by two places they lie as far apart as was told, and the first stays where it is', () => {
  const scaled = scaledBetween(sketch, [0, 0.01], [0.05, 0.01], 0.1);
  if (!scaled.ok) throw new Error(scaled.problem.message);
  const { width_m, x_m, y_m } = scaled.value;
  expect(width_m).toBeCloseTo(0.4, 12);
  // Where a place of the picture was, as a share of it, and where that is now.
  const share = (place: number, of: Sketch): number => (place - of.x_m) / of.width_m;
  expect(share(0, scaled.value)).toBeCloseTo(share(0, sketch), 12);
  expect(share(0.1, scaled.value)).toBeCloseTo(share(0.05, sketch), 12);
  expect([x_m, y_m]).toEqual([expect.closeTo(0.02, 12), expect.closeTo(-0.05, 12)]);
  expect(scaledBetween(sketch, [0, 0], [0.0005, 0], 0.1)).toMatchObject({ ok: false, problem: { code: 'too-near' } });
  expect(scaledBetween(sketch, [0, 0], [0.002, 0], 1)).toMatchObject({ ok: false, problem: { code: 'out-of-range' } });
});
