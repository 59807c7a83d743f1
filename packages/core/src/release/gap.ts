/**
 * Whether glass comes free of what it took its shape from. Glass and mould go separate ways from where the glass sets, at
 * 10^13 Pa·s: gap at room temperature = (α_glass − α_mould)·(T_set − 20)·size. Positive frees glass from a hollow; over a
 * former the same shrinkage grips. Reheating past T_set opens a grip; cold tightens it. Draft, release and roughness count
 * besides, and plaster-silica shrinks and inverts of itself: its figure is a first guess only.
 */
import { ROOM_C } from '../units/physical';
import type { GlassConstants } from '../glass/constants';
import { settingPoint } from '../fit/seal';

export interface Release {
  /** How much smaller than the mould the glass has become across the size, m; negative where it is bigger. */
  gap_m: number;
  comesFree: boolean;
  /** Temperature above which a grip has opened again, °C. */
  grips_below_C: number;
}

export function release(glass: GlassConstants, mouldExpansion_perK: number, size_m: number, kind: 'hollow' | 'former'): Release {
  const set_C = settingPoint(glass);
  const gap_m = (glass.expansion_perK - mouldExpansion_perK) * (set_C - ROOM_C) * size_m;
  return { gap_m, comesFree: kind === 'hollow' ? gap_m > 0 : gap_m < 0, grips_below_C: set_C };
}
