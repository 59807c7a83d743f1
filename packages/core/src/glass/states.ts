/**
 * What glass does, by viscosity: the columns behind a run sheet. Each state begins (coming from the cold) at
 * the named log10 η. The borders are conventions; they move together with the viscosity curve of the glass.
 */
import { type Vft, temperatureAt } from './viscosity';

export type StateName = 'set' | 'anneals' | 'softens' | 'bends' | 'sticks' | 'levels' | 'runs';

/** log10 η, Pa·s, where each state begins on the way up, in order of rising temperature. */
export const STATE_BEGINS_AT: readonly { name: StateName; logEta: number; meaning: string }[] = [
  { name: 'anneals', logEta: 14.2, meaning: 'strain relaxes within hours to seconds' },
  { name: 'softens', logEta: 11, meaning: 'past brittle, still stiff' },
  { name: 'bends', logEta: 10, meaning: 'sags under its own weight' },
  { name: 'sticks', logEta: 7.3, meaning: 'pieces that touch join' },
  { name: 'levels', logEta: 5.6, meaning: 'edges round and relief sinks' },
  { name: 'runs', logEta: 4.4, meaning: 'flows and spreads' },
];

export interface GlassState {
  name: StateName;
  /** °C; -Infinity for the coldest. */
  from_C: number;
  /** °C; Infinity for the hottest. */
  to_C: number;
  meaning: string;
}

export function glassStates(vft: Vft): GlassState[] {
  const starts = STATE_BEGINS_AT.map((state) => ({ ...state, from_C: temperatureAt(vft, state.logEta) }));
  return [{ name: 'set' as StateName, from_C: -Infinity, meaning: 'keeps its shape and its stress' }, ...starts].map(({ name, from_C, meaning }, index) => ({
    name,
    from_C,
    to_C: starts[index]?.from_C ?? Infinity,
    meaning,
  }));
}

export const stateAt = (states: readonly GlassState[], temperature_C: number): GlassState =>
  states.find((state) => temperature_C < state.to_C) ?? states[states.length - 1];
