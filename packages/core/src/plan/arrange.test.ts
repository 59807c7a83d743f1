import fc from 'fast-check';
import { ALIGNMENTS, aligned, boxRound, inRing, inRows, lineOf, mirrored, spaced, turnedAbout } from './arrange';
import { overlapArea } from './clip';
import { type PlacedPart, areaOf, partArea, partCorners, wholeTurn } from './parts';
import { snapped, snappedTurn } from './snap';

let made = 0;
const newId = (): string => `new ${(made += 1)}`;
const bar = (id: string, x_m = 0, y_m = 0, turned_deg = 0, width_m = 0.014, length_m = 0.069): PlacedPart => ({
  ...{ id, x_m, y_m, turned_deg },
  outline: { shape: 'rectangle', width_m, length_m },
});
const leaning: PlacedPart = {
  ...{ id: 'leaning', x_m: 0.04, y_m: -0.02, turned_deg: 25 },
  outline: {
    shape: 'polygon',
    corners_m: [
      [-0.02, -0.03],
      [0.02, -0.03],
      [0.005, 0.03],
    ],
  },
};
const anyBar = fc
  .record({
    x: fc.double({ min: -0.2, max: 0.2, noNaN: true }),
    y: fc.double({ min: -0.2, max: 0.2, noNaN: true }),
    turned: fc.double({ min: -180, max: 180, noNaN: true }),
    width: fc.double({ min: 0.003, max: 0.06, noNaN: true }),
  })
  .map(({ x, y, turned, width }) => bar(newId(), x, y, turned, width));

describe('a mirror', () => {
  test('throws every corner over its line, keeps the area, and thrown twice is where it was', () => {
    for (const way of ['leftRight', 'frontBack'] as const) {
      const over = mirrored(leaning, way, 0.01);
      const wanted = partCorners(leaning).map(([x, y]) => (way === 'leftRight' ? [0.02 - x, y] : [x, 0.02 - y]));
      const got = partCorners(over);
      for (const [x, y] of wanted) expect(Math.min(...got.map(([a, b]) => Math.hypot(a - x, b - y)))).toBeLessThan(1e-12);
      expect(areaOf(got)).toBeCloseTo(partArea(leaning), 12);
      const back = mirrored(over, way, 0.01);
      expect([back.x_m, back.y_m, back.turned_deg]).toEqual([expect.closeTo(0.04, 12), expect.closeTo(-0.02, 12), expect.closeTo(25, 9)]);
    }
  });
});

describe('parts repeated', () => {
  test('in rows with room between them never lie on one another, staggered or not', () => {
    fc.assert(
      fc.property(
        anyBar,
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 1, max: 4 }),
        fc.boolean(),
        fc.boolean(),
        (one, count, rows, staggered, centred) => {
          const all = inRows([one], { count, rows, gap_m: 0, rowGap_m: 0.001, staggered, centred }, newId, boxRound([one]));
          expect(all).toHaveLength(count * rows);
          expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
          for (const a of all) for (const b of all) if (a.id < b.id) expect(overlapArea(partCorners(a), partCorners(b))).toBeLessThan(3e-7);
        },
      ),
      { numRuns: 25 },
    );
  });

  test('in rows round the middle leave as much on either side', () => {
    const all = inRows(
      [bar('a', 0.1, 0.1)],
      { count: 5, rows: 2, gap_m: 0.01, rowGap_m: 0.02, staggered: true, centred: true },
      newId,
      boxRound([bar('a', 0.1, 0.1)]),
    );
    const box = boxRound(all);
    expect(box.left + box.right).toBeCloseTo(0, 12);
    expect(box.front + box.back).toBeCloseTo(0, 12);
    expect(box.right - box.left).toBeCloseTo(5.5 * 0.014 + 4.5 * 0.01, 12);
  });

  test('in a ring stand as far from the middle and turn with it', () => {
    const all = inRing([bar('a', 0, 0.08)], 8, newId);
    all.forEach((one, i) => {
      expect(Math.hypot(one.x_m, one.y_m)).toBeCloseTo(0.08, 12);
      expect(wholeTurn(one.turned_deg - 45 * i)).toBeCloseTo(0, 9);
    });
    expect(turnedAbout(bar('a', 0, 0.08), [0, 0], -90)).toMatchObject({ x_m: expect.closeTo(0.08, 12), y_m: expect.closeTo(0, 12), turned_deg: -90 });
  });
});

describe('parts lined up and spaced', () => {
  test('have that side of theirs on one line', () => {
    fc.assert(
      fc.property(fc.array(anyBar, { minLength: 2, maxLength: 6 }), fc.constantFrom(...ALIGNMENTS), (parts, by) => {
        const lines = aligned(parts, by).map((part) => lineOf(boxRound([part]), by));
        for (const line of lines) expect(line).toBeCloseTo(lines[0], 9);
      }),
    );
  });

  test('have one gap between them, and the outer ones stay', () => {
    const parts = [bar('c', 0.1), bar('a', -0.1, 0, 0, 0.03), bar('b', 0.07, 0, 0, 0.02)];
    const [c, a, b] = spaced(parts, 'x').map((part) => boxRound([part]));
    expect([a.left, c.right]).toEqual([expect.closeTo(-0.115, 12), expect.closeTo(0.107, 12)]);
    expect(b.left - a.right).toBeCloseTo(c.left - b.right, 12);
  });
});

describe('a part under a finger', () => {
  const piece = { left: -0.15, right: 0.15, front: -0.12, back: 0.12 };
  const box = (x: number, y = 0): ReturnType<typeof boxRound> => boxRound([bar('x', x, y)]);

  test('is drawn to the middle, to the edge and to its neighbours, and nowhere from afar', () => {
    expect(snapped(box(0.0012, 0.06), [], piece, 0.003)).toMatchObject({
      dx_m: expect.closeTo(-0.0012, 9),
      dy_m: 0,
      guides: [{ along: 'x', at_m: 0, why: 'middle' }],
    });
    expect(snapped(box(0.1415, 0.06), [], piece, 0.003)).toMatchObject({ dx_m: expect.closeTo(0.0015, 9), guides: [{ why: 'edge' }] });
    expect(snapped(box(0.05, 0.05), [box(-0.08, 0.048)], piece, 0.003)).toMatchObject({ dx_m: 0, dy_m: expect.closeTo(-0.002, 9) });
    expect(snapped(box(0.05, 0.05), [], piece, 0.003)).toEqual({ dx_m: 0, dy_m: 0, guides: [] });
  });

  test('stands as far from its neighbour as that does from the next', () => {
    const { dx_m, guides } = snapped(box(0.0502, 0.03), [box(-0.03, 0.07), box(0.01, -0.07)], piece, 0.003);
    expect(dx_m).toBeCloseTo(-0.0002, 9);
    expect(guides).toMatchObject([{ along: 'x', why: 'spacing' }]);
  });

  test('turns to round angles and to those of the others, else to whole degrees', () => {
    expect(snappedTurn(31.4, [], 3)).toBe(30);
    expect(snappedTurn(-21.2, [-20], 3)).toBe(-20);
    expect(snappedTurn(159, [-20], 3)).toBe(160);
    expect(snappedTurn(37.6, [], 3)).toBe(38);
  });
});
