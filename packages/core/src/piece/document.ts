/**
 * A piece as a studio plans it: an outline, what lies in it from the shelf up, and the firings it is to have. Glasses,
 * kilns and controllers are named by the ids of their records. Plain data; lengths in m.
 */
import type { Footprint } from '../body/footprint';
import type { Look } from '../look/recipes/all';
import type { Shaping } from '../look/shaping';
import type { School } from '../schedule/firingCase';
import type { SetUpKind, Wet } from '../schedule/setups';

interface Laid {
  id: string;
  glassId: string;
  /** What the studio calls it, such as 'Numerals'; its place names it where this is left out. */
  name?: string;
}

export type LaidLayer =
  /** coated: which way a metal coating faces. */
  | (Laid & { form: 'sheet'; thickness_m: number; coated?: 'up' | 'down' })
  /** A sheet that lies over everything and may stand over all round. */
  | (Laid & { form: 'cap'; thickness_m: number; overhang_m?: number })
  /** Cut pieces that stand side by side; together they cover a share of the outline. */
  | (Laid & { form: 'pieces'; thickness_m: number; cover: number; count: number })
  | (Laid & { form: 'rod' | 'stringer'; diameter_m: number; cover?: number })
  | (Laid & { form: 'frit' | 'powder'; perArea_kg_m2: number; grain_m?: number; cover?: number });

export type LayerForm = LaidLayer['form'];
export const LAYER_FORMS = ['sheet', 'cap', 'pieces', 'rod', 'stringer', 'frit', 'powder'] as const satisfies readonly LayerForm[];

export const FORM_NAMES: Record<LayerForm, string> = {
  sheet: 'Sheet',
  cap: 'Cap',
  pieces: 'Cut pieces',
  rod: 'Rod',
  stringer: 'Stringer',
  frit: 'Frit',
  powder: 'Powder',
};

/** How the piece stands in the kiln for one firing. */
export interface PlannedSetUp {
  kind: SetUpKind;
  /** Fibre paper of the usual kind between the glass and what is under it. */
  paper: boolean;
  /** What has to dry or burn away first; nothing where left out. */
  wet?: Wet;
  /** The mould's hollow or the former's overhang, where the glass is to take its shape. */
  shaping?: Shaping;
}

export interface PlannedStep {
  id: string;
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
}

export interface PieceDocument {
  schemaVersion: 2;
  footprint: Footprint;
  /** Walls all round that hot glass can fill up to. */
  dammed: boolean;
  /** The sizes as they were typed, kept beside the metres. */
  typed: Record<string, string>;
  /** Index 0 at the bottom. */
  layers: LaidLayer[];
  /** In the order they are fired. */
  steps: PlannedStep[];
}

export const LAYERS_AT_MOST = 12;
export const STEPS_AT_MOST = 6;
