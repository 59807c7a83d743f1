/** Motifs of many parts: they fill the box that is told, and nothing lies on anything else. */
import fc from 'fast-check';
import { valueOf } from '../problem';
import { commonToConvex } from './clip';
import { areaOf, boxOf, partArea, partCorners } from './parts';
import { type Motif, inEvenRows, ringOfSegments, stripsOnEdge, wovenRows } from './motifs';

const withIds = ({ parts }: Motif) => parts.map((part, i) => ({ ...part, id: String(i) }));

/** Area that two or more parts share, m²; all of them are convex. */
function overlap(motif: Motif): number {
  const corners = withIds(motif).map((part) => partCorners(part));
  return corners.reduce((sum, one, i) => sum + corners.slice(i + 1).reduce((all, other) => all + areaOf(commonToConvex(one, other)), 0), 0);
}

const filled = (motif: Motif): number => withIds(motif).reduce((sum, part) => sum + partArea(part), 0);
function fits(motif: Motif): void {
  const box = boxOf(withIds(motif).flatMap((part) => partCorners(part)));
  expect(box.right - box.left).toBeCloseTo(motif.width_m, 9);
  expect(box.back - box.front).toBeCloseTo(motif.length_m, 9);
}

const long = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });

test('strips on edge stand against one another in the order of their glasses and fill their box', () => {
  const motif = stripsOnEdge({ count: 5, length_m: 0.1, thicknesses_m: [0.003, 0.002] });
  expect(motif.parts.map(({ of }) => of)).toEqual([0, 1, 0, 1, 0]);
  [-0.005, -0.0025, 0, 0.0025, 0.005].forEach((x_m, i) => expect(motif.parts[i].x_m).toBeCloseTo(x_m, 12));
  fits(motif);
  expect(filled(motif)).toBeCloseTo(motif.width_m * motif.length_m, 12);
});

test('segments go round with the gaps that are told, inside and outside, and never lie on one another', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 3, max: 30 }),
      long(0.005, 0.04),
      long(0.4, 1),
      long(0.01, 0.06),
      long(0.1, 0.4),
      (count, wide_m, taper, deep_m, across_m) => {
        const ring = ringOfSegments({ count, wide_m, narrow_m: taper * wide_m, deep_m, across_m, glasses: 2 });
        if (!ring.ok) return;
        const [first, second] = withIds(ring.value).map((part) => partCorners(part));
        const nearest = Math.min(...first.flatMap(([x, y]) => second.map(([u, v]) => Math.hypot(x - u, y - v))));
        expect(nearest).toBeCloseTo(Math.min(ring.value.inner_m, ring.value.outer_m), 6);
        expect(overlap(ring.value)).toBeLessThan(1e-9);
      },
    ),
    { numRuns: 100, seed: 17 },
  );
});

test('more segments than go round are refused with how many do, and that many do go round', () => {
  const asked = { wide_m: 0.03, narrow_m: 0.03, deep_m: 0.02, across_m: 0.2, glasses: 1 };
  const refused = ringOfSegments({ ...asked, count: 40 });
  expect(refused).toMatchObject({ ok: false, problem: { path: 'count', message: '40 of these do not go round without lying on one another: 16 do.' } });
  expect(ringOfSegments({ ...asked, count: 16 }).ok).toBe(true);
  expect(ringOfSegments({ ...asked, count: 17 }).ok).toBe(false);
  expect(ringOfSegments({ ...asked, count: 3, deep_m: 0.1 })).toMatchObject({ ok: false, problem: { path: 'across_m' } });
});

test('woven rows fill their box but for the gaps, joints never meet, the border goes all round', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 8 }),
      fc.integer({ min: 1, max: 8 }),
      long(0.01, 0.05),
      long(0.005, 0.03),
      long(0, 0.004),
      long(0, 0.02),
      (rows, inRow, long_m, deep_m, gap_m, border_m) => {
        const motif = valueOf(wovenRows({ rows, inRow, long_m, deep_m, gap_m, border_m, glasses: 2 }));
        fits(motif);
        expect(overlap(motif)).toBeLessThan(1e-9);
        const whole = motif.width_m * motif.length_m;
        if (gap_m === 0) expect(filled(motif)).toBeCloseTo(whole, 9);
        else expect(filled(motif)).toBeLessThanOrEqual(whole + 1e-12);
        const joints = (row: number): number[] =>
          motif.parts
            .filter(({ of, y_m }) => of < 2 && Math.abs(y_m - yOf(row)) < 1e-9)
            .map(({ x_m, outline }) => x_m + ('width_m' in outline ? outline.width_m / 2 : 0))
            .slice(0, -1);
        const yOf = (row: number): number => -(rows * deep_m + (rows - 1) * gap_m) / 2 + row * (deep_m + gap_m) + deep_m / 2;
        if (rows > 1 && long_m > 4 * gap_m) for (const x of joints(0)) for (const other of joints(1)) expect(Math.abs(x - other)).toBeGreaterThan(long_m / 4);
      },
    ),
    { numRuns: 100, seed: 18 },
  );
  expect(wovenRows({ rows: 2, inRow: 3, long_m: 0.01, deep_m: 0.01, gap_m: 0.01, border_m: 0, glasses: 1 })).toMatchObject({
    ok: false,
    problem: { path: 'gap_m' },
  });
});

test('slices lie in rows round the middle, the last row as long as there are some left', () => {
  const motif = inEvenRows({ count: 7, inRow: 3, wide_m: 0.02, deep_m: 0.03, gap_m: 0.005, glasses: 2 });
  expect([motif.width_m, motif.length_m]).toEqual([expect.closeTo(0.07, 12), expect.closeTo(0.1, 12)]);
  fits(motif);
  expect(motif.parts.map(({ of }) => of)).toEqual([0, 1, 0, 1, 0, 1, 0]);
  expect(overlap(motif)).toBeLessThan(1e-12);
});
