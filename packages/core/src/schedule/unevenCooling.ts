/**
 * How an uneven body cools. Its field is solved for the stage in which stress sets, and for a cold kiln, where its rim is pulled most; an
 * even plate that matches it is then simulated.
 */
import { type SteadyCooling, standsOut, steadyCooling } from '../field/cooling';
import { type MatchedPlate, matchedOn, matchedWithin } from '../field/matchedPlate';
import type { Uneven } from './uneven';

export interface UnevenCooling {
  /** For 1 K/s, while it sets; its bulge without reserve. */
  setting: SteadyCooling;
  /** How far its rim lies under its plane in a cold kiln, and its inside over it, s. */
  coldDip_s: number;
  coldBulge_s: number;
  plate: MatchedPlate;
  /** What the plate is simulated on and under; index 0 at the bottom, and at the glass. */
  below: Uneven['below'];
  above: Uneven['above'];
  faces: Uneven['faces'];
}

/** What has been solved, told again for as long as it is among the last asked. */
const kept = new Map<string, UnevenCooling>();
const KEPT_AT_MOST = 64;

function once(asked: unknown, solve: () => UnevenCooling): UnevenCooling {
  const key = JSON.stringify(asked);
  const cooling = kept.get(key) ?? solve();
  kept.delete(key);
  kept.set(key, cooling);
  if (kept.size > KEPT_AT_MOST) kept.delete([...kept.keys()][0]);
  return cooling;
}

export function coolingOf({ body, cold, bulgeReserve, faces, below, above }: Uneven): UnevenCooling {
  const { glass } = body;
  const { top, bottom } = body.exchange_W_m2K;
  const mould = below.at(-1);
  return once([body, cold, bulgeReserve, faces, below, above], () => {
    const setting = steadyCooling(body);
    const told = { ...setting, bulge_s: bulgeReserve * setting.bulge_s };
    const { dip, bulge } = standsOut(cold);
    const solved = { setting, coldDip_s: dip, coldBulge_s: bulge };
    if (body.shape === 'section' || !mould)
      return { ...solved, plate: matchedOn(told, glass, { top, bottom, under: below, over: above }), below, above, faces };
    const plate = matchedWithin(told, glass, mould, top);
    const walls = plate.wall_m > 0 ? [{ ...mould, thickness_m: plate.wall_m }] : [];
    return { ...solved, plate, below: walls, above: walls, faces: { top: faces.top, bottom: faces.top } };
  });
}
