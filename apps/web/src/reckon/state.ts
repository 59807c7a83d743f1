/** What is typed into Reckon, by sheet: kept in this browser, with the units that it was typed in, until it is typed over. */
import { type QuantityName, QUANTITY_NAMES } from '@torvin/core/quantity';
import { METRIC, type Units } from '@torvin/core/units';
import { useMemo } from 'react';
import { readStored, writeStored } from '@/outside/storage';
import { told, useTold } from '@/outside/told';
import { type Typed, type TypedOf, withUnits } from './typed';

const KEPT = 'torvin-reckon';

export interface ReckonState {
  sheet: QuantityName;
  typed: TypedOf;
  /** What bare numbers are in. */
  units: Units;
}

const isState = (kept: unknown): kept is ReckonState =>
  typeof kept === 'object' &&
  kept !== null &&
  'sheet' in kept &&
  (QUANTITY_NAMES as readonly unknown[]).includes(kept.sheet) &&
  ['typed', 'units'].every((key) => typeof (kept as Record<string, unknown>)[key] === 'object');

function first(): ReckonState {
  const kept = readStored<unknown>('localStorage', KEPT);
  return isState(kept) ? kept : { sheet: QUANTITY_NAMES[0], typed: {}, units: METRIC };
}

const state = told<ReckonState>(first());

const isIn = (units: Units, others: Units): boolean => units.length === others.length && units.mass === others.mass && units.temperature === others.temperature;

/** Where the studio has come to other units since, each number says in which it was meant. */
export function inUnits(now: ReckonState, units: Units): ReckonState {
  if (isIn(now.units, units)) return now;
  const typed = Object.fromEntries(Object.entries(now.typed).map(([sheet, one]) => [sheet, withUnits(one, now.units)]));
  return { ...now, typed, units };
}

function put(next: ReckonState): void {
  state.set(next);
  writeStored('localStorage', KEPT, next);
}

export function useReckonState(units: Units): ReckonState {
  const now = useTold(state);
  return useMemo(() => inUnits(now, units), [now, units]);
}

export const openSheet = (sheet: QuantityName, units: Units): void => put({ ...inUnits(state.get(), units), sheet });

/** Puts what was typed in place of what stood on the sheet. */
export function typeInto(sheet: QuantityName, typed: Typed, units: Units): void {
  const now = inUnits(state.get(), units);
  put({ ...now, sheet, typed: { ...now.typed, [sheet]: typed } });
}
