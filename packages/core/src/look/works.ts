/** How much heat work looks take: calibrated on one reference body, and how it scales from there. */
import { type BodyInput, bodyDepth, mainGlass, openEdge } from '../body/body';
import type { WorkRange } from '../flow/heatWork';
import { reliefRate } from '../flow/relief';

/** Layers fused before are one solid. */
export type MaybeJoined = BodyInput & { joined?: boolean };

/** Looks that were told after the first ones: what was made before does not name them, and goes by what is typical. */
export type LaterLook = 'stick' | 'lace' | 'wafer' | 'cast';

/** Heat work that each look by edges, skin or grain needs on the reference body, 1/Pa. */
export type LookWorks = Record<'firePolish' | 'tack' | 'contour' | 'fullFuse' | 'slabFlow', WorkRange> & Partial<Record<LaterLook, WorkRange>>;

/**
 * Calibrated on the reference body, ramps included, to what practice fires soft sheet 90 at: stuck with crisp edges from 690 °C for
 * 15 min to 715 for 8, fire polish from 715 °C for 10 min to 740 for 10, tack from 720 for 20 to 765 for 5, contour from 755 for 15
 * to 790 for 8, full fuse from 790 for 8 to 820 for 8 or 790 for 25, dam melt from 820 to 850 for an hour or so; lace from 775 for 20
 * to 815 for 15, a wafer of powder of 0.2 mm from 690 for 5 to 730 for 5, castings from 800 for 4 h to 850 for 6. A climb at 300 °C/h and the drop do as much as eleven more
 * minutes of hold; that share is in these figures.
 */
export const TYPICAL_WORKS = {
  firePolish: { least: 1e-3, most: 3.2e-3 },
  stick: { least: 5e-4, most: 1.4e-3 },
  tack: { least: 2.2e-3, most: 6e-3 },
  contour: { least: 6e-3, most: 1.6e-2 },
  fullFuse: { least: 1.6e-2, most: 4.6e-2 },
  slabFlow: { least: 0.2, most: 0.36 },
  lace: { least: 1.6e-2, most: 5.5e-2 },
  wafer: { least: 3e-4, most: 1.5e-3 },
  cast: { least: 0.3, most: 1.5 },
} as const satisfies Required<LookWorks>;

export const laterWork = (works: LookWorks, look: LaterLook): WorkRange => works[look] ?? TYPICAL_WORKS[look];

/** The reference body: parts of 3 mm sheet, 25 mm wide, on two sheets of it, γ 0.30 N/m; 9 mm deep with a part on it. */
const REFERENCE = { sheet_m: 0.003, tension_N_m: 0.3, part_m: 0.025, depth_m: 0.009 };
/** Small parts need less, but never less than this share. */
const SMALLEST_PART_SHARE = 0.3;

/**
 * Past so many times its least no kind of firing is still what it was meant to be, whatever a studio has written down for it: a slump
 * prints its mould and draws in its rim, a drape thins at its shoulder and slides. Practice tells one held too long from a good one within
 * 20 to 25 °C, which is so much work.
 */
export const MOST_OVER_LEAST = 5;

/** A range taken so many times. */
export const times = ({ least, most }: WorkRange, scale: number): WorkRange => ({ least: least * scale, most: most * scale });

/** By surface tension alone: a skin's roughness and a dam full of pieces do not care how thick the sheets were. */
export const byTension = (body: BodyInput): number => REFERENCE.tension_N_m / mainGlass(body).surfaceTension_N_m;

/** By an edge of some size, m. */
export const byEdge = (body: BodyInput, edge_m: number): number => (edge_m / REFERENCE.sheet_m) * byTension(body);

/** By its coarsest open edge: what only has to hold and soften. */
export const byEdges = (body: MaybeJoined): number => byEdge(body, openEdge(body));

/** By its coarsest open edge and how wide its parts are: what has to sink in. */
export function byRelief(body: MaybeJoined): number {
  const width = widestPart(body);
  if (width === null) return byEdges(body);
  const glass = mainGlass(body);
  const reference = reliefRate({ ...glass, surfaceTension_N_m: REFERENCE.tension_N_m }, REFERENCE.part_m, REFERENCE.depth_m);
  const share = reference / reliefRate(glass, width, Math.max(bodyDepth(body), 1e-4));
  return byEdges(body) * Math.min(1, Math.max(SMALLEST_PART_SHARE, share));
}

/** Width of the widest loose part, m, or null where there is none: what sets how long relief takes to level. */
export function widestPart({ parts = [] }: BodyInput): number | null {
  return parts.length === 0 ? null : Math.max(...parts.map(({ area_m2 }) => Math.sqrt(area_m2)));
}
