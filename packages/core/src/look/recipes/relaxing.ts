/** What firings that only relax have in common: how often stress could relax, and how far the shape sinks meanwhile. */
import { type BodyInput, bodyFigures, mainGlass } from '../../body/body';
import { sagAfter } from '../../flow/sag';
import { type GlassConstants, shearModulus } from '../../glass/constants';
import { formatLength, text } from '../../units/format';
import type { LengthUnit } from '../../units/convert';
import { openingUnder } from '../shaping';

/** What nobody sees of a shape that sinks, m. */
export const UNSEEN_SAG_M = 0.0002;

/** Heat work, 1/Pa, by which stress could relax so many times over. */
export const workToRelax = (glass: GlassConstants, times: number): number => times / shearModulus(glass);

/** In words: how many times over stress could relax, and by how much the piece sinks where its rim alone holds it. */
export function relaxed(body: BodyInput, work_perPa: number, length: LengthUnit): { times: string; sinks: string } {
  const glass = mainGlass(body);
  const times = work_perPa * shearModulus(glass);
  const sag_m = sagAfter(glass, openingUnder(body.footprint), bodyFigures(body).depth.mean_m, work_perPa);
  return {
    times: times < 10 ? times.toFixed(1) : String(Math.round(times)),
    sinks: `${sag_m < UNSEEN_SAG_M ? 'less than' : 'about'} ${text(formatLength(Math.max(sag_m, UNSEEN_SAG_M), length))}`,
  };
}
