/** A body of changing depth with what lies about it, laid out in cells. */
import { type CellOf, type Exchanges, type Lattice, type LatticeShape } from './lattice';

export interface Matter {
  conductivity_W_mK: number;
  density_kg_m3: number;
  heatCapacity_J_kgK: number;
}

export type Laid = Matter & { thickness_m: number };

export interface UnevenBody {
  /** section: across a long body; round: from the axis outwards; box: half of it, mirrored, and as long as length_m. */
  shape: LatticeShape;
  /** From one side to the other of a section; else from the middle outwards. */
  parts: readonly { width_m: number; depth_m: number }[];
  /** Of a box, the whole of its other side, m. */
  length_m?: number;
  /** A section that goes on as its mirror image at both of its sides, as one bar of many does. */
  mirrored?: boolean;
  /** Where its parts are level: laid on a shelf at the bottom, cast in a mould at the top. */
  level: 'top' | 'bottom';
  glass: Matter;
  /** What lies under the glass, index 0 at the bottom; where its underside rises, more of what touches it. */
  under?: readonly Laid[];
  /** What stands round the glass, as high as that. */
  beside?: Laid;
  /** What lies on glass whose parts are level at the top, index 0 at the glass. */
  over?: readonly Laid[];
  exchange_W_m2K: Exchanges;
  /** Cells on the thinnest measure, before the whole is held to what there may be; left out, as many as usual. */
  fineness?: number;
  /** CELLS_AT_MOST where left out. */
  cellsAtMost?: number;
}

const USUAL_FINENESS = 10;
export const CELLS_AT_MOST = 20_000;

/** Into how many cells a stretch goes, none longer than size_m. */
const cellsOn = (from: number, to: number, size_m: number): number => Math.max(1, Math.ceil((to - from) / size_m - 1e-9));

/** Given places once each, ascending. */
const inOrder = (places: readonly number[]): number[] => [...new Set(places.map((place) => Number(place.toPrecision(12))))].sort((a, b) => a - b);

/** From where to where there is glass along an axis, m. */
type Within = readonly [from_m: number, to_m: number];

/** What stands about the glass is told by cells so many times as long. */
const COARSER_OUTSIDE = 3;

/** Into how many cells each stretch between places goes. */
const stretches = (places: readonly number[], size_m: number, [from_m, to_m]: Within): number[] =>
  places.slice(1).map((to, i) => {
    const isOutside = places[i] >= to_m - 1e-9 || to <= from_m + 1e-9;
    return cellsOn(places[i], to, isOutside ? COARSER_OUTSIDE * size_m : size_m);
  });

const countOn = (places: readonly number[], size_m: number, within: Within): number => stretches(places, size_m, within).reduce((sum, count) => sum + count, 0);

/** Borders through every given place. */
const borders = (places: readonly number[], size_m: number, within: Within): number[] => [
  places[0],
  ...stretches(places, size_m, within).flatMap((count, at) => {
    const [from, to] = [places[at], places[at + 1]];
    return Array.from({ length: count }, (_, i) => (i + 1 === count ? to : from + ((to - from) * (i + 1)) / count));
  }),
];

const ONE_M = [0, 1] as const;

/** Heights at which layers end, from the first of them on. */
const tops = (layers: readonly Laid[], from_m: number): number[] =>
  layers.reduce<number[]>((all, { thickness_m }) => [...all, (all.at(-1) ?? from_m) + thickness_m], []);

export const deepestOf = ({ parts }: Pick<UnevenBody, 'parts'>): number => Math.max(...parts.map(({ depth_m }) => depth_m));
export const widthOf = ({ parts }: Pick<UnevenBody, 'parts'>): number => parts.reduce((sum, { width_m }) => sum + width_m, 0);

interface Outline {
  /** Heights of the tops of what lies under and over the glass, and of the glass, m. */
  underTops: readonly number[];
  overTops: readonly number[];
  under: number;
  top: number;
  /** Of the parts, from 0. */
  edges: readonly number[];
  x_m: readonly number[];
  y_m: readonly number[];
  z_m: readonly number[];
}

