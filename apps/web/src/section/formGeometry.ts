/** A form cut through, to scale, with the blank on it and the glass in it or over it: from metres to the pixels of its drawing. */
import { type FormSection, type FormShape, type FormView, formSection } from '@torvin/core/form';
import type { Box } from './geometry';

type Point = readonly [x: number, z: number];

export interface DrawnForm {
  /** px of a place to the right of its middle, and of a height over the shelf. */
  x(x_m: number): number;
  y(z_m: number): number;
  pxPerMetre: number;
  shelfY: number;
  solids: string[];
  /** The blank as it is laid on; null without one. */
  flat: { x: number; y: number; width: number; height: number } | null;
  /** Its glass as it comes to lie, the lowest first. */
  lying: { path: string; colour: string }[];
  /** From rim to rim, over the top, or inside a dam: where its width is measured, and how deep or high it is there. */
  wide: { from: number; to: number };
  deep: { from: number; to: number };
}

export interface BlankOn {
  width_m: number;
  /** The lowest first. */
  layers: readonly { thickness_m: number; colour: string }[];
  /** How far it has come of its way into the form or over it, 0 as it is laid on, 1 all the way; all of it where left out. */
  down?: number;
}

/** Thin glass is drawn so that it can be seen, px. */
const THINNEST_PX = 3;
const AIR_PX = 3;

const closed = (points: readonly string[]): string => `M${points.join('L')}Z`;

/** The way from its middle to one side, as far as the glass reaches; past its end straight on. */
function wayTo(side: readonly Point[], long_m: number): Point[] {
  const way: Point[] = [side[0]];
  let left = long_m;
  for (let i = 1; i < side.length && left > 0; i++) {
    const [from, to] = [side[i - 1], side[i]];
    const step = Math.hypot(to[0] - from[0], to[1] - from[1]);
    const isEnd = i === side.length - 1;
    const share = step > 0 ? (isEnd ? left / step : Math.min(left / step, 1)) : 0;
    way.push([from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])]);
    left -= step * (isEnd ? Infinity : 1);
  }
  return way;
}

/** From left to right, each half as long as half of the blank. */
function liesAlong(lies: readonly Point[], width_m: number): Point[] {
  const at = lies.findIndex(([x]) => x >= 0);
  const [before, after] = [lies[Math.max(at - 1, 0)], lies[at]];
  const share = after[0] === before[0] ? 0 : -before[0] / (after[0] - before[0]);
  const middle: Point = [0, before[1] + share * (after[1] - before[1])];
  const right = wayTo([middle, ...lies.slice(at).filter(([x]) => x > 0)], width_m / 2);
  const left = wayTo(
    [
      middle,
      ...lies
        .slice(0, at)
        .filter(([x]) => x < 0)
        .toReversed(),
    ],
    width_m / 2,
  );
  return [...left.toReversed(), ...right.slice(1)];
}

/** Over a former: on its top, and straight down from its edges, as steep as brings them so far of their way along its sides. */
function overEdges(top: readonly Point[], foot_m: number, width_m: number, down: number): Point[] {
  const [left, right] = [top[0], top[top.length - 1]];
  const steep = right[1] / Math.hypot(foot_m - right[0], right[1]);
  const out = Math.max(width_m / 2 - right[0], 0);
  const drop = out * steep * down;
  const across = Math.sqrt(Math.max(out ** 2 - drop ** 2, 0));
  return [[left[0] - across, left[1] - drop], ...top, [right[0] + across, right[1] - drop]];
}

/** So short that a band turns round a corner and does not bulge between two of them, m. */
const STEP_M = 0.002;

const inSteps = (way: readonly Point[]): Point[] =>
  way.slice(1).reduce<Point[]>(
    (all, [x, z], i) => {
      const [x0, z0] = way[i];
      const steps = Math.max(1, Math.ceil(Math.hypot(x - x0, z - z0) / STEP_M));
      for (let k = 1; k <= steps; k++) all.push([x0 + (k / steps) * (x - x0), z0 + (k / steps) * (z - z0)]);
      return all;
    },
    [way[0]],
  );

