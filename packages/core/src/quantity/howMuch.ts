/** How much glass cavities ask for, by what was measured of them; or how far an amount of glass fills them. */
import { type Outcome, found, refused } from '../problem';
import { type Hollow, levelOf, lined, volumeOf } from './hollow';

/** Of water at 20 °C, kg/m³. */
export const WATER_kg_m3 = 998.2;

/** One cavity, or several alike: of a mould, a sprue, a reservoir. */
export type Cavity = { count: number } & (
  | { by: 'size'; hollow: Hollow; liner_m?: number }
  /** Water that was poured in, and what a dry porous mould drank of it. */
  | { by: 'water'; poured_kg: number; drunk_kg?: number }
  /** What a model of it weighs, of wax or clay. */
  | { by: 'model'; model_kg: number; density_kg_m3: number }
);

export interface HowMuch {
  /** Of the glass, kg/m³. */
  density_kg_m3: number;
  cavities: readonly Cavity[];
  /** What stays in a pot, on a grid or at a rim, kg. */
  stays_kg?: number;
  /** What there is, kg: how far does that go? */
  have_kg?: number;
}

export interface HowMuchTold {
  /** Of each cavity, all of its count together. */
  cavities: { volume_m3: number; mass_kg: number }[];
  volume_m3: number;
  /** To fill them all, with what stays, kg. */
  total_kg: number;
  /** Of what there is: what is missing, kg, negative where it is too much; and of a single kind of hollow how high each is filled, m. */
  filled: { missing_kg: number; level_m: number | null } | null;
}

function volumeEach(cavity: Cavity, path: string): Outcome<number> {
  switch (cavity.by) {
    case 'size': {
      const left = lined(cavity.hollow, cavity.liner_m ?? 0);
      return left ? found(volumeOf(left)) : refused('too-thick', `${path}.liner_m`, 'Such a liner leaves nothing of the hollow.');
    }
    case 'water': {
      const held_kg = cavity.poured_kg - (cavity.drunk_kg ?? 0);
      if (held_kg > 0) return found(held_kg / WATER_kg_m3);
      return refused('too-much', `${path}.drunk_kg`, 'The mould cannot have drunk all of the water: weigh it dry and wet.');
    }
    case 'model':
      return found(cavity.model_kg / cavity.density_kg_m3);
  }
}

/** Every hollow of the one kind that there is, filled alike by what is left once the pot or rim has kept its own. */
function levelBy({ cavities: [only, ...others], density_kg_m3, stays_kg = 0 }: HowMuch, have_kg: number): number | null {
  if (!only || others.length > 0 || only.by !== 'size') return null;
  const left = lined(only.hollow, only.liner_m ?? 0);
  return left && levelOf(left, Math.max(have_kg - stays_kg, 0) / density_kg_m3 / only.count);
}

export function howMuch(asked: HowMuch): Outcome<HowMuchTold> {
  const { density_kg_m3, stays_kg = 0, have_kg } = asked;
  const cavities: HowMuchTold['cavities'] = [];
  for (const [i, cavity] of asked.cavities.entries()) {
    const each = volumeEach(cavity, `cavities.${i}`);
    if (!each.ok) return each;
    const volume_m3 = each.value * cavity.count;
    cavities.push({ volume_m3, mass_kg: volume_m3 * density_kg_m3 });
  }
  const volume_m3 = cavities.reduce((sum, one) => sum + one.volume_m3, 0);
  const total_kg = volume_m3 * density_kg_m3 + stays_kg;
  return found({
    ...{ cavities, volume_m3, total_kg },
    filled: have_kg === undefined ? null : { missing_kg: total_kg - have_kg, level_m: levelBy(asked, have_kg) },
  });
}
