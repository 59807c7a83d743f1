/** Parts that nobody has placed yet are drawn evenly, and cover what they are said to cover. */
import { type Footprint, footprintArea } from '../body/footprint';
import { boxOf, footprintRings, partArea } from './parts';
import { spreadPieces, spreadRods } from './spread';

const OUTLINES: [string, Footprint][] = [
  ['an oblong', { shape: 'rectangle', width_m: 0.3, length_m: 0.2 }],
  ['a disc', { shape: 'disc', diameter_m: 0.25 }],
];

describe.each(OUTLINES)('on %s', (_, footprint) => {
  const { left, right } = boxOf(footprintRings(footprint).flat());

  test.each([1, 7, 30])('%i pieces cover their share and lie about the middle', (count) => {
    const parts = spreadPieces(footprint, count, 0.4);
    expect(parts).toHaveLength(count);
    const covered = parts.reduce((sum, part) => sum + partArea(part), 0);
    expect(covered / footprintArea(footprint)).toBeCloseTo(0.4, 6);
    for (const key of ['x_m', 'y_m'] as const) expect(Math.abs(parts.reduce((sum, part) => sum + part[key], 0) / count)).toBeLessThan(0.2 * (right - left));
  });

  test('rods lie side by side at even distances about the middle, as many as cover the share', () => {
    const parts = spreadRods(footprint, 0.005, 0.5, 200);
    const xs = parts.map(({ x_m }) => x_m);
    const apart = xs.slice(1).map((x, i) => x - xs[i]);
    for (const gap of apart) expect(gap).toBeCloseTo(apart[0], 9);
    expect(xs.reduce((sum, x) => sum + x, 0)).toBeCloseTo(0, 9);
    expect(Math.min(...xs)).toBeGreaterThan(left);
    expect(Math.max(...xs)).toBeLessThan(right);
    // Half of what they lie in is glass: a rod to every ten millimetres.
    expect(apart[0]).toBeCloseTo(0.01, 3);
    expect(spreadRods(footprint, 0.005, 0.5, 4)).toHaveLength(4);
    expect(spreadRods(footprint, 0.005, 0.0001, 4)).toHaveLength(1);
  });
});
