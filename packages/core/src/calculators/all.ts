/** Every calculator there is. A new one is added to those that a run sheet asks, or to the later ones. */
import { FIRST } from './first';
import { LATER } from './later';

export const CALCULATORS = { ...FIRST, ...LATER };

type Calculators = typeof CALCULATORS;
export type EngineCall = keyof Calculators;
export type Asked<C extends EngineCall> = Parameters<Calculators[C]['compute']>[0];
export type Answered<C extends EngineCall> = ReturnType<Calculators[C]['compute']>;
export const CALLS = Object.keys(CALCULATORS) as EngineCall[];
