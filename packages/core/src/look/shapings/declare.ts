/** What is asked of a form, declared once: the form's fields, the schema of the API and the sentences of both follow from it. */
import type { Footprint } from '../../body/footprint';
import type { Opening } from '../../flow/sag';
import type { Measure, Range } from '../../units/measure';
import type { Shaping } from '../shaping';

export type ShapingKind = Shaping['kind'];
export type ShapingOf<K extends ShapingKind> = Extract<Shaping, { kind: K }>;

export interface ShapingField {
  /** In the document of the API. */
  title: string;
  /** What its field is called, and by which its figure is kept while another kind of form is looked at. */
  field: string;
  label: string;
  hint?: string;
  /** How a sentence names it. */
  name: string;
  of: Measure;
  range: Range;
  optional?: true;
  /** Asked of some outlines of a mould only. */
  ofPlan?(plan: NonNullable<Opening['plan']>): boolean;
  /** Where it is not told yet, m. */
  usual?(footprint: Footprint): number;
}

/** Its figures; how far a firing has brought it already is measured, not asked. */
type Asked<S> = Exclude<{ [K in keyof S]-?: Exclude<S[K], undefined> extends number ? K : never }[keyof S], 'down_m'>;

/** Every figure of such a shaping by its key, in the order in which it is asked for. */
export type Figures<K extends ShapingKind> = Record<Asked<ShapingOf<K>>, ShapingField>;
