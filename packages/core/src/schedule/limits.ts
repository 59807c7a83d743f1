/** What a firing must keep to. Each is an editable input; a reserve is the factor by which compose stays under. */
import { type AirPocket, TYPICAL_POCKET } from '../flow/squeeze';
import { TYPICAL_GAP_M } from '../heat/airGaps';
import { HELD_SHARE } from '../heat/thermalTension';
import { type LookWorks, TYPICAL_WORKS } from '../look/works';

export interface Limits {
  /** Tension that brittle glass may bear on the way, Pa. */
  pull_Pa: number;
  pullReserve: number;
  /** The same on the way down of what goes by its field; pullReserve where left out. */
  coolPullReserve?: number;
  /** Share of the straight part of the profile that counts as held; HELD_SHARE where left out, as in what was made before there was one. */
  heldShare?: number;
  /** Through plus across while a difference sets for good, K. */
  setting_K: number;
  /** Of an even plate; what goes by its field needs none. */
  settingReserve: number;
  /** On how far the inside of an uneven body stands above its plane; BULGE_RESERVE where left out. */
  bulgeReserve?: number;
  /** Through plus across while climbing past the brittle range, K. */
  climbing_K: number;
  /** How fast a shelf or mould of 300 mm may be warmed, °C/h; not held against anything where left out, as in what was made before. */
  shelf_C_per_h?: number;
  /** Through plus across before the first cool may start, K. */
  even_K: number;
  /** Stress relaxation times to pass once even. */
  relaxations: number;
  leastSoak_s: number;
  /** How long practice soaks an even body of 12 mm, s; others by their depth. Not held against anything where left out, as in what was made before. */
  soakOf12mm_s?: number;
  /** Tension left at room temperature by the full model, free to bow, Pa. */
  residual_Pa: number;
  /** Work that each fused look needs on the reference body, 1/Pa. */
  works_perPa: LookWorks;
  /** Seconds of haze at its worst that a firing may be worth. */
  haze_s: number;
  /** Time that a bare coating may spend between setting and sticking, s. */
  coating_s: number;
  pocket: AirPocket;
  /** Air between loose sheets until they sag together, m; TYPICAL_GAP_M where left out. */
  gap_m?: number;
  /** Never open above these, °C: usual work, and work that is thick; from thick_m on it falls from the one to the other. */
  open_C: number;
  openThick_C: number;
  thick_m: number;
}

/** Nobody knows closely how well a mould conducts, and a field in cells is a little low. */
export const BULGE_RESERVE = 1.15;

export const DEFAULT_LIMITS: Limits = {
  pull_Pa: 7e6,
  // Kilns overshoot their rate by about a fifth after a joint, and no two pieces lie alike.
  pullReserve: 1.4,
  // A kiln that is left to cool does not overshoot.
  coolPullReserve: 1.15,
  heldShare: HELD_SHARE,
  setting_K: 5,
  // The closed form sees neither the shelf's heat nor unequal faces; 5 K over 1.75 has held in practice.
  settingReserve: 1.75,
  bulgeReserve: BULGE_RESERVE,
  climbing_K: 25,
  shelf_C_per_h: 280,
  even_K: 1,
  relaxations: 1,
  leastSoak_s: 1800,
  soakOf12mm_s: 3600,
  residual_Pa: 1e6,
  works_perPa: TYPICAL_WORKS,
  // A typical figure without much proof behind it; a glass that hazes easily is given less.
  haze_s: 8 * 3600,
  coating_s: 1500,
  pocket: TYPICAL_POCKET,
  gap_m: TYPICAL_GAP_M,
  open_C: 90,
  openThick_C: 50,
  thick_m: 0.018,
};
