/** What is typed into Reckon, by sheet: kept in this browser, with its units, until it is typed over. */
import { type QuantityName, QUANTITY_NAMES, type Units } from '@torvin/core';
import { readStored, writeStored } from '@/outside/storage';
import { told, useTold } from '@/outside/told';
import { type Typed, type TypedOf, withUnits } from './typed';

const KEPT = 'torvin-reckon';

interface State {
  sheet: QuantityName;
  typed: TypedOf;
}

const isState = (kept: unknown): kept is State =>
  typeof kept === 'object' && kept !== null && 'sheet' in kept && (QUANTITY_NAMES as readonly unknown[]).includes(kept.sheet) && 'typed' in kept;

function first(): State {
  const kept = readStored<unknown>('localStorage', KEPT);
  return isState(kept) ? kept : { sheet: QUANTITY_NAMES[0], typed: {} };
}

const state = told<State>(first());

/** units: what bare numbers are in; what is kept names them. */
function put(next: State, units: Units): void {
  state.set(next);
  const typed = Object.fromEntries(Object.entries(next.typed).map(([sheet, one]) => [sheet, withUnits(one, units)]));
  writeStored('localStorage', KEPT, { ...next, typed });
}

export const useReckonState = (): State => useTold(state);
export const openSheet = (sheet: QuantityName, units: Units): void => put({ ...state.get(), sheet }, units);

/** Puts what was typed in place of what stood on the sheet. */
export function typeInto(sheet: QuantityName, typed: Typed, units: Units): void {
  const now = state.get();
  put({ sheet, typed: { ...now.typed, [sheet]: typed } }, units);
}
