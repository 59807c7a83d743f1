import { SOFT_90 } from '../testCases';
import { greatestTension, stressRead } from './measured';
import { retardation } from './polariser';

test('a stress that was read is the one that delays light so much', () => {
  const path_m = 0.06;
  expect(stressRead(SOFT_90, { retardation_nm: retardation(SOFT_90, 1.2e6, path_m), path_m })).toBeCloseTo(1.2e6, 3);
  // Physics of a plate looked through for 100 mm: 1 MPa is some 270 nm.
  expect(stressRead(SOFT_90, { retardation_nm: 270, path_m: 0.1 }) / 1e6).toBeCloseTo(1, 1);
});

test('the greatest tension is that of the middle, and none where all is pressed', () => {
  expect(greatestTension([{ stress_Pa: -8 }, { stress_Pa: 4 }, { stress_Pa: -8 }])).toBe(4);
  expect(greatestTension([{ stress_Pa: -1 }])).toBe(0);
});
