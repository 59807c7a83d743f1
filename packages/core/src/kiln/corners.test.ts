import { cornersOf } from './corners';

test('a curve has a corner where each ramp ends and where each hold does, in time order', () => {
  const segments = [
    { role: 'warmUp' as const, rate_C_per_h: 500, target_C: 520, hold_s: 0 },
    { role: 'work' as const, rate_C_per_h: 300, target_C: 650, hold_s: 600 },
    { role: 'drop' as const, rate_C_per_h: null, target_C: 515, hold_s: 3000 },
  ];
  expect(cornersOf(segments, [3600, 5400, 9000], 20)).toEqual([
    { t_s: 0, at_C: 20 },
    { t_s: 3600, at_C: 520 },
    { t_s: 3600, at_C: 520 },
    { t_s: 4800, at_C: 650 },
    { t_s: 5400, at_C: 650 },
    { t_s: 6000, at_C: 515 },
    { t_s: 9000, at_C: 515 },
  ]);
});
