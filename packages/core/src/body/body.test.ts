import { SOFT_90 } from '../testCases';
import { bodyFigures, naturalDepth } from './body';
import { footprintArea, footprintSpan } from './footprint';

const disc = { shape: 'disc', diameter_m: 0.2 } as const;

describe('mass and depth of even sheets', () => {
  test('a disc of radius 100 mm, 8 mm deep, is 628 g', () => {
    const { mass_kg, depth } = bodyFigures({ glass: SOFT_90, layers: [{ thickness_m: 0.005 }, { thickness_m: 0.003 }], footprint: disc });
    expect(mass_kg).toBeCloseTo(0.6283, 4);
    expect(depth.mean_m).toBeCloseTo(0.008, 12);
  });

  test('a square of 200 mm carrying 100 g has 1.0 mm of glass', () => {
    const footprint = { shape: 'rectangle', width_m: 0.2, length_m: 0.2 } as const;
    const { mass_kg } = bodyFigures({ glass: SOFT_90, layers: [{ thickness_m: 0.001 }], footprint });
    expect(mass_kg).toBeCloseTo(0.1, 12);
  });

  test('area and span follow the outline', () => {
    expect(footprintArea(disc)).toBeCloseTo(Math.PI * 0.01, 12);
    expect(footprintSpan({ shape: 'rectangle', width_m: 0.1, length_m: 0.25 })).toBe(0.25);
  });
});

describe('where hot glass rests', () => {
  test('soda-lime on primer rests at about 6.5 mm', () => {
    expect(naturalDepth(SOFT_90) * 1e3).toBeCloseTo(6.5, 1);
  });

  test.each([
    [0.003, 'draws-in'],
    [0.0065, 'stays'],
    [0.012, 'runs-out'],
  ])('a body %s m deep %s', (thickness_m, tendency) => {
    expect(bodyFigures({ glass: SOFT_90, layers: [{ thickness_m }], footprint: disc }).afterFiring.tendency).toBe(tendency);
  });
});
