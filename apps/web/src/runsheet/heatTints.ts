/** A field as the shapes of its tints, and the places that are named in it. */
import type { FieldMap, Spot, UnevenBody } from '@torvin/core/field';

export interface DrawnHeat {
  width: number;
  height: number;
  /** SVG paths, coldest first. */
  paths: string[];
  place(spot: Spot): { x: number; y: number };
}

/** Round bodies and blocks are known from their middle on, and are the same to the other side; so are strips that go on as their mirror image. */
const isHalf = ({ shape, mirrored }: UnevenBody): boolean => shape !== 'section' || mirrored === true;

/** What is flat is drawn so many times as high at most. */
const HIGHER_AT_MOST = 3;

/** As wide as the room allows; what is flat higher than it is. tints: how many there are. */
export function drawnHeat(map: FieldMap, body: UnevenBody, room: { width: number; height: number }, tints: number): DrawnHeat {
  const { width_m, height_m, columns, rows, lead_s } = map;
  const sides = isHalf(body) ? 2 : 1;
  const perM = Math.min(room.width / (sides * width_m), room.height / height_m);
  const higher = Math.min(HIGHER_AT_MOST, room.height / (height_m * perM));
  const [width, height] = [sides * width_m * perM, height_m * perM * higher];
  const told = lead_s.filter((lead): lead is number => lead !== null);
  const least = Math.min(...told);
  const span = Math.max(...told) - least || 1;
  const paths = Array.from({ length: tints }, () => '');
  const [dx, dy] = [(width_m * perM) / columns, height / rows];
  const middle = sides === 2 ? width / 2 : 0;
  lead_s.forEach((lead, i) => {
    if (lead === null) return;
    const tint = Math.min(tints - 1, Math.floor((tints * (lead - least)) / span));
    const y = height - (Math.floor(i / columns) + 1) * dy;
    const x = (i % columns) * dx;
    // A hair wider, so that no seam shows between two of one tint.
    const rectangle = (from: number): string =>
      `M${from.toFixed(1)} ${y.toFixed(1)}h${(dx + 0.4).toFixed(1)}v${(dy + 0.4).toFixed(1)}h${(-dx - 0.4).toFixed(1)}z`;
    paths[tint] += rectangle(middle + x) + (sides === 2 ? rectangle(middle - x - dx) : '');
  });
  const foot_m = (body.under ?? []).reduce((sum, { thickness_m }) => sum + thickness_m, 0);
  return { width, height, paths, place: ({ x_m, z_m }) => ({ x: middle + x_m * perM, y: height - (z_m - foot_m) * perM * higher }) };
}
