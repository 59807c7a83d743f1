/** The limits that a studio may set for itself; one that it does not set is as it ships. */
import { DIFFERENCE, type Measure, STRESS, TEMPERATURE } from '../units/measure';
import { DEFAULT_LIMITS, type Limits } from './limits';

export const STUDIO_LIMIT_NAMES = ['residual_Pa', 'setting_K', 'even_K', 'pull_Pa', 'open_C', 'openThick_C'] as const;
export type StudioLimit = (typeof STUDIO_LIMIT_NAMES)[number];
export type StudioLimits = Partial<Pick<Limits, StudioLimit>>;

export interface StudioLimitFigure {
  of: Measure;
  /** Of the sentence that says what is wrong. */
  name: string;
  least: number;
  most: number;
}

/** In all of them more is bolder. */
export const STUDIO_LIMITS: Record<StudioLimit, StudioLimitFigure> = {
  residual_Pa: { of: STRESS, name: 'Tension left', least: 2e5, most: 3e6 },
  setting_K: { of: DIFFERENCE, name: 'Difference while it sets', least: 1, most: 10 },
  even_K: { of: DIFFERENCE, name: 'Even within', least: 0.3, most: 5 },
  pull_Pa: { of: STRESS, name: 'Tension on the way', least: 2e6, most: 1.5e7 },
  open_C: { of: TEMPERATURE, name: 'Opening of usual work', least: 30, most: 150 },
  openThick_C: { of: TEMPERATURE, name: 'Opening of thick work', least: 30, most: 150 },
};

/** Thick work is never opened hotter than usual work. */
export function limitsOf(own: StudioLimits = {}): Limits {
  const limits = { ...DEFAULT_LIMITS, ...own };
  return { ...limits, openThick_C: Math.min(limits.openThick_C, limits.open_C) };
}

/** Those set by the studio that allow more than is usual. */
export const bolderLimits = (own: StudioLimits = {}): StudioLimit[] => STUDIO_LIMIT_NAMES.filter((name) => limitsOf(own)[name] > DEFAULT_LIMITS[name]);

/** Said wherever a schedule is said to keep its limits, which is worth less then. */
export function bolderSentences(limits: StudioLimits): string[] {
  const names = bolderLimits(limits).map((name) => STUDIO_LIMITS[name].name.toLowerCase());
  return names.length === 0 ? [] : [`Its limits allow more than is usual: ${names.join(', ')}.`];
}
