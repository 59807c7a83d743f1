/** A mass of glass in what it is bought and kept as. */
import type { Brick } from './cold';

/** What of a glass a studio has or buys; what is not known is left out. */
export interface Stock {
  sheet?: Brick;
  billet?: Brick;
  /** Grains in one jar or bag. */
  jar_kg?: number;
  /** Scrap that lies there. */
  scrap_kg?: number;
}

/** How many of each the mass comes to, not rounded; null where the stock does not say. */
export interface InStock {
  sheets: number | null;
  billets: number | null;
  jars: number | null;
  /** Missing when all scrap is used; negative where there is more. */
  scrapShort_kg: number | null;
}

export const brickVolume = ({ width_m, length_m, depth_m }: Brick): number => width_m * length_m * depth_m;

export function inStock(mass_kg: number, density_kg_m3: number, { sheet, billet, jar_kg, scrap_kg }: Stock): InStock {
  const of = (brick: Brick | undefined): number | null => (brick ? mass_kg / density_kg_m3 / brickVolume(brick) : null);
  return {
    sheets: of(sheet),
    billets: of(billet),
    jars: jar_kg === undefined ? null : mass_kg / jar_kg,
    scrapShort_kg: scrap_kg === undefined ? null : mass_kg - scrap_kg,
  };
}

/** Whole ones to take: the next above, but a share that is lost in the figures. */
export const toTake = (count: number): number => Math.ceil(count - 1e-6);
