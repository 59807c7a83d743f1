/** Usual ways to lay many parts: strips stood side by side, segments in a ring, rows like bricks with a border, slices in rows. */
import { type Outcome, found, refused } from '../problem';
import { turnedAbout } from './arrange';
import type { PartOutline, PlacedPart } from './parts';

/** A part of a motif; of: which of the motif's glasses it is of, counted from 0. */
export interface MotifPart extends Omit<PlacedPart, 'id'> {
  of: number;
}

export interface Motif {
  parts: MotifPart[];
  /** Of the box that it fills, m. */
  width_m: number;
  length_m: number;
}

const rectangle = (width_m: number, length_m: number, x_m: number, y_m: number, of: number): MotifPart => ({
  ...{ outline: { shape: 'rectangle', width_m, length_m }, x_m, y_m, turned_deg: 0, of },
});

/** So many strips on edge side by side, each as wide as its sheet is thick; thicknesses_m: of the motif's glasses, which repeat in their order. */
export function stripsOnEdge({ count, length_m, thicknesses_m }: { count: number; length_m: number; thicknesses_m: readonly number[] }): Motif {
  const each = Array.from({ length: count }, (_, i) => thicknesses_m[i % thicknesses_m.length]);
  const width_m = each.reduce((sum, one) => sum + one, 0);
  let left_m = -width_m / 2;
  const parts = each.map((thick_m, i) => {
    left_m += thick_m;
    return rectangle(thick_m, length_m, left_m - thick_m / 2, 0, i % thicknesses_m.length);
  });
  return { parts, width_m, length_m };
}

export interface Ring {
  count: number;
  /** Outer side of a segment, and the inner one where it tapers, m. */
  wide_m: number;
  narrow_m: number;
  /** From the inner to the outer side, m. */
  deep_m: number;
  /** Across the ring, from the middle of one outer side to that of the opposite one, m. */
  across_m: number;
  glasses: number;
}

/** Clear between two neighbours at a side so wide, whose middle lies so far from the centre, m; negative where they lie on one another. */
const clearAt = (from_m: number, wide_m: number, count: number): number =>
  2 * Math.hypot(from_m, wide_m / 2) * Math.sin(Math.PI / count - Math.atan2(wide_m / 2, from_m));

/** Segments round the middle, the first at the back; with the gaps between them at their inner and outer sides, m. */
export function ringOfSegments({ count, wide_m, narrow_m, deep_m, across_m, glasses }: Ring): Outcome<Motif & { inner_m: number; outer_m: number }> {
  const outer = across_m / 2;
  const inner = outer - deep_m;
  if (inner <= 0) return refused('no-room', 'across_m', 'The segments meet in the middle: make the ring wider, or the segments shorter.');
  const [inner_m, outer_m] = [clearAt(inner, narrow_m, count), clearAt(outer, wide_m, count)];
  if (Math.min(inner_m, outer_m) < -1e-9) {
    const most = Math.floor(Math.PI / Math.max(Math.atan2(narrow_m / 2, inner), Math.atan2(wide_m / 2, outer)));
    return refused('no-room', 'count', `${count} of these do not go round without lying on one another: ${most} do.`);
  }
  const outline: PartOutline =
    Math.abs(wide_m - narrow_m) < 1e-9
      ? { shape: 'rectangle', width_m: wide_m, length_m: deep_m }
      : {
          shape: 'polygon',
          corners_m: [
            [-narrow_m / 2, -deep_m / 2],
            [narrow_m / 2, -deep_m / 2],
            [wide_m / 2, deep_m / 2],
            [-wide_m / 2, deep_m / 2],
          ],
        };
  const first: PlacedPart = { id: '', outline, x_m: 0, y_m: outer - deep_m / 2, turned_deg: 0 };
  const parts = Array.from({ length: count }, (_, i): MotifPart => {
    const { id: _id, ...part } = turnedAbout(first, [0, 0], (360 * i) / count);
    return { ...part, of: i % glasses };
  });
  const size_m = 2 * Math.hypot(outer, wide_m / 2);
  return found({ parts, width_m: size_m, length_m: size_m, inner_m, outer_m });
}

export interface WovenRows {
  rows: number;
  inRow: number;
  /** Of one piece, along its row and across it, m. */
  long_m: number;
  deep_m: number;
  gap_m: number;
  /** Of the border all round; none where it is 0. It is of the glass after those of the rows. */
  border_m: number;
  glasses: number;
}

/** Rows in which every other one begins with half a piece, as bricks are laid, so that no joints meet; the glasses change from piece to piece and from row to row. */
export function wovenRows({ rows, inRow, long_m, deep_m, gap_m, border_m, glasses }: WovenRows): Outcome<Motif> {
  if (rows > 1 && long_m <= gap_m) return refused('no-room', 'gap_m', 'The gaps are wider than the pieces: half a piece would be none.');
  const inner = { width_m: inRow * long_m + (inRow - 1) * gap_m, length_m: rows * deep_m + (rows - 1) * gap_m };
  const half_m = (long_m - gap_m) / 2;
  const parts = Array.from({ length: rows }, (_, row) => {
    const y_m = -inner.length_m / 2 + row * (deep_m + gap_m) + deep_m / 2;
    const sizes = row % 2 === 0 ? Array.from({ length: inRow }, () => long_m) : [half_m, ...Array.from({ length: inRow - 1 }, () => long_m), half_m];
    let left_m = -inner.width_m / 2;
    return sizes.map((size_m, i) => {
      const x_m = left_m + size_m / 2;
      left_m += size_m + gap_m;
      return rectangle(size_m, deep_m, x_m, y_m, (i + row) % glasses);
    });
  }).flat();
  if (border_m <= 0) return found({ parts, ...inner });
  const outer = { width_m: inner.width_m + 2 * (border_m + gap_m), length_m: inner.length_m + 2 * (border_m + gap_m) };
  const [x, y] = [(outer.width_m - border_m) / 2, (outer.length_m - border_m) / 2];
  const border = [-1, 1].flatMap((to) => [rectangle(outer.width_m, border_m, 0, to * y, glasses), rectangle(border_m, inner.length_m, to * x, 0, glasses)]);
  return found({ parts: [...parts, ...border], ...outer });
}

/** So many alike in rows round the middle; the glasses change from one to the next. */
export function inEvenRows({
  count,
  inRow,
  wide_m,
  deep_m,
  gap_m,
  glasses,
}: {
  count: number;
  inRow: number;
  wide_m: number;
  deep_m: number;
  gap_m: number;
  glasses: number;
}): Motif {
  const across = Math.min(inRow, count);
  const rows = Math.ceil(count / across);
  const [width_m, length_m] = [across * wide_m + (across - 1) * gap_m, rows * deep_m + (rows - 1) * gap_m];
  const parts = Array.from({ length: count }, (_, i) => {
    const [column, row] = [i % across, Math.floor(i / across)];
    return rectangle(
      ...([wide_m, deep_m] as const),
      -width_m / 2 + column * (wide_m + gap_m) + wide_m / 2,
      -length_m / 2 + row * (deep_m + gap_m) + deep_m / 2,
      i % glasses,
    );
  });
  return { parts, width_m, length_m };
}
