/** How much glass cavities ask for, by what was measured of them; or how far an amount of glass fills them. */
import { type Outcome, found, refused } from '../problem';
import { WATER_kg_m3 } from '../units/physical';
import { type LaidCold, type Stack, layCold, stackFor } from './cold';
import { type Hollow, heldTo, levelOf, lined, volumeOf } from './hollow';
import { type InStock, type Stock, inStock, toTake } from './stock';

/** One cavity, or several alike: of a mould, a sprue, a reservoir. */
export type Cavity = { count: number } &
  /** to_m: how deep the glass is to lie in it, over the liner; to the rim where left out. */
  (
    | { by: 'size'; hollow: Hollow; liner_m?: number; to_m?: number }
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
  stock?: Stock;
  /** Strips to be stacked in a trough: how thick, and how much shorter than it at each end. */
  strips?: { thickness_m: number; ends_m: number };
}

export interface HowMuchTold {
  /** Of each cavity, all of its count together; depth_m: how deep the glass lies, where that was told by size. */
  cavities: { volume_m3: number; mass_kg: number; depth_m: number | null }[];
  volume_m3: number;
  /** To fill them all, with what stays, kg. */
  total_kg: number;
  /** Of what there is: what is missing, kg, negative where it is too much; and of a single kind of hollow how high each is filled, m. */
  filled: { missing_kg: number; level_m: number | null } | null;
  stock: InStock;
  /** Its billets laid into the only hollow that there is; null where they do not go in or cannot be told. */
  cold: LaidCold | null;
  stack: Stack | null;
}

/** What is left of a hollow by its liner, to the depth that is asked of it. */
function room({ hollow, liner_m = 0, to_m }: Extract<Cavity, { by: 'size' }>, path: string): Outcome<{ left: Hollow; depth_m: number; volume_m3: number }> {
  const left = lined(hollow, liner_m);
  if (!left) return refused('too-thick', `${path}.liner_m`, 'Such a liner leaves nothing of the hollow.');
  if (to_m === undefined) return found({ left, depth_m: left.depth_m, volume_m3: volumeOf(left) });
  if (to_m > left.depth_m * (1 + 1e-9))
    return refused('too-deep', `${path}.to_m`, 'So deep it runs over: what is left of the hollow over its liner is shallower. Name less, or leave it empty.');
  const depth_m = Math.min(to_m, left.depth_m);
  return found({ left, depth_m, volume_m3: heldTo(left, depth_m) });
}

function volumeEach(cavity: Cavity, path: string): Outcome<{ volume_m3: number; depth_m: number | null }> {
  switch (cavity.by) {
    case 'size': {
      const has = room(cavity, path);
      return has.ok ? found(has.value) : has;
    }
    case 'water': {
      const held_kg = cavity.poured_kg - (cavity.drunk_kg ?? 0);
      if (held_kg > 0) return found({ volume_m3: held_kg / WATER_kg_m3, depth_m: null });
      return refused('too-much', `${path}.drunk_kg`, 'The mould cannot have drunk all of the water: weigh it dry and wet.');
    }
    case 'model':
      return found({ volume_m3: cavity.model_kg / cavity.density_kg_m3, depth_m: null });
  }
}

/** Of the hollows where there is but one kind of them. */
function onlyRoom({ cavities: [only, ...others] }: HowMuch): { left: Hollow; count: number; volume_m3: number } | null {
  if (!only || others.length > 0 || only.by !== 'size') return null;
  const has = room(only, '');
  return has.ok ? { left: has.value.left, volume_m3: has.value.volume_m3, count: only.count } : null;
}

export function howMuch(asked: HowMuch): Outcome<HowMuchTold> {
  const { density_kg_m3, stays_kg = 0, have_kg, stock = {}, strips } = asked;
  const cavities: HowMuchTold['cavities'] = [];
  for (const [i, cavity] of asked.cavities.entries()) {
    const each = volumeEach(cavity, `cavities.${i}`);
    if (!each.ok) return each;
    const volume_m3 = each.value.volume_m3 * cavity.count;
    cavities.push({ volume_m3, mass_kg: volume_m3 * density_kg_m3, depth_m: each.value.depth_m });
  }
  const volume_m3 = cavities.reduce((sum, one) => sum + one.volume_m3, 0);
  const total_kg = volume_m3 * density_kg_m3 + stays_kg;
  const only = onlyRoom(asked);
  const level = (kg: number): number | null => (only ? levelOf(only.left, Math.max(kg - stays_kg, 0) / density_kg_m3 / only.count) : null);
  const { billet } = stock;
  return found({
    ...{ cavities, volume_m3, total_kg, stock: inStock(total_kg, density_kg_m3, stock) },
    filled: have_kg === undefined ? null : { missing_kg: total_kg - have_kg, level_m: level(have_kg) },
    cold: only && billet ? layCold(only.left, billet, toTake(inStock(only.volume_m3 * density_kg_m3, density_kg_m3, { billet }).billets ?? 0)) : null,
    stack: only && strips ? stackFor(only.left, only.volume_m3, strips.thickness_m, strips.ends_m) : null,
  });
}
