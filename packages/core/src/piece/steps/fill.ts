import { formatMass, text } from '../../units/format';
import type { HandStep } from '../handStep';
import { fillSpot } from '../handSteps';
import { type BenchKind, long } from './step';

/** Grains or a chip put into a spot, as where a bubble opened. */
export type FillStep = HandStep & { kind: 'fill'; glassId: string; mass_kg: number; spot_m: number };

export const FILL_RANGE_KG = { least: 1e-6, most: 1 } as const;
export const SPOT_RANGE_M = { least: 0.001, most: 0.5 } as const;

export const fill: BenchKind<FillStep> = {
  name: 'Fill',
  // A pinhole, and a heap on it that sinks in.
  usual: ({ glassId }) => ({ glassId, mass_kg: 0.0001, spot_m: 0.004 }),
  fields: [
    { as: 'length', key: 'spot_m', label: 'spot', name: 'The spot', range: SPOT_RANGE_M, testID: 'spot' },
    { as: 'mass', key: 'mass_kg', label: 'of', name: 'The fill', range: FILL_RANGE_KG, testID: 'fill-mass' },
    { as: 'glass', key: 'glassId', form: 'frit' },
  ],
  words: ({ mass_kg, spot_m }, units) => `${text(formatMass(mass_kg, units.mass))} in a spot of ${long(spot_m, units)}`,
  applies: fillSpot,
  caution: 'Grains and powder are dust: a respirator, and wipe up wet.',
};