/** A band on a way that runs from left to right, between two heights over it. */
function bandOn(way: readonly Point[], from_m: number, to_m: number): Point[] {
  const raised = (by_m: number): Point[] =>
    way.map(([x, z], i): Point => {
      const [before, after] = [way[Math.max(i - 1, 0)], way[Math.min(i + 1, way.length - 1)]];
      const [dx, dz] = [after[0] - before[0], after[1] - before[1]];
      const long = Math.hypot(dx, dz) || 1;
      return [x - (by_m * dz) / long, z + (by_m * dx) / long];
    });
  return [...raised(from_m), ...raised(to_m).toReversed()];
}

export function drawnForm(form: FormShape, box: Box, blank: BlankOn | null = null, view: FormView = 'across'): DrawnForm {
  const section = formSection(form, view);
  const laid_m = (blank?.layers ?? []).reduce((sum, { thickness_m }) => sum + thickness_m, 0);
  const over_m = laid_m * 2;
  const wide_m = Math.max(section.width_m, blank?.width_m ?? 0);
  const high_m = section.height_m + over_m;
  const pxPerMetre = Math.min(box.width / wide_m, (box.height - THINNEST_PX * 2) / Math.max(high_m, 1e-3));
  const shelfY = box.height;
  const x = (x_m: number): number => box.width / 2 + x_m * pxPerMetre;
  const y = (z_m: number): number => shelfY - z_m * pxPerMetre;
  const at = ([px, pz]: Point): string => `${x(px).toFixed(1)} ${y(pz).toFixed(1)}`;
  // Thin glass is drawn as thick as can be seen.
  const thicker = laid_m > 0 ? Math.max(1, THINNEST_PX / pxPerMetre / laid_m) : 1;
  const thick_m = laid_m * thicker;
  return {
    ...{ x, y, pxPerMetre, shelfY },
    solids: section.solids.map((solid) => closed(solid.map(at))),
    flat: blank && flatOn(section, blank, thick_m, { x, y, pxPerMetre }),
    lying: blank ? bandsOf(section, form.use, blank, thicker).map(({ points, colour }) => ({ path: closed(points.map(at)), colour })) : [],
    ...measured(form, section, { x, y }),
  };
}

/** Each layer on the one below it, along what it lies on by now. */
function bandsOf(
  { lies, height_m, top }: FormSection,
  use: FormShape['use'],
  { width_m, layers, down = 1 }: BlankOn,
  thicker: number,
): { points: Point[]; colour: string }[] {
  if (!lies || use === 'cavity') return [];
  const way = inSteps(
    top
      ? overEdges(top, lies[lies.length - 1][0], width_m, down)
      : liesAlong(
          lies.map(([x, z]): Point => [x, height_m + down * (z - height_m)]),
          width_m,
        ),
  );
  let from = 0;
  return layers.map(({ thickness_m, colour }) => {
    const to = from + thickness_m * thicker;
    const points = bandOn(way, from, to);
    from = to;
    return { points, colour };
  });
}

/** On the rim of a hollow or the top of a former. */
function flatOn({ height_m }: FormSection, { width_m }: BlankOn, thick_m: number, { x, y, pxPerMetre }: Pick<DrawnForm, 'x' | 'y' | 'pxPerMetre'>) {
  return { x: x(-width_m / 2), y: y(height_m + thick_m) - AIR_PX, width: width_m * pxPerMetre, height: thick_m * pxPerMetre };
}

function measured(
  form: FormShape,
  { lies, top, stands_m, height_m, width_m }: FormSection,
  { x, y }: Pick<DrawnForm, 'x' | 'y'>,
): Pick<DrawnForm, 'wide' | 'deep'> {
  if (top) return { wide: { from: x(top[0][0]), to: x(top[top.length - 1][0]) }, deep: { from: y(0), to: y(height_m) } };
  const half = lies ? [lies[0][0], lies[lies.length - 1][0]] : [-(width_m / 2 - wallOf(form)), width_m / 2 - wallOf(form)];
  return {
    wide: { from: x(half[0]), to: x(half[1]) },
    deep: { from: y(form.use === 'shelf' ? 0 : form.use === 'texture' ? height_m - form.deep_m : stands_m), to: y(height_m) },
  };
}

const wallOf = ({ use, thick_m, deep_m }: FormShape): number => (use === 'dam' || (use === 'grid' && deep_m > 0) ? thick_m : 0);
