import { DEFAULT_LIMITS } from './limits';
import { STUDIO_LIMITS, STUDIO_LIMIT_NAMES, bolderLimits, bolderSentences, limitsOf } from './studioLimits';

test('what a studio does not set is as it ships', () => {
  expect(limitsOf()).toEqual(DEFAULT_LIMITS);
  expect(limitsOf({ residual_Pa: 5e5 })).toEqual({ ...DEFAULT_LIMITS, residual_Pa: 5e5 });
});

test('thick work is never opened hotter than usual work', () => {
  expect(limitsOf({ open_C: 40 })).toMatchObject({ open_C: 40, openThick_C: 40 });
  expect(limitsOf({ openThick_C: 120 })).toMatchObject({ open_C: 90, openThick_C: 90 });
});

test('what ships lies within the range of each, and only what allows more is bolder', () => {
  for (const name of STUDIO_LIMIT_NAMES) {
    const { least, most } = STUDIO_LIMITS[name];
    expect(DEFAULT_LIMITS[name]).toBeGreaterThan(least);
    expect(DEFAULT_LIMITS[name]).toBeLessThan(most);
    expect(bolderLimits({ [name]: DEFAULT_LIMITS[name] })).toEqual([]);
    expect(bolderLimits({ [name]: least })).toEqual([]);
  }
  expect(bolderLimits({ residual_Pa: 2e6, even_K: 0.5, open_C: 110 })).toEqual(['residual_Pa', 'open_C']);
});

test('limits that allow more are said with the schedule', () => {
  expect(bolderSentences(DEFAULT_LIMITS)).toEqual([]);
  expect(bolderSentences({ ...DEFAULT_LIMITS, residual_Pa: 2e6, open_C: 110 })).toEqual([
    'Its limits allow more than is usual: tension left, opening of usual work.',
  ]);
});
