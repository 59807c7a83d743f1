/** What is laid in a lay-up, form by form. Glasses are named by the ids of their records; lengths in m. */
import type { PlacedPart } from '../plan/parts';

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
