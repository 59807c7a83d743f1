/**
 * What is cut, how many and how large: strips from a sheet, strips stood on edge, woven panels, segments off a slab, caps, liners of
 * fibre paper. Each sum closes: what was there is what comes of it, what the blade turns to mud, and what is left over.
 */
import { type Footprint, footprintPerimeter } from '../body/footprint';
import { type Outcome, found, refused } from '../problem';
import type { Hollow } from './hollow';
import { outlineInside } from './offset';

export type CuttingAsked =
  /** Across the width of a sheet; count: how many are wanted. kerf_m: what a blade takes, or a score and break loses. */
  | { kind: 'strips'; sheet: { width_m: number; length_m: number; thickness_m: number }; strip_m: number; kerf_m: number; count?: number }
  /** Strips on edge beside one another fill a width; so many of them over one another, and so often along it. */
  | { kind: 'onEdge'; width_m: number; length_m: number; strip_m: number; thickness_m: number; high: number }
  /** Strips each way, a border round them, a cap over all. */
  | {
      kind: 'woven';
      strip_m: number;
      gap_m: number;
      across: number;
      along: number;
      thickness_m: number;
      border_m: number;
      cap: { thickness_m: number; overhang_m: number } | null;
      /** Share that breaks and is cut more. */
      spare: number;
    }
  /** Off a slab at a stop. */
  | {
      kind: 'segments';
      slab_m: number;
      stop_m: number;
      kerf_m: number;
      /** Across the slab, where the segments are to be laid on it. */ section?: { width_m: number; depth_m: number };
    }
  /** The same outline larger all round. */
  | { kind: 'cap'; outline: Footprint; overhang_m: number }
  /** Of paper of one thickness, for the walls, ends and floor of a hollow. */
  | { kind: 'liner'; hollow: Hollow; thickness_m: number };

export interface CutPiece {
  name: string;
  count: number;
  /** Cut more of them than are laid. */
  spares: number;
  /** The sides of a rectangle; a disc, ring or other outline where it is none, with the box that holds it. */
  width_m: number;
  length_m: number;
  outline: 'rectangle' | 'disc' | 'ring' | 'oval' | 'triangle' | 'part of a circle' | 'corners';
  thickness_m: number;
}

export interface CuttingTold {
  pieces: CutPiece[];
  /** Of a panel or bundle: its size with gaps, and how deep it lies. */
  finished: { width_m: number; length_m: number; depth_m: number } | null;
  /** Along what is cut: what comes of it, what the blade takes, what is left, m. */
  along: { used_m: number; kerf_m: number; left_m: number } | null;
  /** Sheets that so many ask for; null where none were counted. */
  sheets: number | null;
}

const NONE = { finished: null, along: null, sheets: null };
const SLACK = 1e-9;

/** So many of one length off another, a kerf between each two and one more where something is left. */
function cutAlong(whole_m: number, each_m: number, kerf_m: number): { count: number; along: NonNullable<CuttingTold['along']> } {
  const count = Math.floor((whole_m + kerf_m) / (each_m + kerf_m) + SLACK);
  const used_m = count * each_m;
  const rest = whole_m - used_m - Math.max(count - 1, 0) * kerf_m;
  // What is left over has been cut off, as far as there was anything beside the blade.
  const last = Math.min(Math.max(rest, 0), count > 0 ? kerf_m : 0);
  return { count, along: { used_m, kerf_m: Math.max(count - 1, 0) * kerf_m + last, left_m: Math.max(rest - last, 0) } };
}

function strips({ sheet, strip_m, kerf_m, count }: Extract<CuttingAsked, { kind: 'strips' }>): Outcome<CuttingTold> {
  if (kerf_m >= strip_m)
    return refused(
      'out-of-range',
      'kerf_m',
      'The kerf is as wide as the strip or wider. A blade takes about 3 mm (1/8 in), a score and break next to nothing.',
    );
  const { count: per, along } = cutAlong(sheet.width_m, strip_m, kerf_m);
  if (per === 0) return refused('out-of-range', 'strip_m', 'The strip is wider than the sheet.');
  return found({
    ...NONE,
    pieces: [
      { name: 'strip', count: count ?? per, spares: 0, width_m: strip_m, length_m: sheet.length_m, outline: 'rectangle', thickness_m: sheet.thickness_m },
    ],
    along,
    sheets: count === undefined ? null : Math.ceil(count / per),
  });
}

