/**
 * The glass while it is fired: how far down, how far its relief, its grains and its edges have come at any time of one simulation.
 * Between the joints heat work is summed from the same curve and brought to what the simulation says of each segment, so that the
 * end agrees with every other figure of the firing.
 */
import { bodyFigures, isOneSolid, openEdge } from '../body/body';
import { strewnOf } from '../body/layers';
import { footprintNarrow } from '../body/footprint';
import { edgeRounding, heightLeft } from '../flow/relief';
import { drapeAfter, sagAfter, workToDrape, workToSag } from '../flow/sag';
import { neckRadius } from '../flow/spread';
import { logViscosity } from '../glass/viscosity';
import { type Ghost, ghostOf } from '../look/ghost';
import { RECIPES } from '../look/recipes/all';
import { spanned } from '../look/shaping';
import { widestPart } from '../look/works';
import type { Evaluation } from './reading';
import { type FiringCase, hasGlass } from './firingCase';
import { hardestLid, resolved } from './resolved';

/** The body as a firing has made it so far. */
export interface GlassShape {
  shape: Ghost;
  /** How far its middle or its edge has come down, and how far it is to; null where it is not bent. */
  down: { by_m: number; of_m: number } | null;
  /** Share of the height that is left of parts that stood; null where none did. */
  relief: number | null;
  /** How far grains have run together, necks by grains, 1 for a film; null where there are none. */
  film: number | null;
  /** How far sheets have lain down on one another, 1 where no air is to leave any more; null where nothing has to. */
  lain: number | null;
  /** How far its edges have rounded, 1 for a half circle. */
  edges: number;
}

/** The body at one time of its firing. */
export interface GlassAt extends GlassShape {
  kiln_C: number;
  /** Mean of skin and core. */
  glass_C: number;
  /** Since the start, 1/Pa. */
  work_perPa: number;
}

/** What was summed up at each sample of the series. */
interface Sums {
  work_perPa: number[];
  squeeze_perPa: number[];
}

function sumsOf(firing: FiringCase, { simulation, work_perPa }: Evaluation): Sums | null {
  const { series, segments } = simulation;
  if (!series) return null;
  const { viscosity } = resolved(firing);
  const fluidity = series.t_s.map((_, k) => 10 ** -logViscosity(viscosity, (series.skin_C[k] + series.core_C[k]) / 2));
  const summed = segments.reduce((sum, { heatWork_perPa }) => sum + heatWork_perPa, 0);
  const factor = summed > 0 ? work_perPa.mean / summed : 1;
  const sums: Sums = { work_perPa: [0], squeeze_perPa: [0] };
  let from = 0;
  series.joints.forEach(({ holdEnd }, i) => {
    const raw = [0];
    for (let k = from + 1; k <= holdEnd; k += 1) raw.push(raw[raw.length - 1] + ((fluidity[k] + fluidity[k - 1]) / 2) * (series.t_s[k] - series.t_s[k - 1]));
    const whole = raw[raw.length - 1];
    const share = (k: number): number => (whole > 0 ? raw[k] / whole : (k + 1) / raw.length);
    const [work, squeeze] = [sums.work_perPa[from], sums.squeeze_perPa[from]];
    for (let k = 1; k < raw.length; k += 1) {
      sums.work_perPa.push(work + factor * segments[i].heatWork_perPa * share(k));
      sums.squeeze_perPa.push(squeeze + segments[i].squeezeWork_perPa * share(k));
    }
    from = holdEnd;
  });
  return sums;
}

/** Where a time lies among the samples: the one before it, and how far on to the next. */
function placeOf(t_s: readonly number[], at_s: number): { before: number; on: number } {
  let [low, high] = [0, t_s.length - 1];
  if (at_s >= t_s[high]) return { before: Math.max(high - 1, 0), on: 1 };
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (t_s[middle] <= at_s) low = middle;
    else high = middle;
  }
  const long_s = t_s[high] - t_s[low];
  return { before: low, on: long_s > 0 ? Math.max(at_s - t_s[low], 0) / long_s : 0 };
}

