import { fitKilnTimes } from '../../kiln/fitTimes';
import type { KilnTimes } from '../../kiln/times';
import { valueOf } from '../../problem';
import type { TemperatureUnit } from '../../units/convert';
import { calculator } from '../calculator';

/** A kiln's constants from what a clock on the wall tells. */
export const kilnTimes = calculator({
  compute: ({ unit, ...told }: KilnTimes & { unit: TemperatureUnit }) => valueOf(fitKilnTimes(told, unit)),
  contract: () => import('./contract'),
});