function onEdge({ width_m, length_m, strip_m, thickness_m, high }: Extract<CuttingAsked, { kind: 'onEdge' }>): Outcome<CuttingTold> {
  const { count, along } = cutAlong(width_m, thickness_m, 0);
  if (count === 0) return refused('out-of-range', 'thickness_m', 'The glass is thicker than the width that it is to fill.');
  return found({
    ...NONE,
    pieces: [{ name: 'strip on edge', count: count * high, spares: 0, width_m: strip_m, length_m, outline: 'rectangle', thickness_m }],
    along,
    finished: { width_m: count * thickness_m, length_m, depth_m: high * strip_m },
  });
}

/** As laid: first all one way, then all the other; the border after, the cap last. From the middle outwards on either side. */
function woven(asked: Extract<CuttingAsked, { kind: 'woven' }>): CuttingTold {
  const { strip_m, gap_m, across, along, thickness_m, border_m, cap, spare } = asked;
  const size = (count: number): number => count * strip_m + (count - 1) * gap_m;
  const [inside_w, inside_l] = [size(across), size(along)];
  const [width_m, length_m] = [inside_w + 2 * border_m, inside_l + 2 * border_m];
  const spares = (count: number): number => Math.ceil(count * spare - SLACK);
  const strip = (name: string, count: number, wide: number, long: number, thick = thickness_m): CutPiece => ({
    ...{ name, count, spares: spares(count), width_m: wide, length_m: long, outline: 'rectangle', thickness_m: thick },
  });
  const over = cap ? 2 * cap.overhang_m : 0;
  return {
    ...NONE,
    pieces: [
      strip('strip up the panel', across, strip_m, inside_l),
      strip('strip across it', along, strip_m, inside_w),
      // They stand beside both layers, so that each side takes two.
      ...(border_m > 0 ? [strip('border, long way', 4, border_m, length_m), strip('border, between', 4, border_m, inside_w)] : []),
      ...(cap ? [strip('cap', 1, width_m + over, length_m + over, cap.thickness_m)] : []),
    ],
    finished: { width_m, length_m, depth_m: 2 * thickness_m + (cap?.thickness_m ?? 0) },
  };
}

function segments({ slab_m, stop_m, kerf_m, section }: Extract<CuttingAsked, { kind: 'segments' }>): Outcome<CuttingTold> {
  const { count, along } = cutAlong(slab_m, stop_m, kerf_m);
  if (count === 0) return refused('out-of-range', 'stop_m', 'The stop stands further off than the slab is long.');
  const face = section ? { width_m: section.width_m, length_m: section.depth_m, thickness_m: stop_m } : { width_m: stop_m, length_m: stop_m, thickness_m: 0 };
  return found({ ...NONE, pieces: [{ name: 'segment', count, spares: 0, outline: 'rectangle', ...face }], along });
}

function boxOf(outline: Footprint): { width_m: number; length_m: number } {
  switch (outline.shape) {
    case 'disc':
    case 'ring':
      return { width_m: outline.diameter_m, length_m: outline.diameter_m };
    case 'polygon': {
      const [xs, ys] = [outline.corners_m.map(([x]) => x), outline.corners_m.map(([, y]) => y)];
      return { width_m: Math.max(...xs) - Math.min(...xs), length_m: Math.max(...ys) - Math.min(...ys) };
    }
    default:
      return outline;
  }
}

