/**
 * A piece as a studio plans it: an outline, and its journey from there, step after step: what is laid on, every firing and all that
 * hands do in between. Glasses, kilns and controllers are named by the ids of their records. Plain data; lengths in m.
 */
import type { Footprint } from '../body/footprint';
import type { FormShape } from '../form/shape';
import type { PlacedPart } from '../plan/parts';
import type { Look } from '../look/recipes/all';
import type { Shaping } from '../look/shaping';
import type { School } from '../schedule/firingCase';
import type { SetUpKind, Wet } from '../schedule/setups';
import type { AnyStep, HandStep } from './handStep';
import { BENCH_KINDS, type BenchStep } from './steps/all';

export type { Face, HandStep, Took } from './handStep';
export type { BenchStep } from './steps/all';
export type { Cutting } from './steps/cut';

interface Laid {
  id: string;
  glassId: string;
  /** What the studio calls it, such as 'Numerals'; its place names it where this is left out. */
  name?: string;
  /** Of made glass: it lies with its lower face up. */
  flipped?: true;
}

/** Of placed parts that have sunk, of what has been fired alone: how high they stand where they lie, and what the rest comes to over the outline, m. */
export interface Sunk {
  stands_m: number;
  film_m: number;
}

/** Which face of made glass is up where that is not its own: that of a strip's side, stood on edge, or of a bar's end, sliced. */
export type CutFace = 'side' | 'end';

export type LaidLayer =
  /** coated: which way a metal coating faces. inlaid: where parts lay that have sunk in; of what has been fired alone. */
  | (Laid & { form: 'sheet'; thickness_m: number; coated?: 'up' | 'down'; inlaid?: readonly PlacedPart[] })
  /** A sheet that lies over everything and may stand over all round. */
  | (Laid & { form: 'cap'; thickness_m: number; overhang_m?: number })
  /** Cut pieces that stand side by side; together they cover a share of the outline. Where they are placed, number and cover follow from that. cutFace: they lie on a cut face, which shows what they are made of. */
  | (Laid & { form: 'pieces'; thickness_m: number; cover: number; count: number; placed?: readonly PlacedPart[]; sunk?: Sunk; cutFace?: CutFace })
  | (Laid & { form: 'rod' | 'stringer'; diameter_m: number; cover?: number; placed?: readonly PlacedPart[] })
  | (Laid & { form: 'frit' | 'powder'; perArea_kg_m2: number; grain_m?: number; cover?: number })
  /** Solid lumps put in loose, such as billets, scrap or strips: how thick one is, by its shortest side, and how wide, by its middle one. */
  | (Laid & { form: 'chunks'; perArea_kg_m2: number; thick_m: number; wide_m: number; cover?: number });

/** Of a layer, what only the body after a firing has: computed from the steps, never kept in a document. */
export type OfFiredLayers = 'inlaid' | 'sunk';

export type LayerForm = LaidLayer['form'];
export const LAYER_FORMS = ['sheet', 'cap', 'pieces', 'rod', 'stringer', 'frit', 'powder', 'chunks'] as const satisfies readonly LayerForm[];
/** What glass is sold as; any of it can be broken or sawn into lumps. */
export const BOUGHT_FORMS = LAYER_FORMS.filter((form) => form !== 'chunks');

/** Whether a glass can be laid as this. */
export const comesAs = ({ forms }: { forms: readonly LayerForm[] }, form: LayerForm): boolean => form === 'chunks' || forms.includes(form);

/** A form of the studio's own as it was when the firing was planned in it: when its record changes later, what was fired in it does not. */
export interface HeldForm {
  id: string;
  name: string;
  shape: FormShape;
  /** Of a former: how far down the edge is to come; as far as it hangs where left out. */
  drop_m?: number;
}

/** How the piece stands in the kiln for one firing. */
export interface PlannedSetUp {
  kind: SetUpKind;
  /** Fibre paper of the usual kind between the glass and what is under it. */
  paper: boolean;
  /** What has to dry or burn away first; nothing where left out. */
  wet?: Wet;
  /** The mould's hollow or the former's overhang, as it was typed, where the glass is to take its shape. */
  shaping?: Shaping;
  /** The studio's own form in which or on which it stands; what shapes the glass then follows from it and from the blank. */
  form?: HeldForm;
  /** The studio's own kiln shelf under that, where glass comes to lie on it: within a dam, or under a grid. */
  shelf?: HeldForm;
}

/** A sheet, or more, laid on the body or under it. Index 0 is the lowest of them. */
export interface LayStep extends HandStep {
  kind: 'lay';
  side: 'above' | 'below';
  layers: LaidLayer[];
}

/** A firing. */
export interface PlannedStep extends AnyStep {
  kind: 'fire';
  look: Look;
  setup: PlannedSetUp;
  kilnId: string;
  controllerId: string;
  school: School;
  /** What of the studio's own is between glass and shelf: it stands before paper, which then tells of nothing. */
  releaseId?: string;
  /** The schedule in use, and the computed one it goes back to. */
  scheduleId: string | null;
  computedId: string | null;
  /** What was measured when it was opened, where it did not come out as planned: how far a shape has come down. */
  measured?: { down_m: number };
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

/** In all steps together. */
export const LAYERS_AT_MOST = 60;
export const STEPS_AT_MOST = 60;
/** Cut pieces and segments, in all steps together. */
export const PARTS_AT_MOST = 400;
export const STEP_KINDS: readonly StepKind[] = ['lay', 'fire', ...BENCH_KINDS];
