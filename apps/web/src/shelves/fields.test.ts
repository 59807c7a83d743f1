import { METRIC, TYPICAL_FAMILIES } from '@torvin/core';
import { FamilyChangeSchema } from '@torvin/schema';
import { NUMBER_FIELDS, withFigure, written } from './fields';

const family = { ...TYPICAL_FAMILIES[0], version: 1 };

describe('the figures of a record', () => {
  test.each(['C', 'F'] as const)('written in °%s and read back are the record again', (temperature) => {
    const units = { ...METRIC, temperature };
    let record: Parameters<typeof withFigure>[0] = family;
    for (const field of NUMBER_FIELDS.families) {
      const value = (family as unknown as Record<string, number | undefined>)[field.key];
      const outcome = withFigure(record, field, value === undefined ? '' : written(field.shown(value, units)), units);
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
    const known = withFigure(family, strain, '488', METRIC);
    expect(known.ok && known.value).toMatchObject({ strain_C: 488 });
    const unknown = known.ok && withFigure(known.value, strain, ' ', METRIC);
    expect(unknown && unknown.ok && 'strain_C' in unknown.value).toBe(false);
    expect(withFigure(family, expansion, '', METRIC)).toMatchObject({ ok: false, problem: { path: 'expansion_perK' } });
  });

  test('what cannot be read is named', () => {
    expect(withFigure(family, NUMBER_FIELDS.families[0], 'ninety', METRIC)).toMatchObject({ problem: { message: "Cannot read 'ninety' as a number." } });
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

  test('a decimal comma is read', () => {
    const outcome = withFigure(family, NUMBER_FIELDS.families[0], '9,3', METRIC);
    expect(outcome.ok && (outcome.value as typeof family).expansion_perK).toBeCloseTo(9.3e-6, 12);
  });
});
