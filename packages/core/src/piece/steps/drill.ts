import type { HandStep } from '../handStep';
import { drillBody } from '../handSteps';
import { type BenchKind, long } from './step';

export type DrillStep = HandStep & { kind: 'drill'; hole_m: number; count: number };

export const HOLE_RANGE_M = { least: 0.001, most: 0.2 } as const;
export const HOLES_RANGE = { least: 1, most: 100 } as const;

export const drill: BenchKind<DrillStep> = {
  name: 'Drill',
  usual: () => ({ hole_m: 0.006, count: 1 }),
  fields: [
    { as: 'length', key: 'hole_m', label: 'across', name: 'The hole', range: HOLE_RANGE_M, testID: 'hole' },
    { as: 'count', key: 'count', label: 'number', name: 'The number of holes', range: HOLES_RANGE, testID: 'holes' },
  ],
  words: ({ hole_m, count }, units) => `${count} × ${long(hole_m, units)}`,
  applies: (now, { hole_m, count }, glasses) => drillBody(now, hole_m, count, glasses),
  caution: 'Drill wet, slowly, with the glass held on wood; eye protection, electricity away from the water, lift before the core breaks through.',
};
