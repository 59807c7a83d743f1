import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { TYPICAL_KILN } from '@torvin/core/kiln';
import { METRIC, type Units } from '@torvin/core/units';
import type { Kiln } from '@torvin/schema';
import { fieldOfConversion, ratesOf, readCone, readSameWork, readWritten } from './conversionEntry';

const INCHES: Units = { temperature: 'F', length: 'in', mass: 'oz' };
const [glass] = TYPICAL_FAMILIES;
const kiln = (id: string, more: Partial<Kiln> = {}): Kiln => ({ ...TYPICAL_KILN, id, name: id, version: 1, ...more }) as Kiln;
const work = (typed: Record<string, string>, units = METRIC, kilns: Kiln[] = []) => readSameWork(typed, units, glass, kilns);

test('what is written is asked as it stands, in the units of the studio', () => {
  expect(readWritten({ text: ' 3/8 in ' }, INCHES).value).toEqual({ kind: 'written', text: '3/8 in', units: INCHES });
  expect(readWritten({}, METRIC)).toMatchObject({ value: null, missing: ['figure to convert'] });
  expect(readWritten({ text: '9'.repeat(90) }, METRIC)).toMatchObject({ value: null, problems: { text: expect.any(String) } });
});

test('a hold and where it is to be done: each in its own kiln, as fast as that is where no climb is typed', () => {
  const slow = kiln('slow', { power_K_per_s: TYPICAL_KILN.power_K_per_s * 0.8, offset_K: 7 });
  const typed = { wasAt: '790', wasHold: '10', willAt: '1427 F', willKiln: 'slow', wasUp: '200' };
  const { value } = work(typed, METRIC, [slow]);
  expect(value).toMatchObject({ kind: 'sameWork', from: { at_C: 790, hold_s: 600, up_C_per_h: 200, readsOver_K: 0 }, to: { find: 'hold', readsOver_K: 7 } });
  expect(value?.to).toMatchObject({ at_C: expect.closeTo(775, 9), ...ratesOf(slow, 775) });
  expect(ratesOf(slow, 775).up_C_per_h).toBeLessThan(ratesOf(TYPICAL_KILN, 775).up_C_per_h);
  // A kiln that was taken off the shelf is any kiln.
  expect(work(typed, METRIC, []).value?.to).toMatchObject({ readsOver_K: 0 });
  expect(work({ ...typed, find: 'temperature', willHold: '1:30' }).value?.to).toMatchObject({ find: 'temperature', hold_s: 5400 });
});

test('what is missing is named, what is out of range is said in the units of the studio', () => {
  expect(work({}).missing).toEqual(['temperature that it was', 'hold that it was', 'new temperature']);
  expect(work({ wasAt: '100', wasHold: '10', willAt: '780' }).problems.wasAt).toMatch(/from 300 °C to 1700 °C/);
  expect(work({ wasAt: '100', wasHold: '10', willAt: '780' }, INCHES).problems.wasAt).toMatch(/from 572 °F to 3092 °F/);
  expect(work({ wasAt: '1,450', wasHold: '10', willAt: '780' }, INCHES).problems.wasAt).toMatch(/two ways/);
  expect(work({ wasAt: '790', wasHold: '10', willAt: '780', willUp: 'full' }).problems.willUp).toMatch(/no figure: enter the rate/);
  expect(fieldOfConversion('to.hold_s')).toBe('willHold');
});

test('a cone by its climb and hold, or where it bends', () => {
  expect(readCone({ coneAt: '1000', coneRate: '100', coneHold: '15' }, METRIC).value).toEqual({
    of: 'reached',
    target_C: 1000,
    rate_C_per_h: 100,
    hold_s: 900,
  });
  expect(readCone({ coneWay: 'bends', cone: '04', coneRate: '108 F/h' }, METRIC).value).toEqual({
    of: 'bends',
    cone: '04',
    rate_C_per_h: expect.closeTo(60, 9),
  });
  expect(readCone({ coneWay: 'bends', cone: '22' }, METRIC)).toMatchObject({ value: null, missing: ['rate of the last hours'] });
});
