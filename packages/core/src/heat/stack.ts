/**
 * The layered stack through which heat flows, and its mesh. Nodes lie on the joints between layers and evenly
 * between them, so a face temperature is a node temperature and nothing has to be extrapolated to the skin.
 *
 * A cylinder or a sphere is a stack of shells, index 0 at its axis or centre. All its areas and volumes are told per
 * area of its outside, so that conduction is stepped as for a plate.
 */
import type { GlassConstants } from '../glass/constants';

export type StackLayer =
  | { of: 'glass'; thickness_m: number }
  | {
      of: 'support';
      thickness_m: number;
      conductivity_W_mK: number;
      density_kg_m3: number;
      heatCapacity_J_kgK: number;
    }
  /** Open, between what sees one another across it: a shelf and what lies under it. Heat crosses as its temperature has it. */
  | { of: 'air'; thickness_m: number };

export type Shape = 'plate' | 'cylinder' | 'sphere';

/** Area grows with the distance from the middle to this power. */
const AREA_POWER: Record<Shape, number> = { plate: 0, cylinder: 1, sphere: 2 };

export interface Mesh {
  /** Node heights above the stack's underside, or radii, m; index 0 at the bottom or in the middle. */
  height_m: Float64Array;
  /** Heat capacity of each node's share, J/(m²K). */
  capacity: Float64Array;
  /** Conductance between node i and i+1, W/(m²K). */
  conductance: Float64Array;
  /** First and last node of the glass. */
  glassFrom: number;
  glassTo: number;
  /** Each glass node's share of the glass, index 0 at glassFrom; they sum to one. */
  glassShare: Float64Array;
  /** First and last node of each layer of glass; neighbours share a node where they touch. */
  sheets: [first: number, last: number][];
  /** Where they stand apart: index of the conductance between one sheet's top and the next one's underside. */
  gaps: number[];
  /** Open air: index of the conductance across it, and how wide it is, m. */
  air: { at: number; wide_m: number }[];
}

export interface MeshChoice {
  /** Through the whole glass; finer or coarser for checks of convergence. */
  glassIntervals?: number;
  shape?: Shape;
  /** Whether the layers of glass stand apart: each has faces of its own then, and what lies between is set from outside. */
  apart?: boolean;
}

/** Intervals through the whole glass body: 41 nodes put the steady ramp within 0.1 % of its closed form. */
export const GLASS_INTERVALS = 40;
const LEAST_INTERVALS_PER_SHEET = 4;
const SUPPORT_INTERVALS = 12;

/** Builds the mesh. The stack's glass layers must be adjacent. */
export function meshOf(
  stack: readonly StackLayer[],
  glass: GlassConstants,
  { glassIntervals = GLASS_INTERVALS, shape = 'plate', apart = false }: MeshChoice = {},
): Mesh {
  const glassDepth = stack.reduce((sum, layer) => sum + (layer.of === 'glass' ? layer.thickness_m : 0), 0);
  const cells = stack.map((layer) => ({
    layer,
    intervals:
      layer.of === 'air'
        ? 1
        : layer.of === 'support'
          ? Math.max(2, Math.round((SUPPORT_INTERVALS * glassIntervals) / GLASS_INTERVALS))
          : Math.max(LEAST_INTERVALS_PER_SHEET, Math.round((glassIntervals * layer.thickness_m) / glassDepth)),
  }));
  const gapCount = apart ? Math.max(0, stack.filter(({ of }) => of === 'glass').length - 1) : 0;
  const count = cells.reduce((sum, cell) => sum + cell.intervals, 1 + gapCount);
  const mesh: Mesh = {
    height_m: new Float64Array(count),
    capacity: new Float64Array(count),
    conductance: new Float64Array(count - 1),
    glassFrom: -1,
    glassTo: -1,
    glassShare: new Float64Array(0),
    sheets: [],
    gaps: [],
    air: [],
  };
  const power = AREA_POWER[shape];
  const outside = stack.reduce((sum, layer) => sum + layer.thickness_m, 0);
  const area = (r: number): number => (r / outside) ** power;
  /** Volume of the shell between two radii, per area of the outside, m. */
  const shell = (from: number, to: number): number => (to * area(to) - from * area(from)) / (power + 1);
  const glassVolume = new Float64Array(count);
  let node = 0;
  for (const { layer, intervals } of cells) {
    if (layer.of === 'air') {
      mesh.air.push({ at: node, wide_m: layer.thickness_m });
      mesh.height_m[node + 1] = mesh.height_m[node] + layer.thickness_m;
      node += 1;
      continue;
    }
    const material = layer.of === 'glass' ? glass : layer;
    const step = layer.thickness_m / intervals;
    if (layer.of === 'glass') {
      if (mesh.glassFrom < 0) mesh.glassFrom = node;
      else if (apart) {
        mesh.gaps.push(node);
        mesh.height_m[node + 1] = mesh.height_m[node];
        node += 1;
      }
      mesh.sheets.push([node, node + intervals]);
    }
    for (let i = 0; i < intervals; i += 1) {
      const here = mesh.height_m[node];
      const middle = here + step / 2;
      const next = here + step;
      for (const [at, volume] of [
        [node, shell(here, middle)],
        [node + 1, shell(middle, next)],
      ]) {
        mesh.capacity[at] += material.density_kg_m3 * material.heatCapacity_J_kgK * volume;
        if (layer.of === 'glass') glassVolume[at] += volume;
      }
      mesh.conductance[node] = (material.conductivity_W_mK / step) * area(middle);
      mesh.height_m[node + 1] = next;
      node += 1;
    }
    if (layer.of === 'glass') mesh.glassTo = node;
  }
  const whole = glassVolume.reduce((sum, volume) => sum + volume, 0);
  mesh.glassShare = glassVolume.slice(mesh.glassFrom, mesh.glassTo + 1).map((volume) => volume / whole);
  return mesh;
}
