/**
 * What glass does, by viscosity: the columns behind a run sheet, and the ranges in which limits apply. Each state begins
 * (coming from the cold) at the named log10 η. The borders are conventions; they move together with the viscosity curve of
 * the glass, and a record may set its own.
 */
import type { GlassConstants, StateName, StateThresholds } from './constants';
import { temperatureAt, viscosityOf } from './viscosity';

export const USUAL_THRESHOLDS: StateThresholds = { anneals: 14.2, softens: 11, bends: 10, sticks: 7.3, levels: 5.6, runs: 4.4 };

const MEANINGS: Record<StateName, string> = {
  set: 'keeps its shape and its stress',
  anneals: 'strain relaxes within hours to seconds',
  softens: 'past brittle, still stiff',
  bends: 'sags under its own weight',
  sticks: 'pieces that touch join',
  levels: 'edges round and relief sinks',
  runs: 'flows and spreads',
};

export interface GlassState {
  name: StateName;
  /** °C; -Infinity for the coldest. */
  from_C: number;
  /** °C; Infinity for the hottest. */
  to_C: number;
  meaning: string;
}

export const thresholdsOf = ({ thresholds }: GlassConstants): StateThresholds => ({ ...USUAL_THRESHOLDS, ...thresholds });

/** Temperature at which a state begins, °C. */
export const stateBegins = (glass: GlassConstants, name: keyof StateThresholds, vft = viscosityOf(glass)): number =>
  temperatureAt(vft, thresholdsOf(glass)[name]);

export function glassStates(glass: GlassConstants): GlassState[] {
  const names = Object.keys(USUAL_THRESHOLDS) as (keyof StateThresholds)[];
  const vft = viscosityOf(glass);
  const starts = names.map((name) => stateBegins(glass, name, vft));
  return (['set', ...names] as const).map((name, i) => ({ name, from_C: starts[i - 1] ?? -Infinity, to_C: starts[i] ?? Infinity, meaning: MEANINGS[name] }));
}

export const stateAt = (states: readonly GlassState[], temperature_C: number): GlassState =>
  states.find((state) => temperature_C < state.to_C) ?? states[states.length - 1];
