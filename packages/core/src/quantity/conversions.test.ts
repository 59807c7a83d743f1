import fc from 'fast-check';
import { TYPICAL_FAMILIES } from '../glass/families';
import { equalHold } from '../flow/heatWork';
import { fluidity, viscosityOf } from '../glass/viscosity';
import { valueOf } from '../problem';
import { METRIC, type Units } from '../units/convert';
import { type InKiln, sameWork, workOfHold } from './sameWork';
import { type Reading, readings } from './written';

const INCHES: Units = { temperature: 'F', length: 'in', mass: 'oz' };
const read = (text: string, units = METRIC): Reading[] => valueOf(readings({ text, units }));
const figure = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('what was written', () => {
  test.each<[string, Reading['as'], number]>([
    ['1450 F', 'temperature', (1450 - 32) / 1.8],
    ['790°C', 'temperature', 790],
    ['3/8 in', 'length', 0.009525],
    ['1 1/2"', 'length', 0.0381],
    ['24 cm', 'length', 0.24],
    ['120 in²', 'area', 120 * 0.0254 ** 2],
    ['7 sq ft', 'area', 7 * 0.3048 ** 2],
    ['500 ml', 'volume', 0.0005],
    ['30 cu in', 'volume', 30 * 0.0254 ** 3],
    ['2 lb 3 oz', 'mass', 35 * 0.028349523125],
    ['445 g', 'mass', 0.445],
    ['0.3 g/cm2', 'perArea', 3],
    ['7 oz per sq ft', 'perArea', (7 * 0.028349523125) / 0.3048 ** 2],
    ['2.5 g/cm3', 'density', 2500],
    ['400 F/h', 'rate', 400 / 1.8],
    ['5 °C per minute', 'rate', 300],
    ['1:30', 'time', 5400],
    ['90 min', 'time', 5400],
    ['90e-7', 'expansion', 9e-6],
    ['9.0 x 10^-6', 'expansion', 9e-6],
  ])('%s has one meaning', (text, as, value) => {
    expect(read(text)).toEqual([expect.objectContaining({ as, value: expect.closeTo(value, 9) })]);
    expect(read(text)[0]).toHaveProperty('unit', expect.stringMatching(/^(°C|°C\/h|m|m²|m³|kg|kg\/m²|kg\/m³|s|1\/K)$/));
    // Whatever the studio is in.
    expect(read(text, INCHES)).toHaveLength(1);
  });

  test('a bare number is all that it may be, the studio’s own units first', () => {
    const told = read('90', INCHES).map((one) => (one.as === 'cone' ? one.as : `${one.as} ${Number(one.value.toPrecision(4))}`));
    expect(told).toEqual([
      ...['temperature 32.22', 'temperature 90', 'length 2.286', 'length 0.09', 'mass 2.551', 'mass 0.09', 'rate 50', 'rate 90'],
      ...['expansion 0.000009', 'time 5400'],
    ]);
    expect(read('9.0').find(({ as }) => as === 'expansion')).toMatchObject({ value: expect.closeTo(9e-6, 12) });
    expect(read('800').some(({ as }) => as === 'expansion')).toBe(false);
  });

  test('a letter with two meanings has both; cones; what cannot be read says what can', () => {
    expect(read('5 m').map(({ as }) => as)).toEqual(['length', 'time']);
    expect(read('cone 06')).toEqual([{ as: 'cone', cone: '06' }]);
    expect(readings({ text: 'cone 22', units: METRIC })).toMatchObject({
      ok: false,
      problem: { message: expect.stringMatching(/Cone 22 is not known here: from 010 to 1/) },
    });
    for (const text of ['warm', '3 bananas', '°', '1/0 in', '5 g/h', '1e999 F']) expect(readings({ text, units: METRIC }).ok).toBe(false);
    expect(readings({ text: '1,200', units: METRIC })).toMatchObject({ ok: false, problem: { message: expect.stringMatching(/two ways/) } });
  });

  test('the same length, mass or rate in whichever unit it is written', () => {
    fc.assert(
      fc.property(figure(0.01, 900), (n) => {
        const written = n.toFixed(3);
        const one = (text: string): number => {
          const [first] = read(text);
          return first.as === 'cone' ? NaN : first.value;
        };
        expect(one(`${written} in`)).toBeCloseTo(one(`${(Number(written) * 25.4).toFixed(6)} mm`), 8);
        expect(one(`${written} oz`)).toBeCloseTo(one(`${(Number(written) * 28.349523125).toFixed(6)} g`), 8);
        expect(one(`${written} F/h`) * 1.8).toBeCloseTo(one(`${written} C/h`), 6);
        expect(one(`${written} F`)).toBeCloseTo((Number(written) - 32) / 1.8, 9);
      }),
      { numRuns: 400, seed: 8 },
    );
  });
});

