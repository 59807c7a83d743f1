/**
 * A piece as a studio plans it: an outline, and its journey from there, step after step: what is laid on, every firing and all that
 * hands do in between. Glasses, kilns and controllers are named by the ids of their records. Plain data; lengths in m.
 */
import type { Footprint } from '../body/footprint';
import type { HandStep } from './handStep';
import type { LaidLayer } from './laid';
import type { PlannedStep } from './plannedStep';
import { BENCH_KINDS, type BenchStep } from './steps/all';

export type { Cutting, Face, HandStep, Took } from './handStep';
export { BOUGHT_FORMS, comesAs, type CutFace, LAYER_FORMS, type LaidLayer, type LayerForm, type OfFiredLayers, type Sunk } from './laid';
export type { HeldForm, HeldPlace, PlannedSetUp, PlannedStep } from './plannedStep';
export type { BenchStep } from './steps/all';

/** A sheet, or more, laid on the body or under it. Index 0 is the lowest of them. */
export interface LayStep extends HandStep {
  kind: 'lay';
  side: 'above' | 'below';
  layers: LaidLayer[];
}

export type JourneyStep = LayStep | PlannedStep | BenchStep;
export type StepKind = JourneyStep['kind'];
export type HandKind = Exclude<StepKind, 'fire'>;

/** A picture that lies under a plan: which one, how large it is and where. */
export interface Sketch {
  /** Of the picture's content, by which the studio keeps it. */
  hash: string;
  width_m: number;
  /** Its height over its width. */
  aspect: number;
  /** Its middle, from the middle of the piece. */
  x_m: number;
  y_m: number;
}

export interface PieceDocument {
  schemaVersion: 3;
  /** What it is begun in. */
  footprint: Footprint;
  /** Walls all round that hot glass can fill up to. */
  dammed: boolean;
  /** The sizes as they were typed, kept beside the metres. */
  typed: Record<string, string>;
  /** In the order in which it is done. */
  journey: JourneyStep[];
  /** A sketch that lies under its plan. */
  under?: Sketch;
}

export const STEP_KINDS: readonly StepKind[] = ['lay', 'fire', ...BENCH_KINDS];
