import { METRIC, TYPICAL_FAMILIES } from '@torvin/core';
import { FamilyChangeSchema } from '@torvin/schema';
import { NUMBER_FIELDS, withFigure, written } from './fields';

const INCHES = { temperature: 'F', length: 'in', mass: 'oz' } as const;
const kiln = {
  id: 'low',
  name: 'Low',
  source: 'test',
  version: 1,
  top_C: 900,
  power_K_per_s: 0.2,
  loss_per_s: 5e-5,
  radiantLoss_per_K3_s: 5.6e-14,
  ambient_C: 20,
  acrossLag_s_per_300mm: 72,
};
const family = { ...TYPICAL_FAMILIES[0], version: 1 };

describe('the figures of a record', () => {
  test.each(['C', 'F'] as const)('written in °%s and read back are the record again', (temperature) => {
    const units = { ...METRIC, temperature };
    let record: Parameters<typeof withFigure>[1] = family;
    for (const field of NUMBER_FIELDS.families) {
      const value = (family as unknown as Record<string, number | undefined>)[field.key];
      const outcome = withFigure('families', record, field, value === undefined ? '' : written(field.shown(value, units)), units);
      if (!outcome.ok) throw new Error(outcome.problem.message);
      record = outcome.value;
    }
    for (const [key, value] of Object.entries(family)) {
      const back = (record as unknown as Record<string, unknown>)[key];
      if (typeof value === 'number') expect((back as number) / value).toBeCloseTo(1, 4);
      else expect(back).toEqual(value);
    }
    expect(FamilyChangeSchema.safeParse(record).success).toBe(true);
  });

  test('an optional one may be emptied, any other is asked for', () => {
    const [expansion, strain] = NUMBER_FIELDS.families;
    const known = withFigure('families', family, strain, '488', METRIC);
    expect(known.ok && known.value).toMatchObject({ strain_C: 488 });
    const unknown = known.ok && withFigure('families', known.value, strain, ' ', METRIC);
    expect(unknown && unknown.ok && 'strain_C' in unknown.value).toBe(false);
    expect(withFigure('families', family, expansion, '', METRIC)).toMatchObject({ ok: false, problem: { path: 'expansion_perK' } });
  });

  test('what cannot be read is named', () => {
    expect(withFigure('families', family, NUMBER_FIELDS.families[0], 'ninety', METRIC)).toMatchObject({
      problem: { message: "Cannot read 'ninety' as a number." },
    });
  });

  test('the room inside a kiln is written in the length of the studio, and may be left out', () => {
    const wide = NUMBER_FIELDS.kilns.find(({ key }) => key === 'insideWidth_m');
    if (!wide) throw new Error('A kiln has a width inside.');
    const inches = { ...METRIC, length: 'in' } as const;
    expect(wide.unit(inches)).toBe('in');
    expect(wide.kept(wide.shown(0.508, inches), inches)).toBeCloseTo(0.508, 9);
    expect(wide.shown(0.508, inches)).toBeCloseTo(20, 9);
    expect(wide.optional).toBe(true);
  });

  test.each([
    ['top_C', '1050 C', 1050],
    ['top_C', '1922', 1050],
    ['insideWidth_m', '14-1/2 in', 0.3683],
    ['insideWidth_m', '20', 0.508],
    ['insideHeight_m', '25 cm', 0.25],
    ['power_K_per_s', '900 F/h', 500 / 3600],
    ['acrossLag_s_per_300mm', '73.152', 72],
  ])("%s typed as '%s' in a studio of °F and inches is %s", (key, typed, kept) => {
    const field = NUMBER_FIELDS.kilns.find((one) => one.key === key)!;
    const outcome = withFigure('kilns', kiln, field, typed, INCHES);
    if (!outcome.ok) throw new Error(outcome.problem.message);
    expect((outcome.value as unknown as Record<string, number>)[key]).toBeCloseTo(kept, 9);
  });

  test.each([
    ['top_C', '5000', /5000 °F; it must be from 212 °F to 3092 °F/],
    ['top_C', '5000 C', /5000 °C; it must be from 100 °C to 1700 °C/],
    ['top_C', 'hot', /1454 °F/],
    ['insideWidth_m', '0.2', /in; it must be from [\d.]+ in to [\d.]+ in/],
    ['power_K_per_s', 'full', /write the rate/],
  ])("%s typed as '%s' is answered in the unit it is written in", (key, typed, message) => {
    const field = NUMBER_FIELDS.kilns.find((one) => one.key === key)!;
    expect(withFigure('kilns', kiln, field, typed, INCHES)).toMatchObject({ ok: false, problem: { path: key, message: expect.stringMatching(message) } });
  });

  test('a decimal comma is read', () => {
    const outcome = withFigure('families', family, NUMBER_FIELDS.families[0], '9,3', METRIC);
    expect(outcome.ok && (outcome.value as typeof family).expansion_perK).toBeCloseTo(9.3e-6, 12);
  });
});