const FORM: Record<Footprint['shape'], CutPiece['outline']> = { rectangle: 'rectangle', disc: 'disc', ring: 'ring', oval: 'oval', polygon: 'corners' };
const asPiece = (name: string, outline: Footprint, thickness_m: number): CutPiece => ({
  ...{ name, count: 1, spares: 0, ...pick(boxOf(outline)), outline: FORM[outline.shape], thickness_m },
});
const pick = ({ width_m, length_m }: { width_m: number; length_m: number }): { width_m: number; length_m: number } => ({ width_m, length_m });

function largerCap({ outline, overhang_m }: Extract<CuttingAsked, { kind: 'cap' }>): Outcome<CuttingTold> {
  const larger = outlineInside(outline, -overhang_m);
  if (!larger) return refused('out-of-range', 'overhang_m', 'So much closes the hole, or folds the outline: take less.');
  return found({ ...NONE, pieces: [asPiece('cap', larger, 0)] });
}

/** Half of the paper's own thickness from the wall its length is what it is bent to. */
function liner({ hollow, thickness_m: t }: Extract<CuttingAsked, { kind: 'liner' }>): Outcome<CuttingTold> {
  const strip = (name: string, count: number, width_m: number, length_m: number, outline: CutPiece['outline'] = 'rectangle'): CutPiece => ({
    ...{ name, count, spares: 0, width_m, length_m, outline, thickness_m: t },
  });
  const nothing = refused('too-thick', 'thickness_m', 'Such a liner leaves nothing of the hollow.');
  switch (hollow.kind) {
    case 'straight': {
      const { outline, depth_m } = hollow;
      const floor = outlineInside(outline, t);
      if (!floor || depth_m <= t) return nothing;
      const pieces = [asPiece('floor', floor, t)];
      if (outline.shape === 'rectangle') {
        // Two go the whole way, the others between them.
        pieces.push(strip('wall, long way', 2, depth_m, outline.length_m), strip('wall, between', 2, depth_m, outline.width_m - 2 * t));
      } else if (outline.shape === 'ring') {
        pieces.push(strip('outer wall', 1, depth_m, Math.PI * (outline.diameter_m - t)), strip('round the core', 1, depth_m, Math.PI * (outline.inner_m + t)));
      } else {
        const middle = outlineInside(outline, t / 2);
        pieces.push(strip('wall', 1, depth_m, footprintPerimeter(middle ?? outline)));
      }
      return found({ ...NONE, pieces });
    }
    case 'vTrough': {
      if (hollow.depth_m <= t || hollow.length_m <= 2 * t || hollow.width_m <= 2 * t) return nothing;
      const slant = Math.hypot(hollow.width_m / 2, hollow.depth_m);
      return found({
        ...NONE,
        // One goes down to the corner, the other meets it.
        pieces: [
          strip('slope', 1, slant, hollow.length_m),
          strip('slope that meets it', 1, slant - t, hollow.length_m),
          strip('end', 2, hollow.depth_m, hollow.width_m, 'triangle'),
        ],
      });
    }
    case 'roundTrough': {
      if (hollow.depth_m <= t || hollow.length_m <= 2 * t || hollow.width_m <= 2 * t) return nothing;
      const radius = (hollow.width_m ** 2 / 4 + hollow.depth_m ** 2) / (2 * hollow.depth_m);
      const half = Math.acos(Math.min(Math.max((radius - hollow.depth_m) / radius, -1), 1));
      return found({
        ...NONE,
        pieces: [strip('round', 1, 2 * half * (radius - t / 2), hollow.length_m), strip('end', 2, hollow.depth_m, hollow.width_m, 'part of a circle')],
      });
    }
    default:
      return refused('no-pattern', 'hollow.kind', 'Paper does not lie in a bowl or a cone without folds: coat it with primer, or line a box, ring or trough.');
  }
}

export function cutting(asked: CuttingAsked): Outcome<CuttingTold> {
  switch (asked.kind) {
    case 'strips':
      return strips(asked);
    case 'onEdge':
      return onEdge(asked);
    case 'woven':
      return found(woven(asked));
    case 'segments':
      return segments(asked);
    case 'cap':
      return largerCap(asked);
    case 'liner':
      return liner(asked);
  }
}
