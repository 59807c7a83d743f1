/** What a firing asks of the simulation. */
import { bodyDepth } from '../body/body';
import type { Face } from '../heat/exchange';
import type { SimulationInput } from '../heat/simulation';
import type { StackLayer } from '../heat/stack';
import type { Segment } from '../kiln/segment';
import { NO_CORRECTIONS } from '../learn/corrections';
import { widestPart } from '../look/works';
import type { FiringCase } from './firingCase';
import { resolved } from './resolved';
import { facesOf, overGlass, roofOver, roundGlass } from './setups';
import { unlikeColumns } from './unlike';
import { coolingOf } from './unevenCooling';

/** What lies on its side exchanges heat by half of its outside. */
const halved = (face: Face): Face => (face.kind === 'open' ? { ...face, emissivity: face.emissivity / 2, convection_W_m2K: face.convection_W_m2K / 2 } : face);

/** as: the body as it was laid, or as it has become once it has run level; the same for most. */
export function simulationOf(asked: FiringCase, segments: readonly Segment[], series = false, as: 'laid' | 'level' = 'laid'): SimulationInput {
  const { uneven } = resolved(asked);
  const told = simulationAs(asked, segments, series, as);
  if (!uneven || as === 'laid') return told;
  const { shape: _shape, sidesLag_s: _sides, ...input } = told;
  const { plate, setting, coldDip_s, below, above, faces } = coolingOf(uneven);
  const held = (1 - input.glass.poisson) / setting.innerSpread_s;
  return {
    ...input,
    stack: [...below, { of: 'glass', thickness_m: plate.depth_m }, ...above],
    ...(input.glass.absorption_perM === undefined ? {} : { clearDepth_m: uneven.thick_m }),
    ...{ faces, spreadShare: plate.spreadShare, rim: { setShare: held * setting.dip_s, coldShare: held * coldDip_s } },
  };
}

function simulationAs(asked: FiringCase, segments: readonly Segment[], series: boolean, as: 'laid' | 'level'): SimulationInput {
  const { body, setup, kiln, limits, glass, corrections = NO_CORRECTIONS, layers_m, depth_m, acrossLag_s, ...firing } = resolved(asked);
  const round = facesOf(setup).top;
  const shape = as === 'level' ? firing.firedShape : firing.shape;
  const sidesLag_s = shape === 'plate' ? 0 : firing.sidesLag_s;
  const plate = shape === 'plate';
  const depths = as === 'level' ? [depth_m.fired] : layers_m;
  const ofGlass = depths.map((thickness_m): StackLayer => ({ of: 'glass', thickness_m: plate ? thickness_m : thickness_m / 2 }));
  const width_m = as === 'level' ? null : widestPart(body);
  const columns = plate && as === 'laid' ? unlikeColumns(body) : null;
  return {
    glass,
    stack: plate ? [...setup.below, ...ofGlass, ...overGlass(setup), ...roofOver(setup)] : [...ofGlass, ...roundGlass(setup)],
    faces: plate ? setup.faces : { top: sidesLag_s > 0 ? halved(round) : round, bottom: { kind: 'insulated' } },
    ...(plate ? {} : { shape }),
    ...(sidesLag_s > 0 ? { sidesLag_s } : {}),
    segments: segments.map(({ rate_C_per_h, target_C, hold_s }) => ({ rate_C_per_h, target_C: target_C - corrections.offset_K, hold_s })),
    kiln,
    ...(firing.placeLag_s ? { placeLag_s: firing.placeLag_s } : {}),
    acrossLag_s,
    ...(limits.heldShare === undefined ? {} : { heldShare: limits.heldShare }),
    looseSheets: !body.joined,
    ...(limits.gap_m === undefined ? {} : { gap_m: limits.gap_m }),
    ...(columns === null ? {} : { columns }),
    evenWithin_K: limits.even_K,
    ...(width_m === null ? {} : { relief: { width_m, depth_m: bodyDepth(body) } }),
    stress: { support: 'free', from: 'hottest' },
    series,
  };
}
