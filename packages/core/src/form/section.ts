/**
 * A form cut through over its middle, as it is drawn: what is solid of it, and the line that glass comes to lie on. x to the right of the
 * middle, z up from the shelf, m.
 */
import { topEnd } from './overPoints';
import { depthOf, alongOf, insideOf, type FormShape } from './shape';
import type { SectionPoint } from './surface';

export type Point = readonly [x: number, z: number];

export interface FormSection {
  /** Each closed by itself. */
  solids: Point[][];
  /** From left to right: of a hollow from rim to rim, of a former over its top; null where glass lies on the shelf. */
  lies: Point[] | null;
  /** Of a former what carries the glass, from left to right. */
  top?: Point[];
  /** The floor of the hollow, or the top of the former, over the shelf. */
  stands_m: number;
  width_m: number;
  height_m: number;
}

export type View = 'across' | 'along';

/** Outside of a wall of even thickness: each place of the inside moved off square to it. */
function offset(inside: readonly Point[], by_m: number): Point[] {
  return inside.map(([x, z], i) => {
    const [before, after] = [inside[Math.max(i - 1, 0)], inside[Math.min(i + 1, inside.length - 1)]];
    const [dx, dz] = [after[0] - before[0], after[1] - before[1]];
    const long = Math.hypot(dx, dz) || 1;
    return [x + (by_m * dz) / long, z - (by_m * dx) / long];
  });
}

/** Half of an inside, as wide on each side as it was measured there. */
function bothSides(half: readonly SectionPoint[], [left, right]: readonly [number, number], rim_m: number): Point[] {
  const scaled = (by: number, sign: 1 | -1): Point[] => half.map(({ out_m, up_m }) => [sign * out_m * by, up_m]);
  return [...scaled(left / rim_m, -1).toReversed(), ...scaled(right / rim_m, 1).slice(1)];
}

/** Two places of a section nearer than this are one: between them no wall has a direction. */
const SAME_M = 1e-9;

/** Where the floor ends, from the middle: a floor that is open or loose is drawn apart from the wall. */
const FLOOR_M = 1e-6;

function hollowSection(form: FormShape, view: View): FormSection {
  if (view === 'along' && form.plan === 'trough') return troughAlong(form);
  const inside = insideOf({ ...form, liner_m: 0 });
  const rim = (view === 'across' ? form.across_m : alongOf(form)) / 2;
  // A record from before a rule may be no form any more: its outside is drawn.
  if (!inside.ok) return { solids: [box(-rim, rim, 0, form.deep_m)], lies: null, stands_m: 0, width_m: 2 * rim, height_m: form.deep_m };
  const own = view === 'across' ? inside.value.section : inside.value.along;
  const low = Math.min(...own.map(({ up_m }) => up_m));
  const half = own
    .filter(({ out_m, up_m }, i) => i === 0 || Math.hypot(out_m - own[i - 1].out_m, up_m - own[i - 1].up_m) > SAME_M)
    .map(({ out_m, up_m }) => ({ out_m, up_m: up_m - low }));
  const { left_m, right_m, door_m, back_m, thick_m, bottom } = form;
  const sides: [number, number] = view === 'across' ? [left_m ?? rim, right_m ?? rim] : [door_m ?? rim, back_m ?? rim];
  const lies = bothSides(half, sides, rim).map(([x, z]): Point => [x, z + (bottom === 'open' ? 0 : thick_m)]);
  const stands_m = bottom === 'open' ? 0 : thick_m;
  const isFloor = ([, z]: Point): boolean => z < stands_m + FLOOR_M;
  const outside = offset(lies, thick_m).map(([x, z]): Point => [x, Math.max(z, 0)]);
  const high = depthOf(form) + stands_m;
  const level: Point[] = outside.map(([x, z]) => [x, Math.min(z, high)]);
  const firstFloor = lies.findIndex(isFloor);
  const lastFloor = lies.findLastIndex(isFloor);
  const shell = (from: number, to: number): Point[] => [...lies.slice(from, to), ...level.slice(from, to).toReversed()];
  const walls = bottom === undefined || bottom === 'closed' ? [shell(0, lies.length)] : [shell(0, firstFloor + 1), shell(lastFloor, lies.length)];
  const floor: Point[] = [
    [lies[firstFloor][0] + GAP_M, 0],
    [lies[firstFloor][0] + GAP_M, thick_m],
    [lies[lastFloor][0] - GAP_M, thick_m],
    [lies[lastFloor][0] - GAP_M, 0],
  ];
  const wide = Math.max(...level.map(([x]) => x)) - Math.min(...level.map(([x]) => x));
  return { solids: bottom === 'loose' ? [...walls, floor] : walls, lies, stands_m, width_m: wide, height_m: high };
}

/** Along its floor; its ends are open. */
function troughAlong(form: FormShape): FormSection {
  const [half, high] = [alongOf(form) / 2, depthOf(form) + form.thick_m];
  return {
    solids: [box(-half, half, 0, form.thick_m), box(-half, half, form.thick_m, high)],
    lies: [
      [-half, form.thick_m],
      [half, form.thick_m],
    ],
    ...{ stands_m: form.thick_m, width_m: 2 * half, height_m: high },
  };
}

/** Between a loose floor and the wall, as it is drawn. */
const GAP_M = 0.001;

