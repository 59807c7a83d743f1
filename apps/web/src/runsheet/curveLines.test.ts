import { TYPICAL_FAMILIES, glassStates } from '@torvin/core/glass';
import { simulateFiring } from '@torvin/core/heat';
import { formatTemperature, text } from '@torvin/core/units';
import { bandAt, columnBands, columnWords } from './columns';
import { BEAD_AT, curveRows, pathOf, programmedLine, timedLine } from './curveLines';
import { dragFrom, dragTo } from './drag';
import { temperatureScale } from './scale';
import { levelMarks } from './trueTime';

const scale = temperatureScale(210, 366, 900);

describe('the temperature axis', () => {
  test('gives a sixth of its width to what lies below 450 °C', () => {
    expect(scale.x(0)).toBe(210);
    expect(scale.x(450)).toBeCloseTo(210 + 156 / 6, 9);
    expect(scale.x(900)).toBeCloseTo(366, 9);
  });

  test.each([20, 300, 450, 515, 790, 900])('reads %s °C back from where it drew it', (celsius) => {
    expect(scale.celsius(scale.x(celsius))).toBeCloseTo(celsius, 9);
  });
});

describe('the curve', () => {
  const segments = [
    { rate_C_per_h: 200, target_C: 560, hold_s: 0 },
    { rate_C_per_h: 200, target_C: 790, hold_s: 900 },
    { rate_C_per_h: 100, target_C: 400, hold_s: 0 },
  ];
  const rows = curveRows(segments, 20, scale, 100);

  test('is unbroken: each ramp starts where the row before it ended', () => {
    expect(rows[1].ramp[0]).toEqual(rows[0].bead);
    expect(rows[2].ramp[0]).toEqual(rows[1].hold?.[1]);
  });

  test('puts each bead in its own row at its own temperature', () => {
    rows.forEach((row, i) => {
      expect(row.bead.y).toBeCloseTo((i + BEAD_AT) * 100, 9);
      expect(scale.celsius(row.bead.x)).toBeCloseTo(segments[i].target_C, 9);
    });
  });

  test('draws skin and core through every joint, never going back in time', () => {
    const [glass] = TYPICAL_FAMILIES;
    const face = { kind: 'open', emissivity: 0.9, convection_W_m2K: 5 } as const;
    const { series } = simulateFiring({
      glass,
      stack: [{ of: 'glass', thickness_m: 0.02 }],
      faces: { top: face, bottom: { kind: 'insulated' } },
      segments,
      series: true,
    });
    if (!series) throw new Error('no series');
    const skin = timedLine(series, series.skin_C, rows, scale);
    const core = timedLine(series, series.core_C, rows, scale);
    expect(skin.length).toBeGreaterThan(30);
    expect(skin.length).toBeLessThan(series.t_s.length);
    for (let i = 1; i < skin.length; i += 1) expect(skin[i].y).toBeGreaterThanOrEqual(skin[i - 1].y - 1e-9);
    expect(skin[skin.length - 1].y).toBeCloseTo(rows[2].bead.y, 6);
    const coreAt = (y: number): number => core.reduce((best, point) => (Math.abs(point.y - y) < Math.abs(best.y - y) ? point : best)).x;
    expect(skin.some(({ x, y }) => Math.abs(x - coreAt(y)) > 2)).toBe(true);
    expect(pathOf(skin)).not.toMatch(/NaN/);
  });
});

