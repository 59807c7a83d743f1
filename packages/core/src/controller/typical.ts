import type { Controller } from './profile';

/** Four controllers of no make that differ in all that controllers differ in; a studio writes its own over them. */
export const TYPICAL_CONTROLLERS: readonly (Controller & { id: string; name: string })[] = [
  {
    ...{ id: 'hour-box', name: 'Hour box', unit: 'C', mostSegments: 11, programs: 3, builtIn: 1 },
    ...{ fullSpeedCode: 4000, mostRate: 2000, holdAs: 'minutes', mostHold_s: 999 * 60, top_C: 1300 },
    ...{ ends: 'done', keepsOld: true, mostDelay_s: 24 * 3600, skips: true, addTime_s: 60, afterCut: 'goesOn' },
  },
  {
    ...{ id: 'counting-box', name: 'Counting box', unit: 'F', mostSegments: 12, programs: 4 },
    ...{ fullSpeedCode: 9999, mostRate: 1999, holdAs: 'point', mostHold_s: (99 * 60 + 59) * 60, top_C: 1260 },
    ...{ ends: 'count', keepsOld: true, mostDelay_s: 99 * 3600, alarms: true, skips: true, addTime_s: 300, addDegrees_K: 25 / 9, afterCut: 'goesOnIfWarm' },
    preset_K_per_s: 150 / 3600,
  },
  {
    ...{ id: 'minute-dial', name: 'Minute dial', unit: 'C', mostSegments: 16, programs: 10, builtIn: 4, order: 'targetFirst' },
    ...{ rateAs: 'perMinute', leastRate: 0.1, mostRate: 20, rateStep: 0.1, fullSpeedCode: 99, fullSpeedDownCode: 0 },
    ...{ holdAs: 'colon', mostHold_s: (23 * 60 + 59) * 60, targetStep: 1, top_C: 1300, ends: 'hold', keepsOld: false },
    ...{ alarms: true, addDegrees_K: 5, reviews: true, afterCut: 'stops' },
  },
  {
    ...{ id: 'way-timer', name: 'Way timer', unit: 'C', mostSegments: 9, programs: 3, order: 'targetFirst' },
    ...{ rateAs: 'minutes', leastRate: 1, mostRate: 5999, fullSpeedCode: 0, holdAs: 'colon', mostHold_s: (99 * 60 + 59) * 60 },
    ...{ targetStep: 5, top_C: 1200, ends: 'zero', keepsOld: true, mostDelay_s: 12 * 3600, skips: true, afterCut: 'stops' },
  },
];