/** As its points were taken; the other way its sides are the same, as far apart as its top is long there. */
function formerByPoints(form: FormShape, points: readonly SectionPoint[], view: View): FormSection {
  const { across_m, deep_m, thick_m } = form;
  const foot_m = points[points.length - 1].up_m;
  const further_m = view === 'across' ? 0 : (alongOf(form) - across_m) / 2;
  const half = points.slice(1).map(({ out_m, up_m }): Point => [Math.max(out_m + further_m, 0), up_m - foot_m]);
  const lies: Point[] = [...half.toReversed().map(([x, z]): Point => [-x, z]), [0, points[0].up_m - foot_m], ...half];
  const inside = offset(lies, thick_m)
    .map(([x, z]): Point => [x, Math.max(z, 0)])
    .toReversed();
  const isHollow = thick_m < Math.min(across_m / 2, deep_m) * 0.8;
  return {
    ...{ solids: [isHollow ? [...lies, ...inside] : lies], lies, stands_m: deep_m },
    // As many points to each side of the middle as its top has.
    top: lies.slice(half.length - topEnd(points), half.length + topEnd(points) + 1),
    ...{ width_m: 2 * Math.max(...half.map(([x]) => x)), height_m: points[0].up_m - foot_m },
  };
}

function formerSection(form: FormShape, view: View): FormSection {
  // Along a ridge it is cut through at its top.
  if (form.points_m && !(view === 'along' && form.plan === 'trough')) return formerByPoints(form, form.points_m, view);
  const [top, foot] =
    view === 'across'
      ? [form.across_m / 2, (form.floor_m ?? form.across_m) / 2]
      : [alongOf(form) / 2, (form.floorAlong_m ?? alongOf(form) + Math.max((form.floor_m ?? form.across_m) - form.across_m, 0)) / 2];
  const { deep_m, thick_m } = form;
  const lies: Point[] = [
    [-foot, 0],
    [-top, deep_m],
    [top, deep_m],
    [foot, 0],
  ];
  const isHollow = thick_m < Math.min(top, deep_m) * 0.8;
  const inside: Point[] = [
    [foot - thick_m, 0],
    [top - thick_m, deep_m - thick_m],
    [thick_m - top, deep_m - thick_m],
    [thick_m - foot, 0],
  ];
  return {
    solids: [isHollow ? [...lies, ...inside] : lies],
    lies,
    top: lies.slice(1, 3),
    stands_m: deep_m,
    width_m: 2 * Math.max(top, foot),
    height_m: deep_m,
  };
}

const box = (x0: number, x1: number, z0: number, z1: number): Point[] => [
  [x0, z0],
  [x0, z1],
  [x1, z1],
  [x1, z0],
];

const TEETH = 9;

function plateSection({ thick_m, deep_m }: FormShape, wide: number): FormSection {
  const low = thick_m - deep_m;
  const teeth = Array.from({ length: 2 * TEETH }, (_, i): Point[] => {
    const x = -wide / 2 + (i * wide) / (2 * TEETH);
    const z = i % 2 === 0 ? thick_m : low;
    return [
      [x, z],
      [x + wide / (2 * TEETH), z],
    ];
  }).flat();
  return {
    solids: [[[-wide / 2, 0], ...teeth, [wide / 2, 0]]],
    lies: [
      [-wide / 2, thick_m],
      [wide / 2, thick_m],
    ],
    stands_m: thick_m,
    width_m: wide,
    height_m: thick_m,
  };
}

/** So many holes are drawn side by side at most. */
const HOLES_DRAWN = 12;

function gridSection({ thick_m, deep_m, holes = 1, hole_m = 0, use: _use }: FormShape, wide: number): FormSection {
  const inRow = Math.max(1, Math.min(HOLES_DRAWN, Math.round(Math.sqrt(holes)), Math.floor(wide / Math.max(hole_m, 1e-4) / 1.2)));
  const bar = (wide - inRow * hole_m) / (inRow + 1);
  const bars = Array.from({ length: inRow + 1 }, (_, i) => box(-wide / 2 + i * (bar + hole_m), -wide / 2 + i * (bar + hole_m) + bar, 0, thick_m));
  const walls = deep_m > 0 ? [box(-wide / 2 - thick_m, -wide / 2, 0, thick_m + deep_m), box(wide / 2, wide / 2 + thick_m, 0, thick_m + deep_m)] : [];
  return { solids: [...bars, ...walls], lies: null, stands_m: thick_m, width_m: wide + (deep_m > 0 ? 2 * thick_m : 0), height_m: thick_m + deep_m };
}

/** A form that formProblem lets pass, cut through across or along. */
export function formSection(form: FormShape, view: View = 'across'): FormSection {
  const wide = view === 'across' ? form.across_m : alongOf(form);
  const { thick_m, deep_m } = form;
  switch (form.use) {
    case 'former':
      return formerSection(form, view);
    case 'texture':
      return plateSection(form, wide);
    case 'shelf':
      return {
        solids: [box(-wide / 2, wide / 2, 0, thick_m)],
        lies: [
          [-wide / 2, thick_m],
          [wide / 2, thick_m],
        ],
        ...{ stands_m: thick_m, width_m: wide, height_m: thick_m },
      };
    case 'grid':
      return gridSection(form, wide);
    case 'dam':
      return {
        solids: [box(-wide / 2 - thick_m, -wide / 2, 0, deep_m), box(wide / 2, wide / 2 + thick_m, 0, deep_m)],
        ...{ lies: null, stands_m: 0, width_m: wide + 2 * thick_m, height_m: deep_m },
      };
    case 'cavity': {
      const inner = hollowSection({ ...form, bottom: 'closed' }, view);
      const [left, right] = [Math.min(...(inner.lies ?? []).map(([x]) => x)), Math.max(...(inner.lies ?? []).map(([x]) => x))];
      // Cast round its hollow as a block.
      const block: Point[] = [
        [left - thick_m, 0],
        [left - thick_m, inner.height_m],
        ...(inner.lies ?? []),
        [right + thick_m, inner.height_m],
        [right + thick_m, 0],
      ];
      return { ...inner, solids: [block], width_m: right - left + 2 * thick_m };
    }
    case 'hollow':
      return hollowSection(form, view);
  }
}
