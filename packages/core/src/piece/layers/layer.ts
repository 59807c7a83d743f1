/**
 * A form of glass in a lay-up is declared here, one file for each: what it is called, what can be set of it and how it usually is, and its
 * caution. Sheet, schema and document follow. What it comes to in a body is in bodyOf.ts.
 */
import type { Layer } from '../../body/layers';
import { COUNT, type Measure, PERCENT, type Range, STOCK, STREWN } from '../../units/measure';
import type { LaidLayer, LayerForm } from '../laid';

export type LaidAs<F extends LayerForm, L = LaidLayer> = L extends { form: infer G } ? (F extends G ? L : never) : never;

export interface LayerField<L> {
  /** In the document of the API. */
  title: string;
  of: Measure;
  /** On the sheet, and how a sentence about it begins. */
  label: string;
  name: string;
  testID: string;
  range: Range;
  /** Of what follows from placed parts, which can be less than anybody types. */
  kept?: Range;
  optional?: true;
  /** Where it is not told. */
  usual?: number;
  /** Stepped through the sizes of its glass, or by so much, m; by a tenth of itself where left out. */
  step?: 'sizes' | number;
  /** Not always. */
  asks?(layer: L): boolean;
  /** What else another value changes. */
  brings?(layer: L, value: number): Partial<L>;
}

/** Its figures by their keys, in the order in which they stand. */
type FieldsOf<L> = { [K in keyof L as Exclude<L[K], undefined> extends number ? K : never]?: LayerField<L> };

export interface LayerKind<F extends LayerForm> {
  name: string;
  fields: FieldsOf<LaidAs<F>>;
  /** As it usually is, in place of another form of the same glass. */
  usual(before: LaidLayer): Omit<LaidAs<F>, 'id' | 'glassId' | 'name' | 'flipped' | 'form'>;
  /** What it is in a body, by the index of its glass there and that glass's density, kg/m³. */
  inBody(layer: LaidAs<F>, glass: number, density_kg_m3: number): Layer;
  /** Where it has all run in: gaps closed, over the whole outline. As it lies where left out. */
  sunkIn?(layer: LaidAs<F>): LaidLayer;
  caution: string;
}

const USUAL_SHEET_M = 0.003;
export const depthOf = (layer: LaidLayer): number => ('thickness_m' in layer ? layer.thickness_m : 'diameter_m' in layer ? layer.diameter_m : USUAL_SHEET_M);

/** A share that was told before still counts. */
export const coverBefore = (layer: LaidLayer): { cover?: number } => ('cover' in layer && layer.cover !== undefined ? { cover: layer.cover } : {});

export const SHEET_RANGE_M = { least: 0.0005, most: 0.025 } as const;
export const ROD_RANGE_M = { least: 0.0005, most: 0.05 } as const;
export const GRAIN_RANGE_KG_M2 = { least: 0.01, most: 1000 } as const;
export const COVER_RANGE = { least: 0.01, most: 1 } as const;
export const MILLIMETRE_M = 1e-3;
const LEAST_COVER = 1e-4;

export const depth = {
  ...{ title: 'Thickness', of: STOCK, label: 'depth', name: 'The sheet', testID: 'layer-depth', range: SHEET_RANGE_M },
  step: 'sizes',
} as const;

export const across = {
  ...{ title: 'Diameter', of: STOCK, label: 'across', name: 'The diameter', testID: 'layer-diameter', range: ROD_RANGE_M },
  step: MILLIMETRE_M / 2,
} as const;

export const cover = {
  ...{ title: 'Cover', of: PERCENT, label: 'covers', name: 'The share of the outline', testID: 'layer-cover', range: COVER_RANGE },
  kept: { ...COVER_RANGE, least: LEAST_COVER },
  // Where parts are placed it follows from them.
  asks: (layer: LaidLayer): boolean => !('placed' in layer && layer.placed !== undefined),
} as const;

/** Where left out it covers all of the outline. */
export const maybeCover = { ...cover, optional: true, usual: 1 } as const;

export const strewn = {
  ...{ title: 'Mass per area', of: STREWN, label: 'laid', name: 'The mass', testID: 'layer-mass', range: GRAIN_RANGE_KG_M2 },
} as const;

export const number = (title: string, name: string, most: number) =>
  ({ title, of: COUNT, label: 'number', name, testID: 'layer-count', range: { least: 1, most } }) as const;
