/**
 * A step that hands do between firings is declared here, one file for each kind: what it is called, how it usually is, what can be set of
 * it, what it does in words, what it makes of the glass, and its caution.
 */
import type { Footprint } from '../../body/footprint';
import type { LengthUnit, Units } from '../../units/convert';
import { formatLength, text } from '../../units/format';
import type { Range } from '../../units/measure';
import type { BodyNow } from '../bodyNow';
import type { Face, HandStep } from '../handStep';
import type { NamedGlass } from '../shelf';
import type { Left } from '../leftOn';
import type { StepOutcome } from '../stepOutcome';

type KeysOf<S, T> = { [K in keyof S & string]: T extends S[K] ? K : never }[keyof S & string];

interface Figure<S> {
  key: KeysOf<S, number>;
  label: string;
  /** As a sentence about it begins: 'The hole'. */
  name: string;
  testID: string;
}

export interface ChoiceField<S> {
  as: 'choice';
  key: keyof S & string;
  label: string;
  options: readonly { value: string; title: string }[];
  /** Where it is not told. */
  usual?: string;
  testID: string;
  /** What else another choice changes. */
  brings?(step: S, value: string): Partial<S>;
}

/** One thing that can be set of a step, under the key that it has in it. Lengths in m, masses in kg, times in s, shares from 0 to 1. asks: not always. */
export type StepField<S> = (
  | (Figure<S> & { as: 'length' | 'mass' | 'count' | 'share'; range: Range })
  | (Figure<S> & { as: 'time' })
  | ChoiceField<S>
  | { as: 'glass'; key: KeysOf<S, string>; form: 'frit' }
  | { as: 'words'; key: keyof S & string; label: string; testID: string }
) & { asks?(step: S): boolean };

/** What such a step is begun by. */
export interface About {
  footprint: Footprint;
  glassId: string;
  /** The studio's: what is suggested is round in it. */
  length: LengthUnit;
  /** What the firing before it left on the glass, see leftOn; nothing where none came before. */
  left?: readonly Left[];
}

export interface BenchKind<S extends HandStep> {
  name: string;
  /** Where it is called otherwise by what it does. */
  nameOf?(step: S): string;
  /** As it usually is. */
  usual(about: About): Omit<S, 'id' | 'kind' | keyof HandStep>;
  fields: readonly StepField<S>[];
  words(step: S, units: Units): string;
  /** What it makes of a body; nothing where left out. */
  applies?(now: BodyNow, step: S, glasses: readonly NamedGlass[]): StepOutcome;
  caution?: string;
}

/** As it lies at that step. */
export const FACE_NAMES: Record<Face, string> = { up: 'fire face', down: 'shelf face' };

export const placeWords = (place: 'rim' | Face): string => (place === 'rim' ? 'rim' : FACE_NAMES[place]);

export const FACES = (['up', 'down'] as const).map((value) => ({ value, title: FACE_NAMES[value] }));
export const PLACES = [{ value: 'rim', title: 'rim' } as const, ...FACES];

export const long = (value_m: number, units: Units): string => text(formatLength(value_m, units.length));

/** What can come off at once, m. */
export const OFF_RANGE_M = { least: 0, most: 0.3 } as const;

export const HOUR_S = 3600;
