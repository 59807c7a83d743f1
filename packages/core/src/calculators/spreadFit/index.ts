import { type SpreadReading, fitSpread } from '../../kiln/fitSpread';
import { valueOf } from '../../problem';
import { calculator } from '../calculator';

/** What two thermocouples at the glass say of set-up and speed. */
export const spreadFit = calculator({
  compute: ({ readings, limit_K }: { readings: SpreadReading[]; limit_K: number }) => valueOf(fitSpread(readings, limit_K)),
  contract: () => import('./contract'),
});
