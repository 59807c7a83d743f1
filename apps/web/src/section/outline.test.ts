import type { Footprint } from '@torvin/core/body';
import { outlineIn } from './outline';

const BOX = { width: 200, height: 100 };

describe('an outline in a box', () => {
  test.each<[string, Footprint, number, number]>([
    ['a wide rectangle fills the width', { shape: 'rectangle', width_m: 0.4, length_m: 0.1 }, 200, 50],
    ['a long rectangle lies on its side', { shape: 'rectangle', width_m: 0.1, length_m: 0.4 }, 200, 50],
    ['a disc fills the height', { shape: 'disc', diameter_m: 0.3 }, 100, 100],
    ['a ring fills the height as its disc does', { shape: 'ring', diameter_m: 0.3, inner_m: 0.2 }, 100, 100],
    ['an oval keeps its sides apart', { shape: 'oval', width_m: 0.3, length_m: 0.15 }, 200, 100],
    [
      'a polygon is put where its own corner is',
      {
        shape: 'polygon',
        corners_m: [
          [1, 1],
          [1.2, 1],
          [1.1, 1.1],
        ],
      },
      200,
      100,
    ],
  ])('%s', (_, footprint, width, height) => {
    const drawn = outlineIn(footprint, BOX);
    expect(drawn.width).toBeCloseTo(width, 9);
    expect(drawn.height).toBeCloseTo(height, 9);
    expect(drawn.path).toMatch(/^M[\d.]+ [\d.]+/);
    expect(drawn.path).toMatch(/Z$/);
    expect(drawn.path).not.toMatch(/NaN|-0[^.\d]/);
  });

  test('a round one is drawn round, with the radius of its box', () => {
    expect(outlineIn({ shape: 'disc', diameter_m: 0.3 }, BOX).path).toBe('M0 50a50 50 0 1 0 100 0a50 50 0 1 0 -100 0Z');
  });

  test('the hole of a ring runs the other way round, so that it stays open', () => {
    expect(outlineIn({ shape: 'ring', diameter_m: 0.3, inner_m: 0.15 }, BOX).path).toBe(
      'M0 50a50 50 0 1 0 100 0a50 50 0 1 0 -100 0ZM75 50a25 25 0 1 1 -50 0a25 25 0 1 1 50 0Z',
    );
  });

  test('is to scale', () => {
    expect(outlineIn({ shape: 'rectangle', width_m: 0.4, length_m: 0.1 }, BOX).pxPerMetre).toBeCloseTo(500, 9);
  });
});
