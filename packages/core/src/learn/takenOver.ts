/** What was learnt as plans take it over: no finer than it was learnt. */
import type { Look } from '../look/names';
import { type TemperatureUnit, differenceIn } from '../units/convert';
import { type TakenOver, factorOf } from './corrections';

export interface Told {
  offset_K: number;
  workFactor: number;
  looks: readonly { look: Look; factor: number }[];
}

const hundredths = (factor: number): number => Math.round(factor * 100) / 100;

/** To whole degrees of the studio and hundredths. */
export const takenOverOf = ({ offset_K, workFactor, looks }: Told, unit: TemperatureUnit): Required<TakenOver> => ({
  offset_K: Math.round(differenceIn(offset_K, unit)) / differenceIn(1, unit),
  workFactor: hundredths(workFactor),
  lookFactors: Object.fromEntries(looks.map(({ look, factor }) => [look, hundredths(factor)])),
});

/** Nearer than this to what plans go by, nothing new is offered. */
export const SAME_AS_TAKEN = { offset_K: 1, workFactor: 0.05 } as const;

/** Whether plans go by it already. Judged as it was learnt, so that a studio of another unit is offered the same. */
export function isTakenOver(told: Told, { offset_K = 0, workFactor = 1, lookFactors = {} }: TakenOver): boolean {
  const like = (one: number, other: number): boolean => Math.abs(one - other) < SAME_AS_TAKEN.workFactor;
  // A look whose firings are gone goes by all looks again.
  const unseen = (Object.entries(lookFactors) as [Look, number][]).filter(([look]) => !told.looks.some((one) => one.look === look));
  return (
    Math.abs(told.offset_K - offset_K) < SAME_AS_TAKEN.offset_K &&
    like(told.workFactor, workFactor) &&
    told.looks.every(({ look, factor }) => like(factor, factorOf({ offset_K, workFactor, lookFactors }, look))) &&
    unseen.every(([, factor]) => like(factor, told.workFactor))
  );
}
