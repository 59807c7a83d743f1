import { METRIC } from '@torvin/core/units';
import { NOT_MEASURED, type Measured } from '@torvin/schema';
import { entryOfMeasured, measuredOf, measuredWords } from './measuredEntry';

const IMPERIAL = { temperature: 'F', length: 'in', mass: 'oz' } as const;
const empty = entryOfMeasured(NOT_MEASURED, METRIC);
const before: Measured = {
  ...{ down_m: 0.0312345678, largest_m: 0.2012345, thickness_m: 0.00612345, alongside_m: 0.00398765 },
  ...{ cone: { cone: '017', bent_deg: 42 }, stress: { retardation_nm: 137.5, path_m: 0.0512345 } },
};

test('what was only looked at keeps its digits, whatever the units', () => {
  for (const units of [METRIC, IMPERIAL]) expect(measuredOf(entryOfMeasured(before, units), before, units)).toEqual({ measured: before });
  expect(measuredOf(empty, NOT_MEASURED, METRIC)).toEqual({ measured: NOT_MEASURED });
  expect(measuredWords(NOT_MEASURED, METRIC)).toBe('');
});

test('is read in the units of the studio; a retardation in nanometres or in fringes', () => {
  const read = measuredOf({ ...empty, down: '1 1/4', delay: '0.5 fringes', path: '2' }, NOT_MEASURED, IMPERIAL);
  expect(read).toEqual({
    measured: { ...NOT_MEASURED, down_m: expect.closeTo(0.03175, 8), stress: { retardation_nm: 275, path_m: expect.closeTo(0.0508, 8) } },
  });
  for (const delay of ['275', '275 nm']) {
    expect(measuredOf({ ...empty, delay, path: '50' }, NOT_MEASURED, METRIC)).toMatchObject({ measured: { stress: { retardation_nm: 275, path_m: 0.05 } } });
  }
  expect(measuredOf({ ...empty, cone: 'cone 017', bent: '40' }, NOT_MEASURED, METRIC)).toMatchObject({ measured: { cone: { cone: '017', bent_deg: 40 } } });
});

test.each([
  [{ cone: '77', bent: '40' }, 'cone', /no cone '77'.*022 to 1/],
  [{ cone: '017' }, 'bent', /how far the cone bent/],
  [{ bent: '30' }, 'cone', /which cone/],
  [{ delay: '300' }, 'path', /path/],
  [{ path: '50' }, 'delay', /polarisers/],
  [{ plain: '6' }, 'delay', /polarisers/],
  [{ delay: 'bright', path: '50' }, 'delay', /./],
  [{ largest: '20 m' }, 'largest', /largest size is .* it must be from/],
])('%j is refused at %s', (typed, field, message) => {
  expect(measuredOf({ ...empty, ...typed }, NOT_MEASURED, METRIC)).toEqual({ fault: { field, message: expect.stringMatching(message) } });
});

test('is told in a few words', () => {
  expect(measuredWords(before, METRIC)).toBe(
    '31.2 mm down, 201 mm at its largest, 6.1 mm at its thickest, cone 017 bent 42°, 138 nm through 51.2 mm of a plain piece 4 mm thick',
  );
  expect(measuredWords({ ...NOT_MEASURED, cone: { cone: '017', bent_deg: 150 } }, METRIC)).toMatch(/tells no figure/);
});
