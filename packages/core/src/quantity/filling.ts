/**
 * How far an amount of glass fills what holds it: a dam, a ring, a box, a trough. Its depth; whether it runs together and out to the rim;
 * what a heap of grains comes to before and after; what mass is to be taken next where the rim did not fill.
 *
 * On a primed floor hot glass rests at its natural depth h0. It does not leave a place at once that it wets by less: a rim that draws back
 * stops at its receding angle (contact angle hysteresis; de Gennes 1985, Rev. Mod. Phys. 57, 827), so at h_r < h0. Glass that is shallower than
 * h_r covers V/h_r and leaves the rest bare; between the two it may stay or draw back a little, and from h0 on it is full.
 */
import { naturalDepth, RECEDES_AT } from '../body/body';
import { footprintArea, footprintPerimeter, insetBy } from '../body/footprint';
import type { GlassConstants } from '../glass/constants';
import { type Outcome, found, refused } from '../problem';
import { STANDARD_GRAVITY_m_s2 } from '../units/physical';
import { type Hollow, levelOf, lined, surfaceAt, volumeOf } from './hollow';

/** What it is filled with. */
export type Filler =
  | { by: 'mass'; mass_kg: number }
  /** Pieces sawn off a slab, set side by side: how deep they stand and what share of the floor they cover. */
  | { by: 'segments'; depth_m: number; cover: number }
  /** Loose grains up to the rim; how much of their bulk is glass. */
  | { by: 'grains'; packing: number };

export interface Filling {
  glass: GlassConstants;
  hollow: Hollow;
  liner_m?: number;
  filler: Filler;
  /** How much of their bulk is glass where a mass is poured in as grains; it lies flat where left out. */
  packing?: number;
  /** How hot it will have been, 1/Pa: does a heap run level? */
  work_perPa?: number;
  /** What was taken last time, and how far it then stood back from the rim all round. */
  last?: { mass_kg: number; back_m: number };
}

/** full: to the wall all round. wavers: full, but a cold side may stay back. scallops: draws back from the wall. pools: runs apart. */
export type RimAs = 'full' | 'wavers' | 'scallops' | 'pools';

export interface FillingTold {
  mass_kg: number;
  /** In the hollow, run level; null where it runs over. */
  level_m: number | null;
  /** What runs over, kg; negative: what is missing to the rim. */
  over_kg: number;
  natural_m: number;
  /** Share of a level floor that it covers once it is at rest; 1 in what narrows downwards. */
  covers: number;
  back_m: number;
  rim: RimAs;
  /** Cold, of grains: how high they stand over the rim at their steepest; null where they lie below it or cannot be heaped so high. */
  heap: {
    overRim_m: number;
    /** Once it has melted: how much deeper the middle is than the rim, m; null where no work was told. */ crown_m: number | null;
  } | null;
  /** Times that it has to be filled up, sunk in between: 0 where all goes in at once. */
  refills: number;
  /** By what happened last time. */
  next_kg: number | null;
}

/** Grains do not heap up steeper: the tangent of about 33 degrees. */
const HEAP_SLOPE = 0.65;
/** With less of its floor covered it lies apart rather than drawn back. */
const APART_BELOW = 0.7;

const isLevel = (hollow: Hollow): hollow is Extract<Hollow, { kind: 'straight' }> => hollow.kind === 'straight';

/** How far a shrinking floor draws back all round for an area to be left of it, m. */
function drawsBack(hollow: Hollow, share: number): number {
  if (share >= 1 || !isLevel(hollow)) return 0;
  const area = surfaceAt(hollow, 0);
  let [low, high] = [0, area / footprintPerimeter(hollow.outline) + Math.sqrt(area)];
  for (let i = 0; i < 60; i++) {
    const by = (low + high) / 2;
    if (leftInside(hollow, by) > share * area) low = by;
    else high = by;
  }
  return low;
}

function leftInside(hollow: Extract<Hollow, { kind: 'straight' }>, by_m: number): number {
  const inside = insetBy(hollow.outline, by_m);
  switch (inside.shape) {
    case 'rectangle':
    case 'oval':
      return inside.width_m > 0 && inside.length_m > 0 ? footprintArea(inside) : 0;
    case 'disc':
      return inside.diameter_m > 0 ? footprintArea(inside) : 0;
    case 'ring':
      return Math.max(footprintArea(inside), 0);
    case 'polygon':
      return footprintArea(inside);
  }
}

/** The opening as a rectangle, or as a disc of its area: what a heap stands on. */
function heapsOn(hollow: Hollow): { width_m: number; length_m: number | null } {
  const area = surfaceAt(hollow, hollow.depth_m);
  if (hollow.kind === 'straight' && hollow.outline.shape === 'rectangle') {
    const { width_m, length_m } = hollow.outline;
    return { width_m: Math.min(width_m, length_m), length_m: Math.max(width_m, length_m) };
  }
  if (hollow.kind === 'vTrough' || hollow.kind === 'roundTrough')
    return { width_m: Math.min(hollow.width_m, hollow.length_m), length_m: Math.max(hollow.width_m, hollow.length_m) };
  // Round a ring it is a ridge without ends.
  if (hollow.kind === 'straight' && hollow.outline.shape === 'ring')
    return { width_m: (hollow.outline.diameter_m - hollow.outline.inner_m) / 2, length_m: Infinity };
  return { width_m: Math.sqrt((4 * area) / Math.PI), length_m: null };
}

