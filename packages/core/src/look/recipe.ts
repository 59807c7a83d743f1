/** A kind of firing, declared: what must be reached, what must not be passed, what it asks for, and how it is told. */
import type { BodyInput } from '../body/body';
import type { WorkRange } from '../flow/heatWork';
import type { Outcome } from '../problem';
import type { Units } from '../units/convert';
import type { EmptyItem, EmptyItemKind } from '../emptyFiring/emptyItems';
import type { Flaw } from './flaws';
import type { Shaping } from './shaping';
import type { LookWorks, MaybeJoined } from './works';

export interface WorkQuestion {
  body: MaybeJoined;
  works: LookWorks;
  shaping?: Shaping;
}

/** Where it is chosen. */
export const RECIPE_GROUPS = {
  flat: 'Flat glass',
  grains: 'Frit and powder',
  thick: 'Thick work',
  cast: 'Castings',
  shaped: 'Mould and former',
  stuck: 'Stuck or stressed',
  ware: 'Without glass',
} as const;
export type RecipeGroup = keyof typeof RECIPE_GROUPS;

/** A disc that glass runs into, whatever it was laid as, m. */
export interface Puddle {
  width_m: number;
  depth_m: number;
}

/** A mould that glass fills: its thickest and thinnest section, m. */
export interface Filled {
  thick_m: number;
  thin_m: number;
  /** Where its thickest section is slender. */
  slender?: 'cylinder' | 'sphere';
}

/** A figure of its own: what it did, how far, and the sentence that says it. */
export interface OwnFigure {
  label: string;
  figure: string;
  unit: string;
  sentence: string;
}

/** A hold: at what the kiln stands, what the coldest place must have, and for how long it must have it. */
export interface Held {
  at_C: number;
  through_C: number;
  for_s: number;
}

/** A firing with no glass in it. */
export interface EmptyRecipe {
  /** What can be fired so, the usual first. */
  of: readonly [EmptyItemKind, ...EmptyItemKind[]];
  /** Whether it is fired to a cone. */
  toCone?: true;
  /** It may be dry or damp when it goes in; drying is for what is damp, and does not ask. */
  asksDamp?: true;
  /** dry: under the boil, where there is water; top: null where it goes to a cone. */
  plan(item: EmptyItem, damp: boolean): { dry: Held | null; top: Held | null };
  /** Which of these its own figure tells, and what that is called. */
  tells: 'dry' | 'top' | 'cone';
  label: string;
}

/** A small drawing of a kind of firing: SVG paths in a field of 72 by 40, the shelf at 36. glass: as it ends; form: what holds it; lines: what was there before. */
export interface RecipeDrawing {
  glass?: string;
  form?: string;
  lines?: string;
  /** Without a shelf: seen from above, or carried by its form alone. */
  bare?: true;
}

export interface Recipe {
  /** Read after 'a' and in small letters too. */
  name: string;
  group: RecipeGroup;
  /** One sentence: what it is. */
  reaches: string;
  /** What it must not do. */
  spares: string;
  /** Whether sheets have to lie down on one another first. */
  squeezes: boolean;
  /** Whether the body ends level: what stood has sunk in, gaps are closed. */
  levels: boolean;
  /** Whether it joins what lies on one another. */
  joins: boolean;
  /** Whether its rim travels and what stands sinks in. */
  flows: boolean;
  /** Whether it is so cool that no shape sinks in it; it then soaks low, below its own hold. */
  stays?: true;
  /** Whether how far it gets hangs on holes, weights and grips more than on what looks take here: it is neither learnt from nor corrected by a factor of work. */
  byForm?: true;
  /** What is stuck in or on a form comes free of it: the form is in the kiln with it, turned over. */
  frees?: true;
  /** It comes to it with stress in it, which adds to what warming makes: it is warmed by so much of the tension that glass bears. */
  warmsStressed?: number;
  /** What can be seen on it when it comes out, beside how far it got. */
  flaws: readonly Flaw[];
  /** What a fully uneven body is cooled as, times its thickest point, by how much of its relief is left standing. */
  uneven: number;
  /** How long the two schools hold at the working temperature, and what a hold may become, s. */
  hold_s: { cooler: number; hotter: number; least: number; most: number };
  /** The form without which it cannot be, and what that is for; left out where a shelf is all it takes. */
  asks?: { kind: Shaping['kind']; what: string };
  /** The heat work that it needs on this body and the most it bears, 1/Pa. */
  work(asked: WorkQuestion): Outcome<WorkRange>;
  /** By which law that is reckoned, for those who ask. */
  law?: string;
  /** The work to aim at; the middle of the range on its logarithm where it is left out. */
  aim?(range: WorkRange): number;
  /** Depth at which it ends where it fills what holds it, m. */
  levelsTo?(body: BodyInput): number;
  /** What the glass ends as after some heat work, where it does not stay where it was laid. */
  puddle?(asked: WorkQuestion, work_perPa: number): Puddle | null;
  /** What it ends as, where it takes the form of a mould that it fills. */
  fills?(asked: WorkQuestion): Filled | null;
  /** How much of its outline is open after some heat work, where that is what it is fired for; null where it cannot be told. */
  opens?(asked: WorkQuestion, work_perPa: number): number | null;
  /** How far it got, in its own words, at the heat work of a firing. */
  tells?(asked: WorkQuestion, work_perPa: number, units: Units): OwnFigure[];
  /** How it goes where nothing of glass is fired. */
  empty?: EmptyRecipe;
  /** The set-up that it is usually fired on, where that is not a bare shelf. */
  usuallyOn?: 'inMould' | 'overFormer' | 'onPosts' | 'inInvestment';
  /** What is strewn on a solid sticks to it, and colours strike, though it joins no layers. */
  holdsGrains?: true;
  /** Which way its middle comes to lie beside its rim, m, where it is bent: up is positive. */
  crown?(shaping: Shaping): number;
  drawn: RecipeDrawing;
  /** What the eye sees when the kiln is looked into. */
  looksLike: { early: string; right: string; late: string };
  /** What to take care of. */
  care: string;
}