describe('the same heat work', () => {
  const [glass] = TYPICAL_FAMILIES;
  const vft = viscosityOf(glass);
  const kiln = (more: Partial<InKiln> = {}): InKiln => ({ up_C_per_h: 200, down_C_per_h: 600, readsOver_K: 0, ...more });
  const hold = (from: { at_C: number; hold_s: number } & InKiln, to: { at_C: number } & InKiln) =>
    valueOf(sameWork({ glass, from, to: { ...to, find: 'hold' } }));

  test('work of ramps and hold as summed up second by second', () => {
    const [up, down] = [200 / 3600, 600 / 3600];
    let work = 600 * fluidity(vft, 790);
    for (const rate of [up, down]) for (let t = 0.5; t < 400 / rate; t += 1) work += fluidity(vft, 790 - t * rate);
    expect(workOfHold(vft, 790, 600, kiln()) / work).toBeCloseTo(1, 3);
  });

  test('with ramps that take no time it is the ratio of viscosities; ten degrees as the books have it', () => {
    const fast = kiln({ up_C_per_h: 1e9, down_C_per_h: 1e9 });
    const told = hold({ ...fast, at_C: 790, hold_s: 600 }, { ...fast, at_C: 770 });
    expect(told.hold_s / equalHold(vft, 600, 790, 770)).toBeCloseTo(1, 4);
    expect(told.longer).toBeCloseTo(told.hold_s / 600, 3);
    // Of the soft sheet: a factor of 1.44 at 740 °C, 1.33 at 804.
    for (const [at, factor] of [
      [740, 1.44],
      [804, 1.33],
    ])
      expect(1 / hold({ ...fast, at_C: 790, hold_s: 600 }, { ...fast, at_C: at - 5 }).tenMore).toBeCloseTo(factor, 1);
  });

  test('there and back again, by the hold and by the temperature, in whatever kiln', () => {
    fc.assert(
      fc.property(figure(640, 850), figure(300, 5000), figure(-30, 30), figure(60, 500), figure(-15, 15), (at_C, hold_s, shift, up, over) => {
        const from = { ...kiln(), at_C, hold_s };
        const other = kiln({ up_C_per_h: up, readsOver_K: over });
        const told = hold(from, { ...other, at_C: at_C + shift + over });
        fc.pre(told.hold_s > 1);
        expect(told.share).toBeCloseTo(1, 9);
        const back = hold({ ...other, at_C: told.at_C, hold_s: told.hold_s }, { ...kiln(), at_C });
        expect(back.hold_s / hold_s).toBeCloseTo(1, 5);
        const found = valueOf(sameWork({ glass, from, to: { ...other, find: 'temperature', hold_s: told.hold_s } }));
        expect(found.at_C).toBeCloseTo(told.at_C, 2);
        // Cooler takes longer.
        expect(hold(from, { ...other, at_C: at_C + shift + over - 5 }).hold_s).toBeGreaterThan(told.hold_s);
      }),
      { numRuns: 400, seed: 12 },
    );
  });

  test('where climbing alone does too much it says so, where glass is solid it is refused', () => {
    expect(hold({ ...kiln(), at_C: 740, hold_s: 60 }, { ...kiln(), at_C: 840 })).toMatchObject({ hold_s: 0 });
    expect(hold({ ...kiln(), at_C: 740, hold_s: 60 }, { ...kiln(), at_C: 840 }).share).toBeGreaterThan(2);
    const at = (from_C: number, to: object) =>
      sameWork({ glass, from: { ...kiln(), at_C: from_C, hold_s: 600 }, to: { ...kiln(), find: 'hold', at_C: 780, ...to } as never });
    expect(at(200, {})).toMatchObject({ ok: false, problem: { path: 'from.at_C' } });
    expect(at(790, { at_C: 200 })).toMatchObject({ ok: false, problem: { path: 'to.at_C' } });
  });
});
