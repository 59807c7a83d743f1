/**
 * What a firing is for, declared: what must be reached and what must not be passed. compose and check both read it
 * from here; nothing else in the core knows one look from another.
 */
import type { BodyInput } from '../body/body';
import { bodyDepth, bodyFigures, mainGlass, openEdge } from '../body/body';
import type { WorkRange } from '../flow/heatWork';
import { reliefRate } from '../flow/relief';
import { workToDrape, workToSag } from '../flow/sag';
import { type Outcome, found, refused } from '../problem';
import { type Shaping, spanned } from './shaping';

export const LOOKS = ['firePolish', 'tack', 'contour', 'fullFuse', 'slabFlow', 'slump', 'drape'] as const;
export type Look = (typeof LOOKS)[number];

export interface Purpose {
  name: string;
  /** One sentence: what it is. */
  reaches: string;
  /** What it must not do. */
  spares: string;
  /** Whether sheets have to lie down on one another first. */
  squeezes: boolean;
  /** Whether the body ends level: what stood has sunk in, gaps are closed. */
  levels: boolean;
  /** How long the two schools hold at the working temperature, and what a hold may become, s. */
  hold_s: { cooler: number; hotter: number; least: number; most: number };
}

export const PURPOSES: Record<Look, Purpose> = {
  firePolish: {
    name: 'Fire polish',
    reaches: 'the skin flows until it shines',
    spares: 'shape and relief stay',
    squeezes: false,
    levels: false,
    hold_s: { cooler: 600, hotter: 300, least: 300, most: 2400 },
  },
  tack: {
    name: 'Tack fuse',
    reaches: 'parts hold, edges soft',
    spares: 'relief stays',
    squeezes: true,
    levels: false,
    hold_s: { cooler: 900, hotter: 480, least: 300, most: 2400 },
  },
  contour: {
    name: 'Contour fuse',
    reaches: 'edges round, parts sink half in',
    spares: 'some relief stays',
    squeezes: true,
    levels: false,
    hold_s: { cooler: 900, hotter: 480, least: 300, most: 2400 },
  },
  fullFuse: {
    name: 'Full fuse',
    reaches: 'edges round and level',
    spares: 'outline and colours do not run',
    squeezes: true,
    levels: true,
    hold_s: { cooler: 900, hotter: 480, least: 300, most: 2400 },
  },
  slabFlow: {
    name: 'Slab flow',
    reaches: 'pieces run together and fill their dam',
    spares: 'colours do not mix',
    squeezes: true,
    levels: true,
    hold_s: { cooler: 5400, hotter: 2700, least: 1200, most: 10800 },
  },
  slump: {
    name: 'Slump',
    reaches: 'sinks to the mould',
    spares: 'edges and surface stay as they are',
    squeezes: false,
    levels: false,
    hold_s: { cooler: 1200, hotter: 480, least: 300, most: 2400 },
  },
  drape: {
    name: 'Drape',
    reaches: 'bends down over the former',
    spares: 'edges and surface stay as they are',
    squeezes: false,
    levels: false,
    hold_s: { cooler: 900, hotter: 480, least: 300, most: 2400 },
  },
};

/** Heat work that each fused look needs on the reference body, 1/Pa. */
export type LookWorks = Record<'firePolish' | 'tack' | 'contour' | 'fullFuse' | 'slabFlow', WorkRange>;

/**
 * Calibrated on the reference body, ramps included, to what practice fires soft sheet 90 at: fire polish from 715 °C for
 * 10 min to 740 for 10, tack from 720 for 20 to 765 for 5, contour from 755 for 15 to 790 for 8, full fuse from 790 for
 * 8 to 820 for 8 or 790 for 25, slab flow from 820 to 850 for an hour or so. A climb at 300 °C/h and the drop do as much as eleven more minutes of hold; that share
 * is in these figures.
 */
export const TYPICAL_WORKS: LookWorks = {
  firePolish: { least: 1e-3, most: 3.2e-3 },
  tack: { least: 2.2e-3, most: 6e-3 },
  contour: { least: 6e-3, most: 1.6e-2 },
  fullFuse: { least: 1.6e-2, most: 4.6e-2 },
  slabFlow: { least: 0.2, most: 0.36 },
};

