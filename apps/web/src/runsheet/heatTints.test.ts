import { type UnevenBody, steadyCooling } from '@torvin/core/field';
import { drawnHeat } from './heatTints';

const GLASS = { conductivity_W_mK: 1.2, density_kg_m3: 2500, heatCapacity_J_kgK: 1100 };
const SHELF = { thickness_m: 0.016, conductivity_W_mK: 1.5, density_kg_m3: 2000, heatCapacity_J_kgK: 1050 };
const strip: UnevenBody = {
  ...({ shape: 'section', mirrored: true, level: 'bottom', glass: GLASS, under: [SHELF], fineness: 8 } as const),
  parts: [
    { width_m: 0.02, depth_m: 0.012 },
    { width_m: 0.03, depth_m: 0.006 },
  ],
  exchange_W_m2K: { top: 80, side: 80, bottom: 20 },
};

test('a half is drawn to both sides of its middle, what is flat three times as high, within its room', () => {
  const { map, hottest, coldest } = steadyCooling(strip);
  const drawn = drawnHeat(map, strip, { width: 300, height: 150 }, 9);
  expect(drawn.width).toBeCloseTo(300, 6);
  expect(drawn.height / drawn.width).toBeCloseTo((3 * 0.012) / 0.1, 6);
  expect(drawnHeat(map, strip, { width: 300, height: 60 }, 9).height).toBe(60);
  // Thick in the middle, where it is hottest; thin at both ends, where it is coldest at its top.
  expect(Math.abs(drawn.place(hottest).x - 150)).toBeLessThan(10);
  expect(drawn.place(coldest).x).toBeGreaterThan(200);
  expect(drawn.place(coldest).y).toBeLessThan(drawn.height);
});

test('every place of glass has one tint, the hottest the last and the coldest the first', () => {
  const { map } = steadyCooling(strip);
  const { paths } = drawnHeat(map, strip, { width: 300, height: 150 }, 9);
  const shapes = paths.map((d) => d.split('M').length - 1);
  expect(shapes.reduce((sum, count) => sum + count, 0)).toBe(2 * map.lead_s.filter((lead) => lead !== null).length);
  expect(shapes[0]).toBeGreaterThan(0);
  expect(shapes[8]).toBeGreaterThan(0);
});

test('a section is drawn once, from its side', () => {
  const section: UnevenBody = { ...strip, mirrored: false };
  const { map } = steadyCooling(section);
  const drawn = drawnHeat(map, section, { width: 300, height: 150 }, 9);
  expect(drawn.place({ x_m: 0, y_m: 0, z_m: 0.016 })).toEqual({ x: 0, y: drawn.height });
});
