/**
 * What is fired with no glass in it: a shelf, an empty mould, a form of fibre. Figures are typical and the maker's stand above
 * them. A mould is followed as a slab as thick as its wall on what it stands on, warmed from above: the careful side, since the
 * inside of an open mould sees the kiln too.
 */
import type { BodyInput } from '../body/body';
import type { GlassConstants } from '../glass/constants';
import type { Cone } from './cones';

export const EMPTY_ITEM_NAMES = {
  shelf: 'Shelf',
  plaster: 'Plaster mould',
  castable: 'Castable mould',
  fired: 'Fired clay mould',
  clay: 'Raw clay mould',
  fibre: 'Fibre board or paper',
} as const;
export type EmptyItemKind = keyof typeof EMPTY_ITEM_NAMES;
export const EMPTY_ITEM_KINDS = Object.keys(EMPTY_ITEM_NAMES) as [EmptyItemKind, ...EmptyItemKind[]];

/** One thing to be fired: of what, how thick, how long and how wide, and to which cone where it is fired to one. */
export interface EmptyItem {
  of: EmptyItemKind;
  wall_m: number;
  long_m: number;
  wide_m: number;
  cone?: Cone;
}

interface EmptyItemMaterial {
  conductivity_W_mK: number;
  density_kg_m3: number;
  heatCapacity_J_kgK: number;
  /** What it bears, °C. */
  top_C: number;
  /** How fast a wall of wall_m may be warmed up to past_C, °C/h, and as much slower as it is thicker; by its size alone where left out. */
  pace?: { C_per_h: number; wall_m: number; past_C: number };
  /** How fast it may cool until under_C, °C/h. */
  cools?: { C_per_h: number; under_C: number };
  colour: string;
}

/**
 * Silica of plaster moulds leaps at 220 to 270 and 573 °C; raw clay loses its own water from 450 to 600 and has its quartz leap at 573;
 * a castable's binder gives its water up to 350. Each goes slowly until it is past that.
 */
export const EMPTY_ITEM_MATERIALS: Record<EmptyItemKind, EmptyItemMaterial> = {
  shelf: { conductivity_W_mK: 1.5, density_kg_m3: 2000, heatCapacity_J_kgK: 1050, top_C: 1250, colour: '#C9B79C' },
  plaster: {
    ...{ conductivity_W_mK: 0.45, density_kg_m3: 1150, heatCapacity_J_kgK: 1000, top_C: 900, colour: '#E4E0D6' },
    ...{ pace: { C_per_h: 60, wall_m: 0.025, past_C: 600 }, cools: { C_per_h: 100, under_C: 200 } },
  },
  castable: {
    ...{ conductivity_W_mK: 0.9, density_kg_m3: 2000, heatCapacity_J_kgK: 1000, top_C: 1100, colour: '#BDB5A6' },
    ...{ pace: { C_per_h: 60, wall_m: 0.025, past_C: 400 }, cools: { C_per_h: 150, under_C: 200 } },
  },
  fired: {
    ...{ conductivity_W_mK: 0.9, density_kg_m3: 1850, heatCapacity_J_kgK: 950, top_C: 950, colour: '#D8A98A' },
    ...{ pace: { C_per_h: 200, wall_m: 0.01, past_C: 600 }, cools: { C_per_h: 200, under_C: 200 } },
  },
  clay: {
    ...{ conductivity_W_mK: 0.7, density_kg_m3: 1800, heatCapacity_J_kgK: 1000, top_C: 1150, colour: '#A98A72' },
    ...{ pace: { C_per_h: 80, wall_m: 0.01, past_C: 600 }, cools: { C_per_h: 150, under_C: 500 } },
  },
  fibre: { conductivity_W_mK: 0.12, density_kg_m3: 320, heatCapacity_J_kgK: 1050, top_C: 1100, colour: '#EDEAE2' },
};

/** Walls thinner than the one that a pace is told for are warmed no faster than so many times it. */
const THIN_AT_MOST = 1.5;

/** How fast it may be warmed, °C/h, and up to where; by its size alone where undefined. */
export function emptyItemPace({ of, wall_m }: Pick<EmptyItem, 'of' | 'wall_m'>): { C_per_h: number; past_C: number } | undefined {
  const { pace } = EMPTY_ITEM_MATERIALS[of];
  return pace && { C_per_h: pace.C_per_h * Math.min(THIN_AT_MOST, pace.wall_m / wall_m), past_C: pace.past_C };
}

/** How fast it may cool, °C/h, and until where; as fast as any kiln does where undefined. */
export function emptyItemCooling({ of, wall_m }: Pick<EmptyItem, 'of' | 'wall_m'>): { C_per_h: number; under_C: number } | undefined {
  const { pace, cools } = EMPTY_ITEM_MATERIALS[of];
  return pace && cools && { C_per_h: cools.C_per_h * Math.min(THIN_AT_MOST, pace.wall_m / wall_m), under_C: cools.under_C };
}

/**
 * What heat is followed through in the place of glass: with the ware's own heat constants, stiff at every heat that a kiln reaches
 * and pulled by no difference, so that nothing is told of it but temperatures.
 */
export function inertAs(of: EmptyItemKind): GlassConstants {
  const { conductivity_W_mK, density_kg_m3, heatCapacity_J_kgK } = EMPTY_ITEM_MATERIALS[of];
  return {
    ...{ conductivity_W_mK, density_kg_m3, heatCapacity_J_kgK },
    ...{ expansion_perK: 1e-6, annealing_C: 3000, softening_C: 3500, youngs_Pa: 0, poisson: 0.2, surfaceTension_N_m: 0.3 },
  };
}

export const emptyItemBody = (item: EmptyItem): BodyInput & { joined: true } => ({
  glasses: [inertAs(item.of)],
  layers: [{ form: 'sheet', glass: 0, thickness_m: item.wall_m }],
  footprint: { shape: 'rectangle', width_m: Math.min(item.wide_m, item.long_m), length_m: Math.max(item.wide_m, item.long_m) },
  joined: true,
});