function downBy(firing: FiringCase, work_perPa: number): GlassAt['down'] {
  const { body, look, setup } = firing;
  const { glass } = resolved(firing);
  const { shaping } = setup;
  if (!shaping || RECIPES[look].asks?.kind !== shaping.kind) return null;
  const { mean_m } = bodyFigures(body).depth;
  if (shaping.kind === 'hollow') {
    const opening = spanned(shaping, body.footprint);
    const { depth_m } = opening;
    const before = workToSag(glass, opening, mean_m, shaping.down_m ?? 0);
    return { by_m: sagAfter(glass, opening, mean_m, before + work_perPa, depth_m), of_m: depth_m };
  }
  if (shaping.kind !== 'former') return null;
  const before = workToDrape(glass, shaping.overhang_m, mean_m, shaping.down_m ?? 0);
  return { by_m: Math.min(drapeAfter(glass, shaping.overhang_m, mean_m, before + work_perPa), shaping.drop_m), of_m: shaping.drop_m };
}

/** A heap or a melt is no narrower than it was laid, and as deep as its volume asks for. */
function spread({ body, look }: FiringCase, shape: Ghost): Ghost {
  const laid_m = footprintNarrow(body.footprint);
  if (!RECIPES[look].puddle || shape.width_m >= laid_m) return shape;
  return { ...shape, width_m: laid_m, depth_m: bodyFigures(body).depth.mean_m, rim_m: 0 };
}

/** The glass by the heat work that it has had, 1/Pa. lain: how far its sheets have lain down; all the way where left out. Null of a firing with no glass in it. */
export const glassAfter = (firing: FiringCase, work_perPa: number, lain: number | null = 1): GlassShape | null =>
  hasGlass(firing).ok && !RECIPES[firing.look].empty ? shapeAfter(firing, work_perPa, lain) : null;

function shapeAfter(firing: FiringCase, work_perPa: number, lain: number | null): GlassShape {
  const { body, look, setup } = firing;
  const { glass } = resolved(firing);
  const width_m = widestPart(body);
  const strewn = body.joined ? null : strewnOf(body);
  const down = downBy(firing, work_perPa);
  const shape = spread(firing, ghostOf(body, look, work_perPa, setup.shaping));
  return {
    shape: down ? { ...shape, crown_m: setup.shaping?.kind === 'former' ? down.by_m : -down.by_m } : shape,
    down,
    relief: width_m === null ? null : heightLeft(glass, width_m, bodyFigures(body).depth.max_m, work_perPa),
    film: strewn && neckRadius(glass, strewn.grain_m / 2, work_perPa) / (strewn.grain_m / 2),
    lain,
    edges: Math.min(edgeRounding(glass, openEdge(body), work_perPa), 1),
  };
}

/** The glass at any time of an evaluation with a series; null of one without, or of a firing with no glass in it. */
export function glassInTime(firing: FiringCase, evaluation: Evaluation): ((at_s: number) => GlassAt) | null {
  const { series } = evaluation.simulation;
  const sums = hasGlass(firing).ok && !RECIPES[firing.look].empty ? sumsOf(firing, evaluation) : null;
  if (!series || !sums) return null;
  const { glass } = resolved(firing);
  const lid = isOneSolid(firing.body) ? null : hardestLid(firing, glass);
  return (at_s) => {
    const { before, on } = placeOf(series.t_s, at_s);
    const read = (values: readonly number[]): number => values[before] + on * ((values[before + 1] ?? values[before]) - values[before]);
    const work_perPa = read(sums.work_perPa);
    const lain = lid && Math.min(read(sums.squeeze_perPa) / lid.work_perPa, 1);
    return {
      ...shapeAfter(firing, work_perPa, lain),
      ...{ kiln_C: read(series.kiln_C), glass_C: (read(series.skin_C) + read(series.core_C)) / 2, work_perPa },
    };
  };
}
