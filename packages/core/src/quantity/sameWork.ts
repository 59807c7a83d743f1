/**
 * The hold that does the same heat work at another temperature, or the temperature at which another hold does it; in the same kiln or in one
 * that reads otherwise and climbs otherwise. W = ∫dt/η of the climb, the hold and the way down, each way at one rate; the glass is
 * taken to follow. A schedule that is computed for a body counts its lag as well.
 */
import type { GlassConstants } from '../glass/constants';
import { fluidity, type Vft, viscosityOf } from '../glass/viscosity';
import { type Outcome, found, refused } from '../problem';
import { perSecond } from '../units/convert';

export interface InKiln {
  /** How fast it comes near the temperature, and goes from it, °C/h. */
  up_C_per_h: number;
  down_C_per_h: number;
  /** So much more does it read than the glass has, K. */
  readsOver_K: number;
}

export interface SameWorkAsked {
  glass: GlassConstants;
  from: InKiln & { at_C: number; hold_s: number };
  /** at_C: as that kiln reads it. */
  to: InKiln & ({ find: 'hold'; at_C: number } | { find: 'temperature'; hold_s: number });
}

export interface SameWorkTold {
  work_perPa: number;
  /** As its kiln is to read. */
  at_C: number;
  hold_s: number;
  /** What climb and way down are worth as a hold, s: of the one it was, of the one it becomes. */
  rampsWere_s: number;
  rampsAre_s: number;
  /** Viscosity there over what it was: what a hold alone is longer by. */
  longer: number;
  /** What ten degrees more would leave of the hold, ramps left out. */
  tenMore: number;
  /** Work that it gets over the work that was asked for: more than 1 where the ramps alone do too much. */
  share: number;
}

const BELOW_K = 300;
const STEPS = 300;

/** ∫dT/η up to a temperature, K/(Pa·s): by Simpson's rule over what counts below it. */
function fluidityBelow(vft: Vft, at_C: number): number {
  const step = BELOW_K / STEPS;
  let sum = 0;
  for (let i = 0; i <= STEPS; i++) sum += (i === 0 || i === STEPS ? 1 : i % 2 === 1 ? 4 : 2) * fluidity(vft, at_C - BELOW_K + i * step);
  return (sum * step) / 3;
}

/** Work of coming there and going from there, 1/Pa. */
const rampWork = (vft: Vft, glass_C: number, { up_C_per_h, down_C_per_h }: InKiln): number =>
  fluidityBelow(vft, glass_C) * (1 / perSecond(up_C_per_h) + 1 / perSecond(down_C_per_h));

/** Of a climb, a hold and the way down, 1/Pa. */
export const workOfHold = (vft: Vft, glass_C: number, hold_s: number, kiln: InKiln): number => rampWork(vft, glass_C, kiln) + hold_s * fluidity(vft, glass_C);

export function sameWork({ glass, from, to }: SameWorkAsked): Outcome<SameWorkTold> {
  const vft = viscosityOf(glass);
  const was_C = from.at_C - from.readsOver_K;
  const work_perPa = workOfHold(vft, was_C, from.hold_s, from);
  if (!(work_perPa > 0)) return refused('out-of-range', 'from.at_C', 'Glass does not move at this temperature: there is no heat work to keep.');
  const glass_C = to.find === 'hold' ? to.at_C - to.readsOver_K : temperatureFor(vft, work_perPa, to.hold_s, to);
  if (glass_C === null)
    return refused('impossible', 'to.hold_s', 'At no temperature of this glass does such a hold do the same: take one nearer to what it was.');
  const flows = fluidity(vft, glass_C);
  if (!(flows > 0)) return refused('out-of-range', 'to.at_C', 'Glass does not move at this temperature: no hold does the same there.');
  const ramps = rampWork(vft, glass_C, to);
  const hold_s = to.find === 'hold' ? Math.max((work_perPa - ramps) / flows, 0) : to.hold_s;
  return found({
    ...{ work_perPa, hold_s, at_C: glass_C + to.readsOver_K },
    rampsWere_s: rampWork(vft, was_C, from) / fluidity(vft, was_C),
    rampsAre_s: ramps / flows,
    longer: fluidity(vft, was_C) / flows,
    tenMore: flows / fluidity(vft, glass_C + 10),
    share: (ramps + hold_s * flows) / work_perPa,
  });
}

const LEAST_C = 300;
const MOST_C = 1700;

/** Where a hold does the work with its ramps; null where that is beyond any temperature. */
function temperatureFor(vft: Vft, work_perPa: number, hold_s: number, kiln: InKiln): number | null {
  if (workOfHold(vft, MOST_C, hold_s, kiln) < work_perPa || workOfHold(vft, LEAST_C, hold_s, kiln) > work_perPa) return null;
  let [low, high] = [LEAST_C, MOST_C];
  while (high - low > 1e-4) {
    const middle = (low + high) / 2;
    if (workOfHold(vft, middle, hold_s, kiln) < work_perPa) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
