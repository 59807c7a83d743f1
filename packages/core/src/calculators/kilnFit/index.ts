import { type KilnReading, fitKiln } from '../../kiln/fitKiln';
import { valueOf } from '../../problem';
import { calculator } from '../calculator';

/** A kiln's constants from a test. */
export const kilnFit = calculator({
  compute: ({ readings, ambient_C }: { readings: KilnReading[]; ambient_C: number }) => valueOf(fitKiln(readings, ambient_C)),
  contract: () => import('./contract'),
});
