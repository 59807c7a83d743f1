import { sectionGeometry } from './geometry';

const box = { width: 390, height: 160 };

describe('the section drawing', () => {
  const drawn = sectionGeometry(0.2, [0.003, 0.003], box);

  test('stacks the layers upwards from the shelf without gaps', () => {
    const [base, top] = drawn.layers;
    expect(base.y + base.height).toBeCloseTo(drawn.shelfY, 9);
    expect(top.y + top.height).toBeCloseTo(base.y, 9);
  });

  test('keeps widths to scale and depths to scale times the stated factor', () => {
    const [base] = drawn.layers;
    expect((base.height / base.width) * (0.2 / 0.003)).toBeCloseTo(drawn.exaggeration, 9);
  });

  test.each([
    [0.2, [0.003, 0.003]],
    [2, [0.002]],
    [0.02, [0.025, 0.025, 0.025, 0.025]],
    [0.38, [0.006, 0.006, 0.006]],
  ])('stays inside its box for a span of %s m', (span, thicknesses) => {
    const { layers, exaggeration } = sectionGeometry(span, thicknesses, box);
    expect(exaggeration).toBeGreaterThanOrEqual(1);
    for (const layer of layers) {
      expect(layer.x).toBeGreaterThanOrEqual(0);
      expect(layer.x + layer.width).toBeLessThanOrEqual(box.width + 1e-9);
      expect(layer.y).toBeGreaterThanOrEqual(0);
    }
  });
});
