import type { LaidLayer } from './laid';

type Lumps = Extract<LaidLayer, { form: 'chunks' }>;

/** Lumps that come to less than their own thickness lie with gaps between them: as thick as one is, on less of it. */
export function withGaps({ cover = 1, ...lumps }: Lumps, density_kg_m3: number): Lumps {
  const share = lumps.perArea_kg_m2 / (density_kg_m3 * lumps.thick_m);
  return share < 1 ? { ...lumps, perArea_kg_m2: lumps.perArea_kg_m2 / share, cover: cover * share } : { ...lumps, cover };
}
