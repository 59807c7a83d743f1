/** What is between glass and shelf, by what it bears. */
import { type Coat, RELEASE_KINDS } from '../release/coat';
import { z } from 'zod';
import { oneOf, quantity } from './quantity';
import { schemaFor } from './schemaFor';

export const coatFields = {
  kind: oneOf('Kind', RELEASE_KINDS),
  weight_kg_m2: quantity('Weight', 'kg/m²', 0.01, 20).optional(),
  top_C: quantity('Hottest it can go', '°C', 100, 1700),
  pace_K_per_s: quantity('Pace while its binder leaves', 'K/s', 0.001, 0.6).optional(),
  paceTo_C: quantity('Where its binder has left', '°C', 100, 700).optional(),
};
export const CoatSchema = schemaFor<Coat>()(z.strictObject(coatFields).meta({ id: 'ReleaseFigures' }));
