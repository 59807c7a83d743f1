/**
 * Whether glass comes free of what it took its shape from. Glass and mould go separate ways from where the glass sets, at
 * 10^13 Pa·s: gap at room temperature = (α_glass − α_mould)·(T_set − 20)·size. Positive frees glass from a hollow; over a
 * former the same shrinkage grips. Reheating past T_set opens a grip; cold tightens it. Draft, release and roughness count
 * besides, and plaster-silica shrinks and inverts of itself: its figure is a first guess only.
 */
import { ROOM_C } from '../units/physical';
import type { GlassConstants } from '../glass/constants';
import { settingPoint } from '../fit/seal';

export type MouldMaterial =
  'cordierite' | 'earthenware' | 'stoneware' | 'stainless' | 'mildSteel' | 'plasterSilica' | 'fusedSilica' | 'alumina' | 'vermiculite';

/** Typical expansion, 1/K, and what to know of it. */
export const MOULD_MATERIALS: Record<MouldMaterial, { name: string; expansion_perK: number; note?: string }> = {
  cordierite: { name: 'Cordierite-mullite', expansion_perK: 3e-6 },
  earthenware: { name: 'Earthenware bisque', expansion_perK: 6.5e-6 },
  stoneware: { name: 'Stoneware', expansion_perK: 5e-6 },
  stainless: { name: 'Stainless steel', expansion_perK: 18e-6 },
  mildSteel: { name: 'Mild steel', expansion_perK: 13e-6 },
  plasterSilica: { name: 'Plaster-silica investment', expansion_perK: 11e-6, note: 'shrinks and inverts besides: judge by use' },
  fusedSilica: { name: 'Fused-silica castable', expansion_perK: 0.7e-6 },
  alumina: { name: 'Alumina', expansion_perK: 8e-6 },
  vermiculite: { name: 'Vermiculite board', expansion_perK: 8e-6 },
};

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
