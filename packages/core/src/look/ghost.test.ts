import { SOFT_90, sheetsOf } from '../testCases';
import { type BodyInput, naturalDepth } from '../body/body';
import { ghostOf, rimMovesIn } from './ghost';
import { TYPICAL_WORKS } from './works';

const sheets = (count: number): BodyInput => sheetsOf(count, 0.003).body;
const numerals = { glass: 0, thickness_m: 0.003, area_m2: 6e-4, count: 6 };

describe('the body after a firing, as drawn', () => {
  test('deeper than natural it creeps out and gets shallower, thinner it draws in and deeper; the volume stays', () => {
    for (const [count, way] of [
      [4, 1],
      [1, -1],
    ]) {
      const body = sheets(count);
      const ghost = ghostOf(body, 'fullFuse', 0.03);
      expect(Math.sign(ghost.width_m - 0.3)).toBe(way);
      expect(Math.sign(0.003 * count - ghost.depth_m)).toBe(way);
      expect(ghost.depth_m * (ghost.width_m / 0.3) ** 2).toBeCloseTo(0.003 * count, 9);
    }
  });

  test('given all the heat in the world it rests at its natural depth and goes no further', () => {
    expect(ghostOf(sheets(6), 'slabFlow', 1e6).depth_m / naturalDepth(SOFT_90)).toBeCloseTo(1, 0);
    expect(ghostOf(sheets(6), 'slabFlow', 1e6)).toEqual(ghostOf(sheets(6), 'slabFlow', 1e9));
  });

  test('its rim is told as far as it is drawn, and not at all by what does not let it flow', () => {
    for (const count of [1, 2, 4]) {
      const drawn_m = (ghostOf(sheets(count), 'fullFuse', 0.03).width_m - 0.3) / 2;
      expect(rimMovesIn(sheets(count), 'fullFuse', 0.03)).toBeCloseTo(drawn_m, 12);
      expect(rimMovesIn(sheets(count), 'slump', 0.03)).toBe(0);
    }
  });

  test('a tack keeps its outline and nearly all of its relief, a full fuse keeps hardly any', () => {
    const body = { ...sheets(2), parts: [numerals] };
    const tacked = ghostOf(body, 'tack', TYPICAL_WORKS.tack.least);
    expect(tacked.width_m).toBeCloseTo(0.3, 12);
    expect(tacked.relief_m).toBeGreaterThan(0.0018);
    expect(ghostOf(body, 'fullFuse', TYPICAL_WORKS.fullFuse.most).relief_m).toBeLessThan(tacked.relief_m / 2);
    expect(tacked.rim_m).toBeLessThan(ghostOf(body, 'fullFuse', TYPICAL_WORKS.fullFuse.least).rim_m);
  });

  test('a heap runs out to a disc with a rim half as high as it is deep, or as high as glass stands by itself', () => {
    for (const work of [0.05, 0.5, 5]) {
      const { depth_m, rim_m, relief_m } = ghostOf(sheetsOf(8, 0.003).body, 'heap', work);
      expect([rim_m, relief_m]).toEqual([Math.min(depth_m / 2, naturalDepth(SOFT_90) / 2), 0]);
    }
    // One that has run all the way stands as deep as it does by itself.
    const { depth_m, rim_m } = ghostOf(sheetsOf(8, 0.003).body, 'heap', 1e6);
    expect(rim_m).toBeCloseTo(depth_m / 2, 4);
  });

  test('a slump sinks its middle by the mould’s depth, a drape lowers its rim', () => {
    expect(ghostOf(sheets(2), 'slump', 1e-4, { kind: 'hollow', span_m: 0.25, depth_m: 0.04 }).crown_m).toBe(-0.04);
    expect(ghostOf(sheets(2), 'drape', 1e-4, { kind: 'former', overhang_m: 0.1, drop_m: 0.05 }).crown_m).toBe(0.05);
    expect(ghostOf(sheets(2), 'fullFuse', 1e-2).crown_m).toBe(0);
  });
});