/** Volume of a heap at its steepest up to a height, m³: a cone or a hipped roof, cut off there. */
export function heapUpTo(hollow: Hollow, height_m: number): number {
  const { width_m, length_m } = heapsOn(hollow);
  const h = Math.min(height_m, (HEAP_SLOPE * width_m) / 2);
  const in_m = h / HEAP_SLOPE;
  if (length_m === null) {
    const [low, high] = [width_m / 2, width_m / 2 - in_m];
    return ((Math.PI * h) / 3) * (low ** 2 + low * high + high ** 2);
  }
  if (!Number.isFinite(length_m)) return surfaceAt(hollow, hollow.depth_m) * h * (1 - in_m / width_m);
  return h * (width_m * length_m - (width_m + length_m) * in_m + (4 / 3) * in_m ** 2);
}

const heapHighest = (hollow: Hollow): number => (HEAP_SLOPE * heapsOn(hollow).width_m) / 2;

function heapHeight(hollow: Hollow, volume_m3: number): number {
  let [low, high] = [0, heapHighest(hollow)];
  for (let i = 0; i < 60; i++) {
    const h = (low + high) / 2;
    if (heapUpTo(hollow, h) < volume_m3) low = h;
    else high = h;
  }
  return low;
}

/**
 * What is left of a heap after some heat work, as a share: a wave as wide as the hollow levels as exp(−ρgh³k²W/3), k = π over the half width
 * (lubrication theory; Orchard 1962, Appl. Sci. Res. A 11, 451).
 */
export const heapLeft = ({ density_kg_m3 }: GlassConstants, depth_m: number, width_m: number, work_perPa: number): number =>
  Math.exp((-density_kg_m3 * STANDARD_GRAVITY_m_s2 * depth_m ** 3 * ((2 * Math.PI) / width_m) ** 2 * work_perPa) / 3);

function massOf(filler: Filler, hollow: Hollow, density_kg_m3: number): Outcome<number> {
  switch (filler.by) {
    case 'mass':
      return found(filler.mass_kg);
    case 'segments':
      return isLevel(hollow)
        ? found(surfaceAt(hollow, 0) * filler.cover * filler.depth_m * density_kg_m3)
        : refused('no-floor', 'filler.by', 'Segments stand on a level floor: tell the mass of what goes into this one.');
    case 'grains':
      return found(volumeOf(hollow) * filler.packing * density_kg_m3);
  }
}

export function filling(asked: Filling): Outcome<FillingTold> {
  const { glass, filler, packing, work_perPa, last } = asked;
  const { density_kg_m3 } = glass;
  const hollow = lined(asked.hollow, asked.liner_m ?? 0);
  if (!hollow) return refused('too-thick', 'liner_m', 'Such a liner leaves nothing of the hollow.');
  const mass = massOf(filler, hollow, density_kg_m3);
  if (!mass.ok) return mass;
  const volume_m3 = mass.value / density_kg_m3;
  const holds_m3 = volumeOf(hollow);
  const natural_m = naturalDepth(glass);
  const flat = isLevel(hollow);
  const mean_m = volume_m3 / surfaceAt(hollow, flat ? 0 : hollow.depth_m);
  const covers = flat ? Math.min(1, mean_m / (RECEDES_AT * natural_m)) : 1;
  const grains = filler.by === 'grains' ? filler.packing : packing;
  const loose_m3 = grains === undefined ? 0 : volume_m3 / grains;
  const aboveRim_m3 = Math.max(loose_m3 - holds_m3, 0);
  const highest_m3 = heapUpTo(hollow, heapHighest(hollow));
  const overRim_m = heapHeight(hollow, aboveRim_m3);
  // Of what is heaped only its bulk over the mean stands higher than the rim once it is glass.
  const crown_m = grains === undefined || work_perPa === undefined ? null : overRim_m * grains * heapLeft(glass, mean_m, heapsOn(hollow).width_m, work_perPa);
  return found({
    ...{ mass_kg: mass.value, level_m: levelOf(hollow, volume_m3), over_kg: (volume_m3 - holds_m3) * density_kg_m3, natural_m, covers },
    back_m: flat ? drawsBack(hollow, covers) : 0,
    rim: !flat || mean_m >= natural_m ? 'full' : covers >= 1 ? 'wavers' : covers >= APART_BELOW ? 'scallops' : 'pools',
    heap: aboveRim_m3 > 0 && aboveRim_m3 <= highest_m3 ? { overRim_m, crown_m } : null,
    refills: grains === undefined ? 0 : refillsFor(volume_m3, holds_m3, highest_m3, grains),
    next_kg: last ? nextMass(hollow, last) : null,
  });
}

/** Grains go in as high as they heap; each time they have sunk there is room for more of them. */
function refillsFor(volume_m3: number, holds_m3: number, heap_m3: number, packing: number): number {
  let [inside, times] = [0, 0];
  while (inside < volume_m3 * (1 - 1e-9) && times < REFILLS_AT_MOST) {
    const more = Math.min((holds_m3 - inside + heap_m3) * packing, volume_m3 - inside);
    if (more <= volume_m3 * 1e-6) break;
    inside += more;
    times++;
  }
  return Math.max(times - 1, 0);
}

const REFILLS_AT_MOST = 20;

/** The glass stood as deep as it does where it draws back: so much more covers what stayed bare. */
function nextMass(hollow: Hollow, { mass_kg, back_m }: { mass_kg: number; back_m: number }): number | null {
  if (!isLevel(hollow)) return null;
  const covered = leftInside(hollow, back_m);
  return covered > 0 ? (mass_kg * surfaceAt(hollow, 0)) / covered : null;
}