/** The places through which borders must go. */
function placesOf(body: UnevenBody): Outline {
  const { shape, parts, level, beside, length_m = 0 } = body;
  const underTops = tops(body.under ?? [], 0);
  const under = underTops.at(-1) ?? 0;
  const top = under + deepestOf(body);
  const overTops = tops(body.over ?? [], top);
  const besides_m = beside?.thickness_m ?? 0;
  const edges = parts.reduce<number[]>((all, { width_m }) => [...all, all[all.length - 1] + width_m], [0]);
  const heights = parts.map(({ depth_m }) => (level === 'bottom' ? under + depth_m : top - depth_m));
  return {
    ...{ underTops, overTops, under, top, edges },
    x_m: inOrder([shape === 'section' ? -besides_m : 0, ...edges, edges[edges.length - 1] + besides_m]),
    y_m: shape === 'box' ? inOrder([0, length_m / 2, length_m / 2 + besides_m]) : ONE_M,
    z_m: inOrder([0, ...underTops, ...heights, top, ...overTops]),
  };
}

/** Where there would be too many cells they are longer than high first: depth is what counts in thin work. In a block they are coarser all ways first, down to so many on its thinnest measure. */
const LONGER_AT_MOST = 40;
const COARSER_BY = 1.05;
const BLOCK_FINENESS = 5;

/** As fine as asked, or as fine as there may be cells. */
function outlineOf(body: UnevenBody): Outline {
  const thinnest = Math.min(...body.parts.flatMap(({ width_m, depth_m }) => [width_m, depth_m]), body.length_m ?? Infinity);
  const places = placesOf(body);
  const { x_m, y_m, z_m } = places;
  const isBox = body.shape === 'box';
  let high_m = thinnest / (body.fineness ?? USUAL_FINENESS);
  let longer = 1;
  const across: Within = [0, widthOf(body)];
  const along: Within = [0, (body.length_m ?? 0) / 2];
  const upwards: Within = [places.under, places.top];
  const count = (): number => countOn(x_m, high_m * longer, across) * (isBox ? countOn(y_m, high_m * longer, along) : 1) * countOn(z_m, high_m, upwards);
  while (count() > (body.cellsAtMost ?? CELLS_AT_MOST)) {
    if (isBox && high_m * BLOCK_FINENESS < thinnest) high_m *= COARSER_BY;
    else if (longer < LONGER_AT_MOST) longer *= COARSER_BY;
    else high_m *= COARSER_BY;
  }
  const long_m = high_m * longer;
  return { ...places, x_m: borders(x_m, long_m, across), y_m: isBox ? borders(y_m, long_m, along) : y_m, z_m: borders(z_m, high_m, upwards) };
}

export function latticeOf(body: UnevenBody): Lattice {
  const { shape, parts, level, mirrored = false, exchange_W_m2K: exchange, glass } = body;
  const { underTops, overTops, under, top, edges, x_m, y_m, z_m } = outlineOf(body);
  const half = (body.length_m ?? 0) / 2;
  const of = (matter: Matter, isGlass = false): CellOf => ({
    ...{ conductivity_W_mK: matter.conductivity_W_mK, capacity_J_m3K: matter.density_kg_m3 * matter.heatCapacity_J_kgK, isGlass },
  });
  const inGlass = of(glass, true);
  const inUnder = (body.under ?? []).map((layer) => of(layer));
  const inOver = (body.over ?? []).map((layer) => of(layer));
  const inBeside = body.beside ? of(body.beside) : null;
  const middle = (all: readonly number[], i: number): number => (all[i] + all[i + 1]) / 2;
  const cells: (CellOf | null)[] = [];
  for (let k = 0; k + 1 < z_m.length; k += 1) {
    const z = middle(z_m, k);
    for (let j = 0; j + 1 < y_m.length; j += 1) {
      const isOutY = shape === 'box' && middle(y_m, j) > half;
      for (let i = 0; i + 1 < x_m.length; i += 1) {
        const x = middle(x_m, i);
        const part = x < 0 || isOutY ? undefined : parts[edges.findIndex((edge) => edge > x) - 1];
        if (z < under) cells.push(inUnder[underTops.findIndex((to) => to > z)]);
        else if (z > top) cells.push(part ? inOver[overTops.findIndex((to) => to > z)] : null);
        else if (!part) cells.push(inBeside);
        else if (level === 'bottom') cells.push(z < under + part.depth_m ? inGlass : null);
        else cells.push(z > top - part.depth_m ? inGlass : (inUnder.at(-1) ?? null));
      }
    }
  }
  const isSection = shape === 'section';
  return { shape, x_m, y_m, z_m, cells, openAtLeastX: isSection && !mirrored, openAtMostX: !(isSection && mirrored), exchange };
}