describe('the programmed line', () => {
  const segments = [{ rate_C_per_h: 200, target_C: 850, hold_s: 600 }];
  const rows = curveRows(segments, 50, scale, 100);
  const line = programmedLine(rows, scale);

  test('bends where the axis changes its stretch, at the time the kiln passes there', () => {
    expect(line).toHaveLength(4);
    expect(line[1].x).toBeCloseTo(scale.x(450), 9);
    // Half of the way from 50 to 850 °C, so half of the ramp's time.
    expect(line[1].y).toBeCloseTo((rows[0].ramp[0].y + rows[0].bead.y) / 2, 9);
  });

  test('agrees with the simulated kiln, which follows its program', () => {
    const [glass] = TYPICAL_FAMILIES;
    const face = { kind: 'open', emissivity: 0.9, convection_W_m2K: 5 } as const;
    const { series } = simulateFiring({
      glass,
      stack: [{ of: 'glass', thickness_m: 0.01 }],
      faces: { top: face, bottom: face },
      segments,
      start_C: 50,
      series: true,
    });
    if (!series) throw new Error('no series');
    for (const { x, y } of timedLine(series, series.kiln_C, rows, scale)) {
      const after = line.findIndex((point) => point.y >= y - 1e-9);
      const [a, b] = [line[Math.max(after - 1, 0)], line[after]];
      const share = b.y > a.y ? (y - a.y) / (b.y - a.y) : 0;
      // One sampled point may straddle the bend by a pixel.
      expect(Math.abs(x - (a.x + share * (b.x - a.x)))).toBeLessThan(1);
    }
  });
});

describe('a bead under a finger', () => {
  const perPixel = (): number => 3;

  test('moves in fives when quick', () => {
    const drag = dragTo(dragFrom(790, 100, 0), 104, 16, perPixel, 0, 900);
    expect(drag.value_C).toBe(800);
  });

  test('moves by single degrees when slow', () => {
    const drag = dragTo(dragFrom(790, 100, 0), 101, 100, perPixel, 0, 900);
    expect(drag.value_C).toBe(791);
  });

  test('does not move when the finger rests', () => {
    expect(dragTo(dragFrom(787, 100, 0), 100, 500, perPixel, 0, 900).value_C).toBe(787);
  });

  test('stays between its limits', () => {
    expect(dragTo(dragFrom(790, 100, 0), 400, 16, perPixel, 20, 900).value_C).toBe(900);
    expect(dragTo(dragFrom(790, 400, 0), 0, 16, perPixel, 20, 900).value_C).toBe(20);
  });
});

describe('the state columns', () => {
  test('lie side by side and name only those wide enough to carry a name', () => {
    const bands = columnBands(glassStates(TYPICAL_FAMILIES[0]), scale, 900);
    for (let i = 1; i < bands.length; i += 1) expect(bands[i].x).toBeCloseTo(bands[i - 1].x + bands[i - 1].width, 6);
    expect(bands[bands.length - 1].x + bands[bands.length - 1].width).toBeCloseTo(366, 6);
    expect(bands.find(({ name }) => name === 'softens')?.label).toBe('none');
    expect(bands.find(({ name }) => name === 'levels')?.label).toBe('upright');
    const wide = columnBands(glassStates(TYPICAL_FAMILIES[0]), temperatureScale(0, 600, 900), 900);
    expect(wide.find(({ name }) => name === 'levels')?.label).toBe('level');
  });
});

describe('a column that is touched', () => {
  const bands = columnBands(glassStates(TYPICAL_FAMILIES[0]), scale, 900);

  test('is the one whose place it is, with none beside them', () => {
    for (const band of bands) expect(bandAt(bands, band.x + band.width / 2)).toBe(band);
    expect(bandAt(bands, -1)).toBeNull();
    expect(bandAt(bands, 5000)).toBeNull();
  });

  test('says between which temperatures the glass does what', () => {
    const anneals = bands.find(({ name }) => name === 'anneals');
    const runs = bands.find(({ name }) => name === 'runs');
    if (!anneals || !runs) throw new Error('no such columns');
    expect(columnWords(anneals, 'C')).toMatch(/^anneals, 4\d\d to 5\d\d °C: strain relaxes/);
    expect(columnWords(anneals, 'F')).toMatch(/^anneals, \d{3} to \d{3,4} °F: /);
    expect(columnWords(runs, 'C')).toMatch(/^runs, from \d{3} °C: flows/);
  });
});

describe('the marks of the axis with time to scale', () => {
  test.each([
    ['C', 900, ['200 °C', '400 °C', '600 °C', '800 °C']],
    ['F', 900, ['400 °F', '800 °F', '1200 °F', '1600 °F']],
    ['F', 800, ['400 °F', '800 °F', '1200 °F']],
  ] as const)('are round in °%s below %s °C', (unit, top_C, marks) => {
    expect(levelMarks({ top_C }, unit).map((level) => text(formatTemperature(level, unit)))).toEqual(marks);
  });
});