/** The reference body: parts of 3 mm sheet, 25 mm wide, on two sheets of it, γ 0.30 N/m; 9 mm deep with a part on it. */
const REFERENCE = { sheet_m: 0.003, tension_N_m: 0.3, part_m: 0.025, depth_m: 0.009 };
/** Small parts need less, but never less than this share. */
const SMALLEST_PART_SHARE = 0.3;
/** Composing aims at this many times the work that just reaches the mould: rims drag on primer, and a mould stops it anyway. */
const SHAPING_AIM = 2;
/** Top and underside of a sheet do work that differs by so much: what must lie between closer limits cannot be fired. */
const SIDES_APART = 1.1;
/** Shaped glass may do this share of the work that would begin to polish it. */
const STAYS_CRISP = 0.8;

/** Layers fused before are one solid. */
type MaybeJoined = BodyInput & { joined?: boolean };

/** How much harder than the reference body this one is to round: by its coarsest edge, its tension, its parts' width. */
function workScale(body: MaybeJoined, look: keyof LookWorks): number {
  const glass = mainGlass(body);
  const tension = REFERENCE.tension_N_m / glass.surfaceTension_N_m;
  // A skin's roughness and a dam full of pieces do not care how thick the sheets were.
  if (look === 'firePolish' || look === 'slabFlow') return tension;
  const edges = (openEdge(body) / REFERENCE.sheet_m) * tension;
  const width = widestPart(body);
  if (look === 'tack' || width === null) return edges;
  const reference = reliefRate({ ...glass, surfaceTension_N_m: REFERENCE.tension_N_m }, REFERENCE.part_m, REFERENCE.depth_m);
  const share = reference / reliefRate(glass, width, Math.max(bodyDepth(body), 1e-4));
  return edges * Math.min(1, Math.max(SMALLEST_PART_SHARE, share));
}

/** Width of the widest loose part, m, or null where there is none: what sets how long relief takes to level. */
export function widestPart({ parts = [] }: BodyInput): number | null {
  return parts.length === 0 ? null : Math.max(...parts.map(({ area_m2 }) => Math.sqrt(area_m2)));
}

/** The heat work that a look needs on this body and the most it bears, 1/Pa. */
export function neededWork(body: MaybeJoined, look: Look, works: LookWorks, shaping?: Shaping): Outcome<WorkRange> {
  if (look !== 'slump' && look !== 'drape') {
    const scale = workScale(body, look);
    return found({ least: works[look].least * scale, most: works[look].most * scale });
  }
  const glass = mainGlass(body);
  const sheet_m = bodyFigures(body).depth.mean_m;
  const polishes = works.firePolish.least * workScale(body, 'firePolish') * STAYS_CRISP;
  let least: number;
  if (look === 'slump') {
    if (shaping?.kind !== 'hollow') return refused('missing', 'setup.shaping', "A slump needs a hollow: the mould's span and depth.");
    const { span_m, depth_m } = spanned(shaping, body.footprint);
    least = workToSag(glass, span_m / 2, sheet_m, depth_m);
  } else {
    if (shaping?.kind !== 'former') return refused('missing', 'setup.shaping', 'A drape needs a former: how far the blank stands out and is to come down.');
    least = workToDrape(glass, shaping.overhang_m, sheet_m, shaping.drop_m);
  }
  if (least * SIDES_APART >= polishes) {
    return refused(
      'too-stiff',
      look === 'slump' ? 'setup.shaping.span_m' : 'setup.shaping.overhang_m',
      `It would round its edges before it gets there: this shape asks for ${((100 * least) / polishes).toFixed(0)} % of the heat work at which edges begin to flow, and glass is never that even. Take a wider span, a thinner body or a shallower shape.`,
    );
  }
  return found({ least, most: polishes });
}

/** The work to aim at: the middle of a fused look's range on its logarithm, a little past the least of a shaped one. */
export function aimedWork(look: Look, { least, most }: WorkRange): number {
  if (look !== 'slump' && look !== 'drape') return Math.sqrt(least * most);
  // Where that would come near to polishing, the middle between the two.
  return Math.min(least * SHAPING_AIM, Math.sqrt(least * most));
}
